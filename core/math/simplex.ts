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
/** A value that is below nothing by less is nothing. */
const LEAST_VALUE = 1e-8;
/** A part of the inverse smaller than this is left out of a step. */
const LEAST_PART = 1e-13;
/** A line of which so much is there is gone over whole. */
const DENSE = 0.3;
/** The inverse is worked out anew after so many steps, so that errors do not grow. */
const STEPS_AN_INVERSE = 400;
/** Reduced costs that are kept up to date step by step are worked out anew after so many. */
const STEPS_A_PRICE = 50;
/** After so many steps without a way the bounds are moved a little more, so that it cannot go in circles. */
const STUCK = 100;
const MOST_STEPS = 20_000;
/** So many of the columns that gain most are looked at again before all are. */
const CANDIDATES = 40;
/** While it steps, every bound is moved by a little of its own, so that no two rows give out at once (Charnes 1952). */
const MOVED = 1e-5;

/**
 * A linear programme in standard form, least cost with A x = b and x >= 0, by the revised simplex method (Dantzig 1953). It starts from a basis that is feasible or whose prices are (then by the dual
 * method, Lemke 1954: that is how a row is added to a programme that was solved). Columns can be added after it was solved,
 * and the next solution goes on from the last one: that is what it is for, a hundred small programmes that each differ
 * from the one before by some columns. Dense inverse: for some hundred rows.
 *
 * `inverse`: of the basis without the last rows, whose columns are each new and their own.
 *
 * Errors: a basis whose columns depend on each other throws.
 */
export class Simplex {
  readonly #m: number;
  readonly #moved: Float64Array;
  readonly #inverse: Float64Array;
  readonly #x: Float64Array;
  readonly #basis: number[];
  readonly #duals: Float64Array;
  readonly #way: Float64Array;
  readonly #there: Int32Array;
  /** The columns one behind the other: where each begins, its rows and values. */
  #from = new Int32Array(1024);
  #rows = new Int32Array(8192);
  #values = new Float64Array(8192);
  #costs = new Float64Array(1024);
  #inBasis = new Uint8Array(1024);
  #count = 0;
  #steps = 0;

  constructor(
    columns: readonly Column[],
    readonly bounds: readonly number[],
    basis: readonly number[],
    inverse?: Float64Array,
  ) {
    const m = bounds.length;
    this.#m = m;
    this.#moved = new Float64Array(m);
    this.#move(false);
    this.#inverse = new Float64Array(m * m);
    this.#x = new Float64Array(m);
    this.#duals = new Float64Array(m);
    this.#way = new Float64Array(m);
    this.#there = new Int32Array(m);
    this.#basis = [...basis];
    for (const column of columns) this.add(column);
    for (const column of basis) this.#inBasis[column] = 1;
    if (inverse) this.#extend(inverse);
    else if (columns.length > 0) this.#invert();
  }

