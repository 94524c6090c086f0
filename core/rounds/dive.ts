import { loadFrom, type DayLoad } from "./loads";
import { reducedCost, relaxedPlan, type Relaxed, type Watch } from "./master";
import type { RoundsNumbers } from "./numbers";
import { LoadPool } from "./pool";

/** Parts of day-loads from here on are taken as whole ones, all at once; below it the largest alone. */
const NEARLY_WHOLE = 0.95;
/** The dive begins with so many of the known loads, those nearest to paying at the relaxed plan's prices. */
const MOST_KNOWN = 1500;

/**
 * A whole plan out of relaxed ones: the day-load with the largest part is settled, the days and jobs that are left are
 * relaxed anew, and so on to the last day (diving, Joncour and others 2010). Good, not proven.
 */
export function divedPlan(
  numbers: RoundsNumbers,
  known: readonly DayLoad[],
  { parts: first, prices }: Pick<Relaxed, "parts" | "prices">,
  watch: Watch,
): DayLoad[] {
  const settled: DayLoad[] = [];
  const pool = known
    .map((load) => ({ load, dear: reducedCost(numbers, [], load, prices) }))
    .sort((a, b) => a.dear - b.dear)
    .slice(0, MOST_KNOWN)
    .map(({ load }) => load);
  for (;;) {
    const days = new Set(settled.map(({ day }) => day));
    const rest: RoundsNumbers = {
      ...numbers,
      have: numbers.have.map((minutes, day) => (days.has(day) ? 0 : minutes)),
      kinds: numbers.kinds.map((kind, index) => ({
        ...kind,
        jobs: kind.jobs.slice(countOf(settled, index)),
      })),
    };
    const open = pool.flatMap((load) => (days.has(load.day) ? [] : trimmed(rest, load)));
    const { parts } =
      settled.length === 0
        ? { parts: first }
        : relaxedPlan(rest, new LoadPool(open), [], watch, { quick: true });
    const best = [...parts].sort((a, b) => b.part - a.part)[0];
    if (!best) return settled;
    const whole = parts.filter(({ part }) => part >= NEARLY_WHOLE).map(({ load }) => load);
    settled.push(...(whole.length > 0 ? disjoint(rest, whole) : [best.load]));
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
  const same =
    taken.length === load.taken.length && taken.every(([, count], at) => count === load.taken[at]?.[1]);
  return [
    same
      ? load
      : loadFrom(
          rest,
          load.day,
          taken.reduce((mask, [kind]) => mask | (1 << (rest.kinds[kind]?.yard ?? 0)), 0),
          taken,
        ),
  ];
}

/** Loads of different days that together do no job twice, first come first. */
function disjoint(rest: RoundsNumbers, loads: readonly DayLoad[]): DayLoad[] {
  const kept: DayLoad[] = [];
  for (const load of loads) {
    const fits = load.taken.every(
      ([kind, count]) => countOf(kept, kind) + count <= (rest.kinds[kind]?.jobs.length ?? 0),
    );
    if (fits && !kept.some(({ day }) => day === load.day)) kept.push(load);
  }
  return kept;
}
