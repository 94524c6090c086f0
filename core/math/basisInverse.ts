import type { SparseColumns } from "./sparseColumns";

/** A pivot smaller than this is none. */
const NO_PIVOT = 1e-12;

/**
 * The inverse of the matrix that some columns make, row by row, by elimination with the largest pivots.
 *
 * Errors: columns that depend on each other throw.
 */
export function basisInverse(columns: SparseColumns, basis: readonly number[]): Float64Array {
  const m = basis.length;
  const table = Array.from({ length: m }, () => new Float64Array(m));
  const right = Array.from({ length: m }, (_, row) => {
    const line = new Float64Array(m);
    line[row] = 1;
    return line;
  });
  basis.forEach((column, at) => {
    for (let cell = columns.from[column] as number; cell < (columns.from[column + 1] as number); cell++) {
      const line = table[columns.rows[cell] as number];
      if (line) line[at] = (line[at] as number) + (columns.values[cell] as number);
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
    if (!line || !own || Math.abs(pivot) < NO_PIVOT) throw new Error("a basis has independent columns");
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
  const inverse = new Float64Array(m * m);
  right.forEach((line, row) => inverse.set(line, row * m));
  return inverse;
}

/**
 * The inverse from that of the first rows, where each row that is new has a column of its own, with 1, and the columns
 * before count in it as they may.
 */
export function extendedInverse(
  columns: SparseColumns,
  basis: readonly number[],
  known: Float64Array,
): Float64Array {
  const m = basis.length;
  const old = Math.round(Math.sqrt(known.length));
  const inverse = new Float64Array(m * m);
  for (let row = 0; row < old; row++) inverse.set(known.subarray(row * old, (row + 1) * old), row * m);
  for (let row = old; row < m; row++) inverse[row * m + row] = 1;
  for (let at = 0; at < old; at++) {
    const column = basis[at] as number;
    for (let cell = columns.from[column] as number; cell < (columns.from[column + 1] as number); cell++) {
      const row = columns.rows[cell] as number;
      if (row < old) continue;
      const value = columns.values[cell] as number;
      for (let place = 0; place < old; place++)
        inverse[row * m + place] =
          (inverse[row * m + place] as number) - value * (known[at * old + place] as number);
    }
  }
  return inverse;
}

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
