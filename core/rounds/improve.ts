import { seededRandom } from "../math/random";
import { bitCount, MINUTE_SLACK, type RoundsNumbers } from "./numbers";

/** A day for each job, by number; the number of days for a job that is left out. */
export type Assignment = number[];

/** What a day costs in driving with so much work; infinite where it is too short. */
function dayDrive(
  { tour, stopMinutes, have }: RoundsNumbers,
  day: number,
  mask: number,
  work: number,
): number {
  if (mask === 0) return 0;
  const left = (have[day] ?? 0) + MINUTE_SLACK - work - stopMinutes * bitCount(mask);
  if (left < 0) return Number.POSITIVE_INFINITY;
  const { minutes } = tour(mask);
  return minutes > left ? Number.POSITIVE_INFINITY : minutes;
}

/** The cost of an assignment in the plan's own terms; infinite where a day is too short or a pin is broken. */
export const costOf = (numbers: RoundsNumbers, days: Assignment): number => new Board(numbers, days).cost;

/** An assignment with what each day holds, so that a move costs only the two days that it touches. */
class Board {
  readonly #work: number[];
  readonly #mask: number[];
  readonly #drive: number[];
  /** How many jobs of a yard stand on a day. */
  readonly #held: number[][];
  cost = 0;

  constructor(
    readonly numbers: RoundsNumbers,
    readonly days: Assignment,
  ) {
    const out = numbers.have.length;
    this.#work = numbers.have.map(() => 0);
    this.#mask = numbers.have.map(() => 0);
    this.#drive = numbers.have.map(() => 0);
    this.#held = numbers.have.map(() => numbers.yards.map(() => 0));
    days.forEach((day, job) => {
      this.cost += this.#own(job, day);
      if (day !== out) this.#put(job, day, 1);
    });
    numbers.have.forEach((_, day) => {
      const drive = dayDrive(numbers, day, this.#mask[day] ?? 0, this.#work[day] ?? 0);
      this.#drive[day] = drive;
      this.cost += drive;
    });
  }

  #kind(job: number) {
    return this.numbers.kinds[this.numbers.kindOf[job] ?? 0];
  }

