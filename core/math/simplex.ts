/** A column of a programme in standard form: its cost and its coefficients by row. */
export interface Column {
  cost: number;
  rows: readonly number[];
  values: readonly number[];
}

/** Steps nearer to nothing than this count as nothing, reduced costs, pivots likewise (costs and rows of ordinary size). */
const NOTHING = 1e-9;
const LEAST_GAIN = 1e-6;
const LEAST_PIVOT = 1e-7;
/** The inverse is worked out anew after so many steps, so that errors do not grow. */
const STEPS_AN_INVERSE = 300;
/** After so many steps without gain the first candidate is taken instead of the best, which cannot go in circles. */
const STUCK = 60;
const MOST_STEPS = 20_000;
/** The best of so many columns enters, not the best of all. */
const LOOKED_AT = 400;
/** While it steps, every bound is moved by a little of its own, so that no two rows give out at once (Charnes 1952). */
const MOVED = 1e-5;

/**
 * A linear programme in standard form, least cost with A x = b and x >= 0, by the revised simplex method (Dantzig 1953;
 * Bland's rule against going in circles). It starts from a feasible basis; columns can be added after it was solved, and
 * the next solution goes on from the last one: that is what it is for, a hundred small programmes that each differ from
 * the one before by some columns. Dense inverse: for some hundred rows.
 */
export class Simplex {
  readonly #m: number;
  readonly #moved: readonly number[];
  #inverse: Float64Array;
  #x: Float64Array;
  readonly #basis: number[];
  readonly #inBasis = new Set<number>();
  #duals: Float64Array;
  #steps = 0;
  /** Where the search for the next column to enter goes on. */
  #next = -1;

  constructor(
    readonly columns: Column[],
    readonly bounds: readonly number[],
    basis: readonly number[],
  ) {
    this.#m = bounds.length;
    this.#moved = bounds.map((bound, row) => bound + MOVED * (0.5 + ((row * 0.6180339887) % 1)));
    this.#basis = [...basis];
    for (const column of basis) this.#inBasis.add(column);
    this.#inverse = new Float64Array(0);
    this.#x = new Float64Array(0);
    this.#duals = new Float64Array(0);
    this.#invert();
  }

