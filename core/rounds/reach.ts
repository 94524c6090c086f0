import { bitCount, MINUTE_SLACK, type RoundsNumbers } from "./numbers";
import { LoadTable } from "./table";
import type { Known } from "./relaxed";

/** All day-loads that are no dearer than they may be. */
export interface Reached {
  table: LoadTable;
  /** No plan costs less: what the prices come to, less what any day's best load costs too little. */
  bound: number;
}

/** Jobs of one kind that could be done on a day, the most paid for a minute first. */
interface Item {
  kind: number;
  yard: number;
  minutes: number;
  /** What one is paid, less what it costs on the day. */
  worth: number;
  onDay: number;
  most: number;
}

/**
 * Every day-load that costs no more than so much too much at a relaxed plan's prices. What a plan costs is what the prices
 * come to, and what each of its loads is too dear: a plan that is cheaper than bound and reach together holds no other
 * loads. They are put into the table; nothing when it comes to more than `most`.
 */
export function loadsInReach(
  numbers: RoundsNumbers,
  plan: Pick<Known, "prices" | "limits">,
  reach: number,
  most: number,
  table = new LoadTable(),
): Reached | undefined {
  const { kinds, have } = numbers;
  const { prices, limits } = plan;
  const first = kinds.length + have.length;
  // Prices that are not at rest may be too high: then a job is left out, a day is free, a limit costs nothing.
  let bound = kinds.reduce(
    (sum, { jobs, left }, kind) => sum + jobs.length * Math.min(left, prices[kind] ?? 0),
    limits.reduce((sum, { most: held }, at) => sum + held * Math.min(0, prices[first + at] ?? 0), 0),
  );
  for (const day of have.keys()) {
    const least = reachOnDay(numbers, plan, day, reach, table, most);
    if (least === undefined) return undefined;
    const price = prices[kinds.length + day] ?? 0;
    bound += price + Math.min(0, least, -price);
  }
  return { table, bound };
}

