import { distance, type Vector } from "../geometry/vector";
import { areaOf, type Corners } from "./corners";
import type { GreyPicture } from "./grey";

/** Looked up once: these run for every pixel. */
const { min, max } = Math;

/** A frame is at least so large, px of the searched picture, and its hull so nearly a square's picture. */
const LEAST_PX = 22;
const MOST_OVER_QUAD = 1.25;
/** Sides of one card in one picture differ by no more than this, seen as slanted as anybody would take it. */
const MOST_SIDES = 3;

/** Dark pixels side by side in one row, from the first to the last. */
interface Run {
  row: number;
  first: number;
  last: number;
}

/** Runs that touch one another, corners included, place by place in the order of their first pixels. */
function darkRuns({ width, height }: GreyPicture, dark: Uint8Array): Run[][] {
  const runs: Run[] = [];
  const parents: number[] = [];
  const rootOf = (at: number): number => {
    let root = at;
    while (parents[root] !== root) root = parents[root] ?? root;
    parents[at] = root;
    return root;
  };
  let above = 0;
  for (let row = 0; row < height; row++) {
    const begin = runs.length;
    for (let column = 0; column < width; column++) {
      if (!dark[row * width + column]) continue;
      const first = column;
      while (column + 1 < width && dark[row * width + column + 1]) column++;
      const own = runs.push({ row, first, last: column }) - 1;
      parents.push(own);
      while (above < begin && (runs[above] as Run).last < first - 1) above++;
      for (let near = above; near < begin && (runs[near] as Run).first <= column + 1; near++) {
        const [a, b] = [rootOf(near), rootOf(own)];
        parents[max(a, b)] = min(a, b);
      }
    }
    above = begin;
  }
  const places = new Map<number, Run[]>();
  for (const [at, run] of runs.entries()) {
    const root = rootOf(at);
    const place = places.get(root);
    if (place) place.push(run);
    else places.set(root, [run]);
  }
  return [...places.values()];
}

/** Four-cornered outlines of connected dark places, in the order of the hull. */
export function darkQuads(picture: GreyPicture, dark: Uint8Array): Corners[] {
  const quads: Corners[] = [];
  for (const runs of darkRuns(picture, dark)) {
    const down = (runs.at(-1) as Run).row - (runs[0] as Run).row + 1;
    if (down < LEAST_PX) continue;
    let [count, left, right] = [0, picture.width, 0];
    for (const { first, last } of runs) {
      count += last - first + 1;
      left = min(left, first);
      right = max(right, last);
    }
    if (right - left < LEAST_PX || count < 3 * LEAST_PX) continue;
    const hull = hullOf(outlineOf(runs));
    const quad = largestQuad(hull);
    if (!quad) continue;
    const [area, hullArea] = [areaOf(quad), areaOf(hull)];
    // A ring: far from filled, and its hull is hardly more than the four-sided figure in it.
    if (hullArea > MOST_OVER_QUAD * area || count > 0.75 * area) continue;
    const sides = quad.map((one, at) => distance(one, quad[(at + 1) % 4] as Vector));
    if (min(...sides) < LEAST_PX || max(...sides) > MOST_SIDES * min(...sides)) continue;
    quads.push(quad);
  }
  return quads.sort((a, b) => areaOf(b) - areaOf(a)).slice(0, 24);
}

/** The first and the last pixel of each row of a place: no others can be corners of its hull. */
function outlineOf(runs: readonly Run[]): Vector[] {
  const outline: Vector[] = [];
  for (let at = 0; at < runs.length;) {
    const { row, first } = runs[at] as Run;
    let last = first;
    for (; runs[at]?.row === row; at++) last = max(last, (runs[at] as Run).last);
    outline.push([first, row], [last, row]);
  }
  return outline;
}

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
