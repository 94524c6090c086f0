import { beforeAll, describe, expect, test } from "@jest/globals";
import loadHighs from "highs";
import { highsSolver, type Solver } from "../math/programme";
import { splitQuestion } from "./many";
import { planRounds } from "./plan";
import type { RoundsPlan, RoundsQuestion } from "./question";
import { smallRound } from "./small.fixture";

let solve: Solver;
beforeAll(async () => {
  solve = highsSolver(await loadHighs());
});

/** A search that has a little time, by a clock of its own steps. */
const planned = (question: RoundsQuestion): RoundsPlan => {
  let step = 0;
  const found = planRounds(question, solve, { seconds: 60, elapsed: () => step++ / 50 });
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};
const all = ({ days, left }: RoundsPlan) => [
  ...days.flatMap(({ stops }) => stops.flatMap(({ jobs }) => jobs)),
  ...left,
];

describe("a question in two", () => {
  test("is answered near to the best, and its bound holds: 30 small rounds of five yards, three of them searched for", () => {
    for (let seed = 1; seed <= 30; seed++) {
      const question = smallRound(seed, 5, 7);
      const best = planned(question);
      const { part, complete } = splitQuestion(question, 3);
      expect(new Set(part.jobs.map(({ yard }) => yard)).size).toBe(3);
      const found = complete(planned(part));
      expect(all(found).sort()).toEqual(question.jobs.map(({ id }) => id).sort());
      expect(found.bound).toBeLessThanOrEqual(best.objective + 1e-6);
      expect(found.objective).toBeGreaterThanOrEqual(best.bound - 1e-6);
    }
  });

  test("what is pinned stays on its day, and no day is longer than it has minutes", () => {
    for (let seed = 1; seed <= 20; seed++) {
      const question = smallRound(seed, 6, 10);
      const [first, second] = question.days;
      const pinned = {
        ...question,
        jobs: question.jobs.map((job, at) => (at % 3 === 0 ? { ...job, only: second!.date } : job)),
      };
      const { part, complete } = splitQuestion(pinned, 2);
      const { days } = complete(planned(part));
      const on = new Set(days[0]?.stops.flatMap(({ jobs }) => jobs));
      expect(pinned.jobs.filter(({ id, only }) => only === second!.date && on.has(id))).toEqual([]);
      for (const [at, { drive, work, stops }] of days.entries())
        expect(drive + work + stops.length * question.stopMinutes).toBeLessThanOrEqual(
          [first, second][at]!.minutes + 1e-6,
        );
    }
  });
});

test.each([31, 40, 200])("%i yards are planned: every job has a day or is said to have none", (yards) => {
  const question = smallRound(yards, yards, yards, 10);
  const plan = planned(question);
  expect(all(plan).sort()).toEqual(question.jobs.map(({ id }) => id).sort());
  expect(plan.objective).toBeGreaterThanOrEqual(plan.bound);
  expect(plan.days.every(({ stops }) => stops.length > 0)).toBe(true);
});
