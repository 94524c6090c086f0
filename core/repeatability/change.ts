/** A difference between two visits, read against the noise of measuring. */
export interface Change {
  difference: number;
  /** True only when the difference lies outside the noise: anything smaller is shown as no change. */
  real: boolean;
  noise: number;
}

/**
 * Now minus before. `smallestChange` is that of the measure itself (2.772 sd), which already is the noise of a
 * difference between two readings; for a derived measure give its own noise.
 */
export function changeSince(now: number, before: number, smallestChange: number): Change {
  const difference = now - before;
  return { difference, real: Math.abs(difference) > smallestChange, noise: smallestChange };
}
