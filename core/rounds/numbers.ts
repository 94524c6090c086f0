import { dayCost, lastDate, leftCost, type RoundsQuestion } from "./question";
import { tourFinder, toursThrough, type Tour } from "./tour";
import { driveMinutes, type Place } from "./travel";

/** Jobs that no plan can tell apart: same yard, minutes and costs. */
export interface JobKind {
  /** By number among the yards that have jobs. */
  yard: number;
  minutes: number;
  /** What one of them costs on each day; infinite where it is pinned to another. */
  onDay: readonly number[];
  left: number;
  /** The jobs, by their number in the question. */
  jobs: readonly number[];
}

/** A round in numbers: yards, days and jobs by their place in a list. */
export interface RoundsNumbers {
  yards: readonly string[];
  home: readonly number[];
  between: readonly (readonly number[])[];
  /** By the set of yards as bits: for the search, which never has more than 30 of them. */
  tour: (mask: number) => Tour;
  /** By the yards' numbers, however many there are. */
  tourThrough: (places: readonly number[]) => Tour;
  stopMinutes: number;
  have: readonly number[];
  kinds: readonly JobKind[];
  /** Each job's kind. */
  kindOf: readonly number[];
}

/** From home to a yard whose place is not known. Source: assumption, a usual way on a country round. */
export const ISLAND_MINUTES = 30;

/** A minute is not fought over by rounding: what a day holds may be passed by this much, minutes. */
export const MINUTE_SLACK = 1e-9;

/** The round in numbers. Only yards with jobs are in it. */
export function roundsNumbers(question: RoundsQuestion): RoundsNumbers {
  const { home, speedKmh, detour, stopMinutes, days, jobs } = question;
  const yards = question.yards.filter(({ id }) => jobs.some(({ yard }) => yard === id));
  const minutes = (from: Place, to: Place) => driveMinutes(from, to, speedKmh, detour);
  const out = yards.map(({ at }) => (at ? minutes(home, at) : ISLAND_MINUTES));
  const between = yards.map(({ at }, from) =>
    yards.map((other, to) =>
      from === to ? 0 : at && other.at ? minutes(at, other.at) : (out[from] ?? 0) + (out[to] ?? 0),
    ),
  );
  const lastDay = lastDate(days);
  const kinds = new Map<string, JobKind & { jobs: number[] }>();
  const kindOf = jobs.map((job, index): number => {
    const facts = {
      yard: yards.findIndex(({ id }) => id === job.yard),
      minutes: job.minutes,
      onDay: days.map(({ date }) =>
        job.only === undefined || job.only === date ? dayCost(job, date) : Number.POSITIVE_INFINITY,
      ),
      left: leftCost(job, lastDay),
    };
    const key = JSON.stringify([facts, job.only]);
    const kind = kinds.get(key) ?? { ...facts, jobs: [] };
    kinds.set(key, kind);
    kind.jobs.push(index);
    return [...kinds.keys()].indexOf(key);
  });
  return {
    yards: yards.map(({ id }) => id),
    home: out,
    between,
    tour: tourFinder(out, between),
    tourThrough: toursThrough(out, between),
    stopMinutes,
    have: days.map((day) => day.minutes),
    kinds: [...kinds.values()],
    kindOf,
  };
}

/** How many places a set holds. */
export function bitCount(mask: number): number {
  let count = 0;
  for (let left = mask; left > 0; left &= left - 1) count += 1;
  return count;
}
