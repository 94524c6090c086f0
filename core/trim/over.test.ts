import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { cutFoot } from "../foot/parametric/cut";
import { trimFootOf, type FootParameters } from "../foot/parametric/parameters";
import type { FootValues } from "../foot/measures";
import { normalDraw, seededRandom } from "../math/random";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { agreedPlan } from "./agreed";
import { compareCycles, longestInterval, runCycles, type CycleQuestion } from "./cycles";
import { biasInWords, flaresAgainstDone, ownBias, plannedAgainstDone, plannedDoneInWords } from "./done";
import { belowLine, cutLines } from "./cutLines";
import { planPair } from "./pair";
import { BROKEN_BACK, plainWording as wording } from "./trim.fixture";

const noise = GENERAL_NOISE.value;
const LENSES = { frontBack: "straight-axis", side: "even-sole" } as const;
const PLAIN = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
const OVERDUE: FootParameters = {
  ...PLAIN,
  dorsalAngleDeg: 46,
  toeLengthMm: PLAIN.toeLengthMm + 10,
  wallAboveSoleMm: { toe: 11, medial: 5, lateral: 5 },
};

const sound = <T>(found: { ok: true; value: T } | { ok: false }): T => {
  if (!found.ok) throw new Error("no foot");
  return found.value;
};

describe("a pair planned together", () => {
  const pair = (worse: object, better: object = {}) =>
    sound(
      planPair(
        {
          limb: "LF",
          question: { ...BROKEN_BACK, foot: { ...BROKEN_BACK.foot, dorsalAngle: 52, ...better } },
        },
        { limb: "RF", question: { ...BROKEN_BACK, ...worse } },
      ),
    );

  test("the better foot keeps its own plan, the worse one comes nearer to it", () => {
    const upright = {
      foot: { ...BROKEN_BACK.foot, dorsalAngle: 57, pasternAngle: 56 },
      above: { toe: 4, heelMedial: 6, heelLateral: 6 },
    };
    const found = pair(upright);
    expect(found.better).toBe("LF");
    expect(found.own.better.predicted.dorsalAngle).toBeCloseTo(52, 0);
    expect(Math.abs(found.apart.matched)).toBeLessThan(Math.abs(found.apart.own) - 0.5);
    expect(found.pasternsApart).toBe(4);
  });

  test("what the worse foot cannot give stays apart: its limits hold", () => {
    const found = pair({ above: { toe: 0, heelMedial: 0, heelLateral: 0 }, toeWall: 6 });
    expect(found.matched.cuts).toEqual({ toe: 0, heelMedial: 0, heelLateral: 0, dress: 0 });
    expect(found.apart.matched).toBeCloseTo(found.apart.own, 12);
  });

  test("handed over the other way round it is the same pair", () => {
    const a = { limb: "LF", question: BROKEN_BACK } as const;
    const b = {
      limb: "RF",
      question: { ...BROKEN_BACK, foot: { ...BROKEN_BACK.foot, dorsalAngle: 40 } },
    } as const;
    expect(sound(planPair(a, b)).better).toBe("LF");
    expect(sound(planPair(b, a)).better).toBe("LF");
  });

  test("neither foot is asked for more than one visit takes, matched or not", () => {
    const steep = {
      foot: { ...BROKEN_BACK.foot, dorsalAngle: 66, heelAngle: 62 },
      above: { toe: 3, heelMedial: 20, heelLateral: 20 },
    };
    const { cuts } = pair(steep).matched;
    expect(Math.max(cuts.heelMedial, cuts.heelLateral)).toBeLessThanOrEqual(8 + 1e-5);
  });

  test("the plane of the live sole is not bent to match", () => {
    const found = pair({ frontBack: "live-sole" });
    expect(found.matched.cuts).toEqual(found.own.worse.cuts);
  });
});

