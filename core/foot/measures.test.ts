import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "./wording";
import { axisChangeNoise, readAxis } from "./axis";
import { levelOf } from "./level";
import { lateralOnScreen, limbName, pairOf, sideName } from "./limb";
import { checkMeasure, type FootValues, type Measure } from "./measures";
import { oddities } from "./oddities";
import { toeTarget, toeYardstick } from "./toeYardstick";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
const taken = (values: Partial<Record<Measure, number>>): FootValues =>
  Object.fromEntries(Object.entries(values).map(([name, value]) => [name, { value, source: "gauge" }]));

describe("readAxis", () => {
  test("48 against 52 is broken back 4 degrees, inside the limit of 5", () => {
    expect(readAxis(48, 52, 1.5)).toMatchObject({ axisDeg: -4, word: "broken back", level: "steady" });
  });

  test("a difference inside the noise reads as straight, one beyond it does not", () => {
    expect(readAxis(50, 51.5, 1.5).word).toBe("straight");
    expect(readAxis(50, 51.6, 1.5).word).toBe("broken back");
  });

  test("however sharp the gauge, less than one degree is never called broken", () => {
    expect(readAxis(51, 50, 0.1)).toMatchObject({ word: "straight", noiseDeg: 1 });
  });

  test("past 5 degrees it is marked either way, past 12 it wants acting on", () => {
    expect(readAxis(55.1, 50, 1.5)).toMatchObject({ word: "broken forward", level: "drifting" });
    expect(readAxis(37, 50, 1.5).level).toBe("act");
  });

  test("a change of the axis carries the noise of four angles", () => {
    expect(axisChangeNoise(1.5)).toBeCloseTo(2.1213, 4);
  });
});

test("levelOf: the bound itself still belongs to the calmer side, the sign does not matter", () => {
  expect([2, 2.1, -5, -5.1].map((value) => levelOf(value, [2, 5]))).toEqual([
    "steady",
    "drifting",
    "drifting",
    "act",
  ]);
});

describe("sides", () => {
  test("seen from below, a left foot has lateral on the right; from above it is the other way round", () => {
    expect(lateralOnScreen("LF", "below")).toBe(1);
    expect(lateralOnScreen("RF", "below")).toBe(-1);
    expect(lateralOnScreen("LH", "above")).toBe(-1);
  });

  test("names follow the user's habit", () => {
    expect(limbName("RH", { leftRight: "near-off" })).toBe("off hind");
    expect(sideName("medial", { side: "inside-outside" })).toBe("inside");
    expect(pairOf("LF")).toBe("RF");
  });
});

describe("toeYardstick", () => {
  test.each([
    [360, 76],
    [380, 76],
    [430, 83],
    [480, 83],
    [547, 89],
    [415, 79.5],
    [502.5, 86],
  ])("%d kg: %d mm", (kg, expected) => {
    expect(toeYardstick(kg)).toEqual({ toeLengthMm: expected, published: true });
  });

  test("outside the published range it follows the body's size and says that it does", () => {
    expect(toeYardstick(180)).toEqual({ toeLengthMm: 76 * Math.cbrt(0.5), published: false });
    expect(toeYardstick(1140)).toEqual({ toeLengthMm: 89 * Math.cbrt(2), published: false });
  });

  test("the horse's own target outranks it; a donkey has a smaller toe", () => {
    expect(toeTarget({ kind: "horse", massKg: 450, toeTargetMm: 80 }).toeLengthMm).toBe(80);
    expect(toeTarget({ kind: "donkey", massKg: 450 }).toeLengthMm).toBeLessThan(83);
  });
});

describe("wrong and odd values", () => {
  test.each([
    ["dorsalAngle", 120],
    ["toeLength", 900],
    ["heelHeightMedial", 0],
    ["width", Number.NaN],
  ] as const)("%s of %d is refused with words", (measure, value) => {
    const checked = checkMeasure(measure, value);
    expect(!checked.ok && checked.issues[0]).toMatchObject({ code: "not-living", path: measure });
  });

  test("an axis beyond 12 degrees and a change of 15 mm are asked about, ordinary ones are not", () => {
    const last = taken({ toeLength: 83 });
    expect(oddities(taken({ dorsalAngle: 40, pasternAngle: 53 }), last, wording)).toHaveLength(1);
    expect(oddities(taken({ dorsalAngle: 41, pasternAngle: 53 }), last, wording)).toHaveLength(0);
    expect(oddities(taken({ toeLength: 98 }), last, wording)[0]?.question).toBe(
      "Toe length: 15 mm more than last time. Right foot, right unit?",
    );
    expect(oddities(taken({ toeLength: 97 }), last, wording)).toHaveLength(0);
  });

  test("the question's code stays the same while the value does, so that it is asked once", () => {
    const code = (toe: number) =>
      oddities(taken({ toeLength: toe }), taken({ toeLength: 80 }), wording)[0]?.code;
    expect(code(99)).toBe(code(99));
    expect(code(99)).not.toBe(code(100));
  });
});
