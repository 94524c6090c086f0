import { describe, expect, test } from "@jest/globals";
import { basisInverse, extendedInverse } from "./basisInverse";
import { seededRandom, type Random } from "./random";
import { SparseColumns } from "./sparseColumns";

/** A matrix row by row as columns one behind the other; what is nothing is left out. */
function columnsOf(matrix: readonly (readonly number[])[]): SparseColumns {
  const columns = new SparseColumns();
  for (let at = 0; at < (matrix[0]?.length ?? 0); at++) {
    const there = matrix.flatMap((line, row) => ((line[at] ?? 0) === 0 ? [] : [row]));
    columns.add({ cost: 0, rows: there, values: there.map((row) => matrix[row]?.[at] ?? 0) });
  }
  return columns;
}

/** Inverse times the columns of the basis: the unit matrix where it is one. */
function product(inverse: Float64Array, matrix: readonly (readonly number[])[], basis: readonly number[]) {
  const m = basis.length;
  return Array.from({ length: m }, (_, row) =>
    basis.map((column) => {
      let sum = 0;
      for (let at = 0; at < m; at++) sum += (inverse[row * m + at] ?? 0) * (matrix[at]?.[column] ?? 0);
      return sum;
    }),
  );
}

const expectUnit = (found: readonly (readonly number[])[]): void =>
  found.forEach((line, row) =>
    line.forEach((value, column) => expect(value).toBeCloseTo(row === column ? 1 : 0, 7)),
  );

/** Mostly nothing, as the columns of rounds are: a few yards, a day, a horse or two. */
const sparse = (random: Random, rows: number, columns: number): number[][] =>
  Array.from({ length: rows }, (_, row) =>
    Array.from({ length: columns }, (_, column) =>
      row === column ? 1 + random() : random() < 0.2 ? 2 * random() - 1 : 0,
    ),
  );

describe("basisInverse", () => {
  test("of the rows' own columns it is the unit matrix", () => {
    const unit = [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ];
    expect([...basisInverse(columnsOf(unit), [0, 1, 2])]).toEqual([1, 0, 0, 0, 1, 0, 0, 0, 1]);
  });

  test("rows that have to change places for a pivot do", () => {
    const turned = [
      [0, 2, 0],
      [0, 0, 4],
      [5, 0, 0],
    ];
    expectUnit(product(basisInverse(columnsOf(turned), [0, 1, 2]), turned, [0, 1, 2]));
  });

  test.each([1, 2, 5, 20, 60])("it undoes %d sparse columns, in whatever order they are taken", (size) => {
    const random = seededRandom(size);
    const matrix = sparse(random, size, size + 5);
    const basis = Array.from({ length: size }, (_, at) => at).sort(() => random() - 0.5);
    expectUnit(product(basisInverse(columnsOf(matrix), basis), matrix, basis));
  });

  test("columns that depend on each other are refused", () => {
    const twice = [
      [1, 2],
      [3, 6],
    ];
    expect(() => basisInverse(columnsOf(twice), [0, 1])).toThrow("independent");
    expect(() => basisInverse(columnsOf([[0]]), [0])).toThrow("independent");
  });
});

describe("extendedInverse", () => {
  test.each([1, 3, 12])("%d rows more, each with a column of its own, cost no new elimination", (more) => {
    const random = seededRandom(90 + more);
    const old = 15;
    const first = sparse(random, old, old);
    // The columns before count in the new rows as they may; the new ones stand alone.
    const matrix = [
      ...first.map((line) => [...line, ...Array.from({ length: more }, () => 0)]),
      ...Array.from({ length: more }, (_, row) => [
        ...Array.from({ length: old }, () => (random() < 0.3 ? 2 * random() - 1 : 0)),
        ...Array.from({ length: more }, (_, column) => (row === column ? 1 : 0)),
      ]),
    ];
    const basis = Array.from({ length: old + more }, (_, at) => at);
    const known = basisInverse(columnsOf(first), basis.slice(0, old));
    const extended = extendedInverse(columnsOf(matrix), basis, known);
    expectUnit(product(extended, matrix, basis));
    const anew = basisInverse(columnsOf(matrix), basis);
    extended.forEach((value, at) => expect(value).toBeCloseTo(anew[at] ?? 0, 7));
  });
});
