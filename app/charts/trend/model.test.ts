import { describe, expect, test } from "@jest/globals";
import type { FootOutlook } from "~core/cycle/horseDue";
import { TREND_MEASURES, type TrendVisit } from "~core/foot/records/trends";
import { GENERAL_NOISE } from "~core/repeatability/repeatability";
import { trendModel } from "./model";

const measure = (id: string) => TREND_MEASURES.find((one) => one.id === id)!;
const days = (...values: [before: number, after: number][]): TrendVisit[] =>
  values.map(([before, after], index) => ({
    date: index === 0 ? "2026-01-01" : "2026-02-12",
    before,
    after,
  }));
const TOE = days([92, 83], [94, 84]);
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
    const model = trendModel(measure("toeLength"), TOE, outlook, noise);
    expect(model?.visits).toEqual([
      { date: "2026-01-01", before: 92, after: 83 },
      { date: "2026-02-12", before: 94, after: 84 },
    ]);
    expect(model?.band).toEqual({ low: 81, high: 87 });
  });

  test("the forecast starts at the last visit, ends a week past the due day and widens", () => {
    const forecast = trendModel(measure("toeLength"), TOE, outlook, noise)?.forecast ?? [];
    expect([forecast[0]?.mean, forecast[0]?.date, forecast.at(-1)?.date]).toEqual([
      84,
      "2026-02-12",
      "2026-04-02",
    ]);
    const widths = forecast.map(({ high, low }) => high - low);
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
  });

  test("the axis is dorsal minus pastern, its band the noise of four angles", () => {
    const model = trendModel(measure("axis"), days([-2, 0], [-3, 0]), outlook, noise);
    expect(model?.visits[1]).toEqual({ date: "2026-02-12", before: -3, after: 0 });
    expect(model?.band?.high).toBeCloseTo(1.5 * Math.SQRT2, 12);
  });

  test("everything drawn lies inside the range", () => {
    const model = trendModel(measure("dorsalAngle"), days([48, 50], [47, 50]), outlook, noise)!;
    const drawn = [
      ...model.visits.flatMap(({ before, after }) => [before!, after!]),
      ...model.forecast.flatMap(({ low, high }) => [low, high]),
    ];
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(model.range[0]);
    expect(Math.max(...drawn)).toBeLessThanOrEqual(model.range[1]);
  });

  test("no measure, no trend; no forecast, no dotted line", () => {
    expect(trendModel(measure("toeLength"), [], undefined, noise)).toBeUndefined();
    expect(trendModel(measure("toeLength"), TOE, undefined, noise)?.forecast).toEqual([]);
    expect(trendModel(measure("chalkMm"), days([4, 1], [3, 1]), outlook, noise)?.forecast).toEqual([]);
  });
});
