import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import loadHighs from "highs";
import { highsSolver, type Solver } from "../math/programme";
import { seededRandom } from "../math/random";
import { divedPlan } from "./dive";
import { costOf, goodAssignment } from "./improve";
import { FEW_YARDS, type DayLoad } from "./loads";
import { ANY_DAY, reducedCost, relaxedPlan, wholePlan, type Branch } from "./master";
import { bitCount, roundsNumbers } from "./numbers";
import { partOf } from "./part";
import { planRounds } from "./plan";
import { LoadPool } from "./pool";
import { MONDAY, PATIENT, smallRound } from "./small.fixture";

let solve: Solver;
beforeAll(async () => {
  solve = highsSolver(await loadHighs());
});

describe("the relaxed plan and the plans it leads to", () => {
  test("its bound lies under every plan, diving and the known loads make plans that keep their days (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), (seed) => {
        const numbers = roundsNumbers(smallRound(seed, 4, 8));
        const good = costOf(numbers, goodAssignment(numbers, 50));
        const pool = new LoadPool();
        const relaxed = relaxedPlan(numbers, pool, [], PATIENT);
        expect(relaxed.bound).toBeLessThanOrEqual(good + 1e-6);
        const left = (loads: readonly DayLoad[]) =>
          numbers.kinds.reduce((sum, { jobs, left: price }, kind) => {
            const done = loads.reduce(
              (all, { taken }) => all + (taken.find(([one]) => one === kind)?.[1] ?? 0),
              0,
            );
            expect(done).toBeLessThanOrEqual(jobs.length);
            return sum + (jobs.length - done) * price;
          }, 0);
        for (const loads of [
          divedPlan(numbers, pool.loads, relaxed, PATIENT),
          wholePlan(numbers, pool.loads, solve, 10) ?? [],
        ]) {
          expect(new Set(loads.map(({ day }) => day)).size).toBe(loads.length);
          const cost = loads.reduce((sum, load) => sum + load.cost, 0) + left(loads);
          expect(cost).toBeGreaterThanOrEqual(relaxed.bound - 1e-6);
        }
      }),
      { numRuns: 25, seed: 9 },
    );
  });

  test("a branch raises the bound or leaves it: a yard shut on every day leaves its jobs out", () => {
    const numbers = roundsNumbers(smallRound(12, 3, 6));
    const free = relaxedPlan(numbers, new LoadPool(), [], PATIENT).bound;
    const shut = relaxedPlan(
      numbers,
      new LoadPool(),
      [0, 1].map((day) => ({ what: "yard", index: 0, day, sense: "<=", bound: 0 }) as const),
      PATIENT,
    );
    expect(shut.bound).toBeGreaterThanOrEqual(free - 1e-6);
    expect(shut.out).toBeGreaterThanOrEqual(2 - 1e-6);
  });

  test("where it comes to rest no known load would pay, and those it uses just pay (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), (seed) => {
        const numbers = roundsNumbers(smallRound(seed, 5, 10));
        const pool = new LoadPool();
        const { prices, parts } = relaxedPlan(numbers, pool, [], PATIENT);
        for (const load of pool.loads)
          expect(reducedCost(numbers, [], load, prices)).toBeGreaterThanOrEqual(-1e-3);
        for (const { load } of parts) expect(reducedCost(numbers, [], load, prices)).toBeCloseTo(0, 3);
      }),
      { numRuns: 25, seed: 3 },
    );
  });

  test("a branch gone on from where its parent came to rest costs what it costs from the beginning (property)", () => {
    const some = fc.record({
      seed: fc.nat(10_000),
      yard: fc.nat(4),
      day: fc.constantFrom(ANY_DAY, 0, 1),
      most: fc.boolean(),
    });
    fc.assert(
      fc.property(some, ({ seed, yard, day, most }) => {
        const numbers = roundsNumbers(smallRound(seed, 5, 10));
        const pool = new LoadPool();
        const parent = relaxedPlan(numbers, pool, [], PATIENT);
        const visits = parent.parts.reduce(
          (sum, { load, part }) =>
            sum + ((day === ANY_DAY || load.day === day) && load.mask & (1 << yard) ? part : 0),
          0,
        );
        fc.pre(Math.abs(visits - Math.round(visits)) > 0.01);
        const branch: Branch = most
          ? { what: "yard", index: yard, day, sense: "<=", bound: Math.floor(visits) }
          : { what: "yard", index: yard, day, sense: ">=", bound: Math.ceil(visits) };
        const anew = relaxedPlan(numbers, new LoadPool(), [branch], PATIENT);
        const gone = relaxedPlan(numbers, pool, [branch], PATIENT, { from: parent, dear: 5 });
        expect(gone.bound).toBeCloseTo(anew.bound, 3);
        expect(gone.bound).toBeGreaterThanOrEqual(parent.bound - 1e-3);
        // Only tried: nothing new is looked for, so it is no cheaper.
        const tried = relaxedPlan(numbers, new LoadPool(pool.loads), [branch], PATIENT, {
          from: parent,
          known: true,
        });
        expect(tried.cost).toBeGreaterThanOrEqual(anew.bound - 1e-3);
      }),
      { numRuns: 100, seed: 5 },
    );
  });

  test("a pool keeps each load once", () => {
    const pool = new LoadPool();
    const load = { name: "0:1,1", day: 0, mask: 1, taken: [[1, 1]] as const, cost: 3 };
    pool.keep(load);
    pool.keep({ ...load });
    pool.keep({ ...load, name: "1:1,1", day: 1 });
    expect(pool.loads.map(({ name }) => name)).toEqual(["0:1,1", "1:1,1"]);
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

describe("some days of a round", () => {
  test("hold what stands on them and what was left out; put back, the rest is as it was (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), (seed) => {
        const question = smallRound(seed, 14, 30, 6);
        const numbers = roundsNumbers(question);
        const assigned = goodAssignment(numbers, 50);
        const part = partOf(question, numbers, assigned, seededRandom(seed));
        expect(part.whole(part.assigned)).toEqual(assigned);
        const dates = new Set(part.question.days.map(({ date }) => date));
        const names = new Set(part.question.jobs.map(({ id }) => id));
        question.jobs.forEach(({ id }, job) => {
          const date = question.days[assigned[job] ?? 0]?.date;
          expect(names.has(id)).toBe(date === undefined || dates.has(date));
        });
        const out = part.assigned.map(() => part.question.days.length);
        part.whole(out).forEach((day, job) => {
          const moved = names.has(question.jobs[job]?.id ?? "");
          expect(day).toBe(moved ? question.days.length : assigned[job]);
        });
        const yards = part.numbers.kinds.reduce((mask, { yard }) => mask | (1 << yard), 0);
        if (part.question.days.length > 1) expect(bitCount(yards)).toBeLessThanOrEqual(FEW_YARDS);
      }),
      { numRuns: 25, seed: 2 },
    );
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
