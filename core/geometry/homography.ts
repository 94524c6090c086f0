import { fail, ok, type Result } from "../result";
import type { Vector } from "./vector";

/** A map between two planes, row by row; the last number is 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/** A point carried over; a point on the map's horizon comes back far away, never as NaN. */
export function mapPoint(h: Homography, [x, y]: Vector): Vector {
  const w = h[6] * x + h[7] * y + h[8];
  const safe = Math.abs(w) < 1e-12 ? 1e-12 : w;
  return [(h[0] * x + h[1] * y + h[2]) / safe, (h[3] * x + h[4] * y + h[5]) / safe];
}

/**
 * The homography that takes each `from` to its `to`: exact for four pairs, least squares for more (normalised direct
 * linear transform). Errors: `too-few` under four pairs, `degenerate` where the points do not fix it (in line).
 * Source: Hartley and Zisserman, Multiple View Geometry, 2nd ed. (2004), algorithm 4.2.
 */
export function homographyFrom(pairs: readonly { from: Vector; to: Vector }[]): Result<Homography> {
  if (pairs.length < 4) return fail("too-few", "corners", "Four corners are wanted.");
  const a = normaliser(pairs.map(({ from }) => from));
  const b = normaliser(pairs.map(({ to }) => to));
  const normal = Array.from({ length: 8 }, () => new Array<number>(9).fill(0));
  const add = (row: number[], value: number) => {
    for (let i = 0; i < 8; i++)
      for (let j = 0; j <= 8; j++)
        (normal[i] as number[])[j] = at(normal, i, j) + (row[i] ?? 0) * (j === 8 ? value : (row[j] ?? 0));
  };
  for (const { from, to } of pairs) {
    const [x, y] = a.apply(from);
    const [u, v] = b.apply(to);
    add([x, y, 1, 0, 0, 0, -u * x, -u * y], u);
    add([0, 0, 0, x, y, 1, -v * x, -v * y], v);
  }
  const solved = solve(normal);
  if (!solved) return fail("degenerate", "corners", "These points lie in line: they fix no plane.");
  const h = multiply(multiply(b.back, [...solved, 1]), a.matrix);
  const scale = h[8] ?? 0;
  if (Math.abs(scale) < 1e-15)
    return fail(
      "degenerate",
      "corners",
      "The picture's corner lies on the horizon of the card. Take another picture.",
    );
  return ok(h.map((value) => value / scale) as unknown as Homography);
}

export function inverseHomography(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h;
  const inverse = [
    e * j - f * i,
    c * i - b * j,
    b * f - c * e,
    f * g - d * j,
    a * j - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ];
  const scale = inverse[8] ?? 1;
  return inverse.map((value) => value / scale) as unknown as Homography;
}

/** How a small step in x and in y is carried over at a point: [[du/dx, du/dy], [dv/dx, dv/dy]]. */
export function jacobianAt(h: Homography, point: Vector): readonly [Vector, Vector] {
  const [x, y] = point;
  const w = h[6] * x + h[7] * y + h[8];
  const [u, v] = mapPoint(h, point);
  return [
    [(h[0] - u * h[6]) / w, (h[1] - u * h[7]) / w],
    [(h[3] - v * h[6]) / w, (h[4] - v * h[7]) / w],
  ];
}

/** Singular values of a 2 x 2 matrix, larger first. */
export function singularValues([[a, b], [c, d]]: readonly [Vector, Vector]): readonly [number, number] {
  const sum = a * a + b * b + c * c + d * d;
  const difference = Math.hypot(a * a + b * b - c * c - d * d, 2 * (a * c + b * d));
  return [Math.sqrt((sum + difference) / 2), Math.sqrt(Math.max(0, (sum - difference) / 2))];
}

/** Moves points to mean 0 and mean distance sqrt 2. */
function normaliser(points: readonly Vector[]) {
  const mx = points.reduce((sum, [x]) => sum + x, 0) / points.length;
  const my = points.reduce((sum, [, y]) => sum + y, 0) / points.length;
  const size = points.reduce((sum, [x, y]) => sum + Math.hypot(x - mx, y - my), 0) / points.length || 1;
  const s = Math.SQRT2 / size;
  return {
    apply: ([x, y]: Vector): Vector => [(x - mx) * s, (y - my) * s],
    matrix: [s, 0, -s * mx, 0, s, -s * my, 0, 0, 1],
    back: [1 / s, 0, mx, 0, 1 / s, my, 0, 0, 1],
  };
}

function multiply(a: readonly number[], b: readonly number[]): number[] {
  return Array.from({ length: 9 }, (_, index) => {
    const [row, column] = [Math.floor(index / 3) * 3, index % 3];
    return (
      (a[row] ?? 0) * (b[column] ?? 0) +
      (a[row + 1] ?? 0) * (b[column + 3] ?? 0) +
      (a[row + 2] ?? 0) * (b[column + 6] ?? 0)
    );
  });
}

const at = (matrix: number[][], row: number, column: number): number => matrix[row]?.[column] ?? 0;

/** Gauss with row pivoting on eight rows of nine; undefined where the rows do not fix the unknowns. */
function solve(rows: number[][]): number[] | undefined {
  const n = rows.length;
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column + 1; row < n; row++)
      if (Math.abs(at(rows, row, column)) > Math.abs(at(rows, pivot, column))) pivot = row;
    if (Math.abs(at(rows, pivot, column)) < 1e-12) return undefined;
    [rows[column], rows[pivot]] = [rows[pivot] as number[], rows[column] as number[]];
    for (let row = 0; row < n; row++) {
      if (row === column) continue;
      const factor = at(rows, row, column) / at(rows, column, column);
      for (let j = column; j <= n; j++)
        (rows[row] as number[])[j] = at(rows, row, j) - factor * at(rows, column, j);
    }
  }
  return rows.map((_, index) => at(rows, index, n) / at(rows, index, index));
}
