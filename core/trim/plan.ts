import type { FrontLens, SideLens } from "../foot/lens";
import { degrees, radians } from "../math/angle";
import { boundedLeastSquares } from "../math/leastSquares";
import { ok, type Result } from "../result";
import { quarterOvercut, toeOvercut, trimLimits, type LimitQuestion, type TrimLimits } from "./limits";
import { heelYOf, NO_CUT, predictTrim, type Cuts, type PredictedFoot } from "../foot/parametric/predict";

/** A foot, what may be taken off it, and what it is aimed at. */
export interface TrimQuestion extends LimitQuestion {
  frontBack: FrontLens;
  side: SideLens;
  /** Degrees by which the lateral side is high, as the lens has it; even-sole reads its own, 0 unless given. */
  sideAngle?: number;
  /** A dorsal angle to come near to besides, deg: that of the other foot of the pair. */
  match?: number;
  /** A toe length, mm, over which the toe is to come back besides: for a foot that is kept over many trims. */
  toeAim?: number;
}

/** Names of what can stop a cut: the four cuts, the length of the toe, or a quarter by its name. */
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

/** How much a degree of axis and three millimetres of uneven halves weigh against each other, by lens. */
const WEIGHTS: Record<FrontLens, { axis: number; halves: number }> = {
  "straight-axis": { axis: 1, halves: 0.25 },
  "even-halves": { axis: 0.25, halves: 1 },
  // The plane of the live sole is not weighed: these serve only to state its objective beside that of other plans.
  "live-sole": { axis: 1, halves: 0.25 },
};
const HALVES_UNIT_MM = 3;
const ROLL_UNIT_DEG = 0.5;
const HORN_WEIGHT = 0.02;
const HAND_STEP_MM = 0.5;

/** Degrees by which the bearing plane is to be rolled, positive = the lateral side comes down. */
export function targetRollOf({ foot, above, side, sideAngle }: TrimQuestion): number {
  if (side !== "even-sole") return sideAngle ?? 0;
  return degrees(
    Math.atan((above.heelLateral - above.heelMedial) / (foot.heelLateral[0] - foot.heelMedial[0])),
  );
}

const asCuts = ([toe = 0, heelMedial = 0, heelLateral = 0, dress = 0]: readonly number[]): Cuts => ({
  toe,
  heelMedial,
  heelLateral,
  dress,
});
const asList = ({ toe, heelMedial, heelLateral, dress }: Cuts): number[] => [
  toe,
  heelMedial,
  heelLateral,
  dress,
];

/** The terms whose squares add up to the objective of a plan. */
function residuals(question: TrimQuestion, targetRoll: number) {
  const { axis, halves } = WEIGHTS[question.frontBack];
  const weigh = [Math.sqrt(axis), Math.sqrt(halves) / HALVES_UNIT_MM] as const;
  const horn = Math.sqrt(HORN_WEIGHT);
  return (cuts: Cuts): number[] | undefined => {
    const found = predictTrim(question.foot, cuts);
    if (!found.ok) return undefined;
    const after = found.value;
    return [
      weigh[0] * after.axis,
      weigh[1] * (after.front - after.support),
      (after.roll - targetRoll) / ROLL_UNIT_DEG,
      horn * cuts.toe,
      horn * cuts.heelMedial,
      horn * cuts.heelLateral,
      horn * cuts.dress,
      ...(question.match === undefined ? [] : [after.dorsalAngle - question.match]),
      ...(question.toeAim === undefined
        ? []
        : [Math.max(0, after.toeLength - question.toeAim) / HALVES_UNIT_MM]),
    ];
  };
}

/** The objective of any cut on this foot, undefined for a cut that leaves no wall. What a plan makes least. */
export function trimObjective(question: TrimQuestion, cuts: Cuts): number | undefined {
  return residuals(question, targetRollOf(question))(cuts)?.reduce((sum, one) => sum + one * one, 0);
}

