import { homographyFrom, inverseHomography, mapPoint, type Homography } from "../geometry/homography";
import { distance, dot, minus, plus, times, type ImagePoint, type Vector } from "../geometry/vector";
import { fail, ok, type Result } from "../result";
import { CARD } from "./card";
import { darkPlaces, greyAt, shrunkBy, type GreyPicture } from "./grey";

export type Corners = readonly [ImagePoint, ImagePoint, ImagePoint, ImagePoint];

/** The printed card as it was found in a picture. */
export interface FoundCard {
  /** Outer corners of its frame: top-left, top-right, bottom-right, bottom-left, its bob hanging down. */
  corners: Corners;
  /** True where everything about it agrees; else `doubt` says what does not, and the corners are to be looked at. */
  sure: boolean;
  doubt?: string;
  /** Root mean square distance of the edge from its four lines, px. */
  residualPx: number;
}

/** About the longer side of the picture in which the card is looked for first, px: enough for a card a tenth of it across. */
const SEARCH_PX = 640;
/** How much darker than around it the frame is taken to be, tried in turn: daylight, then shade and pale print. */
const DARKER = [0.72, 0.86, 0.58] as const;
/** Half of the square that counts as around, as a part of the shorter side. */
const AROUND_PARTS = [1 / 14, 1 / 7] as const;
/** A frame is at least so large, px of the searched picture, and its hull so nearly a square's picture. */
const LEAST_PX = 22;
const MOST_OVER_QUAD = 1.25;
/** Sides of one card in one picture differ by no more than this, seen as slanted as anybody would take it. */
const MOST_SIDES = 3;
const { sideMm: SIDE, frameMm: FRAME, marginMm: MARGIN } = CARD;

/**
 * Finds the printed card: dark frames are looked for in a small copy, their four edges fitted by lines in the picture
 * itself, and what lies inside and around is held against the print: white margin, dark frame, white field, plumb mark.
 * The mark says which way it hangs. It is sure only where all of that agrees.
 *
 * Errors: `no-card`.
 */
export function findCard(picture: GreyPicture): Result<FoundCard> {
  const factor = Math.max(1, Math.round(Math.max(picture.width, picture.height) / SEARCH_PX));
  const small = shrunkBy(picture, factor);
  const found: Judged[] = [];
  for (const around of AROUND_PARTS) {
    for (const part of DARKER) {
      const reach = Math.max(4, Math.round(around * Math.min(small.width, small.height)));
      for (const quad of darkQuads(small, darkPlaces(small, reach, part))) {
        const whole = quad.map(([x, y]): ImagePoint => [
          (x + 0.5) * factor - 0.5,
          (y + 0.5) * factor - 0.5,
        ]) as unknown as Corners;
        if (found.some(({ corners }) => distance(middleOf(corners), middleOf(whole)) < 0.2 * sideOf(whole)))
          continue;
        const judged = judge(picture, whole);
        if (judged) found.push(judged);
      }
      if (found.some(({ sure }) => sure)) break;
    }
    if (found.some(({ sure }) => sure)) break;
  }
  const best = found.reduce<Judged | undefined>(
    (top, one) =>
      !top || (one.sure && !top.sure) || (one.sure === top.sure && one.likeness > top.likeness) ? one : top,
    undefined,
  );
  if (!best)
    return fail(
      "no-card",
      "picture",
      "No card is seen in this picture. Place its corners by hand, or say that there is none.",
    );
  const { corners, residualPx } = best;
  const doubt =
    found.filter(({ sure }) => sure).length > 1
      ? "Two cards are in view; this is one of them."
      : best.sure
        ? undefined
        : best.doubt;
  return ok({ corners, residualPx, sure: doubt === undefined, ...(doubt !== undefined && { doubt }) });
}

interface Judged extends FoundCard {
  /** How much of what the print shows is there, 0 to 1. */
  likeness: number;
}

const middleOf = (corners: Corners): Vector =>
  times(
    corners.reduce<Vector>((sum, one) => plus(sum, one), [0, 0]),
    0.25,
  );
const sideOf = (corners: Corners): number =>
  corners.reduce((sum, one, at) => sum + distance(one, corners[(at + 1) % 4] as Vector), 0) / 4;

