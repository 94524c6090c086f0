import { basisInverse, extendedInverse } from "./basisInverse";
import { SparseColumns, type Column } from "./sparseColumns";

/** Steps nearer to nothing than this count as nothing, reduced costs, pivots likewise (costs and rows of ordinary size). */
const ZERO_TOLERANCE = 1e-9;
const REDUCED_COST_TOLERANCE = 1e-6;
const PIVOT_TOLERANCE = 1e-7;
/** A value that is below nothing by less is nothing. */
const PRIMAL_TOLERANCE = 1e-8;
/** A part of the inverse smaller than this is left out of a step. */
const DROP_TOLERANCE = 1e-13;
/** A line of which so much is there is gone over whole. */
const DENSE_SHARE = 0.3;
/** The inverse is worked out anew after so many steps, so that errors do not grow. */
const REFACTOR_EVERY = 400;
/** Reduced costs that are kept up to date step by step are worked out anew after so many. */
const REPRICE_EVERY = 50;
/** After so many steps without a way the bounds are moved a little more, so that it cannot go in circles. */
const STALL_LIMIT = 100;
const ITERATION_LIMIT = 20_000;
/** So many of the columns that gain most are looked at again before all are. */
const PARTIAL_PRICING = 40;
/** While it steps, every bound is moved by a little of its own, so that no two rows give out at once (Charnes 1952). */
const PERTURBATION = 1e-5;

/**
 * A linear programme in standard form, least cost with A x = b and x >= 0, by the revised simplex method (Dantzig 1953).
 * It starts from a basis that is feasible, or whose prices are (then by the dual method, Lemke 1954: that is how a row is
 * added to a programme that was solved). Columns can be added after it was solved, and the next solution goes on from the
 * last one: that is what it is for, a hundred small programmes that each differ from the one before by some columns or
 * rows. Dense inverse: for some hundred rows.
 *
 * `known`: the inverse of the basis without the last rows, each of which is held by a column of its own.
 *
 * Errors: a basis whose columns depend on each other throws.
 */
export class Simplex {
  readonly #m: number;
  readonly #columns: SparseColumns;
  #inBasis: Uint8Array;
  readonly #basis: number[];
  #inverse: Float64Array;
  readonly #perturbed: Float64Array;
  readonly #x: Float64Array;
  readonly #duals: Float64Array;
  readonly #direction: Float64Array;
  readonly #nonzero: Int32Array;
  #iterations = 0;

