import { degrees } from "../math/angle";
import { COINCIDENT_PART, PARALLEL_SINE } from "../geometry/tolerance";
import { groundFrame } from "./groundFrame";
import { distance, dot, length, minus, type ImagePoint, type Vector } from "../geometry/vector";
import { fail, ok, type Result } from "../result";
import { LEVEL_BOUNDS } from "../constants/bounds";

/** The marks of a side view, in picture pixels (x right, y down); the horse may face either way, at any slope. */
export interface LateralPoints {
  groundA: ImagePoint;
  groundB: ImagePoint;
  /** Ground contact of the toe. */
  toe: ImagePoint;
  /** On the dorsal wall about half way down. */
  wallMid: ImagePoint;
  /** On the dorsal wall just below the hairline. */
  wallHigh: ImagePoint;
  hairlineToe: ImagePoint;
  hairlineHeel: ImagePoint;
  /** Hindmost ground contact of the wall. */
  heel: ImagePoint;
  /** Front surface of the pastern, lower and upper mark. */
  pasternLow: ImagePoint;
  pasternHigh: ImagePoint;
}

/** What the side view says. Angles in degrees from the ground, lengths in millimetres. */
export interface LateralReading {
  dorsalAngle: number;
  /** Dorsal angle minus that of the lower wall: positive = the toe has run forward. */
  dish: number;
  pasternAngle: number;
  /** Dorsal minus pastern: 0 straight, negative broken back, positive broken forward. */
  axis: number;
  heelAngle: number;
  /** Heel more than 5 degrees shallower than the dorsal wall (trade and veterinary convention). */
  underrun: boolean;
  hairlineAngle: number;
  toeLength: number;
  heelLength: number;
  bearingLength: number;
  /** Where the pastern's front line meets the ground, from the toe: negative = behind it. */
  pasternLineFromToe: number;
}

/** The heel counts as underrun when it is shallower than the dorsal wall by more than this. */
const UNDERRUN_DEG = LEVEL_BOUNDS.heelShallowerDeg.value[0];

/**
 * Reads a side view from its landmarks.
 *
 * `mmPerPx` scales the lengths (1 = pixels are millimetres). The answer does not change when the picture is turned,
 * mirrored or moved: the ground line and the toe say which way is forward, the top of the wall says which way is up.
 *
 * Errors: `coincident` where two marks that make a line are one point, `parallel` where the pastern line never meets
 * the ground, `upside-down` where the top of the wall stands on the ground line. Source: trade practice.
 */
export function readLateral(points: LateralPoints, mmPerPx = 1): Result<LateralReading> {
  const size = Math.max(...Object.values(points).map((point: Vector) => distance(point, points.toe)));
  const apart = (a: keyof LateralPoints, b: keyof LateralPoints) =>
    distance(points[a], points[b]) > size * COINCIDENT_PART;
  const lines: [keyof LateralPoints, keyof LateralPoints][] = [
    ["groundB", "groundA"],
    ["heel", "toe"],
    ["wallHigh", "wallMid"],
    ["wallMid", "toe"],
    ["pasternHigh", "pasternLow"],
    ["hairlineHeel", "heel"],
    ["hairlineToe", "hairlineHeel"],
  ];
  for (const [mark, other] of lines)
    if (!apart(mark, other))
      return fail(
        "coincident",
        `points.${mark}`,
        `${mark} and ${other} are the same point. Move one of them.`,
      );

  const frame = groundFrame([points.groundA, points.groundB], points.heel, points.toe, points.wallHigh, size);
  if (frame === "flat")
    return fail(
      "upside-down",
      "points.heel",
      "The heel lies straight above or below the toe. Check both marks.",
    );
  if (frame === "on-ground")
    return fail(
      "upside-down",
      "points.wallHigh",
      "The top of the wall lies on the ground line. Check both marks.",
    );
  const { u, v, slope } = frame;
  const dorsalAngle = slope(points.wallMid, points.wallHigh);
  const pasternAngle = slope(points.pasternLow, points.pasternHigh);
  const heelAngle = slope(points.heel, points.hairlineHeel);
  const hairline = minus(points.hairlineToe, points.hairlineHeel);

  const pastern = minus(points.pasternHigh, points.pasternLow);
  if (Math.abs(dot(pastern, v)) <= length(pastern) * PARALLEL_SINE)
    return fail(
      "parallel",
      "points.pasternHigh",
      "The pastern line runs along the ground and never meets it.",
    );
  const lowAbove = dot(minus(points.pasternLow, points.groundA), v);
  const pasternMeetsAt =
    dot(minus(points.pasternLow, points.toe), u) - (lowAbove * dot(pastern, u)) / dot(pastern, v);

  return ok({
    dorsalAngle,
    dish: dorsalAngle - slope(points.toe, points.wallMid),
    pasternAngle,
    axis: dorsalAngle - pasternAngle,
    heelAngle,
    underrun: dorsalAngle - heelAngle > UNDERRUN_DEG,
    hairlineAngle: degrees(Math.atan2(dot(hairline, v), dot(hairline, u))),
    toeLength: distance(points.hairlineToe, points.toe) * mmPerPx,
    heelLength: distance(points.hairlineHeel, points.heel) * mmPerPx,
    bearingLength: dot(minus(points.toe, points.heel), u) * mmPerPx,
    pasternLineFromToe: pasternMeetsAt * mmPerPx,
  });
}
