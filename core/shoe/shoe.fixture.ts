import { ordinaryFoot } from "../foot/parametric/fit";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { corYOf, sizeFactor, wallThickness } from "../foot/parametric/parameters";
import { factsOfLife, type ShoeFacts } from "./facts";
import { hornOf } from "../foot/horn";
import { NO_SETTING, type FitQuestion, type ShodFoot } from "./fitQuestion";
import { outlineThrough, type OutlineKnots } from "./outline";
import { ordinaryShoe, type Specification } from "./specification";

/** A sound riding horse's left fore, nothing known of its work. */
export const facts = (more: Partial<ShoeFacts> = {}): ShoeFacts => ({
  ...factsOfLife({ limb: "LF", kind: "horse", massKg: 520 }),
  ...more,
});

/** Points of an ordinary foot about its midline. */
export function knotsOf(limb: "LF" | "LH" = "LF", massKg = 520): OutlineKnots {
  const marks = soleLandmarks({ ...ordinaryFoot(limb, { kind: "horse", massKg }), lateralWiderMm: 0 });
  return {
    toe: marks.toe,
    toeQuarter: { medial: marks.toeQuarterMedial, lateral: marks.toeQuarterLateral },
    wide: { medial: marks.wideMedial, lateral: marks.wideLateral },
    heel: { medial: marks.heelMedial, lateral: marks.heelLateral },
  };
}

export function shodFoot(limb: "LF" | "LH" = "LF", massKg = 520): ShodFoot {
  const foot = ordinaryFoot(limb, { kind: "horse", massKg });
  const knots = knotsOf(limb, massKg);
  const wall = wallThickness(foot);
  return {
    outline: outlineThrough(knots),
    knots,
    undistorted: false,
    corY: corYOf(foot),
    k: sizeFactor(foot),
    trueApex: 88 * sizeFactor(foot),
    frogHalf: 24 * sizeFactor(foot),
    frogWideY: 20 * sizeFactor(foot),
    horn: { toe: hornOf({ thickness: wall.toe }) ?? 0, quarter: hornOf({ thickness: wall.quarter }) ?? 0 },
    fore: limb === "LF",
  };
}

/** An ordinary shoe on an ordinary foot. */
export const fitQuestion = (
  spec: Partial<Specification> = {},
  more: Partial<FitQuestion> = {},
): FitQuestion => ({
  foot: shodFoot(),
  spec: { ...ordinaryShoe("LF", 520), ...spec },
  setting: NO_SETTING,
  breakover: { fromToe: 0, direction: 0 },
  skip: [],
  ...more,
});
