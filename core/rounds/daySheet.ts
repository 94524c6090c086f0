import type { IsoDate } from "../calendar/date";
import type { Appointment } from "../record/appointment";
import { dayPlan, type DayPlan, type RosterRow, type Stop } from "../cycle/dayPlan";

/** The plan of one day, past or to come: only visits of that day. */
export function planOfDay(rows: readonly RosterRow[], date: IsoDate): DayPlan {
  const of = rows.map(({ coming, ...row }) => (coming?.date === date ? { ...row, coming } : row));
  return dayPlan(of, date);
}

/** A day's booked times by the stop that one is at then: those before the first stop, and those of each. */
export function bookedByStop(
  stops: readonly Stop[],
  booked: readonly Appointment[],
): { before: Appointment[]; at: Appointment[][] } {
  const inOrder = [...booked].sort((a, b) => a.at.localeCompare(b.at));
  const stopOf = ({ at }: Appointment) => stops.findLastIndex((stop) => (stop.at ?? "") <= at);
  return {
    before: inOrder.filter((one) => stopOf(one) === -1),
    at: stops.map((_, index) => inOrder.filter((one) => stopOf(one) === index)),
  };
}

/** The rows whose horses are done on that day. */
export function rowsOfDay(rows: readonly RosterRow[], date: IsoDate): RosterRow[] {
  const { stops } = planOfDay(rows, date);
  const done = new Set(stops.flatMap(({ jobs }) => jobs.map(({ horse }) => horse.id)));
  return rows.filter(({ horse }) => done.has(horse.id));
}
