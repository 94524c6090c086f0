import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { corYOf } from "../foot/parametric/parameters";
import { distance } from "../geometry/vector";
import { seededRandom } from "../math/random";
import type { Result } from "../result";
import { aimAt, sceneOf } from "../simulator/scene";
import { project } from "../simulator/camera";
import { CUT_STEP_MM, cutTask, PRACTICE_CUTS, scoreCuts } from "./cutRoom";
import { lengthTask, scoreLength } from "./lengthRoom";
import { LEVELS } from "./level";
import { practiceFoot } from "./practiceFoot";
import { READ_QUESTIONS, readTask, scoreAnswers } from "./readRoom";

const value = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(result.issues[0]?.message);
  return result.value;
};
const seeds = fc.integer({ min: 1, max: 1e9 });
const levels = fc.integer({ min: 1, max: LEVELS });

describe("read", () => {
  test("a seed gives the same question; all four kinds turn up, and every answer is right some time", () => {
    const right = new Map<string, Set<number>>();
    for (let seed = 1; seed <= 400; seed++) {
      const task = readTask(seed, 1 + (seed % LEVELS));
      if (seed < 20) expect(readTask(seed, 1 + (seed % LEVELS))).toEqual(task);
      expect(task.right).toBeGreaterThanOrEqual(0);
      expect(task.right).toBeLessThan(task.answers.length);
      right.set(task.question, (right.get(task.question) ?? new Set()).add(task.right));
    }
    expect([...right.keys()].sort()).toEqual([...READ_QUESTIONS].sort());
    for (const [question, found] of right)
      expect([question, found.size]).toEqual([
        question,
        question === "wear" || question === "centre" ? 4 : 3,
      ]);
  });

  const tasks = (kind: string, level: number) =>
    Array.from({ length: 300 }, (_, index) => readTask(index + 1, level)).filter(
      ({ question }) => question === kind,
    );

  test("the right answer is what the foot is: taller heel by its heights, axis by its angles", () => {
    for (const level of [1, 5, 9]) {
      for (const { picture, answers, right } of tasks("taller heel", level)) {
        const { medial, lateral } = picture?.foot.heelHeightMm ?? { medial: 0, lateral: 0 };
        const apart = lateral - medial;
        expect(answers[right]).toBe(Math.abs(apart) <= 0.5 ? "level" : apart > 0 ? "lateral" : "medial");
      }
      for (const { picture, answers, right } of tasks("axis", level)) {
        const axis = (picture?.foot.dorsalAngleDeg ?? 0) - (picture?.foot.pasternAngleDeg ?? 0);
        expect(answers[right]).toBe(
          Math.abs(axis) <= 0.7 ? "straight" : axis > 0 ? "broken forward" : "broken back",
        );
      }
    }
  });

  test("the right line lies over the centre of rotation, and the lines stand closer together at a higher level", () => {
    const apart = (level: number) => {
      const task = tasks("centre", level)[0];
      if (!task?.picture || !task.lines) throw new Error("no lines");
      const { foot, shot } = task.picture;
      const scene = sceneOf(foot, "sole");
      const camera = aimAt(scene, shot);
      const [x, y] = project(camera, scene.toWorld([0, corYOf(foot), 0]));
      const [a, b] = task.lines[task.right]?.ends ?? [];
      if (!a || !b) throw new Error("no ends");
      const off = Math.abs((b[0] - a[0]) * (a[1] - y) - (a[0] - x) * (b[1] - a[1])) / distance(a, b);
      expect(off).toBeLessThan(0.01);
      const [first, second] = [task.lines[0]?.ends[0] ?? a, task.lines[1]?.ends[0] ?? b];
      return distance(first, second);
    };
    expect(apart(9)).toBeLessThan(apart(1));
    expect(soleLandmarks(practiceFoot(seededRandom(1), { count: 0, size: 0 }).foot).toe[1]).toBeGreaterThan(
      0,
    );
  });

  test("the thinnest part of a worn shoe is where the answer says", () => {
    for (const { worn = [], right } of tasks("wear", 5)) {
      const third = [worn.slice(4, 13), worn.slice(16, 25), worn.slice(28, 37)].map((part) =>
        Math.min(...part),
      );
      const least = Math.min(...third);
      if (right < 3) expect(third.indexOf(least)).toBe(right);
      else expect(Math.max(...third) - least).toBeLessThan(0.6);
    }
  });

  test("a round is scored by the part that was right; none answered is nothing", () => {
    const answers = [
      { question: "axis" as const, level: 3, right: true },
      { question: "wear" as const, level: 4, right: false },
    ];
    expect(scoreAnswers(answers)).toEqual({
      score: 50,
      misses: [
        { of: "Axis", unit: "wrong", off: 0 },
        { of: "Worn shoe", unit: "wrong", off: 1 },
      ],
    });
    expect(scoreAnswers([]).score).toBe(0);
  });
});

