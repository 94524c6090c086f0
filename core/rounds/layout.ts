import { daysBetween, type IsoDate } from "../calendar/date";
import type { Appointment } from "../record/appointment";
import type { Yard } from "../record/yard";
import { bitCount, roundsNumbers, type RoundsNumbers } from "./numbers";
import type { Planning, PlanningJob } from "./planning";
import { dayCost, lastDate, leftCost } from "./question";

/** The day each horse is planned for, by the horse's id; a horse that is not in it has no day. */
export type Placed = Readonly<Record<string, IsoDate>>;

export interface LaidStop {
  yard: Yard;
  /** Minutes on the road to it. */
  drive: number;
  /** Time of the clock, HH:MM: the first horse is begun then. */
  at: string;
  jobs: { job: PlanningJob; at: string }[];
}

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

/**
 * The days as they would be driven: yards by the shortest way, in the direction that meets the vet more nearly, else the
 * one that brings horses with habits that can hurt earlier; these come first at their yard as well, while hands are
 * fresh, and one that the vet comes to as near to that time as its yard's order allows. Appointments take their time when
 * the clock reaches them. A day may be too long: it says by how much.
 */
export function layOut(plan: Planning, placed: Placed): Layout {
  const numbers = roundsNumbers(plan.question);
  const { stopMinutes } = plan.question;
  const days = plan.days.map(({ date, minutes, taken }): LaidDay => {
    const jobs = plan.jobs.filter(({ horse }) => placed[horse.id] === date);
    const mask = jobs.reduce((set, { yard }) => set | (1 << numbers.yards.indexOf(yard.id)), 0);
    const tour = numbers.tour(mask);
    const driven = (order: readonly number[]): Driven => drive(plan, numbers, order, jobs, { date, taken });
    const [there, back] = [driven(tour.order), driven(tour.order.toReversed())];
    const turned =
      Math.abs(back.missed - there.missed) > 1 ? back.missed < there.missed : back.wait < there.wait;
    const { stops, home } = turned ? back : there;
    const work = jobs.reduce((sum, job) => sum + job.minutes, 0);
    const spent = tour.minutes + work + stopMinutes * bitCount(mask);
    return {
      date,
      minutes,
      taken,
      stops,
      drive: tour.minutes,
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

/** A day driven in one direction. */
interface Driven {
  stops: LaidStop[];
  home: string;
  /** Minutes by which the vet is missed, over all horses. */
  missed: number;
  /** How late in the day horses with habits come, over all of them. */
  wait: number;
}

function drive(
  plan: Planning,
  numbers: RoundsNumbers,
  order: readonly number[],
  jobs: readonly PlanningJob[],
  { date, taken }: Pick<LaidDay, "date" | "taken">,
): Driven {
  const clock = new Clock(minutesOf(plan.leaves), taken);
  let before: number | undefined;
  let [missed, wait] = [0, 0];
  const stops = order.flatMap((place, index): LaidStop[] => {
    const way = (before === undefined ? numbers.home[place] : numbers.between[before]?.[place]) ?? 0;
    before = place;
    clock.spend(way + plan.question.stopMinutes);
    const at = clock.text();
    const here = inOrder(
      jobs.filter(({ yard }) => yard.id === numbers.yards[place]),
      date,
      clock.minutes,
    );
    wait += index * here.filter(({ horse }) => horse.habits !== "").length;
    const timed = here.map((job) => {
      const [begins, vet] = [clock.text(), vetOn(job, date)];
      if (vet !== undefined) missed += Math.abs(minutesOf(begins) - minutesOf(vet));
      clock.spend(job.minutes);
      return { job, at: begins };
    });
    const yard = here[0]?.yard;
    return yard ? [{ yard, drive: way, at, jobs: timed }] : [];
  });
  clock.spend(before === undefined ? 0 : (numbers.home[before] ?? 0));
  return { stops, home: clock.text(), missed, wait };
}

/** When the vet comes to a horse on a day, HH:MM. */
export const vetOn = (
  { coming }: Pick<PlanningJob, "coming">,
  date: IsoDate | undefined,
): string | undefined => (coming !== undefined && coming.date === date ? coming.vetAt : undefined);

/** The horses of a yard from a time on: habits first, then by name; one the vet comes to as near to that as can be. */
function inOrder(jobs: PlanningJob[], date: IsoDate, from: number): PlanningJob[] {
  const order = jobs
    .filter((job) => vetOn(job, date) === undefined)
    .sort(
      (a, b) =>
        Number(b.horse.habits !== "") - Number(a.horse.habits !== "") ||
        a.horse.name.localeCompare(b.horse.name),
    );
  for (const job of jobs) {
    const vet = vetOn(job, date);
    if (vet === undefined) continue;
    const misses = Array.from({ length: order.length + 1 }, (_, at) =>
      Math.abs(from + order.slice(0, at).reduce((sum, one) => sum + one.minutes, 0) - minutesOf(vet)),
    );
    order.splice(misses.indexOf(Math.min(...misses)), 0, job);
  }
  return order;
}

export const minutesOf = (time: string): number => {
  const [hours = 0, minutes = 0] = time.split(":").map(Number);
  return hours * 60 + minutes;
};

/** Minutes of the day as HH:MM, to the next five; past midnight it stands at 23:59. */
export function clockText(minutes: number): string {
  const whole = Math.min(24 * 60 - 1, Math.ceil((minutes - 1e-6) / 5) * 5);
  return `${String(Math.floor(whole / 60)).padStart(2, "0")}:${String(whole % 60).padStart(2, "0")}`;
}

class Clock {
  readonly #coming: Appointment[];
  constructor(
    private now: number,
    taken: readonly Appointment[],
  ) {
    this.#coming = [...taken];
  }

  spend(minutes: number): void {
    this.now += minutes;
    for (let next = this.#coming[0]; next && minutesOf(next.at) <= this.now; next = this.#coming[0]) {
      this.now += next.minutes;
      this.#coming.shift();
    }
  }

  get minutes(): number {
    return this.now;
  }

  text(): string {
    return clockText(this.now);
  }
}

/** What it costs to move some horses to a day, or to none. */
export interface MoveCost {
  /** None: taken off the plan. */
  date: IsoDate | undefined;
  /** More minutes on the road, over all days. */
  drive: number;
  /** More days late, over all these horses. */
  late: number;
  /** Minutes that the day is then too long by. */
  over: number;
  /** In the plan's own terms, minutes of driving that it is worth; a day that is too long counts as it stands. */
  cost: number;
}

/** The cost of moving horses from where they are to each of the days, and to none. */
export function moveCosts(plan: Planning, placed: Placed, horses: readonly string[]): MoveCost[] {
  const numbers = roundsNumbers(plan.question);
  const byYard = new Map(numbers.yards.map((id, index) => [id, 1 << index]));
  const last = lastDate(plan.days);
  const moved = plan.jobs.filter(({ horse }) => horses.includes(horse.id));
  const setOn = (date: IsoDate | undefined, jobs: readonly PlanningJob[]) =>
    jobs
      .filter(({ horse }) => date !== undefined && placed[horse.id] === date)
      .reduce((mask, { yard }) => mask | (byYard.get(yard.id) ?? 0), 0);
  const staying = plan.jobs.filter(({ horse }) => !horses.includes(horse.id));
  const own = (job: PlanningJob, date: IsoDate | undefined) => {
    const facts = { ...job, id: job.horse.id, yard: job.yard.id };
    return date === undefined ? leftCost(facts, last) : dayCost(facts, date);
  };
  const lateOn = (job: PlanningJob, date: IsoDate | undefined) =>
    Math.max(0, daysBetween(job.due, date ?? last));
  // Without these horses: what leaving saves.
  const saved = plan.days.reduce(
    (sum, { date }) =>
      sum + numbers.tour(setOn(date, plan.jobs)).minutes - numbers.tour(setOn(date, staying)).minutes,
    0,
  );
  return [...plan.days.map(({ date }) => date), undefined].map((date): MoveCost => {
    const without = setOn(date, staying);
    const mask =
      date === undefined ? 0 : moved.reduce((set, { yard }) => set | (byYard.get(yard.id) ?? 0), without);
    const drive = numbers.tour(mask).minutes - numbers.tour(without).minutes - saved;
    const sum = (of: (job: PlanningJob, on: IsoDate | undefined) => number) =>
      moved.reduce((total, job) => total + of(job, date) - of(job, placed[job.horse.id]), 0);
    const work = [...staying.filter(({ horse }) => placed[horse.id] === date), ...moved].reduce(
      (total, { minutes }) => total + minutes,
      0,
    );
    const day = plan.days.find((one) => one.date === date);
    const spent = numbers.tour(mask).minutes + work + plan.question.stopMinutes * bitCount(mask);
    return {
      date,
      drive,
      late: sum(lateOn),
      over: day ? Math.max(0, spent - day.minutes) : 0,
      cost: drive + sum(own),
    };
  });
}
