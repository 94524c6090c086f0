import { seededRandom } from "../math/random";
import { Board, type Assignment } from "./board";
import type { JobKind, RoundsNumbers } from "./numbers";

/** How dear a change may be at first and at last, as a part of the cost, so that it is taken once in some three times. */
const WARM = 0.06;
/** The same for an assignment that is good already. */
const MILD = 0.004;
const COLD = 0.00002;
/** Jobs taken out at once, at most; a few whole stops or days. */
const MOST_AWAY = 20;
/** How often a day is overlooked when a job is put back: a way past what always comes first (Christiaens and Vanden Berghe 2020). */
const BLINK = 0.05;
/** Every so manieth state that was gone on from is shown. */
const SHOWN = 40;

/**
 * A good assignment without proof: dearest jobs first, each where it costs least, then moved about; after that, `rounds`
 * times over, the jobs of some stops or days are taken out and put back, and what is hardly dearer is gone on from, less
 * and less so (ruin and recreate, Schrimpf and others 2000). `start` is bettered when it is given; `met` is shown what
 * was best on the way and some of the rest. The same numbers give the same plan.
 */
export function goodAssignment(
  numbers: RoundsNumbers,
  rounds: number,
  { start, met, seed = 0, warmth: warmest = start ? MILD : WARM, late = () => false }: Search = {},
): Assignment {
  const out = numbers.have.length;
  const jobs = numbers.kindOf.map((_, job) => job);
  const left = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.left ?? 0;
  const long = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.minutes ?? 0;
  const yardOf = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.yard ?? 0;
  const far = (job: number) => numbers.home[yardOf(job)] ?? 0;
  const now = new Board(numbers, start ? [...start] : jobs.map(() => out));
  if (!start) for (const job of [...jobs].sort((a, b) => left(b) - left(a))) now.insert(job);
  let best = { days: [...now.days], cost: now.cost };
  const near = nearness(numbers.between);
  const random = seededRandom(jobs.length + 1 + seed);
  // Looked up once: where tests run, every look at a global is slow.
  const { floor, log } = Math;
  const pick = (count: number) => floor(random() * count);
  const urgent = (job: number) => numbers.kinds[numbers.kindOf[job] ?? 0]?.onDay.at(-1) ?? 0;
  const overlook = () => random() < BLINK;
  let gone = 0;
  let timeUp = false;
  for (let round = 0; round < rounds && !(timeUp = late()); round++) {
    const away = someStops(numbers, near, now.days, pick);
    const way = pick(8);
    const by = [undefined, left, long, far, urgent][pick(5)];
    if (by) away.sort((a, b) => by(b) - by(a));
    const [from, before] = [away.map((job) => now.days[job] ?? out), now.cost];
    now.remove(away);
    if (way >= 4) for (const group of groupsOf(away, yardOf)) if (pick(8) > 0) now.insertTogether(group);
    const rest = away.filter((job) => now.days[job] === out);
    if (way < 7) for (const job of rest) now.insert(job, overlook);
    else now.insertByRegret(rest);
    const warmth = warmest * (COLD / warmest) ** (round / rounds);
    if (now.cost > before - best.cost * warmth * log(1 - random())) now.restore(away, from, before);
    else if (now.cost < best.cost - 1e-9) {
      best = { days: [...now.days], cost: now.cost };
      met?.(best.days);
    } else if (++gone % SHOWN === 0) met?.(now.days);
  }
  const last = new Board(numbers, best.days);
  if (!timeUp) last.settle(true, late);
  return last.days;
}

/** How a good assignment is looked for. */
export interface Search {
  start?: Assignment | undefined;
  met?: (days: Assignment) => void;
  /** Another number, another search. */
  seed?: number;
  /** How dear a change may be at first, as a part of the cost. */
  warmth?: number;
  /** True when time is up. */
  late?: () => boolean;
}

type Pick = (count: number) => number;

/** All that is left out, and the jobs of some stops: of one day, of days about it, or at yards near one another. */
function someStops(
  { have, kinds, kindOf }: RoundsNumbers,
  near: readonly (readonly number[])[],
  days: Assignment,
  pick: Pick,
): number[] {
  const out = have.length;
  const yardOf = (job: number) => (kinds[kindOf[job] as number] as JobKind).yard;
  const seed = pick(days.length);
  const [yard, day] = [yardOf(seed), days[seed] as number];
  const other = pick(out);
  const way = pick(4);
  let about = 0;
  if (way > 0) {
    const count = 1 + pick(Math.min(4, near.length));
    for (let at = 0; at < count; at++) about |= 1 << (near[yard]?.[at] as number);
  }
  const some: number[] = [];
  for (let job = 0; job < days.length; job++) {
    const on = days[job] as number;
    let taken: boolean;
    if (on === out) taken = pick(MOST_AWAY) < 8;
    else if (way === 0) taken = on === day || (on === other && pick(2) === 0);
    else if (((about >> yardOf(job)) & 1) === 0) taken = false;
    else taken = way === 1 || on === day || (way === 2 ? Math.abs(on - day) <= 2 : on === other);
    if (taken) some.push(job);
  }
  shuffled(some, pick);
  const stops = groupsOf(some, (job) => yardOf(job) * (out + 1) + (days[job] as number));
  const away: number[] = [];
  const most = 2 + pick(MOST_AWAY);
  for (const stop of stops) if (away.length === 0 || away.length + stop.length <= most) away.push(...stop);
  return away;
}

/** Jobs that share a number, together; the groups in the order of their first. */
function groupsOf(jobs: readonly number[], shared: (job: number) => number): number[][] {
  const groups = new Map<number, number[]>();
  for (const job of jobs) {
    const group = groups.get(shared(job));
    if (group) group.push(job);
    else groups.set(shared(job), [job]);
  }
  return [...groups.values()];
}

/** By yard, all yards by how near they lie to it, itself first. */
const nearness = (between: RoundsNumbers["between"]): number[][] =>
  between.map((ways, yard) =>
    [...ways.keys()].sort((a, b) =>
      a === yard ? -1 : b === yard ? 1 : (ways[a] as number) - (ways[b] as number),
    ),
  );

function shuffled(list: number[], pick: Pick): void {
  for (let index = list.length - 1; index > 0; index--) {
    const other = pick(index + 1);
    const [a, b] = [list[index] ?? 0, list[other] ?? 0];
    [list[index], list[other]] = [b, a];
  }
}
