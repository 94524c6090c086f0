import { max } from "d3-array";

/** One step of a rhythm: from a footfall to the next. */
export interface BeatBar {
  seconds: number;
  /** Which of the two alternating beats it belongs to; none for the first and the last, which are left out. */
  half: "one" | "other" | undefined;
}

export interface BeatModel {
  bars: BeatBar[];
  /** Mean of either beat, s. */
  means: { one: number; other: number };
  longest: number;
}

const mean = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((sum, one) => sum + one, 0) / values.length;

/** Intervals of footfalls as bars that alternate; undefined where there are too few to be read. */
export function beatModel(times: readonly number[]): BeatModel | undefined {
  const all = times.slice(1).map((time, at) => time - (times[at] ?? 0));
  if (all.length < 4) return undefined;
  const bars = all.map((seconds, at): BeatBar => ({
    seconds,
    half: at === 0 || at === all.length - 1 ? undefined : at % 2 ? "one" : "other",
  }));
  const of = (half: BeatBar["half"]) => mean(bars.flatMap((bar) => (bar.half === half ? [bar.seconds] : [])));
  return { bars, means: { one: of("one"), other: of("other") }, longest: max(all) ?? 1 };
}
