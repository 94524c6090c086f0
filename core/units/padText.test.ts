import { describe, expect, test } from "@jest/globals";
import { padText, type PadKey } from "./padText";

const press = (keys: PadKey[], last?: number) => keys.reduce((text, key) => padText(text, key, last), "");
const digit = (digits: string): PadKey[] => [...digits].map((one) => ({ kind: "digit", digit: one }));
const eighth = (eighths: 1 | 2 | 4 | 6): PadKey => ({ kind: "fraction", eighths });

describe("padText", () => {
  test("3, a quarter and an eighth make 3 3/8", () => {
    expect(press([...digit("3"), eighth(2), eighth(1)])).toBe("3 3/8");
  });

  test("two halves carry into the whole inch", () => {
    expect(press([...digit("3"), eighth(4), eighth(4)])).toBe("4");
  });

  test("a fraction alone needs no whole", () => {
    expect(press([eighth(6)])).toBe("3/4");
  });

  test("after a fraction digits do nothing, delete takes the fraction away at once", () => {
    expect(press([...digit("3"), eighth(1), ...digit("5")])).toBe("3 1/8");
    expect(press([...digit("3"), eighth(1), { kind: "back" }])).toBe("3");
  });

  test("a point comes once, and a zero before it", () => {
    expect(press([{ kind: "point" }, ...digit("5"), { kind: "point" }])).toBe("0.5");
  });

  test("a step goes from the last value when nothing was typed, never below zero", () => {
    expect(press([{ kind: "step", by: 1 }], 48.5)).toBe("49.5");
    expect(press([{ kind: "step", by: -1 }], 0.5)).toBe("0");
    expect(press([{ kind: "step", by: 1 }])).toBe("");
  });
});
