import { describe, expect, test } from "@jest/globals";
import type { SolarPoint } from "../geometry/vector";
import { wordingFor } from "../foot/wording";
import {
  breakoverDirection,
  breakoverLenses,
  breakoverLine,
  breakoverTradeOff,
  tractionPlaces,
  wearDirection,
} from "./breakover";
import { outlineThrough } from "./outline";
import { knotsOf } from "./shoe.fixture";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const foot = { toeY: 127, corY: 63, supportY: 0 };

describe("breakoverLenses", () => {
  test("pastern line, coffin tip less 6 mm and even halves, back from the toe", () => {
    expect(breakoverLenses({ ...foot, pasternLineFromToe: -9, coffinTipY: 108 })).toEqual({
      fromToe: { pasternLine: 9, coffinTip: 13, evenHalves: 1, toe: 0 },
      chosen: { lens: "pasternLine", fromToe: 9 },
    });
  });

  test.each([
    [{ pasternLineFromToe: -14, coffinTipY: 110 }, "coffinTip", 11],
    [{ pasternLineFromToe: -14 }, "pasternLine", 14],
    [{ coffinTipY: 110 }, "coffinTip", 11],
    [{}, "evenHalves", 1],
    [{ pasternLineFromToe: 5, coffinTipY: 110 }, "pasternLine", 0],
  ])(
    "%j chooses %s at %d mm: the further forward, the one there is, else even halves",
    (known, lens, fromToe) => {
      expect(breakoverLenses({ ...foot, ...known }).chosen).toEqual({ lens, fromToe });
    },
  );

  test("a line that falls ahead of the toe is the toe, never a negative number", () => {
    const { fromToe } = breakoverLenses({ ...foot, corY: 70, pasternLineFromToe: 8, coffinTipY: 125 });
    expect(fromToe).toEqual({ pasternLine: 0, coffinTip: 0, evenHalves: 0, toe: 0 });
  });

  test("a heel supported further forward wants the breakover further back", () => {
    const at = (supportY: number) => breakoverLenses({ ...foot, supportY }).fromToe.evenHalves;
    expect(at(12) - at(0)).toBe(12);
  });

  test("the trade-off is said where the place lies behind the pastern line, and only there", () => {
    const lenses = breakoverLenses({ ...foot, pasternLineFromToe: -9, coffinTipY: 108 });
    expect(breakoverTradeOff(lenses, 13, wording)).toContain("4 mm behind the pastern line");
    expect(breakoverTradeOff(lenses, 13, wording)).toContain("suspensory ligament");
    expect(breakoverTradeOff(lenses, 5, wording)).not.toContain("suspensory");
    expect(breakoverTradeOff(breakoverLenses(foot), 5, wording)).toContain("Without the pastern line");
  });
});

describe("direction", () => {
  test("the ways there are, as a mean; straight ahead without any", () => {
    expect(breakoverDirection({})).toEqual({ deg: 0, known: false });
    expect(breakoverDirection({ watched: 8, levelLine: 4 })).toEqual({ deg: 6, known: true });
  });

  test("more than 10 degrees apart is asked about, 10 is not", () => {
    expect(breakoverDirection({ watched: 10, wear: 0 }).apart).toBeUndefined();
    expect(breakoverDirection({ watched: 16, wear: 0, levelLine: 5 }).apart).toEqual({
      from: "the old shoe’s wear",
      to: "watched",
      deg: 16,
    });
  });

  test("a thin lateral toe quarter says it left over lateral; nothing painted says nothing", () => {
    expect(wearDirection({ toe: "worn", toeQuarterLateral: "thin" })).toBe(24);
    expect(wearDirection({ toe: "worn", toeQuarterMedial: "worn", toeQuarterLateral: "worn" })).toBe(0);
    expect(wearDirection({ heelLateral: "thin" })).toBeUndefined();
    expect(wearDirection(undefined)).toBeUndefined();
  });
});

describe("the line across the sole", () => {
  const knots = knotsOf();
  const outline = outlineThrough(knots);
  const [, toeY] = knots.toe;

  test("straight ahead it crosses both sides at one height and one distance from the toe", () => {
    const { crosses, rollMm } = breakoverLine(outline, toeY, 10, 0);
    expect(crosses.medial?.at[1]).toBeCloseTo(toeY - 10, 9);
    expect(crosses.lateral?.at[1]).toBeCloseTo(toeY - 10, 9);
    expect(crosses.medial?.s).toBeCloseTo(crosses.lateral?.s ?? 0, 9);
    expect(rollMm).toBeCloseTo(2 * (crosses.medial?.s ?? 0), 9);
  });

  test("turned to lateral it runs further back on the lateral side, and the mirrored foot mirrors it", () => {
    const lateral = breakoverLine(outline, toeY, 10, 12);
    const medial = breakoverLine(outline, toeY, 10, -12);
    expect(lateral.crosses.lateral?.at[1] ?? 0).toBeLessThan(lateral.crosses.medial?.at[1] ?? 0);
    expect(lateral.crosses.lateral?.s).toBeCloseTo(medial.crosses.medial?.s ?? 0, 9);
    expect(lateral.rollMm).toBeCloseTo(medial.rollMm, 9);
  });

  test("at the toe itself there is nothing to roll", () => {
    expect(breakoverLine(outline, toeY, 0, 0).rollMm).toBeLessThan(1);
  });

  test.each([0, 8, -15])("two pieces of traction lie on one line parallel to it, at %i degrees", (deg) => {
    const { medial, lateral } = tractionPlaces(outline, 11, deg);
    const slope = (lateral.at[1] - medial.at[1]) / (lateral.at[0] - medial.at[0]);
    expect(slope).toBeCloseTo(-Math.tan((deg * Math.PI) / 180), 3);
    const ends = [outline.medial.at(-1), outline.lateral.at(-1)] as [SolarPoint, SolarPoint];
    expect(medial.at[1]).toBeGreaterThan(ends[0][1] + 13);
    expect(lateral.at[1]).toBeGreaterThan(ends[1][1] + 13);
  });
});
