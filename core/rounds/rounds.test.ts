import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import loadHighs from "highs";
import { addDays } from "../calendar/date";
import { highsSolver, type Solver } from "../math/programme";
import { planRounds } from "./plan";
import { dayCost, leftCost, type RoundsJob, type RoundsPlan, type RoundsQuestion } from "./question";
import { placesOf, tourFinder } from "./tour";
import { driveMinutes, greatCircleKm, type Place } from "./travel";

let solve: Solver;
beforeAll(async () => {
  solve = highsSolver(await loadHighs());
});

const MONDAY = "2026-11-23";
const HOME: Place = [53, -2];
/** As long as it takes. */
const PATIENT = { seconds: 60, elapsed: () => 0 };
const plan = (question: RoundsQuestion): RoundsPlan => {
  const found = planRounds(question, solve, PATIENT);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};
const job = (id: string, yard: string, more: Partial<RoundsJob> = {}): RoundsJob => ({
  id,
  yard,
  minutes: 60,
  windowStart: MONDAY,
  due: addDays(MONDAY, 7),
  ...more,
});
const round = (more: Partial<RoundsQuestion> = {}): RoundsQuestion => ({
  home: HOME,
  speedKmh: 60,
  stopMinutes: 10,
  days: [
    { date: MONDAY, minutes: 300 },
    { date: addDays(MONDAY, 1), minutes: 300 },
  ],
  yards: [
    { id: "near", at: [53.05, -2] },
    { id: "east", at: [53, -1.8] },
  ],
  jobs: [job("a", "near"), job("b", "near"), job("c", "east")],
  ...more,
});

describe("travel", () => {
  test("a degree of latitude is 111.195 km, a degree of longitude on the sixtieth half of that", () => {
    expect(greatCircleKm([10, 20], [11, 20])).toBeCloseTo(111.195, 3);
    expect(greatCircleKm([60, 0], [60, 1])).toBeCloseTo(55.597, 2);
    expect(greatCircleKm([0, 179], [0, -179])).toBeCloseTo(2 * 111.195, 2);
    expect(greatCircleKm(HOME, HOME)).toBe(0);
  });

  test("30 km of great circle at 60 km/h with a detour of 1.3 are 39 minutes", () => {
    const north: Place = [53 + 30 / 111.19508, -2];
    expect(driveMinutes(HOME, north, 60)).toBeCloseTo(39, 3);
    expect(driveMinutes(HOME, north, 60, 1)).toBeCloseTo(30, 3);
  });
});

describe("tours", () => {
  const permutations = (items: readonly number[]): number[][] =>
    items.length === 0
      ? [[]]
      : items.flatMap((item, at) => permutations(items.toSpliced(at, 1)).map((rest) => [item, ...rest]));

  test("each set has its shortest tour, as trying every order finds it (property)", () => {
    const places = fc.array(fc.tuple(fc.integer({ min: 0, max: 50 }), fc.integer({ min: 0, max: 50 })), {
      minLength: 1,
      maxLength: 5,
    });
    fc.assert(
      fc.property(places, (at) => {
        const gap = ([ax, ay]: readonly number[], [bx, by]: readonly number[]) =>
          Math.hypot((ax ?? 0) - (bx ?? 0), (ay ?? 0) - (by ?? 0));
        const home = at.map((one) => gap([25, 25], one));
        const between = at.map((one) => at.map((other) => gap(one, other)));
        const tour = tourFinder(home, between);
        Array.from({ length: 1 << at.length }, (_, mask) => mask).forEach((mask) => {
          const { order, minutes } = tour(mask);
          const members = placesOf(mask);
          const lengths = permutations(members).map((way) =>
            way.length === 0
              ? 0
              : (home[way[0] ?? 0] ?? 0) +
                way.slice(1).reduce((sum, to, index) => sum + (between[way[index] ?? 0]?.[to] ?? 0), 0) +
                (home[way.at(-1) ?? 0] ?? 0),
          );
          expect([...order].sort()).toEqual(members);
          expect(minutes).toBeCloseTo(Math.min(...lengths), 9);
        });
      }),
      { numRuns: 40 },
    );
  });
});

describe("costs", () => {
  test("20 a day late by weight, 2 a day early, 500 and the lateness to come for what is left out", () => {
    const late = job("a", "near", { due: MONDAY, weight: 2 });
    expect(dayCost(late, addDays(MONDAY, 3))).toBe(120);
    expect(dayCost(job("a", "near", { windowStart: addDays(MONDAY, 4) }), MONDAY)).toBe(8);
    expect(leftCost(late, addDays(MONDAY, 5))).toBe(2 * (500 + 100));
  });
});

