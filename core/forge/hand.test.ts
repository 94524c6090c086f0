import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { handCorrection, handSteps, likeKey, missOf, type ForgedSteel } from "./hand";

const shoe = (stock: number, computed: number, date = "2026-11-01"): ForgedSteel => ({
  date,
  type: "plain",
  width: 22,
  thickness: 10,
  material: "steel",
  stock,
  computed,
});

describe("by your own hand", () => {
  test("a miss is steel used beyond what is computed for the shoe that came out", () => {
    expect(missOf(shoe(312, 304))).toBe(8);
    expect(missOf(shoe(300, 304))).toBe(-4);
  });

  test.each([
    [[], 0],
    [[8], 2],
    [[8, 8], 3.2],
    [[8, 8, 8], 4],
    [Array.from({ length: 27 }, () => 10), 9],
  ])("misses %j correct by n / (n + 3) of their mean: %d mm", (misses, mm) => {
    expect(handCorrection(misses)).toBeCloseTo(mm, 9);
  });

  test("never further than the mean, never to the other side (property)", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -30, max: 30, noNaN: true }), { minLength: 1 }), (misses) => {
        const mean = misses.reduce((sum, one) => sum + one, 0) / misses.length;
        expect(Math.abs(handCorrection(misses))).toBeLessThanOrEqual(Math.abs(mean) + 1e-9);
        expect(handCorrection(misses) * mean).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  test("a hand that always wants 8 mm more misses less and less, whatever order the log is read in", () => {
    const log = [3, 1, 2, 4, 5].map((day) => shoe(312, 304, `2026-11-0${day}`));
    const steps = handSteps(log);
    expect(steps.map(({ date }) => date)).toEqual([...steps.map(({ date }) => date)].sort());
    expect(steps.map(({ corrected }) => Math.round(corrected * 100) / 100)).toEqual([0, 2, 3.2, 4, 4.57]);
    expect(steps.map(({ left }) => left)).toEqual([...steps.map(({ left }) => left)].sort((a, b) => b - a));
  });

  test("section, metal and type are learned apart", () => {
    const plain = shoe(1, 1);
    const keys = [
      plain,
      { ...plain, width: 20 },
      { ...plain, material: "aluminium" as const },
      { ...plain, type: "egg bar" },
    ].map(likeKey);
    expect(new Set(keys).size).toBe(4);
  });
});
