import type { SolarPoint } from "../geometry/vector";
import type { Fit } from "./fit";
import type { ShodFoot } from "./fitQuestion";
import { roundTheToe } from "./outline";
import type { CompoundSpace } from "./packing";

/** Behind its widest the frog narrows a little: this part of the full width on the mean. Assumption, from drawn feet. */
const BEHIND_PART = 0.85;

/** Area of a frog as it is seen from below, mm2: by its widest, where that is, and its true apex. Estimate. */
export const frogArea = ({
  frogHalf,
  frogWideY,
  trueApex,
}: Pick<ShodFoot, "frogHalf" | "frogWideY" | "trueApex">) =>
  2 * frogHalf * Math.max(0, frogWideY) * BEHIND_PART + frogHalf * Math.max(0, trueApex - frogWideY);

/** The space under a foot that this shoe leaves to a compound, by the depths that were measured. */
export function compoundSpaceOf(
  { inner, question: { foot, spec } }: Pick<Fit, "inner" | "question">,
  depths: Pick<CompoundSpace, "sulcusDepthMm" | "frogProudMm">,
): CompoundSpace {
  return {
    outline: roundTheToe(inner) as SolarPoint[],
    k: foot.k,
    frogArea: frogArea(foot),
    under: spec.pad === "none" ? spec.thickness : 0,
    ...depths,
  };
}
