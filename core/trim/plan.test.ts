import { describe, expect, test } from "@jest/globals";
import { seededRandom, type Random } from "../math/random";
import { planeOvercut, toeOvercut, trimLimits, type TrimLimits } from "./limits";
import { overcuts } from "./cutsForHand";
import { targetRollOf, trimObjective } from "./objective";
import { planTrim, shoeTask } from "./plan";
import type { TrimPlan, TrimQuestion } from "./question";
import { NO_CUT, predictTrim, type Cuts } from "../foot/parametric/predict";
import { anyQuestion, BROKEN_BACK, planned } from "./trim.fixture";

const CUTS = ["toe", "heelMedial", "heelLateral", "dress"] as const;
/** The sum may not be beaten by more than its own rounding. */
const NO_BETTER = 1e-7;

/** Written here anew, without slack: a cut that keeps every limit to the last digit. */
const keepsEvery = (question: TrimQuestion, limits: TrimLimits, cuts: Cuts): boolean =>
  CUTS.every((cut) => cuts[cut] >= 0 && cuts[cut] <= limits.most[cut]) &&
  (limits.minToeLength === 0 || toeOvercut(question.foot, limits, cuts) <= 0) &&
  limits.planes.every((quarter) => planeOvercut(quarter, cuts) <= 0);

const scattered = (random: Random, limits: TrimLimits): Cuts => {
  const cuts = { ...NO_CUT };
  for (const cut of CUTS) {
    const at = random();
    cuts[cut] = at < 0.15 ? 0 : at > 0.85 ? limits.most[cut] : random() * limits.most[cut];
  }
  return cuts;
};

const beside = (random: Random, limits: TrimLimits, { cuts }: TrimPlan): Cuts => {
  const reach = 10 ** (-5 * random());
  const near = { ...NO_CUT };
  for (const cut of CUTS)
    near[cut] = Math.min(limits.most[cut], Math.max(0, cuts[cut] + (2 * random() - 1) * reach));
  return near;
};

const plan = (question: TrimQuestion): TrimPlan => {
  const found = planTrim(question);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};

describe("planTrim finds the true optimum", () => {
  test("no random cut that keeps the limits beats it, far from it or close by (200 seeded feet, 2000 cuts each)", () => {
    const random = seededRandom(11);
    for (let index = 0; index < 200; index++) {
      const question = anyQuestion(random);
      if (question.frontBack === "live-sole") continue;
      const found = plan(question);
      let least = Number.POSITIVE_INFINITY;
      for (let tries = 0; tries < 2000; tries++) {
        const cuts = tries % 2 ? beside(random, found.limits, found) : scattered(random, found.limits);
        if (!keepsEvery(question, found.limits, cuts)) continue;
        least = Math.min(least, trimObjective(question, cuts) ?? least);
      }
      expect(least).toBeGreaterThan(found.objective - NO_BETTER * (1 + found.objective));
    }
  });

  test("no cut of a whole grid of half millimetres beats it (exhaustive, six pairs of lenses, shod and bare)", () => {
    for (const finish of ["shod", "barefoot"] as const)
      for (const frontBack of ["straight-axis", "even-halves", "heels-back"] as const)
        for (const side of ["even-sole", "level-hairline"] as const) {
          const question: TrimQuestion = { ...BROKEN_BACK, finish, frontBack, side, sideAngle: 1.5 };
          const found = plan(question);
          const { most } = found.limits;
          let least = Number.POSITIVE_INFINITY;
          for (let toe = 0; toe <= most.toe; toe += 0.5)
            for (let heelMedial = 0; heelMedial <= most.heelMedial; heelMedial += 0.5)
              for (let heelLateral = 0; heelLateral <= most.heelLateral; heelLateral += 0.5)
                for (let dress = 0; dress <= most.dress; dress += 1)
                  least = Math.min(
                    least,
                    trimObjective(question, { toe, heelMedial, heelLateral, dress }) ?? least,
                  );
          expect(found.objective).toBeLessThanOrEqual(least);
          expect(found.objective).toBeGreaterThan(least - 1);
        }
  });

  test("a toe that is too short already is left, and either heels or dressing are used, whichever is better", () => {
    const heels = planned({ minToeLength: 95, above: { toe: 9, heelMedial: 6, heelLateral: 6 } });
    expect(heels.predicted.toeLength).toBeCloseTo(92, 9);
    expect(heels.stoppedBy).toContain("minToeLength");
    expect(heels.cuts.toe).toBe(0);
    expect(Math.min(heels.cuts.heelMedial + heels.cuts.heelLateral, heels.cuts.dress)).toBe(0);
  });
});

