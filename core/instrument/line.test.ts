import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { seededRandom } from "../math/random";
import { CALLIPER_LENGTHS, checkCalliper } from "../foot/survey/calliper";
import { standInFoot, standInLine, trueLength, trueMeasure } from "../simulator/instrument";
import { checksum, isInstrumentLine, readInstrumentLine, splitLines, writeInstrumentLine } from "./line";

describe("readInstrumentLine", () => {
  test.each([
    ["G 48.5 deg", { kind: "angle", value: 48.5 }],
    ["C 92.4 mm", { kind: "length", value: 92.4 }],
    ["92,4mm", { kind: "length", value: 92.4 }],
    ["48 °", { kind: "angle", value: 48 }],
    ["C 9.24 cm\r", { kind: "length", value: 92.4 }],
    ["C 2 in", { kind: "length", value: 50.8 }],
    ['2.5"', { kind: "length", value: 63.5 }],
  ] as const)("%s", (line, reading) => {
    const found = readInstrumentLine(line);
    expect(found.ok && found.value.kind).toBe(reading.kind);
    expect(found.ok && found.value.value).toBeCloseTo(reading.value, 9);
  });

  test.each([
    ["", "not-a-reading"],
    ["C mm", "not-a-reading"],
    ["92.4", "not-a-reading"],
    ["C 92.4 mm rm -rf", "not-a-reading"],
    ["G 48.5 mm", "wrong-unit"],
    ["C 48.5 deg", "wrong-unit"],
    ["C 92.4 mm*00", "checksum"],
  ])("“%s” is refused: %s", (line, code) => {
    const found = readInstrumentLine(line);
    expect(!found.ok && found.issues[0]?.code).toBe(code);
  });

  test("what is written is read back, and one garbled letter is noticed", () => {
    const line = writeInstrumentLine({ kind: "length", value: 92.4 });
    expect(line).toBe(`C 92.4 mm*${checksum("C 92.4 mm").toString(16).toUpperCase().padStart(2, "0")}`);
    expect(readInstrumentLine(line)).toMatchObject({ value: { value: 92.4 } });
    expect(readInstrumentLine(line.replace("92", "82")).ok).toBe(false);
  });

  test("a stream in pieces gives whole lines and keeps the rest", () => {
    expect(splitLines("C 1 mm\r\nG 4")).toEqual({ lines: ["C 1 mm"], rest: "G 4" });
    expect(splitLines("8 deg\r\n\n")).toEqual({ lines: ["8 deg"], rest: "" });
    expect([isInstrumentLine("C 92.4 mm"), isInstrumentLine("92.4"), isInstrumentLine("C")]).toEqual([
      true,
      false,
      false,
    ]);
  });
});

describe("stand-in instruments", () => {
  const foot = standInFoot(ordinaryFoot("LF", { kind: "horse", massKg: 500 }), 8);

  test("read the stand-in foot with the noise of a hand: 400 readings lie about the truth with an sd of 1.1 mm", () => {
    const random = seededRandom(9);
    const truth = trueMeasure(foot, "toeLength");
    expect(truth).toBeCloseTo(86 + 8, 0);
    const draws = Array.from({ length: 400 }, () => {
      const read = readInstrumentLine(standInLine("length", truth, random));
      return read.ok ? read.value.value : NaN;
    });
    const mean = draws.reduce((sum, one) => sum + one, 0) / draws.length;
    const sd = Math.sqrt(draws.reduce((sum, one) => sum + (one - mean) ** 2, 0) / draws.length);
    expect(Math.abs(mean - truth)).toBeLessThan(0.2);
    expect(Math.abs(sd - 1.1)).toBeLessThan(0.15);
  });

  test("every length of the calliper's list has a truth, and a foot of 900 mm is refused", () => {
    for (const length of CALLIPER_LENGTHS) expect(trueLength(foot, length)).toBeGreaterThan(0);
    expect(checkCalliper({ id: "toe.y", name: "Toe" }, 900).ok).toBe(false);
    expect(checkCalliper({ id: "toe.y", name: "Toe" }, 130)).toEqual({ ok: true, value: 130 });
  });
});
