import { ROOM_FACTS, type PracticeRoom, type Try } from "./tryRecord";

/** A thing that is practised, by where it was and what: "Sole: Toe". */
export interface Skill {
  room: PracticeRoom;
  what: string;
  of: string;
  unit: "mm" | "deg" | "wrong";
}

/** How a skill stands: its mean miss lately, and whether it got better. */
export interface SkillStanding extends Skill {
  n: number;
  /** Mean size of the miss over the later half of the latest twenty: mm, deg, or the part that was wrong. */
  now: number;
  /** The same over the earlier half; missing with fewer than four in it. */
  before?: number;
  /** Beyond its own scatter: two and a half times the standard error of the difference of both means. */
  change?: "better" | "worse";
}

const LATEST = 20;
const LEAST_A_HALF = 4;
const LEAST_TO_NAME = 3;
/** In standard errors. Two would call one skill in twenty better by luck, and there are thirty of them. */
const BEYOND = 2.5;

const byTime = (tries: readonly Try[]): Try[] => [...tries].sort((a, b) => a.at.localeCompare(b.at));
const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;
function variance(values: readonly number[]): number {
  const middle = mean(values);
  return values.reduce((sum, one) => sum + (one - middle) ** 2, 0) / Math.max(1, values.length - 1);
}

function standingOf(skill: Skill, offs: readonly number[]): SkillStanding {
  const latest = offs.slice(-LATEST);
  const half = Math.floor(latest.length / 2);
  if (half < LEAST_A_HALF) return { ...skill, n: offs.length, now: mean(latest) };
  const [earlier, later] = [latest.slice(0, half), latest.slice(half)];
  const [before, now] = [mean(earlier), mean(later)];
  const error = Math.sqrt(variance(later) / later.length + variance(earlier) / earlier.length);
  const change = Math.abs(before - now) > BEYOND * error ? (now < before ? "better" : "worse") : undefined;
  return { ...skill, n: offs.length, now, before, ...(change && { change }) };
}

/**
 * Every skill of a room as it stands: of the latest twenty times the later half against the earlier. A change is only
 * called one beyond its scatter (Welch 1947, the usual two-sample form), so that a lucky foot is not progress.
 */
export function standings(tries: readonly Try[], room: PracticeRoom): SkillStanding[] {
  const found = new Map<string, { skill: Skill; offs: number[] }>();
  for (const one of byTime(tries)) {
    if (one.room !== room) continue;
    // In a round of questions, at the trim and at the bar it does not matter on what; a mark belongs to its view.
    const what = room === "measure" || room === "run" ? one.what : "";
    for (const { of, unit, off } of one.misses) {
      const key = `${what}\u0001${of}`;
      const at = found.get(key) ?? { skill: { room, what, of, unit }, offs: [] };
      at.offs.push(Math.abs(off));
      found.set(key, at);
    }
  }
  return [...found.values()].map(({ skill, offs }) => standingOf(skill, offs));
}

/** The room as a whole: the mean miss of each try as one number; undefined before the first. */
export function overall(tries: readonly Try[], room: PracticeRoom): SkillStanding | undefined {
  const mine = byTime(tries).filter((one) => one.room === room && one.misses.length > 0);
  const unit = mine[0]?.misses[0]?.unit;
  if (unit === undefined) return undefined;
  return standingOf(
    { room, what: "", of: ROOM_FACTS[room].whole, unit },
    mine.map(({ misses }) => mean(misses.map(({ off }) => Math.abs(off)))),
  );
}

/** The skill that is missed most of those met at least three times, undefined where nothing was missed. */
export function weakest(all: readonly SkillStanding[]): SkillStanding | undefined {
  return all
    .filter(({ n, now }) => n >= LEAST_TO_NAME && now > 0)
    .reduce<SkillStanding | undefined>(
      (worst, one) => (worst && worst.now >= one.now ? worst : one),
      undefined,
    );
}

/** One point of the chart of a room: score and level of each try, in order. */
export interface ProgressPoint {
  at: string;
  score: number;
  level: number;
  /** Mean score of the five up to here. */
  running: number;
}

const RUNNING = 5;

export function progressOf(tries: readonly Try[], room: PracticeRoom): ProgressPoint[] {
  const mine = byTime(tries).filter((one) => one.room === room);
  return mine.map(({ at, score, level }, index) => ({
    at,
    score,
    level,
    running: mean(mine.slice(Math.max(0, index + 1 - RUNNING), index + 1).map((one) => one.score)),
  }));
}
