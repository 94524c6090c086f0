/** Nails nearer to each other than this split the wall, mm. Assumption, from stamped shoes. */
export const LEAST_PITCH_MM = 12;

/** A hole stays this far from marked wall, mm: about half a nail. */
const HOLE_CLEAR_MM = 2;

/** Stretches of a side that take a nail, mm from the toe, in order: `from` to `to` without what is marked, and not too near to it. */
export function soundStretches(
  from: number,
  to: number,
  marked: readonly (readonly [number, number])[],
): [number, number][] {
  let free: [number, number][] = to >= from ? [[from, to]] : [];
  for (const [a, b] of marked) {
    const [before, behind] = [a - HOLE_CLEAR_MM, b + HOLE_CLEAR_MM];
    free = free.flatMap(([x, y]): [number, number][] =>
      behind <= x || before >= y
        ? [[x, y]]
        : [
            ...(before >= x ? [[x, before] as [number, number]] : []),
            ...(behind <= y ? [[behind, y] as [number, number]] : []),
          ],
    );
  }
  return free;
}
/** Steps in which places are tried, mm. */
export const TRIED_EVERY_MM = 1;

/**
 * The places nearest to `wanted`, in order, that lie in `free` and no nearer to each other than a nail may stand; as many
 * of them as find room. By trying every millimetre: the least sum of moves.
 */
export function nearestPlaces(
  wanted: readonly number[],
  free: readonly (readonly [number, number])[],
): number[] {
  const grid = free.flatMap(([from, to]) => {
    const steps = Math.floor((to - from) / TRIED_EVERY_MM);
    const places = Array.from({ length: steps + 1 }, (_, index) => from + index * TRIED_EVERY_MM);
    return [...places, to, ...wanted.filter((s) => s >= from && s <= to)];
  });
  const places = [...new Set(grid)].sort((a, b) => a - b);
  for (let count = wanted.length; count > 0; count--) {
    const aims = count === wanted.length ? wanted : wanted.filter((_, index) => index < count);
    // best[i]: least cost with the nail that is looked at on place i, and the places before it.
    let best = places.map((s) => ({ cost: Math.abs(s - (aims[0] ?? 0)), at: [s] }));
    for (const aim of aims.slice(1)) {
      let [before, ahead] = [undefined as (typeof best)[number] | undefined, 0];
      best = places.map((s) => {
        while (ahead < places.length && (places[ahead] ?? 0) <= s - LEAST_PITCH_MM) {
          const one = best[ahead];
          if (one && (!before || one.cost < before.cost)) before = one;
          ahead += 1;
        }
        return before
          ? { cost: before.cost + Math.abs(s - aim), at: [...before.at, s] }
          : { cost: Number.POSITIVE_INFINITY, at: [] };
      });
    }
    const found = best.reduce((a, b) => (b.cost < a.cost ? b : a), {
      cost: Number.POSITIVE_INFINITY,
      at: [] as number[],
    });
    if (Number.isFinite(found.cost)) return found.at;
  }
  return [];
}
