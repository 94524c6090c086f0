/** `row . d <= bound`, with `bound >= 0`. */
export interface LinearLimit {
  row: readonly number[];
  bound: number;
}

/** The least point of a quadratic within linear limits, and how hard each limit holds it (0 = not at all). */
export interface QuadraticMinimum {
  d: number[];
  multipliers: number[];
}

const ROUNDS = 100;
const STILL = 1e-12;

/**
 * Least `d'Gd / 2 + g.d` with every limit kept, G symmetric and positive definite, d = 0 allowed. Limits that say the
 * same or meet in one corner do no harm: a limit is only taken up while it is not implied by those already held.
 *
 * Source: primal active sets, Nocedal and Wright, Numerical Optimization (2006), algorithm 16.3.
 */
export function quadraticMinimum(
  matrix: readonly (readonly number[])[],
  gradient: readonly number[],
  limits: readonly LinearLimit[],
): QuadraticMinimum {
  const d = gradient.map(() => 0);
  const held = pushedAgainst(gradient, limits);
  for (let round = 0; round < ROUNDS; round++) {
    const slope = gradient.map((one, index) => one + dotted(matrix[index] ?? [], d));
    const { step, forces } = stepAlong(matrix, slope, held, limits);
    if (step.every((one) => Math.abs(one) < STILL)) {
      const pulling = forces.findIndex((force) => force < -STILL);
      if (pulling < 0) return { d, multipliers: spread(held, forces, limits.length) };
      held.splice(pulling, 1);
      continue;
    }
    const { part, met } = asFarAs(step, d, held, limits);
    for (const [index, one] of step.entries()) d[index] = (d[index] ?? 0) + part * one;
    if (met >= 0) held.push(met);
  }
  return { d, multipliers: spread(held, [], limits.length) };
}

/** Limits of one variable that the start touches and the gradient pushes against: most of what will hold in the end. */
function pushedAgainst(gradient: readonly number[], limits: readonly LinearLimit[]): number[] {
  const held: number[] = [];
  const taken = new Set<number>();
  for (const [index, { row, bound }] of limits.entries()) {
    if (bound > 0 || dotted(row, gradient) >= 0) continue;
    const only = row.findIndex((one) => one !== 0);
    if (taken.has(only) || row.some((one, at) => one !== 0 && at !== only)) continue;
    taken.add(only);
    held.push(index);
  }
  return held;
}

function spread(held: readonly number[], forces: readonly number[], length: number): number[] {
  const found = new Array<number>(length).fill(0);
  for (const [place, index] of held.entries()) found[index] = forces[place] ?? 0;
  return found;
}

/** The part of a step that keeps every limit, and the limit that it meets first. */
function asFarAs(
  step: readonly number[],
  d: readonly number[],
  held: readonly number[],
  limits: readonly LinearLimit[],
): { part: number; met: number } {
  let [part, met] = [1, -1];
  for (const [index, { row, bound }] of limits.entries()) {
    const towards = dotted(row, step);
    if (towards <= STILL || held.includes(index)) continue;
    const room = Math.max(0, bound - dotted(row, d)) / towards;
    if (room < part) [part, met] = [room, index];
  }
  return { part, met };
}

const dotted = (a: readonly number[], b: readonly number[]): number => {
  let sum = 0;
  for (let index = 0; index < a.length; index++) sum += (a[index] ?? 0) * (b[index] ?? 0);
  return sum;
};

/** The step to the minimum along the held limits, and the forces with which they hold. */
function stepAlong(
  matrix: readonly (readonly number[])[],
  slope: readonly number[],
  held: readonly number[],
  limits: readonly LinearLimit[],
): { step: number[]; forces: number[] } {
  const size = slope.length;
  const system: number[][] = [];
  for (let index = 0; index < size; index++) {
    const line = [...(matrix[index] ?? [])];
    for (const one of held) line.push(limits[one]?.row[index] ?? 0);
    line.push(-(slope[index] ?? 0));
    system.push(line);
  }
  for (const one of held) {
    const line = [...(limits[one]?.row ?? [])];
    while (line.length <= size + held.length) line.push(0);
    system.push(line);
  }
  const found = solved(system);
  return { step: found.slice(0, size), forces: found.slice(size) };
}

/** Gauss with pivoting; each row holds its right side last. */
function solved(system: number[][]): number[] {
  const size = system.length;
  for (let column = 0; column < size; column++) {
    let pivot = column;
    for (let row = column + 1; row < size; row++)
      if (Math.abs(system[row]?.[column] ?? 0) > Math.abs(system[pivot]?.[column] ?? 0)) pivot = row;
    const [lead, other] = [system[pivot] as number[], system[column] as number[]];
    system[column] = lead;
    system[pivot] = other;
    for (let row = column + 1; row < size; row++) {
      const line = system[row] as number[];
      const part = (line[column] ?? 0) / (lead[column] ?? 1);
      if (part === 0) continue;
      for (let at = column; at <= size; at++) line[at] = (line[at] ?? 0) - part * (lead[at] ?? 0);
    }
  }
  const x = new Array<number>(size).fill(0);
  for (let row = size - 1; row >= 0; row--) {
    const line = system[row] as number[];
    let rest = line[size] ?? 0;
    for (let at = row + 1; at < size; at++) rest -= (line[at] ?? 0) * (x[at] ?? 0);
    x[row] = rest / (line[row] ?? 1);
  }
  return x;
}
