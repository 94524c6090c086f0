import { daysBetween, type IsoDate } from "../calendar/date";
import type { Issue } from "../result";
import type { Place } from "./travel";

export interface RoundsQuestion {
  home: Place;
  speedKmh: number;
  /** Roads over the great circle; 1.3 unless given. */
  detour?: number | undefined;
  /** Overhead at each yard visited, minutes. */
  stopMinutes: number;
  /** Days that can be worked, with their minutes; home to home. */
  days: readonly { date: IsoDate; minutes: number }[];
  /** A yard without a place is an island: so far from home as is typical, and reached from there only. */
  yards: readonly { id: string; at?: Place | undefined }[];
  jobs: readonly RoundsJob[];
}

export interface RoundsJob {
  id: string;
  yard: string;
  minutes: number;
  windowStart: IsoDate;
  due: IsoDate;
  /** 1 unless given: 2 under a vet's plan, 1.5 before a show. */
  weight?: number | undefined;
  /** Pinned: on this day or left out, on no other. */
  only?: IsoDate | undefined;
  /** Jobs at one yard that share this go together: on one day, or left out together. */
  with?: string | undefined;
  /** The jobs that this one stands for; it costs what they cost. */
  parts?: readonly RoundsJob[] | undefined;
}

export interface PlannedDay {
  date: IsoDate;
  /** Yards in the order of the shortest way, each with its jobs. */
  stops: { yard: string; jobs: string[] }[];
  /** Minutes on the road and at work. */
  drive: number;
  work: number;
}

export interface RoundsPlan {
  days: PlannedDay[];
  /** Jobs that found no day. */
  left: string[];
  objective: number;
  /** No plan costs less than this. */
  bound: number;
  /** (objective - bound) / objective; 0 where the plan is proven the best. */
  gap: number;
}

/** Costs, in minutes of driving that they outweigh. Source: assumption, because a day late is worth a short detour. */
const LATE_A_DAY = 20;
const EARLY_A_DAY = 2;
const LEFT_OUT = 500;

/** What a job costs on a day: by weight for each day after it is due, a little for each day before its window opens. */
export const dayCost = ({ due, windowStart, weight = 1, parts }: RoundsJob, date: IsoDate): number =>
  parts
    ? parts.reduce((sum, part) => sum + dayCost(part, date), 0)
    : LATE_A_DAY * weight * Math.max(0, daysBetween(due, date)) +
      EARLY_A_DAY * Math.max(0, daysBetween(date, windowStart));

/** What a job costs that is left out: the more, the later it will be on the last planned day. */
export const leftCost = ({ due, weight = 1, parts }: RoundsJob, lastDay: IsoDate): number =>
  parts
    ? parts.reduce((sum, part) => sum + leftCost(part, lastDay), 0)
    : weight * (LEFT_OUT + LATE_A_DAY * Math.max(0, daysBetween(due, lastDay)));

/** The last of the days, "" without any. */
export const lastDate = (days: readonly { date: IsoDate }[]): IsoDate =>
  days.reduce((last, { date }) => (date > last ? date : last), "");

/** The search keeps sets of yards as bits of one number: of more yards a part is searched for. */
export const MOST_SEARCHED = 30;

/** What is wrong with a question, each with its place. */
export function issuesOf({ speedKmh, days, yards, jobs }: RoundsQuestion): Issue[] {
  const issues: Issue[] = [];
  const say = (code: string, path: string, message: string) => issues.push({ code, path, message });
  if (!(speedKmh > 0)) say("not-positive", "speedKmh", "A speed is more than 0 km/h.");
  const twice = (names: readonly string[], what: string) =>
    names.forEach((name, index) => {
      if (names.indexOf(name) !== index) say("double", `${what}.${index}`, `“${name}” stands there twice.`);
    });
  twice(
    days.map(({ date }) => date),
    "days",
  );
  twice(
    yards.map(({ id }) => id),
    "yards",
  );
  twice(
    jobs.map(({ id }) => id),
    "jobs",
  );
  jobs.forEach(({ yard, minutes }, index) => {
    if (!yards.some(({ id }) => id === yard))
      say("unknown-yard", `jobs.${index}.yard`, `There is no yard called “${yard}”.`);
    if (!(minutes >= 0)) say("not-positive", `jobs.${index}.minutes`, "Minutes are 0 or more.");
  });
  return issues;
}
