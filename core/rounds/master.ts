import type { Programme, Solver } from "../math/programme";
import { Simplex, type Column } from "../math/simplex";
import { bestLoads, nearYards, type DayLoad, type Prizes } from "./loads";
import type { RoundsNumbers } from "./numbers";
import type { LoadPool } from "./pool";

/**
 * A branch of the search: how many jobs are left out in all, how often a yard is visited on a day, or how many of a kind
 * of job are done on it.
 */
export interface Branch {
  what: "out" | "yard" | "kind";
  index: number;
  day: number;
  sense: "<=" | ">=";
  bound: number;
}

/** The relaxed plan under some branches: parts of day-loads allowed. */
export interface Relaxed {
  /** No whole plan under these branches costs less. */
  bound: number;
  /** The day-loads and their parts, as far as they are used. */
  parts: readonly { load: DayLoad; part: number }[];
  /** Jobs left out, parts of jobs counted. */
  out: number;
  /** The price of each kind of job, then of each day and branch. */
  prices: readonly number[];
  /** Where the programme came to rest: loads, and its own columns by number. */
  basis: readonly (DayLoad | number)[];
  /** What the programme costs: nothing that it knows is cheaper. */
  cost: number;
}

/** How a relaxed plan is looked for. */
export interface Relaxing {
  /** The search stops when its bound passes this. */
  enough?: number;
  /** Good parts of plans, no bound. */
  quick?: boolean;
  /** The relaxed plan without the last branch, to go on from. */
  from?: Relaxed;
  /** Only loads that cost no more than so much too much at its prices are taken from the pool. */
  dear?: number;
  /** No new loads: the programme over those that are known. */
  known?: boolean;
}

/** Whether the search may go on, and a word on how far it is. */
export interface Watch {
  /** Seconds since the start. */
  elapsed: () => number;
  seconds: number;
}

/** A relaxed plan this close to its bound is as good as solved, minutes. */
const CLOSE = 1e-6;
/** What a branch that cannot be kept costs. */
const BROKEN = 1e5;
/** How far the prizes follow the last programme; the rest they keep (Wentges 1997). */
const SMOOTH = 0.5;

/** A branch that counts over all days. */
export const ANY_DAY = -1;

const countOn = (branch: Branch, load: DayLoad): number =>
  branch.what === "out" || (branch.day !== ANY_DAY && load.day !== branch.day)
    ? 0
    : branch.what === "yard"
      ? (load.mask >> branch.index) & 1
      : (load.taken.find(([kind]) => kind === branch.index)?.[1] ?? 0);

/** A load as a column: rows are the kinds of jobs, the days, the branches. */
function columnOf({ kinds, have }: RoundsNumbers, branches: readonly Branch[], load: DayLoad): Column {
  const counts = branches.map((branch) => countOn(branch, load));
  const kept = [...counts.keys()].filter((index) => counts[index] !== 0);
  return {
    cost: load.cost,
    rows: [
      ...load.taken.map(([kind]) => kind),
      kinds.length + load.day,
      ...kept.map((index) => kinds.length + have.length + index),
    ],
    values: [...load.taken.map(([, count]) => count), 1, ...kept.map((index) => counts[index] ?? 0)],
  };
}

/** The programme before any load: all jobs left out, all days free, branches kept or paid for. */
function startOf({ kinds, have }: RoundsNumbers, branches: readonly Branch[]) {
  const all = kinds.reduce((sum, { jobs }) => sum + jobs.length, 0);
  const first = kinds.length + have.length;
  const outs = branches.flatMap(({ what }, index) => (what === "out" ? [first + index] : []));
  const columns: Column[] = kinds.map(({ left }, kind) => ({
    cost: left,
    rows: [kind, ...outs],
    values: [1, ...outs.map(() => 1)],
  }));
  const basis = [...columns.keys()];
  const add = (row: number, cost: number, value: number) =>
    columns.push({ cost, rows: [row], values: [value] }) - 1;
  have.forEach((_, day) => basis.push(add(kinds.length + day, 0, 1)));
  // Doing a job once more than there is need never pays; allowed, it keeps prices from going below nothing.
  kinds.forEach((_, kind) => add(kind, 0, -1));
  branches.forEach(({ what, sense, bound }, index) => {
    const rest = bound - (what === "out" ? all : 0);
    const most = sense === "<=";
    const slack = add(first + index, 0, most ? 1 : -1);
    const broken = add(first + index, BROKEN, most ? -1 : 1);
    basis.push((most ? rest >= 0 : rest <= 0) ? slack : broken);
  });
  const bounds = [
    ...kinds.map(({ jobs }) => jobs.length),
    ...have.map(() => 1),
    ...branches.map(({ bound }) => bound),
  ];
  return { columns, bounds, basis };
}