  /** Goes to the least cost; false when there is no end to it or steps run out. */
  solve(): boolean {
    let stuck = 0;
    for (let step = 0; step < MOST_STEPS; step++) {
      if (this.#steps >= STEPS_AN_INVERSE) this.#invert();
      const enters = this.#entering(stuck > STUCK);
      if (enters === -1) return true;
      const way = this.#way(enters);
      const leaves = this.#leaving(way, stuck > STUCK);
      if (leaves === -1) return false;
      const length = (this.#x[leaves] ?? 0) / (way[leaves] ?? 1);
      stuck = length > NOTHING ? 0 : stuck + 1;
      this.#pivot(enters, leaves, way, Math.max(0, length));
    }
    return false;
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

  #entering(first: boolean): number {
    let [enters, least] = [-1, -LEAST_GAIN];
    const { columns } = this;
    const count = columns.length;
    let number = first ? -1 : this.#next;
    for (let looked = 1; looked <= count; looked++) {
      number = number + 1 < count ? number + 1 : 0;
      const column = columns[number];
      if (column && !this.#inBasis.has(number)) {
        const reduced = reducedCost(column, this.#duals);
        if (reduced < least) {
          if (first) return number;
          enters = number;
          least = reduced;
        }
      }
      if (enters !== -1 && looked % LOOKED_AT === 0) break;
    }
    this.#next = number;
    return enters;
  }

  /** How the basic values fall as a column enters. */
  #way(column: number): Float64Array {
    const m = this.#m;
    const inverse = this.#inverse;
    const { rows = [], values = [] } = this.columns[column] ?? {};
    const way = new Float64Array(m);
    for (let at = 0; at < rows.length; at++) {
      const [place, value] = [rows[at] ?? 0, values[at] ?? 0];
      for (let row = 0; row < m; row++) way[row] = (way[row] ?? 0) + (inverse[row * m + place] ?? 0) * value;
    }
    return way;
  }

  /** The row that gives out first; of equals the one with the largest pivot, or the lowest column when that is asked. */
  #leaving(way: Float64Array, first: boolean): number {
    let [leaves, shortest] = [-1, Number.POSITIVE_INFINITY];
    for (let row = 0; row < this.#m; row++) {
      const fall = way[row] ?? 0;
      if (fall <= LEAST_PIVOT) continue;
      const length = Math.max(0, this.#x[row] ?? 0) / fall;
      const equal = Math.abs(length - shortest) <= NOTHING;
      const better = first ? (this.#basis[row] ?? 0) < (this.#basis[leaves] ?? 0) : fall > (way[leaves] ?? 0);
      if (leaves === -1 || (equal ? better : length < shortest)) [leaves, shortest] = [row, length];
    }
    return leaves;
  }

  #pivot(enters: number, leaves: number, way: Float64Array, length: number): void {
    const m = this.#m;
    const inverse = this.#inverse;
    const duals = this.#duals;
    const pivot = way[leaves] ?? 1;
    const column = this.columns[enters];
    const reduced = column ? reducedCost(column, duals) : 0;
    const line = inverse.subarray(leaves * m, leaves * m + m);
    for (let at = 0; at < m; at++) {
      const part = (line[at] ?? 0) / pivot;
      line[at] = part;
      duals[at] = (duals[at] ?? 0) + reduced * part;
    }
    for (let row = 0; row < m; row++) {
      const fall = way[row] ?? 0;
      if (row === leaves || Math.abs(fall) < 1e-13) continue;
      this.#x[row] = (this.#x[row] ?? 0) - fall * length;
      const start = row * m;
      for (let at = 0; at < m; at++)
        inverse[start + at] = (inverse[start + at] ?? 0) - fall * (line[at] ?? 0);
    }
    this.#x[leaves] = length;
    this.#inBasis.delete(this.#basis[leaves] ?? -1);
    this.#inBasis.add(enters);
    this.#basis[leaves] = enters;
    this.#steps += 1;
  }

  /** The inverse of the basis by elimination with the largest pivots, and the values that go with it. */
  #invert(): void {
    const m = this.#m;
    const wide = 2 * m;
    const table = Array.from({ length: m }, (_, row) => {
      const line = new Float64Array(wide);
      line[m + row] = 1;
      return line;
    });
    this.#basis.forEach((column, at) => {
      const { rows = [], values = [] } = this.columns[column] ?? {};
      rows.forEach((row, index) => {
        const line = table[row];
        if (line) line[at] = (line[at] ?? 0) + (values[index] ?? 0);
      });
    });
    for (let at = 0; at < m; at++) {
      let best = at;
      for (let row = at + 1; row < m; row++)
        if (Math.abs(table[row]?.[at] ?? 0) > Math.abs(table[best]?.[at] ?? 0)) best = row;
      const [line, other] = [table[best], table[at]];
      if (!line || !other || Math.abs(line[at] ?? 0) < 1e-12)
        throw new Error("a basis has independent columns");
      [table[at], table[best]] = [line, other];
      const pivot = line[at] ?? 1;
      for (let index = 0; index < wide; index++) line[index] = (line[index] ?? 0) / pivot;
      for (const row of table) {
        const factor = row[at] ?? 0;
        if (row === line || factor === 0) continue;
        for (let index = 0; index < wide; index++)
          row[index] = (row[index] ?? 0) - factor * (line[index] ?? 0);
      }
    }
    this.#inverse = new Float64Array(m * m);
    this.#x = new Float64Array(m);
    table.forEach((line, row) => {
      let value = 0;
      for (let at = 0; at < m; at++) {
        this.#inverse[row * m + at] = line[m + at] ?? 0;
        value += (line[m + at] ?? 0) * (this.#moved[at] ?? 0);
      }
      this.#x[row] = Math.abs(value) < NOTHING ? 0 : value;
    });
    this.#duals = new Float64Array(m);
    this.#basis.forEach((column, row) => {
      const cost = this.columns[column]?.cost ?? 0;
      for (let at = 0; at < m; at++)
        this.#duals[at] = (this.#duals[at] ?? 0) + cost * (this.#inverse[row * m + at] ?? 0);
    });
    this.#steps = 0;
  }
}

function reducedCost({ cost, rows, values }: Column, duals: Float64Array): number {
  let reduced = cost;
  for (let at = 0; at < rows.length; at++) reduced -= (duals[rows[at] ?? 0] ?? 0) * (values[at] ?? 0);
  return reduced;
}
