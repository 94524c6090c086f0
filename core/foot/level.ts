import type { Bounds } from "../constants/bounds";

/** The four words in which every statement about a foot is made. */
export type Level = "steady" | "drifting" | "act" | "ask the vet";

/** One reading lies within this many sd above what is true in 95 of 100, normal and one-sided. */
const READS_WITHIN_SD = 1.64;

/**
 * The level of a value that was read with noise: it speaks only where what is left after the noise is beyond a bound.
 * `sd` is that of the value itself, in its own unit, 0 or more. The sign does not matter.
 */
export const levelBeyond = (value: number, sd: number, bounds: Bounds): Level =>
  levelOf(Math.max(0, beyondNoise(Math.abs(value), sd)), bounds);

/** What of a value is sure to be there: 95 of 100 readings of it lie no lower. */
export const beyondNoise = (value: number, sd: number): number => value - READS_WITHIN_SD * sd;

/** Steady up to and including the first bound, act beyond the second; the sign does not matter. */
export function levelOf(value: number, [drifting, act]: Bounds): Level {
  const size = Math.abs(value);
  if (size <= drifting) return "steady";
  return size <= act ? "drifting" : "act";
}
