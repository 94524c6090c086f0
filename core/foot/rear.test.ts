import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { Vector } from "../geometry/vector";
import { readRear, type RearPoints } from "./rear";

/** Heels 80 apart, hairline 34 and 38 up, limb leaning 3 out at its top of 100. x to lateral, z up. */
const PLAIN: Required<RearPoints> = {
  heelMedial: [-40, 0],
  heelLateral: [40, 0],
  hairlineMedial: [-43, 34],
  hairlineLateral: [43, 38],
  limbLow: [0, 60],
  limbHigh: [3, 160],
};
const moved = (move: (point: Vector) => Vector): RearPoints =>
  Object.fromEntries(
    Object.entries(PLAIN).map(([mark, point]) => [mark, move(point)]),
  ) as unknown as RearPoints;

describe("readRear", () => {
  test("heel heights, tilt and lean of a hand-made view", () => {
    const found = readRear(PLAIN);
    if (!found.ok) throw new Error("refused");
    expect(found.value.heelHeightMedial).toBe(34);
    expect(found.value.heelHeightLateral).toBe(38);
    expect(found.value.hairlineTilt).toBeCloseTo((Math.atan2(4, 86) * 180) / Math.PI, 9);
    expect(found.value.limbDeviation).toBeCloseTo((Math.atan2(3, 100) * 180) / Math.PI, 9);
  });

  test("turning, mirroring and scaling the picture change nothing (seeded property)", () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(-3, 3), fc.boolean(), number(0.5, 20), (turn, mirror, scale) => {
        const found = readRear(
          moved(([x, y]) => {
            const [mx, my] = [(mirror ? -x : x) * scale, y * scale];
            return [
              mx * Math.cos(turn) - my * Math.sin(turn) + 90,
              mx * Math.sin(turn) + my * Math.cos(turn),
            ];
          }),
          1 / scale,
        );
        if (!found.ok) throw new Error("refused");
        expect(found.value.heelHeightLateral).toBeCloseTo(38, 6);
        expect(found.value.hairlineTilt).toBeCloseTo(2.663, 2);
        expect(found.value.limbDeviation).toBeCloseTo(1.718, 2);
      }),
      { seed: 61 },
    );
  });

  test("without the limb's marks it says no lean; heels on one point and a hairline through the ground are named", () => {
    const { limbLow, limbHigh, ...rest } = PLAIN;
    expect([limbLow, limbHigh]).toHaveLength(2);
    const found = readRear(rest);
    expect(found.ok && found.value.limbDeviation).toBeUndefined();
    const code = (points: RearPoints) => {
      const read = readRear(points);
      return read.ok ? "read" : read.issues[0]?.code;
    };
    expect(code({ ...PLAIN, heelLateral: PLAIN.heelMedial })).toBe("coincident");
    expect(code({ ...PLAIN, hairlineMedial: PLAIN.hairlineLateral })).toBe("coincident");
    expect(code({ ...PLAIN, hairlineMedial: [-43, -34] })).toBe("upside-down");
  });
});
