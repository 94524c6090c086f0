/** A way through some places and home again: their numbers in order, and its minutes. */
export interface Tour {
  order: number[];
  minutes: number;
}

/**
 * Shortest tours from home through every set of places and back, exact (dynamic programme over sets, Held and Karp
 * 1962): `tours[mask]` for each set as bits, the empty one first. `home[i]` and `between[i][j]` are minutes, the same in
 * both directions. Time and room grow by 2 to the number of places: meant for a dozen at most.
 */
export function allTours(home: readonly number[], between: readonly (readonly number[])[]): Tour[] {
  const n = home.length;
  const sets = 1 << n;
  // best[mask * n + last]: shortest from home through all of mask, ending at last.
  const best = new Float64Array(sets * n).fill(Number.POSITIVE_INFINITY);
  const from = new Int16Array(sets * n).fill(-1);
  for (let place = 0; place < n; place++) best[(1 << place) * n + place] = home[place] ?? 0;
  for (let mask = 1; mask < sets; mask++)
    for (let last = 0; last < n; last++) {
      const sofar = best[mask * n + last] ?? 0;
      if (!(mask & (1 << last)) || !Number.isFinite(sofar)) continue;
      for (let next = 0; next < n; next++) {
        if (mask & (1 << next)) continue;
        const at = (mask | (1 << next)) * n + next;
        const minutes = sofar + (between[last]?.[next] ?? 0);
        if (minutes < (best[at] ?? 0)) {
          best[at] = minutes;
          from[at] = last;
        }
      }
    }
  return Array.from({ length: sets }, (_, mask): Tour => {
    let [end, minutes] = [-1, Number.POSITIVE_INFINITY];
    for (let last = 0; last < n; last++) {
      const whole = (best[mask * n + last] ?? Number.POSITIVE_INFINITY) + (home[last] ?? 0);
      if (mask & (1 << last) && whole < minutes) [end, minutes] = [last, whole];
    }
    if (end === -1) return { order: [], minutes: 0 };
    const order: number[] = [];
    for (let set = mask, last = end; last !== -1;) {
      order.unshift(last);
      const before = from[set * n + last] ?? -1;
      set &= ~(1 << last);
      last = before;
    }
    return { order, minutes };
  });
}