  #own(job: number, day: number): number {
    const kind = this.#kind(job);
    return day === this.numbers.have.length ? (kind?.left ?? 0) : (kind?.onDay[day] ?? 0);
  }

  #put(job: number, day: number, count: 1 | -1): void {
    const { yard = 0, minutes = 0 } = this.#kind(job) ?? {};
    const row = this.#held[day] ?? [];
    row[yard] = (row[yard] ?? 0) + count;
    this.#work[day] = (this.#work[day] ?? 0) + count * minutes;
    if (row[yard] > 0) this.#mask[day] = (this.#mask[day] ?? 0) | (1 << yard);
    else this.#mask[day] = (this.#mask[day] ?? 0) & ~(1 << yard);
  }

  /** Moves jobs to days, whatever that costs; what it costs more. */
  #shift(jobs: readonly number[], to: readonly number[]): number {
    const out = this.numbers.have.length;
    const touched = new Set<number>();
    let more = 0;
    jobs.forEach((job, index) => {
      const [from, day] = [this.days[job] ?? out, to[index] ?? out];
      more += this.#own(job, day) - this.#own(job, from);
      if (from !== out) this.#put(job, from, -1);
      if (day !== out) this.#put(job, day, 1);
      touched.add(from).add(day);
      this.days[job] = day;
    });
    touched.delete(out);
    for (const day of touched) {
      const drive = dayDrive(this.numbers, day, this.#mask[day] ?? 0, this.#work[day] ?? 0);
      more += drive - (this.#drive[day] ?? 0);
      this.#drive[day] = drive;
    }
    return more;
  }

  /** Moves jobs to days when that is cheaper, or takes the move back. */
  take(jobs: readonly number[], to: readonly number[]): boolean {
    const from = jobs.map((job) => this.days[job] ?? 0);
    const more = this.#shift(jobs, to);
    if (more < -1e-9) {
      this.cost += more;
      return true;
    }
    this.#shift(jobs, from);
    return false;
  }

  /** Takes jobs out, whatever that costs. */
  remove(jobs: readonly number[]): void {
    this.cost += this.#shift(
      jobs,
      jobs.map(() => this.numbers.have.length),
    );
  }

  /** Puts jobs back where they were, at the cost that was. */
  restore(jobs: readonly number[], days: readonly number[], cost: number): void {
    this.#shift(jobs, days);
    this.cost = cost;
  }

  /** What a job that is out costs more on a day. */
  #price(job: number, day: number): number {
    const { yard = 0, minutes = 0 } = this.#kind(job) ?? {};
    const own = this.#own(job, day) - this.#own(job, this.numbers.have.length);
    if (own === Number.POSITIVE_INFINITY) return own;
    const drive = dayDrive(
      this.numbers,
      day,
      (this.#mask[day] ?? 0) | (1 << yard),
      (this.#work[day] ?? 0) + minutes,
    );
    return own + drive - (this.#drive[day] ?? 0);
  }

  #prices(job: number): number[] {
    return this.numbers.have.map((_, day) => this.#price(job, day));
  }

  /** Puts a job that is out on the day that is cheapest for it. */
  insert(job: number, overlook: () => boolean = () => false): void {
    let [least, on] = [0, -1];
    for (let day = 0; day < this.numbers.have.length; day++) {
      if (overlook()) continue;
      const more = this.#price(job, day);
      if (more < least) [least, on] = [more, day];
    }
    if (on !== -1) this.cost += this.#shift([job], [on]);
  }

  /** Puts jobs of one yard that are out together on the day that is cheapest for all of them; none where there is none. */
  insertTogether(jobs: readonly number[]): void {
    const out = this.numbers.have.length;
    const { yard = 0 } = this.#kind(jobs[0] ?? 0) ?? {};
    const minutes = jobs.reduce((sum, job) => sum + (this.#kind(job)?.minutes ?? 0), 0);
    let [least, on] = [0, -1];
    for (let day = 0; day < out; day++) {
      const mask = (this.#mask[day] ?? 0) | (1 << yard);
      let more =
        dayDrive(this.numbers, day, mask, (this.#work[day] ?? 0) + minutes) - (this.#drive[day] ?? 0);
      for (const job of jobs) more += this.#own(job, day) - this.#own(job, out);
      if (more < least) [least, on] = [more, day];
    }
    if (on === -1) return;
    const day = on;
    this.cost += this.#shift(
      jobs,
      jobs.map(() => day),
    );
  }

  /** Puts jobs that are out on days, always the one next that would lose most by waiting (regret, Potvin and Rousseau 1993). */
  insertByRegret(jobs: readonly number[]): void {
    const waiting = new Map(jobs.map((job) => [job, this.#prices(job)]));
    while (waiting.size > 0) {
      let next = { job: -1, day: -1, regret: Number.NEGATIVE_INFINITY };
      for (const [job, prices] of waiting) {
        const [first = 0, second = 0] = [...prices, 0].sort((a, b) => a - b);
        if (first < 0 && second - first > next.regret)
          next = { job, day: prices.indexOf(first), regret: second - first };
      }
      if (next.job === -1) return;
      this.cost += this.#shift([next.job], [next.day]);
      waiting.delete(next.job);
      for (const [job, prices] of waiting) prices[next.day] = this.#price(job, next.day);
    }
  }

  /** Single jobs, all jobs of a yard's day, and pairs of jobs moved as long as anything gets cheaper and there is time. */
  settle(pairs: boolean, late: () => boolean): void {
    const out = this.numbers.have.length;
    const jobs = this.days.map((_, job) => job);
    for (let better = true; better && !late();) {
      better = false;
      for (const job of jobs)
        for (let day = 0; day <= out; day++)
          if (day !== this.days[job]) better = this.take([job], [day]) || better;
      for (const yard of this.numbers.yards.keys())
        for (let from = 0; from <= out && !late(); from++)
          for (let to = 0; to <= out; to++) {
            if (from === to) continue;
            const group = jobs.filter((job) => this.days[job] === from && this.#kind(job)?.yard === yard);
            if (group.length > 1)
              better =
                this.take(
                  group,
                  group.map(() => to),
                ) || better;
          }
      if (pairs && !better)
        for (let a = 0; a < jobs.length && !late(); a++)
          for (let b = a + 1; b < jobs.length; b++) {
            const [one, other] = [this.days[a] ?? out, this.days[b] ?? out];
            if (one !== other) better = this.take([a, b], [other, one]) || better;
          }
    }
  }
}

/** How dear a change may be at first and at last, as a part of the cost, so that it is taken once in some three times. */
const WARM = 0.06;
/** The same for an assignment that is good already. */
const MILD = 0.004;
const COLD = 0.00002;
/** Jobs taken out at once, at most; a few whole stops or days. */
const MOST_AWAY = 20;
/** How often a day is overlooked when a job is put back: a way past what always comes first (Christiaens and Vanden Berghe 2020). */
const BLINK = 0.05;
/** Every so manieth state that was gone on from is shown. */
const SHOWN = 40;

/**
 * A good assignment without proof: dearest jobs first, each where it costs least, then moved about; after that, `rounds`
 * times over, the jobs of some stops or days are taken out and put back, and what is hardly dearer is gone on from, less
 * and less so (ruin and recreate, Schrimpf and others 2000). `start` is bettered when it is given; `met` is shown what
 * was best on the way and some of the rest. The same numbers give the same plan.
 */
export function goodAssignment(
  numbers: RoundsNumbers,
  rounds: number,
  { start, met, late = () => false }: Search = {},
): Assignment {
  const out = numbers.have.length;
  const jobs = numbers.kindOf.map((_, job) => job);
  const left = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.left ?? 0;
  const long = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.minutes ?? 0;
  const yardOf = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.yard ?? 0;
  const far = (job: number) => numbers.home[yardOf(job)] ?? 0;
  const now = new Board(numbers, start ? [...start] : jobs.map(() => out));
  if (!start) for (const job of [...jobs].sort((a, b) => left(b) - left(a))) now.insert(job);
  let best = { days: [...now.days], cost: now.cost };
  const random = seededRandom(jobs.length + 1);
  const pick = (count: number) => Math.floor(random() * count);
  const urgent = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.onDay.at(-1) ?? 0;
  const overlook = () => random() < BLINK;
  const warm = start ? MILD : WARM;
  let gone = 0;
  let timeUp = false;
  for (let round = 0; round < rounds && !(timeUp = late()); round++) {
    const away = someStops(numbers, now.days, pick);
    const way = pick(8);
    const by = [undefined, left, long, far, urgent][pick(5)];
    if (by) away.sort((a, b) => by(b) - by(a));
    const [from, before] = [away.map((job) => now.days[job] ?? out), now.cost];
    now.remove(away);
    if (way >= 4) for (const group of groupsOf(away, yardOf)) if (pick(8) > 0) now.insertTogether(group);
    const rest = away.filter((job) => now.days[job] === out);
    if (way < 7) for (const job of rest) now.insert(job, overlook);
    else now.insertByRegret(rest);
    const warmth = warm * (COLD / warm) ** (round / rounds);
    if (now.cost > before - best.cost * warmth * Math.log(1 - random())) now.restore(away, from, before);
    else if (now.cost < best.cost - 1e-9) {
      best = { days: [...now.days], cost: now.cost };
      met?.(best.days);
    } else if (++gone % SHOWN === 0) met?.(now.days);
  }
  const last = new Board(numbers, best.days);
  if (!timeUp) last.settle(true, late);
  return last.days;
}

/** How a good assignment is looked for. */
export interface Search {
  start?: Assignment | undefined;
  met?: (days: Assignment) => void;
  /** True when time is up. */
  late?: () => boolean;
}

type Pick = (count: number) => number;

/** All that is left out, and the jobs of some stops: of one day, of days about it, or at yards near one another. */
function someStops(
  { between, have, kinds, kindOf, yards }: RoundsNumbers,
  days: Assignment,
  pick: Pick,
): number[] {
  const yardOf = (job: number) => kinds[kindOf[job] ?? 0]?.yard ?? 0;
  const seed = pick(days.length);
  const [yard, day] = [yardOf(seed), days[seed] ?? have.length];
  const other = pick(have.length);
  const way = pick(4);
  const near = way === 0 ? 0 : nearest(between, yard, 1 + pick(Math.min(4, yards.length)));
  const some = [...days.keys()].filter((job) => {
    const on = days[job] ?? have.length;
    if (on === have.length) return pick(MOST_AWAY) < 8;
    if (way === 0) return on === day || (on === other && pick(2) === 0);
    if (!(near & (1 << yardOf(job)))) return false;
    return way === 1 || on === day || (way === 2 ? Math.abs(on - day) <= 2 : on === other);
  });
  shuffled(some, pick);
  const stops = groupsOf(some, (job) => yardOf(job) * (have.length + 1) + (days[job] ?? 0));
  const away: number[] = [];
  const most = 2 + pick(MOST_AWAY);
  for (const stop of stops) if (away.length === 0 || away.length + stop.length <= most) away.push(...stop);
  return away;
}

/** Jobs that share a number, together; the groups in the order of their first. */
function groupsOf(jobs: readonly number[], shared: (job: number) => number): number[][] {
  const groups = new Map<number, number[]>();
  for (const job of jobs) {
    const group = groups.get(shared(job));
    if (group) group.push(job);
    else groups.set(shared(job), [job]);
  }
  return [...groups.values()];
}

/** A yard and those nearest to it, so many in all, as bits. */
const nearest = (between: RoundsNumbers["between"], yard: number, count: number): number =>
  [...(between[yard] ?? []).keys()]
    .sort((a, b) => (between[yard]?.[a] ?? 0) - (between[yard]?.[b] ?? 0))
    .slice(0, count)
    .reduce((mask, one) => mask | (1 << one), 0);

function shuffled(list: number[], pick: Pick): void {
  for (let index = list.length - 1; index > 0; index--) {
    const other = pick(index + 1);
    const [a, b] = [list[index] ?? 0, list[other] ?? 0];
    [list[index], list[other]] = [b, a];
  }
}