/** What a cut oversteps, by name and by how many mm; empty when it keeps every limit. */
export function overcuts(
  question: LimitQuestion,
  limits: TrimLimits,
  cuts: Cuts,
): { name: LimitName; mm: number }[] {
  const slack = 1e-6;
  const places = (Object.keys(NO_CUT) as (keyof Cuts)[]).map((name) => ({
    name: name as LimitName,
    mm: cuts[name] - limits.most[name],
  }));
  return [
    ...places,
    { name: "minToeLength", mm: limits.minToeLength > 0 ? toeOvercut(question.foot, limits, cuts) : 0 },
    ...limits.quarters.map((quarter) => ({ name: quarter.name, mm: quarterOvercut(quarter, cuts) })),
  ].filter(({ mm }) => mm > slack);
}

/**
 * The trim that comes nearest to the chosen lenses: the true optimum of a weighted sum of squares of axis (deg), uneven
 * halves (3 mm), roll against its target (half a degree) and horn taken, within the limits. With the live-sole lens
 * nothing is weighed: every point is cut by what is available there and nothing is dressed; the toe only as far as its
 * least length allows, and all three by one share less where a quarter would be overcut.
 *
 * Errors: those of the prediction for a foot that is no foot. Source: trade practice put into one sum.
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
  const limits = trimLimits(question);
  const targetRoll = targetRollOf(question);
  const { cuts, stoppedBy } =
    question.frontBack === "live-sole"
      ? liveSolePlane(question, limits)
      : optimum(question, limits, targetRoll);
  const predicted = predictTrim(question.foot, cuts);
  return predicted.ok ? ok({ cuts, stoppedBy, limits, targetRoll, predicted: predicted.value }) : predicted;
}

/** Less height than this at the toe is none, mm. */
const NO_TOE_MM = 1e-6;

function optimum(question: TrimQuestion, limits: TrimLimits, targetRoll: number) {
  const { foot } = question;
  const toeHeight = (foot.toeLength - limits.minToeLength) * Math.sin(radians(foot.dorsalAngle));
  if (toeHeight < NO_TOE_MM) return optimumOfShortToe(question, limits, targetRoll);
  const { heelMedial, heelLateral, dress } = limits.most;
  return searched(question, limits, targetRoll, limits.most, limits.minToeLength > 0, [
    { ...NO_CUT, heelMedial, heelLateral },
    { ...NO_CUT, dress },
  ]);
}

/**
 * On a toe that may not be shortened at all the toe is left, and either the heels are cut or the wall is dressed: with
 * both, the plane of the cut would take something off the dressed toe. The better of the two.
 */
function optimumOfShortToe(question: TrimQuestion, limits: TrimLimits, targetRoll: number) {
  const { heelMedial, heelLateral, dress } = limits.most;
  const either = [
    { ...NO_CUT, heelMedial, heelLateral },
    { ...NO_CUT, dress },
  ].map((most) => searched(question, limits, targetRoll, most, false, []));
  const best = either.reduce((a, b) => (b.value < a.value ? b : a));
  const stoppedBy = best.stoppedBy.map((name) =>
    name in limits.most && limits.most[name as keyof Cuts] > 0 && best.most[name as keyof Cuts] === 0
      ? "minToeLength"
      : name,
  );
  return { ...best, stoppedBy: [...new Set(stoppedBy)] };
}

function searched(
  question: TrimQuestion,
  limits: TrimLimits,
  targetRoll: number,
  most: Cuts,
  hasLength: boolean,
  corners: readonly Cuts[],
) {
  const terms = residuals(question, targetRoll);
  const { x, value, atMost, atConstraint } = boundedLeastSquares({
    residuals: (list) => terms(asCuts(list)),
    most: asList(most),
    constraints: [
      ...(hasLength ? [(list: readonly number[]) => toeOvercut(question.foot, limits, asCuts(list))] : []),
      ...limits.quarters.map((quarter) => (list: readonly number[]) => quarterOvercut(quarter, asCuts(list))),
    ],
    corners: hasLength ? corners.map(asList) : [],
  });
  const names = [...(hasLength ? ["minToeLength"] : []), ...limits.quarters.map(({ name }) => name)];
  const stoppedBy: LimitName[] = [
    ...Object.keys(NO_CUT).filter((_, index) => (atMost[index] ?? 0) > BINDING),
    ...names.filter((_, index) => (atConstraint[index] ?? 0) > BINDING),
  ];
  return { cuts: asCuts(x), value, most, stoppedBy };
}