describe("cut", () => {
  test("the plan's own cuts score all, no cut scores nothing, and no random cut within the limits beats the plan (seeded property)", () => {
    fc.assert(
      fc.property(seeds, levels, (seed, level) => {
        const task = cutTask(seed, level);
        const best = value(scoreCuts(task, task.plan.cuts));
        expect(best.score).toBeGreaterThan(99.9);
        expect(best.over).toEqual([]);
        expect(value(scoreCuts(task, { toe: 0, heelMedial: 0, heelLateral: 0 })).score).toBe(0);
        const random = seededRandom(seed);
        const { most } = task.plan.limits;
        const tried = value(
          scoreCuts(task, {
            toe: most.toe * random(),
            heelMedial: most.heelMedial * random(),
            heelLateral: most.heelLateral * random(),
          }),
        );
        expect(tried.score).toBeLessThanOrEqual(100);
      }),
      { seed: 41, numRuns: 60 },
    );
  });

  test("what goes into the live sole is named with how much, and is worth nothing", () => {
    const task = cutTask(5, 3);
    const { most } = task.plan.limits;
    const scored = value(scoreCuts(task, { ...task.plan.cuts, heelMedial: most.heelMedial + 2 }));
    expect(scored.over.find(({ of }) => of === "Heel, medial")?.mm).toBeCloseTo(2, 9);
    expect(scored.score).toBe(0);
    const within = value(scoreCuts(task, { ...task.plan.cuts, heelMedial: most.heelMedial + 0.2 }));
    expect(within.over).toEqual([]);
  });

  test("on what most was lost is named: side to side where one heel alone came down too far; nothing after the plan's own", () => {
    const task = cutTask(5, 3);
    const { toe, heelMedial, heelLateral } = task.plan.cuts;
    expect(value(scoreCuts(task, task.plan.cuts)).lost).toBeUndefined();
    expect(
      value(scoreCuts(task, { toe, heelMedial: heelMedial + 1.5, heelLateral: heelLateral - 1.5 })).lost,
    ).toBe("level");
  });

  test("cuts to the half millimetre reach nearly all of what the plan mends", () => {
    for (let seed = 1; seed <= 30; seed++) {
      const task = cutTask(seed, 5);
      const rounded = Object.fromEntries(
        PRACTICE_CUTS.map((name) => [name, Math.floor(task.plan.cuts[name] / CUT_STEP_MM) * CUT_STEP_MM]),
      ) as Record<(typeof PRACTICE_CUTS)[number], number>;
      expect(value(scoreCuts(task, rounded)).score).toBeGreaterThan(60);
    }
  });
});

describe("length", () => {
  test("between the two ways is right; beyond, it misses by what is wanting, half worth at half an inch", () => {
    const task = lengthTask(3, 1);
    const { rule, outline, cutMm } = task.stock;
    const low = Math.min(rule.total, outline?.total ?? rule.total);
    expect(scoreLength(task, (low + cutMm) / 2)).toMatchObject({ off: 0, score: 100 });
    expect(scoreLength(task, cutMm)).toMatchObject({ off: 0, score: 100 });
    const short = scoreLength(task, low - 12.7);
    expect(short.off).toBeCloseTo(-12.7, 9);
    expect(short.score).toBeCloseTo(50, 9);
  });

  test("a seed gives the same shoe; at the first levels the section is an ordinary one, later any", () => {
    const webs = (level: number) =>
      new Set(Array.from({ length: 60 }, (_, index) => lengthTask(index + 1, level).section.width));
    expect([...webs(1)].sort((a, b) => a - b)).toEqual([20, 22]);
    expect(webs(9).size).toBeGreaterThan(4);
    expect(lengthTask(7, 4)).toEqual(lengthTask(7, 4));
  });

  test("both ways are there for every shoe (seeded property)", () => {
    fc.assert(
      fc.property(seeds, levels, (seed, level) => {
        const { stock } = lengthTask(seed, level);
        expect(stock.outline?.total).toBeGreaterThan(150);
        expect(Math.abs((stock.outline?.total ?? 0) - stock.rule.total)).toBeLessThan(60);
      }),
      { seed: 51, numRuns: 60 },
    );
  });
});
