/** Two footfalls never lie closer than this after a correction, s. */
const LEAST_APART_S = 0.02;

/** The footfall nearest to a moment, its place in the list; undefined where there is none. */
export function nearestFall(times: readonly number[], at: number): number | undefined {
  if (times.length === 0) return undefined;
  return times.reduce(
    (best, time, index) => (Math.abs(time - at) < Math.abs((times[best] ?? 0) - at) ? index : best),
    0,
  );
}

/** One footfall more, in its place. */
export const addFall = (times: readonly number[], at: number): number[] =>
  [...times, at].sort((a, b) => a - b);

export const removeFall = (times: readonly number[], index: number): number[] =>
  times.filter((_, at) => at !== index);

/** One footfall moved, held between its neighbours. */
export function moveFall(times: readonly number[], index: number, by: number): number[] {
  const [before, now, after] = [times[index - 1], times[index], times[index + 1]];
  if (now === undefined) return [...times];
  const low = before === undefined ? 0 : before + LEAST_APART_S;
  const high = after === undefined ? Number.POSITIVE_INFINITY : after - LEAST_APART_S;
  const moved = Math.max(low, Math.min(high, now + by));
  return times.map((time, at) => (at === index ? moved : time));
}