describe("planRounds", () => {
  test("what fits one day is done on one day, by one tour, proven", () => {
    const found = plan(round());
    const worked = found.days.filter(({ stops }) => stops.length > 0);
    expect(worked).toHaveLength(1);
    expect(worked[0]?.stops.flatMap(({ jobs }) => jobs).sort()).toEqual(["a", "b", "c"]);
    expect([found.left, found.gap, found.bound]).toEqual([[], 0, found.objective]);
    expect(found.objective).toBeCloseTo(worked[0]?.drive ?? 0, 6);
  });

  test("a day too short for all is filled, and the rest goes to the next", () => {
    const found = plan(
      round({
        days: [
          { date: MONDAY, minutes: 160 },
          { date: addDays(MONDAY, 1), minutes: 160 },
        ],
      }),
    );
    expect(found.left).toEqual([]);
    for (const { stops, drive, work } of found.days)
      expect(drive + work + 10 * stops.length).toBeLessThanOrEqual(160);
  });

  test("what finds no day is named, and a horse long overdue is not the one", () => {
    const found = plan(
      round({
        days: [{ date: MONDAY, minutes: 110 }],
        jobs: [job("fresh", "near"), job("overdue", "near", { due: addDays(MONDAY, -40) })],
      }),
    );
    expect([found.left, found.days[0]?.stops]).toEqual([["fresh"], [{ yard: "near", jobs: ["overdue"] }]]);
  });

  test("a pinned job stays on its day or is left out, and the others make room for it", () => {
    const [first, second] = [MONDAY, addDays(MONDAY, 1)];
    const pinned = plan(round({ jobs: [job("a", "near", { only: second }), job("b", "near")] }));
    expect(pinned.days.map(({ stops }) => stops.flatMap(({ jobs }) => jobs))).toEqual([[], ["a", "b"]]);
    const full = round({
      days: [
        { date: first, minutes: 110 },
        { date: second, minutes: 60 },
      ],
      jobs: [job("a", "near", { only: second }), job("b", "near")],
    });
    expect([plan(full).left, plan(full).days[0]?.stops[0]?.jobs]).toEqual([["a"], ["b"]]);
  });

  test("three or four yards and jobs alike in everything are as cheap as trying every way (property)", () => {
    fc.assert(
      fc.property(fc.integer({ min: 90, max: 260 }), fc.nat(5), (minutes, due) => {
        const question = round({
          days: [0, 1].map((day) => ({ date: addDays(MONDAY, day), minutes })),
          yards: [0, 1, 2].map((yard) => ({
            id: String(yard),
            at: [53 + 0.03 * yard, -2 + 0.05 * yard * yard] as Place,
          })),
          jobs: [0, 0, 0, 1, 1, 2].map((yard, index) =>
            job(`j${index}`, String(yard), {
              minutes: 45,
              due: addDays(MONDAY, due - 3),
              weight: yard === 2 ? 2 : 1,
            }),
          ),
        });
        expect(plan(question).objective).toBeCloseTo(cheapestByTrying(question), 5);
      }),
      { numRuns: 15, seed: 11 },
    );
  });

  test("a week of five yards and twenty horses is proven, and told on the way: plan falls, bound rises", () => {
    const told: RoundsPlan[] = [];
    const question = round({
      days: [0, 1, 2, 3].map((day) => ({ date: addDays(MONDAY, day), minutes: 300 })),
      yards: Array.from({ length: 5 }, (_, yard) => ({
        id: String(yard),
        at: [53 + 0.06 * Math.cos(yard * 2), -2 + 0.09 * Math.sin(yard * 3)] as Place,
      })),
      jobs: Array.from({ length: 20 }, (_, index) =>
        job(`j${index}`, String(index % 5), {
          minutes: 25 + 10 * (index % 4),
          due: addDays(MONDAY, ((index * 7) % 11) - 3),
        }),
      ),
    });
    const found = planRounds(question, solve, { ...PATIENT, report: (progress) => told.push(progress) });
    expect(found.ok && found.value.gap).toBe(0);
    for (const [index, { objective, bound, days, left }] of told.entries()) {
      const done = days.flatMap(({ stops }) => stops.flatMap(({ jobs }) => jobs));
      expect(done.length + left.length).toBe(20);
      const next = told[index + 1];
      expect(bound).toBeLessThanOrEqual(objective);
      if (next)
        expect([next.objective <= objective, next.bound >= Math.min(bound, next.objective)]).toEqual([
          true,
          true,
        ]);
    }
  });

  test("a day with no hours takes nothing, no days and no jobs make an empty plan", () => {
    expect(plan(round({ days: [{ date: MONDAY, minutes: 0 }] })).left).toEqual(["a", "b", "c"]);
    expect(plan(round({ days: [] })).left).toEqual(["a", "b", "c"]);
    expect(plan(round({ jobs: [] })).objective).toBe(0);
  });

  test.each([
    [{ jobs: [job("a", "moon")] }, "jobs.0.yard", "unknown-yard"],
    [{ jobs: [job("a", "near"), job("a", "east")] }, "jobs.1", "double"],
    [{ speedKmh: 0 }, "speedKmh", "not-positive"],
  ])("what cannot be planned is said at its place", (more, path, code) => {
    const found = planRounds(round(more), solve, PATIENT);
    expect(found.ok ? undefined : [found.issues[0]?.path, found.issues[0]?.code]).toEqual([path, code]);
  });

  test("as cheap as the cheapest of all assignments, and within every day’s minutes (property)", () => {
    const place = fc.tuple(
      fc.double({ min: 52.8, max: 53.2, noNaN: true }),
      fc.double({ min: -2.3, max: -1.7, noNaN: true }),
    );
    const some = fc.record({
      yards: fc.array(place, { minLength: 1, maxLength: 3 }),
      jobs: fc.array(
        fc.record({
          at: fc.nat(2),
          minutes: fc.integer({ min: 20, max: 120 }),
          due: fc.integer({ min: -10, max: 8 }),
        }),
        { minLength: 1, maxLength: 4 },
      ),
      minutes: fc.integer({ min: 60, max: 320 }),
    });
    fc.assert(
      fc.property(some, ({ yards, jobs, minutes }) => {
        const question = round({
          days: [0, 1].map((day) => ({ date: addDays(MONDAY, day), minutes })),
          yards: yards.map((at, index) => ({ id: String(index), at })),
          jobs: jobs.map(({ at, minutes: work, due }, index) =>
            job(`j${index}`, String(at % yards.length), {
              minutes: work,
              due: addDays(MONDAY, due),
              windowStart: addDays(MONDAY, due - 7),
            }),
          ),
        });
        const found = plan(question);
        expect(found.objective).toBeCloseTo(cheapestByTrying(question), 5);
        for (const { stops, drive, work } of found.days)
          expect(drive + work + question.stopMinutes * stops.length).toBeLessThanOrEqual(minutes + 1e-6);
        const done = found.days.flatMap(({ stops }) => stops.flatMap(({ jobs: here }) => here));
        expect([...done, ...found.left].sort()).toEqual(question.jobs.map(({ id }) => id).sort());
      }),
      { numRuns: 40, seed: 7 },
    );
  });

  test("without time for a proof the plan still keeps every day, costs no less than its bound, and says the gap", () => {
    const question = round({ days: [0, 1].map((day) => ({ date: addDays(MONDAY, day), minutes: 160 })) });
    const found = planRounds(question, solve, { seconds: 0, elapsed: () => 1 });
    if (!found.ok) throw new Error(found.issues[0]?.message);
    const { days, left, objective, bound, gap } = found.value;
    expect(left).toEqual([]);
    for (const { stops, drive, work } of days)
      expect(drive + work + 10 * stops.length).toBeLessThanOrEqual(160);
    expect(objective).toBeGreaterThanOrEqual(plan(question).objective - 1e-6);
    expect(bound).toBeLessThanOrEqual(plan(question).objective + 1e-6);
    expect(gap).toBeCloseTo((objective - bound) / objective, 12);
  });
});

