import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { LIMBS, pairOf } from "../foot/limb";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { corYOf } from "../foot/parametric/parameters";
import { distance, type ImagePoint } from "../geometry/vector";
import { normalDraw, seededRandom } from "../math/random";
import { sidesChanged } from "../photo/fill";
import { MEASURED_VIEWS, PHOTO_MARKS } from "../photo/views";
import type { Result } from "../result";
import { pairsOfReadings } from "../foot/records/pairs";
import { aimAt, sceneOf } from "../simulator/scene";
import { project } from "../simulator/camera";
import { CUT_STEP_MM, cutTask, PRACTICE_CUTS, scoreCuts } from "./cutRoom";
import { lengthTask, scoreLength } from "./lengthRoom";
import { atLevel, levelAfter, levelAfterAnswer, levelIn, LEVELS, worthOf } from "./level";
import { measureTask, scoreMarks, twinTask, type MeasureTask } from "./measureRoom";
import { pictureTruth } from "./picture";
import { practiceFoot, WRONG_NAMES } from "./practiceFoot";
import { READ_QUESTIONS, readTask, scoreAnswers } from "./readRoom";
import { trySchema } from "./tryRecord";

const value = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(result.issues[0]?.message);
  return result.value;
};
const seeds = fc.integer({ min: 1, max: 1e9 });
const levels = fc.integer({ min: 1, max: LEVELS });
const views = fc.constantFrom(...MEASURED_VIEWS);
const truthOf = (task: MeasureTask) => pictureTruth(task.picture).points as Record<string, ImagePoint>;
const moved = (points: Record<string, ImagePoint>, mark: string, [dx, dy]: readonly [number, number]) => ({
  ...points,
  [mark]: [(points[mark]?.[0] ?? 0) + dx, (points[mark]?.[1] ?? 0) + dy] as ImagePoint,
});

describe("difficulty", () => {
  test("goes up when a foot was well done, down when it was too hard, and stays between; it never leaves 1 to 9", () => {
    expect([levelAfter(4, 92), levelAfter(4, 65), levelAfter(4, 30)]).toEqual([5, 4, 3]);
    expect([levelAfter(9, 100), levelAfter(1, 0)]).toEqual([9, 1]);
  });

  test("one answer right is a level up, one wrong two down", () => {
    expect([levelAfterAnswer(4, true), levelAfterAnswer(4, false)]).toEqual([5, 2]);
    expect([levelAfterAnswer(9, true), levelAfterAnswer(1, false)]).toEqual([9, 1]);
  });

  test("by answers it settles where two of three are right", () => {
    const random = seededRandom(5);
    let level = 1;
    let right = 0;
    for (let answer = 0; answer < 6000; answer++) {
      // Whoever guesses at level 9 and never misses at level 1.
      const isRight = random() < atLevel(level, [1, 0.34]);
      right += isRight ? 1 : 0;
      level = levelAfterAnswer(level, isRight);
    }
    expect(right / 6000).toBeGreaterThan(0.62);
    expect(right / 6000).toBeLessThan(0.72);
  });

  test("where somebody stands is what the latest try of that room left, whatever the order of the rows", () => {
    const tries = [
      { room: "measure" as const, at: "2026-11-20T10:00:00Z", next: 5 },
      { room: "measure" as const, at: "2026-11-20T09:00:00Z", next: 3 },
      { room: "cut" as const, at: "2026-11-21T09:00:00Z", next: 8 },
    ];
    expect([levelIn(tries, "measure"), levelIn(tries, "cut"), levelIn(tries, "run")]).toEqual([5, 8, 1]);
  });

  test("a miss is worth less the larger it is, half at its half", () => {
    expect([worthOf(0, 4), worthOf(4, 4), worthOf(-4, 4)]).toEqual([1, 0.5, 0.5]);
    expect(worthOf(8, 4)).toBeCloseTo(0.2, 12);
  });
});

