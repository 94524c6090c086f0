import { LENS_FACTS, type FrontLens } from "../foot/lens";
import { NO_CUT, predictTrim, type Cuts } from "../foot/parametric/predict";
import type { Wording } from "../foot/wording";
import type { TrimPlan } from "./question";
import { planTrim } from "./plan";
import type { StageRow } from "./stageRow";
import type { StagedPlan } from "./stages";
import { counted, everyWeeks } from "../units/counted";

/** "The plane would take 4 mm more off the heels and cost 2.9°": what holding the axis keeps; undefined where nothing is held. */
export function heldInWords(plan: TrimPlan, wording: Wording): string | undefined {
  if (!plan.stoppedBy.includes("axis")) return undefined;
  const { holdAxis: _, ...strict } = plan.question;
  const other = planTrim(strict);
  if (!other.ok) return undefined;
  const { cuts, predicted } = other.value;
  const more = (cuts.heelMedial + cuts.heelLateral - plan.cuts.heelMedial - plan.cuts.heelLateral) / 2;
  return `The plane of the live sole would take ${wording.cut(more)} more off the heels and cost ${wording.angle(plan.predicted.axis - predicted.axis)} of the axis.`;
}

/** Why a plan is offered in stages, how many and how far apart. */
export function stagedInWords(
  { whole, bounds, visits }: StagedPlan,
  row: StageRow | undefined,
  flexural: boolean,
  wording: Wording,
): string {
  const { toe, heelMedial, heelLateral } = whole.cuts;
  const turn = whole.predicted.dorsalAngle - whole.question.foot.dorsalAngle;
  const most = Math.max(heelMedial, heelLateral);
  const apart = Math.abs(heelLateral - heelMedial);
  const much = [
    ...(most > bounds.heelMm ? [`${wording.cut(most)} off a heel`] : []),
    ...(apart > bounds.unevenMm ? [`${wording.cut(apart)} more off one heel than the other`] : []),
    ...(Math.abs(turn) > bounds.turnDeg ? [`a turn of ${wording.angle(Math.abs(turn))}`] : []),
  ].join(" and ");
  const start = `The whole way is ${much === "" ? `${wording.cut(toe)} off the toe` : much}: too much for one visit.`;
  const vet = flexural ? " Ask the vet before its heels come down." : "";
  if (!row) return `${start}${vet} At least ${counted(visits, "visit")}.`;
  if (!row.ends)
    return `${start}${vet} Growth outruns it: after ${counted(row.stages.length, "visit")} ${everyWeeks(row.everyWeeks)} it is still not done. All at once, or a shorter interval and more each time with the vet, would.`;
  return `${start}${vet} In ${counted(row.stages.length, "visit")}, ${everyWeeks(row.everyWeeks)}, by this foot’s own growth (an estimate).`;
}

/** Less than this is within what a hand can read, deg. */
const COSTS_FROM_DEG = 0.5;

/** What a cut costs an axis that it leaves broken back, against how it came; undefined where it costs nothing. */
export function axisCostInWords({ question }: TrimPlan, cuts: Cuts, wording: Wording): string | undefined {
  const after = predictTrim(question.foot, cuts);
  if (!after.ok) return undefined;
  const before = question.foot.dorsalAngle - question.foot.pasternAngle;
  const cost = before - after.value.axis;
  if (after.value.axis > -COSTS_FROM_DEG || cost < COSTS_FROM_DEG) return undefined;
  const back =
    question.finish === "shod"
      ? "The shoe has to give it back, for counted cycles, with the frog carrying."
      : "Bare, nothing gives it back but time.";
  return `This cut costs ${wording.angle(cost)} of the axis for the heels. ${back}`;
}

/**
 * What each of two answers to a low, run-forward heel costs: heel, degrees, support gained, and how long it has to be
 * raised. `weeks`: until the axis stands straight without a raise; undefined for longer than a year.
 */
export function answerInWords(
  { lens, plan }: { lens: FrontLens; plan: TrimPlan },
  weeks: number | undefined,
  wording: Wording,
): string {
  const start = predictTrim(plan.question.foot, NO_CUT);
  if (!start.ok) return "";
  const { heelMedial, heelLateral } = plan.handCuts;
  const after = plan.handPredicted;
  const gained = after.support - start.value.support;
  const turn = after.axis - start.value.axis;
  const raise =
    after.axis > -COSTS_FROM_DEG * 2
      ? "no raise"
      : `a raise of ${wording.angle(-after.axis)} ${weeks === undefined ? "for more than a year" : weeks === 0 ? "until the next trim" : `for about ${inMonths(weeks)}`}`;
  return `${LENS_FACTS[lens].name}: ${wording.cut((heelMedial + heelLateral) / 2)} off the heels, support ${gained >= 0 ? "+" : "−"}${wording.length(Math.abs(gained))}, axis ${turn >= 0 ? "+" : "−"}${wording.angle(Math.abs(turn))}, then ${raise}.`;
}

const WEEKS_A_MONTH = 4.35;
const inMonths = (weeks: number): string => {
  const months = Math.max(1, Math.round(weeks / WEEKS_A_MONTH));
  return months === 1 ? "a month" : `${months} months`;
};
