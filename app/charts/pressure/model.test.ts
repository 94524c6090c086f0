import { describe, expect, test } from "@jest/globals";
import type { PressureField } from "~core/ground/pressureField";
import { pressureBands, pressurePeak, pressureSteps } from "./model";

/** Ten by ten places of 2 mm from -10: 40 kPa within 4 mm of the middle, 100 at one of them. */
const field = (scale = 1): PressureField => {
  const kPa = new Float32Array(100);
  for (let row = 3; row < 7; row++)
    for (let column = 3; column < 7; column++) kPa[row * 10 + column] = 40 * scale;
  kPa[4 * 10 + 6] = 100 * scale;
  return { columns: 10, rows: 10, left: -10, back: -10, stepMm: 2, kPa };
};

describe("pressure as bands", () => {
  test("all maps are drawn by one scale of round steps, up to the highest of them", () => {
    const steps = pressureSteps([field(), field(3)]);
    expect(steps.slice(1)).toEqual([50, 100, 150, 200, 250]);
    expect(steps[0]).toBeCloseTo(6, 9);
  });

  test("a band lies where the pressure is, in the foot’s millimetres, and closes about it", () => {
    const [low] = pressureBands(field(), [20]);
    const points = low?.rings.flat() ?? [];
    expect(low?.rings).toHaveLength(1);
    expect(Math.min(...points.map(([x]) => x))).toBeCloseTo(-4, 1);
    expect(Math.max(...points.map(([, y]) => y))).toBeCloseTo(4, 1);
    expect(points[0]).toEqual(points.at(-1));
  });

  test("a step above everything has no ring", () => {
    expect(pressureBands(field(), [200])[0]?.rings).toEqual([]);
  });

  test("the peak has its place and its value; a field of nothing has none", () => {
    expect(pressurePeak(field())).toEqual({ at: [3, -1], kPa: 100 });
    expect(pressurePeak(field(0))).toBeUndefined();
  });
});
