import { describe, expect, test } from "@jest/globals";
import { changeSince } from "./change";
import { GENERAL_NOISE, ownNoise, repeatability, sdOfSmallestChange } from "./repeatability";

describe("repeatability", () => {
  test("pairs 50/51 and 48/48: sd = sqrt(1/4), smallest change 2.772 of it", () => {
    expect(
      repeatability([
        [50, 51],
        [48, 48],
      ]),
    ).toEqual({ ok: true, value: { n: 2, sd: 0.5, smallestChange: expect.closeTo(1.386, 3) } });
  });

  test("the order within a pair does not matter, and equal pairs have no noise", () => {
    expect(repeatability([[3, 1]])).toEqual(repeatability([[1, 3]]));
    expect(repeatability([[7, 7]])).toMatchObject({ value: { sd: 0, smallestChange: 0 } });
  });

  test("no pairs, no answer", () => {
    expect(repeatability([])).toMatchObject({ ok: false, issues: [{ code: "no-pairs", path: "pairs" }] });
  });

  test("nine pairs are not enough for a noise of one's own, ten are", () => {
    const pairs = (n: number) => Array.from({ length: n }, () => [50, 51] as const);
    expect(ownNoise(pairs(9), pairs(10))).toBe(GENERAL_NOISE.value);
    expect(ownNoise(pairs(10), pairs(10)).angleDeg).toBeCloseTo(2.772 * Math.SQRT1_2, 12);
  });

  test("the general noise is sd 0.54 deg and about 1.1 mm", () => {
    expect(sdOfSmallestChange(GENERAL_NOISE.value.angleDeg)).toBeCloseTo(0.54, 2);
    expect(sdOfSmallestChange(GENERAL_NOISE.value.lengthMm)).toBeCloseTo(1.08, 2);
  });
});

test("changeSince: only a difference beyond the noise is a change", () => {
  expect(changeSince(86, 83, 3)).toEqual({ difference: 3, real: false, noise: 3 });
  expect(changeSince(79.9, 83, 3).real).toBe(true);
});
