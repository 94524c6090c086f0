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

  /** What a job costs more on each day, being left out now. */
  #prices(job: number): number[] {
    return this.numbers.have.map((_, day) => {
      const more = this.#shift([job], [day]);
      this.#shift([job], [this.numbers.have.length]);
      return more;
    });
  }

  /** Puts a job that is out on the day that is cheapest for it. */
  insert(job: number): void {
    const prices = this.#prices(job);
    const least = Math.min(...prices);
    if (least < 0) this.cost += this.#shift([job], [prices.indexOf(least)]);
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
      for (const [job, prices] of waiting) {
        const more = this.#shift([job], [next.day]);
        this.#shift([job], [this.numbers.have.length]);
        prices[next.day] = more;
      }
    }
  }

  /** Single jobs, all jobs of a yard's day, and pairs of jobs moved as long as anything gets cheaper. */
  settle(pairs: boolean): void {
    const out = this.numbers.have.length;
    const jobs = this.days.map((_, job) => job);
    for (let better = true; better;) {
      better = false;
      for (const job of jobs)
        for (let day = 0; day <= out; day++)
          if (day !== this.days[job]) better = this.take([job], [day]) || better;
      for (const yard of this.numbers.yards.keys())
        for (let from = 0; from <= out; from++)
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
        for (let a = 0; a < jobs.length; a++)
          for (let b = a + 1; b < jobs.length; b++) {
            const [one, other] = [this.days[a] ?? out, this.days[b] ?? out];
            if (one !== other) better = this.take([a, b], [other, one]) || better;
          }
    }
  }
}

/**
 * A good assignment without proof: dearest jobs first, each where it costs least, then moved about; after that, `rounds`
 * times over, the jobs of some yards or days are taken out and put back, and what got cheaper is kept (ruin and
 * recreate, Schrimpf and others 2000). `start` is bettered when it is given; `met` is
 * shown every assignment on the way that was worth going on from. The same numbers give the same plan.
 */
export function goodAssignment(
  numbers: RoundsNumbers,
  rounds: number,
  start?: Assignment,
  met?: (days: Assignment) => void,
  seed = 0,
): Assignment {
  const out = numbers.have.length;
  const jobs = numbers.kindOf.map((_, job) => job);
  const left = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.left ?? 0;
  const long = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.minutes ?? 0;
  const dear = (job: number) => left(job) / (1 + long(job));
  const board = new Board(numbers, start ? [...start] : jobs.map(() => out));
  if (!start) for (const job of [...jobs].sort((a, b) => left(b) - left(a))) board.insert(job);
  board.settle(true);
  let best = { days: [...board.days], cost: board.cost };
  const random = seededRandom(jobs.length + 1 + seed);
  const pick = (count: number) => Math.floor(random() * count);
  let now = new Board(numbers, [...best.days]);
  for (let round = 0; round < rounds; round++) {
    const next = new Board(numbers, [...now.days]);
    const away =
      random() < 0.5
        ? someOfYards(numbers, now.days, pick, 1 + pick(3))
        : someOfDays(numbers, now.days, pick, 1 + pick(3));
    next.remove(away);
    const order = [...away];
    const way = pick(5);
    const by = [undefined, left, long, dear][way];
    if (by) order.sort((a, b) => by(b) - by(a));
    if (way === 4) next.insertByRegret(order);
    else for (const job of order) next.insert(job);
    next.settle(false);
    if (next.cost < best.cost - 1e-9) best = { days: [...next.days], cost: next.cost };
    // A little dearer is allowed for a while: a way out of where it is stuck.
    if (next.cost <= now.cost || next.cost < best.cost * (1 + (0.02 * (rounds - round)) / rounds)) {
      now = next;
      met?.(now.days);
    }
  }
  const last = new Board(numbers, best.days);
  last.settle(true);
  return last.days;
}

type Pick = (count: number) => number;

/** The jobs of some yards that lie near one another, and those left out, in an order of chance. */
function someOfYards(
  { between, have, kinds, kindOf, yards }: RoundsNumbers,
  days: Assignment,
  pick: Pick,
  count: number,
): number[] {
  const middle = pick(yards.length);
  const near = [...yards.keys()]
    .sort((a, b) => (between[middle]?.[a] ?? 0) - (between[middle]?.[b] ?? 0))
    .slice(0, count);
  return shuffled(
    [...kindOf.keys()].filter(
      (job) => days[job] === have.length || near.includes(kinds[kindOf[job] ?? 0]?.yard ?? -1),
    ),
    pick,
  );
}

/** The jobs of some days, and those left out, in an order of chance. */
function someOfDays({ have }: RoundsNumbers, days: Assignment, pick: Pick, count: number): number[] {
  const chosen = new Set([have.length, ...Array.from({ length: count }, () => pick(have.length))]);
  return shuffled(
    [...days.keys()].filter((job) => chosen.has(days[job] ?? -1)),
    pick,
  );
}

function shuffled(list: number[], pick: Pick): number[] {
  for (let index = list.length - 1; index > 0; index--) {
    const other = pick(index + 1);
    const [a, b] = [list[index] ?? 0, list[other] ?? 0];
    [list[index], list[other]] = [b, a];
  }
  return list;
}
