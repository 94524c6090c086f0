import type { Solver } from "../math/programme";
import { ok, type Result } from "../result";
import { costOf, goodAssignment, type Assignment } from "./improve";
import { divedPlan } from "./dive";
import { loadFrom, FEW_YARDS, type DayLoad } from "./loads";
import {
  ANY_DAY,
  reducedCost,
  relaxedPlan,
  wholePlan,
  type Branch,
  type Relaxed,
  type Watch,
} from "./master";
import { roundsNumbers, type RoundsNumbers } from "./numbers";
import { seededRandom } from "../math/random";
import { partOf } from "./part";
import { joined } from "./together";
import { LoadPool } from "./pool";
import { issuesOf, type PlannedDay, type RoundsPlan, type RoundsQuestion } from "./question";

/** How long the search may take, and who is told of the best plan so far and of what no plan costs less than. */
export interface RoundsWatch extends Watch {
  report?: (best: RoundsPlan) => void;
}

/** Costs closer than this are one and the same, minutes. */
const SAME = 1e-6;
/** Rounds of taking out and putting back before the proof begins. */
const RECREATED = 10_000;
/** The same for a plan that the relaxed one led to, and for one that is to be bettered. */
const DIVED = 2000;
const AGAIN = 3000;
/** Some days of a round with many yards are planned for no longer than this at a time, s. */
const PART_SECONDS = 1.5;
/** When so many parts in a row were as good as they could be, the search goes on to branching. */
const MOST_IDLE = 30;
/** A plan for many yards that is as near to the best as this is let stand. */
const CLOSE_ENOUGH = 0.01;
/** How long the solver may look for whole plans in the known loads: a part of the time gone, and no less than this, s. */
const WHOLE_PART = 0.15;
const WHOLE_LEAST = 0.3;
/** Loads that cost more than this too much are not taken along into a branch; they can be found again, minutes. */
const DEAR = 100;
/** The same while a branch is only tried. */
const DEAR_TRIED = 25;
/** So many of each kind of branch are tried before one is taken. */
const TRIED = 2;
/** A whole plan is looked for from every so manieth branch. */
const DIVE_EVERY = 8;
/** A branch that raises the bound by nothing counts as this, minutes. */
const LEAST_RAISED = 1e-3;

/**
 * Jobs on days so that driving, lateness, earliness and what is left out cost least. A good plan is found by moving jobs
 * about; then the bound is raised by column generation over day-loads with exact tours, the known loads are put together
 * as well as can be, and what lies between is searched by branching (on how often a yard is visited, in all and on a day,
 * then on who is done there) until plan and bound meet. Where time runs out the gap says how far the two lie apart.
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
  const begun = watch.elapsed();
  const late = () => watch.elapsed() > watch.seconds;
  const pool = new LoadPool();
  const keep = (days: Assignment) => {
    for (const load of loadsOf(numbers, days)) pool.keep(load);
  };
  let best = goodAssignment(numbers, start ? AGAIN : RECREATED, { start, met: keep, late });
  keep(best);
  let objective = costOf(numbers, best);
  let bound = 0;
  const say = () => watch.report?.(planOf(question, numbers, best, Math.max(0, Math.min(bound, objective))));
  const take = (found: Assignment) => {
    const cost = costOf(numbers, found);
    if (!(cost < objective - SAME)) return false;
    [best, objective] = [found, cost];
    keep(best);
    say();
    return true;
  };
  const offer = (loads: readonly DayLoad[], rounds = 0) =>
    take(goodAssignment(numbers, rounds, { start: assignmentOf(numbers, loads), met: keep, late }));
  say();
  // No plan that is better than the best holds a load that is dearer at the first prices than the gap they leave.
  let [prices, first]: [readonly number[], number] = [[], 0];
  let spent = 0;
  const put = () => {
    const from = watch.elapsed();
    const seconds = Math.min(WHOLE_LEAST + WHOLE_PART * (from - begun) - spent, watch.seconds - from);
    if (seconds < WHOLE_LEAST) return;
    const near = pool.loads.filter((load) => reducedCost(numbers, [], load, prices) < objective - first);
    const loads = wholePlan(numbers, near, solve, seconds);
    spent += watch.elapsed() - from;
    if (loads) offer(loads);
  };

  interface Node {
    branches: Branch[];
    relaxed: Relaxed;
  }
  const relax = (branches: Branch[], from?: Relaxed, known = false): Node => ({
    branches,
    relaxed: relaxedPlan(numbers, pool, branches, watch, {
      enough: objective - SAME,
      ...(from && { from, dear: Math.min(known ? DEAR_TRIED : DEAR, objective - from.bound) }),
      known,
    }),
  });
  const root = relax([]);
  const open: Node[] = [root];
  bound = Math.max(0, root.relaxed.bound);
  [prices, first] = [root.relaxed.prices, root.relaxed.bound];
  say();
  if (bound < objective - SAME && !late()) offer(divedPlan(numbers, pool.loads, root.relaxed, watch), DIVED);
  if (bound < objective - SAME && !late()) put();
  // With many yards branching comes to little in the time there is: some days at a time are planned as well as can be.
  const random = seededRandom(numbers.kindOf.length);
  const close = () => bound >= objective * (1 - CLOSE_ENOUGH);
  for (let idle = 0; numbers.yards.length > FEW_YARDS && idle < MOST_IDLE && !close() && !late();) {
    const part = partOf(question, numbers, best, random);
    const seconds = Math.min(watch.seconds, watch.elapsed() + PART_SECONDS);
    const found = search(
      part.question,
      part.numbers,
      solve,
      { elapsed: watch.elapsed, seconds },
      part.assigned,
    );
    idle = take(part.whole(found.best)) ? 0 : idle + 1;
  }
  let nodes = 0;
  let seen = pool.loads.length;
  for (;;) {
    open.sort((a, b) => b.relaxed.bound - a.relaxed.bound);
    const node = open.pop();
    const least = node ? node.relaxed.bound : objective;
    if (least > bound) {
      bound = least;
      say();
    }
    if (!node || least >= objective - SAME || late()) break;
    const splits = fractional(numbers, node.relaxed);
    if (splits.length === 0) {
      offer(node.relaxed.parts.map(({ load }) => load));
      // A relaxed plan without parts is a plan; if its bound was not reached, time was up.
      if (least < objective - SAME) break;
      continue;
    }
    const halves = mostRaised(splits.map(halvesOf), ({ branch }) =>
      splits.length === 1
        ? 0
        : relax([...node.branches, branch], node.relaxed, true).relaxed.cost - node.relaxed.cost,
    );
    nodes += 1;
    if (nodes % DIVE_EVERY === 0) offer(divedPlan(numbers, pool.loads, node.relaxed, watch), DIVED);
    for (const { branch } of halves) {
      const child = relax([...node.branches, branch], node.relaxed);
      // No child is cheaper than its parent, whatever time allowed to prove.
      open.push({ ...child, relaxed: { ...child.relaxed, bound: Math.max(child.relaxed.bound, least) } });
    }
    if (pool.loads.length > seen * 1.5) {
      seen = pool.loads.length;
      put();
    }
  }
  return { best, bound: bound >= objective - SAME ? objective : bound };
}

type Split = Pick<Branch, "what" | "index" | "day"> & { part: number };

/** The two ways that a part can go: down to the whole number below, up to the one above. */
const halvesOf = ({ part, ...where }: Split): { branch: Branch }[] => [
  { branch: { ...where, sense: "<=", bound: Math.floor(part) } },
  { branch: { ...where, sense: ">=", bound: Math.ceil(part) } },
];

