import { radians } from "../../math/angle";
import { sideLandmarks } from "./landmarks";
import { sizeFactor, type FootParameters } from "./parameters";

/** Thickness of the pastern from front to back on a foot of size 1, mm. Assumption, from drawn feet. */
export const PASTERN_THICK_MM = 58;

/** y of the middle of the pastern at a height over the ground, mm: it slopes back as it rises. */
export function limbAxisY(foot: FootParameters, z: number): number {
  const { hairlineToe } = sideLandmarks(foot, "mean");
  const pastern = radians(foot.pasternAngleDeg);
  const half = (PASTERN_THICK_MM * sizeFactor(foot)) / 2;
  const along = (z - hairlineToe[1] + half * Math.cos(pastern)) / Math.sin(pastern);
  return hairlineToe[0] - along * Math.cos(pastern) - half * Math.sin(pastern);
}