describe("what a plan may do", () => {
  test("no limit is ever exceeded, neither by the exact cuts nor by those for the hand (600 seeded feet, every lens)", () => {
    const random = seededRandom(12);
    for (let index = 0; index < 600; index++) {
      const question = anyQuestion(random);
      const { cuts, handCuts, limits, predicted, handPredicted } = plan(question);
      for (const one of [cuts, handCuts]) {
        expect(overcuts(question, limits, one)).toEqual([]);
        for (const cut of CUTS) expect(one[cut]).toBeGreaterThanOrEqual(0);
      }
      const shortest = Math.min(question.minToeLength ?? 0, question.foot.toeLength);
      expect(Math.min(predicted.toeLength, handPredicted.toeLength)).toBeGreaterThan(shortest - 1e-5);
      for (const cut of CUTS) {
        expect(handCuts[cut] % 0.5).toBe(0);
        expect(handCuts[cut]).toBeLessThanOrEqual(cuts[cut] + 1e-5);
      }
    }
  });

  test("mirrored feet mirror the plan (seeded)", () => {
    const random = seededRandom(13);
    for (let index = 0; index < 100; index++) {
      const { quarters, ...question } = anyQuestion(random);
      const { foot, above, sideAngle = 0 } = question;
      const mirrored: TrimQuestion = {
        ...question,
        foot: {
          ...foot,
          heelMedial: [-foot.heelLateral[0], foot.heelLateral[1]],
          heelLateral: [-foot.heelMedial[0], foot.heelMedial[1]],
        },
        above: { toe: above.toe, heelMedial: above.heelLateral, heelLateral: above.heelMedial },
        sideAngle: -sideAngle,
      };
      const [one, other] = [plan(question), plan(mirrored)];
      expect(other.objective).toBeCloseTo(one.objective, 6);
      expect(other.cuts.heelMedial).toBeCloseTo(one.cuts.heelLateral, 3);
      expect(other.cuts.heelLateral).toBeCloseTo(one.cuts.heelMedial, 3);
      expect(other.predicted.roll).toBeCloseTo(-one.predicted.roll, 4);
      expect(quarters === undefined || quarters.length === 2).toBe(true);
    }
  });

  test("more wall to spare never makes the plan worse (seeded)", () => {
    const random = seededRandom(14);
    for (let index = 0; index < 100; index++) {
      const question: TrimQuestion = {
        ...anyQuestion(random),
        side: "square-limb",
        frontBack: "even-halves",
      };
      const { toe, heelMedial, heelLateral } = question.above;
      const more = plan({
        ...question,
        above: { toe: toe + 2, heelMedial: heelMedial + 2, heelLateral: heelLateral + 2 },
      });
      expect(more.objective).toBeLessThanOrEqual(plan(question).objective + 1e-6);
    }
  });

  test("the broken-back foot: toe back and level by the sole, and the axis ends straighter", () => {
    const { handCuts, remaining, handPredicted } = planned();
    expect(handCuts).toEqual({ toe: 7.5, heelMedial: 0, heelLateral: 1.5, dress: 0 });
    expect(Math.abs(remaining.axis)).toBeLessThan(1);
    expect(handPredicted.dorsalAngle).toBeGreaterThan(51);
  });

  test("it names what stopped it, and only that", () => {
    expect(planned({ above: { toe: 3, heelMedial: 3, heelLateral: 3 }, toeWall: 7 }).stoppedBy).toEqual([
      "toe",
      "dress",
    ]);
    expect(planned({ toeWall: 30, above: { toe: 30, heelMedial: 3, heelLateral: 3 } }).stoppedBy).toEqual([]);
  });

  test("a quarter that was measured limits the plane between toe and heels", () => {
    const free = planned();
    const quarters = [{ name: "quarterLateral", at: [62, 63] as const, above: 2 }];
    const held = planned({ quarters });
    expect(held.stoppedBy).toContain("quarterLateral");
    expect(held.objective).toBeGreaterThan(free.objective);
    const [limit] = held.limits.planes;
    expect(limit && planeOvercut(limit, held.cuts)).toBeCloseTo(0, 6);
  });

  test("with the other foot's angle as one more aim it ends nearer to it", () => {
    const alone = planned().predicted.dorsalAngle;
    expect(planned({ match: alone - 3 }).predicted.dorsalAngle).toBeLessThan(alone - 1);
  });

  test("a foot that is none is named, not planned", () => {
    const found = planTrim({ ...BROKEN_BACK, foot: { ...BROKEN_BACK.foot, toeY: 5 } });
    expect(found).toMatchObject({ ok: false, issues: [{ code: "impossible", path: "foot.toeY" }] });
  });
});

