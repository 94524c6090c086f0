import type ICAL from "ical.js";
import { addDays, daysBetween, type IsoDate } from "../calendar/date";

/** Steps that are taken through the repetitions of one event; ten times as many through those of a file. */
const MOST_STEPS = 20_000;

/** Thrown for an event that repeats oftener than it is followed. */
export class TooOften extends Error {}

/** What is left of the steps that a file may take. */
export interface Budget {
  steps: number;
}

/** The day of a time as it is written. */
export const dayOf = ({ year, month, day }: ICAL.Time): IsoDate =>
  `${String(year).padStart(4, "0")}-${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`;

/** Names a time among the occurrences of one event. */
export const timeKey = (time: ICAL.Time): string => time.toICALString();

/**
 * When an event that lasts so many days begins, as often as that may reach a window of days: its start, what its rules repeat, its extra days less
 * the days that are taken out. A rule is followed from shortly before the window, however long ago it began. Throws
 * `TooOften`, or what the parser throws where a value is none.
 */
export function occurrences(
  component: ICAL.Component,
  [from, until]: readonly [IsoDate, IsoDate],
  lastsDays: number,
  budget: Budget,
): ICAL.Time[] {
  const start = component.getFirstPropertyValue("dtstart") as ICAL.Time;
  const rules = component.getAllProperties("rrule");
  const reach = lastsDays + 1;
  const isNear = (time: ICAL.Time) => {
    const day = dayOf(time);
    return daysBetween(until, day) <= 1 && daysBetween(day, from) <= reach;
  };
  const found = new Map<string, ICAL.Time>();
  const add = (time: ICAL.Time) => {
    if (isNear(time)) found.set(timeKey(time), time);
  };
  add(start);
  let steps = 0;
  for (const property of rules) {
    const rule = property.getFirstValue() as ICAL.Recur;
    const each = rule.iterator(fastForward(rule, start, addDays(from, -reach)));
    for (let next = each.next() as ICAL.Time | null; next; next = each.next() as ICAL.Time | null) {
      if (daysBetween(until, dayOf(next)) > 1) break;
      budget.steps -= 1;
      if (budget.steps < 0 || (steps += 1) > MOST_STEPS) throw new TooOften();
      // The iterator goes on with the same time.
      if (isNear(next)) add(next.clone());
    }
  }
  for (const property of component.getAllProperties("rdate"))
    for (const value of property.getValues() as (ICAL.Time | ICAL.Period)[])
      add("start" in value ? (value.start as ICAL.Time) : value);
  for (const property of component.getAllProperties("exdate"))
    for (const value of property.getValues() as ICAL.Time[]) {
      found.delete(timeKey(value));
      // A whole day takes out whatever begins on it.
      if (value.isDate) for (const [key, time] of found) if (dayOf(time) === dayOf(value)) found.delete(key);
    }
  return [...found.values()].sort((a, b) => a.compare(b));
}

export const newBudget = (): Budget => ({ steps: 10 * MOST_STEPS });

/**
 * A start from which a rule goes on just as from its own, shortly before a day: by whole days or weeks of its interval. A
 * rule that counts its repetitions, or names what is finer or coarser than weeks, is followed from its own start.
 */
function fastForward(rule: ICAL.Recur, start: ICAL.Time, from: IsoDate): ICAL.Time {
  const unit = { DAILY: 1, WEEKLY: 7 }[rule.freq as string];
  const behind = daysBetween(dayOf(start), from);
  if (unit === undefined || rule.count || behind <= 0) return start;
  const step = unit * rule.interval;
  const later = start.clone();
  later.day += Math.floor(behind / step) * step;
  // Reading a part of it brings the days of the month in order.
  later.adjust(0, 0, 0, 0);
  return later;
}
