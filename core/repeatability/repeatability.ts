import type { Entry } from "../constants/entry";
import { fail, ok, type Result } from "../result";

/** 1.96 x sqrt 2, to the two places in which it is always written. */
const SMALLEST_CHANGE_FACTOR = 2.772;
const PAIRS_UNTIL_OWN = 10;

export interface Repeatability {
  n: number;
  /** Within-subject standard deviation, in the unit of the pairs. */
  sd: number;
  /** Smallest real change between two measures: 2.772 sd. */
  smallestChange: number;
}

/**
 * Within-subject sd from pairs of repeated measures: sqrt(sum of squared differences / 2n).
 * Errors: `no-pairs` for an empty list. Source: Bland and Altman 1996, BMJ 312:1654.
 */
export function repeatability(pairs: readonly (readonly [number, number])[]): Result<Repeatability> {
  if (pairs.length === 0)
    return fail("no-pairs", "pairs", "At least one pair of repeated measures is wanted.");
  const squares = pairs.reduce((sum, [a, b]) => sum + (a - b) ** 2, 0);
  const sd = Math.sqrt(squares / (2 * pairs.length));
  return ok({ n: pairs.length, sd, smallestChange: SMALLEST_CHANGE_FACTOR * sd });
}

/** How much of a difference is only the measuring: smallest real change of one angle and of one length. */
export interface Noise {
  angleDeg: number;
  lengthMm: number;
  source: string;
}

/** Used until the practitioner's own pairs exist. */
export const GENERAL_NOISE: Entry<Noise> = {
  value: { angleDeg: 1.5, lengthMm: 3, source: "general value, not yet your own" },
  unit: "deg and mm",
  source: "trade practice: 1.5 deg and 3 mm between repeated measures, that is sd 0.54 deg and 1.1 mm",
  validFor: "a practised hand with a gauge and calliper",
  sure: "common practice",
};

/** The practitioner's own noise once ten pairs of each kind exist, the general value until then, and which it is. */
export function ownNoise(
  anglePairs: readonly (readonly [number, number])[],
  lengthPairs: readonly (readonly [number, number])[],
): Noise {
  const angle = repeatability(anglePairs);
  const lengths = repeatability(lengthPairs);
  if (!angle.ok || !lengths.ok || angle.value.n < PAIRS_UNTIL_OWN || lengths.value.n < PAIRS_UNTIL_OWN)
    return GENERAL_NOISE.value;
  return {
    angleDeg: angle.value.smallestChange,
    lengthMm: lengths.value.smallestChange,
    source: `your own, from ${angle.value.n} angle and ${lengths.value.n} length pairs`,
  };
}

/** Within-subject sd behind a smallest real change. */
export const sdOfSmallestChange = (smallestChange: number): number => smallestChange / SMALLEST_CHANGE_FACTOR;
