import { wordingFor } from "../foot/wording";
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { formatLength, lengthParts, parseLength, typesetFractions, type LengthUnit } from "./length";

const mm = (text: string, unit: LengthUnit = "in") => {
  const read = parseLength(text, unit);
  return read.ok ? read.value : read.issues[0]?.code;
};

describe("parseLength", () => {
  test.each([
    ["5 1/4", 133.35],
    ["5-1/4", 133.35],
    ["5 - 1/4", 133.35],
    ["5¼", 133.35],
    ["5 ¼", 133.35],
    ["5.25in", 133.35],
    ['5.25"', 133.35],
    ["5.25 inches", 133.35],
    ["1/2", 12.7],
    ["⅞", 22.225],
    [".5", 12.7],
    ["5,25", 133.35],
  ])("a farrier's %s is %d mm when a bare number means inches", (text, expected) => {
    expect(mm(text)).toBeCloseTo(expected, 9);
  });

  test.each([
    ["133", 133],
    ["133mm", 133],
    ["133 MM", 133],
    ["13.3 cm", 133],
    ["5 1/4 in", 133.35],
  ])("%s is %d mm when a bare number means millimetres", (text, expected) => {
    expect(mm(text, "mm")).toBeCloseTo(expected, 9);
  });

  test.each([
    ["", "empty"],
    ["  ", "empty"],
    ["abc", "not-a-length"],
    ["133x", "not-a-length"],
    ["5 5", "not-a-length"],
    ["5 6.5", "not-a-length"],
    ["1e3", "not-a-length"],
    ["1/0", "zero-denominator"],
    ["5 5/4", "odd-fraction"],
    ["-3", "negative"],
    ["−3", "negative"],
    ["∞", "not-a-length"],
  ])("%p is refused as %s", (text, code) => {
    expect(mm(text)).toBe(code);
  });

  test("the refusal repeats what was typed", () => {
    const read = parseLength("nine", "mm");
    expect(!read.ok && read.issues[0]?.message).toContain("“nine”");
  });

  test("what is shown in inches reads back to the same sixteenth (seeded property)", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 16 * 20 }), (sixteenths) => {
        const length = (sixteenths * 25.4) / 16;
        expect(mm(formatLength(length, "in", 16))).toBeCloseTo(length, 9);
      }),
      { seed: 11 },
    );
  });
});

describe("formatLength", () => {
  test.each([
    [133.35, "in", "5 1/4 in"],
    [127, "in", "5 in"],
    [3.175, "in", "1/8 in"],
    [0, "in", "0 in"],
    [133.35, "mm", "133 mm"],
    [133.5, "mm", "134 mm"],
  ] as const)("%d mm in %s is %s", (value, unit, expected) => {
    expect(formatLength(value, unit)).toBe(expected);
  });

  test("ties go up: half a sixteenth counts as one", () => {
    expect(formatLength(25.4 / 32, "in", 16)).toBe("1/16 in");
  });

  test("rounding up to a whole inch carries", () => {
    expect(formatLength(25.4 * 0.99, "in", 8)).toBe("1 in");
  });

  test("a difference keeps its sign, and nothing has none", () => {
    expect(formatLength(-12.7, "in")).toBe("−1/2 in");
    expect(formatLength(-0.2, "mm")).toBe("0 mm");
    expect(lengthParts(-3, "mm")).toEqual({ sign: "−", whole: "3", unit: "mm" });
  });
});

test("typesetFractions sets eighths as one sign and leaves finer fractions and other text alone", () => {
  expect(["5 1/4 in", "3/8 in", "3 3/16", "−1/2 in", "133 mm", "50 : 50"].map(typesetFractions)).toEqual([
    "5¼ in",
    "⅜ in",
    "3 3/16",
    "−½ in",
    "133 mm",
    "50 : 50",
  ]);
});

describe("a cut in words", () => {
  const style = { fraction: 16, leftRight: "left-right", side: "inside-outside" } as const;

  test("to the half millimetre, or to the thirty-second of an inch whatever the user's fraction", () => {
    const { cut } = wordingFor({ ...style, unit: "mm" });
    expect([cut(3), cut(3.5), cut(3.3), cut(0)]).toEqual(["3 mm", "3.5 mm", "3.5 mm", "0 mm"]);
    expect(wordingFor({ ...style, unit: "in" }).cut(25.4 + 25.4 / 32)).toContain("32");
  });
});
