import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import loadHighs from "highs";
import { highsSolver, type Solver } from "../math/programme";
import { seededRandom } from "../math/random";
import { breeding } from "./breed";
import { cutsPassed } from "./cuts";
import { divedPlan, freshLoads } from "./dive";
import { costOf } from "./board";
import { goodAssignment } from "./improve";
import { roundsNumbers, type RoundsNumbers } from "./numbers";
import { planRounds } from "./plan";
import { provenBound } from "./prove";
import type { RoundsQuestion } from "./question";
import { loadsInReach } from "./reach";
import { dearness, knownBy, narrowed, relaxedPlan, slimmed, triedCosts, type Limit } from "./relaxed";
import { MONDAY, PATIENT, smallRound } from "./small.fixture";
import { LoadTable, type DayLoad } from "./table";
import { branched } from "./tree";
import { wholePlan } from "./whole";

let solve: Solver;
beforeAll(async () => {
  solve = highsSolver(await loadHighs());
});

/** A search that is never late and tells nobody. */
const PATIENTLY = {
  offer: () => undefined,
  late: () => false,
  better: () => undefined,
  report: () => undefined,
};

/** The best plan out of a table's loads, by the solver. */
const bestOf = (numbers: RoundsNumbers, table: LoadTable) =>
  wholePlan(
    numbers,
    [...Array(table.count).keys()].map((load) => table.load(load)),
    solve,
    30,
  );

/** The relaxed plan over loads found quickly, and their table. */
function relaxedOver(numbers: RoundsNumbers) {
  const table = new LoadTable();
  const nothing = { limits: [], prices: numbers.kinds.map(({ left }) => left), active: [] };
  const plan = relaxedPlan(numbers, table, nothing, { fresh: freshLoads(numbers, table) });
  return { table, plan };
}

/** The relaxed plan over every load there is. */
function relaxedOverAll(numbers: RoundsNumbers) {
  const { plan } = relaxedOver(numbers);
  const all = loadsInReach(numbers, plan, 1e5, 1e6);
  if (!all) throw new Error("few loads");
  const known = knownBy(numbers, all.table, { prices: plan.prices, limits: [] });
  return { table: all.table, plan: relaxedPlan(numbers, all.table, known) };
}

const ROUND = fc.nat(10_000).map((seed) => roundsNumbers(smallRound(seed, 4, 8)));

/** What a plan costs that takes some loads and leaves the rest out. */
function costWith({ kinds }: RoundsNumbers, loads: readonly DayLoad[]): number {
  return kinds.reduce(
    (sum, { jobs, left }, kind) => {
      const done = loads.reduce((all, { taken }) => all + (taken.find(([one]) => one === kind)?.[1] ?? 0), 0);
      expect(done).toBeLessThanOrEqual(jobs.length);
      return sum + (jobs.length - done) * left;
    },
    loads.reduce((sum, { cost }) => sum + cost, 0),
  );
}

