import { minus, plus, times, type Vector } from "../geometry/vector";
import { lookAt, type ColourPicture } from "./colour";

/** Looked up once: these run for every place looked at. */
const { hypot, min, sqrt } = Math;

/** A line in a picture along which an edge is looked for, px: places along it and its way out at each. */
export interface EdgeGuess {
  at: readonly Vector[];
  /** Unit normals, out of the inner side. */
  out: readonly Vector[];
  /** How far off the edge may be expected, one standard deviation, px. */
  sd: readonly number[];
  /** How the two sides look, where that is known. */
  inner: Look | undefined;
  outer: Look | undefined;
  /** An outline: nothing as clear as it lies further out. */
  outermost: boolean;
}

/** How a surface looks in one picture: logarithms of red, green and blue, and what usually scatters in them. */
export interface Look {
  mean: readonly [number, number, number];
  sd: number;
}

/** Where an edge was found: how far out of each place, px, and how much more it looks like one than its surroundings. */
export interface FoundEdge {
  off: Float64Array;
  /** 0 = nothing there, 1 = as clear as it comes. */
  clear: Float64Array;
  /** The same without a bound: twice as sharp a step is placed twice as well. */
  sharp: Float64Array;
  /** The means of both sides at each place: inner red, green, blue, outer red, green, blue. */
  sides: Float64Array;
}

export interface SnapScale {
  /** Pixels of a millimetre on the foot. */
  pxPerMm: number;
}

/** What lies on both sides of an edge is compared over so much, and along the edge over so much, mm. */
const SIDE_MM = 3;
const ALONG_MM = 2.4;
const ALONG_PLACES = 5;
/** Step of the search, mm, but no finer than so many px. */
const STEP = { mm: 0.35, px: 0.7 };
/** It is looked for as far as so many standard deviations, and between these, mm. */
const REACH = { times: 2.6, least: 2, most: 14 };
/** Differences of the logarithms that grain alone makes, and a contrast that is as clear as it comes. */
const GRAIN = 0.03;
const CLEAR = 4;
/** What one step of unevenness between neighbours costs, in contrast squared, for each mm. */
const UNEVEN = 0.9;
/** What contrast squared is worth against being off by a standard deviation, and against looking unlike its surface. */
const WORTH = 0.4;
const UNLIKE = 0.6;
/** What an edge that lies further out is worth against an outline. */
const FURTHER = 0.2;
/** Further from how its surface looks than so many standard deviations, a side is simply something else: dirt, a hand. */
const ELSE = 2;

/**
 * An edge along a guess, by dynamic programming: at each place the two sides are compared at every step across, and the
 * way through all of them is taken that has the most contrast, stays near the guess and runs evenly.
 * Source: Amini, Weymouth and Jain 1990, IEEE TPAMI 12:855.
 */
export function snapEdge(picture: ColourPicture, guess: EdgeGuess, { pxPerMm }: SnapScale): FoundEdge {
  const step = Math.max(STEP.mm * pxPerMm, STEP.px);
  const widest = Math.max(...guess.sd) / pxPerMm;
  const reachMm = min(REACH.most, Math.max(REACH.least, REACH.times * widest));
  const half = Math.ceil((reachMm * pxPerMm) / step);
  const places = guess.at.length;
  const wide = 2 * half + 1;
  const seen: Seen = {
    contrast: new Float64Array(places * wide),
    unlike: new Float64Array(places * wide),
    sides: new Float64Array(6 * places * wide),
  };
  for (let place = 0; place < places; place++) acrossAt(picture, guess, place, { half, step, pxPerMm, seen });
  return bestWay(seen, guess, { places, wide, half, step, pxPerMm });
}

/** What is seen at every step across every place. */
interface Seen {
  contrast: Float64Array;
  unlike: Float64Array;
  sides: Float64Array;
}

interface Across {
  half: number;
  step: number;
  pxPerMm: number;
  seen: Seen;
}

/** How far a side is from how its surface looks, in squared standard deviations, no more than something else is. */
function unlike(look: Look | undefined, red: number, green: number, blue: number): number {
  if (!look) return 0;
  const [r, g, b] = look.mean;
  const apart = ((red - r) ** 2 + (green - g) ** 2 + (blue - b) ** 2) / (look.sd * look.sd);
  return min(ELSE * ELSE, apart);
}

