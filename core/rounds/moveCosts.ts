import { daysBetween, type IsoDate } from "../calendar/date";
import type { Placed } from "./layout";
import { roundsNumbers } from "./numbers";
import type { Planning, PlanningJob } from "./planning";
import { dayCost, lastDate, leftCost } from "./question";

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
  const placeOf = new Map(numbers.yards.map((id, index) => [id, index]));
  const last = lastDate(plan.days);
  const moved = plan.jobs.filter(({ horse }) => horses.includes(horse.id));
  const placesOf = (jobs: readonly PlanningJob[]) => [
    ...new Set(jobs.map(({ yard }) => placeOf.get(yard.id) as number)),
  ];
  const jobsOn = (date: IsoDate | undefined, jobs: readonly PlanningJob[]) =>
    jobs.filter(({ horse }) => date !== undefined && placed[horse.id] === date);
  const roadOf = (jobs: readonly PlanningJob[]) => numbers.tourThrough(placesOf(jobs)).minutes;
  const staying = plan.jobs.filter(({ horse }) => !horses.includes(horse.id));
  const own = (job: PlanningJob, date: IsoDate | undefined) => {
    const facts = { ...job, id: job.horse.id, yard: job.yard.id };
    return date === undefined ? leftCost(facts, last) : dayCost(facts, date);
  };
  const lateOn = (job: PlanningJob, date: IsoDate | undefined) =>
    Math.max(0, daysBetween(job.due, date ?? last));
  // Without these horses: what leaving saves.
  const saved = plan.days.reduce(
    (sum, { date }) => sum + roadOf(jobsOn(date, plan.jobs)) - roadOf(jobsOn(date, staying)),
    0,
  );
  return [...plan.days.map(({ date }) => date), undefined].map((date): MoveCost => {
    const without = jobsOn(date, staying);
    const then = date === undefined ? [] : [...without, ...moved];
    const road = roadOf(then);
    const drive = road - roadOf(without) - saved;
    const sum = (of: (job: PlanningJob, on: IsoDate | undefined) => number) =>
      moved.reduce((total, job) => total + of(job, date) - of(job, placed[job.horse.id]), 0);
    const work = [...without, ...moved].reduce((total, { minutes }) => total + minutes, 0);
    const day = plan.days.find((one) => one.date === date);
    const spent = road + work + plan.question.stopMinutes * placesOf(then).length;
    return {
      date,
      drive,
      late: sum(lateOn),
      over: day ? Math.max(0, spent - day.minutes) : 0,
      cost: drive + sum(own),
    };
  });
}
