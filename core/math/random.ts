/** A stream of numbers in [0, 1): handed in wherever chance is wanted, so that a seed gives the same run. */
export type Random = () => number;

/** Mulberry32: small, fast, good enough for made-up data. Source: Tommy Ettinger, public domain (2017). */
export function seededRandom(seed: number): Random {
  const { imul } = Math;
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** One draw from a normal distribution (Box and Muller 1958). */
export function normalDraw(random: Random, mean: number, sd: number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return mean + sd * radius * Math.cos(2 * Math.PI * random());
}
