import { degrees } from "../math/angle";
import { COINCIDENT_PART } from "../geometry/tolerance";
import { dot, length, minus, times, type Vector } from "../geometry/vector";

/** The frame of a foot seen from the side: u along the ground from heel to toe, v up from it, unit vectors. */
export interface GroundFrame {
  u: Vector;
  v: Vector;
  /** Angle of a line against the ground, deg: 0 along it backwards, 90 upright. */
  slope: (low: Vector, high: Vector) => number;
}

/**
 * Read off two points of the ground, one behind and one ahead on it, and one above it, so that a turned or mirrored
 * picture gives the same. `flat` where ahead lies straight over behind, `on-ground` where `above` lies on the ground;
 * `size` is the figure's own, in the picture's unit.
 */
export function groundFrame(
  ground: readonly [Vector, Vector],
  behind: Vector,
  ahead: Vector,
  above: Vector,
  size: number,
): GroundFrame | "flat" | "on-ground" {
  const along = minus(ground[1], ground[0]);
  const forward = dot(minus(ahead, behind), along);
  if (Math.abs(forward) <= length(along) * size * COINCIDENT_PART) return "flat";
  const u = times(along, Math.sign(forward) / length(along));
  const across: Vector = [-u[1], u[0]];
  const rise = dot(minus(above, ground[0]), across);
  if (Math.abs(rise) <= size * COINCIDENT_PART) return "on-ground";
  const v = times(across, Math.sign(rise));
  return {
    u,
    v,
    slope: (low, high) => {
      const step = minus(high, low);
      return degrees(Math.atan2(dot(step, v), -dot(step, u)));
    },
  };
}
