import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { boundedLeastSquares } from "./leastSquares";
import { quadraticMinimum } from "./quadratic";

describe("quadraticMinimum", () => {
  const identity = [
    [1, 0],
    [0, 1],
  ];

  test("without limits in the way: the point where the gradient ends", () => {
    expect(quadraticMinimum(identity, [-3, 2], []).d).toEqual([3, -2]);
  });

  test("a limit that is met holds with the force that the gradient pulls with", () => {
    const found = quadraticMinimum(identity, [-3, 0], [{ row: [1, 0], bound: 1 }]);
    expect(found.d).toEqual([1, 0]);
    expect(found.multipliers).toEqual([2]);
  });

  test("a corner in which three limits of two variables meet does no harm", () => {
    const found = quadraticMinimum(
      identity,
      [-1, -1],
      [
        { row: [1, 0], bound: 0 },
        { row: [0, 1], bound: 0 },
        { row: [1, 1], bound: 0 },
      ],
    );
    expect(found.d).toEqual([0, 0]);
  });

  test("no feasible point nearby is better (seeded property)", () => {
    const number = fc.double({ min: -3, max: 3, noNaN: true });
    fc.assert(
      fc.property(
        number,
        number,
        number,
        number,
        fc.double({ min: 0, max: 2, noNaN: true }),
        (a, b, g, h, bound) => {
          const matrix = [
            [1 + a * a, a * b],
            [a * b, 1 + b * b],
          ];
          const limits = [
            { row: [1, 1], bound },
            { row: [-1, 0.5], bound },
          ];
          const value = ([x = 0, y = 0]: number[]) =>
            ((1 + a * a) * x * x + 2 * a * b * x * y + (1 + b * b) * y * y) / 2 + g * x + h * y;
          const { d } = quadraticMinimum(matrix, [g, h], limits);
          for (let turn = 0; turn < 16; turn++) {
            const near = [
              (d[0] ?? 0) + 0.01 * Math.cos((turn * Math.PI) / 8),
              (d[1] ?? 0) + 0.01 * Math.sin((turn * Math.PI) / 8),
            ];
            if (
              limits.every(
                ({ row, bound: most }) =>
                  (row[0] ?? 0) * (near[0] ?? 0) + (row[1] ?? 0) * (near[1] ?? 0) <= most,
              )
            )
              expect(value(near)).toBeGreaterThan(value(d) - 1e-9);
          }
        },
      ),
      { seed: 21 },
    );
  });
});

describe("boundedLeastSquares", () => {
  test("a bent valley (Rosenbrock) within a box that holds its end", () => {
    const { x, value } = boundedLeastSquares({
      residuals: ([a = 0, b = 0]) => [10 * (b - a * a), 1 - a],
      most: [2, 2],
      constraints: [],
    });
    expect(x[0]).toBeCloseTo(1, 6);
    expect(x[1]).toBeCloseTo(1, 6);
    expect(value).toBeLessThan(1e-10);
  });

  test("a circle as a limit: the nearest point of it, and how hard it holds", () => {
    const { x, atConstraint } = boundedLeastSquares({
      residuals: ([a = 0, b = 0]) => [a - 3, b - 4],
      most: [9, 9],
      constraints: [([a = 0, b = 0]) => Math.hypot(a, b) - 2.5],
    });
    expect(x[0]).toBeCloseTo(1.5, 5);
    expect(x[1]).toBeCloseTo(2, 5);
    expect(atConstraint[0]).toBeCloseTo(5, 3);
  });

  test("a bound at nought leaves its variable alone and says that it holds it back", () => {
    const { x, atMost } = boundedLeastSquares({
      residuals: ([a = 0, b = 0]) => [a - 1, b - 1],
      most: [0, 4],
      constraints: [],
    });
    expect(x[0]).toBe(0);
    expect(x[1]).toBeCloseTo(1, 9);
    expect(atMost[0]).toBeCloseTo(2, 6);
    expect(atMost[1]).toBe(0);
  });

  test("of two hollows the deeper one, when a constraint holds the nearer and a corner leads to the other", () => {
    const hollows = {
      residuals: ([a = 0]: readonly number[]) => [(a - 0.5) * (a - 4), 0.3 * (a - 4)],
      most: [6],
      constraints: [([a = 0]: readonly number[]) => (a - 0.4) * (3 - a)],
    };
    expect(boundedLeastSquares(hollows).x[0]).toBeCloseTo(0.4, 5);
    expect(boundedLeastSquares({ ...hollows, corners: [[5]] }).x[0]).toBeCloseTo(4, 5);
  });
});
