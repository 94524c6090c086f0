import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { addDays, dateOfDay, dayNumber, dayOfYear, daysBetween, isIsoDate } from "./date";

describe("days of the calendar", () => {
  test.each([
    ["2026-11-23", true],
    ["2024-02-29", true],
    ["2026-02-29", false],
    ["2026-13-01", false],
    ["2026-1-1", false],
    ["23.11.2026", false],
    ["", false],
  ])("%p is a day: %p", (text, expected) => {
    expect(isIsoDate(text)).toBe(expected);
  });

  test("adding days crosses months, leap days and years", () => {
    expect(addDays("2024-02-28", 1)).toBe("2024-02-29");
    expect(addDays("2026-12-31", 1)).toBe("2027-01-01");
    expect(addDays("2026-03-01", -1)).toBe("2026-02-28");
  });

  test("the clock changes of a zone make no day longer: 42 days are 42 days", () => {
    expect(daysBetween("2026-03-01", "2026-04-12")).toBe(42);
    expect(daysBetween("2026-10-01", "2026-11-12")).toBe(42);
  });

  test("there and back again (seeded property)", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40_000 }), fc.integer({ min: -4000, max: 4000 }), (day, step) => {
        const date = dateOfDay(day);
        expect(dayNumber(date)).toBe(day);
        expect(daysBetween(date, addDays(date, step))).toBe(step);
      }),
      { seed: 31 },
    );
  });

  test("day of the year counts from one, and a leap year has 366", () => {
    expect([dayOfYear("2026-01-01"), dayOfYear("2026-05-15"), dayOfYear("2024-12-31")]).toEqual([
      1, 135, 366,
    ]);
  });
});
