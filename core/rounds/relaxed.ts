import { Simplex } from "../math/simplex";
import type { Column } from "../math/sparseColumns";
import type { RoundsNumbers } from "./numbers";
import type { LoadTable } from "./table";

/** So many times some loads may be in a plan, each counted by its own number. */
export interface Limit {
  /** A cut's rows: kinds of jobs, then days, by number; a load counts half of how often it meets them, rounded down. */
  rows?: readonly number[];
  /** Loads that count, by rising number, and how much each does; less than nothing where a least is asked for. */
  loads: Int32Array;
  times: Int8Array;
  most: number;
}

/** A column of a basis: a load, an own column (jobs left out, free days), or what a limit leaves. */
type Basic = { load: number } | { own: number } | { limit: Limit };

/** What a search for a relaxed plan goes on from. */
export interface Known {
  limits: readonly Limit[];
  /** The price of each kind of job, of each day, of each limit. */
  prices: readonly number[];
  /** Loads that the programme knows. */
  active: readonly number[];
  /** Where it came to rest; the plan that leaves all out, without. */
  basis?: readonly Basic[];
  /** The inverse of that basis, where it is at hand. */
  inverse?: Float64Array | undefined;
}

/** A relaxed plan, parts of loads allowed, out of the loads of a table under some limits. */
export interface RelaxedPlan extends Known {
  basis: readonly Basic[];
  /** No plan out of the table's loads under these limits costs less. Minus infinity when time was up before that was sure. */
  cost: number;
  /** Loads by number and their parts, as far as they are used. */
  parts: readonly { load: number; part: number }[];
}

/** How a relaxed plan is looked for. */
export interface Relaxing {
  /** Limits that are new. */
  more?: readonly Limit[];
  /** Puts loads into the table that it did not hold and that may pay at these prices; their numbers. */
  fresh?: (prices: readonly number[]) => number[];
  late?: () => boolean;
}

/** What a limit that cannot be kept costs. */
const BROKEN = 1e5;
/** A load that costs no more than this too little may be had as it is, minutes. */
const CLOSE = 1e-6;
/** Loads of a day that are taken into the programme at once, and with which it begins. */
const NEW_A_DAY = 30;
const FIRST_A_DAY = 60;
/** Loads that cost more than this too much leave the programme, as long as it holds many. */
const DEAR = 30;
const MANY = 600;
/** Steps that a limit is followed while it is only tried. */
const STEPS_TRIED = 40;

/**
 * How much too dear each load is at some prices: what it costs, less what it earns. A plan that holds it costs no less
 * than the relaxed plan and that.
 */
export function dearness(
  { kinds, have }: RoundsNumbers,
  table: LoadTable,
  { prices, limits }: Pick<Known, "prices" | "limits">,
): Float64Array {
  const { day, cost, from, kind, times } = table;
  const dear = new Float64Array(table.count);
  for (let load = 0; load < table.count; load++) {
    let sum = (cost[load] as number) - (prices[kinds.length + (day[load] as number)] as number);
    for (let at = from[load] as number, end = from[load + 1] as number; at < end; at++)
      sum -= (prices[kind[at] as number] as number) * (times[at] as number);
    dear[load] = sum;
  }
  limits.forEach((limit, number) => {
    const price = prices[kinds.length + have.length + number] as number;
    if (price === 0) return;
    for (let at = 0; at < limit.loads.length; at++) {
      const load = limit.loads[at] as number;
      dear[load] = (dear[load] as number) - price * (limit.times[at] as number);
    }
  });
  return dear;
}

/** What a search begins with that knows prices and limits: the loads that are least dear. */
export function knownBy(
  numbers: RoundsNumbers,
  table: LoadTable,
  { prices, limits }: Pick<Known, "prices" | "limits">,
): Known {
  const dear = dearness(numbers, table, { prices, limits });
  return { prices, limits, active: leastDear(numbers, table, dear, FIRST_A_DAY, Number.POSITIVE_INFINITY) };
}

/**
 * The relaxed plan over all loads of a table, going on from one that knew fewer loads or limits: column generation
 * (Dantzig and Wolfe 1960). The programme takes in the loads that pay best until none does.
 */
