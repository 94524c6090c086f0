import { daysBetween, type IsoDate } from "../calendar/date";
import { ANGLE_DRIFT_PRIOR, TOE_GROWTH_PRIOR } from "../constants/growth";
import { combineByPrecision, type Estimate } from "../math/statistics";
import { fail, ok, type Result } from "../result";
import { seasonDays, type Hemisphere } from "../calendar/season";

/** A rate learned from a foot's own cycles, in units a day, and from how many of them. */
export interface Rate {
  perDay: number;
  sd: number;
  observations: number;
}

/** One visit's measure before and after the trim; either can be missing. */
export interface BeforeAfter {
  date: IsoDate;
  before?: number;
  after?: number;
}

interface CycleContext {
  shod: boolean;
  hemisphere: Hemisphere;
  /** Within-subject sd of the measure. */
  measureSd: number;
}

/**
 * Toe growth in mm per season-weighted day: the general value for shod or barefoot feet, sharpened by each of this
 * foot's own cycles (toe before the next visit minus toe after this one, over the season-weighted days between).
 *
 * Cycles with a measure missing are passed over. Errors: `not-in-order` when the dates do not rise.
 * Source: conjugate normal model; priors in the growth constants.
 */
export function toeGrowth(visits: readonly BeforeAfter[], context: CycleContext): Result<Rate> {
  return rateFromCycles(
    visits,
    TOE_GROWTH_PRIOR[context.shod ? "shod" : "barefoot"].value,
    context.measureSd,
    (a, b) => seasonDays(a, b, context.hemisphere),
  );
}

/** Change of the dorsal angle in degrees a day, learned the same way; the season plays no part. */
export function angleDrift(
  visits: readonly BeforeAfter[],
  context: Omit<CycleContext, "hemisphere">,
): Result<Rate> {
  const prior = ANGLE_DRIFT_PRIOR[context.shod ? "shod" : "barefoot"].value;
  return rateFromCycles(visits, prior, context.measureSd, daysBetween);
}

function rateFromCycles(
  visits: readonly BeforeAfter[],
  prior: Estimate,
  measureSd: number,
  weighedDays: (from: IsoDate, to: IsoDate) => number,
): Result<Rate> {
  const estimates: Estimate[] = [prior];
  for (const [index, next] of visits.entries()) {
    const last = visits[index - 1];
    if (last === undefined) continue;
    if (daysBetween(last.date, next.date) <= 0)
      return fail(
        "not-in-order",
        `visits.${index}.date`,
        `${next.date} does not come after ${last.date}.`,
        next.date,
      );
    if (last.after === undefined || next.before === undefined) continue;
    const days = weighedDays(last.date, next.date);
    estimates.push({ mean: (next.before - last.after) / days, sd: (Math.SQRT2 * measureSd) / days });
  }
  const { mean, sd } = combineByPrecision(estimates);
  return ok({ perDay: mean, sd, observations: estimates.length - 1 });
}