/** Puts the loads of one day into the table; how dear the least dear is. */
function reachOnDay(
  numbers: RoundsNumbers,
  { prices, limits }: Pick<Known, "prices" | "limits">,
  day: number,
  reach: number,
  table: LoadTable,
  most: number,
): number | undefined {
  const { kinds, stopMinutes, tour, home, have: haves } = numbers;
  const have = (haves[day] ?? 0) + MINUTE_SLACK;
  const first = kinds.length + haves.length;
  const need = -(prices[kinds.length + day] ?? 0) - reach;
  const items = kinds
    .flatMap(({ yard, minutes, onDay, jobs }, kind): Item[] => {
      const own = onDay[day] ?? 0;
      return Number.isFinite(own) && minutes <= have
        ? [{ kind, yard, minutes, worth: (prices[kind] ?? 0) - own, onDay: own, most: jobs.length }]
        : [];
    })
    .sort(
      (a, b) => b.worth / Math.max(b.minutes, LEAST_MINUTES) - a.worth / Math.max(a.minutes, LEAST_MINUTES),
    );
  const shortest = new Map<number, number>();
  for (const { yard, minutes } of items)
    shortest.set(yard, Math.min(minutes, shortest.get(yard) ?? Number.POSITIVE_INFINITY));
  // The farthest yard first: the way that it takes is known at once.
  const open = [...shortest.keys()].sort((a, b) => (home[b] ?? 0) - (home[a] ?? 0));
  const later = open.map((_, at) => open.slice(at).reduce((mask, yard) => mask | (1 << yard), 0));

  // What a limit takes from a load that counts in it: by row, the limits over it.
  const over = new Map<number, number[]>();
  const fines = limits.map((_, number) => Math.max(0, -(prices[first + number] ?? 0)));
  limits.forEach(({ rows = [] }, number) => {
    if (fines[number] === 0) return;
    for (const row of rows) over.set(row, [...(over.get(row) ?? []), number]);
  });
  const met = new Uint8Array(limits.length);
  const onDayRow = over.get(kinds.length + day) ?? [];
  const rowsOf = items.map(({ kind }) => over.get(kind) ?? []);

  const taken: number[] = [];
  const times: number[] = [];
  let fine = 0;
  /** Counts a row so many times more; what the limits take changes with it. */
  const count = (row: readonly number[], more: number) => {
    for (let at = 0; at < row.length; at++) {
      const limit = row[at] as number;
      const before = (met[limit] as number) >> 1;
      met[limit] = (met[limit] as number) + more;
      fine += (((met[limit] as number) >> 1) - before) * (fines[limit] as number);
    }
  };
  count(onDayRow, 1);

  /** What a minute earns in which the last job is done, when the best paid are: by `gainOf`. */
  let margin = 0;
  /** The most that jobs at some yards are worth in so many minutes, from one on in the list; the last in part. */
  const gainOf = (mask: number, from: number, minutes: number): number => {
    let [gain, left] = [0, minutes];
    margin = 0;
    for (let at = from; at < items.length; at++) {
      const item = items[at] as Item;
      if (item.worth <= 0) break;
      if (((mask >> item.yard) & 1) === 0) continue;
      const all = item.minutes * item.most;
      if (all > left) {
        margin = item.worth / item.minutes;
        return gain + left * margin;
      }
      gain += item.worth * item.most;
      left -= all;
    }
    return gain;
  };
  /**
   * The same, with half of what each limit would take that was met an odd number of times: no more than what it takes
   * from all that follow. At a fixed price of minutes, so it holds in any order.
   */
  const finedGain = (mask: number, from: number, minutes: number): number => {
    let gain = minutes * margin;
    for (let at = from; at < items.length; at++) {
      const item = items[at] as Item;
      if (item.worth <= 0) break;
      if (((mask >> item.yard) & 1) === 0) continue;
      const rows = rowsOf[at] as readonly number[];
      let worth = item.worth - item.minutes * margin;
      if (worth <= 0) continue;
      for (let row = 0; row < rows.length; row++) {
        const limit = rows[row] as number;
        if ((met[limit] as number) & 1) worth -= (fines[limit] as number) / 2;
      }
      if (worth > 0) gain += item.most > 1 ? item.most * (item.worth - item.minutes * margin) : worth;
    }
    return gain;
  };

  let least = Number.POSITIVE_INFINITY;
  const fill = (mask: number, drive: number, room: number): void => {
    const list: number[] = [];
    for (let at = 0; at < items.length; at++) if ((mask >> (items[at] as Item).yard) & 1) list.push(at);
    const rest = new Int32Array(list.length + 1);
    for (let at = list.length - 1; at >= 0; at--)
      rest[at] = (rest[at + 1] as number) | (1 << (items[list[at] as number] as Item).yard);
    const go = (at: number, left: number, worth: number, seen: number, cost: number): void => {
      if (table.count > most || (seen | (rest[at] as number)) !== mask) return;
      const from = list[at] ?? items.length;
      if (worth - fine + gainOf(mask, from, left) < need) return;
      if (limits.length > 0 && worth - fine + finedGain(mask, from, left) < need) return;
      if (at === list.length) {
        least = Math.min(least, need + reach - worth + fine);
        table.add(day, mask, cost, taken, times);
        return;
      }
      const number = list[at] as number;
      const item = items[number] as Item;
      const rows = rowsOf[number] as readonly number[];
      let some = item.most;
      while (some > 0 && some * item.minutes > left) some -= 1;
      for (; some > 0; some--) {
        taken.push(item.kind);
        times.push(some);
        count(rows, some);
        go(
          at + 1,
          left - some * item.minutes,
          worth + some * item.worth,
          seen | (1 << item.yard),
          cost + some * item.onDay,
        );
        count(rows, -some);
        taken.pop();
        times.pop();
      }
      go(at + 1, left, worth, seen, cost);
    };
    go(0, room, -drive, 0, drive);
  };
  const grow = (mask: number, from: number, work: number): void => {
    for (let at = from; at < open.length && table.count <= most; at++) {
      const yard = open[at] as number;
      const next = mask | (1 << yard);
      const more = work + stopMinutes + (shortest.get(yard) ?? 0);
      // Roads keep the triangle: with more yards no way is shorter.
      if (more > have) continue;
      const { minutes } = tour(next);
      const room = have - stopMinutes * bitCount(next) - minutes;
      if (more + minutes > have || gainOf(next | (later[at + 1] ?? 0), 0, room) - minutes < need) continue;
      if (limits.length > 0 && finedGain(next | (later[at + 1] ?? 0), 0, room) - minutes < need) continue;
      fill(next, minutes, room);
      grow(next, at + 1, more);
    }
  };
  grow(0, 0, 0);
  return table.count > most ? undefined : least;
}

/** A job without minutes would be infinitely well paid, minutes. */
const LEAST_MINUTES = 1e-6;
