import { extent } from "d3-array";
import { dayNumber } from "~core/calendar/date";
import type { Progress } from "~core/casework/caseProgress";

export interface ProgressModel {
  points: { day: number; value: number }[];
  byGrowth: { day: number; value: number }[];
  target: number | undefined;
  days: readonly [number, number];
  range: readonly [number, number];
}

/** A case's series as a small chart; undefined where nothing was measured. */
export function progressModel({ points, byGrowth, target, kind }: Progress): ProgressModel | undefined {
  if (points.length === 0) return undefined;
  const own = points.map(({ date, value }) => ({ day: dayNumber(date), value }));
  const grown = byGrowth.map(({ date, value }) => ({ day: dayNumber(date), value }));
  const [low = 0, high = 1] = extent([...own, ...grown].map(({ value }) => value).concat(target ?? []));
  const room = Math.max(kind === "angle" ? 0.5 : 1, 0.08 * (high - low));
  const [first = 0, last = 1] = extent([...own, ...grown].map(({ day }) => day));
  return {
    points: own,
    byGrowth: grown,
    target,
    days: [first, Math.max(last, first + 1)],
    range: [low - room, high + room],
  };
}
