import { z } from "zod";
import { fail, ok, type Result } from "../result";
import { finite } from "../schema/fields";

/** Where the times of footfalls come from. */
export const BEAT_FROM = ["tapped", "sound"] as const;

/** The beat of a look as it is kept: footfalls in seconds from the first. */
export const keptBeatSchema = z.strictObject({
  times: z.array(finite.min(0).max(3600)).min(2).max(2000),
  from: z.enum(BEAT_FROM),
});
export type KeptBeat = z.infer<typeof keptBeatSchema>;

/** A rhythm read from footfalls. */
export interface Beat {
  /** Footfalls a minute. */
  perMinute: number;
  /** Seconds between footfalls, first and last step left out; sd with n - 1. */
  intervals: { mean: number; sd: number };
  /** Mean of every other interval, the first used one among them, over the mean of those between: 1 is even. */
  evenness: number;
  /** Standard error of the evenness, from the spread about the means of both halves. */
  evennessSe: number;
  /** Spread of the intervals about the means of both halves, over the mean interval. */
  scatter: number;
  /** Intervals that were used. */
  used: number;
  /** Places in the list of times after which a footfall seems to be missing. */
  gaps: number[];
}

/** Fewer footfalls than this make no rhythm: first and last step are left out, and one interval of each kind is wanted. */
export const LEAST_FALLS = 5;
/** With so many in between the average is worth something. Source: trade practice, six to ten steps. */
export const ENOUGH_INTERVALS = 6;
/** No horse's feet fall further apart than this while it goes, nor closer together, s. Assumption, from ordinary gaits. */
const SLOWEST_S = 2;
const FASTEST_S = 0.1;
/** An interval this much longer than the middle one has a footfall missing in it. */
const GAP = 1.6;

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const squaresAbout = (values: readonly number[], middle = mean(values)): number =>
  values.reduce((sum, value) => sum + (value - middle) ** 2, 0);

/**
 * The rhythm of footfalls at `times`, seconds, in rising order. First and last step are left out, because a hand begins late
 * and ends early. A metronome: it says how even the feet fall, never why.
 * Errors: `too-few`, `order` where a time is not after the one before, `too-slow` and `too-fast` for what no horse does.
 * Source: trade practice; standard error of a ratio of means by first-order propagation.
 */
export function readBeat(times: readonly number[]): Result<Beat> {
  if (times.length < LEAST_FALLS)
    return fail(
      "too-few",
      "times",
      `${times.length} footfalls make no rhythm: tap at least ${LEAST_FALLS}, better ten. The first and the last are left out.`,
      times.length,
    );
  const wrong = times.findIndex(
    (time, at) => !Number.isFinite(time) || (at > 0 && time <= (times[at - 1] ?? 0)),
  );
  if (wrong >= 0)
    return fail("order", `times.${wrong}`, "Each footfall comes after the one before it.", times[wrong]);
  const all = times.slice(1).map((time, at) => time - (times[at] ?? 0));
  const used = all.slice(1, -1);
  const middle = [...used].sort((a, b) => a - b)[Math.floor(used.length / 2)] ?? 0;
  if (middle > SLOWEST_S)
    return fail(
      "too-slow",
      "times",
      `A footfall every ${middle.toFixed(1)} s is no walk and no trot. Tap each time a foot comes down.`,
      middle,
    );
  if (middle < FASTEST_S)
    return fail(
      "too-fast",
      "times",
      `A footfall every ${middle.toFixed(2)} s is faster than any horse. Tap one pair of feet, or slow the clip.`,
      middle,
    );
  const odd = used.filter((_, at) => at % 2 === 0);
  const even = used.filter((_, at) => at % 2 === 1);
  const [mo, me] = [mean(odd), mean(even)];
  const evenness = mo / me;
  // Both halves are tapped by one hand: their spread is pooled. Of two intervals alone it is theirs about one mean.
  const spread =
    used.length > 2
      ? (squaresAbout(odd) + squaresAbout(even)) / (used.length - 2)
      : squaresAbout(used) / (used.length - 1);
  const relative = spread / odd.length / mo ** 2 + spread / even.length / me ** 2;
  return ok({
    perMinute: 60 / mean(used),
    intervals: { mean: mean(used), sd: Math.sqrt(squaresAbout(used) / (used.length - 1)) },
    evenness,
    evennessSe: evenness * Math.sqrt(relative),
    scatter: Math.sqrt(spread) / mean(used),
    used: used.length,
    gaps: all.flatMap((interval, at) => (interval > GAP * middle ? [at] : [])),
  });
}

/** 95 of 100 lie within so many standard errors. */
const BAND = 1.96;
/** How far from even, without which of the two beats is the longer: a hand begins on either. */
const uneven = ({ evenness }: Beat): number => Math.abs(Math.log(evenness));
const relativeSe = ({ evenness, evennessSe }: Beat): number => evennessSe / evenness;
/** However alike the steps are, an evenness is known no better than this. Assumption: footfalls are heard to some 10 ms. */
const KNOWN_TO = 0.02;

/**
 * Intervals that lie further apart than this, over their mean, are no rhythm: something else was heard or a foot was missed.
 * Assumption: a horse's own steps differ by some 5 %, a hand's taps by some 10 %.
 */
const NOISY = 0.2;
/** True where neither a rate nor an evenness can be told. */
export const isNoisy = ({ scatter }: Beat): boolean => scatter > NOISY;

/** True where a beat is uneven beyond its own noise. */
export const isUneven = (beat: Beat): boolean => uneven(beat) > Math.max(KNOWN_TO, BAND * relativeSe(beat));

const band = ({ evenness, evennessSe }: Beat): string =>
  `${evenness.toFixed(2)} ± ${Math.max(KNOWN_TO, BAND * evennessSe).toFixed(2)}`;

/** "148 a minute, even (0.99 ± 0.03)": one beat in words. */
export function beatInWords(beat: Beat): string {
  if (isNoisy(beat))
    return `too noisy to tell (the steps differ by ${Math.round(100 * beat.scatter)} %: take away what is no footfall, or tap along)`;
  const rate = `${Math.round(beat.perMinute)} a minute`;
  return `${rate}, ${isUneven(beat) ? "uneven" : "even"} (${band(beat)})`;
}

/** What changed from one beat to a later one, as one sentence. Said to be changed only beyond the noise of both. */
export function beatChange(before: Beat, after: Beat): string {
  if (isNoisy(before) || isNoisy(after)) return `${beatInWords(after)}; before ${beatInWords(before)}.`;
  const change = uneven(after) - uneven(before);
  const noise = Math.max(KNOWN_TO, BAND * Math.hypot(relativeSe(before), relativeSe(after)));
  const rate = after.perMinute - before.perMinute;
  const pace =
    Math.abs(rate) >= Math.max(2, 0.03 * before.perMinute)
      ? ` ${Math.round(Math.abs(rate))} a minute ${rate > 0 ? "quicker" : "slower"}`
      : " at the same rate";
  const said =
    Math.abs(change) <= noise
      ? "as even as before, within the noise"
      : change < 0
        ? "evener than before, beyond the noise"
        : "less even than before, beyond the noise";
  return `${beatInWords(after)}; before ${beatInWords(before)}:${pace}, ${said}.`;
}

/** A beat of few intervals is told as such. */
export const isThin = ({ used }: Beat): boolean => used < ENOUGH_INTERVALS;
