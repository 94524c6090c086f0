import type { Limb } from "../foot/limb";
import { ok, type Result } from "../result";
import { planStaged } from "./stages";
import type { TrimPlan, TrimQuestion } from "./question";

/** Both feet of a pair, each planned for itself and then as far as they can be brought alike. */
export interface PairPlan {
  /** The foot that is left as its own plan has it. */
  better: Limb;
  own: Record<"better" | "worse", TrimPlan>;
  /** The worse foot brought towards the better one, within its own limits. */
  matched: TrimPlan;
  /** Dorsal angle of the worse minus the better foot: as they stand, each by its own plan, matched. Degrees. */
  apart: { now: number; own: number; matched: number };
  /** Pastern angle of the worse minus the better foot, deg: what no trim changes. */
  pasternsApart: number;
}

export interface PairFoot {
  limb: Limb;
  question: TrimQuestion;
  /** True where the foot may be flexural by its pair. */
  flexural?: boolean;
  /** True where all of a large trim was chosen to be done at once. */
  atOnce?: boolean;
}

/** What this visit does of a foot's plan, perhaps brought towards the other foot's angle. */
function ofThisVisit({ question, flexural, atOnce = false }: PairFoot, match?: number): Result<TrimPlan> {
  const staged = planStaged(match === undefined ? question : { ...question, match }, flexural);
  return staged.ok ? ok(atOnce ? staged.value.whole : staged.value.part) : staged;
}

/**
 * A pair planned together. The better foot, whose own plan ends with the straighter axis, keeps its own plan: it is
 * never lowered to match the worse one. The worse one is planned again with the better one's angle as one more aim,
 * weighed like a degree of its own axis, so that a foot whose pastern stands otherwise meets it half way at the most.
 * No plan of either takes more than one visit does.
 */
export function planPair(a: PairFoot, b: PairFoot): Result<PairPlan> {
  const [planA, planB] = [ofThisVisit(a), ofThisVisit(b)];
  if (!planA.ok) return planA;
  if (!planB.ok) return planB;
  const aIsBetter = Math.abs(planA.value.remaining.axis) <= Math.abs(planB.value.remaining.axis);
  const [better, worse] = aIsBetter ? [a, b] : [b, a];
  const [betterPlan, worsePlan] = aIsBetter ? [planA.value, planB.value] : [planB.value, planA.value];
  const aim = betterPlan.predicted.dorsalAngle;
  const matched = worse.question.frontBack === "live-sole" ? ok(worsePlan) : ofThisVisit(worse, aim);
  if (!matched.ok) return matched;
  const matchedPlan = matched.value;
  return ok({
    better: better.limb,
    own: { better: betterPlan, worse: worsePlan },
    matched: matchedPlan,
    apart: {
      now: worse.question.foot.dorsalAngle - better.question.foot.dorsalAngle,
      own: worsePlan.predicted.dorsalAngle - aim,
      matched: matchedPlan.predicted.dorsalAngle - aim,
    },
    pasternsApart: worse.question.foot.pasternAngle - better.question.foot.pasternAngle,
  });
}
