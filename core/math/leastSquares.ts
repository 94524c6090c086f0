import { quadraticMinimum, type LinearLimit } from "./quadratic";

/** A smooth constraint `at(x) <= 0`. */
type Constraint = (x: readonly number[]) => number;

/** Least squares over a box with a few more constraints. All arrays are as long as `x` has numbers. */
export interface BoundedLeastSquares {
  /** The residuals whose squares are added up; undefined where they have no value. */
  residuals: (x: readonly number[]) => readonly number[] | undefined;
  most: readonly number[];
  constraints: readonly Constraint[];
  /** Corners of the box from which it is tried too, where a constraint holds the minimum: a bent one may hide a better. */
  corners?: readonly (readonly number[])[];
}

/** The minimum, and what holds it there. */
export interface Minimum {
  x: readonly number[];
  value: number;
  /** For each upper bound and each constraint: what a small easing of it would save, 0 where it does not hold back. */
  atMost: readonly number[];
  atConstraint: readonly number[];
}

/** Step of the slopes, forward: small enough that the bend of a cut's effect does not show, large against rounding. */
const STEP = 1e-5;
const ROUNDS = 40;
/** A step this small, in the unit of x, or a saving this small of the sum, ends the search. */
const SMALLEST_STEP = 1e-9;
const SMALLEST_SAVING = 1e-12;
/** Slack that counts as none, in the unit of x and of the constraints. */
const TOUCHING = 1e-9;

/**
 * The least sum of squares with `0 <= x <= most` and every constraint kept, from nothing, and where a constraint holds
 * it from each given corner too, the best of them: sequential quadratic programming with the Gauss-Newton matrix. `x = 0` has to be allowed and the
 * residuals have to pin down every variable; both hold by construction here.
 *
 * Source: Nocedal and Wright, Numerical Optimization (2006), chapters 10 and 18.
 */
export function boundedLeastSquares(problem: BoundedLeastSquares): Minimum {
  const first = descend(
    problem,
    problem.most.map(() => 0),
  );
  if (!problem.corners || first.atConstraint.every((one) => one === 0)) return first;
  return problem.corners
    .map((corner) => descend(problem, drawnIn(problem, corner)))
    .reduce((a, b) => (b.value < a.value ? b : a), first);
}

const squares = (values: readonly number[]): number => values.reduce((sum, one) => sum + one * one, 0);

const isAllowed = ({ constraints }: BoundedLeastSquares, x: readonly number[]): boolean =>
  constraints.every((one) => one(x) <= TOUCHING);

const valueAt = (problem: BoundedLeastSquares, x: readonly number[]): number => {
  const found = isAllowed(problem, x) ? problem.residuals(x) : undefined;
  return found ? squares(found) : Number.POSITIVE_INFINITY;
};

/** A corner halved until it is allowed. */
function drawnIn(problem: BoundedLeastSquares, corner: readonly number[]): readonly number[] {
  for (let scale = 1; scale > 0.01; scale /= 2) {
    const x = corner.map((one) => one * scale);
    if (Number.isFinite(valueAt(problem, x))) return x;
  }
  return corner.map(() => 0);
}

function descend(problem: BoundedLeastSquares, start: readonly number[]): Minimum {
  const rows = boundRows(start.length);
  let x = start;
  let value = valueAt(problem, x);
  let multipliers: readonly number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const at = slopes(problem, x);
    const { d: step, multipliers: forces } = pictured(problem, x, at, rows);
    multipliers = forces;
    let part = 1;
    let next = stepped(problem, x, step, part, at);
    while (next.value >= value && part > 1e-6) {
      part /= 2;
      next = stepped(problem, x, step, part, at);
    }
    if (next.value >= value) break;
    let moved = 0;
    for (const [index, one] of next.x.entries()) moved = Math.max(moved, Math.abs(one - (x[index] ?? 0)));
    const saved = value - next.value;
    ({ x, value } = next);
    if (moved < SMALLEST_STEP || saved < SMALLEST_SAVING * (1 + value)) break;
  }
  return {
    x,
    value,
    atMost: multipliers.slice(0, x.length),
    atConstraint: multipliers.slice(2 * x.length),
  };
}

