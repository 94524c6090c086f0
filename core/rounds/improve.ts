/** What the search needs to know of a round, in numbers: jobs and days by their place in the list. */
export interface RoundsNumbers {
  /** Minutes of a day that a set of yards takes before any job: its tour and its stops; and its tour alone. */
  spent: (mask: number) => number;
  drive: (mask: number) => number;
  have: readonly number[];
  jobs: readonly { bit: number; minutes: number; onDay: readonly number[]; left: number }[];
}

/** A day for each job, by number; the number of days for a job that is left out. */
export type Assignment = number[];

/** The cost of an assignment in the plan's own terms; infinite where a day is too short. */
export function costOf({ spent, drive, have, jobs }: RoundsNumbers, days: Assignment): number {
  const masks = have.map(() => 0);
  const work = have.map(() => 0);
  let cost = 0;
  jobs.forEach((job, index) => {
    const day = days[index] ?? have.length;
    if (day === have.length) cost += job.left;
    else {
      masks[day] = (masks[day] ?? 0) | job.bit;
      work[day] = (work[day] ?? 0) + job.minutes;
      cost += job.onDay[day] ?? 0;
    }
  });
  for (const [day, minutes] of have.entries()) {
    const mask = masks[day] ?? 0;
    if (mask > 0 && spent(mask) + (work[day] ?? 0) > minutes + 1e-9) return Number.POSITIVE_INFINITY;
    cost += drive(mask);
  }
  return cost;
}

/**
 * A good assignment without proof: dearest jobs first, each where it costs least, then single jobs, all jobs of a yard's
 * day, and pairs of jobs moved as long as anything gets cheaper. The same numbers give the same plan.
 */
export function goodAssignment(numbers: RoundsNumbers): Assignment {
  const { have, jobs } = numbers;
  const out = have.length;
  let days: Assignment = jobs.map(() => out);
  let best = costOf(numbers, days);
  const take = (next: Assignment): boolean => {
    const cost = costOf(numbers, next);
    if (cost >= best - 1e-9) return false;
    [days, best] = [next, cost];
    return true;
  };
  const dearest = jobs.map((_, index) => index).sort((a, b) => (jobs[b]?.left ?? 0) - (jobs[a]?.left ?? 0));
  for (const index of dearest) for (let day = 0; day < out; day++) take(days.with(index, day));
  for (let better = true; better;) {
    better = false;
    for (const index of dearest)
      for (let day = 0; day <= out; day++) better = take(days.with(index, day)) || better;
    for (const { bit } of jobs)
      for (let from = 0; from <= out; from++)
        for (let to = 0; to <= out; to++)
          better =
            take(days.map((day, index) => (day === from && jobs[index]?.bit === bit ? to : day))) || better;
    for (let a = 0; a < jobs.length; a++)
      for (let b = a + 1; b < jobs.length; b++) {
        const [one, other] = [days[a] ?? out, days[b] ?? out];
        if (one !== other) better = take(days.with(a, other).with(b, one)) || better;
      }
  }
  return days;
}