export function relaxedPlan(
  numbers: RoundsNumbers,
  table: LoadTable,
  from: Known,
  { more = [], fresh, late }: Relaxing = {},
): RelaxedPlan {
  const { simplex, limits, active } = programmeOf(numbers, table, from, more);
  const known = new Set(active);
  for (;;) {
    const solved = simplex.solve();
    const prices = simplex.duals();
    const plan = restOf(numbers, simplex, limits, active, prices);
    if (!solved || late?.()) return { ...plan, cost: Number.NEGATIVE_INFINITY };
    const dear = dearness(numbers, table, { prices, limits });
    let added = leastDear(numbers, table, dear, NEW_A_DAY, -CLOSE).filter((load) => !known.has(load));
    if (added.length === 0) added = fresh?.(prices) ?? [];
    if (added.length === 0) return plan;
    for (const load of added) {
      known.add(load);
      active.push(load);
      simplex.add(columnOf(numbers, table, limits, load));
    }
  }
}

/**
 * About what one more limit on a plan costs, over the loads that it knows: no more than it does. Infinite where it cannot
 * be kept with them.
 */
export function triedCosts(numbers: RoundsNumbers, table: LoadTable, from: Known): (limit: Limit) => number {
  const { simplex, active } = programmeOf(numbers, table, from, []);
  const own = simplex.count - active.length;
  return (limit) => {
    const times = new Float64Array(simplex.count);
    active.forEach((load, at) => (times[own + at] = timesOf(limit, load)));
    const tried = simplex.withLimit(times, limit.most);
    return tried.dualSimplex(STEPS_TRIED) === "infeasible" ? Number.POSITIVE_INFINITY : tried.objective;
  };
}

/** The same with the inverse of its basis, for what goes on from it more than once. */
export const inverted = (numbers: RoundsNumbers, table: LoadTable, plan: RelaxedPlan): RelaxedPlan =>
  plan.inverse ? plan : { ...plan, inverse: programmeOf(numbers, table, plan, []).simplex.inverse };

/** The programme over the loads that are known, at the basis that it came to rest at. */
function programmeOf(
  numbers: RoundsNumbers,
  table: LoadTable,
  from: Known,
  more: readonly Limit[],
): { simplex: Simplex; limits: Limit[]; active: number[] } {
  const { kinds, have } = numbers;
  const limits = [...from.limits, ...more];
  const active = [...from.active];
  const first = kinds.length + have.length;
  const own = first + 2 * limits.length;
  const columns: Column[] = kinds.map(({ left }, row) => ({ cost: left, rows: [row], values: [1] }));
  have.forEach((_, day) => columns.push({ cost: 0, rows: [kinds.length + day], values: [1] }));
  limits.forEach((_, number) => columns.push({ cost: 0, rows: [first + number], values: [1] }));
  limits.forEach((_, number) => columns.push({ cost: BROKEN, rows: [first + number], values: [-1] }));
  for (const load of active) columns.push(columnOf(numbers, table, limits, load));
  const bounds = [
    ...kinds.map(({ jobs }) => jobs.length),
    ...have.map(() => 1),
    ...limits.map(({ most }) => most),
  ];
  const place = new Map(active.map((load, at) => [load, own + at]));
  const slack = new Map(limits.map((limit, at) => [limit, first + at]));
  const basis = from.basis
    ? from.basis.map((one) =>
        "load" in one ? (place.get(one.load) ?? 0) : "own" in one ? one.own : (slack.get(one.limit) ?? 0),
      )
    : [...Array(first + from.limits.length).keys()];
  // A new limit is passed where the search comes from; that is what it begins by mending.
  more.forEach((_, at) => basis.push(first + from.limits.length + at));
  return { simplex: new Simplex(columns, bounds, basis, from.inverse), limits, active };
}

function restOf(
  { kinds, have }: RoundsNumbers,
  simplex: Simplex,
  limits: readonly Limit[],
  active: readonly number[],
  prices: readonly number[],
): RelaxedPlan {
  const first = kinds.length + have.length;
  const own = first + 2 * limits.length;
  return {
    limits,
    active: [...active],
    prices,
    inverse: simplex.inverse,
    basis: simplex.basis.map((column): Basic => {
      const limit = limits[(column - first) % Math.max(1, limits.length)];
      if (column >= own) return { load: active[column - own] as number };
      return column >= first && limit ? { limit } : { own: column };
    }),
    cost: simplex.objective,
    parts: [...simplex.values()].flatMap(([column, part]) => {
      const load = active[column - own];
      return column >= own && load !== undefined && part > 1e-7 ? [{ load, part }] : [];
    }),
  };
}

