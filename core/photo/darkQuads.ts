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

/** Four-cornered outlines of connected dark places, in the order of the hull. */
export function darkQuads({ width, height }: GreyPicture, dark: Uint8Array): Corners[] {
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
      left = min(left, x);
      right = max(right, x);
      const row = rows.get(y);
      if (!row) rows.set(y, [x, x]);
      else {
        row[0] = min(row[0], x);
        row[1] = max(row[1], x);
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
    if (min(...sides) < LEAST_PX || max(...sides) > MOST_SIDES * min(...sides)) continue;
    quads.push(quad);
  }
  return quads.sort((a, b) => areaOf(b) - areaOf(a)).slice(0, 24);
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