/** The contrast at every step across one place: difference of the means of both sides over what scatters in them. */
function acrossAt(picture: ColourPicture, guess: EdgeGuess, place: number, across: Across): void {
  const { half, step, pxPerMm, seen: into } = across;
  const side = Math.max(2, Math.round((SIDE_MM * pxPerMm) / step));
  const long = 2 * (half + side) + 1;
  const [at, out] = [guess.at[place] as Vector, guess.out[place] as Vector];
  const along: Vector = [-out[1], out[0]];
  const seen = new Float64Array(3);
  // Sums of the values and of their squares up to each step, by channel.
  const sums = new Float64Array(3 * (long + 1));
  const squares = new Float64Array(long + 1);
  for (let index = 0; index < long; index++) {
    const middle = plus(at, times(out, (index - half - side) * step));
    let [red, green, blue] = [0, 0, 0];
    for (let beside = 0; beside < ALONG_PLACES; beside++) {
      const by = (beside / (ALONG_PLACES - 1) - 0.5) * ALONG_MM * pxPerMm;
      lookAt(picture, middle[0] + along[0] * by, middle[1] + along[1] * by, seen, 0);
      red += seen[0] ?? 0;
      green += seen[1] ?? 0;
      blue += seen[2] ?? 0;
    }
    const here = [red / ALONG_PLACES, green / ALONG_PLACES, blue / ALONG_PLACES] as const;
    let square = 0;
    for (let channel = 0; channel < 3; channel++) {
      const value = here[channel] ?? 0;
      sums[3 * (index + 1) + channel] = (sums[3 * index + channel] ?? 0) + value;
      square += value * value;
    }
    squares[index + 1] = (squares[index] ?? 0) + square;
  }
  for (let offset = 0; offset < 2 * half + 1; offset++) {
    const centre = offset + side;
    const at6 = 6 * (place * (2 * half + 1) + offset);
    let apart = 0;
    let scatter = (squares[centre + side + 1] ?? 0) - (squares[centre - side] ?? 0);
    for (let channel = 0; channel < 3; channel++) {
      const from = sums[3 * (centre - side) + channel] ?? 0;
      const before = sums[3 * centre + channel] ?? 0;
      const after = sums[3 * (centre + 1) + channel] ?? 0;
      const to = sums[3 * (centre + side + 1) + channel] ?? 0;
      const [inner, outer] = [(before - from) / side, (to - after) / side];
      into.sides[at6 + channel] = inner;
      into.sides[at6 + 3 + channel] = outer;
      apart += (inner - outer) ** 2;
      scatter -= side * (inner * inner + outer * outer) + (after - before) ** 2;
    }
    const usual = Math.max(0, scatter) / (2 * side);
    const here = place * (2 * half + 1) + offset;
    into.contrast[here] = sqrt(apart / (usual + GRAIN * GRAIN));
    const [r = 0, g = 0, b = 0, outR = 0, outG = 0, outB = 0] = into.sides.subarray(at6, at6 + 6);
    into.unlike[here] = unlike(guess.inner, r, g, b) + unlike(guess.outer, outR, outG, outB);
  }
}

interface Ways {
  places: number;
  wide: number;
  half: number;
  step: number;
  pxPerMm: number;
}

/** Another way has to lie so far off the best one to be another, mm; it has to be worth so much less a place. */
const OTHER_MM = 3;
const WORTH_LESS = 0.9;

