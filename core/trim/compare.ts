import { LENS_FACTS, SIDE_LENSES, type FrontLens } from "../foot/lens";
import { LENSES_DISAGREE } from "../constants/trim";
import { sideAimOf } from "../balance/footAims";
import type { FootFacts } from "../foot/findings/facts";
import { CUT_NAMES } from "./trimRecord";
import type { Wording } from "../foot/wording";
import type { TrimPlan } from "./question";
import type { PredictedFoot } from "../foot/parametric/predict";

/** One plan with the lens that it was made for. */
export interface LensPlan {
  lens: FrontLens;
  plan: TrimPlan;
}

/** How two plans for one foot lie apart, the second minus the first, after the cut. */
export interface PlanDifference {
  angleDeg: number;
  frontMm: number;
  toeLengthMm: number;
  /** True beyond 2 deg or 5 mm. */
  disagree: boolean;
}

export function planDifference(a: PredictedFoot, b: PredictedFoot): PlanDifference {
  const angleDeg = b.dorsalAngle - a.dorsalAngle;
  const frontMm = b.front - a.front;
  return {
    angleDeg,
    frontMm,
    toeLengthMm: b.toeLength - a.toeLength,
    disagree:
      Math.abs(angleDeg) > LENSES_DISAGREE.angleDeg.value ||
      Math.abs(frontMm) > LENSES_DISAGREE.lengthMm.value,
  };
}

/** What the second lens would do otherwise, in one sentence; and, where they disagree, why one might choose either. */
export function differenceInWords(
  first: LensPlan,
  second: LensPlan,
  wording: Wording,
): { how: string; why?: readonly [string, string] } {
  const found = planDifference(first.plan.handPredicted, second.plan.handPredicted);
  const name = LENS_FACTS[second.lens].name;
  const cuts = (["toe", "heelMedial", "heelLateral", "dress"] as const).flatMap((cut) => {
    const mm = second.plan.handCuts[cut] - first.plan.handCuts[cut];
    if (Math.abs(mm) < 0.25) return [];
    return [`${wording.cut(Math.abs(mm))} ${mm > 0 ? "more" : "less"} ${PLACE[cut]}`];
  });
  const places = wording.inOwnWords(cuts.join(", "));
  if (!found.disagree)
    return {
      how:
        cuts.length === 0
          ? `${name} would take the same.`
          : `${name} would take ${places}. The two agree within ${wording.angle(LENSES_DISAGREE.angleDeg.value)} and ${wording.length(LENSES_DISAGREE.lengthMm.value)}.`,
    };
  const ends = [
    ...(Math.abs(found.angleDeg) >= 0.1
      ? [`${wording.angle(Math.abs(found.angleDeg))} ${found.angleDeg > 0 ? "steeper" : "shallower"}`]
      : []),
    ...(Math.abs(found.frontMm) >= 0.5
      ? [
          `the front half ${wording.length(Math.abs(found.frontMm))} ${found.frontMm > 0 ? "longer" : "shorter"}`,
        ]
      : []),
  ];
  return {
    how: `The lenses disagree. ${name} would take ${places} and end ${ends.join(", ")}.`,
    why: [reason(first.lens), reason(second.lens)],
  };
}

/**
 * What the other side-to-side lenses would do otherwise, one sentence each, where they differ from the plan's target by
 * more than 2 degrees and were measured; with why one might choose them and why not.
 */
export function sidesInWords(facts: FootFacts, plan: TrimPlan, wording: Wording): string[] {
  const own = plan.question.side;
  return SIDE_LENSES.filter((lens) => lens !== own).flatMap((lens) => {
    const roll = sideAimOf(facts, lens).rollDeg;
    if (roll === undefined || Math.abs(roll - plan.targetRoll) <= LENSES_DISAGREE.angleDeg.value) return [];
    const way =
      Math.abs(roll) < 0.5
        ? "would leave it level"
        : wording.inOwnWords(
            `would lower the ${roll > 0 ? "lateral" : "medial"} heel, a roll of ${wording.angle(Math.abs(roll))}`,
          );
    const { name, strong, weak } = LENS_FACTS[lens];
    return [`${name} ${way}. Strong: ${lowerFirst(strong)}. Weak: ${lowerFirst(weak)}.`];
  });
}

const PLACE = { ...CUT_NAMES, dress: "dressing" } as const;

const reason = (lens: FrontLens): string => {
  const { name, strong, weak } = LENS_FACTS[lens];
  return `${name}. Strong: ${lowerFirst(strong)}. Weak: ${lowerFirst(weak)}.`;
};

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