describe("the relaxed plan and the plans it leads to", () => {
  test("it costs no more than any plan, and no load that it knows would pay (property)", () => {
    fc.assert(
      fc.property(ROUND, (numbers) => {
        const { table, plan } = relaxedOverAll(numbers);
        expect(plan.cost).toBeLessThanOrEqual(costOf(numbers, goodAssignment(numbers, 50)) + 1e-5);
        const dear = dearness(numbers, table, plan);
        expect(Math.min(...dear)).toBeGreaterThanOrEqual(-1e-5);
        for (const { load } of plan.parts) expect(dear[load]).toBeCloseTo(0, 4);
      }),
      { numRuns: 25, seed: 3 },
    );
  });

  test("diving and the solver make plans that keep their days and cost no less (property)", () => {
    fc.assert(
      fc.property(ROUND, (numbers) => {
        const { table, plan } = relaxedOver(numbers);
        const { cost } = relaxedOverAll(numbers).plan;
        const known = [...Array(table.count).keys()].map((load) => table.load(load));
        for (const loads of [
          divedPlan(numbers, table, plan, () => false),
          wholePlan(numbers, known, solve, 10).loads,
        ]) {
          expect(new Set(loads.map(({ day }) => day)).size).toBe(loads.length);
          expect(costWith(numbers, loads)).toBeGreaterThanOrEqual(cost - 1e-5);
        }
      }),
      { numRuns: 25, seed: 9 },
    );
  });

  test("a limit costs the same gone on from a plan as from the beginning; tried, no more (property)", () => {
    fc.assert(
      fc.property(ROUND, fc.nat(3), fc.constantFrom(1, -1), (numbers, yard, sense) => {
        const { table, plan } = relaxedOverAll(numbers);
        const loads = Int32Array.from(
          [...Array(table.count).keys()].filter((load) => ((table.mask[load] ?? 0) >> yard) & 1),
        );
        // The yard is not visited at all, or twice.
        const limit: Limit = {
          loads,
          times: new Int8Array(loads.length).fill(sense),
          most: sense === 1 ? 0 : -2,
        };
        const gone = relaxedPlan(numbers, table, plan, { more: [limit] });
        const anew = relaxedPlan(
          numbers,
          table,
          { ...knownBy(numbers, table, plan), limits: [] },
          { more: [limit] },
        );
        expect(gone.cost).toBeCloseTo(anew.cost, 4);
        expect(gone.cost).toBeGreaterThanOrEqual(plan.cost - 1e-5);
        const tried = triedCosts(numbers, table, { ...plan, active: [...Array(table.count).keys()] })(limit);
        if (gone.cost < 1e5) expect(tried).toBeLessThanOrEqual(gone.cost + 1e-4);
      }),
      { numRuns: 60, seed: 5 },
    );
  });

  test("cuts are passed by the relaxed plan and kept by the best whole one; with them it costs no less (property)", () => {
    let cutting = 0;
    fc.assert(
      fc.property(fc.nat(10_000), (seed) => {
        const numbers = roundsNumbers(smallRound(seed, 5, 10));
        const { table, plan } = relaxedOverAll(numbers);
        const cuts = cutsPassed(numbers, table, plan);
        const whole = branched(numbers, table, plan, {
          ...PATIENTLY,
          best: () => 1e6,
          few: (loads) => bestOf(numbers, loads),
        });
        const best = bestOf(numbers, table).loads;
        const countIn = ({ loads, times }: Limit, name: string) => {
          const at = loads.findIndex((load) => JSON.stringify(table.load(load)) === name);
          return at === -1 ? 0 : (times[at] ?? 0);
        };
        for (const cut of cuts) {
          cutting += 1;
          const relaxed = plan.parts.reduce(
            (sum, { load, part }) => sum + part * countIn(cut, JSON.stringify(table.load(load))),
            0,
          );
          expect(relaxed).toBeGreaterThan(cut.most);
          const kept = best.reduce((sum, load) => sum + countIn(cut, JSON.stringify(load)), 0);
          expect(kept).toBeLessThanOrEqual(cut.most);
        }
        const tight = relaxedPlan(numbers, table, plan, { more: cuts });
        expect(tight.cost).toBeGreaterThanOrEqual(plan.cost - 1e-5);
        expect(tight.cost).toBeLessThanOrEqual(costWith(numbers, best) + 1e-5);
        expect(whole).toBeGreaterThanOrEqual(tight.cost - 1e-5);
      }),
      { numRuns: 15, seed: 2 },
    );
    expect(cutting).toBeGreaterThan(5);
  });

  test("what is out of reach leaves the table and changes nothing (property)", () => {
    fc.assert(
      fc.property(ROUND, (numbers) => {
        const { table, plan } = relaxedOverAll(numbers);
        const best = costWith(numbers, bestOf(numbers, table).loads);
        const less = narrowed(numbers, table, slimmed(numbers, table, plan), best + 1e-6);
        expect(less.table.count).toBeLessThanOrEqual(table.count);
        expect(costWith(numbers, bestOf(numbers, less.table).loads)).toBeCloseTo(best, 6);
        expect(relaxedPlan(numbers, less.table, less.plan).cost).toBeCloseTo(plan.cost, 5);
      }),
      { numRuns: 20, seed: 4 },
    );
  });

  test("a proof ends at the best plan; where it is not known, at no more than it (property)", () => {
    fc.assert(
      fc.property(ROUND, (numbers) => {
        const { plan } = relaxedOver(numbers);
        const best = costWith(numbers, bestOf(numbers, relaxedOverAll(numbers).table).loads);
        const few = (loads: LoadTable) => bestOf(numbers, loads);
        expect(provenBound(numbers, plan, { ...PATIENTLY, best: () => best, few })).toBeCloseTo(best, 5);
        let offered = Number.POSITIVE_INFINITY;
        const search = {
          ...PATIENTLY,
          few,
          best: () => Math.min(best + 40, offered),
          offer: (loads: readonly DayLoad[]) => {
            const days = new Set(loads.map(({ day }) => day));
            if (days.size === loads.length) offered = Math.min(offered, costWith(numbers, loads));
          },
        };
        expect(provenBound(numbers, plan, search)).toBeCloseTo(best, 5);
      }),
      { numRuns: 15, seed: 6 },
    );
  });
});

