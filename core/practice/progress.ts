import type { PracticeRoom, Try } from "./tryRecord";

/** A thing that is practised, by where it was and what: "Sole: Toe". */
export interface Skill {
  room: PracticeRoom;
  what: string;
  of: string;
  unit: "mm" | "deg" | "wrong";
}

/** How a skill stands: its mean miss over the latest, and whether it got better. */
export interface SkillStanding extends Skill {
  n: number;
  /** Mean size of the miss over the latest ten: mm, deg, or the part that was wrong. */
  now: number;
  /** The same over the ten before those; missing with fewer than five. */
  before?: number;
  /** Beyond its own scatter: twice the standard error of the difference of both means. */
  change?: "better" | "worse";
}

const LATEST = 10;
const LEAST_BEFORE = 5;
const LEAST_TO_NAME = 3;

const byTime = (tries: readonly Try[]): Try[] => [...tries].sort((a, b) => a.at.localeCompare(b.at));
const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;
function variance(values: readonly number[]): number {
  const middle = mean(values);
  return values.reduce((sum, one) => sum + (one - middle) ** 2, 0) / Math.max(1, values.length - 1);
}

/**
 * Every skill of a room as it stands: the latest ten against the ten before. A change is only called one beyond twice its
 * standard error (Welch 1947, the usual two-sample form), so that a lucky foot is not progress.
 */
export function standings(tries: readonly Try[], room: PracticeRoom): SkillStanding[] {
  const found = new Map<string, { skill: Skill; offs: number[] }>();
  for (const one of byTime(tries)) {
    if (one.room !== room) continue;
    // In a round of questions the picture does not matter, in a run the protocol does.
    const what = room === "read" || room === "length" || room === "cut" ? "" : one.what;
    for (const { of, unit, off } of one.misses) {
      const key = `${what}\u0001${of}`;
      const at = found.get(key) ?? { skill: { room, what, of, unit }, offs: [] };
      at.offs.push(Math.abs(off));
      found.set(key, at);
    }
  }
  return [...found.values()].map(({ skill, offs }) => {
    const latest = offs.slice(-LATEST);
    const earlier = offs.slice(-2 * LATEST, -LATEST);
    const standing: SkillStanding = { ...skill, n: offs.length, now: mean(latest) };
    if (earlier.length < LEAST_BEFORE) return standing;
    const before = mean(earlier);
    const error = Math.sqrt(variance(latest) / latest.length + variance(earlier) / earlier.length);
    const change =
      Math.abs(before - standing.now) > 2 * error ? (standing.now < before ? "better" : "worse") : undefined;
    return { ...standing, before, ...(change && { change }) };
  });
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
