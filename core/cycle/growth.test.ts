import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { addDays } from "../calendar/date";
import { angleDrift, toeGrowth } from "./growth";
import { seasonDays } from "../calendar/season";

const shod = { shod: true, hemisphere: "north", measureSd: 1.1 } as const;

describe("seasonDays", () => {
  test("four whole years weigh as many days as they have", () => {
    expect(seasonDays("2024-02-10", "2028-02-10", "north")).toBeCloseTo(1461, 6);
  });

  test("about the peak a day counts 1.2, half a year later 0.8", () => {
    expect(seasonDays("2026-05-15", "2026-05-16", "north")).toBeCloseTo(1.2, 4);
    expect(seasonDays("2026-11-13", "2026-11-14", "north")).toBeCloseTo(0.8, 3);
    expect(seasonDays("2026-11-14", "2026-11-15", "south")).toBeCloseTo(1.2, 4);
  });

  test("the integral is the sum of its days, and runs over the new year without a break (seeded property)", () => {
    const daily = (from: string, days: number) => {
      let sum = 0;
      for (let step = 0; step < days * 20; step++) {
        const dayOfYear = (Date.parse(from) - Date.parse(`${from.slice(0, 4)}-01-01`)) / 86_400_000 + 1;
        sum += (1 + 0.2 * Math.cos((2 * Math.PI * (dayOfYear + (step + 0.5) / 20 - 135)) / 365.25)) / 20;
      }
      return sum;
    };
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 700 }), fc.integer({ min: 1, max: 90 }), (start, days) => {
        const from = addDays("2025-01-01", start);
        expect(seasonDays(from, addDays(from, days), "north")).toBeCloseTo(daily(from, days), 3);
      }),
      { seed: 2, numRuns: 40 },
    );
  });
});

describe("toeGrowth", () => {
  test("before any cycle it is the general value", () => {
    expect(toeGrowth([], shod)).toEqual({ ok: true, value: { perDay: 0.28, sd: 0.05, observations: 0 } });
    expect(
      toeGrowth([{ date: "2026-01-05", before: 90, after: 82 }], { ...shod, shod: false }),
    ).toMatchObject({
      value: { perDay: 0.2, observations: 0 },
    });
  });

  test("one cycle of 42 days: the mean of prior and observation, each by its precision", () => {
    const found = toeGrowth(
      [
        { date: "2026-01-01", before: 90, after: 82 },
        { date: "2026-02-12", before: 91, after: 82 },
      ],
      shod,
    );
    const season = seasonDays("2026-01-01", "2026-02-12", "north");
    const observed = 9 / season;
    const observedSd = (Math.SQRT2 * 1.1) / season;
    const [prior, own] = [1 / 0.05 ** 2, 1 / observedSd ** 2];
    if (!found.ok) throw new Error("refused");
    expect(found.value.perDay).toBeCloseTo((0.28 * prior + observed * own) / (prior + own), 12);
    expect(found.value.sd).toBeCloseTo(Math.sqrt(1 / (prior + own)), 12);
    expect(found.value.observations).toBe(1);
  });

  test("a cycle with a measure missing is passed over, not made up", () => {
    const found = toeGrowth(
      [
        { date: "2026-01-01", before: 90 },
        { date: "2026-02-12", before: 91, after: 82 },
      ],
      shod,
    );
    expect(found).toMatchObject({ value: { observations: 0 } });
  });

  test("dates that do not rise are named", () => {
    const found = toeGrowth(
      [
        { date: "2026-02-01", after: 82 },
        { date: "2026-02-01", before: 91 },
      ],
      shod,
    );
    expect(!found.ok && found.issues[0]).toMatchObject({ code: "not-in-order", path: "visits.1.date" });
  });

  test("from many cycles it finds the growth behind them (seeded property)", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.15, max: 0.4, noNaN: true }), (rate) => {
        let date = "2024-03-01";
        const visits = [{ date, before: 90, after: 83 }];
        for (let cycle = 0; cycle < 14; cycle++) {
          const next = addDays(date, 38);
          visits.push({ date: next, before: 83 + rate * seasonDays(date, next, "north"), after: 83 });
          date = next;
        }
        const found = toeGrowth(visits, shod);
        expect(found.ok && Math.abs(found.value.perDay - rate)).toBeLessThan(0.012);
      }),
      { seed: 9 },
    );
  });
});

test("angleDrift has the published prior and knows no season", () => {
  expect(angleDrift([], { shod: true, measureSd: 0.54 })).toMatchObject({
    value: { perDay: -0.059, sd: 0.03 },
  });
  const cycle = (month: string) =>
    angleDrift(
      [
        { date: `2026-${month}-01`, after: 50 },
        { date: `2026-${month}-29`, before: 48 },
      ],
      { shod: true, measureSd: 0.54 },
    );
  expect(cycle("05")).toEqual(cycle("10"));
});
