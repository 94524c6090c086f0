import type { RoundsNumbers } from "./numbers";
import type { DayLoad, LoadTable } from "./table";
import { cutsPassed } from "./cuts";
import { loadFrom } from "./loads";
import type { Whole } from "./whole";
import {
  inverted,
  narrowed,
  slimmed,
  relaxedPlan,
  triedCosts,
  type Limit,
  type RelaxedPlan,
} from "./relaxed";

/** A part this near to a whole number is one. */
const WHOLE = 1e-3;
/** So many of each kind of branch are tried before one is taken. */
const TRIED = 3;
/** A branch that raises the cost by nothing counts as this, minutes. */
const LEAST_RAISED = 1e-3;
/** The loads of every so manieth branch are shown as what a plan might begin with. */
const OFFER_EVERY = 4;
/** So few loads are put together by the solver. */
const SMALL = 150;

/** A limit over the loads that count in some way. */
function limitWhere(
  table: LoadTable,
  times: (load: number) => number,
  sense: "<=" | ">=",
  bound: number,
): Limit {
  const sign = sense === "<=" ? 1 : -1;
  const loads: number[] = [];
  const counts: number[] = [];
  for (let load = 0; load < table.count; load++) {
    const count = times(load);
    if (count === 0) continue;
    loads.push(load);
    counts.push(sign * count);
  }
  return { loads: Int32Array.from(loads), times: Int8Array.from(counts), most: sign * bound };
}

/** Something that a whole plan has a whole number of, and this one a part. */
interface Split {
  /** How much a load counts. */
  times: (load: number) => number;
  part: number;
}

/**
 * What could be branched on: how many jobs are done in all; else how often a yard is visited in all and on a day, the
 * nearest to half first; else how many of a kind of job are done on a day.
 */
function splitsOf(numbers: RoundsNumbers, table: LoadTable, { parts }: RelaxedPlan): Split[] {
  const jobsOf = (load: number) => {
    let jobs = 0;
    for (let at = table.from[load] as number; at < (table.from[load + 1] as number); at++)
      jobs += table.times[at] as number;
    return jobs;
  };
  const done = parts.reduce((sum, { load, part }) => sum + part * jobsOf(load), 0);
  if (Math.abs(done - Math.round(done)) > WHOLE) return [{ times: jobsOf, part: done }];
  const sums = new Map<string, Split>();
  const add = (key: string, times: Split["times"], part: number) => {
    const sum = sums.get(key) ?? { times, part: 0 };
    sum.part += part;
    sums.set(key, sum);
  };
  const off = ({ part }: Split) => Math.abs(part - Math.round(part));
  const most = () =>
    [...sums.values()]
      .filter((one) => off(one) > WHOLE)
      .sort((a, b) => off(b) - off(a))
      .slice(0, TRIED);
  const visits = (yard: number) => (load: number) => ((table.mask[load] as number) >> yard) & 1;
  for (const { load, part } of parts)
    numbers.yards.forEach((_, yard) => {
      if (visits(yard)(load) === 1) add(`${yard}`, visits(yard), part);
    });
  const often = most();
  sums.clear();
  for (const { load, part } of parts) {
    const day = table.day[load] as number;
    numbers.yards.forEach((_, yard) => {
      if (visits(yard)(load) === 1)
        add(`${yard}.${day}`, (one) => (table.day[one] === day ? visits(yard)(one) : 0), part);
    });
  }
  const once = most();
  if (often.length + once.length > 0) return [...often, ...once];
  for (const { load, part } of parts) {
    const day = table.day[load] as number;
    for (let at = table.from[load] as number; at < (table.from[load + 1] as number); at++) {
      const kind = table.kind[at] as number;
      const count = (one: number) => {
        if (table.day[one] !== day) return 0;
        for (let own = table.from[one] as number; own < (table.from[one + 1] as number); own++)
          if (table.kind[own] === kind) return table.times[own] as number;
        return 0;
      };
      add(`${kind}.${day}`, count, part * (table.times[at] as number));
    }
  }
  return most();
}

const halvesOf = (table: LoadTable, { times, part }: Split): [Limit, Limit] => [
  limitWhere(table, times, "<=", Math.floor(part)),
  limitWhere(table, times, ">=", Math.ceil(part)),
];

