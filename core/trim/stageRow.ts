import { addDays, type IsoDate } from "../calendar/date";
import { STAGE_WEEKS } from "../constants/trim";
import type { FootParameters } from "../foot/parametric/parameters";
import type { Cuts, PredictedFoot } from "../foot/parametric/predict";
import { ok, type Result } from "../result";
import { downToHalf } from "./cutsForHand";
import { cutsOfVisit, growKept, questionOf, startOf, trimKept, type KeptQuestion } from "./kept";

/** One visit of a large trim: when, what comes off, and the foot as it leaves. */
export interface Stage {
  date: IsoDate;
  /** To half a millimetre, for the hand. */
  cuts: Cuts;
  before: FootParameters;
  after: FootParameters;
  predicted: PredictedFoot;
}

/** A large trim over several visits. */
export interface StageRow {
  everyWeeks: number;
  stages: readonly Stage[];
  /** False where growth outruns the trim: it is not done after so many visits. */
  ends: boolean;
}

/** After so many visits a row that has not ended is not followed any further. */
const MOST_STAGES = 8;

/**
 * A large trim in stages, from this visit's own cuts on: the foot grows at its own pace, and each later visit takes what
 * its plan wants within the bounds of one visit, until a visit's whole plan is within them. An estimate from mean rates.
 * Errors: those of the plan.
 */
export function stageRow(
  kept: KeptQuestion,
  first: Cuts,
  flexural: boolean,
  everyWeeks: number = STAGE_WEEKS.value,
): Result<StageRow> {
  let now = startOf(kept);
  const stages: Stage[] = [];
  for (let index = 0; index < MOST_STAGES; index++) {
    const day = index * everyWeeks * 7;
    const found =
      index === 0 ? ok({ cuts: first, whole: false }) : cutsOfVisit(questionOf(kept, now), flexural);
    if (!found.ok) return found;
    const { whole } = found.value;
    const cuts = downToHalf(found.value.cuts);
    const cut = trimKept(now, cuts);
    if (!cut.ok) return cut;
    const { after, predicted } = cut.value;
    stages.push({ date: addDays(kept.from, day), cuts, before: now.foot, after: after.foot, predicted });
    if (whole) return ok({ everyWeeks, stages, ends: true });
    const grown = growKept(kept, after, day, day + everyWeeks * 7);
    if (!grown.ok) return grown;
    now = grown.value;
  }
  return ok({ everyWeeks, stages, ends: false });
}

/** Intervals that are tried where the usual one does not end, weeks. */
const SHORTER_WEEKS = [3, 2, 1];

/** The row at the usual interval; where growth outruns it, at the longest shorter one that ends, else as it is. */
export function stageRowThatEnds(kept: KeptQuestion, first: Cuts, flexural: boolean): Result<StageRow> {
  const usual = stageRow(kept, first, flexural);
  if (!usual.ok || usual.value.ends) return usual;
  for (const weeks of SHORTER_WEEKS) {
    const shorter = stageRow(kept, first, flexural, weeks);
    if (!shorter.ok || shorter.value.ends) return shorter;
  }
  return usual;
}