/** The plan's programme without loads that are much too dear and without limits that hold nothing back. */
export function slimmed(numbers: RoundsNumbers, table: LoadTable, plan: RelaxedPlan): RelaxedPlan {
  const first = numbers.kinds.length + numbers.have.length;
  const idle = new Set(plan.basis.flatMap((one) => ("limit" in one ? [one.limit] : [])));
  const basis = plan.basis.filter((one) => !("limit" in one));
  const used = new Set(basis.flatMap((one) => ("load" in one ? [one.load] : [])));
  const dear = plan.active.length > MANY ? dearness(numbers, table, plan) : undefined;
  return {
    ...plan,
    limits: plan.limits.filter((limit) => !idle.has(limit)),
    prices: plan.prices.filter((_, row) => row < first || !idle.has(plan.limits[row - first] as Limit)),
    basis,
    inverse: idle.size === 0 ? plan.inverse : undefined,
    active: dear
      ? plan.active.filter((load) => used.has(load) || (dear[load] as number) < DEAR)
      : plan.active,
  };
}

/** Only the loads that a plan cheaper than `best` may hold, in a table of their own, and the relaxed plan in their numbers. */
export function narrowed(
  numbers: RoundsNumbers,
  old: LoadTable,
  plan: RelaxedPlan,
  best: number,
): { table: LoadTable; plan: RelaxedPlan } {
  const dear = dearness(numbers, old, plan);
  const used = new Set(plan.basis.flatMap((one) => ("load" in one ? [one.load] : [])));
  const { table, place } = old.kept((load) => (dear[load] as number) <= best - plan.cost || used.has(load));
  const at = (load: number) => place[load] as number;
  const limits = new Map(
    plan.limits.map((limit) => {
      const kept = [...limit.loads.keys()].filter((number) => at(limit.loads[number] as number) >= 0);
      const loads = Int32Array.from(kept, (number) => at(limit.loads[number] as number));
      const times = Int8Array.from(kept, (number) => limit.times[number] as number);
      return [limit, { ...limit, loads, times }];
    }),
  );
  return {
    table,
    plan: {
      ...plan,
      limits: [...limits.values()],
      parts: plan.parts.map(({ load, part }) => ({ load: at(load), part })),
      basis: plan.basis.map((one) =>
        "load" in one
          ? { load: at(one.load) }
          : "limit" in one
            ? { limit: limits.get(one.limit) ?? one.limit }
            : one,
      ),
      active: plan.active.map(at).filter((load) => load >= 0),
    },
  };
}

/** So many loads of each day that are least dear, of those under a bound. */
export function leastDear(
  { have }: RoundsNumbers,
  table: LoadTable,
  dear: Float64Array,
  count: number,
  under: number,
): number[] {
  const lists = have.map((): number[] => []);
  const worst = have.map(() => under);
  const by = (a: number, b: number) => (dear[a] as number) - (dear[b] as number);
  for (let load = 0; load < table.count; load++) {
    const day = table.day[load] as number;
    if (!((dear[load] as number) < (worst[day] as number))) continue;
    const list = lists[day] as number[];
    list.push(load);
    if (list.length < 4 * count) continue;
    list.sort(by).length = count;
    worst[day] = dear[list[count - 1] as number] as number;
  }
  return lists.flatMap((list) => list.sort(by).slice(0, count));
}

function columnOf(
  { kinds, have }: RoundsNumbers,
  table: LoadTable,
  limits: readonly Limit[],
  load: number,
): Column {
  const rows: number[] = [];
  const values: number[] = [];
  for (let at = table.from[load] as number; at < (table.from[load + 1] as number); at++) {
    rows.push(table.kind[at] as number);
    values.push(table.times[at] as number);
  }
  rows.push(kinds.length + (table.day[load] as number));
  values.push(1);
  limits.forEach((limit, number) => {
    const times = timesOf(limit, load);
    if (times === 0) return;
    rows.push(kinds.length + have.length + number);
    values.push(times);
  });
  return { cost: table.cost[load] as number, rows, values };
}

/** How much a load counts in a limit. */
function timesOf({ loads, times }: Limit, load: number): number {
  let [low, high] = [0, loads.length - 1];
  while (low <= high) {
    const middle = (low + high) >> 1;
    const found = loads[middle] as number;
    if (found === load) return times[middle] as number;
    if (found < load) low = middle + 1;
    else high = middle - 1;
  }
  return 0;
}
