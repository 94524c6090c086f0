import { AT_ONCE, FLEXURAL_DEG } from "../constants/trim";
import { heelYOf, type Cuts, type TrimFoot } from "../foot/parametric/predict";
import { degrees } from "../math/angle";
import { ok, type Result } from "../result";
import type { VisitBounds } from "./limits";
import { planTrim } from "./plan";
import type { TrimPlan, TrimQuestion } from "./question";

/** True where a foot may be flexural by its own axis: so much broken forward that the vet is asked before its heels come down. */
export const isFlexural = ({ dorsalAngle, pasternAngle }: TrimFoot): boolean =>
  dorsalAngle - pasternAngle > FLEXURAL_DEG.value;

/** What one visit takes at the most. `flexural` is known from the pair where the axis does not tell it. */
export const visitBounds = (foot: TrimFoot, flexural = isFlexural(foot)): VisitBounds => ({
  heelMm: (flexural ? AT_ONCE.heelVetMm : AT_ONCE.heelMm).value,
  unevenMm: AT_ONCE.unevenMm.value,
  turnDeg: AT_ONCE.turnDeg.value,
});

/** How many times over cuts go past what one visit takes, 1 or less where they do not. */
function timesOver(foot: TrimFoot, { toe, heelMedial, heelLateral }: Cuts, bounds: VisitBounds): number {
  const turn = degrees(Math.atan((toe - (heelMedial + heelLateral) / 2) / (foot.toeY - heelYOf(foot))));
  return Math.max(
    heelMedial / bounds.heelMm,
    heelLateral / bounds.heelMm,
    Math.abs(heelLateral - heelMedial) / bounds.unevenMm,
    Math.abs(turn) / bounds.turnDeg,
  );
}

/** Less than this share over the bounds of a visit is rounding. */
const SLACK = 1e-6;

/** How many visits cuts take, at least, each within its bounds and before anything grows; 1 where one does. */
export const visitsFor = (foot: TrimFoot, cuts: Cuts, bounds: VisitBounds): number =>
  Math.max(1, Math.ceil(timesOver(foot, cuts, bounds) - SLACK));

/** The whole way and what of it this visit does. */
export interface StagedPlan {
  whole: TrimPlan;
  /** This visit's part, within the bounds; the whole plan itself where it is within them. */
  part: TrimPlan;
  bounds: VisitBounds;
  /** Visits for the whole, without what grows between. */
  visits: number;
}

/**
 * A plan, and where it asks more of one visit than a foot should be asked, this visit's part: the best plan within the
 * bounds that takes nowhere more than the whole one would. Counted as the hand cuts it, to half a millimetre, unless
 * `exact`. Errors: those of the plan.
 */
export function planStaged(question: TrimQuestion, flexural?: boolean, exact = false): Result<StagedPlan> {
  const whole = planTrim(question);
  if (!whole.ok) return whole;
  const bounds = visitBounds(question.foot, flexural);
  const { cuts, handCuts } = whole.value;
  const visits = visitsFor(question.foot, exact ? cuts : handCuts, bounds);
  if (visits === 1) return ok({ whole: whole.value, part: whole.value, bounds, visits });
  const part = planTrim({ ...question, atOnce: bounds, upTo: whole.value.cuts });
  return part.ok ? ok({ whole: whole.value, part: part.value, bounds, visits }) : part;
}
