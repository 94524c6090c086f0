import { expect, test } from "@jest/globals";
import { GENERAL_NOISE } from "../../repeatability/repeatability";
import { heelDifferenceLevel, toeOverLevel } from "./handLevels";

const hand = { noise: GENERAL_NOISE.value, bounds: {} };

test("heels 4 mm apart are within what two readings differ by; 5 drift, 9 want something done, either way round", () => {
  expect([4, 5, 9, -9].map((mm) => heelDifferenceLevel(mm, hand))).toEqual([
    "steady",
    "drifting",
    "act",
    "act",
  ]);
});

test("a steadier hand is believed sooner, and the user's own bounds count", () => {
  const steady = { angleDeg: 0.3, lengthMm: 0.5, source: "your own" };
  expect(heelDifferenceLevel(3, { ...hand, noise: steady })).toBe("drifting");
  expect(heelDifferenceLevel(4, { ...hand, bounds: { heelHeightDifferenceMm: [0, 1] } })).toBe("act");
});

test("a toe under its target, or over it within the noise, is steady", () => {
  expect([-4, 2.9, 6, 7, 15].map((mm) => toeOverLevel(mm, hand))).toEqual([
    "steady",
    "steady",
    "steady",
    "drifting",
    "act",
  ]);
  expect(toeOverLevel(2.9, { ...hand, bounds: { toeOverYardstickMm: [1, 2] } })).toBe("steady");
});