describe("a good assignment", () => {
  test("is never dearer than what it starts from, and the same numbers give the same (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), (seed) => {
        const numbers = roundsNumbers(smallRound(seed, 5, 12, 3));
        const random = seededRandom(seed);
        const out = numbers.have.length;
        const start = numbers.kindOf.map(() => out);
        start[0] = Math.floor(random() * (out + 1));
        const found = goodAssignment(numbers, 300, { start });
        if (Number.isFinite(costOf(numbers, start)))
          expect(costOf(numbers, found)).toBeLessThanOrEqual(costOf(numbers, start) + 1e-9);
        expect(goodAssignment(numbers, 300, { start })).toEqual(found);
      }),
      { numRuns: 25, seed: 8 },
    );
  });

  test("what is shown on the way is feasible, with the best of it last but for settling", () => {
    const numbers = roundsNumbers(smallRound(4, 5, 14, 3));
    const shown: number[] = [];
    const found = goodAssignment(numbers, 2000, { met: (days) => shown.push(costOf(numbers, [...days])) });
    expect(shown.length).toBeGreaterThan(5);
    expect(shown.every(Number.isFinite)).toBe(true);
    expect(costOf(numbers, found)).toBeLessThanOrEqual(Math.min(...shown) + 1e-9);
  });

  test("a pinned job stays on its day or out; when time is up it stops", () => {
    const question = smallRound(6, 4, 9);
    const pinned = { ...question, jobs: question.jobs.map((job) => ({ ...job, only: MONDAY })) };
    const numbers = roundsNumbers(pinned);
    expect(goodAssignment(numbers, 500).every((day) => day !== 1)).toBe(true);
    let asked = 0;
    goodAssignment(numbers, 1_000_000, { late: () => ++asked > 2 });
    expect(asked).toBe(3);
  });
});

describe("plans that are bred from one another", () => {
  const bredFrom = (question: RoundsQuestion) => {
    const numbers = roundsNumbers(question);
    const table = new LoadTable();
    const nothing = { limits: [], prices: numbers.kinds.map(({ left }) => left), active: [] };
    const root = relaxedPlan(numbers, table, nothing, { fresh: freshLoads(numbers, table) });
    return {
      numbers,
      root,
      next: (seed: number) => breeding(numbers, table, root, seededRandom(seed), () => false),
    };
  };

  test("each is a plan that can be done, none costs less than the relaxed one, and the same chance gives the same", () => {
    const { numbers, root, next } = bredFrom(smallRound(5, 10, 16, 5));
    const [one, again] = [next(3), next(3)];
    for (let plan = 0; plan < 22; plan++) {
      const days = one();
      const cost = costOf(numbers, days);
      expect(days).toEqual(again());
      expect(days.every((day) => day >= 0 && day <= numbers.have.length)).toBe(true);
      expect(Number.isFinite(cost)).toBe(true);
      expect(cost).toBeGreaterThan(root.cost - 1e-6);
    }
  });

  test("when nothing better comes of them new ones are begun: small rounds end at the proven best", () => {
    for (const seed of [1, 2]) {
      const question = smallRound(seed, 4, 9, 3);
      const { numbers, next } = bredFrom(question);
      const found = planRounds(question, solve, PATIENT);
      if (!found.ok) throw new Error("a plan");
      const one = next(seed);
      let least = Number.POSITIVE_INFINITY;
      for (let plan = 0; plan < 180; plan++) least = Math.min(least, costOf(numbers, one()));
      expect(found.value.gap).toBe(0);
      expect(least).toBeCloseTo(found.value.objective, 6);
    }
  });

  test("a round with many yards: every job once on a day that has the time, no better than its bound", () => {
    const question = smallRound(11, 12, 26, 5);
    let asked = 0;
    const found = planRounds(question, solve, { seconds: 400, elapsed: () => asked++ / 10 });
    if (!found.ok) throw new Error("a plan");
    const { days, left, objective, bound } = found.value;
    const done = days.flatMap(({ stops }) => stops.flatMap(({ jobs }) => jobs));
    expect([...done, ...left].sort()).toEqual(question.jobs.map(({ id }) => id).sort());
    days.forEach(({ work, drive, stops }, at) =>
      expect(work + drive + question.stopMinutes * stops.length).toBeLessThanOrEqual(
        (question.days[at]?.minutes ?? 0) + 1e-6,
      ),
    );
    expect(bound).toBeLessThanOrEqual(objective);
    expect(objective).toBeLessThanOrEqual(
      costOf(roundsNumbers(question), goodAssignment(roundsNumbers(question), 0)),
    );
  });
});