/** Four-cornered outlines of connected dark places, in the order of the hull. */
function darkQuads({ width, height }: GreyPicture, dark: Uint8Array): Corners[] {
  const seen = new Uint8Array(width * height);
  const stack: number[] = [];
  const quads: Corners[] = [];
  for (let start = 0; start < dark.length; start++) {
    if (!dark[start] || seen[start]) continue;
    seen[start] = 1;
    stack.push(start);
    /** Leftmost and rightmost of each row: all that a hull needs. */
    const rows = new Map<number, [number, number]>();
    let count = 0;
    let [left, right] = [width, 0];
    while (stack.length > 0) {
      const at = stack.pop() as number;
      const [x, y] = [at % width, (at / width) | 0];
      count++;
      left = Math.min(left, x);
      right = Math.max(right, x);
      const row = rows.get(y);
      if (!row) rows.set(y, [x, x]);
      else {
        row[0] = Math.min(row[0], x);
        row[1] = Math.max(row[1], x);
      }
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const [nx, ny] = [x + dx, y + dy];
          if (nx < 0 || ny < 0 || nx >= width || ny >= height) continue;
          const next = ny * width + nx;
          if (dark[next] && !seen[next]) {
            seen[next] = 1;
            stack.push(next);
          }
        }
    }
    if (right - left < LEAST_PX || rows.size < LEAST_PX || count < 3 * LEAST_PX) continue;
    const hull = hullOf(
      [...rows].flatMap(([y, [a, b]]): Vector[] => [
        [a, y],
        [b, y],
      ]),
    );
    const quad = largestQuad(hull);
    if (!quad) continue;
    const [area, hullArea] = [areaOf(quad), areaOf(hull)];
    // A ring: far from filled, and its hull is hardly more than the four-sided figure in it.
    if (hullArea > MOST_OVER_QUAD * area || count > 0.75 * area) continue;
    const sides = quad.map((one, at) => distance(one, quad[(at + 1) % 4] as Vector));
    if (Math.min(...sides) < LEAST_PX || Math.max(...sides) > MOST_SIDES * Math.min(...sides)) continue;
    quads.push(quad);
  }
  return quads.sort((a, b) => areaOf(b) - areaOf(a)).slice(0, 24);
}

const areaOf = (points: readonly Vector[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], at) => {
      const [nx, ny] = points[(at + 1) % points.length] as Vector;
      return sum + x * ny - nx * y;
    }, 0),
  ) / 2;

