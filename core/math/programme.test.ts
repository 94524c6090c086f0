import { beforeAll, describe, expect, test } from "@jest/globals";
import loadHighs from "highs";
import { highsSolver, programmeText, type Programme, type Solver } from "./programme";

/** Two ways to feed: 2x + y at least 3.5, x + 3y at least 4, as little as can be. */
const feed: Programme = {
  cost: [1, 1],
  rows: [
    {
      terms: [
        [0, 2],
        [1, 1],
      ],
      sense: ">=",
      bound: 3.5,
    },
    {
      terms: [
        [0, 1],
        [1, 3],
      ],
      sense: ">=",
      bound: 4,
    },
  ],
  whole: false,
};

describe("programmeText", () => {
  test("writes rows, whole variables and bounds, and no number that a reader could take for a name", () => {
    const text = programmeText({ ...feed, whole: true, most: new Map([[1, 7]]), cost: [1e-9, -2] });
    expect(text).toContain("r0: + 2.00000000000000 v0\n + 1.00000000000000 v1 >= 3.50000000000000");
    expect(text).toContain("Bounds\n v1 <= 7.00000000000000");
    expect(text).toContain("General\n v0\n v1\nEnd");
    expect(text).not.toMatch(/\de[+-]/);
  });
});

describe("highsSolver", () => {
  let solve: Solver;
  beforeAll(async () => {
    solve = highsSolver(await loadHighs());
  });

  test("finds the optimum with its duals: 1.3 and 0.9, a row more costs 0.4 and 0.2", () => {
    const found = solve(feed);
    if (found.kind !== "optimal") throw new Error(found.kind);
    expect(found.values).toEqual([expect.closeTo(1.3, 9), expect.closeTo(0.9, 9)]);
    expect(found.duals).toEqual([expect.closeTo(0.4, 9), expect.closeTo(0.2, 9)]);
  });

  test("whole variables are whole, and what cannot be is infeasible", () => {
    const whole = solve({ ...feed, whole: true });
    expect(whole.kind === "optimal" && whole.objective).toBe(3);
    expect(
      solve({
        ...feed,
        most: new Map([
          [0, 0],
          [1, 1],
        ]),
      }).kind,
    ).toBe("infeasible");
  });
});
