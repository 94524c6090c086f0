import { describe, expect, test } from "@jest/globals";
import { typedNumber } from "./typedNumber";

describe("typedNumber", () => {
  test("typed by hand: an angle, a length in the user's unit", () => {
    expect(typedNumber("angle", "48.5", "mm")).toMatchObject({ ok: true, value: 48.5 });
    expect(typedNumber("length", "3 1/2", "in")).toEqual({ ok: true, value: expect.closeTo(88.9, 6) });
  });

  test("a minus is read only where the measure has two sides", () => {
    expect(typedNumber("length", "−12", "mm", true)).toMatchObject({ ok: true, value: -12 });
    expect(typedNumber("length", "-1/2", "in", true)).toMatchObject({ ok: true, value: -12.7 });
    expect(typedNumber("length", "-12", "mm")).toMatchObject({ ok: false, issues: [{ code: "negative" }] });
  });

  test("an instrument's own line is taken, and the wrong instrument named", () => {
    expect(typedNumber("length", "C 92.4 mm", "in")).toMatchObject({ ok: true, value: 92.4 });
    expect(typedNumber("angle", "C 92.4 mm", "mm")).toMatchObject({
      ok: false,
      issues: [{ code: "wrong-unit" }],
    });
    expect(typedNumber("length", "x", "mm").ok).toBe(false);
  });
});
