import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import loadHighs from "highs";
import { addDays } from "../calendar/date";
import { highsSolver, type Solver } from "../math/programme";
import { planRounds } from "./plan";
import { companions, planning, withCompanions } from "./planning";
import { dayCost, leftCost, type RoundsPlan, type RoundsQuestion } from "./question";
import { horseAt, ROUNDS, rowsOf, TODAY } from "./round.fixture";
import { MONDAY, PATIENT, smallRound } from "./small.fixture";
import { joined } from "./together";

let solve: Solver;
beforeAll(async () => {
  solve = highsSolver(await loadHighs());
});

const plan = (question: RoundsQuestion): RoundsPlan => {
  const found = planRounds(question, solve, PATIENT);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};
const dayOf = ({ days }: RoundsPlan, id: string): string | undefined =>
  days.find(({ stops }) => stops.some(({ jobs }) => jobs.includes(id)))?.date;

/** One yard, two days of three hours; Ash due on the first, Birch on the second. */
const pair = (more: Partial<RoundsQuestion["jobs"][number]> = {}, minutes = 75): RoundsQuestion => ({
  home: [54, -2],
  speedKmh: 60,
  stopMinutes: 10,
  days: [MONDAY, addDays(MONDAY, 1)].map((date) => ({ date, minutes: 180 })),
  yards: [
    { id: "near", at: [54.05, -2] },
    { id: "far", at: [54.1, -2.1] },
  ],
  jobs: [
    { id: "ash", yard: "near", minutes, windowStart: addDays(MONDAY, -7), due: MONDAY, with: "pair" },
    {
      id: "birch",
      yard: "near",
      minutes,
      windowStart: addDays(MONDAY, -7),
      due: addDays(MONDAY, 1),
      with: "pair",
      ...more,
    },
  ],
});

describe("jobs that go together", () => {
  test("stand on one day, and cost what they cost one by one", () => {
    const question = pair();
    const found = plan(question);
    expect(dayOf(found, "ash")).toBe(MONDAY);
    expect(dayOf(found, "birch")).toBe(MONDAY);
    const [job] = joined(question).question.jobs;
    if (!job) throw new Error("one job");
    for (const date of question.days.map((day) => day.date))
      expect(dayCost(job, date)).toBe(question.jobs.reduce((sum, one) => sum + dayCost(one, date), 0));
    expect(leftCost(job, MONDAY)).toBe(question.jobs.reduce((sum, one) => sum + leftCost(one, MONDAY), 0));
  });

  test("a pin of one takes the other along", () => {
    const second = addDays(MONDAY, 1);
    const found = plan(pair({ only: second }));
    expect([dayOf(found, "ash"), dayOf(found, "birch")]).toEqual([second, second]);
  });

  test("stay apart where no day is long enough, where a hand pinned them apart, and at different yards", () => {
    const apart = (question: RoundsQuestion) => joined(question).question.jobs.map(({ id }) => id);
    expect(apart(pair({}, 95))).toEqual(["ash", "birch"]);
    expect(apart(pair({ yard: "far" }))).toEqual(["ash", "birch"]);
    const pinned = pair({ only: MONDAY });
    const [ash, birch] = pinned.jobs;
    if (!ash || !birch) throw new Error("two jobs");
    expect(apart({ ...pinned, jobs: [{ ...ash, only: addDays(MONDAY, 1) }, birch] })).toEqual([
      "ash",
      "birch",
    ]);
    expect(apart(pair())).toEqual(["ash"]);
  });

  test("never parted, every job told once, and no cheaper than if they might be parted (property)", () => {
    fc.assert(
      fc.property(fc.nat(10_000), (seed) => {
        const free = smallRound(seed, 3, 8);
        const tied = {
          ...free,
          jobs: free.jobs.map((job, index) => (index % 2 === 0 ? { ...job, with: "set" } : job)),
        };
        const [bound, found] = [plan(free), plan(tied)];
        const told = [...found.days.flatMap(({ stops }) => stops.flatMap(({ jobs }) => jobs)), ...found.left];
        expect(told.sort()).toEqual(free.jobs.map(({ id }) => id).sort());
        for (const { parts = [] } of joined(tied).question.jobs)
          expect(new Set(parts.map(({ id }) => dayOf(found, id))).size).toBeLessThanOrEqual(1);
        expect(found.objective).toBeGreaterThanOrEqual(bound.objective - 1e-6);
      }),
      { numRuns: 20, seed: 4 },
    );
  });
});

describe("horses that go together", () => {
  const horses = [
    horseAt("north", "Ash", { companionId: "birch" }),
    horseAt("north", "Birch"),
    horseAt("north", "Cedar", { companionId: "birch" }),
    horseAt("far", "Dogwood", { companionId: "ash" }),
    horseAt("far", "Elder"),
  ];

  test("whoever names whom, they are one set; a companion at another yard is none", () => {
    const sets = companions(rowsOf(horses));
    expect(new Set([sets.get("ash"), sets.get("birch"), sets.get("cedar")]).size).toBe(1);
    expect(sets.get("ash")).toBeDefined();
    expect([sets.get("dogwood"), sets.get("elder")]).toEqual([undefined, undefined]);
  });

  test("two pairs that a third name ties become one set", () => {
    const sets = companions([
      ...rowsOf([
        horseAt("north", "A", { companionId: "b" }),
        horseAt("north", "B"),
        horseAt("north", "C", { companionId: "d" }),
        horseAt("north", "D", { companionId: "a" }),
      ]),
    ]);
    expect(new Set(["a", "b", "c", "d"].map((id) => sets.get(id))).size).toBe(1);
  });

  test("a hand that moves one moves those beside it; one that lies elsewhere already stays there", () => {
    const asked = planning(rowsOf(horses), ROUNDS, [], TODAY, 4);
    const placed = { ash: "2026-11-24", birch: "2026-11-24", cedar: "2026-11-25" };
    expect(withCompanions(asked, placed, ["birch"])).toEqual(["ash", "birch"]);
    expect(withCompanions(asked, placed, ["cedar"])).toEqual(["cedar"]);
    expect(withCompanions(asked, {}, ["cedar", "elder"]).sort()).toEqual(["ash", "birch", "cedar", "elder"]);
  });

  test("one that is pinned stays where it is, whoever beside it is moved", () => {
    const pair = [
      horseAt("north", "Ash", { companionId: "birch", on: 1, at: "08:00", pinned: true }),
      horseAt("north", "Birch", { on: 1, at: "09:15" }),
    ];
    const asked = planning(rowsOf(pair), ROUNDS, [], TODAY, 4);
    expect(withCompanions(asked, { ash: "2026-11-24", birch: "2026-11-24" }, ["birch"])).toEqual(["birch"]);
  });

  test("the question carries the tie", () => {
    const { question } = planning(rowsOf(horses), ROUNDS, [], TODAY, 4);
    expect(joined(question).question.jobs.map(({ id, parts = [] }) => [id, parts.length])).toEqual([
      ["dogwood", 0],
      ["elder", 0],
      ["ash", 3],
    ]);
  });
});
