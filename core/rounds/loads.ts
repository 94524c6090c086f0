import { MINUTE_SLACK, type RoundsNumbers } from "./numbers";

/** What one day could hold: yards as bits and how many of each kind of job. */
export interface DayLoad {
  /** Its day and jobs in a word: no two loads share it. */
  name: string;
  day: number;
  mask: number;
  /** Kind and how many of it, by rising kind. */
  taken: readonly (readonly [kind: number, count: number])[];
  /** Drive and the days' costs of its jobs, minutes. */
  cost: number;
}

/** What is paid for each kind of job on a day, and for each yard that is visited. */
export interface Prizes {
  kind: readonly number[];
  yard: readonly number[];
  /** Yards that must not be visited, as bits. */
  shut: number;
  /** Loads that are worth no more than this are not asked for. */
  floor: number;
}

/** A way to spend time at a yard: none else takes as little for as much. */
interface YardOption {
  minutes: number;
  prize: number;
  taken: readonly (readonly [number, number])[];
}

/** A day begun: at a yard with so much time gone. `seen` are the yards that it remembers and will not visit again. */
interface Path {
  yard: number;
  minutes: number;
  prize: number;
  seen: number;
  mask: number;
  before: Path | undefined;
  option: YardOption;
}

/** So many of the nearest yards are remembered by a path; with no more yards than this every tour is a true one. */
export const REMEMBERED = 16;
/** With so few yards what a path can still earn is worked out for each set of yards that it has seen. */
export const FEW_YARDS = 9;
/** Loads handed back for one day. */
const MOST_LOADS = 12;
/** A quick search keeps one path for each yard and so many minutes. */
const QUICK_GRAIN = 8;
/** Prizes closer than this are one and the same, minutes. */
const PRIZE_SLACK = 1e-9;
/** A stretch without length would be infinitely steep, minutes. */
const LEAST_MINUTES = 1e-6;

/** For each yard the yards that a path remembers when it comes by: the nearest, itself among them. */
export function nearYards({ between }: RoundsNumbers): number[] {
  return between.map((row, yard) =>
    row
      .map((minutes, other) => ({ minutes: other === yard ? -1 : minutes, other }))
      .sort((a, b) => a.minutes - b.minutes || a.other - b.other)
      .slice(0, REMEMBERED)
      .reduce((mask, { other }) => mask | (1 << other), 0),
  );
}

/**
 * The loads of one day whose prizes outweigh their cost by more than the floor, best first, and the most that any
 * outweighs it, the floor at least. Labels grow from home yard by yard, by rising time; of two at one yard the one that is later, poorer and
 * remembers more is dropped. A path forgets yards that lie far off, so with many yards the most is a bound that a path
 * through one yard twice may set (Baldacci, Mingozzi and Roberti 2011); such a load is not handed back.
 *
 * `quick` keeps one path for each yard and some minutes: good loads at a fraction of the time, and no bound.
 */
