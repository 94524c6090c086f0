import { describe, expect, test } from "@jest/globals";
import type { FootOutlook, FootVisit } from "~core/cycle/horseDue";
import type { FootValues } from "~core/foot/measures";
import { GENERAL_NOISE } from "~core/repeatability/repeatability";
import { trendModel } from "./model";

const foot = (toe: number, dorsal = 50, pastern = 50): FootValues => ({
  toeLength: { value: toe, source: "calliper" },
  dorsalAngle: { value: dorsal, source: "gauge" },
  pasternAngle: { value: pastern, source: "gauge" },
});
const history: FootVisit[] = [
  { date: "2026-01-01", before: foot(92, 48), after: foot(83, 50) },
  { date: "2026-02-12", before: foot(94, 47), after: foot(84, 50) },
];
const rate = { perDay: 0.25, sd: 0.02, observations: 1 };
const outlook: FootOutlook = {
  limb: "LF",
  growth: rate,
  drift: { perDay: -0.05, sd: 0.01, observations: 1 },
  due: { due: "2026-03-26", windowStart: "2026-03-19", reason: "cap", day: 42 },
  question: {
    last: "2026-02-12",
    toeLength: 84,
    toeTarget: 83,
    dorsalAngle: 50,
    pasternAngle: 50,
    growth: rate,
    drift: { perDay: -0.05, sd: 0.01 },
    capWeeks: 6,
  },
};
const noise = GENERAL_NOISE.value;

describe("trendModel", () => {
  test("each visit is a value before and after; the noise band lies about what was last left", () => {
    const model = trendModel("toeLength", history, outlook, noise);
    expect(model?.visits).toEqual([
      { date: "2026-01-01", before: 92, after: 83 },
      { date: "2026-02-12", before: 94, after: 84 },
    ]);
    expect(model?.band).toEqual({ low: 81, high: 87 });
  });

  test("the forecast starts at the last visit, ends a week past the due day and widens", () => {
    const forecast = trendModel("toeLength", history, outlook, noise)?.forecast ?? [];
    expect([forecast[0]?.mean, forecast[0]?.date, forecast.at(-1)?.date]).toEqual([
      84,
      "2026-02-12",
      "2026-04-02",
    ]);
    const widths = forecast.map(({ high, low }) => high - low);
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
  });

  test("the axis is dorsal minus pastern, its band the noise of four angles", () => {
    const model = trendModel("axis", history, outlook, noise);
    expect(model?.visits[1]).toEqual({ date: "2026-02-12", before: -3, after: 0 });
    expect(model?.band?.high).toBeCloseTo(1.5 * Math.SQRT2, 12);
  });

  test("everything drawn lies inside the range", () => {
    const model = trendModel("dorsalAngle", history, outlook, noise)!;
    const drawn = [
      ...model.visits.flatMap(({ before, after }) => [before!, after!]),
      ...model.forecast.flatMap(({ low, high }) => [low, high]),
    ];
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(model.range[0]);
    expect(Math.max(...drawn)).toBeLessThanOrEqual(model.range[1]);
  });

  test("no measure, no trend; no forecast, no dotted line", () => {
    expect(trendModel("heelDifference", history, outlook, noise)).toBeUndefined();
    expect(trendModel("toeLength", [], undefined, noise)).toBeUndefined();
    expect(trendModel("toeLength", history, undefined, noise)?.forecast).toEqual([]);
  });
});