/** The loads of a plan with day-loads that are known, and which of them it uses; none when the solver found none. */
export function wholePlan(
  numbers: RoundsNumbers,
  loads: readonly DayLoad[],
  solve: Solver,
  seconds: number,
): DayLoad[] | undefined {
  const rows = [...numbers.kinds.keys()].map((): [number, number][] => []);
  const days = numbers.have.map((): [number, number][] => []);
  loads.forEach((load, variable) => {
    for (const [kind, count] of load.taken) rows[kind]?.push([variable, count]);
    days[load.day]?.push([variable, 1]);
  });
  numbers.kinds.forEach((_, kind) => rows[kind]?.push([loads.length + kind, 1]));
  const programme: Programme = {
    cost: [...loads.map(({ cost }) => cost), ...numbers.kinds.map(({ left }) => left)],
    rows: [
      ...rows.map((terms, kind) => ({
        terms,
        sense: "=" as const,
        bound: numbers.kinds[kind]?.jobs.length ?? 0,
      })),
      ...days.map((terms) => ({ terms, sense: "<=" as const, bound: 1 })),
    ],
    whole: true,
  };
  const found = solve(programme, { seconds });
  const values = found.kind === "infeasible" ? undefined : found.values;
  return values && loads.filter((_, index) => (values[index] ?? 0) > 0.5);
}

/**
 * The least that any plan can cost under the branches: column generation over day-loads (Dantzig and Wolfe 1960), new
 * loads found by `bestLoads` at smoothed prices. `pool` is filled with what is found. The bound is that of Lagrange at
 * the best prices met, so it holds even when time runs out.
 */
export function relaxedPlan(
  numbers: RoundsNumbers,
  pool: LoadPool,
  branches: readonly Branch[],
  watch: Watch,
  { enough = Number.POSITIVE_INFINITY, quick: good = false, from, dear, known: only = false }: Relaxing = {},
): Relaxed {
  const near = nearYards(numbers);
  const days = [...numbers.have.keys()];
  const known = new Set<string>();
  const shut = days.map((day) => shutOn(branches, day));
  let [bound, quick] = [Number.NEGATIVE_INFINITY, true];
  let [centre, middle]: (readonly number[] | undefined)[] = [];
  const used: DayLoad[] = [];
  // Loads that are known and too dear to be taken along; asked again before new ones are looked for.
  let aside: DayLoad[] = [];
  const fixed = startOf(numbers, branches);
  const own = fixed.columns.length;
  const take = (load: DayLoad) => {
    known.add(load.name);
    used.push(load);
    fixed.columns.push(columnOf(numbers, branches, load));
    return own + used.length - 1;
  };
  let basis = fixed.basis;
  if (from && from.basis.length > 0) {
    // The last branch is broken where the search comes from; that is what it begins by mending.
    basis = from.basis.map((one) => (typeof one === "number" ? one : take(one)));
    for (let row = basis.length; row < fixed.bounds.length; row++) basis.push(fixed.basis[row] ?? 0);
    basis[basis.length - 1] = own - 1;
  }
  for (const load of pool.loads) {
    if (load.mask & (shut[load.day] ?? 0) || known.has(load.name)) continue;
    if (!from || dear === undefined || reducedCost(numbers, branches, load, from.prices) < dear) take(load);
    else aside.push(load);
  }
  const simplex = new Simplex(fixed.columns, fixed.bounds, basis);
  let relaxed: Relaxed = { bound, parts: [], out: 0, prices: [], basis: [], cost: Number.POSITIVE_INFINITY };
  for (;;) {
    if (!simplex.solve()) return relaxed;
    const values = simplex.values();
    const parts = [...values].flatMap(([column, part]) => {
      const load = used[column - own];
      return load && part > 1e-7 ? [{ load, part }] : [];
    });
    const out = numbers.kinds.reduce((sum, _, kind) => sum + (values.get(kind) ?? 0), 0);
    const { objective } = simplex;
    const last = simplex.duals();
    const rest = simplex.basis.map((column) => used[column - own] ?? column);
    relaxed = { bound: Math.min(bound, objective), parts, out, prices: last, basis: rest, cost: objective };
    if (only) return relaxed;
    const again = aside.filter((load) => reducedCost(numbers, branches, load, last) < -CLOSE);
    if (again.length > 0) {
      const back = new Set(again);
      aside = aside.filter((load) => !back.has(load));
      again.forEach(take);
      continue;
    }
    for (let priced = false; !priced;) {
      if (bound >= objective - CLOSE || bound >= enough || watch.elapsed() > watch.seconds) return relaxed;
      const calm: readonly number[] | undefined = quick ? middle : centre;
      const prices: readonly number[] = calm
        ? last.map((dual, row) => SMOOTH * dual + (1 - SMOOTH) * (calm[row] ?? 0))
        : last;
      if (quick) middle = prices;
      const best = days.map((day) =>
        bestLoads(numbers, near, day, prizesOn(numbers, prices, branches, day), quick),
      );
      if (!quick) {
        const reached = lagrange(numbers, prices, branches, best);
        if (reached > bound) [bound, centre] = [reached, prices];
        relaxed = { ...relaxed, bound: Math.min(bound, objective) };
      }
      for (const load of best.flatMap(({ loads }) => loads)) {
        if (known.has(load.name)) continue;
        pool.keep(load);
        take(load);
        priced = true;
      }
      if (priced) quick = true;
      else if (quick && calm) middle = undefined;
      else if (good) return relaxed;
      else if (quick) quick = false;
      else if (calm) centre = undefined;
      else return relaxed;
    }
  }
}

