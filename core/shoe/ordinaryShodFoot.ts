import { ordinaryFoot } from "../foot/parametric/fit";
import { hornOf } from "../foot/horn";
import { isFore, type Limb } from "../foot/limb";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { corYOf, sizeFactor, wallThickness } from "../foot/parametric/parameters";
import type { AnimalKind } from "../foot/toeYardstick";
import type { ShodFoot } from "./fitQuestion";
import { outlineThrough, type OutlineKnots } from "./outline";

/** A frog on a foot of size 1: its true apex, half its width and where it is widest, mm. Source: drawn feet. */
export const FROG_MM = { apex: 88, half: 24, wideY: 20 };

interface WhoseFoot {
  limb: Limb;
  kind: AnimalKind;
  massKg: number;
}

/** Points of an ordinary foot about its midline, solar frame, mm. */
export function ordinaryKnots({ limb, kind, massKg }: WhoseFoot): OutlineKnots {
  const marks = soleLandmarks({ ...ordinaryFoot(limb, { kind, massKg }), lateralWiderMm: 0 });
  return {
    toe: marks.toe,
    toeQuarter: { medial: marks.toeQuarterMedial, lateral: marks.toeQuarterLateral },
    wide: { medial: marks.wideMedial, lateral: marks.wideLateral },
    heel: { medial: marks.heelMedial, lateral: marks.heelLateral },
  };
}

/** The foot that nobody measured, ready to be shod: an estimate by kind and body mass, even about its midline. */
export function ordinaryShodFoot(whose: WhoseFoot): ShodFoot {
  const foot = ordinaryFoot(whose.limb, whose);
  const knots = ordinaryKnots(whose);
  const [wall, k] = [wallThickness(foot), sizeFactor(foot)];
  return {
    outline: outlineThrough(knots),
    knots,
    undistorted: false,
    corY: corYOf(foot),
    k,
    trueApex: FROG_MM.apex * k,
    frogHalf: FROG_MM.half * k,
    frogWideY: FROG_MM.wideY * k,
    horn: { toe: hornOf({ thickness: wall.toe }) ?? 0, quarter: hornOf({ thickness: wall.quarter }) ?? 0 },
    fore: isFore(whose.limb),
  };
}
