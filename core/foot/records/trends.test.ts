import { describe, expect, test } from "@jest/globals";
import { GENERAL_NOISE } from "../../repeatability/repeatability";
import { nothingRead, readingId, type Moment, type Reading } from "./reading";
import { TREND_MEASURES, trendsOfFoot, trendVisits } from "./trends";

const reading = (visitId: string, moment: Moment, date: string, more: object): Reading => ({
  id: readingId(visitId, "LF", moment),
  visitId,
  horseId: "h",
  limb: "LF",
  moment,
  date,
  ...nothingRead(),
  ...more,
});
const gauge = (value: number) => ({ value, source: "gauge" as const });
const measure = (id: string) => TREND_MEASURES.find((one) => one.id === id)!;

describe("trends", () => {
  test("no two measures share a name or an id", () => {
    expect(new Set(TREND_MEASURES.map(({ id }) => id)).size).toBe(TREND_MEASURES.length);
    expect(new Set(TREND_MEASURES.map(({ name }) => name)).size).toBe(TREND_MEASURES.length);
  });

  test("every part of a reading can be followed: pad, hand, sole, walls, depths", () => {
    const full = reading("v", "before", "2026-01-01", {
      values: { dorsalAngle: gauge(48), pasternAngle: gauge(52) },
      side: { heelAngle: gauge(44), dish: gauge(3) },
      rear: { hairlineTilt: gauge(2) },
      heights: { hairlineQuarterMedial: gauge(60) },
      walls: { toe: { above: 6 } },
      chalkMm: 2,
      frogProudMm: -3,
      sole: {
        sulcusBack: { y: gauge(0) },
        toe: { y: gauge(130) },
        heelMedial: { x: gauge(-40), y: gauge(12) },
      },
    });
    const told = Object.fromEntries(
      [
        "axis",
        "heelAngle",
        "dish",
        "hairlineTilt",
        "hairlineQuarterMedial",
        "toe.above",
        "chalkMm",
        "frogProudMm",
      ].map((id) => [id, measure(id).of(full)]),
    );
    expect(told).toEqual({
      axis: -4,
      heelAngle: 44,
      dish: 3,
      hairlineTilt: 2,
      hairlineQuarterMedial: 60,
      "toe.above": 6,
      chalkMm: 2,
      frogProudMm: -3,
    });
    expect(measure("heelForwardMedial").of(full)).toBe(12);
    expect(trendsOfFoot([full], "LF").map(({ id }) => id)).toEqual(
      expect.arrayContaining([...Object.keys(told), "dorsalAngle", "heelForwardMedial"]),
    );
    expect(trendsOfFoot([full], "RF")).toEqual([]);
  });

  test("by visit, before and after, oldest first; a visit without it is left out", () => {
    const readings = [
      reading("b", "before", "2026-02-01", { chalkMm: 4 }),
      reading("b", "after", "2026-02-01", { chalkMm: 1 }),
      reading("c", "before", "2026-03-01", {}),
      reading("a", "after", "2026-01-01", { chalkMm: 2 }),
    ];
    expect(trendVisits(readings, "LF", measure("chalkMm"))).toEqual([
      { date: "2026-01-01", after: 2 },
      { date: "2026-02-01", before: 4, after: 1 },
    ]);
  });

  test("a difference of two carries the noise of both; a ratio has none of its own", () => {
    const noise = GENERAL_NOISE.value;
    expect(measure("heelDifference").noise(noise)).toBeCloseTo(Math.SQRT2 * noise.lengthMm, 12);
    expect(measure("axis").noise(noise)).toBeCloseTo(Math.SQRT2 * noise.angleDeg, 12);
    expect(measure("chalkMm").noise(noise)).toBe(noise.lengthMm);
    expect(measure("frogWidthRatio").noise(noise)).toBeUndefined();
  });
});