/** What a load costs more than it earns at a programme's prices. */
export const reducedCost = (
  { kinds, have }: RoundsNumbers,
  branches: readonly Branch[],
  load: DayLoad,
  prices: readonly number[],
): number =>
  branches.reduce(
    (sum, branch, index) => sum - countOn(branch, load) * (prices[kinds.length + have.length + index] ?? 0),
    load.taken.reduce((sum, [kind, count]) => sum - count * (prices[kind] ?? 0), load.cost) -
      (prices[kinds.length + load.day] ?? 0),
  );

/** Yards that a branch keeps shut on a day, as bits. */
const shutOn = (branches: readonly Branch[], day: number): number =>
  branches
    .filter(
      (one) =>
        one.what === "yard" &&
        (one.day === day || one.day === ANY_DAY) &&
        one.sense === "<=" &&
        one.bound === 0,
    )
    .reduce((mask, { index }) => mask | (1 << index), 0);

/** What a programme's prices pay on a day. */
function prizesOn(
  { kinds, yards, have }: RoundsNumbers,
  prices: readonly number[],
  branches: readonly Branch[],
  day: number,
): Prizes {
  const kind = kinds.map((_, index) => prices[index] ?? 0);
  const yard = yards.map(() => 0);
  branches.forEach((branch, index) => {
    if (branch.what === "out" || (branch.day !== day && branch.day !== ANY_DAY)) return;
    const row = branch.what === "yard" ? yard : kind;
    row[branch.index] = (row[branch.index] ?? 0) + (prices[kinds.length + have.length + index] ?? 0);
  });
  return { kind, yard, shut: shutOn(branches, day), floor: Math.max(0, -(prices[kinds.length + day] ?? 0)) };
}

/** The bound of Lagrange at these prices: what is paid for all jobs less what the best load of each day earns. */
function lagrange(
  { kinds, have }: RoundsNumbers,
  prices: readonly number[],
  branches: readonly Branch[],
  best: readonly { most: number }[],
): number {
  // A job left out costs its own and what the branches on that charge; it is taken or not, whichever is cheaper.
  const charged = branches.reduce(
    (sum, { what }, index) => sum + (what === "out" ? (prices[kinds.length + have.length + index] ?? 0) : 0),
    0,
  );
  const jobs = kinds.reduce(
    (sum, { jobs: all, left }, kind) => sum + all.length * Math.min(left - charged, prices[kind] ?? 0),
    0,
  );
  const kept = branches.reduce(
    (sum, { bound }, index) => sum + bound * (prices[kinds.length + have.length + index] ?? 0),
    0,
  );
  return jobs + kept - best.reduce((sum, { most }) => sum + most, 0);
}
