import { sameValue, sorted } from "../record/edit";
import { knows, laterStamp, type RowStamps, type Seen, type Stamp } from "../record/stamps";

/** What one device has at a place: undefined where it has taken it away, or never had it. */
export interface Held {
  value: unknown;
  stamp: Stamp | undefined;
}

export type Pick = "here" | "there";

/** Who touched a place last: its own stamp, else that of the making; where nothing stands, of the last taking away. */
export const stampAt = (
  stamps: RowStamps,
  places: ReadonlyMap<string, unknown>,
  place: string,
): Stamp | undefined => stamps.places?.[place] ?? (places.has(place) ? stamps.made : stamps.gone);

/** Which of two values is the newer one; "both" where neither device knew of the other's. */
export function compare(mine: Held, yours: Held, [here, there]: [Seen, Seen]): "same" | Pick | "both" {
  if (sameValue(mine.value, yours.value)) return "same";
  const alike = sameValue(mine.stamp, yours.stamp);
  // Older than stamps on both sides: a value that one of them never had is no clash.
  if (alike && mine.stamp === undefined && mine.value === undefined) return "there";
  if (alike && mine.stamp === undefined && yours.value === undefined) return "here";
  if (alike) return "both";
  const [yoursKnown, mineKnown] = [knows(here, yours.stamp), knows(there, mine.stamp)];
  if (yoursKnown && mineKnown) return laterStamp(mine.stamp, yours.stamp) === mine.stamp ? "here" : "there";
  if (yoursKnown) return "here";
  return mineKnown ? "there" : "both";
}

/** The later of two values; without clocks to go by the same one whoever asks. */
export function usualOf(mine: Held, yours: Held): Pick {
  if (!sameValue(mine.stamp, yours.stamp))
    return laterStamp(mine.stamp, yours.stamp) === mine.stamp ? "here" : "there";
  return textOf(mine.value) > textOf(yours.value) ? "here" : "there";
}

/** The stamp that knows of the other; the later one where neither does. */
export function newer(
  mine: { stamp: Stamp | undefined; seen: Seen },
  yours: { stamp: Stamp | undefined; seen: Seen },
): Stamp | undefined {
  if (!mine.stamp || !yours.stamp || sameValue(mine.stamp, yours.stamp)) return mine.stamp ?? yours.stamp;
  const [yoursKnown, mineKnown] = [knows(mine.seen, yours.stamp), knows(yours.seen, mine.stamp)];
  if (yoursKnown !== mineKnown) return yoursKnown ? mine.stamp : yours.stamp;
  return laterStamp(mine.stamp, yours.stamp);
}

const textOf = (value: unknown): string => JSON.stringify(sorted(value)) ?? "";

/**
 * All entries of two lists, each once, by their day (`date` or `on`, where they have one) and then in an order that does
 * not depend on whose list comes first; of more than `most` the newest.
 */
export function together(mine: unknown, yours: unknown, most = Infinity): unknown[] {
  const all = [...((mine as unknown[] | undefined) ?? []), ...((yours as unknown[] | undefined) ?? [])];
  const byText = new Map(all.map((entry) => [`${dayOf(entry)} ${textOf(entry)}`, entry]));
  return [...byText.keys()]
    .sort()
    .slice(-Math.min(most, byText.size))
    .map((text) => byText.get(text));
}

const dayOf = (entry: unknown): string => {
  const { date, on } = (entry ?? {}) as { date?: unknown; on?: unknown };
  return String(date ?? on ?? "");
};