/** Convex hull, clockwise on a screen. Source: Andrew 1979, monotone chain. */
function hullOf(points: readonly Vector[]): Vector[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (all: readonly Vector[]): Vector[] => {
    const chain: Vector[] = [];
    for (const point of all) {
      for (;;) {
        const [a, b] = [chain.at(-2), chain.at(-1)];
        if (!a || !b || (b[0] - a[0]) * (point[1] - a[1]) - (b[1] - a[1]) * (point[0] - a[0]) > 0) break;
        chain.pop();
      }
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

/** The largest four-sided figure whose corners are of the hull: by the widest pair, then each corner moved while it grows. */
function largestQuad(hull: readonly Vector[]): Corners | undefined {
  const n = hull.length;
  if (n < 4) return undefined;
  const at = (index: number) => hull[((index % n) + n) % n] as Vector;
  let widest: [number, number] = [0, 1];
  for (let a = 0; a < n; a++)
    for (let b = a + 1; b < n; b++)
      if (distance(at(a), at(b)) > distance(at(widest[0]), at(widest[1]))) widest = [a, b];
  const [a, c] = widest;
  const away = (index: number) => {
    const [from, to, point] = [at(a), at(c), at(index)];
    return Math.abs((to[0] - from[0]) * (point[1] - from[1]) - (to[1] - from[1]) * (point[0] - from[0]));
  };
  const furthest = (from: number, to: number): number => {
    let best = from + 1;
    for (let index = from + 1; index < to; index++) if (away(index) > away(best)) best = index;
    return best;
  };
  if (c - a < 2 || a + n - c < 2) return undefined;
  const corners = [a, furthest(a, c), c, furthest(c, a + n)];
  const figure = () => corners.map(at) as unknown as Corners;
  for (let round = 0; round < 8; round++) {
    let moved = false;
    for (let corner = 0; corner < 4; corner++)
      for (const by of [-1, 1])
        for (;;) {
          const before = areaOf(figure());
          corners[corner] = (corners[corner] as number) + by;
          if (areaOf(figure()) > before + 1e-9) moved = true;
          else {
            corners[corner] = (corners[corner] as number) - by;
            break;
          }
        }
    if (!moved) break;
  }
  return figure();
}

/** Places along an edge at which it is looked for, leaving out the corners, which may be creased or worn. */
const EDGE_PLACES = 56;
const EDGE_FROM = 0.06;
/** So many of them must lie on one line for the edge to count at all, and to be sure of it. */
const LEAST_ON_LINE = 0.3;
const SURE_ON_LINE = 0.55;
/** An edge drops at least by so much from white to black, grey levels. */
const LEAST_DROP = 12;
/** Points further than this from their line are dirt or crease, px, or this many times the usual distance. */
const OFF_LINE_PX = 0.6;
const OFF_LINE_TIMES = 2.5;

interface EdgeLine {
  at: Vector;
  along: Vector;
  /** Part of the places that lie on it. */
  on: number;
  squares: number;
  count: number;
}

/** The outer edge of the frame from a to b, to a tenth of a pixel: where white falls to black, fitted by a line. */
function edgeLine(
  picture: GreyPicture,
  a: Vector,
  b: Vector,
  outward: Vector,
  reach: number,
): EdgeLine | undefined {
  const points: Vector[] = [];
  const step = 0.5;
  const steps = Math.max(4, Math.round(reach / step));
  for (let place = 0; place < EDGE_PLACES; place++) {
    const t = EDGE_FROM + ((1 - 2 * EDGE_FROM) * (place + 0.5)) / EDGE_PLACES;
    const on = plus(a, times(minus(b, a), t));
    let [best, at] = [0, 0];
    const profile: number[] = [];
    for (let index = -steps; index <= steps; index++) {
      const [x, y] = plus(on, times(outward, -index * step));
      profile.push(greyAt(picture, x, y));
    }
    // The steepest fall over two pixels, going inwards.
    const drops = profile.map((value, index) => value - (profile[index + 1] ?? value));
    for (let index = 1; index + 3 < drops.length; index++) {
      const drop =
        (drops[index] ?? 0) + (drops[index + 1] ?? 0) + (drops[index - 1] ?? 0) + (drops[index + 2] ?? 0);
      if (drop > best) [best, at] = [drop, index];
    }
    if (best < LEAST_DROP) continue;
    // Its middle: the fall's own centre of weight.
    let [weight, moment] = [0, 0];
    for (let index = Math.max(0, at - 3); index <= Math.min(drops.length - 2, at + 4); index++) {
      const drop = Math.max(0, drops[index] ?? 0);
      weight += drop;
      moment += drop * (index + 0.5);
    }
    if (weight > 0) points.push(plus(on, times(outward, -(moment / weight - steps) * step)));
  }
  return lineThrough(points);
}

/** A line through points of which some lie off it: total least squares, the far ones left out, until it stands. */
function lineThrough(points: readonly Vector[]): EdgeLine | undefined {
  let kept = points;
  let line: EdgeLine | undefined;
  for (let round = 0; round < 6; round++) {
    if (kept.length < LEAST_ON_LINE * EDGE_PLACES) return undefined;
    const at = times(
      kept.reduce<Vector>((sum, one) => plus(sum, one), [0, 0]),
      1 / kept.length,
    );
    let [xx, xy, yy] = [0, 0, 0];
    for (const [x, y] of kept) {
      xx += (x - at[0]) ** 2;
      xy += (x - at[0]) * (y - at[1]);
      yy += (y - at[1]) ** 2;
    }
    const turn = 0.5 * Math.atan2(2 * xy, xx - yy);
    const along: Vector = [Math.cos(turn), Math.sin(turn)];
    const off = (point: Vector) => Math.abs(dot(minus(point, at), [-along[1], along[0]]));
    const usual = [...kept].map(off).sort((a, b) => a - b)[Math.floor(kept.length / 2)] ?? 0;
    const most = Math.max(OFF_LINE_PX, OFF_LINE_TIMES * usual);
    const next = points.filter((point) => off(point) <= most);
    line = {
      at,
      along,
      on: kept.length / EDGE_PLACES,
      squares: kept.reduce((sum, point) => sum + off(point) ** 2, 0),
      count: kept.length,
    };
    if (next.length === kept.length) break;
    kept = next;
  }
  return line;
}

function crossing(a: EdgeLine, b: EdgeLine): Vector | undefined {
  const across = a.along[0] * b.along[1] - a.along[1] * b.along[0];
  if (Math.abs(across) < 0.05) return undefined;
  const between = minus(b.at, a.at);
  const t = (between[0] * b.along[1] - between[1] * b.along[0]) / across;
  return plus(a.at, times(a.along, t));
}

/** The four edges of a rough figure fitted, twice, and what it shows held against the print. */
function judge(picture: GreyPicture, rough: Corners): Judged | undefined {
  let corners = rough;
  let lines: EdgeLine[] = [];
  for (const reachMm of [FRAME * 1.6, FRAME * 0.85]) {
    const middle = middleOf(corners);
    const reach = Math.max(3, (reachMm / SIDE) * sideOf(corners));
    lines = [];
    for (let side = 0; side < 4; side++) {
      const [a, b] = [corners[side] as Vector, corners[(side + 1) % 4] as Vector];
      const along = minus(b, a);
      const long = Math.hypot(along[0], along[1]);
      let outward: Vector = [along[1] / long, -along[0] / long];
      if (dot(outward, minus(a, middle)) < 0) outward = times(outward, -1);
      const line = edgeLine(picture, a, b, outward, reach);
      if (!line) return undefined;
      lines.push(line);
    }
    const crossed = [3, 0, 1, 2].map((before, at) =>
      crossing(lines[before] as EdgeLine, lines[at] as EdgeLine),
    );
    if (crossed.some((one) => one === undefined)) return undefined;
    corners = crossed as unknown as Corners;
  }
  if (corners.some(([x, y]) => x < 0 || y < 0 || x > picture.width - 1 || y > picture.height - 1))
    return undefined;
  if (Math.abs(areaOf(corners) / areaOf(rough) - 1) > 0.35) return undefined;
  return hung(picture, clockwise(corners), lines);
}

/** Corners in the order of a clock on the screen, so that the card is seen from its front. */
function clockwise(corners: Corners): Corners {
  const [a, b, c, d] = corners;
  const turn = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
  return turn > 0 ? corners : [a, d, c, b];
}

/** What has to be there of the print for it to count at all, and to be sure, 0 to 1. */
const LEAST_LIKE = 0.6;
const SURE_LIKE = 0.75;
/** The plumb mark tells the way it hangs by at least so much more than any other way. */
const SURE_APART = 0.25;
/** Black is at most this part of the white beside it. */
const BLACK_PART = 0.78;
/** Edges that lie further from their lines are no printed card's, px. */
const MOST_RESIDUAL_PX = 0.9;

/** Which way round it hangs, and how much of the print is there. */
function hung(picture: GreyPicture, corners: Corners, lines: readonly EdgeLine[]): Judged | undefined {
  const ways = [0, 1, 2, 3].map((turn) => {
    const turned = [0, 1, 2, 3].map((at) => corners[(at + turn) % 4]) as unknown as Corners;
    const map = toPicture(turned);
    return map && { turned, mark: plumbLike(picture, map), map };
  });
  const [first, second] = ways.filter((way) => way !== undefined).sort((a, b) => b.mark - a.mark);
  if (!first || !second) return undefined;
  const frame = frameLike(picture, first.map);
  const likeness = Math.min(frame, first.mark);
  if (frame < LEAST_LIKE || first.mark < LEAST_LIKE / 2) return undefined;
  const count = lines.reduce((sum, one) => sum + one.count, 0);
  const residualPx = Math.sqrt(lines.reduce((sum, one) => sum + one.squares, 0) / count);
  const doubts = [
    frame < SURE_LIKE && "Its frame is not clear all round.",
    (first.mark < SURE_LIKE || first.mark - second.mark < SURE_APART) && "Its plumb mark is not clear.",
    lines.some(({ on }) => on < SURE_ON_LINE) && "An edge of it is hidden in part.",
    residualPx > MOST_RESIDUAL_PX && "Its edges are not straight: the card is bent.",
  ].filter((one) => one !== false);
  const [doubt] = doubts;
  return {
    corners: first.turned,
    residualPx,
    likeness,
    sure: doubt === undefined,
    ...(doubt !== undefined && { doubt }),
  };
}

function toPicture(corners: Corners): Homography | undefined {
  const square: readonly Vector[] = [
    [0, 0],
    [SIDE, 0],
    [SIDE, SIDE],
    [0, SIDE],
  ];
  const found = homographyFrom(corners.map((from, at) => ({ from, to: square[at] as Vector })));
  return found.ok ? inverseHomography(found.value) : undefined;
}

const seen = (picture: GreyPicture, map: Homography, mm: Vector): number => {
  const [x, y] = mapPoint(map, mm);
  return greyAt(picture, x, y);
};

/** Part of the places round the frame at which white margin, black frame and white field follow one another. */
function frameLike(picture: GreyPicture, map: Homography): number {
  const places = 12;
  let like = 0;
  for (let side = 0; side < 4; side++)
    for (let place = 0; place < places; place++) {
      const along = SIDE * (0.08 + (0.84 * (place + 0.5)) / places);
      const at = (depth: number): Vector =>
        side === 0
          ? [along, depth]
          : side === 1
            ? [SIDE - depth, along]
            : side === 2
              ? [along, SIDE - depth]
              : [depth, along];
      const black = seen(picture, map, at(FRAME / 2));
      const [outside, inside] = [seen(picture, map, at(-MARGIN / 2)), seen(picture, map, at(FRAME + 4.5))];
      // The words printed inside the lower edge may lie under one of the inner places.
      const white = side === 2 ? outside : Math.min(outside, inside);
      if (black < BLACK_PART * white) like++;
    }
  return like / (4 * places);
}

/** Places of the plumb mark, mm from the frame's top left: its line, the flanks of its bob, and white beside both. */
const MIDDLE = SIDE / 2;
const LINE: readonly Vector[] = Array.from({ length: 13 }, (_, at): Vector => [MIDDLE, 14 + 3 * at]);
const FLANKS: readonly Vector[] = [
  [-3.4, SIDE - 24.8],
  [3.4, SIDE - 24.8],
  [-2.6, SIDE - 22.5],
  [2.6, SIDE - 22.5],
  [-1.7, SIDE - 19.5],
  [1.7, SIDE - 19.5],
].map(([x = 0, y = 0]): Vector => [MIDDLE + x, y]);
const WHITE: readonly Vector[] = [
  [0, 7.5],
  [-9, SIDE - 22],
  [9, SIDE - 22],
  [-3.4, SIDE - 15],
  [3.4, SIDE - 15],
  [-3.4, 38],
  [3.4, 38],
].map(([x = 0, y = 0]): Vector => [MIDDLE + x, y]);
const PAPER: readonly Vector[] = [
  [-10, 20],
  [10, 20],
  [-10, 40],
  [10, 40],
].map(([x = 0, y = 0]): Vector => [MIDDLE + x, y]);

/**
 * How much of the plumb mark is there, 0 to 1: a line down the middle, white on both sides of it, and the bob at its lower
 * end and not at its upper. Hung upside down it is 0.
 */
function plumbLike(picture: GreyPicture, map: Homography): number {
  const paper = PAPER.map((mm) => seen(picture, map, mm)).sort((a, b) => a - b);
  const limit = BLACK_PART * (paper[1] ?? 0);
  const part = (places: readonly Vector[], black: boolean) =>
    places.filter((mm) => seen(picture, map, mm) < limit === black).length / places.length;
  const upperEnd = FLANKS.map(([x, y]): Vector => [x, SIDE - y]);
  const bob = Math.max(0, part(FLANKS, true) - part(upperEnd, true));
  return part(LINE, true) * part(WHITE, false) * bob;
}