describe("practiceFoot", () => {
  test("a seed gives the same foot; as many wrongs as were asked for, never broken back and forward at once", () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 0, max: 5 }), (seed, count) => {
        const made = practiceFoot(seededRandom(seed), { count, size: 1 });
        expect(practiceFoot(seededRandom(seed), { count, size: 1 })).toEqual(made);
        expect(made.wrong).toHaveLength(count);
        expect(new Set(made.wrong).size).toBe(count);
        expect(made.wrong.filter((name) => name.startsWith("broken")).length).toBeLessThan(2);
      }),
      { seed: 3, numRuns: 60 },
    );
  });

  test("every wrong turns up, on every limb", () => {
    const random = seededRandom(9);
    const seen = new Set<string>();
    const limbs = new Set<string>();
    for (let foot = 0; foot < 200; foot++) {
      const made = practiceFoot(random, { count: 2, size: 1 });
      limbs.add(made.foot.limb);
      for (const name of made.wrong) seen.add(name);
    }
    expect([...seen].sort()).toEqual([...WRONG_NAMES].sort());
    expect([...limbs].sort()).toEqual([...LIMBS].sort());
  });
});

describe("measure", () => {
  test("marks that lie true score all, miss nothing and read what is true, at every level and view (seeded property)", () => {
    fc.assert(
      fc.property(seeds, levels, views, (seed, level, view) => {
        const task = measureTask(seed, level, view);
        const scored = value(scoreMarks(task, truthOf(task)));
        expect(scored.score).toBeCloseTo(100, 9);
        expect(Math.max(...scored.misses.map(({ off }) => off))).toBeLessThan(1e-9);
        for (const { said, truth } of scored.numbers) expect(said).toBeCloseTo(truth, 9);
      }),
      { seed: 11, numRuns: 60 },
    );
  });

  test("every mark and the card lie inside the picture, at every level (seeded property)", () => {
    fc.assert(
      fc.property(seeds, levels, views, (seed, level, view) => {
        const { picture } = measureTask(seed, level, view);
        const { points, scale } = pictureTruth(picture);
        const corners = scale.kind === "card" ? scale.corners : [];
        for (const point of [...PHOTO_MARKS[view].map((mark) => points[mark]), ...corners]) {
          expect(point?.[0]).toBeGreaterThan(0);
          expect(point?.[0]).toBeLessThan(picture.shot.width);
          expect(point?.[1]).toBeGreaterThan(0);
          expect(point?.[1]).toBeLessThan(picture.shot.height);
        }
      }),
      { seed: 12, numRuns: 250 },
    );
  });

  test("a mark moved by so much misses by so much in millimetres, and no other does", () => {
    const task = measureTask(4, 1, "sole");
    const truth = truthOf(task);
    const { scale } = pictureTruth(task.picture);
    const pxPerMm = scale.kind === "card" ? distance(scale.corners[0], scale.corners[1]) / scale.widthMm : 1;
    const { misses } = value(scoreMarks(task, moved(truth, "toe", [5 * pxPerMm, 0])));
    const off = Object.fromEntries(misses.map((one) => [one.of, one.off]));
    expect(off["Toe"]).toBeGreaterThan(4.7);
    expect(off["Toe"]).toBeLessThan(5.3);
    expect(Object.values(off).filter((mm) => mm > 1e-9)).toHaveLength(1);
  });

  test("a mark that only has to lie on a line may lie anywhere on it, and misses by its distance from it", () => {
    const task = measureTask(8, 1, "side");
    const truth = truthOf(task);
    const along = (from: string, to: string, part: number): ImagePoint => [
      (truth[from]?.[0] ?? 0) + ((truth[to]?.[0] ?? 0) - (truth[from]?.[0] ?? 0)) * part,
      (truth[from]?.[1] ?? 0) + ((truth[to]?.[1] ?? 0) - (truth[from]?.[1] ?? 0)) * part,
    ];
    const { misses } = value(
      scoreMarks(task, {
        ...truth,
        pasternHigh: along("pasternLow", "pasternHigh", 0.8),
        wallHigh: along("hairlineToe", "wallMid", 0.4),
      }),
    );
    for (const { off } of misses) expect(off).toBeLessThan(0.3);
    const beside = value(scoreMarks(task, moved(truth, "wallHigh", [40, 0])));
    expect(beside.misses.find(({ of }) => of === "Wall, high")?.off).toBeGreaterThan(4);
  });

  test("medial and lateral changed over is a miss by the width of the foot, not a true reading", () => {
    const task = measureTask(4, 2, "sole");
    const { misses, score } = value(scoreMarks(task, sidesChanged(truthOf(task))));
    expect(Math.max(...misses.map(({ off }) => off))).toBeGreaterThan(60);
    expect(score).toBeLessThan(60);
  });

  test("a foot and its mirror image, missed alike, score alike", () => {
    const random = seededRandom(21);
    for (const view of MEASURED_VIEWS) {
      const slanted = measureTask(31, 3, view);
      const { foot, shot } = slanted.picture;
      // Square to the foot: the card lies on one side of both, and nothing but the foot is mirrored.
      const square = { ...slanted.picture, shot: { ...shot, slantDeg: 0, rollDeg: 0 } };
      const task: MeasureTask = { ...slanted, picture: square };
      const mirror: MeasureTask = {
        ...slanted,
        picture: { ...square, foot: { ...foot, limb: pairOf(foot.limb) } },
      };
      const [truth, other] = [truthOf(task), truthOf(mirror)];
      const [mine, theirs] = [{ ...truth }, { ...other }];
      for (const mark of task.marks) {
        const [dx, dy] = [normalDraw(random, 0, 6), normalDraw(random, 0, 6)];
        Object.assign(mine, moved(mine, mark, [dx, dy]));
        Object.assign(theirs, moved(theirs, mark, [-dx, dy]));
      }
      const [a, b] = [value(scoreMarks(task, mine)), value(scoreMarks(mirror, theirs))];
      expect(a.score).toBeLessThan(99);
      expect(b.score).toBeCloseTo(a.score, 6);
    }
  });

  test("what is not placed is named", () => {
    const task = measureTask(4, 1, "rear");
    const { heelMedial: _left, ...rest } = truthOf(task);
    expect(scoreMarks(task, rest)).toMatchObject({
      ok: false,
      issues: [{ code: "not-placed", message: "Not placed yet: Heel, medial." }],
    });
  });

  test("a twin is the same foot from elsewhere: its true reading is the same, its picture is not, and both make pairs", () => {
    const first = measureTask(17, 6, "side");
    const twin = twinTask(first, 99);
    expect(twin.picture.foot).toEqual(first.picture.foot);
    expect(truthOf(twin)).not.toEqual(truthOf(first));
    const [a, b] = [value(scoreMarks(first, truthOf(first))), value(scoreMarks(twin, truthOf(twin)))];
    const pairs = pairsOfReadings("2026-11-23", a.values, b.values);
    expect(pairs.map(({ measure }) => measure)).toContain("dorsalAngle");
    for (const pair of pairs) expect(Math.abs(pair.a - pair.b)).toBeLessThan(1.5);
  });
});

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

test("a try as it is kept is what its schema wants", () => {
  const task = measureTask(4, 2, "rear");
  const { misses, score } = value(scoreMarks(task, truthOf(task)));
  const kept = {
    id: "t",
    date: "2026-11-23",
    at: "2026-11-23T10:00:00Z",
    room: "measure",
    what: "From behind",
    level: 2,
    next: levelAfter(2, score),
    score,
    seconds: 40,
    misses,
  };
  expect(trySchema.safeParse(kept).success).toBe(true);
  expect(trySchema.safeParse({ ...kept, level: 10 }).success).toBe(false);
});
