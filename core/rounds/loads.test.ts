import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { seededRandom } from "../math/random";
import { limitsOver } from "./cuts";
import { costOf } from "./board";
import { goodAssignment } from "./improve";
import { goodLoads } from "./loads";
import { bitCount, roundsNumbers, type RoundsNumbers } from "./numbers";
import { loadsInReach } from "./reach";
import { dearness } from "./relaxed";
import { MONDAY, smallRound } from "./small.fixture";
import { LoadTable } from "./table";
import { tourFinder } from "./tour";

/** Prices by chance: some jobs are worth their while on the first day, some are not. */
function somePrices(numbers: RoundsNumbers, seed: number): number[] {
  const random = seededRandom(seed);
  return [
    ...numbers.kinds.map(({ onDay }) => (onDay[0] ?? 0) + 40 * random() - 15),
    ...numbers.have.map(() => -20 * random()),
  ];
}

/** Every load of a day, by trying every set of jobs, and what it is paid less what it costs. */
function everyLoad(numbers: RoundsNumbers, day: number, prices: readonly number[]): Map<string, number> {
  const jobs = numbers.kinds.flatMap((kind, index) => kind.jobs.map(() => ({ ...kind, index })));
  const loads = new Map<string, number>();
  for (let set = 1; set < 1 << jobs.length; set++) {
    const taken = jobs.filter((_, job) => set & (1 << job));
    const mask = taken.reduce((yards, { yard }) => yards | (1 << yard), 0);
    const drive = numbers.tour(mask).minutes;
    const minutes =
      taken.reduce((sum, one) => sum + one.minutes, 0) + drive + numbers.stopMinutes * bitCount(mask);
    if (minutes > (numbers.have[day] ?? 0)) continue;
    loads.set(
      taken.map(({ index }) => index).join(","),
      taken.reduce((sum, { index, onDay }) => sum + (prices[index] ?? 0) - (onDay[day] ?? 0), -drive),
    );
  }
  return loads;
}

const nameOf = (table: LoadTable, load: number): string =>
  table
    .load(load)
    .taken.flatMap(([kind, count]) => Array<number>(count).fill(kind))
    .sort((a, b) => a - b)
    .join(",");

describe("good loads of a day", () => {
  test("fit the day, are worth what they say, and none is worth more than the best of all sets of jobs (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), fc.nat(10_000), (seed, priceSeed) => {
        const numbers = roundsNumbers(smallRound(seed));
        const prices = somePrices(numbers, priceSeed);
        const every = everyLoad(numbers, 0, prices);
        const found = goodLoads(numbers, 0, prices, 0);
        for (const { taken, cost } of found) {
          const paid = taken.reduce((sum, [kind, count]) => sum + count * (prices[kind] ?? 0), 0);
          const name = taken.flatMap(([kind, count]) => Array<number>(count).fill(kind)).join(",");
          expect(every.get(name)).toBeCloseTo(paid - cost, 6);
          expect(paid - cost).toBeGreaterThan(0);
        }
        if (Math.max(...every.values()) > 30) expect(found.length).toBeGreaterThan(0);
      }),
      { numRuns: 150, seed: 5 },
    );
  });

  test("what is worth no more than the floor is not asked for", () => {
    const numbers = roundsNumbers(smallRound(3));
    const prices = somePrices(numbers, 4);
    const most = Math.max(...everyLoad(numbers, 0, prices).values());
    expect(goodLoads(numbers, 0, prices, most + 1)).toEqual([]);
  });
});

