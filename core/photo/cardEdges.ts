import { bestLine, crossing, type Line } from "../geometry/line";
import { dot, minus, plus, times, type Vector } from "../geometry/vector";
import { middleOf, type Corners } from "./corners";
import { greyAt, type GreyPicture } from "./grey";

/** Looked up once: these run for every pixel. */
const { max, abs, round, hypot } = Math;

/** Places along an edge at which it is looked for, leaving out the corners, which may be creased or worn. */
const EDGE_PLACES = 96;
const EDGE_FROM = 0.06;
/** So many of them must lie on one line for the edge to count at all. */
const LEAST_ON_LINE = 0.3;
/** An edge drops at least by so much from white to black, grey levels. */
const LEAST_DROP = 12;
/** Points further than this from their line are dirt or crease, px, or this many times the usual distance. */
const OFF_LINE_PX = 0.3;
const OFF_LINE_TIMES = 2.5;
/** A line is first laid through the middle of its edge, from here to the same place before its end: corners bend. */
const MIDDLE_FROM = 0.2;

/** One straight edge, fitted. */
export interface EdgeLine extends Line {
  /** Part of the places that lie on it. */
  on: number;
  squares: number;
  count: number;
  /** The places that lie on it. */
  points: readonly Vector[];
}

/** The outer edge of the frame from a to b, to a tenth of a pixel: where white falls to black, fitted by a line. */
function edgeLine(
  picture: GreyPicture,
  a: Vector,
  b: Vector,
  outward: Vector,
  reach: number,
): EdgeLine | undefined {
  const points: { at: Vector; middle: boolean }[] = [];
  const step = 0.5;
  const steps = max(4, round(reach / step));
  for (let place = 0; place < EDGE_PLACES; place++) {
    const t = EDGE_FROM + ((1 - 2 * EDGE_FROM) * (place + 0.5)) / EDGE_PLACES;
    const on = plus(a, times(minus(b, a), t));
    let [best, at] = [0, 0];
    const profile: number[] = [];
    for (let index = -steps; index <= steps; index++) {
      // The mean of three places along the edge: grain is not to be taken for an edge.
      const [x, y] = plus(on, times(outward, -index * step));
      const [dx, dy] = [1.2 * outward[1], -1.2 * outward[0]];
      profile.push(
        (greyAt(picture, x, y) + greyAt(picture, x + dx, y + dy) + greyAt(picture, x - dx, y - dy)) / 3,
      );
    }
    // The steepest fall over two pixels, going inwards.
    const drops = profile.map((value, index) => value - (profile[index + 1] ?? value));
    for (let index = 1; index + 3 < drops.length; index++) {
      const drop =
        (drops[index] ?? 0) + (drops[index + 1] ?? 0) + (drops[index - 1] ?? 0) + (drops[index + 2] ?? 0);
      if (drop > best) [best, at] = [drop, index];
    }
    if (best < LEAST_DROP) continue;
    // Its middle: the centre of weight of the whole fall, however far a moved hand has drawn it.
    const least = 0.12 * max(drops[at] ?? 0, drops[at + 1] ?? 0);
    let [first, last] = [at, at + 1];
    while (first > 0 && (drops[first - 1] ?? 0) > least) first--;
    while (last < drops.length - 2 && (drops[last + 1] ?? 0) > least) last++;
    let [weight, moment] = [0, 0];
    for (let index = first; index <= last; index++) {
      const drop = max(0, drops[index] ?? 0);
      weight += drop;
      moment += drop * (index + 0.5);
    }
    if (weight > 0)
      points.push({
        at: plus(on, times(outward, -(moment / weight - steps) * step)),
        middle: t > MIDDLE_FROM && t < 1 - MIDDLE_FROM,
      });
  }
  return lineThrough(points);
}

/** A line through points of which some lie off it: total least squares, the far ones left out, until it stands. */
function lineThrough(points: readonly { at: Vector; middle: boolean }[]): EdgeLine | undefined {
  const all = points.map(({ at }) => at);
  let kept = points.filter(({ middle }) => middle).map(({ at }) => at);
  let line: EdgeLine | undefined;
  for (let round = 0; round < 8; round++) {
    if (kept.length < (round === 0 ? 0.5 : 1) * LEAST_ON_LINE * EDGE_PLACES) return undefined;
    const { at, along, squares } = bestLine(kept);
    const off = (point: Vector) => abs(dot(minus(point, at), [-along[1], along[0]]));
    const usual = [...kept].map(off).sort((a, b) => a - b)[Math.floor(kept.length / 2)] ?? 0;
    const most = max(OFF_LINE_PX, OFF_LINE_TIMES * usual);
    const next = all.filter((point) => off(point) <= most);
    line = {
      at,
      along,
      on: kept.length / EDGE_PLACES,
      squares,
      count: kept.length,
      points: kept,
    };
    if (round > 0 && next.length === kept.length) break;
    kept = next;
  }
  return line;
}

/** The edges of a figure that is black outside and white inside (`way` -1), or the other way round (1). */
export function edgesOf(
  picture: GreyPicture,
  corners: Corners,
  reach: number,
  way: 1 | -1,
): EdgeLine[] | undefined {
  const middle = middleOf(corners);
  const lines: EdgeLine[] = [];
  for (let side = 0; side < 4; side++) {
    const [a, b] = [corners[side] as Vector, corners[(side + 1) % 4] as Vector];
    const along = minus(b, a);
    const long = hypot(along[0], along[1]);
    const normal: Vector = [along[1] / long, -along[0] / long];
    const outward = times(normal, way * (dot(normal, minus(a, middle)) < 0 ? -1 : 1));
    const line = edgeLine(picture, a, b, outward, reach);
    if (!line) return undefined;
    lines.push(line);
  }
  return lines;
}

/** Where four edges cross, the first between the last and the first edge; undefined where two hardly do. */
export function cornersOf(lines: readonly Line[]): Corners | undefined {
  const crossed = [3, 0, 1, 2].map((before, at) => crossing(lines[before] as Line, lines[at] as Line));
  return crossed.some((one) => one === undefined) ? undefined : (crossed as unknown as Corners);
}
