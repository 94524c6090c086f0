import { describe, expect, test } from "@jest/globals";
import type { HighSide } from "../foot/highSide";
import { leftAfterCut, rollByVerdict } from "./highSideVerdict";

const verdict = (mean: number, sd = 1): HighSide => ({ witnesses: [], mean, sd, chi2: 0, n: 2 });

describe("the verdict as a target of a trim", () => {
  test("a side that is surely high comes down by its own height over the heels; in doubt it is level", () => {
    const sure = rollByVerdict({ verdict: verdict(6), high: "lateral", agree: true, heelsApart: 84 });
    // atan(6 / 84).
    expect(sure).toBeCloseTo(4.0856, 3);
    expect(rollByVerdict({ verdict: verdict(1), high: undefined, agree: true, heelsApart: 84 })).toBe(0);
  });

  test("a mirrored foot gives the mirrored target", () => {
    const inside = rollByVerdict({ verdict: verdict(-6), high: "medial", agree: true, heelsApart: 84 });
    expect(inside).toBeCloseTo(-4.0856, 3);
  });

  test("witnesses that contradict one another, or none, suggest nothing", () => {
    expect(
      rollByVerdict({ verdict: verdict(6), high: "lateral", agree: false, heelsApart: 84 }),
    ).toBeUndefined();
    expect(
      rollByVerdict({ verdict: undefined, high: undefined, agree: true, heelsApart: 84 }),
    ).toBeUndefined();
  });

  test("what a cut leaves: the lateral heel cut more brings the lateral side down", () => {
    expect(leftAfterCut(verdict(5), { heelMedial: 1, heelLateral: 4 })).toBe(2);
    expect(leftAfterCut(verdict(-5), { heelMedial: 5, heelLateral: 0 })).toBe(0);
  });
});
