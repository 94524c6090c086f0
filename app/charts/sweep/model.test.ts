import { describe, expect, test } from "@jest/globals";
import { GROUNDS } from "~core/ground/grounds";
import type { GroundDifference, SweptShoe } from "~core/ground/compare";
import { sweepModel } from "./model";

const difference = (pitch: number): GroundDifference => ({
  sink: -pitch / 2,
  pitch,
  roll: 0,
  front: -pitch,
  support: 27,
  pull: 1,
  heelPeak: 1,
  toePeak: 1,
  frog: 0,
  sole: 0,
});
const swept = (id: string, pitches: (number | undefined)[]): SweptShoe => ({
  id,
  points: GROUNDS.map(({ stiffness }, at) => {
    const pitch = pitches[at];
    return {
      stiffness,
      difference: pitch === undefined ? undefined : difference(pitch),
    };
  }),
});
const on = swept("on", []);

describe("shoes over the grounds", () => {
  test("each but the first is a line from hard to soft, with the letter of its map", () => {
    const { lines, grounds } = sweepModel(
      [on, swept("egg", [0, 0, 0.2, 1, 2, 4, 5]), swept("broad", [0, 0, 0, 0, 0, 0, 0])],
      ["A", "B", "C"],
      "pitch",
    );
    expect(lines.map(({ letter }) => letter)).toEqual(["B", "C"]);
    expect(lines[0]?.points.at(-1)).toEqual({ ground: 6, value: 5 });
    expect(grounds.map(({ soft }) => soft)).toEqual([false, false, false, false, true, true, true]);
  });

  test("the scale holds 0 and every value, and does not blow up noise", () => {
    const wide = sweepModel([on, swept("egg", [0, 0, 0, 1, 2, 4, 5])], ["A", "B"], "pitch");
    expect(wide.range[0]).toBeLessThan(0);
    expect(wide.range[1]).toBeGreaterThan(5);
    const flat = sweepModel([on, swept("same", [0, 0, 0.01, 0, 0, 0, 0])], ["A", "B"], "pitch");
    expect(flat.range[1] - flat.range[0]).toBeGreaterThanOrEqual(1);
  });

  test("mm where mm are shown; a shoe without any answer has no line", () => {
    const model = sweepModel(
      [on, swept("egg", [1, 1, 1, 1, 1, 1, 1]), swept("hung", [])],
      ["A", "B", "C"],
      "sink",
    );
    expect(model.unit).toBe("mm");
    expect(model.lines).toHaveLength(1);
    expect(model.lines[0]?.points[0]?.value).toBe(-0.5);
  });
});
