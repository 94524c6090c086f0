import type { IsoDate } from "../calendar/date";
import { MINUTE_SLACK, roundsNumbers } from "./numbers";
import {
  dayCost,
  lastDate,
  leftCost,
  type PlannedDay,
  type RoundsJob,
  type RoundsPlan,
  type RoundsQuestion,
} from "./question";

/**
 * A question of more yards than the search can hold, in two: the yards that lose most by waiting are searched for, and a
 * plan for those is completed by the others, each job on the day where it costs least, the dearest to leave out first. The
 * bound stays true: no plan of all costs less than one of a part, as no way gets shorter by a yard more, and each other job
 * costs at least what it costs on its best day.
 */
export function splitQuestion(
  question: RoundsQuestion,
  most: number,
): { part: RoundsQuestion; complete: (plan: RoundsPlan) => RoundsPlan } {
  const { days, jobs, stopMinutes } = question;
  const last = lastDate(days);
  const isFree = ({ only }: RoundsJob, date: IsoDate) => only === undefined || only === date;
  const least = (job: RoundsJob) =>
    Math.min(
      leftCost(job, last),
      ...days.flatMap(({ date }) => (isFree(job, date) ? [dayCost(job, date)] : [])),
    );
  const loss = new Map<string, number>();
  for (const job of jobs)
    loss.set(
      job.yard,
      (loss.get(job.yard) ?? 0) +
        (job.only === undefined ? leftCost(job, last) - least(job) : Number.MAX_SAFE_INTEGER),
    );
  const searched = new Set(
    [...loss]
      .sort(([, a], [, b]) => b - a)
      .slice(0, most)
      .map(([yard]) => yard),
  );
  const part = { ...question, jobs: jobs.filter(({ yard }) => searched.has(yard)) };
  const others = jobs
    .filter(({ yard }) => !searched.has(yard))
    .sort((a, b) => leftCost(b, last) - leftCost(a, last));
  const floor = others.reduce((sum, job) => sum + least(job), 0);
  const numbers = roundsNumbers(question);
  const placeOf = new Map(numbers.yards.map((id, index) => [id, index]));
  const jobOf = new Map(jobs.map((job) => [job.id, job]));

  return {
    part,
    complete: (plan) => {
      const held = plan.days.map(({ stops }) =>
        stops.flatMap((stop) => stop.jobs.map((id) => jobOf.get(id) as RoundsJob)),
      );
      const tourOf = (on: readonly RoundsJob[]) =>
        numbers.tourThrough([...new Set(on.map(({ yard }) => placeOf.get(yard) as number))]);
      const workOf = (on: readonly RoundsJob[]) => on.reduce((sum, { minutes }) => sum + minutes, 0);
      const left = plan.left.map((id) => jobOf.get(id) as RoundsJob);
      for (const job of others) {
        let [best, on] = [leftCost(job, last), -1];
        for (const [day, { date, minutes }] of days.entries()) {
          if (!isFree(job, date)) continue;
          const [before, then] = [held[day] ?? [], [...(held[day] ?? []), job]];
          const tour = tourOf(then);
          const spent = tour.minutes + workOf(then) + stopMinutes * tour.order.length;
          const cost = dayCost(job, date) + tour.minutes - tourOf(before).minutes;
          if (spent <= minutes + MINUTE_SLACK && cost < best) [best, on] = [cost, day];
        }
        if (on === -1) left.push(job);
        else held[on]?.push(job);
      }
      const planned = days.map(({ date }, day): PlannedDay => {
        const on = held[day] ?? [];
        const { order, minutes } = tourOf(on);
        const stops = order.map((place) => {
          const yard = numbers.yards[place] as string;
          return { yard, jobs: on.filter((job) => job.yard === yard).map(({ id }) => id) };
        });
        return { date, stops, drive: minutes, work: workOf(on) };
      });
      const objective =
        planned.reduce((sum, { drive }) => sum + drive, 0) +
        held.reduce(
          (sum, on, day) => sum + on.reduce((all, job) => all + dayCost(job, days[day]?.date ?? last), 0),
          0,
        ) +
        left.reduce((sum, job) => sum + leftCost(job, last), 0);
      const bound = Math.min(objective, plan.bound + floor);
      return {
        days: planned,
        left: left.map(({ id }) => id),
        objective,
        bound,
        gap: objective > 0 ? Math.max(0, objective - bound) / objective : 0,
      };
    },
  };
}