describe("months ahead", () => {
  const question: CycleQuestion = {
    foot: OVERDUE,
    lenses: LENSES,
    finish: "shod",
    toeWall: 10,
    minToeLength: 80,
    toeTarget: 86,
    growthPerDay: 0.28,
    driftPerDay: -0.059,
    from: "2026-03-01",
    hemisphere: "north",
    weeks: 26,
  };

  test("every interval from 1 to 8 weeks: one trim at once, then one each interval, none on the last day", () => {
    const runs = sound(compareCycles(question));
    expect(runs.map(({ everyWeeks }) => everyWeeks)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    expect(runs.map(({ trims }) => trims)).toEqual([26, 13, 9, 7, 6, 5, 4, 4]);
    for (const { moments } of runs) {
      expect(moments[0]).toMatchObject({ day: 0, at: "before", removed: 0 });
      expect(moments.at(-1)).toMatchObject({ day: 182, at: "end" });
    }
  });

  test("the longer the interval, the longer the toe gets and the lower the foot stands before a trim", () => {
    const runs = sound(compareCycles(question));
    for (const [index, run] of runs.slice(1).entries()) {
      expect(run.worst.toeLength).toBeGreaterThanOrEqual((runs[index]?.worst.toeLength ?? 0) - 0.3);
      expect(run.worst.axis).toBeLessThanOrEqual((runs[index]?.worst.axis ?? 0) + 0.3);
    }
    expect((runs[7]?.worst.toeLength ?? 0) - (runs[0]?.worst.toeLength ?? 0)).toBeGreaterThan(6);
  });

  test("a foot that grows nothing and does not drift stands as its first trim left it, for ever", () => {
    const still = sound(runCycles({ ...question, growthPerDay: 0, driftPerDay: 0, toeWall: 6 }, 4));
    const first = still.moments.find(({ at }) => at === "after");
    expect(still.moments.at(-1)?.toeLength).toBeLessThanOrEqual(first?.toeLength ?? 0);
    expect(still.moments.at(-1)?.toeLength).toBeGreaterThan((first?.toeLength ?? 0) - 2);
    expect(still.last.dorsalAngleDeg).toBeCloseTo(first?.dorsalAngle ?? 0, 0);
  });

  test("toes alone between, only where horn grows fast and there is room: the longest toe gets shorter", () => {
    const spring = sound(runCycles(question, 8));
    const between = sound(runCycles({ ...question, toeOnlyBetween: true }, 8));
    expect(spring.toeOnly).toBe(0);
    // Four trims in 26 weeks; the last two weeks leave no room.
    expect(between.toeOnly).toBe(3);
    expect(between.worst.toeLength).toBeLessThan(spring.worst.toeLength - 1);
    const autumn = { ...question, from: "2026-09-15", toeOnlyBetween: true };
    expect(sound(runCycles(autumn, 8)).toeOnly).toBeLessThan(between.toeOnly);
    expect(sound(runCycles({ ...question, toeOnlyBetween: true }, 2)).toeOnly).toBe(0);
  });

  test("horn taken never shrinks, and about as much is taken as grows", () => {
    const { moments } = sound(runCycles(question, 4));
    for (const [index, one] of moments.slice(1).entries())
      expect(one.removed).toBeGreaterThanOrEqual(moments[index]?.removed ?? 0);
    expect(moments.at(-1)?.removed).toBeGreaterThan(20);
    expect(moments.at(-1)?.removed).toBeLessThan(70);
  });

  test("a wet spring grows more than a dark winter", () => {
    const spring = sound(runCycles(question, 8)).worst.toeLength;
    expect(sound(runCycles({ ...question, from: "2026-10-01" }, 8)).worst.toeLength).toBeLessThan(spring);
  });

  test("the longest interval keeps the limits that make a foot due; a strict owner of limits gets a shorter one", () => {
    const runs = sound(compareCycles(question));
    const limits = { toeTarget: 86, toeOver: 14, axisLimit: 5, axisWorse: 3 };
    const usual = longestInterval(runs, limits);
    const strict = longestInterval(runs, { ...limits, toeOver: 5 });
    expect(usual).toBeGreaterThanOrEqual(4);
    expect(strict).toBeLessThan(usual ?? 0);
    expect(longestInterval(runs, { ...limits, toeOver: -20 })).toBeUndefined();
  });
});

describe("planned against done", () => {
  const before = OVERDUE;
  const question = { ...LENSES, foot: trimFootOf(before), finish: "shod" } as const;
  const cuts = { toe: 6, heelMedial: 1, heelLateral: 2, dress: 0 };
  const plan = sound(agreedPlan(before, question, cuts, "lenses", true));
  const valuesOf = (foot: FootParameters, error = () => 0): FootValues => ({
    toeLength: { value: foot.toeLengthMm + error(), source: "calliper" },
    heelHeightMedial: { value: foot.heelHeightMm.medial + error(), source: "calliper" },
    heelHeightLateral: { value: foot.heelHeightMm.lateral + error(), source: "calliper" },
    dorsalAngle: { value: foot.dorsalAngleDeg, source: "gauge" },
  });
  const done = (taken: typeof cuts, error?: () => number) =>
    plannedAgainstDone(plan, valuesOf(sound(cutFoot(before, taken)).foot, error), noise);

  test("the plan keeps what it should leave: the foot cut like that and measured again agrees in every measure", () => {
    const rows = done(cuts);
    expect(rows).toHaveLength(4);
    for (const { difference, real } of rows) {
      expect(difference).toBeCloseTo(0, 9);
      expect(real).toBe(false);
    }
    expect(plannedDoneInWords(rows, wording)).toEqual(["Done as planned, as far as measuring can tell."]);
  });

  test("4 mm more off the outside heel is said, 1 mm more is inside the noise", () => {
    expect(plannedDoneInWords(done({ ...cuts, heelLateral: 6 }), wording).join(" ")).toContain(
      "More came off the outside heel than planned: 4 mm.",
    );
    expect(plannedDoneInWords(done({ ...cuts, heelLateral: 3 }), wording)).toHaveLength(1);
  });

  test("what was not measured again is left out, and nothing measured says nothing", () => {
    const rows = plannedAgainstDone(plan, { dorsalAngle: { value: 50, source: "gauge" } }, noise);
    expect(rows.map(({ measure }) => measure)).toEqual(["dorsalAngle"]);
    expect(plannedDoneInWords([], wording)).toEqual([]);
  });

  test("a habit of 1 mm more at the inner heel is found among noise; a hand without one is not accused", () => {
    const random = seededRandom(31);
    const feet = (habit: number, count: number) =>
      Array.from({ length: count }, () =>
        done({ ...cuts, heelMedial: cuts.heelMedial + habit }, () => normalDraw(random, 0, 1.1)),
      );
    const found = ownBias(feet(1, 120), noise);
    expect(found.map(({ measure }) => measure)).toEqual(["heelMedial"]);
    expect(found[0]?.mean).toBeGreaterThan(0.6);
    expect(biasInWords(found[0] ?? { measure: "toeLength", feet: 0, mean: 0, within: 0 }, wording)).toMatch(
      /^You take (0\.[7-9]|1\.\d) mm more at the inside heel than planned \(120 feet, give or take 0\.3 mm\)\.$/,
    );
    expect(ownBias(feet(0, 120), noise)).toEqual([]);
  });

  test("a dressed quarter is held against what its plan should have left of the wall", () => {
    const walls = {
      before: { quarterLateral: { thickness: 15 } },
      after: { quarterLateral: { thickness: 13 } },
    };
    const [row] = flaresAgainstDone({ flares: { quarterLateral: 6 } }, walls, noise);
    expect(row).toMatchObject({
      place: "quarterLateral",
      planned: 9,
      measured: 13,
      difference: 4,
      real: true,
    });
    expect(flaresAgainstDone({ flares: { quarterMedial: 6 } }, walls, noise)).toEqual([]);
  });

  test("seven feet are too few to speak of a habit, however alike they are", () => {
    const alike = (count: number) => Array.from({ length: count }, () => done({ ...cuts, heelMedial: 4 }));
    expect(ownBias(alike(7), noise)).toEqual([]);
    expect(ownBias(alike(8), noise).map(({ measure }) => measure)).toContain("heelMedial");
  });
});

describe("the cut on the drawings", () => {
  const cuts = { toe: 6, heelMedial: 1, heelLateral: 3, dress: 2 };
  const most = { toe: 8, heelMedial: 2, heelLateral: 4, dress: 4 };

  test("the plane stands over toe and mean heel by what is cut there; from behind each heel by its own", () => {
    const lines = cutLines(OVERDUE, cuts, most);
    expect([lines.side.toe[1], lines.side.heel[1]]).toEqual([6, 2]);
    expect([lines.rear.medial[1], lines.rear.lateral[1]]).toEqual([1, 3]);
    expect([lines.most.side.toe[1], lines.most.rear.lateral[1]]).toEqual([8, 4]);
    expect(lines.rear.medial[0]).toBeLessThan(0);
  });

  test("the horn that comes off lies under the plane and inside the hoof, and is none for no cut", () => {
    const { off, side } = cutLines(OVERDUE, cuts, most);
    const plane = (y: number) =>
      side.heel[1] + ((side.toe[1] - side.heel[1]) * (y - side.heel[0])) / (side.toe[0] - side.heel[0]);
    for (const [y, z] of off) {
      expect(z).toBeLessThanOrEqual(plane(y) + 1e-9);
      expect(z).toBeGreaterThanOrEqual(-1e-9);
    }
    const none = cutLines(OVERDUE, { toe: 0, heelMedial: 0, heelLateral: 0, dress: 0 }, most).off;
    expect(Math.max(...none.map(([, z]) => z))).toBe(0);
  });

  test("what lies under a line through a square is the rectangle below it", () => {
    const square: [number, number][] = [
      [0, 0],
      [2, 0],
      [2, 2],
      [0, 2],
    ];
    expect(belowLine(square, [-1, 0.5], [3, 0.5])).toEqual([
      [0, 0],
      [2, 0],
      [2, 0.5],
      [0, 0.5],
    ]);
    expect(belowLine(square, [-1, -1], [3, -1])).toEqual([]);
  });
});
