import { LEVEL_BOUNDS } from "../constants/bounds";
import { levelOf, type Level } from "./level";

/** The least axis that is ever called broken, however sharp the gauge. Source: assumption, because a gauge is read to half a degree at best. */
const LEAST_AXIS_NOISE_DEG = 1;

export interface AxisReading {
  axisDeg: number;
  word: "straight" | "broken back" | "broken forward";
  /** Within this of zero the axis reads as straight, deg. */
  noiseDeg: number;
  level: Level;
}

/**
 * The hoof-pastern axis in words. `axisDeg` is dorsal angle minus pastern angle; it reads as straight within its own
 * noise: both angles' noise in quadrature, never under 1 degree. Beyond 5 degrees it is marked.
 *
 * `smallestChangeDeg` is the smallest real change between two readings of one angle, 1.96 x sqrt 2 x sd. One reading
 * has 1.96 sd, and two of them in quadrature are again 1.96 x sqrt 2 x sd: the same figure.
 */
export function readAxis(
  dorsalAngleDeg: number,
  pasternAngleDeg: number,
  smallestChangeDeg: number,
): AxisReading {
  const axisDeg = dorsalAngleDeg - pasternAngleDeg;
  const noiseDeg = Math.max(LEAST_AXIS_NOISE_DEG, smallestChangeDeg);
  const straight = Math.abs(axisDeg) <= noiseDeg;
  return {
    axisDeg,
    noiseDeg,
    word: straight ? "straight" : axisDeg < 0 ? "broken back" : "broken forward",
    level: straight ? "steady" : levelOf(axisDeg, LEVEL_BOUNDS.axisDeg.value),
  };
}

/** Smallest real change of the axis between two visits: four angles, two of them in each axis. */
export const axisChangeNoise = (smallestChangeDeg: number): number => Math.SQRT2 * smallestChangeDeg;