describe("loads in reach", () => {
  test("are every load that costs no more than so much too much, and no other; the best of each sets the bound (property)", () => {
    fc.assert(
      fc.property(
        fc.nat(10_000),
        fc.nat(10_000),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (seed, priceSeed, reach) => {
          const numbers = roundsNumbers(smallRound(seed));
          const prices = somePrices(numbers, priceSeed);
          const found = loadsInReach(numbers, { prices, limits: [] }, reach, 1e6);
          if (!found) throw new Error("few loads");
          let bound = numbers.kinds.reduce(
            (sum, { jobs }, kind) => sum + jobs.length * (prices[kind] ?? 0),
            0,
          );
          for (const day of numbers.have.keys()) {
            const price = prices[numbers.kinds.length + day] ?? 0;
            const every = everyLoad(numbers, day, prices);
            const dear = [...every].map(([name, worth]): [string, number] => [name, -worth - price]);
            const names = [...Array(found.table.count).keys()]
              .filter((load) => found.table.day[load] === day)
              .map((load) => nameOf(found.table, load));
            for (const [name, too] of dear)
              if (Math.abs(too - reach) > 1e-6)
                expect([name, names.includes(name)]).toEqual([name, too < reach]);
            expect(new Set(names).size).toBe(names.length);
            bound += price + Math.min(0, ...dear.map(([, too]) => (too <= reach ? too : 0)));
          }
          expect(found.bound).toBeCloseTo(bound, 6);
        },
      ),
      { numRuns: 100, seed: 6 },
    );
  });

  test("whatever the prices, those that are far too high among them: no plan costs less than the bound (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), fc.nat(10_000), (seed, priceSeed) => {
        const numbers = roundsNumbers(smallRound(seed));
        const random = seededRandom(priceSeed);
        const prices = [
          ...numbers.kinds.map(({ left }) => left * 1.4 * random()),
          ...numbers.have.map(() => 200 * random() - 150),
        ];
        const found = loadsInReach(numbers, { prices, limits: [] }, 0, 1e6);
        if (!found) throw new Error("few loads");
        expect(found.bound).toBeLessThanOrEqual(costOf(numbers, goodAssignment(numbers, 100)) + 1e-6);
      }),
      { numRuns: 100, seed: 8 },
    );
  });

  test("what cuts take is counted: no load is missed that is in reach with them (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), fc.nat(10_000), (seed, priceSeed) => {
        const numbers = roundsNumbers(smallRound(seed));
        const random = seededRandom(priceSeed);
        const prices = somePrices(numbers, priceSeed);
        const all = loadsInReach(numbers, { prices, limits: [] }, 1e4, 1e6);
        if (!all) throw new Error("few loads");
        const rows = numbers.kinds.length + numbers.have.length;
        const sets = [0, 1, 2].map(() => {
          const first = Math.floor(random() * (rows - 2));
          return [first, first + 1, first + 2];
        });
        const plan = {
          prices: [...prices, -10 * random(), -20 * random(), 0],
          limits: limitsOver(numbers, all.table, sets),
        };
        const dear = dearness(numbers, all.table, plan);
        const found = loadsInReach(numbers, plan, 15, 1e6);
        if (!found) throw new Error("few loads");
        const names = new Set(
          [...Array(found.table.count).keys()].map(
            (load) => `${found.table.day[load]}:${nameOf(found.table, load)}`,
          ),
        );
        dear.forEach((too, load) => {
          const name = `${all.table.day[load]}:${nameOf(all.table, load)}`;
          if (Math.abs(too - 15) > 1e-6) expect([name, names.has(name)]).toEqual([name, too < 15]);
        });
      }),
      { numRuns: 60, seed: 7 },
    );
  });

  test("too many are none", () => {
    const numbers = roundsNumbers(smallRound(3));
    expect(loadsInReach(numbers, { prices: somePrices(numbers, 4), limits: [] }, 1e4, 5)).toBeUndefined();
  });

  test("a table keeps a load once that is added as new, grows, and hands on those that are wanted", () => {
    const table = new LoadTable();
    const load = { day: 0, mask: 1, cost: 3, taken: [[1, 2]] as const };
    expect([table.addNew(load), table.addNew({ ...load }), table.addNew({ ...load, day: 1 })]).toEqual([
      0,
      undefined,
      1,
    ]);
    for (let more = 0; more < 3000; more++) table.add(2, 4, more, [3, 4, 5], [1, 1, 1]);
    expect(table.load(0)).toEqual(load);
    const { table: kept, place } = table.kept((one) => (table.cost[one] ?? 0) > 2998 || one === 1);
    expect([kept.count, place[1], place[3001], place[0]]).toEqual([2, 0, 1, -1]);
    expect(kept.load(1)).toEqual({
      day: 2,
      mask: 4,
      cost: 2999,
      taken: [
        [3, 1],
        [4, 1],
        [5, 1],
      ],
    });
    expect(kept.picked([1, 0]).load(0)).toEqual(kept.load(1));
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
