import type { Solver } from "../math/programme";
import { ok, type Result } from "../result";
import { costOf, goodAssignment, type Assignment } from "./improve";
import { divedPlan, freshLoads } from "./dive";
import { loadFrom } from "./loads";
import { roundsNumbers, type RoundsNumbers } from "./numbers";
import { seededRandom } from "../math/random";
import { FEW_YARDS, partOf } from "./part";
import { joined } from "./together";
import { provenBound } from "./prove";
import { issuesOf, type PlannedDay, type RoundsPlan, type RoundsQuestion } from "./question";
import { relaxedPlan } from "./relaxed";
import { LoadTable, type DayLoad } from "./table";
import { SAME } from "./tree";
import { wholePlan } from "./whole";

/** How long the search may take, and who is told of the best plan so far and of what no plan costs less than. */
export interface RoundsWatch {
  /** Seconds since the start. */
  elapsed: () => number;
  seconds: number;
  report?: (best: RoundsPlan) => void;
}

/** Rounds of taking out and putting back: before the proof begins, for what the proof shows, for days planned anew. */
const RECREATED = 10_000;
/** No more of them than so many for each job: a round of few is settled soon. */
const RECREATED_A_JOB = 200;
const OFFERED = 5000;
const AGAIN = 3000;
/** The same for the plan that the relaxed one led to; with many jobs it pays to stay with that. */
const DIVED = 2000;
const DIVED_MANY = 60_000;
const MANY_JOBS = 80;
/** Some days of a round with many yards are planned for no longer than this at a time, s. */
const PART_SECONDS = 2;
/** When so many parts in a row were as good as they could be, no more are tried. */
const MOST_IDLE = 30;
/** So much of the time goes to that before the bound is raised. */
const PARTS_FIRST = 0.45;
/** A plan for many yards that is as near to the best as this is let stand. */
const CLOSE_ENOUGH = 0.01;
/** How long the solver may look for a whole plan in the last loads, s. */
const WHOLE_SECONDS = 0.5;

/**
 * Jobs on days so that driving, lateness, earliness and what is left out cost least. A good plan is found by moving jobs
 * about and from the relaxed plan over day-loads with exact tours; then the bound is raised until the two meet. Where time
 * runs out the gap says how far they lie apart.
 *
 * Errors: `unknown-yard`, `double` for two jobs or days of one name, `not-positive`; `too-many` yards.
 */
export function planRounds(asked: RoundsQuestion, solve: Solver, watch: RoundsWatch): Result<RoundsPlan> {
  const issues = issuesOf(asked);
  if (issues.length > 0) return { ok: false, issues };
  const { question, apart } = joined(asked);
  const numbers = roundsNumbers(question);
  if (numbers.kindOf.length === 0) return ok(planOf(question, numbers, [], 0));
  const told = { ...watch, report: (best: RoundsPlan) => watch.report?.(apart(best)) };
  const { best, bound } = search(question, numbers, solve, told);
  return ok(apart(planOf(question, numbers, best, bound)));
}

