import { daysBetween, type IsoDate } from "../calendar/date";
import type { Programme, Solver } from "../math/programme";
import { fail, ok, type Issue, type Result } from "../result";
import { costOf, goodAssignment, type Assignment, type RoundsNumbers } from "./improve";
import { allTours } from "./tour";
import { driveMinutes, type Place } from "./travel";

export interface RoundsQuestion {
  home: Place;
  speedKmh: number;
  /** Roads over the great circle; 1.3 unless given. */
  detour?: number | undefined;
  /** Overhead at each yard visited, minutes. */
  stopMinutes: number;
  /** Days that can be worked, with their minutes; home to home. */
  days: readonly { date: IsoDate; minutes: number }[];
  yards: readonly { id: string; at: Place }[];
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
}

export interface RoundsPlan {
  days: {
    date: IsoDate;
    /** Yards in the order of the shortest way, each with its jobs. */
    stops: { yard: string; jobs: string[] }[];
    /** Minutes on the road and at work. */
    drive: number;
    work: number;
  }[];
  /** Jobs that found no day. */
  left: string[];
  objective: number;
  /** No plan costs less than this. */
  bound: number;
  /** (objective - bound) / objective; 0 where the plan is proven the best. */
  gap: number;
}

/** Costs, in minutes of driving that they outweigh. Source: handbook, rounds. */
const LATE_A_DAY = 20;
const EARLY_A_DAY = 2;
const LEFT_OUT = 500;
/** Sets of yards are tried all: more than this many yards want another way. */
export const MOST_YARDS = 11;
/** How long the proof may take, s; after that a good plan and a bound stand with their gap. */
const PROOF_SECONDS = 20;

/** What a job costs on a day: by weight for each day after it is due, a little for each day before its window opens. */
export const dayCost = ({ due, windowStart, weight = 1 }: RoundsJob, date: IsoDate): number =>
  LATE_A_DAY * weight * Math.max(0, daysBetween(due, date)) +
  EARLY_A_DAY * Math.max(0, daysBetween(date, windowStart));

/** What a job costs that is left out: the more, the later it will be on the last planned day. */
export const leftCost = ({ due, weight = 1 }: RoundsJob, lastDay: IsoDate): number =>
  weight * (LEFT_OUT + LATE_A_DAY * Math.max(0, daysBetween(due, lastDay)));

/**
 * Jobs on days so that driving, lateness, earliness and what is left out cost least: a programme over every set of yards
 * a day can hold, each with its shortest tour. Proven, the bound is the objective. Where the time for the proof runs out,
 * the plan is a good one found by moving jobs about, the bound that of the programme with parts of jobs allowed, and
 * the gap says how far the two lie apart.
 *
 * Errors: `unknown-yard`, `double` for two jobs or days of one name, `not-positive`; `too-many` yards.
 */
