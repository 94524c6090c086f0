import { longer } from "./longer";

/** A column of a programme in standard form: its cost and its coefficients by row. */
export interface Column {
  cost: number;
  rows: readonly number[];
  values: readonly number[];
}

/** Columns one behind the other, in little room: where each begins, its rows, its values, its cost. */
export class SparseColumns {
  count = 0;
  /** Where each begins, and where the last ends. */
  from = new Int32Array(1024);
  rows = new Int32Array(8192);
  values = new Float64Array(8192);
  costs = new Float64Array(1023);

  /** Adds a column and gives its number. */
  add({ cost, rows, values }: Column): number {
    const { count } = this;
    const start = this.from[count] as number;
    const end = start + rows.length;
    if (count === this.costs.length) {
      this.from = longer(this.from, 2 * count + 1, Int32Array);
      this.costs = longer(this.costs, 2 * count, Float64Array);
    }
    if (end > this.rows.length) {
      this.rows = longer(this.rows, 2 * end, Int32Array);
      this.values = longer(this.values, 2 * end, Float64Array);
    }
    this.rows.set(rows, start);
    this.values.set(values, start);
    this.costs[count] = cost;
    this.from[count + 1] = end;
    this.count = count + 1;
    return count;
  }

  /** The same columns with one row more: by column what counts in it; and a last column that is there alone, with 1, at no cost. */
  withRow(row: number, times: Float64Array): SparseColumns {
    const made = new SparseColumns();
    const { count } = this;
    const room = (this.from[count] as number) + count + 1;
    made.from = new Int32Array(count + 2);
    made.rows = new Int32Array(room);
    made.values = new Float64Array(room);
    made.costs = longer(this.costs.subarray(0, count), count + 1, Float64Array);
    let end = 0;
    const put = (at: number, value: number) => {
      made.rows[end] = at;
      made.values[end] = value;
      end += 1;
    };
    for (let column = 0; column < count; column++) {
      for (let at = this.from[column] as number; at < (this.from[column + 1] as number); at++)
        put(this.rows[at] as number, this.values[at] as number);
      if (times[column]) put(row, times[column] as number);
      made.from[column + 1] = end;
    }
    put(row, 1);
    made.from[count + 1] = end;
    made.count = count + 1;
    return made;
  }
}
