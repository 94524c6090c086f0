import { MINUTE_SLACK, type RoundsNumbers } from "./numbers";
import type { DayLoad } from "./table";

/** A way to spend time at a yard: none else takes as little for as much. */
interface YardOption {
  minutes: number;
  prize: number;
  taken: readonly (readonly [number, number])[];
}

/** A day begun: at a yard with so much time gone. */
interface Path {
  yard: number;
  minutes: number;
  prize: number;
  mask: number;
  before: Path | undefined;
  option: YardOption;
}

/** Loads handed back for one day. */
const MOST_LOADS = 12;
/** One path is kept for each yard and so many minutes. */
const GRAIN = 8;
/** Prizes closer than this are one and the same, minutes. */
const PRIZE_SLACK = 1e-9;

/**
 * Loads of one day whose prizes outweigh their cost by more than the floor, best first: good ones at little cost, not
 * surely the best. Paths grow from home yard by yard, by rising time; of those at one yard within some minutes the best
 * paid goes on.
 */
export function goodLoads(
  numbers: RoundsNumbers,
  day: number,
  prizes: readonly number[],
  floor: number,
): DayLoad[] {
  const { home, between, stopMinutes } = numbers;
  const have = (numbers.have[day] ?? 0) + MINUTE_SLACK;
  const options = yardOptions(numbers, day, prizes);
  const open = options.flatMap((list, yard) => (list.length > 0 ? [yard] : []));
  const buckets: Path[][] = Array.from({ length: Math.floor(have / GRAIN) + 1 }, () => []);
  const held = options.map(() => new Float64Array(buckets.length).fill(Number.NEGATIVE_INFINITY));
  const ends: Path[] = [];
  const add = (before: Path | undefined, yard: number) => {
    const way = before ? (between[before.yard]?.[yard] ?? 0) : (home[yard] ?? 0);
    const start = (before?.minutes ?? 0) + way + stopMinutes;
    const latest = have - (home[yard] ?? 0);
    const row = held[yard] as Float64Array;
    for (const option of options[yard] ?? []) {
      const minutes = start + option.minutes;
      if (minutes > latest) break;
      const prize = (before?.prize ?? 0) + option.prize - way;
      const bucket = Math.floor(minutes / GRAIN);
      if ((row[bucket] as number) >= prize) continue;
      row[bucket] = prize;
      buckets[bucket]?.push({
        yard,
        minutes,
        prize,
        mask: (before?.mask ?? 0) | (1 << yard),
        before,
        option,
      });
    }
  };
  for (const yard of open) add(undefined, yard);
  for (const [at, bucket] of buckets.entries())
    // Paths that take little time come into the bucket that is being worked off.
    for (let index = 0; index < bucket.length; index++) {
      const path = bucket[index] as Path;
      if ((held[path.yard]?.[at] ?? 0) > path.prize) continue;
      if (worthOf(numbers, path) > floor + PRIZE_SLACK) ends.push(path);
      for (const yard of open) if (!(path.mask & (1 << yard))) add(path, yard);
    }
  ends.sort((a, b) => worthOf(numbers, b) - worthOf(numbers, a));
  const loads = new Map<number, DayLoad>();
  for (const path of ends) {
    if (loads.size >= MOST_LOADS) break;
    if (!loads.has(path.mask)) loads.set(path.mask, loadOf(numbers, day, path));
  }
  return [...loads.values()];
}

const worthOf = ({ home }: RoundsNumbers, { prize, yard }: Path): number => prize - (home[yard] ?? 0);

/** The load that a path makes, by the shortest way through its yards. */
function loadOf(numbers: RoundsNumbers, day: number, end: Path): DayLoad {
  const taken: (readonly [number, number])[] = [];
  for (let path: Path | undefined = end; path; path = path.before) taken.push(...path.option.taken);
  return loadFrom(numbers, day, end.mask, taken);
}

/** A load from its yards and jobs, with its cost. */
export function loadFrom(
  { tour, kinds }: RoundsNumbers,
  day: number,
  mask: number,
  taken: readonly (readonly [number, number])[],
): DayLoad {
  const jobs = taken.reduce((sum, [kind, count]) => sum + count * (kinds[kind]?.onDay[day] ?? 0), 0);
  return { day, mask, cost: tour(mask).minutes + jobs, taken: [...taken].sort(([a], [b]) => a - b) };
}

/** By yard, the ways to spend time there that are worth anything at all: longer ones pay more. */
function yardOptions(numbers: RoundsNumbers, day: number, prizes: readonly number[]): YardOption[][] {
  const have = numbers.have[day] ?? 0;
  const lists = numbers.yards.map((): YardOption[] => [{ minutes: 0, prize: 0, taken: [] }]);
  numbers.kinds.forEach((kind, index) => {
    const worth = (prizes[index] ?? 0) - (kind.onDay[day] ?? 0);
    if (!(worth > PRIZE_SLACK)) return;
    const grown = (lists[kind.yard] ?? []).flatMap((option) =>
      Array.from({ length: kind.jobs.length + 1 }, (_unused, count) => ({
        minutes: option.minutes + count * kind.minutes,
        prize: option.prize + count * worth,
        taken: count === 0 ? option.taken : [...option.taken, [index, count] as const],
      })),
    );
    lists[kind.yard] = undominated(grown.filter(({ minutes }) => minutes <= have));
  });
  return lists.map((list) => list.filter(({ taken }) => taken.length > 0));
}

function undominated(options: YardOption[]): YardOption[] {
  const sorted = options.sort((a, b) => a.minutes - b.minutes || b.prize - a.prize);
  let most = Number.NEGATIVE_INFINITY;
  return sorted.filter(({ prize }) => {
    if (prize <= most + PRIZE_SLACK) return false;
    most = prize;
    return true;
  });
}
