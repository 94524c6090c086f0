import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import loadHighs from "highs";
import { highsSolver, type Solver } from "./programme";
import { Simplex } from "./simplex";
import type { Column } from "./sparseColumns";

let solve: Solver;
beforeAll(async () => {
  solve = highsSolver(await loadHighs());
});

/** Cover each row so many times: columns of whole numbers, and one dear column a row to start from. */
const covering = (columns: Column[], bounds: number[]) => {
  const own: Column[] = bounds.map((_, row) => ({ cost: 1000, rows: [row], values: [1] }));
  return new Simplex([...own, ...columns], bounds, [...bounds.keys()]);
};

/** The least cost of the same by an independent solver; `limit`: no more of some columns than so many. */
function byOther(
  columns: readonly Column[],
  bounds: readonly number[],
  limit?: { counted: readonly number[]; most: number },
): number {
  const own = bounds.map((_, row): Column => ({ cost: 1000, rows: [row], values: [1] }));
  const all = [...own, ...columns];
  const rows = bounds.map((bound, row) => ({
    terms: all.flatMap((column, index): [number, number][] =>
      column.rows.includes(row) ? [[index, 1]] : [],
    ),
    sense: "=" as "=" | "<=",
    bound,
  }));
  if (limit && limit.counted.length > 0)
    rows.push({
      terms: limit.counted.map((index) => [own.length + index, 1]),
      sense: "<=",
      bound: limit.most,
    });
  const found = solve({ cost: all.map(({ cost }) => cost), rows, whole: false });
  if (found.kind !== "optimal") throw new Error(found.kind);
  return found.objective;
}

describe("simplex", () => {
  test("two rows, two columns that each do both better: 3 and 2 at prices that say so", () => {
    const simplex = covering(
      [
        { cost: 4, rows: [0, 1], values: [1, 1] },
        { cost: 3, rows: [0], values: [1] },
      ],
      [3, 2],
    );
    expect(simplex.solve()).toBe(true);
    expect(simplex.objective).toBeCloseTo(11, 9);
    expect(simplex.values().get(2)).toBeCloseTo(2, 9);
    expect(simplex.values().get(3)).toBeCloseTo(1, 9);
    expect(simplex.duals()).toEqual([expect.closeTo(3, 9), expect.closeTo(1, 9)]);
  });

  test("a column added afterwards is taken up from where it stood", () => {
    const simplex = covering([{ cost: 5, rows: [0], values: [1] }], [1, 1]);
    simplex.solve();
    expect(simplex.objective).toBeCloseTo(1005, 9);
    simplex.add({ cost: 7, rows: [0, 1], values: [1, 1] });
    expect(simplex.solve()).toBe(true);
    expect(simplex.objective).toBeCloseTo(7, 9);
  });

  test("without an end: a column that pays and takes nothing", () => {
    expect(covering([{ cost: -1, rows: [0], values: [-1] }], [1]).solve()).toBe(true);
    expect(covering([{ cost: -1001, rows: [0], values: [-1] }], [1]).solve()).toBe(false);
  });

  test("columns that depend on each other make no basis", () => {
    const twice: Column = { cost: 1, rows: [0, 1], values: [1, 1] };
    expect(() => new Simplex([twice, twice], [1, 1], [0, 1])).toThrow("independent");
  });

  test("as cheap as an independent solver finds it, degenerate ones among them (property)", () => {
    const some = fc.record({
      columns: fc.array(
        fc.record({
          cost: fc.integer({ min: 1, max: 60 }),
          rows: fc.subarray([0, 1, 2, 3, 4, 5], { minLength: 1 }),
        }),
        { maxLength: 25 },
      ),
      bounds: fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 6, maxLength: 6 }),
    });
    fc.assert(
      fc.property(some, ({ columns, bounds }) => {
        const all = columns.map(({ cost, rows }) => ({ cost, rows, values: rows.map(() => 1) }));
        const simplex = covering(all, bounds);
        expect(simplex.solve()).toBe(true);
        expect(simplex.objective).toBeCloseTo(byOther(all, bounds), 5);
      }),
      { numRuns: 150, seed: 3 },
    );
  });

  test("a row that is added afterwards is mended to what an independent solver finds (property)", () => {
    const some = fc.record({
      columns: fc.array(
        fc.record({
          cost: fc.integer({ min: 1, max: 60 }),
          rows: fc.subarray([0, 1, 2, 3, 4, 5], { minLength: 1 }),
          counts: fc.boolean(),
        }),
        { minLength: 3, maxLength: 25 },
      ),
      bounds: fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 6, maxLength: 6 }),
      most: fc.integer({ min: 0, max: 3 }),
    });
    fc.assert(
      fc.property(some, ({ columns, bounds, most }) => {
        const all = columns.map(({ cost, rows }) => ({ cost, rows, values: rows.map(() => 1) }));
        const simplex = covering(all, bounds);
        simplex.solve();
        const times = Float64Array.from([
          ...bounds.map(() => 0),
          ...columns.map(({ counts }) => (counts ? 1 : 0)),
        ]);
        const limited = simplex.withLimit(times, most);
        const stopped = simplex.withLimit(times, most);
        expect(limited.dualSimplex()).toBe("optimal");
        stopped.dualSimplex(1);
        expect(limited.solve()).toBe(true);
        const counted = columns.flatMap(({ counts }, index) => (counts ? [index] : []));
        expect(limited.objective).toBeCloseTo(byOther(all, bounds, { counted, most }), 5);
        // Stopped on the way it costs no more, and the first is as it was.
        expect(stopped.objective).toBeLessThanOrEqual(limited.objective + 1e-5);
        expect(simplex.objective).toBeCloseTo(byOther(all, bounds), 5);
      }),
      { numRuns: 150, seed: 4 },
    );
  });

  test("a row that nothing can keep is said", () => {
    const simplex = covering([{ cost: 4, rows: [0, 1], values: [1, 1] }], [1, 1]);
    simplex.solve();
    expect(simplex.withLimit(Float64Array.of(-1, 0, -1), -2).dualSimplex()).toBe("infeasible");
  });
});