/** Who is asked and told while plans are searched. */
export interface Search {
  /** What a plan must be cheaper than to be worth anything. */
  best: () => number;
  /** Is told of loads that make a plan, or might begin one, the surest first. */
  offer: (loads: readonly DayLoad[]) => void;
  /** Is told that a proof is out of reach: time for a better plan first. */
  better: () => void;
  late: () => boolean;
  /** The best plan out of few loads, if it is found in little time. */
  few: (table: LoadTable) => Whole;
  /** Is told what no plan costs less than. */
  report: (bound: number) => void;
}

/** Costs closer than this are one and the same, minutes. */
export const SAME = 1e-6;

/** The loads that a relaxed plan uses, those with the largest parts first. */
export const surest = (table: LoadTable, { parts }: RelaxedPlan): DayLoad[] =>
  [...parts].sort((a, b) => b.part - a.part).map(({ load }) => table.load(load));

/** The loads of a relaxed plan in which each day has whole jobs, though they may come from parts of several loads. */
function wholeLoads(numbers: RoundsNumbers, table: LoadTable, { parts }: RelaxedPlan): DayLoad[] {
  return [...numbers.have.keys()].flatMap((day) => {
    const counts = numbers.kinds.map(() => 0);
    for (const { load, part } of parts) {
      if (table.day[load] !== day) continue;
      for (const [kind, count] of table.load(load).taken) counts[kind] = (counts[kind] ?? 0) + part * count;
    }
    const taken = counts.flatMap((count, kind): [number, number][] =>
      Math.round(count) > 0 ? [[kind, Math.round(count)]] : [],
    );
    const mask = taken.reduce((yards, [kind]) => yards | (1 << (numbers.kinds[kind]?.yard ?? 0)), 0);
    return mask === 0 ? [] : [loadFrom(numbers, day, mask, taken)];
  });
}

/**
 * Searches all whole plans out of a table's loads that are cheaper than the best, by branching; what none of them costs
 * less than, the best at most. Of some branches the one is taken that raises the cost most on both its sides (strong
 * branching, Applegate and others 1995).
 */
export function branched(
  numbers: RoundsNumbers,
  all: LoadTable,
  root: RelaxedPlan,
  { best, offer, late, report, few }: Omit<Search, "better">,
): number {
  const open = [{ table: all, plan: root }];
  let bound = root.cost;
  for (let nodes = 0; ; nodes++) {
    open.sort((a, b) => b.plan.cost - a.plan.cost);
    const node = open.pop();
    if (!node || node.plan.cost >= best() - SAME) return best();
    if (node.plan.cost > bound) {
      bound = node.plan.cost;
      report(bound);
    }
    if (late()) return bound;
    const { table } = node;
    if (table.count <= SMALL) {
      const { kind, loads } = few(table);
      offer(loads);
      if (kind === "best") continue;
    }
    const plan = inverted(numbers, table, node.plan);
    const splits = splitsOf(numbers, table, plan);
    if (splits.length === 0) offer(wholeLoads(numbers, table, plan));
    else if (nodes % OFFER_EVERY === 0) offer(surest(table, plan));
    if (plan.cost >= best() - SAME) return best();
    // A relaxed plan without parts is a plan, and was taken; if it was not, it is not known what it lacks.
    if (splits.length === 0) return bound;
    const tried = triedCosts(numbers, table, plan);
    const raised = (limit: Limit) => Math.max(LEAST_RAISED, Math.min(best(), tried(limit)) - plan.cost);
    const pairs = splits.map((split) => halvesOf(table, split));
    const scored =
      pairs.length === 1
        ? pairs.map((pair) => ({ pair, score: 0 }))
        : pairs.map((pair) => ({ pair, score: raised(pair[0]) * raised(pair[1]) }));
    const chosen = scored.reduce((most, one) => (one.score > most.score ? one : most));
    for (const limit of chosen.pair) {
      let child = relaxedPlan(numbers, table, plan, { more: [limit], late });
      const cuts = child.cost < best() - SAME ? cutsPassed(numbers, table, child) : [];
      if (cuts.length > 0)
        child = relaxedPlan(numbers, table, slimmed(numbers, table, child), { more: cuts, late });
      // No child is cheaper than its parent, whatever time allowed to prove.
      child = { ...child, cost: Math.max(child.cost, plan.cost), inverse: undefined };
      if (child.cost < best() - SAME)
        open.push(narrowed(numbers, table, slimmed(numbers, table, child), best()));
    }
  }
}