export function bestLoads(
  numbers: RoundsNumbers,
  near: readonly number[],
  day: number,
  prizes: Prizes,
  quick = false,
): { most: number; loads: DayLoad[] } {
  const { home, between, stopMinutes } = numbers;
  const have = (numbers.have[day] ?? 0) + MINUTE_SLACK;
  const options = yardOptions(numbers, day, prizes);
  const open = options.flatMap((list, yard) => (list.length > 0 ? [yard] : []));
  const stretches = stretchesOf(numbers, options, open);
  const gains = new Map<number, Float64Array>();
  // With few yards a path earns nothing more where it was; with many there would be a table for too many sets.
  const told = options.length <= FEW_YARDS && !quick;
  const gainAfter = (seen: number): Float64Array => {
    const key = told ? seen : 0;
    const known = gains.get(key);
    if (known) return known;
    const made = restGain(stretches, key, have);
    gains.set(key, made);
    return made;
  };
  const nearest = Math.min(...open.map((yard) => home[yard] ?? 0));
  const buckets: Path[][] = Array.from({ length: Math.floor(have) + 1 }, () => []);
  const best: Map<number, number>[] = options.map(() => new Map());
  const held = quick ? options.map(() => new Float64Array(buckets.length).fill(-1e18)) : [];
  const grain = quick ? QUICK_GRAIN : 1;
  const ends: Path[] = [];
  let most = prizes.floor;
  const add = (before: Path | undefined, yard: number) => {
    const way = before ? (between[before.yard]?.[yard] ?? 0) : (home[yard] ?? 0);
    const start = (before?.minutes ?? 0) + way + stopMinutes;
    const back = home[yard] ?? 0;
    const kept = (quick ? (before?.mask ?? 0) : (before?.seen ?? 0) & (near[yard] ?? 0)) | (1 << yard);
    const gain = gainAfter(kept);
    for (const option of options[yard] ?? []) {
      const minutes = start + option.minutes;
      if (minutes + back > have) continue;
      const prize = (before?.prize ?? 0) + option.prize - way;
      // What is left of the day cannot make up for what it has cost so far.
      const more = prize - nearest + (gain[Math.floor(have - minutes - nearest)] ?? 0);
      if (Math.max(more, prize - back) <= prizes.floor + PRIZE_SLACK) continue;
      const bucket = Math.floor(minutes / grain);
      if (quick) {
        const row = held[yard];
        if (!row || (row[bucket] ?? 0) >= prize) continue;
        row[bucket] = prize;
      } else if ((best[yard]?.get(kept) ?? -1e18) >= prize) continue;
      const mask = (before?.mask ?? 0) | (1 << yard);
      buckets[bucket]?.push({ yard, minutes, prize, seen: kept, mask, before, option });
    }
  };
  for (const yard of open) add(undefined, yard);
  for (const [minute, bucket] of buckets.entries()) {
    // Paths that take no time come into the bucket that is being worked off.
    for (let index = 0; index < bucket.length; index++) {
      const path = bucket[index];
      if (!path) continue;
      if (quick ? (held[path.yard]?.[minute] ?? 0) > path.prize : outdone(best[path.yard], path)) continue;
      if (!quick) best[path.yard]?.set(path.seen, path.prize);
      const worth = path.prize - (home[path.yard] ?? 0);
      if (worth > prizes.floor + PRIZE_SLACK) {
        most = Math.max(most, worth);
        ends.push(path);
      }
      for (const yard of open) if (!(path.seen & (1 << yard))) add(path, yard);
    }
  }
  ends.sort((a, b) => b.prize - (home[b.yard] ?? 0) - (a.prize - (home[a.yard] ?? 0)));
  const loads: DayLoad[] = [];
  const seen = new Set<number>();
  for (const path of ends) {
    if (loads.length >= MOST_LOADS) break;
    if (seen.has(path.mask)) continue;
    const load = loadOf(numbers, day, path);
    if (!load) continue;
    seen.add(path.mask);
    loads.push(load);
  }
  return { most, loads };
}

/** Whether a path at the same yard is at least as good in everything. */
function outdone(best: Map<number, number> | undefined, path: Path): boolean {
  for (const [seen, prize] of best ?? []) if (prize >= path.prize && (seen & ~path.seen) === 0) return true;
  return false;
}

/** The load that a path makes, by the shortest way through its yards; none when it came through one yard twice. */
function loadOf(numbers: RoundsNumbers, day: number, end: Path): DayLoad | undefined {
  const taken: (readonly [number, number])[] = [];
  let mask = 0;
  for (let path: Path | undefined = end; path; path = path.before) {
    if (mask & (1 << path.yard)) return undefined;
    mask |= 1 << path.yard;
    taken.push(...path.option.taken);
  }
  return loadFrom(numbers, day, mask, taken);
}

/** A load from its yards and jobs, with its cost. */
export function loadFrom(
  { tour, kinds }: RoundsNumbers,
  day: number,
  mask: number,
  taken: readonly (readonly [number, number])[],
): DayLoad {
  const sorted = [...taken].sort(([a], [b]) => a - b);
  const jobs = sorted.reduce((sum, [kind, count]) => sum + count * (kinds[kind]?.onDay[day] ?? 0), 0);
  return {
    name: `${day}:${sorted.flat().join(",")}`,
    day,
    mask,
    taken: sorted,
    cost: tour(mask).minutes + jobs,
  };
}

