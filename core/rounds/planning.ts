import { addDays, weekday, type IsoDate } from "../calendar/date";
import type { RosterRow } from "../cycle/dayPlan";
import { urgencyOf } from "../cycle/urgency";
import type { Appointment } from "../record/appointment";
import type { RoundsSettings } from "../record/settings";
import type { Yard } from "../record/yard";
import type { RoundsJob, RoundsQuestion } from "./question";

/** A horse that wants doing in the days that are planned. */
export interface PlanningJob extends RosterRow, Omit<RoundsJob, "id" | "yard" | "minutes"> {
  /** The day it is planned for now, if it is one of these. */
  on?: IsoDate;
}

/** Some days of rounds: what each holds, who wants doing, and the question that a plan answers. */
export interface Planning {
  days: { date: IsoDate; minutes: number; taken: Appointment[] }[];
  jobs: PlanningJob[];
  /** Yards whose place is not known. */
  islands: Yard[];
  question: RoundsQuestion;
  /** When the van leaves home. */
  leaves: string;
}

/** How many days after today make this week and the next: to a Sunday that is at least eleven days away. */
export function fortnightFrom(today: IsoDate): number {
  const toSunday = 6 - weekday(today);
  return toSunday + (toSunday >= 4 ? 7 : 14);
}

/**
 * The days after today that can be planned, and the horses whose windows meet them, the overdue and those already
 * planned for one of them. Today is under way and is left as it is; so is a horse that is planned for it.
 * A horse without a window of its own is wanted on the day it is planned for.
 */
export function planning(
  rows: readonly RosterRow[],
  settings: RoundsSettings & { home: NonNullable<RoundsSettings["home"]> },
  appointments: readonly Appointment[],
  today: IsoDate,
  count: number,
): Planning {
  const days = Array.from({ length: count }, (_, index) => {
    const date = addDays(today, index + 1);
    const taken = appointments.filter((one) => one.date === date).sort((a, b) => a.at.localeCompare(b.at));
    const spent = taken.reduce((sum, { minutes }) => sum + minutes, 0);
    return { date, minutes: Math.max(0, (settings.week[weekday(date)] ?? 0) - spent), taken };
  });
  const end = addDays(today, count);
  const together = companions(rows);
  const jobs = rows.flatMap((row): PlanningJob[] => {
    const { coming, last, horse } = row;
    if (coming && (coming.status === "open" || coming.date <= today)) return [];
    const on = coming && coming.date <= end ? coming.date : undefined;
    if (coming && on === undefined) return [];
    const next = last?.next;
    if (on === undefined && !(next && next.windowStart <= end)) return [];
    return [
      {
        ...row,
        windowStart: next?.windowStart ?? on ?? today,
        due: next?.due ?? on ?? today,
        weight: urgencyOf(horse, today),
        ...(on !== undefined && { on }),
        ...(on !== undefined && coming?.pinned && { only: on }),
        with: together.get(horse.id),
      },
    ];
  });
  const yards = [...new Map(jobs.map(({ yard }) => [yard.id, yard])).values()];
  return {
    days,
    jobs,
    islands: yards.filter(({ at }) => at === undefined),
    leaves: settings.leaves,
    question: {
      home: settings.home,
      speedKmh: settings.speedKmh,
      stopMinutes: settings.stopMinutes,
      days: days.map(({ date, minutes }) => ({ date, minutes })),
      yards: yards.map(({ id, at }) => ({ id, at })),
      jobs: jobs.map(({ horse, yard, minutes, windowStart, due, weight, only, with: group }) => ({
        id: horse.id,
        yard: yard.id,
        minutes,
        windowStart,
        due,
        weight,
        only,
        with: group,
      })),
    },
  };
}

/** A name for each set of horses that go together, by horse: those at one yard that are tied, whoever names whom. */
export function companions(rows: readonly Pick<RosterRow, "horse">[]): Map<string, string> {
  const yardOf = new Map(rows.map(({ horse }) => [horse.id, horse.yardId]));
  const group = new Map<string, string>();
  for (const { horse } of rows) {
    const other = horse.companionId;
    if (other === undefined || yardOf.get(other) !== horse.yardId) continue;
    const [mine, theirs] = [group.get(horse.id) ?? horse.id, group.get(other) ?? other];
    group.set(horse.id, mine).set(other, mine);
    for (const [id, name] of group) if (name === theirs) group.set(id, mine);
  }
  return group;
}

/** These horses, and those that go with them and lie on the same day, or on none, as they do; a pinned one stays. */
export function withCompanions(
  { jobs }: Pick<Planning, "jobs">,
  placed: Readonly<Record<string, IsoDate>>,
  horses: readonly string[],
): string[] {
  const sets = new Set(
    jobs.flatMap((job) =>
      job.with !== undefined && horses.includes(job.horse.id) ? [`${job.with} ${placed[job.horse.id]}`] : [],
    ),
  );
  return jobs.flatMap((job) =>
    horses.includes(job.horse.id) ||
    (job.only === undefined && sets.has(`${job.with} ${placed[job.horse.id]}`))
      ? [job.horse.id]
      : [],
  );
}