/** Where a part of a step leads; what it oversteps of a bent constraint is taken back along that constraint's slope. */
function stepped(
  problem: BoundedLeastSquares,
  x: readonly number[],
  step: readonly number[],
  part: number,
  at: Slopes,
) {
  const inBox = (one: number, index: number) => Math.min(problem.most[index] ?? 0, Math.max(0, one));
  let next = x.map((one, index) => inBox(one + part * (step[index] ?? 0), index));
  for (let round = 0; round < 6 && !isAllowed(problem, next); round++)
    for (const [place, constraint] of problem.constraints.entries()) {
      const over = constraint(next);
      if (over <= 0) continue;
      const slope = at.constraintSlopes[place] ?? [];
      const room = slope.map((one, index) =>
        (next[index] ?? 0) - one * over > 0 && (problem.most[index] ?? 0) > 0 ? one : 0,
      );
      const size = squares(room);
      if (size === 0) break;
      next = next.map((one, index) =>
        inBox(one - ((room[index] ?? 0) * (over + TOUCHING / 2)) / size, index),
      );
    }
  return { x: next, value: valueAt(problem, next) };
}

interface Slopes {
  /** One row a variable: how each residual changes with it. */
  jacobian: number[][];
  gradient: number[];
  constraintAt: number[];
  constraintSlopes: number[][];
}

function slopes({ residuals: at, constraints }: BoundedLeastSquares, x: readonly number[]): Slopes {
  const residuals = at(x) ?? [];
  const constraintAt = constraints.map((one) => one(x));
  const jacobian: number[][] = [];
  const gradient: number[] = [];
  const constraintSlopes: number[][] = constraints.map(() => []);
  const ahead = [...x];
  for (let index = 0; index < x.length; index++) {
    const here = x[index] ?? 0;
    ahead[index] = here + STEP;
    const up = at(ahead) ?? residuals;
    const row: number[] = [];
    let sum = 0;
    for (let term = 0; term < residuals.length; term++) {
      const slope = ((up[term] ?? 0) - (residuals[term] ?? 0)) / STEP;
      row.push(slope);
      sum += slope * (residuals[term] ?? 0);
    }
    jacobian.push(row);
    gradient.push(2 * sum);
    for (const [place, constraint] of constraints.entries())
      constraintSlopes[place]?.push((constraint(ahead) - (constraintAt[place] ?? 0)) / STEP);
    ahead[index] = here;
  }
  return { jacobian, gradient, constraintAt, constraintSlopes };
}

/** The upper bounds as rows, then the lower ones: the same for every step. */
function boundRows(size: number): number[][] {
  const rows: number[][] = [];
  for (const sign of [1, -1])
    for (let index = 0; index < size; index++) {
      const row = new Array<number>(size).fill(0);
      row[index] = sign;
      rows.push(row);
    }
  return rows;
}

/** The minimum of the quadratic picture of the problem about x. Limits: the upper bounds, the lower ones, the constraints. */
function pictured(
  problem: BoundedLeastSquares,
  x: readonly number[],
  at: Slopes,
  rows: readonly (readonly number[])[],
) {
  const size = x.length;
  const matrix: number[][] = [];
  for (let a = 0; a < size; a++) {
    const line: number[] = [];
    for (let b = 0; b < size; b++) {
      let sum = 0;
      const [one = [], other = []] = [at.jacobian[a], at.jacobian[b]];
      for (let term = 0; term < one.length; term++) sum += (one[term] ?? 0) * (other[term] ?? 0);
      line.push(2 * sum);
    }
    matrix.push(line);
  }
  const limits: LinearLimit[] = [];
  for (const [index, row] of rows.entries()) {
    const here = x[index % size] ?? 0;
    limits.push({ row, bound: index < size ? Math.max(0, (problem.most[index] ?? 0) - here) : here });
  }
  for (const [place, row] of at.constraintSlopes.entries())
    limits.push({ row, bound: Math.max(0, -(at.constraintAt[place] ?? 0)) });
  return quadraticMinimum(matrix, at.gradient, limits);
}
