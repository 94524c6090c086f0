import { radians } from "../math/angle";
import { ok, type Result } from "../result";
import { forTheHand } from "./cutsForHand";
import { checkWhiteLine } from "./dressing";
import { trimLimits } from "./limits";
import { liveSolePlane } from "./liveSole";
import { targetRollOf, trimObjective } from "./objective";
import { optimum } from "./optimum";
import type { ShoeTask, TrimPlan, TrimQuestion } from "./question";
import { heelYOf, NO_CUT, predictTrim, type PredictedFoot } from "../foot/parametric/predict";

/**
 * The trim that comes nearest to the chosen lenses: the true optimum of a weighted sum of squares of axis (deg), uneven
 * halves or run-forward heels (3 mm), roll against its target (half a degree) and horn taken, within the limits. With
 * the live-sole lens nothing is weighed: see {@link liveSolePlane}.
 *
 * Errors: those of the prediction for a foot that is no foot, and of a white line wider than its wall. Source: trade
 * practice put into one sum.
 */
export function planTrim(question: TrimQuestion): Result<TrimPlan> {
  const best = bestCuts(question);
  if (!best.ok) return best;
  const { cuts, stoppedBy, limits, targetRoll, predicted: after } = best.value;
  const handCuts = forTheHand(question, limits, cuts);
  const byHand = predictTrim(question.foot, handCuts);
  if (!byHand.ok) return byHand;
  return ok({
    question,
    cuts,
    handCuts,
    objective: trimObjective(question, cuts) ?? Number.NaN,
    predicted: after,
    handPredicted: byHand.value,
    targetRoll,
    remaining: {
      axis: after.axis,
      frontMinusSupport: after.front - after.support,
      roll: after.roll - targetRoll,
    },
    stoppedBy,
    limits,
    shoe: shoeTask(question, after),
  });
}

/** The exact cuts of a plan alone, with what stopped them and what they leave. Errors: as those of the plan. */
export function bestCuts(
  question: TrimQuestion,
): Result<Pick<TrimPlan, "cuts" | "stoppedBy" | "limits" | "targetRoll" | "predicted">> {
  const start = predictTrim(question.foot, NO_CUT);
  if (!start.ok) return start;
  const line = checkWhiteLine(question);
  if (!line.ok) return line;
  const limits = trimLimits(question);
  const targetRoll = targetRollOf(question);
  const { cuts, stoppedBy } =
    question.frontBack === "live-sole"
      ? liveSolePlane(question, limits)
      : optimum(question, limits, targetRoll);
  const predicted = predictTrim(question.foot, cuts);
  return predicted.ok ? ok({ cuts, stoppedBy, limits, targetRoll, predicted: predicted.value }) : predicted;
}

/** What is left for the shoe after a cut. A raise only while the axis is still broken back, never otherwise. */
export function shoeTask({ foot }: Pick<TrimQuestion, "foot">, after: PredictedFoot): ShoeTask {
  const elevate = Math.max(0, -after.axis);
  return {
    elevate,
    heelRaise: (foot.toeY - heelYOf(foot)) * Math.tan(radians(elevate)),
    breakoverBack: Math.max(0, after.front - after.support),
    heelExtension: Math.max(0, after.heelY),
  };
}