/** The way through all places with the most worth; not clear where another way is worth nearly as much. */
function bestWay(seen: Seen, guess: EdgeGuess, ways: Ways): FoundEdge {
  const { places, wide, half, step, pxPerMm } = ways;
  const worth = new Float64Array(places * wide);
  const side = Math.round((SIDE_MM * pxPerMm) / step);
  for (let place = 0; place < places; place++) {
    let further = 0;
    for (let offset = wide - 1; offset >= 0; offset--) {
      const beyond = offset + side < wide ? min(CLEAR, seen.contrast[place * wide + offset + side] ?? 0) : 0;
      if (guess.outermost) further = Math.max(further, beyond);
      const at = place * wide + offset;
      const clear = min(CLEAR, seen.contrast[at] ?? 0);
      const away = ((offset - half) * step) / Math.max(guess.sd[place] ?? 1, 0.5 * pxPerMm);
      worth[at] =
        WORTH * clear * clear -
        0.5 * away * away -
        UNLIKE * (seen.unlike[at] ?? 0) -
        FURTHER * further * further;
    }
  }
  const best = wayThrough(worth, guess, ways);
  const off = new Float64Array(places);
  const clear = new Float64Array(places);
  const sharp = new Float64Array(places);
  const sides = new Float64Array(6 * places);
  const apart = (OTHER_MM * pxPerMm) / step;
  for (let place = 0; place < places; place++) {
    const end = best.way[place] ?? 0;
    const at = place * wide + end;
    off[place] = (end - half) * step;
    clear[place] =
      min(1, (seen.contrast[at] ?? 0) / CLEAR) * Math.exp(-(seen.unlike[at] ?? 0) / (ELSE * ELSE));
    sides.set(seen.sides.subarray(6 * at, 6 * at + 6), 6 * place);
    for (let offset = 0; offset < wide; offset++)
      if (Math.abs(offset - end) < apart) worth[place * wide + offset] = -NOT_HERE;
  }
  const other = wayThrough(worth, guess, ways);
  const less = half > apart ? (best.worth - other.worth) / places : Number.POSITIVE_INFINITY;
  const trust = min(1, Math.max(0, less / WORTH_LESS));
  return { off, clear: clear.map((one) => one * trust), sharp: sharp.map((one) => one * trust), sides };
}
/** Worth of a place that may not be taken. */
const NOT_HERE = 1e6;

/** The way with the most worth, and that worth. */
function wayThrough(
  worth: Float64Array,
  guess: EdgeGuess,
  { places, wide, step, pxPerMm }: Ways,
): { way: Int32Array; worth: number } {
  const stepMm = step / pxPerMm;
  const best = new Float64Array(places * wide);
  const from = new Int32Array(places * wide);
  best.set(worth.subarray(0, wide));
  for (let place = 1; place < places; place++) {
    const gap = distanceMm(guess, place, pxPerMm);
    const cost = (UNEVEN * stepMm * stepMm) / (0.3 * gap + 0.1);
    const turn = Math.max(1, Math.ceil((0.6 * gap) / stepMm));
    for (let offset = 0; offset < wide; offset++) {
      let top = Number.NEGATIVE_INFINITY;
      let way = offset;
      for (let before = Math.max(0, offset - turn); before <= min(wide - 1, offset + turn); before++) {
        const value = (best[(place - 1) * wide + before] ?? 0) - cost * (offset - before) ** 2;
        if (value > top) [top, way] = [value, before];
      }
      best[place * wide + offset] = top + (worth[place * wide + offset] ?? 0);
      from[place * wide + offset] = way;
    }
  }
  let end = 0;
  for (let offset = 1; offset < wide; offset++)
    if ((best[(places - 1) * wide + offset] ?? 0) > (best[(places - 1) * wide + end] ?? 0)) end = offset;
  const way = new Int32Array(places);
  const total = best[(places - 1) * wide + end] ?? 0;
  for (let place = places - 1; place >= 0; place--) {
    way[place] = end;
    end = from[place * wide + end] ?? end;
  }
  return { way, worth: total };
}

const distanceMm = ({ at }: EdgeGuess, place: number, pxPerMm: number): number =>
  hypot(...minus(at[place] as Vector, at[place - 1] as Vector)) / pxPerMm;

/** Unit normals of an open line of points, away from a place on its inner side. */
export function normalsOf(points: readonly Vector[], inside: Vector): Vector[] {
  const normals = points.map((_, index): Vector => {
    const before = points[Math.max(0, index - 1)] as Vector;
    const after = points[Math.min(points.length - 1, index + 1)] as Vector;
    const [x, y] = minus(after, before);
    const size = hypot(x, y) || 1;
    return [-y / size, x / size] as const;
  });
  const outward = normals.reduce(
    (sum, [x, y], index) =>
      sum +
      Math.sign(x * ((points[index]?.[0] ?? 0) - inside[0]) + y * ((points[index]?.[1] ?? 0) - inside[1])),
    0,
  );
  return outward < 0 ? normals.map(([x, y]) => [-x, -y]) : normals;
}
