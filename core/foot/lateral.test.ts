import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { radians } from "../math/angle";
import type { Vector } from "../geometry/vector";
import { readLateral, type LateralPoints } from "./lateral";

/** A foot drawn by hand: toe at the right, wall rising 100 back and 100 up, pastern at 45 too. */
const square: LateralPoints = {
  groundA: [0, 200],
  groundB: [300, 200],
  toe: [250, 200],
  wallMid: [200, 150],
  wallHigh: [160, 110],
  hairlineToe: [150, 100],
  hairlineHeel: [70, 140],
  heel: [130, 200],
  pasternLow: [140, 90],
  pasternHigh: [90, 40],
};

const reading = (points: LateralPoints, scale?: number) => {
  const read = readLateral(points, scale);
  if (!read.ok) throw new Error(read.issues[0]?.message);
  return read.value;
};

const moved = (points: LateralPoints, move: (point: Vector) => Vector): LateralPoints =>
  Object.fromEntries(
    Object.entries(points).map(([name, point]) => [name, move(point)]),
  ) as unknown as LateralPoints;

describe("readLateral", () => {
  test("a foot with every line at 45 degrees reads 45, straight, no dish", () => {
    const found = reading(square);
    expect(found.dorsalAngle).toBeCloseTo(45, 9);
    expect(found.dish).toBeCloseTo(0, 9);
    expect(found.pasternAngle).toBeCloseTo(45, 9);
    expect(found.axis).toBeCloseTo(0, 9);
    expect(found.heelAngle).toBeCloseTo(45, 9);
    expect(found.underrun).toBe(false);
    expect(found.toeLength).toBeCloseTo(100 * Math.SQRT2, 9);
    expect(found.heelLength).toBeCloseTo(60 * Math.SQRT2, 9);
    expect(found.bearingLength).toBeCloseTo(120, 9);
    expect(found.hairlineAngle).toBeCloseTo((Math.atan2(40, 80) * 180) / Math.PI, 9);
    expect(found.pasternLineFromToe).toBeCloseTo(0, 9);
  });

  test("millimetres a pixel scale lengths and leave angles alone", () => {
    const found = reading(square, 0.5);
    expect(found.bearingLength).toBeCloseTo(60, 9);
    expect(found.dorsalAngle).toBeCloseTo(45, 9);
  });

  test("a lower wall that lies flatter is a dish: the toe has run forward", () => {
    expect(reading({ ...square, toe: [270, 200] }).dish).toBeCloseTo(
      45 - (Math.atan2(50, 70) * 180) / Math.PI,
      9,
    );
  });

  test("a heel 5 degrees shallower is not underrun, a little more is", () => {
    const heelAt = (deg: number): Vector => [130 - 60 / Math.tan(radians(deg)), 140];
    expect(reading({ ...square, hairlineHeel: heelAt(40.01) }).underrun).toBe(false);
    expect(reading({ ...square, hairlineHeel: heelAt(39.99) }).underrun).toBe(true);
  });

  test("a pastern line that meets the ground behind the toe is negative", () => {
    expect(
      reading({ ...square, pasternLow: [130, 90], pasternHigh: [80, 40] }).pasternLineFromToe,
    ).toBeCloseTo(-10, 9);
  });

  test("turning, mirroring, moving and the order of the ground marks change nothing (seeded property)", () => {
    const straight = reading(square);
    fc.assert(
      fc.property(
        fc.double({ min: -3.1, max: 3.1, noNaN: true }),
        fc.boolean(),
        fc.boolean(),
        fc.integer({ min: -500, max: 500 }),
        (turn, mirror, swap, shift) => {
          const place = ([x, y]: Vector): Vector => {
            const at = mirror ? -x : x;
            return [
              at * Math.cos(turn) - y * Math.sin(turn) + shift,
              at * Math.sin(turn) + y * Math.cos(turn) - shift,
            ];
          };
          const points = moved(square, place);
          const found = reading(
            swap ? { ...points, groundA: points.groundB, groundB: points.groundA } : points,
          );
          for (const key of Object.keys(straight) as (keyof typeof straight)[])
            if (typeof straight[key] === "number") expect(found[key]).toBeCloseTo(straight[key], 6);
        },
      ),
      { seed: 5 },
    );
  });

  test.each([
    [{ groundB: [0, 200] }, "coincident", "points.groundB"],
    [{ wallMid: [250, 200] }, "coincident", "points.wallMid"],
    [{ pasternLow: [90, 40] }, "coincident", "points.pasternHigh"],
    [{ pasternHigh: [40, 90] }, "parallel", "points.pasternHigh"],
    [{ wallHigh: [160, 200] }, "upside-down", "points.wallHigh"],
    [{ heel: [250, 240] }, "upside-down", "points.heel"],
  ] as const)("%j is refused as %s at %s", (change, code, path) => {
    const read = readLateral({ ...square, ...change });
    expect(!read.ok && read.issues[0]).toMatchObject({ code, path });
  });
});
