import { cutsPassed, limitsOver } from "./cuts";
import type { RoundsNumbers } from "./numbers";
import { loadsInReach, type Reached } from "./reach";
import { knownBy, narrowed, relaxedPlan, slimmed, type Known, type RelaxedPlan } from "./relaxed";
import type { LoadTable } from "./table";
import { branched, SAME, surest, type Search } from "./tree";

/** Loads looked at while cuts are sought, when a proof is tried, and at the very most. */
const SOME = 30_000;
const MANY = 400_000;
const MOST = 1_500_000;
/** The first reach that is tried, minutes; then so much more or less each time. */
const FIRST_REACH = 8;
const WIDER = 1.35;
/** Cuts are sought as long as a round of them closes so much of what is open. */
const WORTH_CUTTING = 0.04;
/** So often loads are sought at the prices that the cuts lead to. */
const MOST_TURNS = 6;

/**
 * What no plan costs less than, the best at most. All loads that a cheaper plan could hold are found at the relaxed
 * plan's prices; cuts raise what the relaxed plan over them costs, which leaves fewer of them, and what remains is searched
 * by branching (enumeration of columns, Baldacci and others 2008). Where there are too many such loads, as many as can be
 * held give the bound that goes with them.
 */
export function provenBound(numbers: RoundsNumbers, root: RelaxedPlan, search: Search): number {
  const { best, late, report } = search;
  let bound = 0;
  const raise = (to: number) => {
    if (to > bound) report((bound = Math.min(to, best())));
  };
  const done = () => bound >= best() - SAME || late();

  // Loads that quick searches overlooked: until none of them would pay.
  let exact: RelaxedPlan = root;
  let some: Wide | undefined;
  for (let turn = 0; turn < MOST_TURNS && !done(); turn++) {
    some = widest(numbers, exact, best() - exact.cost, SOME);
    if (!some) return bound;
    raise(some.bound);
    exact = relaxedPlan(
      numbers,
      some.table,
      knownBy(numbers, some.table, { prices: exact.prices, limits: [] }),
      { late },
    );
    if (some.bound >= exact.cost - CLOSE) break;
  }
  if (!some || done()) return bound;
  let tight = cut(numbers, some.table, exact, best(), search).plan;

  // All that a cheaper plan could hold, at the prices that the cuts lead to.
  for (let turn = 0; turn < MOST_TURNS && !done(); turn++) {
    const reach = best() - tight.cost + turn;
    const reached = loadsInReach(numbers, tight, reach, MANY);
    if (!reached) break;
    raise(reached.bound);
    const { table } = reached;
    const limits = limitsOver(
      numbers,
      table,
      tight.limits.flatMap(({ rows }) => (rows ? [rows] : [])),
    );
    tight = relaxedPlan(numbers, table, knownBy(numbers, table, { prices: tight.prices, limits }), { late });
    if (reached.bound + reach < best() - SAME) continue;
    return Math.max(bound, searched(numbers, table, tight, search));
  }
  if (done()) return bound;

  // Too many: as many as can be held.
  const wide = widest(numbers, exact, best() - exact.cost, MOST);
  if (!wide) return bound;
  const top = Math.min(best(), wide.bound + wide.reach);
  tight = relaxedPlan(
    numbers,
    wide.table,
    knownBy(numbers, wide.table, { prices: exact.prices, limits: [] }),
    { late },
  );
  return Math.max(
    bound,
    searched(numbers, wide.table, tight, { ...search, best: () => Math.min(best(), top) }),
  );
}

/** A relaxed plan closer to its bound than this is at rest, minutes. */
const CLOSE = 1e-3;

/** Cuts, then branches, over the loads of a table. */
function searched(numbers: RoundsNumbers, all: LoadTable, from: RelaxedPlan, search: Search): number {
  const { best, report } = search;
  const { table, plan } = cut(numbers, all, from, best(), search);
  report(Math.min(plan.cost, best()));
  return plan.cost >= best() - SAME ? best() : branched(numbers, table, plan, search);
}

/** The relaxed plan with cuts, as long as they tell, and the loads that are in reach of it. */
function cut(
  numbers: RoundsNumbers,
  all: LoadTable,
  from: RelaxedPlan,
  top: number,
  { offer, late }: Search,
): { table: LoadTable; plan: RelaxedPlan } {
  let [table, plan] = [all, from];
  for (;;) {
    if (plan.cost >= top - SAME || late()) return { table, plan };
    ({ table, plan } = narrowed(numbers, table, slimmed(numbers, table, plan), top));
    offer(surest(table, plan));
    const cuts = cutsPassed(numbers, table, plan);
    if (cuts.length === 0) return { table, plan };
    const next = relaxedPlan(numbers, table, plan, { more: cuts, late });
    if (!Number.isFinite(next.cost)) return { table, plan };
    const gained = next.cost - plan.cost;
    plan = next;
    if (gained < WORTH_CUTTING * (top - plan.cost)) return { table, plan: slimmed(numbers, table, plan) };
  }
}

interface Wide extends Reached {
  reach: number;
}

/** The loads in as wide a reach as is asked for or as can be held. */
function widest(
  numbers: RoundsNumbers,
  plan: Pick<Known, "prices" | "limits">,
  asked: number,
  most: number,
): Wide | undefined {
  let found: Wide | undefined;
  for (let reach = Math.min(asked, FIRST_REACH); ; reach = Math.min(asked, reach * WIDER)) {
    const reached = loadsInReach(numbers, plan, reach, most);
    if (!reached) return found;
    const grown = found ? reached.table.count / found.table.count : 1;
    found = { ...reached, reach };
    if (reach >= asked || reached.table.count * grown > most) return found;
  }
}
