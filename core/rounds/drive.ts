import type { IsoDate } from "../calendar/date";
import type { Appointment } from "../record/appointment";
import type { Yard } from "../record/yard";
import type { RoundsNumbers } from "./numbers";
import type { Planning, PlanningJob } from "./planning";

export interface LaidStop {
  yard: Yard;
  /** Minutes on the road to it. */
  drive: number;
  /** Time of the clock, HH:MM: the first horse is begun then. */
  at: string;
  /** `late`: minutes by which a pinned hour cannot be kept. */
  jobs: { job: PlanningJob; at: string; late?: number }[];
}

/** A day driven in one direction. */
export interface Driven {
  stops: LaidStop[];
  home: string;
  /** Minutes by which the vet and pinned hours are missed, over all horses. */
  missed: number;
  /** How late in the day horses with habits come, over all of them. */
  wait: number;
}

/** A day driven yard by yard in an order, timed by the clock. */
export function driveDay(
  plan: Planning,
  numbers: RoundsNumbers,
  order: readonly number[],
  jobs: readonly PlanningJob[],
  { date, taken }: { date: IsoDate; taken: readonly Appointment[] },
): Driven {
  const clock = new Clock(minutesOf(plan.leaves), taken);
  let before: number | undefined;
  let [missed, wait] = [0, 0];
  const stops = order.flatMap((place, index): LaidStop[] => {
    const way = (before === undefined ? numbers.home[place] : numbers.between[before]?.[place]) ?? 0;
    before = place;
    clock.spend(way + plan.question.stopMinutes);
    const here = inOrder(
      jobs.filter(({ yard }) => yard.id === numbers.yards[place]),
      date,
      clock.minutes,
    );
    wait += index * here.filter(({ horse }) => horse.habits !== "").length;
    const timed = here.map((job) => {
      const [fixed, vet] = [fixedOn(job, date), vetOn(job, date)];
      clock.wait(job.minutes, fixed === undefined ? undefined : minutesOf(fixed));
      const late = fixed === undefined ? 0 : Math.round(clock.minutes - minutesOf(fixed));
      const at = fixed ?? clock.text();
      if (vet !== undefined) missed += Math.abs(minutesOf(at) - minutesOf(vet));
      missed += Math.max(0, late);
      clock.pass(job.minutes);
      return { job, at, ...(late > 0 && { late }) };
    });
    const [first] = timed;
    return first ? [{ yard: first.job.yard, drive: way, at: first.at, jobs: timed }] : [];
  });
  clock.spend(before === undefined ? 0 : (numbers.home[before] ?? 0));
  return { stops, home: clock.text(), missed, wait };
}

/** The hour that a horse is pinned to on a day, HH:MM. */
const fixedOn = ({ coming }: Pick<PlanningJob, "coming">, date: IsoDate): string | undefined =>
  coming?.pinned && coming.date === date ? coming.at : undefined;

/** When the vet comes to a horse on a day, HH:MM. */
export const vetOn = (
  { coming }: Pick<PlanningJob, "coming">,
  date: IsoDate | undefined,
): string | undefined => (coming !== undefined && coming.date === date ? coming.vetAt : undefined);

/**
 * The horses of a yard from a time on: habits first, then by name; one the vet comes to, or that is pinned to an hour, as
 * near to that as can be.
 */
function inOrder(jobs: PlanningJob[], date: IsoDate, from: number): PlanningJob[] {
  const hourOf = (job: PlanningJob) => vetOn(job, date) ?? fixedOn(job, date);
  const order = jobs
    .filter((job) => hourOf(job) === undefined)
    .sort(
      (a, b) =>
        Number(b.horse.habits !== "") - Number(a.horse.habits !== "") ||
        a.horse.name.localeCompare(b.horse.name),
    );
  const withHours = jobs.flatMap((job) => {
    const hour = hourOf(job);
    return hour === undefined ? [] : [{ job, hour }];
  });
  for (const { job, hour } of withHours.sort((a, b) => a.hour.localeCompare(b.hour))) {
    const misses = Array.from({ length: order.length + 1 }, (_, at) =>
      Math.abs(from + order.slice(0, at).reduce((sum, one) => sum + one.minutes, 0) - minutesOf(hour)),
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

  /**
   * Waits until something that takes so many minutes can begin: not before an hour that it is pinned to, and not so that an
   * appointment would begin in the midst of it; that is kept first, where one is.
   */
  wait(minutes: number, until = 0): void {
    for (let next = this.#coming[0]; next; next = this.#coming[0]) {
      if (minutesOf(next.at) >= Math.max(this.now, until) + minutes) break;
      this.now = Math.max(this.now, minutesOf(next.at) + next.minutes);
      this.#coming.shift();
    }
    this.now = Math.max(this.now, until);
  }

  pass(minutes: number): void {
    this.now += minutes;
  }

  /** Something that takes so many minutes, as soon as it can be begun. */
  spend(minutes: number): void {
    this.wait(minutes);
    this.pass(minutes);
  }

  get minutes(): number {
    return this.now;
  }

  text(): string {
    return clockText(this.now);
  }
}
