import type { Edit } from "~core/record/edit";
import type { Settings } from "~core/record/settings";
import { noiseOf, withPair, type Pair } from "~core/foot/records/pairs";

/** Pairs put to those that are kept. */
export const pairEdit = (
  settings: Settings,
  pairs: readonly Pair[],
  label: string,
): Edit & { now: Pair[] } => ({
  table: "settings",
  id: "settings",
  path: ["pairs"],
  was: settings.pairs,
  now: pairs.reduce<Pair[]>((all, pair) => withPair(all, pair), settings.pairs),
  label,
});

/** How many pairs it still takes until the noise is one's own, or what it is. */
export const pairsSaid = (pairs: readonly Pair[], kind: "angle" | "length", count: number): string =>
  count < 10 ? `${count} of 10 ${kind} pairs.` : `Smallest real change: ${noiseOf({ pairs }).source}.`;
