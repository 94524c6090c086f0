import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { degrees, radians } from "./angle";
import { normalDraw, seededRandom } from "./random";
import { combineByPrecision } from "./statistics";
import { distance, dot, length, minus, plus, times, turned } from "../geometry/vector";

describe("seededRandom", () => {
  test("the same seed gives the same stream, another seed another", () => {
    const stream = (seed: number) => {
      const random = seededRandom(seed);
      return Array.from({ length: 5 }, () => random());
    };
    expect(stream(7)).toEqual(stream(7));
    expect(stream(7)).not.toEqual(stream(8));
  });

  test("ten thousand draws stay in [0, 1) and lie evenly", () => {
    const random = seededRandom(1);
    const draws = Array.from({ length: 10_000 }, () => random());
    expect(Math.min(...draws)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...draws)).toBeLessThan(1);
    expect(draws.reduce((sum, draw) => sum + draw, 0) / draws.length).toBeCloseTo(0.5, 1);
  });

  test("normal draws have the mean and spread that were asked for", () => {
    const random = seededRandom(2);
    const draws = Array.from({ length: 20_000 }, () => normalDraw(random, 50, 2));
    const mean = draws.reduce((sum, draw) => sum + draw, 0) / draws.length;
    const sd = Math.sqrt(draws.reduce((sum, draw) => sum + (draw - mean) ** 2, 0) / draws.length);
    expect(Math.abs(mean - 50)).toBeLessThan(0.05);
    expect(Math.abs(sd - 2)).toBeLessThan(0.05);
  });
});

describe("combineByPrecision", () => {
  test("one estimate comes back as it is", () => {
    expect(combineByPrecision([{ mean: 3, sd: 0.2 }])).toEqual({ mean: 3, sd: 0.2 });
  });

  test("two equally sharp ones meet half way and are sharper by the root of two", () => {
    const found = combineByPrecision([
      { mean: 1, sd: 1 },
      { mean: 3, sd: 1 },
    ]);
    expect(found.mean).toBeCloseTo(2, 12);
    expect(found.sd).toBeCloseTo(Math.SQRT1_2, 12);
  });

  test("the answer lies between and is never blunter than the sharpest (seeded property)", () => {
    const estimate = fc.record({
      mean: fc.double({ min: -10, max: 10, noNaN: true }),
      sd: fc.double({ min: 0.01, max: 5, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(estimate, { minLength: 1, maxLength: 8 }), (estimates) => {
        const found = combineByPrecision(estimates);
        const means = estimates.map(({ mean }) => mean);
        expect(found.mean).toBeGreaterThanOrEqual(Math.min(...means) - 1e-9);
        expect(found.mean).toBeLessThanOrEqual(Math.max(...means) + 1e-9);
        expect(found.sd).toBeLessThanOrEqual(Math.min(...estimates.map(({ sd }) => sd)) + 1e-12);
      }),
      { seed: 41 },
    );
  });

  test("no estimate is a programmer's mistake", () => {
    expect(() => combineByPrecision([])).toThrow("at least one");
  });
});

describe("vectors", () => {
  test("sums, differences and lengths of a 3-4-5 triangle", () => {
    expect(plus([1, 2], [2, 2])).toEqual([3, 4]);
    expect(length(minus([4, 6], [1, 2]))).toBe(5);
    expect(distance([4, 6], [1, 2])).toBe(5);
    expect(dot(times([3, 4], 2), [1, 1])).toBe(14);
  });

  test("a quarter turn takes x to y; degrees and radians go there and back", () => {
    const [x, y] = turned([1, 0], radians(90));
    expect(x).toBeCloseTo(0, 12);
    expect(y).toBeCloseTo(1, 12);
    expect(degrees(radians(48.5))).toBeCloseTo(48.5, 12);
  });
});
