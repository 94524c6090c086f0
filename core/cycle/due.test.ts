import { describe, expect, test } from "@jest/globals";
import { capDue, footDue, forecastFoot, type DueQuestion } from "./due";

/** Sure rates, mid-season, so that days can be counted by hand. */
const foot: DueQuestion = {
  last: "2026-03-01",
  toeLength: 83,
  toeTarget: 83,
  dorsalAngle: 50,
  pasternAngle: 50,
  growth: { perDay: 0, sd: 0 },
  drift: { perDay: 0, sd: 0 },
  capWeeks: 6,
};

describe("footDue", () => {
  test("a foot that does not change is due by its cap: 6 weeks, window 7 days", () => {
    expect(footDue(foot)).toEqual({ due: "2026-04-12", windowStart: "2026-04-05", reason: "cap", day: 42 });
  });

  test("a cycle of 28 days or less has a window of 3 days", () => {
    expect(footDue({ ...foot, capWeeks: 4 })).toMatchObject({ day: 28, windowStart: "2026-03-26" });
    expect(capDue("2026-03-01", 5)).toMatchObject({ day: 35, windowStart: "2026-03-29" });
  });

  test("toe: on the first day it is strictly beyond target + 14 mm at the 80th percentile", () => {
    const found = footDue({ ...foot, growth: { perDay: 0.4, sd: 0.02 }, capWeeks: 20 });
    const past = (day: number) => {
      const { toeLength } = forecastFoot({ ...foot, growth: { perDay: 0.4, sd: 0.02 } }, day);
      const sd = (toeLength.high - toeLength.mean) / 1.28;
      return toeLength.mean + 0.84 * sd > 97;
    };
    expect(found.reason).toBe("toe");
    expect(past(found.day)).toBe(true);
    expect(past(found.day - 1)).toBe(false);
  });

  test("axis: 0.2 degrees a day backwards passes -5 on day 26", () => {
    expect(footDue({ ...foot, drift: { perDay: -0.2, sd: 0 } })).toMatchObject({ reason: "axis", day: 26 });
  });

  test("axis: forwards too", () => {
    expect(footDue({ ...foot, drift: { perDay: 0.2, sd: 0 } })).toMatchObject({ reason: "axis", day: 26 });
  });

  test("a foot left at -4 may worsen by 3 before it is due, not by 1", () => {
    const left = { ...foot, dorsalAngle: 46, drift: { perDay: -0.2, sd: 0 } };
    expect(footDue(left)).toMatchObject({ reason: "axis", day: 16 });
  });

  test("a foot left long counts from what was left: due when it has worsened, not at once and for ever", () => {
    const long = { ...foot, toeLength: 100, growth: { perDay: 0.4, sd: 0 }, capWeeks: 20 };
    expect(footDue(long).day).toBeGreaterThan(28);
  });

  test("less sure means earlier, never later", () => {
    const day = (sd: number) => footDue({ ...foot, growth: { perDay: 0.35, sd }, capWeeks: 30 }).day;
    expect(day(0.1)).toBeLessThan(day(0.05));
    expect(day(0.05)).toBeLessThan(day(0));
  });

  test("on one and the same day toe speaks before axis and axis before cap", () => {
    const both = { ...foot, drift: { perDay: -0.12, sd: 0 }, axisLimit: 5, capWeeks: 6 };
    expect(footDue(both)).toMatchObject({ day: 42, reason: "axis" });
  });
});

describe("forecastFoot", () => {
  test("the band is mean +- 1.28 sd of the rate, and of the reading it starts from in quadrature", () => {
    const grown = { ...foot, drift: { perDay: -0.05, sd: 0.01 } };
    const rateOnly = forecastFoot(grown, 40).axis;
    expect(rateOnly.mean).toBeCloseTo(-2, 12);
    expect(rateOnly.high - rateOnly.mean).toBeCloseTo(1.28 * 0.4, 12);
    const both = forecastFoot(grown, 40, { toeSd: 1.1, axisSd: 0.3 }).axis;
    expect(both.high - both.mean).toBeCloseTo(1.28 * 0.5, 12);
  });
});
