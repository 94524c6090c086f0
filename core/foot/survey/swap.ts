import { isLeft, type Limb } from "../limb";
import type { SolarFrame } from "./frame";
import type { SoleSurvey } from "./survey";

/** Half widths that differ by less than this say nothing about which foot it is, mm. Assumption. */
const TELLING_MM = 3;

/** A suspicion that a picture shows the other foot of the pair; asked about, never acted upon. */
export interface SwapSuspicion {
  code: "mirrored-marks" | "shape-of-other-foot";
  question: string;
}

/**
 * Does a sole picture (y down, seen from below) show the foot it is filed under? Two hints: the marks say that lateral
 * lies to the wrong side of the picture; or the sides' half widths are the mirror image of what this foot had before.
 */
export function suspectSwap(
  limb: Limb,
  frame: Pick<SolarFrame, "lateralTo">,
  now: SoleSurvey,
  before?: SoleSurvey,
): SwapSuspicion | undefined {
  const expected = isLeft(limb) ? 1 : -1;
  if (frame.lateralTo !== expected)
    return {
      code: "mirrored-marks",
      question:
        "The marks put lateral on the wrong side for this foot seen from below. Is this the other foot of the pair, or are medial and lateral swapped?",
    };
  const skewNow = skew(now);
  const skewBefore = before && skew(before);
  if (skewNow === undefined) return undefined;
  const mirrored =
    skewBefore === undefined
      ? skewNow < -TELLING_MM
      : Math.min(Math.abs(skewBefore), Math.abs(skewNow)) > TELLING_MM &&
        Math.abs(skewNow + skewBefore) < Math.abs(skewNow - skewBefore) / 2;
  if (!mirrored) return undefined;
  return {
    code: "shape-of-other-foot",
    question:
      skewBefore === undefined
        ? "This foot is wider on its medial side, which few feet are. Is it the other foot of the pair?"
        : "Its shape is the mirror image of this foot's last survey. Is it the other foot of the pair?",
  };
}

const skew = ({ halfWidth }: SoleSurvey): number | undefined =>
  halfWidth.lateral === undefined || halfWidth.medial === undefined
    ? undefined
    : halfWidth.lateral - halfWidth.medial;