describe("the live-sole plane", () => {
  test("every point is cut by what is available there, nothing is dressed", () => {
    const { cuts, stoppedBy } = planned({ frontBack: "live-sole", finish: "barefoot" });
    expect(cuts).toEqual({ toe: 7, heelMedial: 1, heelLateral: 3, dress: 0 });
    expect(stoppedBy).toEqual(["toe", "heelMedial", "heelLateral"]);
  });

  test("the toe is cut only as far as its least length allows, the heels as they are", () => {
    const { cuts, predicted, stoppedBy } = planned({ frontBack: "live-sole", minToeLength: 86 });
    expect(predicted.toeLength).toBeCloseTo(86, 9);
    expect(cuts).toMatchObject({ heelMedial: 3, heelLateral: 5, dress: 0 });
    expect(stoppedBy).toEqual(["heelMedial", "heelLateral", "minToeLength"]);
  });

  test("a low quarter holds the whole plane back by one share", () => {
    const quarters = [{ name: "quarterMedial", at: [-62, 63] as const, above: 2 }];
    const { cuts, stoppedBy, limits } = planned({ frontBack: "live-sole", quarters });
    expect(cuts.toe / 9).toBeCloseTo(cuts.heelLateral / 5, 9);
    expect(limits.planes[0] && planeOvercut(limits.planes[0], cuts)).toBeCloseTo(0, 9);
    expect(stoppedBy).toEqual(["quarterMedial"]);
  });
});

describe("trimLimits", () => {
  test("shod to the live sole, bare 2 mm short of it, own margins outrank both", () => {
    expect(trimLimits(BROKEN_BACK).most).toMatchObject({ toe: 9, heelMedial: 3, heelLateral: 5 });
    expect(trimLimits({ ...BROKEN_BACK, finish: "barefoot" }).most).toMatchObject({ toe: 7, heelMedial: 1 });
    const margins = { shod: 1, barefoot: 4 };
    expect(trimLimits({ ...BROKEN_BACK, finish: "barefoot", margins }).most).toMatchObject({
      toe: 5,
      heelMedial: 0,
    });
  });

  test("a sulcus of 9.9 mm costs 2 mm more margin, one of 10 mm none", () => {
    expect(trimLimits({ ...BROKEN_BACK, sulcusDepth: 9.9 })).toMatchObject({ marginMm: 2, thinSole: true });
    expect(trimLimits({ ...BROKEN_BACK, sulcusDepth: 10 })).toMatchObject({ marginMm: 0, thinSole: false });
  });
});

describe("what is left over", () => {
  test("target roll: by the sole from both heights, by the sighted lenses as measured", () => {
    expect(targetRollOf(BROKEN_BACK)).toBeCloseTo((Math.atan(2 / 84) * 180) / Math.PI, 12);
    expect(targetRollOf({ ...BROKEN_BACK, side: "square-limb", sideAngle: -1.5 })).toBe(-1.5);
    expect(targetRollOf({ ...BROKEN_BACK, side: "level-hairline" })).toBe(0);
  });

  test("the shoe raises what is broken back, over the length before, and never a foot broken forward", () => {
    const { foot } = BROKEN_BACK;
    const after = predictTrim(foot, NO_CUT);
    if (!after.ok) throw new Error("no foot");
    const task = shoeTask({ foot }, after.value);
    expect(task.elevate).toBe(4);
    expect(task.heelRaise).toBeCloseTo(116 * Math.tan((4 * Math.PI) / 180), 12);
    expect(task.breakoverBack).toBeCloseTo(10, 12);
    expect(task.heelExtension).toBe(10);
    const forward = shoeTask({ foot }, { ...after.value, axis: 3, front: 40, heelY: -2 });
    expect(forward).toEqual({ elevate: 0, heelRaise: 0, breakoverBack: 0, heelExtension: 0 });
  });
});