export function planRounds(
  question: RoundsQuestion,
  solve: Solver,
  seconds: number = PROOF_SECONDS,
): Result<RoundsPlan> {
  const issues = issuesOf(question);
  if (issues.length > 0) return { ok: false, issues };
  const { home, speedKmh, detour, stopMinutes, days, jobs } = question;
  const yards = question.yards.filter(({ id }) => jobs.some(({ yard }) => yard === id));
  if (yards.length > MOST_YARDS)
    return fail("too-many", "yards", `More than ${MOST_YARDS} yards with jobs are not planned at once yet.`);
  const minutes = (from: Place, to: Place) => driveMinutes(from, to, speedKmh, detour);
  const tours = allTours(
    yards.map(({ at }) => minutes(home, at)),
    yards.map(({ at }) => yards.map((other) => minutes(at, other.at))),
  );
  const bit = new Map(yards.map(({ id }, index) => [id, 1 << index]));
  const lastDay =
    days
      .map(({ date }) => date)
      .sort()
      .at(-1) ?? "";
  const spent = (mask: number) => (tours[mask]?.minutes ?? 0) + stopMinutes * bits(mask);
  const least = yards.map(({ id }) =>
    Math.min(...jobs.filter(({ yard }) => yard === id).map((job) => job.minutes)),
  );
  const holds = (mask: number, have: number) =>
    spent(mask) + least.reduce((sum, one, index) => sum + (mask & (1 << index) ? one : 0), 0) <= have + 1e-9;

  // Variables: a set of yards on a day, a job on a day, a job left out.
  const cost: number[] = [];
  const add = (price: number): number => cost.push(price) - 1;
  const sets = days.map(({ minutes: have }) =>
    tours.flatMap((tour, mask) =>
      mask > 0 && holds(mask, have) ? [{ mask, variable: add(tour.minutes) }] : [],
    ),
  );
  const onDay = jobs.map((job) => days.map(({ date }) => add(dayCost(job, date))));
  const out = jobs.map((job) => add(leftCost(job, lastDay)));
  const rows: Programme["rows"][number][] = [];
  days.forEach(({ minutes: have }, day) => {
    const here = sets[day] ?? [];
    rows.push({ terms: here.map(({ variable }) => [variable, 1]), sense: "<=", bound: 1 });
    rows.push({
      terms: [
        ...here.map(({ mask, variable }): [number, number] => [variable, spent(mask)]),
        ...jobs.map((job, index): [number, number] => [onDay[index]?.[day] ?? 0, job.minutes]),
      ],
      sense: "<=",
      bound: have,
    });
    jobs.forEach(({ yard }, index) =>
      rows.push({
        terms: [
          [onDay[index]?.[day] ?? 0, 1],
          ...here
            .filter(({ mask }) => mask & (bit.get(yard) ?? 0))
            .map(({ variable }): [number, number] => [variable, -1]),
        ],
        sense: "<=",
        bound: 0,
      }),
    );
  });
  jobs.forEach((_, index) => {
    const terms = [...(onDay[index] ?? []), out[index] ?? 0].map((variable): [number, number] => [
      variable,
      1,
    ]);
    rows.push({ terms, sense: "=", bound: 1 });
  });
  if (cost.length === 0) return ok({ days: emptyDays(days), left: [], objective: 0, bound: 0, gap: 0 });
  const programme: Programme = {
    cost,
    rows,
    whole: true,
    most: new Map(cost.map((_, variable) => [variable, 1])),
  };
  const found = solve(programme, { seconds });
  const is = (variable: number | undefined, values: readonly number[]) =>
    variable !== undefined && Math.round(values[variable] ?? 0) === 1;
  const numbers: RoundsNumbers = {
    spent,
    drive: (mask) => tours[mask]?.minutes ?? 0,
    have: days.map((day) => day.minutes),
    jobs: jobs.map((job) => ({
      bit: bit.get(job.yard) ?? 0,
      minutes: job.minutes,
      onDay: days.map(({ date }) => dayCost(job, date)),
      left: leftCost(job, lastDay),
    })),
  };
  const assigned: Assignment =
    found.kind === "optimal"
      ? jobs.map((_, index) => {
          const day = days.findIndex((_day, number) => is(onDay[index]?.[number], found.values));
          return day === -1 ? days.length : day;
        })
      : goodAssignment(numbers);
  const objective = costOf(numbers, assigned);
  const parts = found.kind === "optimal" ? undefined : solve({ ...programme, whole: false });
  const bound = Math.min(
    objective,
    found.kind === "optimal" ? objective : parts?.kind === "optimal" ? parts.objective : 0,
  );
  return ok({
    days: days.map(({ date }, day): RoundsPlan["days"][number] => {
      const taken = jobs.filter((_, index) => assigned[index] === day);
      const mask = taken.reduce((set, { yard }) => set | (bit.get(yard) ?? 0), 0);
      const tour = tours[mask] ?? { order: [], minutes: 0 };
      return {
        date,
        stops: tour.order.map((place) => {
          const yard = yards[place]?.id ?? "";
          return { yard, jobs: taken.filter((job) => job.yard === yard).map(({ id }) => id) };
        }),
        drive: tour.minutes,
        work: taken.reduce((sum, job) => sum + job.minutes, 0),
      };
    }),
    left: jobs.filter((_, index) => assigned[index] === days.length).map(({ id }) => id),
    objective,
    bound,
    gap: objective > 0 ? (objective - bound) / objective : 0,
  });
}

const bits = (mask: number): number => {
  let count = 0;
  for (let left = mask; left > 0; left &= left - 1) count += 1;
  return count;
};

const emptyDays = (days: RoundsQuestion["days"]): RoundsPlan["days"] =>
  days.map(({ date }) => ({ date, stops: [], drive: 0, work: 0 }));

function issuesOf({ speedKmh, days, yards, jobs }: RoundsQuestion): Issue[] {
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
