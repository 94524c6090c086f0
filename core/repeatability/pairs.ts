import { z } from "zod";
import { MEASURE_FACTS, MEASURES } from "../foot/measures";
import { dateField, finite } from "../record/fields";
import { ownNoise, type Noise } from "./repeatability";

/** Two readings of one measure, the second without looking at the first. Mm or degrees. */
export const pairSchema = z.strictObject({
  date: dateField,
  measure: z.enum(MEASURES),
  a: finite,
  b: finite,
});
export type Pair = z.infer<typeof pairSchema>;

/** As many are kept; a hand changes, and the newest tell most. */
export const MOST_PAIRS = 400;

/** The pairs with one more, the oldest let go of. */
export const withPair = (pairs: readonly Pair[], pair: Pair): Pair[] => [...pairs, pair].slice(-MOST_PAIRS);

/** Pairs of one kind, as numbers. */
export const pairsOf = (pairs: readonly Pair[], kind: "angle" | "length"): [number, number][] =>
  pairs.flatMap(({ measure, a, b }): [number, number][] =>
    MEASURE_FACTS[measure].kind === kind ? [[a, b]] : [],
  );

/** The noise of this user's measuring: one's own once ten pairs of each kind exist, the general value until then. */
export const noiseOf = ({ pairs }: { pairs: readonly Pair[] }): Noise =>
  ownNoise(pairsOf(pairs, "angle"), pairsOf(pairs, "length"));
