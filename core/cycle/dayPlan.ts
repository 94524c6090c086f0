import { cycleState, type CycleState } from "./dueWords";
import type { IsoDate } from "../calendar/date";
import type { HorseInCare } from "../record/horse";
import type { Visit } from "../record/visit";
import type { Yard } from "../record/yard";

/** A horse with its open cases, its yard, its last signed visit and the one that is planned or open. */
export interface RosterRow {
  horse: HorseInCare;
  yard: Yard;
  last?: Visit;
  coming?: Visit;
  /** Minutes that it usually takes, learned where it was timed. */
  minutes: number;
}

export interface PlannedJob extends RosterRow {
  visit: Visit;
  cycle?: CycleState;
}

/** One yard on the day's way, its horses in order. */
export interface Stop {
  yard: Yard;
  at?: string;
  minutes: number;
  jobs: PlannedJob[];
}

export interface WaitingHorse extends RosterRow {
  last: Visit;
  cycle: CycleState;
}

/** The day as it is planned, and the horses that are not in it though they should be. */
export interface DayPlan {
  stops: Stop[];
  horses: number;
  /** Usual minutes of work, without the road: an estimate. */
  workMinutes: number;
  /** Over their due day and not planned for today, most overdue first. */
  behind: WaitingHorse[];
  /** In their window and not planned for today, due soonest first. */
  windowOpen: WaitingHorse[];
}

/** Where a horse stands in its cycle, if it ever was done here. */
export function cycleOf(row: RosterRow, today: IsoDate): CycleState | undefined {
  return row.last?.next && cycleState(row.last.date, row.last.next, today);
}

/**
 * The plan of one day from the whole roster: visits planned, open or signed for today by yard and time, and who else
 * is waiting. Visits from earlier days that were left open or not started count as today's.
 */
export function dayPlan(rows: readonly RosterRow[], today: IsoDate): DayPlan {
  const jobs: PlannedJob[] = [];
  const waiting: WaitingHorse[] = [];
  for (const row of rows) {
    const { coming, last } = row;
    const cycle = cycleOf(row, today);
    const visit = coming && coming.date <= today ? coming : last?.date === today ? last : undefined;
    if (visit) jobs.push({ ...row, visit, ...(cycle && { cycle }) });
    else if (last && cycle && !coming) waiting.push({ ...row, last, cycle });
  }
  jobs.sort(
    (a, b) =>
      (a.visit.at ?? "99").localeCompare(b.visit.at ?? "99") || a.horse.name.localeCompare(b.horse.name),
  );
  const stops: Stop[] = [];
  for (const job of jobs) {
    const stop = stops.find(({ yard }) => yard.id === job.yard.id);
    if (stop) {
      stop.jobs.push(job);
      stop.minutes += job.minutes;
    } else
      stops.push({
        yard: job.yard,
        minutes: job.minutes,
        jobs: [job],
        ...(job.visit.at && { at: job.visit.at }),
      });
  }
  return {
    stops,
    horses: jobs.length,
    workMinutes: stops.reduce((sum, stop) => sum + stop.minutes, 0),
    behind: waiting
      .filter(({ cycle }) => cycle.state === "over")
      .sort((a, b) => b.cycle.daysOver - a.cycle.daysOver),
    windowOpen: waiting
      .filter(({ cycle }) => cycle.state === "window")
      .sort((a, b) => a.cycle.of - a.cycle.day - (b.cycle.of - b.cycle.day)),
  };
}

/** `45 min`, `6 h 10`. */
export function minutesInWords(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}
