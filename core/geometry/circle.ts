import { fail, ok, type Result } from "../result";
import { COINCIDENT_PART } from "./tolerance";
import type { Vector } from "./vector";

/** A circle through points as well as they allow, in their own unit. */
export interface FittedCircle {
  centre: Vector;
  radius: number;
  /** Root mean square distance of the points from the circle. */
  residual: number;
}

/** Rounds of the refinement: it doubles its digits in each. */
const ROUNDS = 30;
/** A step smaller than this part of the radius ends it. */
const SMALLEST_PART = 1e-12;

/**
 * The circle with the least squares of distances to three points or more: an algebraic fit, then Gauss and Newton on the
 * distances themselves. Exact for three points. Errors: `too-few` under three points, `in-line` where they lie on a
 * straight line. Source: Gander, Golub and Strebel 1994, BIT 34:558.
 */
export function fitCircle(points: readonly Vector[]): Result<FittedCircle> {
  if (points.length < 3)
    return fail("too-few", "points", `A circle wants three points at least, not ${points.length}.`);
  const count = points.length;
  const mean: Vector = [
    points.reduce((sum, [x]) => sum + x, 0) / count,
    points.reduce((sum, [, y]) => sum + y, 0) / count,
  ];
  const moved = points.map(([x, y]): Vector => [x - mean[0], y - mean[1]]);
  const size = Math.max(...moved.map(([x, y]) => Math.hypot(x, y)));
  let [xx, xy, yy, xz, yz] = [0, 0, 0, 0, 0];
  for (const [x, y] of moved) {
    const z = x * x + y * y;
    xx += x * x;
    xy += x * y;
    yy += y * y;
    xz += x * z;
    yz += y * z;
  }
  const determinant = xx * yy - xy * xy;
  if (!(determinant > COINCIDENT_PART * size ** 4))
    return fail("in-line", "points", "These points lie on a straight line: no circle goes through them.");
  let a = (xz * yy - yz * xy) / (2 * determinant);
  let b = (yz * xx - xz * xy) / (2 * determinant);
  let radius = Math.sqrt(a * a + b * b + (xx + yy) / count);
  for (let round = 0; round < ROUNDS; round++) {
    // Distances change by the way from centre to point; the radius is their mean.
    let [gaa, gab, gbb, ra, rb, sumU, sumV, sumD] = [0, 0, 0, 0, 0, 0, 0, 0];
    const rows = moved.map(([x, y]) => {
      const distance = Math.hypot(x - a, y - b) || size * COINCIDENT_PART;
      const [u, v] = [(x - a) / distance, (y - b) / distance];
      sumU += u;
      sumV += v;
      sumD += distance;
      return { u, v, distance };
    });
    const [mu, mv, md] = [sumU / count, sumV / count, sumD / count];
    for (const { u, v, distance } of rows) {
      gaa += (u - mu) ** 2;
      gab += (u - mu) * (v - mv);
      gbb += (v - mv) ** 2;
      ra += (u - mu) * (distance - md);
      rb += (v - mv) * (distance - md);
    }
    const det = gaa * gbb - gab * gab;
    radius = md;
    if (!(det > COINCIDENT_PART)) break;
    const [da, db] = [(ra * gbb - rb * gab) / det, (rb * gaa - ra * gab) / det];
    a += da;
    b += db;
    if (Math.hypot(da, db) < SMALLEST_PART * radius) break;
  }
  radius = moved.reduce((sum, [x, y]) => sum + Math.hypot(x - a, y - b), 0) / count;
  const squares = moved.reduce((sum, [x, y]) => sum + (Math.hypot(x - a, y - b) - radius) ** 2, 0);
  return ok({
    centre: [a + mean[0], b + mean[1]],
    radius,
    residual: Math.sqrt(squares / count),
  });
}
