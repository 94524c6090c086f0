import type { IsoDate } from "../calendar/date";
import type { Appointment } from "../record/appointment";
import { clockText, driveDay, minutesOf, type Driven, type LaidStop } from "./drive";
import { roundsNumbers, type RoundsNumbers } from "./numbers";
import type { Planning, PlanningJob } from "./planning";

/** The day each horse is planned for, by the horse's id; a horse that is not in it has no day. */
export type Placed = Readonly<Record<string, IsoDate>>;

/** One day as it would be driven. Minutes; times of the clock. */
export interface LaidDay {
  date: IsoDate;
  minutes: number;
  taken: readonly Appointment[];
  stops: LaidStop[];
  drive: number;
  work: number;
  /** Drive, work and stops together. */
  spent: number;
  /** What it is too long by. */
  over: number;
  leaves: string;
  home: string;
}

export interface Layout {
  days: LaidDay[];
  /** Horses without a day, those that wait longest first. */
  left: PlanningJob[];
  drive: number;
}

/** Where every horse is planned now. */
export const placedNow = ({ jobs }: Planning): Placed =>
  Object.fromEntries(jobs.flatMap(({ horse, on }): [string, IsoDate][] => (on ? [[horse.id, on]] : [])));

/** The days that are not as they are planned now: a horse comes to it or leaves it. */
export const changedDays = ({ days, jobs }: Planning, placed: Placed): IsoDate[] =>
  days.flatMap(({ date }) =>
    jobs.some(({ horse, on }) => (placed[horse.id] === date) !== (on === date)) ? [date] : [],
  );

/**
 * The days as they would be driven. A day on which nothing changes keeps its times and the order that they give. Any other,
 * or one of those that are to be timed `anew`: yards by the shortest way, in the direction that meets the vet and what is
 * pinned to an hour more nearly, else the one that brings horses with habits that can hurt earlier; these come first at
 * their yard as well, while hands are fresh, and one that the vet comes to, or that is pinned to an hour, as near to that
 * as its yard's order allows. A pinned visit keeps its hour. Appointments lie between jobs, at the yard one is in. A day
 * may be too long: it says by how much. Any number of yards.
 */
export function layOut(plan: Planning, placed: Placed, anew: readonly IsoDate[] = []): Layout {
  const numbers = roundsNumbers(plan.question);
  const { stopMinutes } = plan.question;
  const changed = new Set([...changedDays(plan, placed), ...anew]);
  const placeOf = new Map(numbers.yards.map((id, index) => [id, index]));
  const days = plan.days.map(({ date, minutes, taken }): LaidDay => {
    const jobs = plan.jobs.filter(({ horse }) => placed[horse.id] === date);
    const kept = !changed.has(date) && jobs.every(({ coming }) => coming?.at !== undefined);
    const places = [...new Set(jobs.map(({ yard }) => placeOf.get(yard.id) as number))];
    const work = jobs.reduce((sum, job) => sum + job.minutes, 0);
    const { stops, home, road } = kept
      ? asPlanned(plan, numbers, jobs)
      : shortest(plan, numbers, jobs, places, { date, taken });
    const spent = road + work + stopMinutes * places.length;
    return {
      date,
      minutes,
      taken,
      stops,
      drive: road,
      work,
      spent,
      over: Math.max(0, spent - minutes),
      leaves: plan.leaves,
      home,
    };
  });
  const left = plan.jobs
    .filter(({ horse }) => placed[horse.id] === undefined)
    .sort((a, b) => a.due.localeCompare(b.due) || a.horse.name.localeCompare(b.horse.name));
  return { days, left, drive: days.reduce((sum, { drive }) => sum + drive, 0) };
}

interface Laid {
  stops: LaidStop[];
  home: string;
  /** Minutes on the road. */
  road: number;
}

/** A day by the shortest way, in the better direction. */
function shortest(
  plan: Planning,
  numbers: RoundsNumbers,
  jobs: readonly PlanningJob[],
  places: readonly number[],
  day: Pick<LaidDay, "date" | "taken">,
): Laid {
  const { order, minutes: road } = numbers.tourThrough(places);
  const driven = (way: readonly number[]): Driven => driveDay(plan, numbers, way, jobs, day);
  const [there, back] = [driven(order), driven(order.toReversed())];
  const turned =
    Math.abs(back.missed - there.missed) > 1 ? back.missed < there.missed : back.wait < there.wait;
  const { stops, home } = turned ? back : there;
  return { stops, home, road };
}

/** A day with the times that its visits have. */
function asPlanned({ leaves }: Planning, numbers: RoundsNumbers, jobs: readonly PlanningJob[]): Laid {
  const timed = jobs
    .map((job) => ({ job, at: job.coming?.at ?? leaves }))
    .sort((a, b) => a.at.localeCompare(b.at) || a.job.horse.name.localeCompare(b.job.horse.name));
  const byYard = new Map<string, typeof timed>();
  for (const one of timed) byYard.set(one.job.yard.id, [...(byYard.get(one.job.yard.id) ?? []), one]);
  let before: number | undefined;
  let road = 0;
  const stops = [...byYard].flatMap(([id, here]): LaidStop[] => {
    const place = numbers.yards.indexOf(id);
    const drive = (before === undefined ? numbers.home[place] : numbers.between[before]?.[place]) ?? 0;
    [before, road] = [place, road + drive];
    const [first] = here;
    return first ? [{ yard: first.job.yard, drive, at: first.at, jobs: here }] : [];
  });
  const back = before === undefined ? 0 : (numbers.home[before] ?? 0);
  const ends = timed.map(({ job, at }) => minutesOf(at) + job.minutes);
  return { stops, home: clockText(Math.max(minutesOf(leaves), ...ends) + back), road: road + back };
}
