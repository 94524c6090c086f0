import type { Solver } from "../math/programme";
import { ok, type Result } from "../result";
import { costOf, type Assignment } from "./board";
import { goodAssignment } from "./improve";
import { divedPlan, freshLoads } from "./dive";
import { roundsNumbers, type RoundsNumbers } from "./numbers";
import { seededRandom } from "../math/random";
import { assignmentOf, loadsOf } from "./assigned";
import { breeding } from "./breed";
import { joined } from "./together";
import { provenBound } from "./prove";
import { splitQuestion } from "./many";
import { issuesOf, MOST_SEARCHED, type PlannedDay, type RoundsPlan, type RoundsQuestion } from "./question";
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

/** Rounds of taking out and putting back: before the proof begins, for what the proof shows. */
const RECREATED = 10_000;
/** No more of them than so many for each job: a round of few is settled soon. */
const RECREATED_A_JOB = 200;
const OFFERED = 5000;
/** The same for the plan that the relaxed one led to. */
const DIVED = 2000;
/** So many jobs are hardly ever proven: plans are bred first. */
const MANY_JOBS = 80;
/** When so many plans in a row were no better, no more are bred. */
const MOST_IDLE = 500;
/** So few need no breeding; between the two so many plans are bred. */
const FEW_JOBS = 20;
const BRED_FEW = 24;
/** So much of the time goes to breeding before the bound is raised, and of the rest before it is raised further. */
const BRED_FIRST = 0.4;
const BRED_BETWEEN = 0.4;
/** A plan that is as near to the best as this is let stand, where there is no proof. */
const CLOSE_ENOUGH = 0.01;
/** How long the solver may look for a whole plan in the last loads, s. */
const WHOLE_SECONDS = 0.5;

/**
 * Jobs on days so that driving, lateness, earliness and what is left out cost least. A good plan is found by moving jobs
 * about and from the relaxed plan over day-loads with exact tours; then the bound is raised until the two meet. Where time
 * runs out the gap says how far they lie apart.
 *
 * Errors: `unknown-yard`, `double` for two jobs or days of one name, `not-positive`. Any number of yards.
 */
export function planRounds(asked: RoundsQuestion, solve: Solver, watch: RoundsWatch): Result<RoundsPlan> {
  const issues = issuesOf(asked);
  if (issues.length > 0) return { ok: false, issues };
  const { question, apart } = joined(asked);
  const isLarge = new Set(question.jobs.map(({ yard }) => yard)).size > MOST_SEARCHED;
  const { part, complete } = isLarge
    ? splitQuestion(question, MOST_SEARCHED)
    : { part: question, complete: (plan: RoundsPlan) => plan };
  const numbers = roundsNumbers(part);
  const finished = (plan: RoundsPlan) => apart(complete(plan));
  if (numbers.kindOf.length === 0) return ok(finished(planOf(part, numbers, [], 0)));
  const told = { ...watch, report: (best: RoundsPlan) => watch.report?.(finished(best)) };
  const { best, bound } = search(part, numbers, solve, told);
  return ok(finished(planOf(part, numbers, best, bound)));
}

/** The best assignment found, and what no other costs less than. */
function search(
  question: RoundsQuestion,
  numbers: RoundsNumbers,
  solve: Solver,
  watch: RoundsWatch,
): { best: Assignment; bound: number } {
  const late = () => watch.elapsed() > watch.seconds;
  const atMost = (rounds: number) => Math.min(rounds, RECREATED_A_JOB * numbers.kindOf.length);
  const table = new LoadTable();
  const met = (days: Assignment) => {
    for (const load of loadsOf(numbers, days)) table.addNew(load);
  };
  let best = goodAssignment(numbers, atMost(RECREATED), { met, late });
  met(best);
  let objective = costOf(numbers, best);
  let bound = 0;
  const say = () => watch.report?.(planOf(question, numbers, best, Math.max(0, Math.min(bound, objective))));
  const raise = (to: number) => {
    if (to <= bound) return;
    bound = to;
    say();
  };
  const close = () => bound >= objective * (1 - CLOSE_ENOUGH);
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
  const bred = breeding(numbers, table, root, seededRandom(numbers.kindOf.length), late);
  /** Breeds in so much of the time that is left. */
  const breed = (part: number) => {
    const until = watch.elapsed() + part * (watch.seconds - watch.elapsed());
    for (let idle = 0; idle < MOST_IDLE && !close() && watch.elapsed() < until;)
      idle = take(bred()) ? 0 : idle + 1;
  };
  const many = numbers.kindOf.length > MANY_JOBS;
  if (many) breed(BRED_FIRST);
  else {
    offer(divedPlan(numbers, table, root, late), DIVED);
    const plans = numbers.kindOf.length > FEW_JOBS ? BRED_FEW : 0;
    for (let plan = 0; plan < plans && !late(); plan++) take(bred());
  }
  raise(
    provenBound(numbers, root, {
      best: () => objective,
      offer: (loads) => offer(loads, OFFERED),
      better: () => {
        if (many) breed(BRED_BETWEEN);
      },
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
  breed(1);
  return { best, bound: bound >= objective - SAME ? objective : bound };
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
