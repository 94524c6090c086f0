import { differenceInWords, sidesInWords } from "../trim/compare";
import { cutLines } from "../trim/cutLines";
import { presentOutline } from "../foot/parametric/surveyedOutline";
import { frogOnCut } from "../foot/frogWords";
import { radians } from "../math/angle";
import { axisCostInWords, heldInWords } from "../trim/choiceWords";
import { levelRest, overcuts } from "../trim/cutsForHand";
import { shoeTask } from "../trim/plan";
import type { TrimPlan } from "../trim/question";
import { planReasons } from "../trim/planWords";
import { dressedOutline, widthsOf } from "../trim/flares";
import type { Flares } from "../trim/trimRecord";
import type { FrontLens, LensChoice } from "../foot/lens";
import type { cutFoot } from "../foot/parametric/cut";
import type { Cuts } from "../foot/parametric/predict";
import type { Wording } from "../foot/wording";
import { findingsOf, type VisitFacts } from "./findings";
import { verdictOnCut } from "./highSideOfFoot";
import type { VisitPlan } from "./visitPlan";

/** Said where a foot may be held by its tendon and its heels are to come down. */
export const VET_FIRST =
  "A foot like this may be held by its tendon, which is pulled harder as the heel comes down: ask the vet first.";

/** A plan with the cuts as a hand has them now, and another lens's plan beside it. */
export interface TrimBenchQuestion {
  facts: VisitFacts;
  plan: TrimPlan;
  lenses: LensChoice;
  cuts: Cuts;
  flares: Flares;
  /** True where the foot may be flexural. */
  flexural?: boolean | undefined;
  done: ReturnType<typeof cutFoot>;
  second?: { lens: FrontLens; planned: VisitPlan } | undefined;
}

/**
 * What the trim bench shows: the foot after the cuts, their lines, what is past a limit, what a level rest could still
 * give, findings and reasons, the shoe's task, and how the other lens's plan differs.
 */
export function trimBench(
  { facts, plan, lenses, cuts, flares, flexural = false, done, second }: TrimBenchQuestion,
  wording: Wording,
) {
  const after = done.ok ? done.value : undefined;
  const findings = findingsOf({ ...facts, plan });
  const otherPlan = second?.planned.plan.ok ? second.planned.plan.value : undefined;
  const outline = presentOutline(facts.drawn, facts.marks);
  const dressed = dressedOutline(
    outline,
    flares,
    cuts.dress / Math.sin(radians(plan.question.foot.dorsalAngle)),
  );
  return {
    after,
    /** Horn that dressing takes round the foot, closed; none where nothing is dressed. */
    crescent:
      cuts.dress > 0 || Object.values(flares).some((mm) => mm > 0)
        ? [...outline, ...dressed.toReversed()]
        : undefined,
    widths: { was: widthsOf(outline), now: widthsOf(dressed) },
    held: heldInWords(plan, wording),
    vetFirst: flexural && cuts.heelMedial + cuts.heelLateral > 0 ? VET_FIRST : undefined,
    worse: axisCostInWords(plan, cuts, wording),
    frog: frogOnCut(facts, cuts, wording),
    lines: cutLines(facts.drawn, cuts, plan.limits.most),
    otherPlan,
    otherLines: otherPlan && cutLines(facts.drawn, otherPlan.handCuts, otherPlan.limits.most),
    past: overcuts(plan.question, plan.limits, cuts),
    reasons: planReasons(findings, plan, cuts, wording, flares),
    refusals: findings.filter(({ subject }) => subject === "trim"),
    shoe: after ? shoeTask(plan.question, after.predicted) : plan.shoe,
    rest: levelRest(plan, cuts, facts.target.toeLengthMm),
    verdict: verdictOnCut(facts, cuts, wording),
    sides: sidesInWords(facts, plan, wording),
    compared:
      otherPlan && second
        ? differenceInWords({ lens: lenses.frontBack, plan }, { lens: second.lens, plan: otherPlan }, wording)
        : undefined,
  };
}