  /** The same programme where it stands, with one row more: by column what counts in it, and no more than so much in all. */
  withLimit(times: Float64Array, most: number): Simplex {
    const count = this.#count;
    const made = new Simplex([], [...this.bounds, most], [...this.#basis, count]);
    const end = this.#from[count] as number;
    made.#from = new Int32Array(count + 2);
    made.#rows = new Int32Array(end + count + 1);
    made.#values = new Float64Array(end + count + 1);
    let to = 0;
    const put = (row: number, value: number) => {
      made.#rows[to] = row;
      made.#values[to] = value;
      to += 1;
    };
    for (let column = 0; column < count; column++) {
      for (let at = this.#from[column] as number; at < (this.#from[column + 1] as number); at++)
        put(this.#rows[at] as number, this.#values[at] as number);
      if (times[column]) put(this.#m, times[column] as number);
      made.#from[column + 1] = to;
    }
    put(this.#m, 1);
    made.#from[count + 1] = to;
    made.#costs = new Float64Array(count + 1);
    made.#costs.set(this.#costs.subarray(0, count));
    made.#inBasis = new Uint8Array(count + 1);
    for (const column of made.#basis) made.#inBasis[column] = 1;
    made.#count = count + 1;
    made.#extend(this.#inverse);
    return made;
  }

  /** The inverse of the basis, row by row: for a programme with the same rows and some more, whose new rows are held by columns of their own. */
  get inverse(): Float64Array {
    return this.#inverse;
  }

  /** How many columns there are. */
  get count(): number {
    return this.#count;
  }

  /** Adds a column and gives its number. */
  add({ cost, rows, values }: Column): number {
    const number = this.#count;
    const start = this.#from[number] ?? 0;
    const end = start + rows.length;
    if (number + 2 > this.#from.length) {
      this.#from = grown(this.#from, Int32Array, number + 2);
      this.#costs = grown(this.#costs, Float64Array, number + 2);
      this.#inBasis = grown(this.#inBasis, Uint8Array, number + 2);
    }
    if (end > this.#rows.length) {
      this.#rows = grown(this.#rows, Int32Array, end);
      this.#values = grown(this.#values, Float64Array, end);
    }
    this.#rows.set(rows, start);
    this.#values.set(values, start);
    this.#costs[number] = cost;
    this.#from[number + 1] = end;
    this.#count = number + 1;
    return number;
  }

  /** Goes to the least cost; false when there is none, no end to it, or steps run out. */
  solve(): boolean {
    if (this.mend() !== "mended") return false;
    let stuck = 0;
    let more = MOVED;
    let candidates: number[] = [];
    for (let step = 0; step < MOST_STEPS; step++) {
      if (this.#steps >= STEPS_AN_INVERSE) this.#invert();
      let enters = this.#best(candidates);
      if (enters === -1) {
        candidates = this.#candidates();
        enters = candidates[0] ?? -1;
      }
      if (enters === -1) {
        // Bounds that were moved far are put back; what that puts below nothing is mended.
        if (more === MOVED) return true;
        more = MOVED;
        this.#move();
        if (this.mend() !== "mended") return false;
        continue;
      }
      this.#goes(enters);
      const leaves = this.#leaving();
      if (leaves === -1) return false;
      if ((this.#x[leaves] as number) < 0) this.#raise(leaves, 0);
      const length = (this.#x[leaves] as number) / (this.#way[leaves] as number);
      this.#pivot(enters, leaves, length);
      stuck = length > more ? 0 : stuck + 1;
      if (stuck < STUCK) continue;
      stuck = 0;
      more *= 4;
      for (let row = 0; row < this.#m; row++)
        if ((this.#x[row] as number) < more) this.#raise(row, more * (1 + swayOf(row + step)));
    }
    return false;
  }

  /** The bounds moved by a little each. */
  #move(settle = true): void {
    this.bounds.forEach((bound, row) => (this.#moved[row] = bound + MOVED * (0.5 + swayOf(row))));
    if (settle) this.#settle();
  }

  /** Moves the bounds by as much as brings one value up to another. */
  #raise(row: number, to: number): void {
    const column = this.#basis[row] as number;
    const more = to - (this.#x[row] as number);
    for (let at = this.#from[column] as number; at < (this.#from[column + 1] as number); at++) {
      const place = this.#rows[at] as number;
      this.#moved[place] = (this.#moved[place] as number) + more * (this.#values[at] as number);
    }
    this.#x[row] = to;
  }

  /**
   * Steps by the dual method until no value is below nothing, there is none that could be mended, or steps run out. The
   * objective rises with each step: no solution costs less, wherever it stops.
   */
  mend(steps = MOST_STEPS): "mended" | "none" | "stopped" {
    const count = this.#count;
    const weights = new Float64Array(this.#m).fill(1);
    const pivots = new Float64Array(count);
    const reduced = new Float64Array(count);
    for (let step = 0; step < steps; step++) {
      if (this.#steps >= STEPS_AN_INVERSE) this.#invert();
      let [leaves, most] = [-1, 0];
      for (let row = 0; row < this.#m; row++) {
        const value = this.#x[row] as number;
        if (value >= -LEAST_VALUE) continue;
        const far = (value * value) / (weights[row] as number);
        if (far > most) [leaves, most] = [row, far];
      }
      if (leaves === -1) return "mended";
      // Prices that were kept up to date step by step are worked out anew now and then.
      if (step % STEPS_A_PRICE === 0)
        for (let column = 0; column < count; column++) reduced[column] = this.#reduced(column);
      const enters = this.#mending(leaves, reduced, pivots);

      if (enters === -1) return "none";
      this.#goes(enters);
      const rise = Math.max(0, reduced[enters] as number) / (pivots[enters] as number);
      for (let column = 0; column < count; column++)
        reduced[column] = (reduced[column] as number) - rise * (pivots[column] as number);
      reduced[this.#basis[leaves] as number] = -rise;
      this.#weigh(weights, leaves);
      this.#pivot(enters, leaves, (this.#x[leaves] as number) / (this.#way[leaves] as number));
      reduced[enters] = 0;
    }
    return "stopped";
  }

  /** How long a way each row's value has gone with the others until now: a value that is far below nothing may be near (Forrest and Goldfarb 1992). */
  #weigh(weights: Float64Array, leaves: number): void {
    const way = this.#way;
    const pivot = way[leaves] as number;
    const own = weights[leaves] as number;
    for (let row = 0; row < this.#m; row++) {
      const ratio = (way[row] as number) / pivot;
      if (row !== leaves && ratio !== 0) weights[row] = Math.max(weights[row] as number, ratio * ratio * own);
    }
    weights[leaves] = Math.max(1, own / (pivot * pivot));
  }

  /** The column that brings a row's value up and whose price rises least for it; of equals the one with the largest pivot. */
  #mending(leaves: number, reduced: Float64Array, pivots: Float64Array): number {
    const [from, rows, values, inBasis] = [this.#from, this.#rows, this.#values, this.#inBasis];
    const line = this.#inverse.subarray(leaves * this.#m, (leaves + 1) * this.#m);
    let [enters, least, largest] = [-1, Number.POSITIVE_INFINITY, 0];
    for (let column = 0, at = 0; column < pivots.length; column++) {
      const end = from[column + 1] as number;
      let pivot = 0;
      for (; at < end; at++) pivot += (line[rows[at] as number] as number) * (values[at] as number);
      if (inBasis[column] === 1) pivot = 0;
      pivots[column] = pivot;
      if (pivot >= -LEAST_PIVOT) continue;
      const rise = Math.max(0, reduced[column] as number) / -pivot;
      if (rise < least - NOTHING || (rise <= least + NOTHING && -pivot > largest))
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

  #reduced(column: number): number {
    const [rows, values, duals] = [this.#rows, this.#values, this.#duals];
    let reduced = this.#costs[column] as number;
    for (let at = this.#from[column] as number, end = this.#from[column + 1] as number; at < end; at++)
      reduced -= (duals[rows[at] as number] as number) * (values[at] as number);
    return reduced;
  }

  /** What a step along a column gains, by the length of the column: a long one does less than its price says. */
  #steep(column: number): number {
    if (this.#inBasis[column] === 1) return 0;
    const reduced = this.#reduced(column);
    return reduced < -LEAST_GAIN
      ? reduced / Math.sqrt(1 + (this.#from[column + 1] as number) - (this.#from[column] as number))
      : 0;
  }

  /** The candidate that still gains most, -1 when none does. */
  #best(candidates: readonly number[]): number {
    let [best, least] = [-1, 0];
    for (const column of candidates) {
      const steep = this.#steep(column);
      if (steep < least) [best, least] = [column, steep];
    }
    return best;
  }

  /** The columns that gain most, the best first. */
  #candidates(): number[] {
    const found: { column: number; steep: number }[] = [];
    let worst = 0;
    for (let column = 0; column < this.#count; column++) {
      const steep = this.#steep(column);
      if (!(steep < worst)) continue;
      found.push({ column, steep });
      if (found.length < 4 * CANDIDATES) continue;
      found.sort((a, b) => a.steep - b.steep);
      found.length = CANDIDATES;
      worst = found[CANDIDATES - 1]?.steep ?? 0;
    }
    return found
      .sort((a, b) => a.steep - b.steep)
      .slice(0, CANDIDATES)
      .map(({ column }) => column);
  }

  /** How the basic values fall as a column enters. */
  #goes(column: number): void {
    const m = this.#m;
    const [inverse, way] = [this.#inverse, this.#way];
    way.fill(0);
    for (let at = this.#from[column] as number, end = this.#from[column + 1] as number; at < end; at++) {
      const [place, value] = [this.#rows[at] as number, this.#values[at] as number];
      for (let row = 0, cell = place; row < m; row++, cell += m)
        way[row] = (way[row] as number) + (inverse[cell] as number) * value;
    }
  }

  /** The row that gives out first; of equals the one with the largest pivot. */
  #leaving(): number {
    const [way, x] = [this.#way, this.#x];
    let [leaves, shortest] = [-1, Number.POSITIVE_INFINITY];
    for (let row = 0; row < this.#m; row++) {
      const fall = way[row] as number;
      if (fall <= LEAST_PIVOT) continue;
      const length = Math.max(0, x[row] as number) / fall;
      const equal = Math.abs(length - shortest) <= NOTHING;
      if (leaves === -1 || (equal ? fall > (way[leaves] as number) : length < shortest))
        [leaves, shortest] = [row, length];
    }
    return leaves;
  }

  #pivot(enters: number, leaves: number, length: number): void {
    const m = this.#m;
    const [inverse, duals, way, x] = [this.#inverse, this.#duals, this.#way, this.#x];
    const pivot = way[leaves] as number;
    const reduced = this.#reduced(enters);
    const start = leaves * m;
    // Most of a line is nothing: only what is there is gone over.
    const there = this.#there;
    let count = 0;
    for (let at = 0; at < m; at++) {
      const part = (inverse[start + at] as number) / pivot;
      inverse[start + at] = part;
      if (Math.abs(part) < LEAST_PART) continue;
      there[count++] = at;
      duals[at] = (duals[at] as number) + reduced * part;
    }
    const dense = count > DENSE * m;
    for (let row = 0; row < m; row++) {
      const fall = way[row] as number;
      if (row === leaves || Math.abs(fall) < LEAST_PART) continue;
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
    this.#steps += 1;
  }

  /** The inverse of the basis by elimination with the largest pivots, and the values that go with it. */
  #invert(): void {
    const m = this.#m;
    const table = Array.from({ length: m }, () => new Float64Array(m));
    const right = Array.from({ length: m }, (_, row) => {
      const line = new Float64Array(m);
      line[row] = 1;
      return line;
    });
    this.#basis.forEach((column, at) => {
      for (let index = this.#from[column] as number; index < (this.#from[column + 1] as number); index++) {
        const line = table[this.#rows[index] as number];
        if (line) line[at] = (line[at] as number) + (this.#values[index] as number);
      }
    });
    for (let at = 0; at < m; at++) {
      let best = at;
      for (let row = at + 1; row < m; row++)
        if (Math.abs(table[row]?.[at] ?? 0) > Math.abs(table[best]?.[at] ?? 0)) best = row;
      swap(table, at, best);
      swap(right, at, best);
      const [line, own] = [table[at], right[at]];
      const pivot = line?.[at] ?? 0;
      if (!line || !own || Math.abs(pivot) < 1e-12) throw new Error("a basis has independent columns");
      const [lineThere, ownThere] = [scaled(line, pivot, at), scaled(own, pivot, 0)];
      for (let row = 0; row < m; row++) {
        const [other, otherOwn] = [table[row], right[row]];
        const factor = other?.[at] ?? 0;
        if (row === at || factor === 0 || !other || !otherOwn) continue;
        for (const index of lineThere)
          other[index] = (other[index] as number) - factor * (line[index] as number);
        for (const index of ownThere)
          otherOwn[index] = (otherOwn[index] as number) - factor * (own[index] as number);
      }
    }
    right.forEach((line, row) => this.#inverse.set(line, row * m));
    this.#settle();
    this.#steps = 0;
  }

  /** The inverse from that of the first rows; each row that is new has a column of the basis to itself. */
  #extend(known: Float64Array): void {
    const m = this.#m;
    const old = Math.round(Math.sqrt(known.length));
    const inverse = this.#inverse;
    for (let row = 0; row < old; row++) inverse.set(known.subarray(row * old, (row + 1) * old), row * m);
    for (let row = old; row < m; row++) inverse[row * m + row] = 1;
    for (let at = 0; at < old; at++) {
      const column = this.#basis[at] as number;
      for (let cell = this.#from[column] as number; cell < (this.#from[column + 1] as number); cell++) {
        const row = this.#rows[cell] as number;
        if (row < old) continue;
        const value = this.#values[cell] as number;
        for (let place = 0; place < old; place++)
          inverse[row * m + place] =
            (inverse[row * m + place] as number) - value * (known[at * old + place] as number);
      }
    }
    this.#settle();
  }

  /** The values and prices that go with the inverse. */
  #settle(): void {
    const m = this.#m;
    for (let row = 0; row < m; row++) {
      let value = 0;
      for (let at = 0; at < m; at++)
        value += (this.#inverse[row * m + at] as number) * (this.#moved[at] as number);
      this.#x[row] = Math.abs(value) < NOTHING ? 0 : value;
    }
    this.#reprice();
  }

  /** The prices of the rows from what the columns of the basis cost. */
  #reprice(): void {
    const m = this.#m;
    this.#duals.fill(0);
    this.#basis.forEach((column, row) => {
      const cost = this.#costs[column] as number;
      if (cost === 0) return;
      for (let at = 0; at < m; at++)
        this.#duals[at] = (this.#duals[at] as number) + cost * (this.#inverse[row * m + at] as number);
    });
  }
}

/** A number between 0 and 1 for each row, none like another. */
const swayOf = (row: number): number => (row * 0.6180339887) % 1;

/** A line over its pivot, and where it is not nothing from a place on. */
function scaled(line: Float64Array, pivot: number, from: number): number[] {
  const there: number[] = [];
  for (let index = from; index < line.length; index++) {
    const value = line[index] as number;
    if (value === 0) continue;
    line[index] = value / pivot;
    there.push(index);
  }
  return there;
}

function swap<Item>(list: Item[], one: number, other: number): void {
  const [a, b] = [list[one], list[other]];
  if (a !== undefined && b !== undefined) [list[one], list[other]] = [b, a];
}

type Numbers = Int32Array | Float64Array | Uint8Array;

/** The same numbers with room for more. */
function grown<Kind extends Numbers>(old: Kind, kind: new (length: number) => Kind, least: number): Kind {
  const made = new kind(Math.max(least, 2 * old.length));
  made.set(old);
  return made;
}
