import { COINCIDENT_PART } from "../geometry/tolerance";
import { distance, dot, length, minus, times, type Vector } from "../geometry/vector";
import { degrees } from "../math/angle";
import { fail, ok, type Result } from "../result";

/** The marks of a view from behind, in any orientation and scale. */
export const REAR_MARKS = [
  "heelMedial",
  "heelLateral",
  "hairlineMedial",
  "hairlineLateral",
  "limbLow",
  "limbHigh",
] as const;
export type RearMark = (typeof REAR_MARKS)[number];
export type RearPoints = Record<Exclude<RearMark, "limbLow" | "limbHigh">, Vector> &
  Partial<Record<"limbLow" | "limbHigh", Vector>>;

export interface RearReading {
  heelHeightMedial: number;
  heelHeightLateral: number;
  /** Hairline against the ground, deg: positive = it stands higher on the lateral side. */
  hairlineTilt: number;
  /** Lean of the limb against the upright of the ground, deg: positive = its upper end leans to lateral. */
  limbDeviation?: number;
}

/**
 * Reads a view from behind. The ground is the line through both heels; which side of it is up is told by the hairline.
 * Turning, mirroring and moving the picture change nothing. Errors: `coincident` where both heels or both hairline
 * marks are one point, `upside-down` where one hairline mark lies above and the other below the ground.
 */
export function readRear(points: RearPoints, mmPerPx = 1): Result<RearReading> {
  const { heelMedial, heelLateral, hairlineMedial, hairlineLateral, limbLow, limbHigh } = points;
  const ground = minus(heelLateral, heelMedial);
  const size = Math.max(
    length(ground),
    distance(hairlineMedial, heelMedial),
    distance(hairlineLateral, heelLateral),
  );
  if (length(ground) <= size * COINCIDENT_PART)
    return fail("coincident", "points.heelLateral", "Both heels are one point. Move one of them.");
  if (distance(hairlineMedial, hairlineLateral) <= size * COINCIDENT_PART)
    return fail(
      "coincident",
      "points.hairlineLateral",
      "Both ends of the hairline are one point. Move one of them.",
    );
  const x = times(ground, 1 / length(ground));
  const across: Vector = [-x[1], x[0]];
  const [riseMedial, riseLateral] = [
    dot(minus(hairlineMedial, heelMedial), across),
    dot(minus(hairlineLateral, heelLateral), across),
  ];
  if (riseMedial * riseLateral <= 0)
    return fail(
      "upside-down",
      "points.hairlineMedial",
      "The hairline crosses the ground. Check heels and hairline.",
    );
  const up = times(across, Math.sign(riseMedial));
  const tilt = minus(hairlineLateral, hairlineMedial);
  const reading: RearReading = {
    heelHeightMedial: Math.abs(riseMedial) * mmPerPx,
    heelHeightLateral: Math.abs(riseLateral) * mmPerPx,
    hairlineTilt: degrees(Math.atan2(dot(tilt, up), dot(tilt, x))),
  };
  if (limbLow && limbHigh && distance(limbLow, limbHigh) > size * COINCIDENT_PART) {
    const limb = minus(limbHigh, limbLow);
    reading.limbDeviation = degrees(Math.atan2(dot(limb, x), dot(limb, up)));
  }
  return ok(reading);
}
