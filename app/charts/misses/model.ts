import type { HandStep } from "~core/forge/hand";

/** What the chart of the hand draws: each like shoe in turn, mm. */
export interface MissesModel {
  /** Number of the shoe from 1, what it missed by the bare computation, and by what was said to cut. */
  shoes: { number: number; date: string; miss: number; left: number }[];
  /** Lowest and highest that is drawn, the zero line inside. */
  range: readonly [number, number];
  /** Mean size of what was left over the first and the last third; undefined under six shoes. */
  smaller?: { first: number; last: number };
}

const LEAST_FOR_TREND = 6;
const ROOM_MM = 2;

export function missesModel(steps: readonly HandStep[]): MissesModel {
  const shoes = steps.map(({ date, miss, left }, index) => ({ number: index + 1, date, miss, left }));
  const all = [0, ...shoes.flatMap(({ miss, left }) => [miss, left])];
  const third = Math.floor(shoes.length / 3);
  const size = (part: typeof shoes) => part.reduce((sum, { left }) => sum + Math.abs(left), 0) / part.length;
  return {
    shoes,
    range: [Math.min(...all) - ROOM_MM, Math.max(...all) + ROOM_MM],
    ...(shoes.length >= LEAST_FOR_TREND && {
      smaller: { first: size(shoes.slice(0, third)), last: size(shoes.slice(-third)) },
    }),
  };
}