/** The cheapest of every way to put each job on a day or on none. */
function cheapestByTrying({ home, speedKmh, stopMinutes, days, yards, jobs }: RoundsQuestion): number {
  const drive = (from: Place, to: Place) => driveMinutes(from, to, speedKmh);
  const tour = tourFinder(
    yards.map(({ at = home }) => drive(home, at)),
    yards.map(({ at = home }) => yards.map((other) => drive(at, other.at ?? home))),
  );
  let best = Number.POSITIVE_INFINITY;
  const lastDay = days.at(-1)?.date ?? "";
  for (let code = 0; code < (days.length + 1) ** jobs.length; code++) {
    const day = jobs.map((_, index) => Math.floor(code / (days.length + 1) ** index) % (days.length + 1));
    let cost = 0;
    const fits = days.every(({ minutes }, number) => {
      const here = jobs.filter((_, index) => day[index] === number);
      const mask = here.reduce((set, { yard }) => set | (1 << yards.findIndex(({ id }) => id === yard)), 0);
      const { minutes: way } = tour(mask);
      cost += way;
      const stops = new Set(here.map(({ yard }) => yard)).size;
      return here.reduce((sum, one) => sum + one.minutes, 0) + way + stops * stopMinutes <= minutes + 1e-9;
    });
    if (!fits) continue;
    jobs.forEach((one, index) => {
      const on = days[day[index] ?? 0];
      cost += on ? dayCost(one, on.date) : leftCost(one, lastDay);
    });
    best = Math.min(best, cost);
  }
  return best;
}
