import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { daysBetween } from "../calendar/date";
import { footDue, forecastFoot, type DueQuestion } from "./due";

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

const anyQuestion: fc.Arbitrary<DueQuestion> = fc.record({
  last: fc
    .integer({ min: 1, max: 28 })
    .map((day) => `2026-0${1 + (day % 9)}-${String(day).padStart(2, "0")}`),
  toeLength: between(70, 110),
  toeTarget: between(70, 100),
  dorsalAngle: between(40, 60),
  pasternAngle: between(40, 60),
  growth: fc.record({ perDay: between(0.05, 0.5), sd: between(0, 0.1) }),
  drift: fc.record({ perDay: between(-0.15, 0.05), sd: between(0, 0.05) }),
  capWeeks: fc.integer({ min: 1, max: 12 }),
});

describe("footDue, for any foot (seeded properties)", () => {
  test("it is due after the last visit and not after its cap; the date is that many days on", () => {
    fc.assert(
      fc.property(anyQuestion, (question) => {
        const { due, day, windowStart } = footDue(question);
        expect(day).toBeGreaterThanOrEqual(1);
        expect(day).toBeLessThanOrEqual(question.capWeeks * 7);
        expect(daysBetween(question.last, due)).toBe(day);
        expect(daysBetween(windowStart, due)).toBe(day <= 28 ? 3 : 7);
      }),
      { seed: 51 },
    );
  });

  test("the day before, nothing was past its limit: it is the earliest", () => {
    fc.assert(
      fc.property(anyQuestion, (question) => {
        const { day, reason } = footDue(question);
        const shorter = footDue({ ...question, capWeeks: (day - 1) / 7 || 0.01 });
        if (day > 1) expect(shorter.reason).toBe("cap");
        if (reason === "cap") expect(day).toBe(question.capWeeks * 7);
      }),
      { seed: 52 },
    );
  });

  test("faster growth, a tighter limit or a shorter cap never make it later", () => {
    fc.assert(
      fc.property(anyQuestion, between(0.01, 0.2), (question, more) => {
        const { day } = footDue(question);
        const faster = { ...question, growth: { ...question.growth, perDay: question.growth.perDay + more } };
        expect(footDue(faster).day).toBeLessThanOrEqual(day);
        expect(footDue({ ...question, toeOver: 14 - 10 * more }).day).toBeLessThanOrEqual(day);
        expect(footDue({ ...question, axisLimit: 5 - more, axisWorse: 3 - more }).day).toBeLessThanOrEqual(
          day,
        );
        expect(footDue({ ...question, capWeeks: question.capWeeks / 2 }).day).toBeLessThanOrEqual(day);
      }),
      { seed: 53 },
    );
  });

  test("the forecast on day nought is the foot as it was left, and its band only widens", () => {
    fc.assert(
      fc.property(anyQuestion, (question) => {
        const start = forecastFoot(question, 0);
        expect(start.toeLength.mean).toBeCloseTo(question.toeLength, 9);
        expect(start.axis.mean).toBeCloseTo(question.dorsalAngle - question.pasternAngle, 9);
        const widths = [0, 20, 40, 60].map((day) => {
          const { toeLength } = forecastFoot(question, day);
          return toeLength.high - toeLength.low;
        });
        expect(widths).toEqual([...widths].sort((a, b) => a - b));
      }),
      { seed: 54 },
    );
  });
});
