import { z } from "zod";
import { MEASURE_FACTS, MEASURES, type FootValues, type Measure } from "../measures";
import { HAND_MEASURES } from "../handMeasures";
import { CALLIPER_LENGTHS } from "../survey/calliper";
import { dateField, finite } from "../../schema/fields";
import { ownNoise, type Noise } from "../../repeatability/repeatability";

const CALLIPER_IDS = CALLIPER_LENGTHS.map(({ id }) => id);
const handKind = (name: string) => HAND_MEASURES.find(({ id }) => id === name)?.kind;
const HAND_IDS = HAND_MEASURES.map(({ id }) => id);
const isMeasure = (name: string): name is Measure => (MEASURES as readonly string[]).includes(name);

/** Two readings of one measure, of the fast lane, by hand or a length of the sole by calliper, the second without looking at the first. Mm or degrees. */
export const pairSchema = z.strictObject({
  date: dateField,
  measure: z.enum([...MEASURES, ...HAND_IDS, ...CALLIPER_IDS]),
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
    (isMeasure(measure) ? MEASURE_FACTS[measure].kind : (handKind(measure) ?? "length")) === kind
      ? [[a, b]]
      : [],
  );

/** A pair for each measure that two readings of one foot have in common. */
export const pairsOfReadings = (date: string, first: FootValues, second: FootValues): Pair[] =>
  MEASURES.flatMap((measure): Pair[] => {
    const [a, b] = [first[measure]?.value, second[measure]?.value];
    return a === undefined || b === undefined ? [] : [{ date, measure, a, b }];
  });

/** The noise of this user's measuring: one's own once ten pairs of each kind exist, the general value until then. */
export const noiseOf = ({ pairs }: { pairs: readonly Pair[] }): Noise =>
  ownNoise(pairsOf(pairs, "angle"), pairsOf(pairs, "length"));