/** By yard, the ways to spend time there that are worth anything at all: longer ones pay more. */
function yardOptions(numbers: RoundsNumbers, day: number, prizes: Prizes): YardOption[][] {
  const have = numbers.have[day] ?? 0;
  return numbers.yards.map((_, yard) => {
    if (prizes.shut & (1 << yard)) return [];
    let list: YardOption[] = [{ minutes: 0, prize: prizes.yard[yard] ?? 0, taken: [] }];
    numbers.kinds.forEach((kind, index) => {
      const worth = (prizes.kind[index] ?? 0) - (kind.onDay[day] ?? 0);
      if (kind.yard !== yard || !(worth > PRIZE_SLACK)) return;
      const grown = list.flatMap((option) =>
        Array.from({ length: kind.jobs.length + 1 }, (_unused, count) => ({
          minutes: option.minutes + count * kind.minutes,
          prize: option.prize + count * worth,
          taken: count === 0 ? option.taken : [...option.taken, [index, count] as const],
        })),
      );
      list = undominated(grown.filter(({ minutes }) => minutes <= have));
    });
    // Where the visit itself is paid for, a single job that is not worth its while may be reason enough to go.
    numbers.kinds.forEach((kind, index) => {
      const prize = (prizes.yard[yard] ?? 0) + (prizes.kind[index] ?? 0) - (kind.onDay[day] ?? 0);
      if (kind.yard === yard && prize > PRIZE_SLACK && kind.minutes <= have)
        list.push({ minutes: kind.minutes, prize, taken: [[index, 1]] });
    });
    return undominated(list.filter(({ taken }) => taken.length > 0));
  });
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

/** A stretch of what can be earned: so many minutes at so much a minute. */
interface Stretch {
  yard: number;
  minutes: number;
  slope: number;
}

/**
 * What each open yard can still earn, as stretches of falling worth: the upper hull over its options, the stop and the
 * shortest way in paid for. Parts of options allowed, so no whole day earns more. The dearest stretch first.
 */
function stretchesOf(
  { home, between, stopMinutes }: RoundsNumbers,
  options: readonly (readonly YardOption[])[],
  open: readonly number[],
): Stretch[] {
  return open
    .flatMap((yard) => {
      const others = open.map((other) =>
        other === yard ? Number.POSITIVE_INFINITY : (between[other]?.[yard] ?? 0),
      );
      const way = Math.min(home[yard] ?? 0, ...others);
      const points = (options[yard] ?? []).map(({ minutes, prize }) => ({
        minutes: stopMinutes + way + minutes,
        prize: prize - way,
      }));
      const hull: Stretch[] = [];
      let [at, earned] = [0, 0];
      for (;;) {
        let next: (typeof points)[number] | undefined;
        let slope = 0;
        for (const point of points) {
          if (point.minutes < at || point.prize <= earned) continue;
          const steep = (point.prize - earned) / Math.max(point.minutes - at, LEAST_MINUTES);
          if (steep > slope) [next, slope] = [point, steep];
        }
        if (!next) return hull;
        hull.push({ yard, minutes: Math.max(next.minutes - at, LEAST_MINUTES), slope });
        [at, earned] = [next.minutes, next.prize];
      }
    })
    .sort((a, b) => b.slope - a.slope);
}

/** By whole minutes left: no more than this can still be earned in them at yards that were not seen. */
function restGain(stretches: readonly Stretch[], seen: number, have: number): Float64Array {
  const gains = new Float64Array(Math.floor(have) + 1);
  let [minute, from, sum] = [0, 0, 0];
  for (const { yard, minutes, slope } of stretches) {
    if (seen & (1 << yard)) continue;
    const to = from + minutes;
    for (; minute < gains.length && minute + 1 <= to; minute++)
      gains[minute] = sum + (minute + 1 - from) * slope;
    sum += minutes * slope;
    from = to;
  }
  return gains.fill(sum, minute);
}
