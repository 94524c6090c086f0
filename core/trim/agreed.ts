import { cutFoot } from "../foot/parametric/cut";
import type { FootParameters } from "../foot/parametric/parameters";
import type { AgreedPlan } from "./trimRecord";
import { ok, type Result } from "../result";
import { shoeTask } from "./plan";
import type { TrimQuestion } from "./question";
import type { Cuts } from "../foot/parametric/predict";

/**
 * A cut that was decided on, with what it should leave: kept as it was said, so that the foot measured again can be
 * held against it. Errors: those of the prediction.
 */
export function agreedPlan(
  foot: FootParameters,
  question: Pick<TrimQuestion, "foot" | "frontBack" | "side" | "finish">,
  cuts: Cuts,
  by: AgreedPlan["by"],
  agreed: boolean,
  more: Pick<AgreedPlan, "flares" | "stage"> = {},
): Result<AgreedPlan> {
  const done = cutFoot(foot, cuts);
  if (!done.ok) return done;
  const { predicted, foot: after } = done.value;
  return ok({
    cuts,
    ...(more.flares && Object.keys(more.flares).length > 0 && { flares: more.flares }),
    ...(more.stage && { stage: more.stage }),
    by,
    agreed,
    frontBack: question.frontBack,
    side: question.side,
    finish: question.finish,
    leaves: {
      dorsalAngle: predicted.dorsalAngle,
      axis: predicted.axis,
      roll: predicted.roll,
      front: predicted.front,
      support: predicted.support,
      toeLength: predicted.toeLength,
      heelHeightMedial: after.heelHeightMm.medial,
      heelHeightLateral: after.heelHeightMm.lateral,
    },
    shoe: shoeTask(question, predicted),
  });
}