/** The pair whose halves both cost most more (strong branching, Applegate and others 1995): the product of the two. */
function mostRaised<Half>(
  pairs: readonly (readonly Half[])[],
  more: (half: Half) => number,
): readonly Half[] {
  let [best, most]: [readonly Half[], number] = [pairs[0] ?? [], -1];
  if (pairs.length > 1)
    for (const pair of pairs) {
      const raised = pair.reduce((product, half) => product * Math.max(LEAST_RAISED, more(half)), 1);
      if (raised > most) [best, most] = [pair, raised];
    }
  return best;
}

/**
 * What could be branched on: how many are left out; else how often a yard is visited in all and on a day, the nearest to
 * half first; else the kinds of jobs done in parts.
 */
function fractional(numbers: RoundsNumbers, { parts, out }: Relaxed): Split[] {
  if (Math.abs(out - Math.round(out)) > 1e-5) return [{ what: "out", index: 0, day: 0, part: out }];
  const sums = new Map<string, Split>();
  const add = (what: Branch["what"], index: number, day: number, part: number) => {
    const key = `${what}.${index}.${day}`;
    const sum = sums.get(key) ?? { what, index, day, part: 0 };
    sum.part += part;
    sums.set(key, sum);
  };
  for (const { load, part } of parts) {
    numbers.yards.forEach((_, yard) => {
      if (!(load.mask & (1 << yard))) return;
      add("yard", yard, load.day, part);
      add("yard", yard, ANY_DAY, part);
    });
    for (const [kind, count] of load.taken) add("kind", kind, load.day, count * part);
  }
  const off = ({ part }: Split) => Math.abs(part - Math.round(part));
  const split = [...sums.values()].filter((one) => off(one) > 1e-5).sort((a, b) => off(b) - off(a));
  const yards = split.filter(({ what }) => what === "yard");
  const often = yards.filter(({ day }) => day === ANY_DAY);
  const once = yards.filter(({ day }) => day !== ANY_DAY);
  return yards.length > 0 ? [...often.slice(0, TRIED), ...once.slice(0, TRIED)] : split.slice(0, TRIED);
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

/** A day for each job from the loads of a plan. */
function assignmentOf(numbers: RoundsNumbers, loads: readonly DayLoad[]): Assignment {
  const days: Assignment = numbers.kindOf.map(() => numbers.have.length);
  const next = numbers.kinds.map(() => 0);
  const unlike = new Map(loads.map((load) => [load.name, load]));
  for (const { day, taken } of unlike.values())
    for (const [kind, count] of taken)
      for (let index = 0; index < count; index++) {
        const job = numbers.kinds[kind]?.jobs[next[kind] ?? 0];
        next[kind] = (next[kind] ?? 0) + 1;
        if (job !== undefined) days[job] = day;
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
