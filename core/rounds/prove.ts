import { cutsPassed, limitsOver } from "./cuts";
import type { RoundsNumbers } from "./numbers";
import { loadsInReach, type Reached } from "./reach";
import { knownBy, narrowed, relaxedPlan, slimmed, type Known, type RelaxedPlan } from "./relaxed";
import type { LoadTable } from "./table";
import { branched, SAME, surest, type Search } from "./tree";

/** Loads looked at while cuts are sought, when a proof is tried, and at the very most. */
const SOME = 30_000;
const MANY = 400_000;
const MOST = 700_000;
/** The first reach that is tried, minutes; then so much wider each time. */
const FIRST_REACH = 8;
const WIDER = 1.35;
/** A reach narrower than this is none, minutes. */
const LEAST_REACH = 0.05;
/** Cuts are sought as long as a round of them closes so much of what is open. */
const WORTH_CUTTING = 0.08;
/** So often loads are sought at the prices that the last ones led to. */
const MOST_TURNS = 6;
/** Where the gap is so many times as wide as what some loads reach, there are far too many for a proof. */
const HOPELESS = 4;
/** A relaxed plan closer to its bound than this is at rest, minutes. */
const CLOSE = 1e-3;

/** A relaxed plan and the table that it is made of. */
interface Tight {
  table: LoadTable;
  plan: RelaxedPlan;
}

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
  const over = (table: LoadTable, { prices }: Known): Tight => ({
    table,
    plan: relaxedPlan(numbers, table, knownBy(numbers, table, { prices, limits: [] }), { late }),
  });

  // Loads that quick searches overlooked: until none of them would pay.
  let exact: Tight | undefined;
  let wholly = true;
  for (let turn = 0; turn < MOST_TURNS && !done(); turn++) {
    const from: RelaxedPlan = exact?.plan ?? root;
    const some = widest(numbers, from, best() - from.cost, SOME);
    if (!some) return bound;
    raise(some.bound);
    exact = over(some.table, from);
    wholly = some.reach * HOPELESS > best() - exact.plan.cost;
    if (some.bound >= exact.plan.cost - CLOSE) break;
  }
  if (!exact || done()) return bound;

  // All that a cheaper plan could hold, at the prices that the cuts lead to.
  let tight = wholly ? cut(numbers, exact, best(), search) : exact;
  for (let turn = 0; wholly && turn < MOST_TURNS && !done(); turn++) {
    const reach = best() - tight.plan.cost + turn;
    const known = tight.table.picked(tight.plan.active);
    const reached = loadsInReach(numbers, tight.plan, reach, MANY, known);
    if (!reached) break;
    raise(reached.bound);
    const { table } = reached;
    tight = {
      table,
      plan: relaxedPlan(numbers, table, renumbered(numbers, table, tight.plan), { late }),
    };
    if (reached.bound + reach >= best() - SAME) return Math.max(bound, searched(numbers, tight, search));
    tight = { ...tight, plan: slimmed(numbers, table, tight.plan) };
  }
  if (done()) return bound;

  // Too many: as many as can be held.
  search.better();
  if (done()) return bound;
  const wide = widest(numbers, exact.plan, best() - exact.plan.cost, MOST);
  if (!wide) return bound;
  const top = Math.min(best(), wide.bound + wide.reach);
  const held = { ...search, best: () => Math.min(best(), top) };
  return Math.max(bound, searched(numbers, over(wide.table, exact.plan), held));
}

/** A plan in the numbers of a table that begins with the loads it knows. */
function renumbered(numbers: RoundsNumbers, table: LoadTable, plan: RelaxedPlan): Known {
  const place = new Map(plan.active.map((load, at) => [load, at]));
  const limits = limitsOver(
    numbers,
    table,
    plan.limits.map(({ rows }) => rows ?? []),
  );
  const same = new Map(plan.limits.map((limit, at) => [limit, limits[at] ?? limit]));
  return {
    prices: plan.prices,
    limits,
    active: [...plan.active.keys()],
    basis: plan.basis.map((one) =>
      "load" in one
        ? { load: place.get(one.load) ?? 0 }
        : "limit" in one
          ? { limit: same.get(one.limit) ?? one.limit }
          : one,
    ),
    inverse: plan.inverse,
  };
}

/** Cuts, then branches, over the loads of a table. */
function searched(numbers: RoundsNumbers, from: Tight, search: Search): number {
  const { best, report } = search;
  const { table, plan } = cut(numbers, from, best(), search);
  report(Math.min(plan.cost, best()));
  return plan.cost >= best() - SAME ? best() : branched(numbers, table, plan, search);
}

/** The relaxed plan with cuts, as long as they tell, out of the loads that are in reach of it. */
function cut(numbers: RoundsNumbers, from: Tight, top: number, { offer, late }: Search): Tight {
  let { table } = from;
  let plan = slimmed(numbers, table, from.plan);
  for (;;) {
    if (plan.cost >= top - SAME || late()) return { table, plan };
    ({ table, plan } = narrowed(numbers, table, plan, top));
    offer(surest(table, plan));
    const cuts = cutsPassed(numbers, table, plan);
    if (cuts.length === 0) return { table, plan };
    const next = relaxedPlan(numbers, table, plan, { more: cuts, late });
    if (!Number.isFinite(next.cost)) return { table, plan };
    const gained = next.cost - plan.cost;
    plan = slimmed(numbers, table, next);
    if (gained < WORTH_CUTTING * (top - plan.cost)) return { table, plan };
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
  for (let reach = Math.max(LEAST_REACH, Math.min(asked, FIRST_REACH)); reach >= LEAST_REACH;) {
    const reached = loadsInReach(numbers, plan, reach, most);
    if (!reached) {
      if (found) return found;
      reach /= 2;
      continue;
    }
    const grown = found ? reached.table.count / found.table.count : 1;
    found = { ...reached, reach };
    if (reach >= asked || reached.table.count * grown > most) return found;
    reach = Math.min(asked, reach * WIDER);
  }
  return found;
}
