import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { seededRandom } from "../math/random";
import { bestLoads, nearYards, type Prizes } from "./loads";
import { bitCount, roundsNumbers, type RoundsNumbers } from "./numbers";
import { MONDAY, smallRound } from "./small.fixture";
import { tourFinder } from "./tour";

/** Prizes by chance: some jobs and visits are worth their while, some are not. */
function somePrizes(numbers: RoundsNumbers, seed: number, floor = 0): Prizes {
  const random = seededRandom(seed);
  return {
    kind: numbers.kinds.map(({ onDay }) => (onDay[0] ?? 0) + 40 * random() - 15),
    yard: numbers.yards.map(() => 80 * random() - 30),
    shut: 0,
    floor,
  };
}

/** The most that any load of a day is worth, by trying every set of jobs. */
function mostByTrying(numbers: RoundsNumbers, day: number, prizes: Prizes): number {
  const jobs = numbers.kinds.flatMap((kind, index) => kind.jobs.map(() => ({ ...kind, index })));
  let most = prizes.floor;
  for (let set = 1; set < 1 << jobs.length; set++) {
    const taken = jobs.filter((_, job) => set & (1 << job));
    const mask = taken.reduce((yards, { yard }) => yards | (1 << yard), 0);
    if (mask & prizes.shut) continue;
    const drive = numbers.tour(mask).minutes;
    const minutes =
      taken.reduce((sum, one) => sum + one.minutes, 0) + drive + numbers.stopMinutes * bitCount(mask);
    if (minutes > (numbers.have[day] ?? 0)) continue;
    const worth = taken.reduce(
      (sum, { index, onDay }) => sum + (prizes.kind[index] ?? 0) - (onDay[day] ?? 0),
      0,
    );
    const visits = numbers.yards.reduce(
      (sum, _, yard) => sum + (mask & (1 << yard) ? (prizes.yard[yard] ?? 0) : 0),
      0,
    );
    most = Math.max(most, worth + visits - drive);
  }
  return most;
}

describe("the best load of a day", () => {
  test("is worth as much as the best of all sets of jobs, and nothing found is worth more (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), fc.nat(10_000), (seed, prizeSeed) => {
        const numbers = roundsNumbers(smallRound(seed));
        const prizes = somePrizes(numbers, prizeSeed);
        const { most, loads } = bestLoads(numbers, nearYards(numbers), 0, prizes);
        expect(most).toBeCloseTo(mostByTrying(numbers, 0, prizes), 6);
        for (const { mask, taken, cost } of loads) {
          const paid = taken.reduce((sum, [kind, count]) => sum + count * (prizes.kind[kind] ?? 0), 0);
          const visits = numbers.yards.reduce(
            (sum, _, yard) => sum + (mask & (1 << yard) ? (prizes.yard[yard] ?? 0) : 0),
            0,
          );
          expect(paid + visits - cost).toBeLessThanOrEqual(most + 1e-6);
        }
      }),
      { numRuns: 150, seed: 5 },
    );
  });

  test("a quick search finds loads that fit the day, none better than the best (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), (seed) => {
        const numbers = roundsNumbers(smallRound(seed, 5, 9));
        const prizes = somePrizes(numbers, seed + 1);
        const { most } = bestLoads(numbers, nearYards(numbers), 0, prizes);
        const quick = bestLoads(numbers, nearYards(numbers), 0, prizes, true);
        expect(quick.most).toBeLessThanOrEqual(most + 1e-6);
        for (const { mask, taken } of quick.loads) {
          const work = taken.reduce(
            (sum, [kind, count]) => sum + count * (numbers.kinds[kind]?.minutes ?? 0),
            0,
          );
          expect(work + numbers.tour(mask).minutes + 10 * bitCount(mask)).toBeLessThanOrEqual(
            (numbers.have[0] ?? 0) + 1e-6,
          );
        }
      }),
      { numRuns: 40, seed: 6 },
    );
  });

  test("a yard that is shut is not visited; what is worth no more than the floor is not asked for", () => {
    const numbers = roundsNumbers(smallRound(3));
    const prizes = somePrizes(numbers, 4);
    const near = nearYards(numbers);
    const shut = bestLoads(numbers, near, 0, { ...prizes, shut: 0b0101 });
    expect(shut.loads.every(({ mask }) => (mask & 0b0101) === 0)).toBe(true);
    const { most } = bestLoads(numbers, near, 0, prizes);
    expect(bestLoads(numbers, near, 0, { ...prizes, floor: most + 1 })).toEqual({
      most: most + 1,
      loads: [],
    });
  });
});

describe("the round in numbers", () => {
  test("jobs that no plan can tell apart are one kind", () => {
    const question = smallRound(1, 2, 4);
    const [first] = question.jobs;
    if (!first) throw new Error("a job");
    const alike = {
      ...question,
      jobs: [first, { ...first, id: "again" }, { ...first, id: "pinned", only: MONDAY }],
    };
    const { kinds, kindOf } = roundsNumbers(alike);
    expect(kinds.map(({ jobs }) => jobs)).toEqual([[0, 1], [2]]);
    expect(kindOf).toEqual([0, 0, 1]);
    expect(kinds[1]?.onDay[1]).toBe(Number.POSITIVE_INFINITY);
  });

  test("a tour through more than twelve places goes through each once, home to home", () => {
    const random = seededRandom(2);
    const places = Array.from({ length: 14 }, () => [random() * 50, random() * 50] as const);
    const gap = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]) =>
      Math.hypot(ax - bx, ay - by);
    const home = places.map((place) => gap(place, [25, 25]));
    const between = places.map((one) => places.map((other) => gap(one, other)));
    const { order, minutes } = tourFinder(home, between)((1 << 14) - 1);
    expect([...order].sort((a, b) => a - b)).toEqual([...places.keys()]);
    const length =
      (home[order[0] ?? 0] ?? 0) +
      order.slice(1).reduce((sum, to, index) => sum + (between[order[index] ?? 0]?.[to] ?? 0), 0) +
      (home[order.at(-1) ?? 0] ?? 0);
    expect(minutes).toBeCloseTo(length, 9);
  });
});
