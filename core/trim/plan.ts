import type { FrontLens, SideLens } from "../foot/lens";
import { radians } from "../math/angle";
import { ok, type Result } from "../result";
import { forTheHand } from "./cutsForHand";
import { checkWhiteLine } from "./dressing";
import { trimLimits, type LimitQuestion, type TrimLimits } from "./limits";
import { liveSolePlane } from "./liveSole";
import { targetRollOf, trimObjective } from "./objective";
import { optimum } from "./optimum";
import { heelYOf, NO_CUT, predictTrim, type Cuts, type PredictedFoot } from "../foot/parametric/predict";

/** A foot, what may be taken off it, and what it is aimed at. */
export interface TrimQuestion extends LimitQuestion {
  frontBack: FrontLens;
  side: SideLens;
  /** Degrees by which the lateral side is high, as the lens has it; even-sole reads its own, 0 unless given. */
  sideAngle?: number;
  /** A dorsal angle to come near to besides, deg: that of the other foot of the pair. */
  match?: number;
  /** True where a wide white line or a dished wall leaves dressing to a vet's plan. */
  dressAsksVet?: boolean;
  /** True where the plane of the live sole must not make a broken-back axis worse. */
  holdAxis?: boolean;
  /** A toe length, mm, over which the toe is to come back besides: for a foot that is kept over many trims. */
  toeAim?: number;
}

/** Names of what can stop a cut: the four cuts, the length of the toe, the axis, what one visit takes, or a quarter by its name. */
export type LimitName = string;

/** What the shoe would have to do about what the trim leaves. */
export interface ShoeTask {
  /** Degrees to raise the heels by: the axis left, only while it is still broken back. */
  elevate: number;
  /** The same at the heel, mm over the bearing length before the trim. */
  heelRaise: number;
  /** Breakover back by the excess of front over support, mm. */
  breakoverBack: number;
  /** From the heel after the trim back to the back of the central sulcus, mm. */
  heelExtension: number;
}

export interface TrimPlan {
  question: TrimQuestion;
  /** Exact. */
  cuts: Cuts;
  /** The same rounded down to half a millimetre, for the hand. */
  handCuts: Cuts;
  objective: number;
  predicted: PredictedFoot;
  /** The predicted foot of {@link handCuts}. */
  handPredicted: PredictedFoot;
  targetRoll: number;
  remaining: { axis: number; frontMinusSupport: number; roll: number };
  /** What stopped it, in the order toe, heels, dress, toe length, quarters. */
  stoppedBy: readonly LimitName[];
  limits: TrimLimits;
  shoe: ShoeTask;
}

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