  constructor(
    columns: readonly Column[] | SparseColumns,
    readonly bounds: readonly number[],
    basis: readonly number[],
    known?: Float64Array,
  ) {
    const m = bounds.length;
    this.#m = m;
    this.#columns = columns instanceof SparseColumns ? columns : new SparseColumns();
    if (!(columns instanceof SparseColumns)) for (const column of columns) this.#columns.add(column);
    this.#inBasis = new Uint8Array(this.#columns.costs.length);
    this.#basis = [...basis];
    for (const column of basis) this.#inBasis[column] = 1;
    this.#perturbed = new Float64Array(m);
    this.#x = new Float64Array(m);
    this.#duals = new Float64Array(m);
    this.#direction = new Float64Array(m);
    this.#nonzero = new Int32Array(m);
    this.#inverse = known
      ? extendedInverse(this.#columns, this.#basis, known)
      : basisInverse(this.#columns, this.#basis);
    this.#perturb();
  }

  /** The same programme where it stands, with one row more: by column what counts in it, and no more than so much in all. */
  withLimit(times: Float64Array, most: number): Simplex {
    const columns = this.#columns.withRow(this.#m, times);
    return new Simplex(columns, [...this.bounds, most], [...this.#basis, this.count], this.#inverse);
  }

  /** The inverse of the basis, row by row. */
  get inverse(): Float64Array {
    return this.#inverse;
  }

  /** How many columns there are. */
  get count(): number {
    return this.#columns.count;
  }

  /** Adds a column and gives its number. */
  add(column: Column): number {
    const number = this.#columns.add(column);
    if (number === this.#inBasis.length) {
      const inBasis = new Uint8Array(this.#columns.costs.length);
      inBasis.set(this.#inBasis);
      this.#inBasis = inBasis;
    }
    return number;
  }

  /** Goes to the least cost; false when there is none, no end to it, or steps run out. */
  solve(): boolean {
    if (this.dualSimplex() !== "optimal") return false;
    let stuck = 0;
    let more = PERTURBATION;
    let candidates: number[] = [];
    for (let step = 0; step < ITERATION_LIMIT; step++) {
      if (this.#iterations >= REFACTOR_EVERY) this.#refactor();
      let enters = this.#mostNegative(candidates);
      if (enters === -1) {
        candidates = this.#candidates();
        enters = candidates[0] ?? -1;
      }
      if (enters === -1) {
        // Bounds that were moved far are put back; what that puts below nothing is mended.
        if (more === PERTURBATION) return true;
        more = PERTURBATION;
        this.#perturb();
        if (this.dualSimplex() !== "optimal") return false;
        continue;
      }
      this.#computeDirection(enters);
      const leaves = this.#chooseLeaving();
      if (leaves === -1) return false;
      if ((this.#x[leaves] as number) < 0) this.#shiftBound(leaves, 0);
      const length = (this.#x[leaves] as number) / (this.#direction[leaves] as number);
      this.#pivot(enters, leaves, length);
      stuck = length > more ? 0 : stuck + 1;
      if (stuck < STALL_LIMIT) continue;
      stuck = 0;
      more *= 4;
      for (let row = 0; row < this.#m; row++)
        if ((this.#x[row] as number) < more) this.#shiftBound(row, more * (1 + perturbationOf(row + step)));
    }
    return false;
  }

  /** The bounds moved by a little each. */
  #perturb(): void {
    this.bounds.forEach(
      (bound, row) => (this.#perturbed[row] = bound + PERTURBATION * (0.5 + perturbationOf(row))),
    );
    this.#recomputePrimal();
  }

  /** Moves the bounds by as much as brings one value up to another. */
  #shiftBound(row: number, to: number): void {
    const column = this.#basis[row] as number;
    const more = to - (this.#x[row] as number);
    for (
      let at = this.#columns.from[column] as number;
      at < (this.#columns.from[column + 1] as number);
      at++
    ) {
      const place = this.#columns.rows[at] as number;
      this.#perturbed[place] =
        (this.#perturbed[place] as number) + more * (this.#columns.values[at] as number);
    }
    this.#x[row] = to;
  }

  /**
   * Steps by the dual method until no value is below nothing, there is none that could be mended, or steps run out. The
   * objective rises with each step: no solution costs less, wherever it stops.
   */
  dualSimplex(steps = ITERATION_LIMIT): "optimal" | "infeasible" | "limit" {
    const count = this.count;
    const weights = new Float64Array(this.#m).fill(1);
    const pivots = new Float64Array(count);
    const reduced = new Float64Array(count);
    for (let step = 0; step < steps; step++) {
      if (this.#iterations >= REFACTOR_EVERY) this.#refactor();
      let [leaves, most] = [-1, 0];
      for (let row = 0; row < this.#m; row++) {
        const value = this.#x[row] as number;
        if (value >= -PRIMAL_TOLERANCE) continue;
        const far = (value * value) / (weights[row] as number);
        if (far > most) [leaves, most] = [row, far];
      }
      if (leaves === -1) return "optimal";
      // Prices that were kept up to date step by step are worked out anew now and then.
      if (step % REPRICE_EVERY === 0)
        for (let column = 0; column < count; column++) reduced[column] = this.#reducedCost(column);
      const enters = this.#ratioTest(leaves, reduced, pivots);

      if (enters === -1) return "infeasible";
      this.#computeDirection(enters);
      const rise = Math.max(0, reduced[enters] as number) / (pivots[enters] as number);
      for (let column = 0; column < count; column++)
        reduced[column] = (reduced[column] as number) - rise * (pivots[column] as number);
      reduced[this.#basis[leaves] as number] = -rise;
      this.#updateWeights(weights, leaves);
      this.#pivot(enters, leaves, (this.#x[leaves] as number) / (this.#direction[leaves] as number));
      reduced[enters] = 0;
    }
    return "limit";
  }

  /** How long a way each row's value has gone with the others until now: a value that is far below nothing may be near (Forrest and Goldfarb 1992). */
  #updateWeights(weights: Float64Array, leaves: number): void {
    const way = this.#direction;
    const pivot = way[leaves] as number;
    const own = weights[leaves] as number;
    for (let row = 0; row < this.#m; row++) {
      const ratio = (way[row] as number) / pivot;
      if (row !== leaves && ratio !== 0) weights[row] = Math.max(weights[row] as number, ratio * ratio * own);
    }
    weights[leaves] = Math.max(1, own / (pivot * pivot));
  }

  /** The column that brings a row's value up and whose price rises least for it; of equals the one with the largest pivot. */
  #ratioTest(leaves: number, reduced: Float64Array, pivots: Float64Array): number {
    const { from, rows, values } = this.#columns;
    const inBasis = this.#inBasis;
    const line = this.#inverse.subarray(leaves * this.#m, (leaves + 1) * this.#m);
    let [enters, least, largest] = [-1, Number.POSITIVE_INFINITY, 0];
    for (let column = 0, at = 0; column < pivots.length; column++) {
      const end = from[column + 1] as number;
      let pivot = 0;
      for (; at < end; at++) pivot += (line[rows[at] as number] as number) * (values[at] as number);
      if (inBasis[column] === 1) pivot = 0;
      pivots[column] = pivot;
      if (pivot >= -PIVOT_TOLERANCE) continue;
      const rise = Math.max(0, reduced[column] as number) / -pivot;
      if (rise < least - ZERO_TOLERANCE || (rise <= least + ZERO_TOLERANCE && -pivot > largest))
        [enters, least, largest] = [column, rise, -pivot];
    }
    return enters;
  }

  /** The least cost, by the prices of the rows: with the bounds as they were given. */
  get objective(): number {
    return this.bounds.reduce((sum, bound, row) => sum + bound * (this.#duals[row] ?? 0), 0);
  }

  /** Values of the columns in the basis, by their number, with the bounds as they were given. */
  values(): Map<number, number> {
    const m = this.#m;
    return new Map(
      this.#basis.map((column, row) => {
        const value = this.bounds.reduce(
          (sum, bound, at) => sum + (this.#inverse[row * m + at] ?? 0) * bound,
          0,
        );
        return [column, Math.max(0, value)];
      }),
    );
  }

  /** The columns of the basis, by row. */
  get basis(): readonly number[] {
    return this.#basis;
  }

  /** The price of each row. */
  duals(): number[] {
    return [...this.#duals];
  }

  #reducedCost(column: number): number {
    const { from, rows, values, costs } = this.#columns;
    const duals = this.#duals;
    let reduced = costs[column] as number;
    for (let at = from[column] as number, end = from[column + 1] as number; at < end; at++)
      reduced -= (duals[rows[at] as number] as number) * (values[at] as number);
    return reduced;
  }

  /** What a step along a column gains, by the length of the column: a long one does less than its price says. */
  #scaledReducedCost(column: number): number {
    if (this.#inBasis[column] === 1) return 0;
    const reduced = this.#reducedCost(column);
    return reduced < -REDUCED_COST_TOLERANCE
      ? reduced /
          Math.sqrt(1 + (this.#columns.from[column + 1] as number) - (this.#columns.from[column] as number))
      : 0;
  }

  /** The candidate that still gains most, -1 when none does. */
  #mostNegative(candidates: readonly number[]): number {
    let [best, least] = [-1, 0];
    for (const column of candidates) {
      const gain = this.#scaledReducedCost(column);
      if (gain < least) [best, least] = [column, gain];
    }
    return best;
  }

  /** The columns that gain most, the best first. */
  #candidates(): number[] {
    const found: { column: number; gain: number }[] = [];
    let worst = 0;
    for (let column = 0; column < this.count; column++) {
      const gain = this.#scaledReducedCost(column);
      if (!(gain < worst)) continue;
      found.push({ column, gain });
      if (found.length < 4 * PARTIAL_PRICING) continue;
      found.sort((a, b) => a.gain - b.gain);
      found.length = PARTIAL_PRICING;
      worst = found[PARTIAL_PRICING - 1]?.gain ?? 0;
    }
    return found
      .sort((a, b) => a.gain - b.gain)
      .slice(0, PARTIAL_PRICING)
      .map(({ column }) => column);
  }

  /** How the basic values fall as a column enters. */
  #computeDirection(column: number): void {
    const m = this.#m;
    const [inverse, way] = [this.#inverse, this.#direction];
    way.fill(0);
    for (
      let at = this.#columns.from[column] as number, end = this.#columns.from[column + 1] as number;
      at < end;
      at++
    ) {
      const [place, value] = [this.#columns.rows[at] as number, this.#columns.values[at] as number];
      for (let row = 0, cell = place; row < m; row++, cell += m)
        way[row] = (way[row] as number) + (inverse[cell] as number) * value;
    }
  }

  /** The row that gives out first; of equals the one with the largest pivot. */
  #chooseLeaving(): number {
    const [way, x] = [this.#direction, this.#x];
    let [leaves, shortest] = [-1, Number.POSITIVE_INFINITY];
    for (let row = 0; row < this.#m; row++) {
      const fall = way[row] as number;
      if (fall <= PIVOT_TOLERANCE) continue;
      const length = Math.max(0, x[row] as number) / fall;
      const equal = Math.abs(length - shortest) <= ZERO_TOLERANCE;
      if (leaves === -1 || (equal ? fall > (way[leaves] as number) : length < shortest))
        [leaves, shortest] = [row, length];
    }
    return leaves;
  }

  #pivot(enters: number, leaves: number, length: number): void {
    const m = this.#m;
    const [inverse, duals, way, x] = [this.#inverse, this.#duals, this.#direction, this.#x];
    const pivot = way[leaves] as number;
    const reduced = this.#reducedCost(enters);
    const start = leaves * m;
    // Most of a line is nothing: only what is there is gone over.
    const there = this.#nonzero;
    let count = 0;
    for (let at = 0; at < m; at++) {
      const part = (inverse[start + at] as number) / pivot;
      inverse[start + at] = part;
      if (Math.abs(part) < DROP_TOLERANCE) continue;
      there[count++] = at;
      duals[at] = (duals[at] as number) + reduced * part;
    }
    const dense = count > DENSE_SHARE * m;
    for (let row = 0; row < m; row++) {
      const fall = way[row] as number;
      if (row === leaves || Math.abs(fall) < DROP_TOLERANCE) continue;
      x[row] = (x[row] as number) - fall * length;
      const line = row * m;
      if (dense) {
        for (let to = line, from = start, end = line + m; to < end; to++, from++)
          inverse[to] = (inverse[to] as number) - fall * (inverse[from] as number);
        continue;
      }
      for (let index = 0; index < count; index++) {
        const at = there[index] as number;
        inverse[line + at] = (inverse[line + at] as number) - fall * (inverse[start + at] as number);
      }
    }
    x[leaves] = length;
    this.#inBasis[this.#basis[leaves] ?? 0] = 0;
    this.#inBasis[enters] = 1;
    this.#basis[leaves] = enters;
    this.#iterations += 1;
  }

  /** The inverse worked out anew, and the values and prices that go with it. */
  #refactor(): void {
    this.#inverse = basisInverse(this.#columns, this.#basis);
    this.#recomputePrimal();
    this.#iterations = 0;
  }

  /** The values and prices that go with the inverse. */
  #recomputePrimal(): void {
    const m = this.#m;
    for (let row = 0; row < m; row++) {
      let value = 0;
      for (let at = 0; at < m; at++)
        value += (this.#inverse[row * m + at] as number) * (this.#perturbed[at] as number);
      this.#x[row] = Math.abs(value) < ZERO_TOLERANCE ? 0 : value;
    }
    this.#reprice();
  }

  /** The prices of the rows from what the columns of the basis cost. */
  #reprice(): void {
    const m = this.#m;
    this.#duals.fill(0);
    this.#basis.forEach((column, row) => {
      const cost = this.#columns.costs[column] as number;
      if (cost === 0) return;
      for (let at = 0; at < m; at++)
        this.#duals[at] = (this.#duals[at] as number) + cost * (this.#inverse[row * m + at] as number);
    });
  }
}

/** A number between 0 and 1 for each row, none like another. */
const perturbationOf = (row: number): number => (row * 0.6180339887) % 1;
