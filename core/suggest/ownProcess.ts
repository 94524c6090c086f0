import { CholeskyDecomposition, Matrix } from "ml-matrix";
import { dot, type Vector } from "../geometry/vector";

/**
 * No foot is the model. Its own shape bends smoothly, over this length; dirt and shadow mislead neighbours of an edge
 * together, over a shorter one. One sd and lengths, mm. Assumptions.
 */
const OWN = { sdMm: 0.8, reachMm: 32 };
export const MISLED = { sdMm: 0.35, reachMm: 7 };

/** One number that was seen: a direction at a place, how it moves with the foot's numbers, what is left over, its scatter. */
export interface Witness {
  at: Vector;
  way: Vector;
  row: readonly number[];
  left: number;
  sdMm: number;
  /** Places of the same edge are misled together. */
  edge: string | undefined;
}

export interface Solved {
  state: number[];
  /** What is expected of a place in a direction beyond where the foot lies, mm, and how sure that is. */
  at: (at: Vector, row: readonly Vector[], way: Vector) => { by: number; sdMm: number };
}

/** How alike two places' own shapes are, mm2. */
const own = (a: Vector, b: Vector): number =>
  OWN.sdMm ** 2 * Math.exp(-((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2) / (2 * OWN.reachMm ** 2));
const misled = (a: Vector, b: Vector): number =>
  MISLED.sdMm ** 2 * Math.exp(-((a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2) / (2 * MISLED.reachMm ** 2));

/** The foot's numbers and its own shape from what was seen, about where it lies (`from`). */
export function solve(
  witnesses: readonly Witness[],
  from: readonly number[],
  sds: readonly number[],
): Solved {
  const count = witnesses.length;
  // What lies between the prior's middle and here is a part of what is left over.
  const prior = from.map((one, index) => one / (sds[index] ?? 1));
  const rows = witnesses.map(({ row }) => row);
  const covariance = Matrix.zeros(count, count);
  const left = new Array<number>(count).fill(0);
  for (const [a, one] of witnesses.entries()) {
    left[a] = one.left + dotN(one.row, prior);
    for (let b = 0; b <= a; b++) {
      const other = witnesses[b] as Witness;
      let value = dotN(one.row, other.row) + dot(one.way, other.way) * own(one.at, other.at);
      if (one.edge !== undefined && one.edge === other.edge) value += misled(one.at, other.at);
      if (a === b) value += one.sdMm ** 2;
      covariance.set(a, b, value);
      covariance.set(b, a, value);
    }
  }
  const parts = new CholeskyDecomposition(covariance);
  const weights = parts.solve(Matrix.columnVector(left)).getColumn(0);
  const numbers = prior.map((_, index) =>
    rows.reduce((sum, row, at) => sum + (row[index] ?? 0) * (weights[at] ?? 0), 0),
  );
  const lower = parts.lowerTriangularMatrix;
  return {
    state: numbers.map((one, index) => one * (sds[index] ?? 1)),
    at: (at, row, way) => {
      const along = row.map((one) => dot(one, way));
      const alike = witnesses.map((one) => dotN(one.row, along) + dot(one.way, way) * own(one.at, at));
      const by = dotN(alike, weights) - dotN(along, prior);
      // Forward substitution: what the witnesses take away of the doubt.
      let taken = 0;
      const solved = new Float64Array(count);
      for (let a = 0; a < count; a++) {
        let value = alike[a] ?? 0;
        for (let b = 0; b < a; b++) value -= lower.get(a, b) * (solved[b] ?? 0);
        const part = value / lower.get(a, a);
        solved[a] = part;
        taken += part * part;
      }
      const before = dotN(along, along) + OWN.sdMm ** 2;
      return { by, sdMm: Math.sqrt(Math.max(0, before - taken)) };
    },
  };
}

function dotN(a: readonly number[], b: ArrayLike<number>): number {
  let sum = 0;
  for (let index = 0; index < a.length; index++) sum += (a[index] ?? 0) * (b[index] ?? 0);
  return sum;
}
