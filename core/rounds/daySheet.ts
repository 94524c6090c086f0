import type { IsoDate } from "../calendar/date";
import { dayPlan, type DayPlan, type RosterRow } from "../cycle/dayPlan";

/** The plan of one day, past or to come: only visits of that day. */
export function planOfDay(rows: readonly RosterRow[], date: IsoDate): DayPlan {
  const of = rows.map(({ coming, ...row }) => (coming?.date === date ? { ...row, coming } : row));
  return dayPlan(of, date);
}

/** The rows whose horses are done on that day. */
export function rowsOfDay(rows: readonly RosterRow[], date: IsoDate): RosterRow[] {
  const { stops } = planOfDay(rows, date);
  const done = new Set(stops.flatMap(({ jobs }) => jobs.map(({ horse }) => horse.id)));
  return rows.filter(({ horse }) => done.has(horse.id));
}
