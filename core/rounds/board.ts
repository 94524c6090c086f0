import { bitCount, MINUTE_SLACK, type JobKind, type RoundsNumbers } from "./numbers";

/** A day for each job, by number; the number of days for a job that is left out. */
export type Assignment = number[];

const INFINITE = Number.POSITIVE_INFINITY;

/** What a day costs in driving with so much work; infinite where it is too short. */
function dayDrive(
  { tour, stopMinutes, have }: RoundsNumbers,
  day: number,
  mask: number,
  work: number,
): number {
  if (mask === 0) return 0;
  const left = (have[day] ?? 0) + MINUTE_SLACK - work - stopMinutes * bitCount(mask);
  if (left < 0) return INFINITE;
  const { minutes } = tour(mask);
  return minutes > left ? INFINITE : minutes;
}

/** The cost of an assignment in the plan's own terms; infinite where a day is too short or a pin is broken. */
export const costOf = (numbers: RoundsNumbers, days: Assignment): number => new Board(numbers, days).cost;

/** An assignment with what each day holds, so that a move costs only the two days that it touches. */
export class Board {
  readonly #work: number[];
  readonly #mask: number[];
  readonly #drive: number[];
  /** How many jobs of a yard stand on a day. */
  readonly #held: number[][];
  readonly #kinds: readonly JobKind[];
  readonly #out: number;
  cost = 0;

  constructor(
    readonly numbers: RoundsNumbers,
    readonly days: Assignment,
  ) {
    this.#out = numbers.have.length;
    this.#kinds = numbers.kindOf.map((kind) => numbers.kinds[kind] as JobKind);
    this.#work = numbers.have.map(() => 0);
    this.#mask = numbers.have.map(() => 0);
    this.#drive = numbers.have.map(() => 0);
    this.#held = numbers.have.map(() => numbers.yards.map(() => 0));
    days.forEach((day, job) => {
      this.cost += this.#own(job, day);
      if (day !== this.#out) this.#put(job, day, 1);
    });
    numbers.have.forEach((_, day) => {
      const drive = dayDrive(numbers, day, this.#mask[day] ?? 0, this.#work[day] ?? 0);
      this.#drive[day] = drive;
      this.cost += drive;
    });
  }

  #own(job: number, day: number): number {
    const { onDay, left } = this.#kinds[job] as JobKind;
    return day === this.#out ? left : (onDay[day] as number);
  }

  #put(job: number, day: number, count: 1 | -1): void {
    const { yard, minutes } = this.#kinds[job] as JobKind;
    const row = this.#held[day] as number[];
    const held = (row[yard] as number) + count;
    row[yard] = held;
    this.#work[day] = (this.#work[day] as number) + count * minutes;
    const mask = this.#mask[day] as number;
    this.#mask[day] = held > 0 ? mask | (1 << yard) : mask & ~(1 << yard);
  }

  /** What a day's driving costs more, now that jobs came to it or left it. */
  #driven(day: number): number {
    const drive = dayDrive(this.numbers, day, this.#mask[day] as number, this.#work[day] as number);
    const more = drive - (this.#drive[day] as number);
    this.#drive[day] = drive;
    return more;
  }

  /** Moves jobs to days, whatever that costs; what it costs more. */
  #shift(jobs: readonly number[], to: readonly number[]): number {
    const touched = new Set<number>();
    let more = 0;
    for (let index = 0; index < jobs.length; index++) {
      const job = jobs[index] as number;
      const [from, day] = [this.days[job] as number, to[index] as number];
      more += this.#own(job, day) - this.#own(job, from);
      if (from !== this.#out) this.#put(job, from, -1);
      if (day !== this.#out) this.#put(job, day, 1);
      touched.add(from).add(day);
      this.days[job] = day;
    }
    touched.delete(this.#out);
    for (const day of touched) more += this.#driven(day);
    return more;
  }

  /** Puts a job that is out on a day. */
  #place(job: number, day: number): void {
    this.cost += this.#own(job, day) - this.#own(job, this.#out);
    this.#put(job, day, 1);
    this.days[job] = day;
    this.cost += this.#driven(day);
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
      jobs.map(() => this.#out),
    );
  }

  /** Puts jobs back where they were, at the cost that was. */
  restore(jobs: readonly number[], days: readonly number[], cost: number): void {
    this.#shift(jobs, days);
    this.cost = cost;
  }

  /** What a job that is out costs more on a day; at once where it is dearer than `most` by its day alone. */
  #price(job: number, day: number, most = INFINITE): number {
    const { yard, minutes, onDay, left } = this.#kinds[job] as JobKind;
    const own = (onDay[day] as number) - left;
    if (!(own < most)) return INFINITE;
    const mask = (this.#mask[day] as number) | (1 << yard);
    const drive = dayDrive(this.numbers, day, mask, (this.#work[day] as number) + minutes);
    return own + drive - (this.#drive[day] as number);
  }

  #prices(job: number): number[] {
    return this.numbers.have.map((_, day) => this.#price(job, day));
  }

  /** Puts a job that is out on the day that is cheapest for it. */
  insert(job: number, overlook: () => boolean = () => false): void {
    let [least, on] = [0, -1];
    for (let day = 0; day < this.#out; day++) {
      const more = this.#price(job, day, least);
      if (more < least && !overlook()) [least, on] = [more, day];
    }
    if (on !== -1) this.#place(job, on);
  }

  /** Puts jobs of one yard that are out together on the day that is cheapest for all of them; none where there is none. */
  insertTogether(jobs: readonly number[]): void {
    const { yard } = this.#kinds[jobs[0] as number] as JobKind;
    let minutes = 0;
    for (const job of jobs) minutes += (this.#kinds[job] as JobKind).minutes;
    let [least, on] = [0, -1];
    for (let day = 0; day < this.#out; day++) {
      let more = 0;
      for (const job of jobs) more += this.#own(job, day) - this.#own(job, this.#out);
      if (!(more < least)) continue;
      const mask = (this.#mask[day] as number) | (1 << yard);
      more +=
        dayDrive(this.numbers, day, mask, (this.#work[day] as number) + minutes) -
        (this.#drive[day] as number);
      if (more < least) [least, on] = [more, day];
    }
    if (on === -1) return;
    for (const job of jobs) this.#place(job, on);
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
      this.#place(next.job, next.day);
      waiting.delete(next.job);
      for (const [job, prices] of waiting) prices[next.day] = this.#price(job, next.day);
    }
  }

  /** Single jobs, all jobs of a yard's day, and pairs of jobs moved as long as anything gets cheaper and there is time. */
  settle(pairs: boolean, late: () => boolean): void {
    const out = this.#out;
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
            const group = jobs.filter((job) => this.days[job] === from && this.#kinds[job]?.yard === yard);
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
