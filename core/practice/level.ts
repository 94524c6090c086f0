import type { PracticeRoom } from "./tryRecord";

/** How hard practice can be: 1 for whoever begins, 9 for whoever is hardly ever wrong. */
export const LEVELS = 9;
/** From this score a foot was well done, and below this one it was too hard. */
export const WELL_DONE = 80;
export const TOO_HARD = 50;

const within = (level: number): number => Math.min(LEVELS, Math.max(1, level));

/** The level after a scored foot (0 to 100): one up when it was well done, one down when it was too hard. */
export function levelAfter(level: number, score: number): number {
  return within(level + (score >= WELL_DONE ? 1 : score < TOO_HARD ? -1 : 0));
}

/**
 * The level after one answer, right or wrong: one up or two down, so that it settles where two answers of three are
 * right. Source: weighted up-down method, Kaernbach 1991, Perception & Psychophysics 49:227.
 */
export const levelAfterAnswer = (level: number, right: boolean): number => within(level + (right ? 1 : -2));

/** Where this user stands in a room: what the latest try left, or the first level. */
export function levelIn(
  tries: readonly { room: PracticeRoom; at: string; next: number }[],
  room: PracticeRoom,
): number {
  const latest = tries
    .filter((one) => one.room === room)
    .reduce<{ at: string; next: number } | undefined>(
      (last, one) => (last && last.at >= one.at ? last : one),
      undefined,
    );
  return latest?.next ?? 1;
}

/** How far up the levels, 0 to 1. */
export const hardness = (level: number): number => (within(level) - 1) / (LEVELS - 1);

/** Between what it is at the first level and what it is at the last. */
export const atLevel = (level: number, [easy, hard]: readonly [number, number]): number =>
  easy + (hard - easy) * hardness(level);

/**
 * What a miss is worth, 0 to 1: all of it when nothing is missed, half at `half`, falling ever after without an edge at
 * which a hair decides. Assumption, because no published score of marking exists.
 */
export const worthOf = (miss: number, half: number): number => 1 / (1 + (miss / half) ** 2);