/** The best assignment found, bettered from `start` when it is given, and what no other costs less than. */
function search(
  question: RoundsQuestion,
  numbers: RoundsNumbers,
  solve: Solver,
  watch: RoundsWatch,
  start?: Assignment,
): { best: Assignment; bound: number } {
  const late = () => watch.elapsed() > watch.seconds;
  const atMost = (rounds: number) => Math.min(rounds, RECREATED_A_JOB * numbers.kindOf.length);
  const table = new LoadTable();
  const met = (days: Assignment) => {
    for (const load of loadsOf(numbers, days)) table.addNew(load);
  };
  let best = goodAssignment(numbers, atMost(start ? AGAIN : RECREATED), { start, met, late });
  met(best);
  let objective = costOf(numbers, best);
  let bound = 0;
  const say = () => watch.report?.(planOf(question, numbers, best, Math.max(0, Math.min(bound, objective))));
  const raise = (to: number) => {
    if (to <= bound) return;
    bound = to;
    say();
  };
  const take = (found: Assignment) => {
    const cost = costOf(numbers, found);
    if (!(cost < objective - SAME)) return false;
    [best, objective] = [found, cost];
    say();
    return true;
  };
  const offer = (loads: readonly DayLoad[], rounds: number) =>
    take(goodAssignment(numbers, atMost(rounds), { start: assignmentOf(numbers, loads), late }));
  say();
  const nothing = {
    limits: [],
    prices: numbers.kinds.map(({ left }) => left),
    active: [...Array(table.count).keys()],
  };
  const root = relaxedPlan(numbers, table, nothing, { fresh: freshLoads(numbers, table), late });
  if (late()) return { best, bound };
  offer(divedPlan(numbers, table, root, late), numbers.kindOf.length > MANY_JOBS ? DIVED_MANY : DIVED);
  const random = seededRandom(numbers.kindOf.length);
  const close = () => bound >= objective * (1 - CLOSE_ENOUGH);
  /** With many yards some days at a time are planned as well as can be. */
  const betterParts = (until: number) => {
    for (let idle = 0; numbers.yards.length > FEW_YARDS && idle < MOST_IDLE && !close();) {
      if (watch.elapsed() > until) return;
      const part = partOf(question, numbers, best, random);
      const seconds = Math.min(until, watch.elapsed() + PART_SECONDS);
      const found = search(
        part.question,
        part.numbers,
        solve,
        { elapsed: watch.elapsed, seconds },
        part.assigned,
      );
      idle = take(part.whole(found.best)) ? 0 : idle + 1;
    }
  };
  raise(
    provenBound(numbers, root, {
      best: () => objective,
      offer: (loads) => offer(loads, OFFERED),
      better: () => betterParts(watch.elapsed() + PARTS_FIRST * (watch.seconds - watch.elapsed())),
      late,
      report: raise,
      few: (loads) =>
        wholePlan(
          numbers,
          Array.from({ length: loads.count }, (_, load) => loads.load(load)),
          solve,
          WHOLE_SECONDS,
        ),
    }),
  );
  betterParts(watch.seconds);
  return { best, bound: bound >= objective - SAME ? objective : bound };
}

/** The loads of an assignment, day by day. */
function loadsOf(numbers: RoundsNumbers, days: Assignment): DayLoad[] {
  return [...numbers.have.keys()].flatMap((day) => {
    const counts = new Map<number, number>();
    let mask = 0;
    days.forEach((one, job) => {
      const kind = numbers.kindOf[job] ?? 0;
      if (one !== day) return;
      counts.set(kind, (counts.get(kind) ?? 0) + 1);
      mask |= 1 << (numbers.kinds[kind]?.yard ?? 0);
    });
    return mask === 0 ? [] : [loadFrom(numbers, day, mask, [...counts])];
  });
}

/** A day for each job from some loads: of those of one day the first, of those that do a job twice likewise. */
function assignmentOf(numbers: RoundsNumbers, loads: readonly DayLoad[]): Assignment {
  const days: Assignment = numbers.kindOf.map(() => numbers.have.length);
  const next = numbers.kinds.map(() => 0);
  const filled = new Set<number>();
  for (const { day, taken } of loads) {
    if (filled.has(day)) continue;
    filled.add(day);
    for (const [kind, count] of taken)
      for (let index = 0; index < count; index++) {
        const job = numbers.kinds[kind]?.jobs[next[kind] ?? 0];
        next[kind] = (next[kind] ?? 0) + 1;
        if (job !== undefined) days[job] = day;
      }
  }
  return days;
}

function planOf(
  { days, jobs }: RoundsQuestion,
  numbers: RoundsNumbers,
  assigned: Assignment,
  bound: number,
): RoundsPlan {
  const objective = costOf(numbers, assigned);
  const loads = new Map(loadsOf(numbers, assigned).map((load) => [load.day, load]));
  const yardOf = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.yard;
  return {
    days: days.map(({ date }, day): PlannedDay => {
      const taken = [...jobs.keys()].filter((job) => assigned[job] === day);
      const { order, minutes } = numbers.tour(loads.get(day)?.mask ?? 0);
      return {
        date,
        stops: order.map((place) => ({
          yard: numbers.yards[place] ?? "",
          jobs: taken.filter((job) => yardOf(job) === place).map((job) => jobs[job]?.id ?? ""),
        })),
        drive: minutes,
        work: taken.reduce((sum, job) => sum + (jobs[job]?.minutes ?? 0), 0),
      };
    }),
    left: jobs.flatMap(({ id }, job) => (assigned[job] === days.length ? [id] : [])),
    objective,
    bound,
    gap: objective > 0 ? Math.max(0, objective - bound) / objective : 0,
  };
}
