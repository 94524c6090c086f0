import { goodLoads } from "./loads";
import type { RoundsNumbers } from "./numbers";
import { dearness, knownBy, relaxedPlan, type Known, type RelaxedPlan, type Relaxing } from "./relaxed";
import { LoadTable, type DayLoad } from "./table";

/** Parts of day-loads from here on are taken as whole ones, all at once; below it the largest alone. */
const NEARLY_WHOLE = 0.95;
/** Of many days that are left, one in so many is settled at once. */
const SETTLED_OF = 8;
/** The dive begins with so many of the known loads, those nearest to paying at the relaxed plan's prices. */
const MOST_KNOWN = 1500;
/** So often new loads are looked for before the next is settled. */
const MOST_FRESH = 6;
/** How far prices follow the last programme; the rest they keep (Wentges 1997). */
const SMOOTH = 0.3;

/** New loads that pay at prices which follow the programme's slowly; none when none is found at its own, or it was often asked. */
export function freshLoads(
  numbers: RoundsNumbers,
  table: LoadTable,
  most = Number.POSITIVE_INFINITY,
): NonNullable<Relaxing["fresh"]> {
  let calm: readonly number[] | undefined;
  let asked = 0;
  const at = (prices: readonly number[]) =>
    [...numbers.have.keys()]
      .flatMap((day) =>
        goodLoads(numbers, day, prices, Math.max(0, -(prices[numbers.kinds.length + day] ?? 0))),
      )
      .flatMap((load) => table.addNew(load) ?? []);
  return (prices) => {
    asked += 1;
    if (asked > most) return [];
    const before = calm;
    calm = before ? prices.map((price, row) => SMOOTH * price + (1 - SMOOTH) * (before[row] ?? 0)) : prices;
    const found = at(calm);
    if (found.length > 0 || !before) return found;
    calm = undefined;
    return at(prices);
  };
}

/**
 * A whole plan out of relaxed ones: the day-loads with the largest parts are settled, the days and jobs that are left are
 * relaxed anew, and so on to the last day (diving, Joncour and others 2010). Good, not proven.
 */
export function divedPlan(
  numbers: RoundsNumbers,
  known: LoadTable,
  root: RelaxedPlan,
  late: () => boolean,
): DayLoad[] {
  const settled: DayLoad[] = [];
  const dear = dearness(numbers, known, root);
  const near = [...dear.keys()]
    .sort((a, b) => (dear[a] as number) - (dear[b] as number))
    .slice(0, MOST_KNOWN)
    .map((load) => known.load(load));
  let parts = root.parts.map(({ load, part }) => ({ load: known.load(load), part }));
  let prices: Known["prices"] = root.prices;
  for (;;) {
    parts.sort((a, b) => b.part - a.part);
    const left = numbers.have.length - settled.length;
    const sure = parts.filter(({ part }) => part >= NEARLY_WHOLE).length;
    settled.push(
      ...together(
        numbers,
        settled,
        parts.map(({ load }) => load),
        Math.max(1, sure, left / SETTLED_OF),
      ),
    );
    const days = new Set(settled.map(({ day }) => day));
    const rest: RoundsNumbers = {
      ...numbers,
      have: numbers.have.map((minutes, day) => (days.has(day) ? 0 : minutes)),
      kinds: numbers.kinds.map((kind, index) => ({
        ...kind,
        jobs: kind.jobs.slice(countOf(settled, index)),
      })),
    };
    const table = new LoadTable();
    for (const load of near)
      if (!days.has(load.day)) for (const one of trimmed(rest, load)) table.addNew(one);
    const fresh = freshLoads(rest, table, MOST_FRESH);
    const plan = relaxedPlan(rest, table, knownBy(rest, table, { prices, limits: [] }), { fresh, late });
    parts = plan.parts.map(({ load, part }) => ({ load: table.load(load), part }));
    prices = plan.prices;
    if (parts.length === 0 || late()) return settled;
  }
}

const countOf = (loads: readonly DayLoad[], kind: number): number =>
  loads.reduce((sum, { taken }) => sum + (taken.find(([one]) => one === kind)?.[1] ?? 0), 0);

/** The load without jobs that are settled already; nothing when none is left. */
function trimmed(rest: RoundsNumbers, load: DayLoad): DayLoad[] {
  const taken = load.taken
    .map(([kind, count]): [number, number] => [kind, Math.min(count, rest.kinds[kind]?.jobs.length ?? 0)])
    .filter(([, count]) => count > 0);
  if (taken.length === 0) return [];
  const mask = taken.reduce((sum, [kind]) => sum | (1 << (rest.kinds[kind]?.yard ?? 0)), 0);
  const jobs = taken.reduce(
    (sum, [kind, count]) => sum + count * (rest.kinds[kind]?.onDay[load.day] ?? 0),
    0,
  );
  return [{ day: load.day, mask, cost: rest.tour(mask).minutes + jobs, taken }];
}

/** So many of the loads, first come first, that with those that are settled use no day and do no job twice. */
function together(
  { kinds }: RoundsNumbers,
  settled: readonly DayLoad[],
  loads: readonly DayLoad[],
  most: number,
): DayLoad[] {
  const kept: DayLoad[] = [];
  for (const load of loads) {
    if (kept.length >= most) break;
    const all = [...settled, ...kept];
    const fits = load.taken.every(
      ([kind, count]) => countOf(all, kind) + count <= (kinds[kind]?.jobs.length ?? 0),
    );
    if (fits && !all.some(({ day }) => day === load.day)) kept.push(load);
  }
  return kept;
}
