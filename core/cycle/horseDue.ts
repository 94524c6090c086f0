import { LIMBS, type Limb } from "../foot/limb";
import type { FootValues } from "../foot/measures";
import { toeTarget } from "../foot/toeYardstick";
import { CAP_WEEKS } from "../constants/due";
import { isShod, vetCases, type HorseInCare } from "../record/horse";
import type { Reading } from "../foot/records/reading";
import type { Settings } from "../record/settings";
import type { HorseDue } from "../record/visit";
import { noiseOf } from "../foot/records/pairs";
import { GENERAL_NOISE, sdOfSmallestChange, type Noise } from "../repeatability/repeatability";
import { angleDrift, toeGrowth, type BeforeAfter, type Rate } from "./growth";
import { capDue, footDue, forecastFoot, type Due, type DueQuestion, type FootForecast } from "./due";

/** One visit's readings of one foot. */
export interface FootVisit {
  date: string;
  before?: FootValues;
  after?: FootValues;
}

/** What one foot's history says about its next weeks. */
export interface FootOutlook {
  limb: Limb;
  growth: Rate;
  drift: Rate;
  /** Missing when toe length, dorsal or pastern angle were not measured after the last trim. */
  due?: Due;
  question?: DueQuestion;
}

export type DueRules = Pick<Settings, "hemisphere" | "toeOverMm" | "axisLimitDeg" | "capWeeks" | "pairs">;

/** The readings of one horse by foot, oldest visit first. */
export function footHistory(readings: readonly Reading[], limb: Limb): FootVisit[] {
  const visits = new Map<string, FootVisit>();
  for (const reading of readings) {
    if (reading.limb !== limb) continue;
    const visit = visits.get(reading.visitId) ?? { date: reading.date };
    visits.set(reading.visitId, { ...visit, [reading.moment]: reading.values });
  }
  return [...visits.values()].sort((a, b) => a.date.localeCompare(b.date));
}

/** The values a foot was left with at a visit: measured after, and where that is missing, before. */
export const leftWith = (visit: FootVisit | undefined): FootValues => ({ ...visit?.before, ...visit?.after });

/**
 * The horse's cap in weeks: as a vet prescribed it, the shortest where there are several; else its own; else the user's
 * for a vet's plan or for its use; else the trade's.
 */
export function capWeeksOf(
  horse: Pick<HorseInCare, "capWeeks" | "use" | "cases">,
  rules: Pick<DueRules, "capWeeks">,
): number {
  const plans = vetCases(horse);
  const asked = plans.flatMap(({ prescription }) => prescription?.weeks ?? []);
  if (asked.length > 0) return Math.min(...asked);
  const kind = plans.length > 0 ? "vet plan" : horse.use;
  return horse.capWeeks ?? rules.capWeeks[kind] ?? CAP_WEEKS[kind].value;
}

/**
 * Growth, drift and due date of one foot. Toe growth and drift are learned from its own cycles; visits on one and the
 * same day count as one. The due date starts from `last`, the day of the last visit.
 */
export function footOutlook(
  horse: HorseInCare,
  limb: Limb,
  history: readonly FootVisit[],
  rules: DueRules,
  noise: Noise = noiseOf(rules),
): FootOutlook {
  const days = history.filter((visit, index) => visit.date !== history[index + 1]?.date);
  const pairs = (measure: "toeLength" | "dorsalAngle"): BeforeAfter[] =>
    days.map(({ date, before, after }) => ({
      date,
      ...(before?.[measure] && { before: before[measure].value }),
      ...(after?.[measure] && { after: after[measure].value }),
    }));
  const shod = isShod(horse, limb);
  const growth = toeGrowth(pairs("toeLength"), {
    shod,
    hemisphere: rules.hemisphere,
    measureSd: sdOfSmallestChange(noise.lengthMm),
  });
  const drift = angleDrift(pairs("dorsalAngle"), { shod, measureSd: sdOfSmallestChange(noise.angleDeg) });
  if (!growth.ok || !drift.ok) throw new Error("a foot's history is sorted and has one visit a day");
  const outlook: FootOutlook = { limb, growth: growth.value, drift: drift.value };
  const last = days.at(-1);
  const { toeLength, dorsalAngle, pasternAngle } = leftWith(last);
  if (!last || !toeLength || !dorsalAngle || !pasternAngle) return outlook;
  const question: DueQuestion = {
    last: last.date,
    toeLength: toeLength.value,
    toeTarget: toeTarget(horse).toeLengthMm,
    toeOver: rules.toeOverMm,
    dorsalAngle: dorsalAngle.value,
    pasternAngle: pasternAngle.value,
    axisLimit: rules.axisLimitDeg,
    growth: outlook.growth,
    drift: outlook.drift,
    hemisphere: rules.hemisphere,
    capWeeks: capWeeksOf(horse, rules),
  };
  return { ...outlook, question, due: footDue(question) };
}

/** Every foot's outlook from a horse's readings. */
export const horseOutlook = (
  horse: HorseInCare,
  readings: readonly Reading[],
  rules: DueRules,
  noise?: Noise,
): FootOutlook[] => LIMBS.map((limb) => footOutlook(horse, limb, footHistory(readings, limb), rules, noise));

/** The horse is due when its first foot is; by the cap alone when nothing was measured at `last`. */
export function horseDue(
  horse: HorseInCare,
  last: string,
  outlooks: readonly FootOutlook[],
  rules: DueRules,
): HorseDue {
  let first: HorseDue | undefined;
  for (const { limb, due, question } of outlooks) {
    if (!due || question?.last !== last) continue;
    if (!first || due.due < first.due) first = due.reason === "cap" ? { ...due } : { ...due, limb };
  }
  return first ?? capDue(last, capWeeksOf(horse, rules));
}

/** The forecast of a foot at `days` after its last visit, if it was measured then. */
export function outlookAfter(
  outlook: FootOutlook,
  days: number,
  noise = GENERAL_NOISE.value,
): FootForecast | undefined {
  if (!outlook.question) return undefined;
  const angleSd = sdOfSmallestChange(noise.angleDeg);
  const start = { toeSd: sdOfSmallestChange(noise.lengthMm), axisSd: Math.SQRT2 * angleSd };
  return forecastFoot(outlook.question, days, start);
}
