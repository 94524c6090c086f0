import { describe, expect, test } from "@jest/globals";
import { horseOutlook, outlookAfter } from "../../cycle/horseDue";
import { nothingRead, type Reading } from "./reading";
import { DEFAULT_SETTINGS } from "../../record/settings";
import { horseAt } from "../../rounds/round.fixture";
import { MOST_PAIRS, noiseOf, pairSchema, pairsOf, pairsOfReadings, withPair, type Pair } from "./pairs";
import { GENERAL_NOISE, sdOfSmallestChange } from "../../repeatability/repeatability";

const pair = (measure: Pair["measure"], a: number, b: number): Pair => ({
  date: "2026-11-23",
  measure,
  a,
  b,
});
const ten = (apart: { angle: number; length: number }): Pair[] =>
  Array.from({ length: 10 }, () => [
    pair("dorsalAngle", 50, 50 + apart.angle),
    pair("toeLength", 80, 80 - apart.length),
  ]).flat();

describe("pairs of repeated measures", () => {
  test("angles and lengths are told apart by what was measured", () => {
    const mixed = [pair("pasternAngle", 50, 51), pair("heelHeightMedial", 30, 32), pair("width", 120, 120)];
    expect([pairsOf(mixed, "angle"), pairsOf(mixed, "length")]).toEqual([
      [[50, 51]],
      [
        [30, 32],
        [120, 120],
      ],
    ]);
  });

  test("a length of the sole by calliper is a length; what is no measure is refused", () => {
    expect(pairsOf([pair("toe.y", 120, 121)], "length")).toEqual([[120, 121]]);
    expect(pairsOf([pair("toe.y", 120, 121)], "angle")).toEqual([]);
    expect(pairSchema.safeParse(pair("toe.y", 1, 2)).success).toBe(true);
    expect(pairSchema.safeParse(pair("mood", 1, 2)).success).toBe(false);
  });

  test("two readings of one foot make a pair of each measure that both have", () => {
    const by = (value: number) => ({ value, source: "photo" as const });
    expect(
      pairsOfReadings(
        "2026-11-23",
        { dorsalAngle: by(50), toeLength: by(80) },
        { dorsalAngle: by(51), width: by(120) },
      ),
    ).toEqual([pair("dorsalAngle", 50, 51)]);
  });

  test("the newest four hundred are kept", () => {
    const many = Array.from({ length: MOST_PAIRS }, (_, index) => pair("toeLength", index, index));
    const more = withPair(many, pair("toeLength", 999, 999));
    expect([more.length, more[0]?.a, more.at(-1)?.a]).toEqual([MOST_PAIRS, 1, 999]);
  });

  test("the general value stands until ten of each, then one’s own: 1 deg and 2 mm apart is sd 0.71 and 1.41", () => {
    const pairs = ten({ angle: 1, length: 2 });
    expect(noiseOf({ pairs: pairs.slice(1) })).toBe(GENERAL_NOISE.value);
    const own = noiseOf({ pairs });
    expect(sdOfSmallestChange(own.angleDeg)).toBeCloseTo(Math.SQRT1_2, 9);
    expect(sdOfSmallestChange(own.lengthMm)).toBeCloseTo(Math.SQRT2, 9);
    expect(own.source).toBe("your own, from 10 angle and 10 length pairs");
  });
});

describe("a hand of one’s own in the forecast", () => {
  const { horse } = horseAt("north", "Ash");
  const readings = ["2026-08-01", "2026-09-12", "2026-10-24"].flatMap((date, visit) =>
    (["before", "after"] as const).map((moment): Reading => ({
      id: `${visit}.LF.${moment}`,
      visitId: String(visit),
      horseId: "ash",
      limb: "LF",
      moment,
      date,
      ...nothingRead(),
      values: {
        toeLength: { value: moment === "before" ? 91 : 80, source: "calliper" },
        dorsalAngle: { value: 50, source: "gauge" },
        pasternAngle: { value: 50, source: "gauge" },
      },
    })),
  );
  const with80 = (pairs: Pair[]) => {
    const rules = { ...DEFAULT_SETTINGS, pairs };
    const [outlook] = horseOutlook(horse, readings, rules);
    const after = outlook && outlookAfter(outlook, 42, noiseOf(rules));
    return {
      sd: outlook?.growth.sd ?? Number.NaN,
      wide: (after?.toeLength.high ?? 0) - (after?.toeLength.low ?? 0),
    };
  };

  test("a steadier hand learns growth more sharply and draws a narrower band; a rougher one the other way", () => {
    const [steady, general, rough] = [ten({ angle: 0.3, length: 0.4 }), [], ten({ angle: 3, length: 5 })].map(
      with80,
    );
    expect(steady!.sd).toBeLessThan(general!.sd);
    expect(general!.sd).toBeLessThan(rough!.sd);
    expect(steady!.wide).toBeLessThan(general!.wide);
    expect(general!.wide).toBeLessThan(rough!.wide);
  });
});
