/** A way through some places and home again: their numbers in order, and its minutes. */
export interface Tour {
  order: number[];
  minutes: number;
}

/** More places than this in one tour are ordered well, not proven best. */
const MOST_EXACT = 12;

/**
 * The shortest tour from home through some places and back: exact up to twelve places (dynamic programme over sets, Held and
 * Karp 1962), above that by insertion where it lengthens the way least. `home[i]` and `between[i][j]` are minutes, the same
 * in both directions. Any number of places; each set is worked out once.
 */
export function toursThrough(
  home: readonly number[],
  between: readonly (readonly number[])[],
): (places: readonly number[]) => Tour {
  const known = new Map<string, Tour>();
  return (places) => {
    const inOrder = [...places].sort((a, b) => a - b);
    const key = inOrder.join();
    const tour = known.get(key) ?? tourOf(inOrder, home, between);
    known.set(key, tour);
    return tour;
  };
}

/** The same by the set as bits of a number: up to 31 places, for a search that asks for millions of sets. */
export function tourFinder(
  home: readonly number[],
  between: readonly (readonly number[])[],
): (mask: number) => Tour {
  const known = new Map<number, Tour>();
  return (mask) => {
    const tour = known.get(mask) ?? tourOf(placesOf(mask), home, between);
    known.set(mask, tour);
    return tour;
  };
}

const tourOf = (
  places: readonly number[],
  home: readonly number[],
  between: readonly (readonly number[])[],
): Tour =>
  places.length <= MOST_EXACT ? exactTour(places, home, between) : insertedTour(places, home, between);

/** The numbers of the bits that are set, lowest first. */
export function placesOf(mask: number): number[] {
  const places: number[] = [];
  for (let left = mask, place = 0; left > 0; left >>>= 1, place++) if (left & 1) places.push(place);
  return places;
}

function exactTour(
  places: readonly number[],
  home: readonly number[],
  between: readonly (readonly number[])[],
): Tour {
  const n = places.length;
  if (n === 0) return { order: [], minutes: 0 };
  const sets = 1 << n;
  // best[set * n + last]: shortest from home through all of the set, ending at last.
  const best = new Float64Array(sets * n).fill(Number.POSITIVE_INFINITY);
  const from = new Int16Array(sets * n).fill(-1);
  const way = places.map((a) => places.map((b) => between[a]?.[b] ?? 0));
  const out = places.map((place) => home[place] ?? 0);
  for (let last = 0; last < n; last++) best[(1 << last) * n + last] = out[last] ?? 0;
  for (let set = 1; set < sets; set++)
    for (let last = 0; last < n; last++) {
      if (!(set & (1 << last))) continue;
      const sofar = best[set * n + last] ?? 0;
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue;
        const at = (set | (1 << next)) * n + next;
        const minutes = sofar + (way[last]?.[next] ?? 0);
        if (minutes < (best[at] ?? 0)) {
          best[at] = minutes;
          from[at] = last;
        }
      }
    }
  let [end, minutes] = [-1, Number.POSITIVE_INFINITY];
  for (let last = 0; last < n; last++) {
    const whole = (best[(sets - 1) * n + last] ?? 0) + (out[last] ?? 0);
    if (whole < minutes) [end, minutes] = [last, whole];
  }
  const order: number[] = [];
  for (let set = sets - 1, last = end; last !== -1;) {
    order.unshift(places[last] ?? 0);
    const before = from[set * n + last] ?? -1;
    set &= ~(1 << last);
    last = before;
  }
  return { order, minutes };
}

function insertedTour(
  places: readonly number[],
  home: readonly number[],
  between: readonly (readonly number[])[],
): Tour {
  const way = (a: number | undefined, b: number | undefined) =>
    a === undefined
      ? b === undefined
        ? 0
        : (home[b] ?? 0)
      : b === undefined
        ? (home[a] ?? 0)
        : (between[a]?.[b] ?? 0);
  const order: number[] = [];
  let minutes = 0;
  for (const place of places) {
    let [at, more] = [0, Number.POSITIVE_INFINITY];
    for (let index = 0; index <= order.length; index++) {
      const [a, b] = [order[index - 1], order[index]];
      const longer = way(a, place) + way(place, b) - way(a, b);
      if (longer < more) [at, more] = [index, longer];
    }
    order.splice(at, 0, place);
    minutes += more;
  }
  return { order, minutes };
}