/** A limit holds a plan back when easing it by 1 mm would save more than this of the objective. */
const BINDING = 1e-6;

/** The wall brought to the plane of the live sole; the toe only as far as its length allows. */
function liveSolePlane(question: TrimQuestion, limits: TrimLimits) {
  const { heelMedial, heelLateral } = limits.most;
  const toe = toeWithinLength(question, limits);
  const whole: Cuts = { toe, heelMedial, heelLateral, dress: 0 };
  const stoppedBy: LimitName[] = [
    ...(toe < limits.most.toe ? [] : ["toe"]),
    "heelMedial",
    "heelLateral",
    ...(toe < limits.most.toe ? ["minToeLength"] : []),
  ];
  const over = limits.quarters.filter((quarter) => quarterOvercut(quarter, whole) > 0);
  if (over.length === 0) return { cuts: whole, stoppedBy };
  // A quarter cut is linear in the three heights: the share that keeps the tightest one.
  const share = Math.min(
    ...over.map((quarter) => quarter.most / (quarterOvercut(quarter, whole) + quarter.most)),
  );
  return {
    cuts: { toe: toe * share, heelMedial: heelMedial * share, heelLateral: heelLateral * share, dress: 0 },
    stoppedBy: over.map(({ name }) => name),
  };
}

/** The most off the toe with both heels at their limits, so that the toe keeps its least length. */
function toeWithinLength({ foot }: TrimQuestion, limits: TrimLimits): number {
  const { toe, heelMedial, heelLateral } = limits.most;
  const cuts: Cuts = { toe, heelMedial, heelLateral, dress: 0 };
  if (limits.minToeLength === 0 || toeOvercut(foot, limits, cuts) <= 0) return toe;
  // The overcut is linear in the toe's cut.
  const none = toeOvercut(foot, limits, { ...cuts, toe: 0 });
  return Math.max(0, (toe * none) / (none - toeOvercut(foot, limits, cuts)));
}

/** Down to half a millimetre; a plane that then still oversteps a limit loses the half that causes it. */
export function forTheHand(question: LimitQuestion, limits: TrimLimits, cuts: Cuts): Cuts {
  const down = (mm: number) => Math.floor(mm / HAND_STEP_MM + 1e-6) * HAND_STEP_MM + 0;
  let found: Cuts = asCuts(asList(cuts).map(down));
  for (let round = 0; round < 40 && overcuts(question, limits, found).length > 0; round++) {
    const place = (["toe", "heelMedial", "heelLateral", "dress"] as const).find((name) => {
      const less = { ...found, [name]: Math.max(0, found[name] - HAND_STEP_MM) };
      return found[name] > 0 && worst(question, limits, less) < worst(question, limits, found) - 1e-9;
    });
    if (!place) return NO_CUT;
    found = { ...found, [place]: Math.max(0, found[place] - HAND_STEP_MM) };
  }
  return found;
}

const worst = (question: LimitQuestion, limits: TrimLimits, cuts: Cuts): number =>
  Math.max(0, ...overcuts(question, limits, cuts).map(({ mm }) => mm));

/**
 * How much more can come off toe and both heels alike after a cut, mm to the half: what still stands above the live sole
 * and margin everywhere, but no more than brings the toe to its target. Equal cuts keep the angle.
 */
export function levelRest(plan: TrimPlan, cuts: Cuts, toeTarget: number): number {
  const { question, limits } = plan;
  let best = 0;
  for (let more = HAND_STEP_MM; more <= 40; more += HAND_STEP_MM) {
    const deeper: Cuts = {
      ...cuts,
      toe: cuts.toe + more,
      heelMedial: cuts.heelMedial + more,
      heelLateral: cuts.heelLateral + more,
    };
    const after = predictTrim(question.foot, deeper);
    if (!after.ok || after.value.toeLength < toeTarget || overcuts(question, limits, deeper).length > 0)
      break;
    best = more;
  }
  return best;
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
