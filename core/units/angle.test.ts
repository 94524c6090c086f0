import { describe, expect, test } from "@jest/globals";
import { formatAngle, parseAngle } from "./angle";

describe("parseAngle", () => {
  test.each([
    ["52", 52],
    ["52.5°", 52.5],
    ["52,5", 52.5],
    ["48 deg", 48],
    ["-4", -4],
    ["−4", -4],
    ["-0", 0],
  ])("%s is %d degrees", (text, expected) => {
    expect(parseAngle(text)).toEqual({ ok: true, value: expected });
  });

  test.each(["", "fifty", "52 mm", "5 1/4"])("%p is refused", (text) => {
    expect(parseAngle(text).ok).toBe(false);
  });
});

test("formatAngle shows one place and a true minus, and no minus before zero", () => {
  expect([48, -4.04, -0.04].map((deg) => formatAngle(deg))).toEqual(["48.0°", "−4.0°", "0.0°"]);
});
