import type { FrontLens } from "../foot/lens";
import { predictTrim, type Cuts } from "../foot/parametric/predict";
import { degrees } from "../math/angle";
import type { TrimQuestion } from "./question";

/** What a degree of axis, three millimetres of uneven halves and three of run-forward heels weigh, by lens. */
const WEIGHTS: Record<FrontLens, { axis: number; halves: number; heels: number }> = {
  "straight-axis": { axis: 1, halves: 0.25, heels: 0 },
  "even-halves": { axis: 0.25, halves: 1, heels: 0 },
  "heels-back": { axis: 0.05, halves: 0, heels: 1 },
  // The plane of the live sole is not weighed: these serve only to state its objective beside that of other plans.
  "live-sole": { axis: 1, halves: 0.25, heels: 0 },
};
const LENGTH_UNIT_MM = 3;
const ROLL_UNIT_DEG = 0.5;
const HORN_WEIGHT = 0.02;

/** Degrees by which the bearing plane is to be rolled, positive = the lateral side comes down. */
export function targetRollOf({ foot, above, side, sideAngle }: TrimQuestion): number {
  if (side !== "even-sole") return sideAngle ?? 0;
  return degrees(
    Math.atan((above.heelLateral - above.heelMedial) / (foot.heelLateral[0] - foot.heelMedial[0])),
  );
}

/** The terms whose squares add up to the objective of a plan. */
export function residuals(question: TrimQuestion, targetRoll: number) {
  const { axis, halves, heels } = WEIGHTS[question.frontBack];
  const weigh = [Math.sqrt(axis), Math.sqrt(halves) / LENGTH_UNIT_MM] as const;
  const horn = Math.sqrt(HORN_WEIGHT);
  return (cuts: Cuts): number[] | undefined => {
    const found = predictTrim(question.foot, cuts);
    if (!found.ok) return undefined;
    const after = found.value;
    return [
      weigh[0] * after.axis,
      weigh[1] * (after.front - after.support),
      ...(heels === 0 ? [] : [(Math.sqrt(heels) * after.heelY) / LENGTH_UNIT_MM]),
      (after.roll - targetRoll) / ROLL_UNIT_DEG,
      horn * cuts.toe,
      horn * cuts.heelMedial,
      horn * cuts.heelLateral,
      horn * cuts.dress,
      ...(question.match === undefined ? [] : [after.dorsalAngle - question.match]),
      ...(question.toeAim === undefined
        ? []
        : [Math.max(0, after.toeLength - question.toeAim) / LENGTH_UNIT_MM]),
    ];
  };
}

/** The objective of any cut on this foot, undefined for a cut that leaves no wall. What a plan makes least. */
export function trimObjective(question: TrimQuestion, cuts: Cuts): number | undefined {
  return residuals(question, targetRollOf(question))(cuts)?.reduce((sum, one) => sum + one * one, 0);
}
