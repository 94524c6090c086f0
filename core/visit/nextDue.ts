import { addDays, daysBetween, type IsoDate } from "../calendar/date";
import { AXIS_WORSE_DEG, BARE_BROKEN_BACK_DAYS, CRACK_EARLIER_DAYS, LEFT_DEG } from "../constants/due";
import { dueOn, footDue } from "../cycle/due";
import { horseDue, type FootOutlook } from "../cycle/horseDue";
import { readAxis } from "../foot/axis";
import { LIMBS, type Limb } from "../foot/limb";
import { noiseOf } from "../foot/records/pairs";
import { presentFinds } from "../foot/records/look";
import type { Wording } from "../foot/wording";
import { isShod, type HorseInCare } from "../record/horse";
import type { Settings } from "../record/settings";
import type { HorseDue, Visit } from "../record/visit";
import { compareCycles, longestInterval } from "../trim/cycles";
import { keptOf } from "./trimAhead";
import type { VisitFoot } from "./visitFoot";
import { visitPlan } from "./visitPlan";

/** A visit whose next day is asked for. */
export interface NextQuestion {
  visit: Visit;
  horse: HorseInCare;
  feet: Record<Limb, VisitFoot>;
  outlooks: readonly FootOutlook[];
  settings: Settings;
}

/** As far as a foot is followed for its longest interval, weeks. */
const AHEAD_WEEKS = 26;
/** Growth is followed so far for a day of its own, weeks. */
const GROWTH_WEEKS = 52;

/** The longest interval that keeps a foot inside the limits that make it due, weeks; 1 where none does. */
function longestKept({ visit, horse, feet, outlooks, settings }: NextQuestion, limb: Limb, wording: Wording) {
  const outlook = outlooks.find((one) => one.limb === limb);
  const planned = visitPlan({ visit, horse, feet, limb }, settings, wording);
  if (!outlook || planned.missing.length > 0) return undefined;
  const runs = compareCycles({ ...keptOf(planned, outlook, visit.date, settings), weeks: AHEAD_WEEKS });
  if (!runs.ok) return undefined;
  const limits = {
    toeTarget: planned.facts.target.toeLengthMm,
    toeOver: settings.toeOverMm,
    axisLimit: settings.axisLimitDeg,
    axisWorse: AXIS_WORSE_DEG.value,
  };
  return longestInterval(runs.value, limits) ?? 1;
}

/** Days that a foot itself asks for, besides growth and cap. */
function footDays(question: NextQuestion, limb: Limb, wording: Wording): HorseDue[] {
  const { visit, horse, feet, settings } = question;
  const { values, trim } = feet[limb];
  const on = (day: number, reason: HorseDue["reason"]): HorseDue => ({
    ...dueOn(visit.date, day, "cap"),
    reason,
    limb,
  });
  const days: HorseDue[] = [];
  const next = trim?.plan?.stage?.next;
  if (next !== undefined) days.push(on(daysTo(visit.date, next), "stage"));
  const { dorsalAngle, pasternAngle } = values.after;
  if (!dorsalAngle || !pasternAngle) return days;
  const axis = readAxis(dorsalAngle.value, pasternAngle.value, noiseOf(settings).angleDeg);
  if (axis.word === "broken back" && !isShod(horse, limb)) {
    const { from, to } = BARE_BROKEN_BACK_DAYS.value;
    days.push({ ...on(to, "bare"), windowStart: addDays(visit.date, from) });
  }
  if (Math.abs(axis.axisDeg) > LEFT_DEG.value) {
    const weeks = longestKept(question, limb, wording);
    if (weeks !== undefined) days.push(on(weeks * 7, "left"));
  }
  return days;
}

const daysTo = (from: IsoDate, to: IsoDate): number => Math.max(1, daysBetween(from, to));

/**
 * When the horse is due: when its first foot is, by growth or cap, at the next stage of a large trim, at the longest
 * interval that keeps a foot left far from straight inside its limits, or at two to three weeks for a bare foot left
 * broken back. A crack under way opens the window a week earlier. Where the cap decides, growth's own day stands beside.
 */
export function nextDue(question: NextQuestion, wording: Wording): HorseDue {
  const { visit, horse, feet, outlooks, settings } = question;
  const usual = horseDue(horse, visit.date, outlooks, settings);
  const asked = LIMBS.flatMap((limb) => footDays(question, limb, wording));
  const first = asked.reduce((a, b) => (b.due < a.due ? b : a), usual);
  const cracked = LIMBS.some((limb) =>
    presentFinds(feet[limb].look).some(([, { kind }]) => kind === "crack"),
  );
  const byGrowth = first.reason === "cap" ? growthDay(outlooks, visit.date) : undefined;
  const windowStart = cracked
    ? later(visit.date, addDays(first.windowStart, -CRACK_EARLIER_DAYS.value))
    : first.windowStart;
  return { ...first, windowStart, ...(byGrowth !== undefined && { byGrowth }) };
}

const later = (a: IsoDate, b: IsoDate): IsoDate => (a > b ? a : b);

/** The first day on which any foot is due by growth alone, without a cap. */
function growthDay(outlooks: readonly FootOutlook[], last: IsoDate): IsoDate | undefined {
  return outlooks
    .flatMap(({ question }) => {
      if (question?.last !== last) return [];
      const due = footDue({ ...question, capWeeks: GROWTH_WEEKS });
      return due.reason === "cap" ? [] : [due.due];
    })
    .sort()[0];
}
