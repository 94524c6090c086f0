/** Lengths that differ by less than this are one length, mm. */
export const SAME_LENGTH_MM = 1e-6;

/** How many of each length are cut from one bar: a way to cut it. */
export type CutPattern = readonly number[];

/**
 * True where pieces fit on a bar: n pieces want n - 1 kerfs where they use the bar up, else n. A rest narrower than the
 * blade goes with the last cut, so the bar is used up: together they want at most bar plus one kerf.
 */
export const fitsOn = (bar: number, kerf: number, sum: number, count: number): boolean =>
  count === 0 || sum + (count - 1) * kerf <= bar + SAME_LENGTH_MM;

/** What is left of a bar, mm: 0 where it is used up. */
export const offcutOf = (bar: number, kerf: number, sum: number, count: number): number =>
  Math.max(0, bar - sum - count * kerf);

/**
 * The pattern on one bar whose pieces are worth most, each length at most as often as `most` says: depth first over the
 * lengths by worth for their room, cut off by what the rest of the bar could still bring. Exact.
 */
export function bestPattern(
  bar: number,
  kerf: number,
  lengths: readonly number[],
  worth: readonly number[],
  most: readonly number[],
): { pattern: number[]; worth: number } {
  const order = lengths
    .map((length, index) => ({
      index,
      room: length + kerf,
      worth: worth[index] ?? 0,
      most: most[index] ?? 0,
    }))
    .filter((piece) => piece.worth > 1e-12 && piece.most > 0)
    .sort((a, b) => b.worth / b.room - a.worth / a.room);
  let best = 0;
  let bestCounts: number[] = [];
  const counts = order.map(() => 0);
  const walk = (at: number, left: number, sofar: number): void => {
    if (sofar > best + 1e-12) {
      best = sofar;
      bestCounts = [...counts];
    }
    const piece = order[at];
    if (!piece || sofar + (left * piece.worth) / piece.room <= best + 1e-12) return;
    const fitting = Math.min(piece.most, Math.floor((left + SAME_LENGTH_MM) / piece.room));
    for (let count = fitting; count >= 0; count--) {
      counts[at] = count;
      walk(at + 1, left - count * piece.room, sofar + count * piece.worth);
    }
    counts[at] = 0;
  };
  walk(0, bar + kerf, 0);
  const pattern = lengths.map(() => 0);
  bestCounts.forEach((count, at) => {
    const piece = order[at];
    if (piece) pattern[piece.index] = count;
  });
  return { pattern, worth: best };
}
