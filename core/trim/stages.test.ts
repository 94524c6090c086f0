import { describe, expect, test } from "@jest/globals";
import { seededRandom } from "../math/random";
import { planTrim } from "./plan";
import { planStaged, visitBounds, visitsFor, type StagedPlan } from "./stages";
import { anyQuestion, BROKEN_BACK, planned } from "./trim.fixture";
import { NO_CUT } from "../foot/parametric/predict";

const staged = (change: object, flexural?: boolean): StagedPlan => {
  const found = planStaged({ ...BROKEN_BACK, ...change }, flexural, true);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};
const CUTS = ["toe", "heelMedial", "heelLateral", "dress"] as const;

/** A club foot: steep, its heels far above the live sole. */
const CLUB = {
  foot: {
    ...BROKEN_BACK.foot,
    dorsalAngle: 68,
    pasternAngle: 55,
    heelAngle: 66,
    heelMedial: [-42, 2],
    heelLateral: [42, 2],
  },
  above: { toe: 3, heelMedial: 24, heelLateral: 24 },
} as const;

describe("what one visit takes", () => {
  test("10 mm off a heel, 6 mm more off one, 5 degrees of turn; 8 mm on a foot that may be flexural", () => {
    const { foot } = BROKEN_BACK;
    expect(visitBounds(foot)).toEqual({ heelMm: 10, unevenMm: 6, turnDeg: 5 });
    expect(visitBounds({ ...foot, dorsalAngle: 60.1 }).heelMm).toBe(8);
    expect(visitBounds(foot, true).heelMm).toBe(8);
    const visits = (cuts: object) => visitsFor(foot, { ...NO_CUT, ...cuts }, visitBounds(foot));
    expect(visits({ heelMedial: 10, heelLateral: 10, toe: 10 })).toBe(1);
    expect(visits({ heelMedial: 10.8, heelLateral: 10, toe: 10 })).toBe(2);
    expect(visits({ heelMedial: 6, heelLateral: 12.5, toe: 9 })).toBe(2);
    // 116 mm of bearing length: 5 degrees are 10.15 mm.
    expect(visits({ toe: 10.1 })).toBe(1);
    expect(visits({ toe: 10.2 })).toBe(2);
  });

  test("a club foot gives 22 mm of heel in three visits, not in one, and the first takes no more than 8", () => {
    const { whole, part, visits } = staged(CLUB);
    expect(whole.cuts.heelMedial).toBeGreaterThan(16);
    expect(visits).toBeGreaterThanOrEqual(3);
    expect(Math.max(part.cuts.heelMedial, part.cuts.heelLateral)).toBeLessThanOrEqual(8 + 1e-6);
    expect(part.stoppedBy).toContain("atOnce");
  });

  test("one tall heel comes down 6 mm more than the other, not 10.8", () => {
    const { whole, part } = staged({ above: { toe: 4, heelMedial: 0, heelLateral: 12 } });
    expect(whole.cuts.heelLateral - whole.cuts.heelMedial).toBeGreaterThan(8);
    expect(part.cuts.heelLateral - part.cuts.heelMedial).toBeCloseTo(6, 6);
  });

  test("a plan within the bounds is one visit, the same cuts", () => {
    const { whole, part, visits } = staged({});
    expect(visits).toBe(1);
    expect(part).toBe(whole);
    expect(whole.cuts).toEqual(planned().cuts);
  });

  test("no part goes past its bounds or takes more anywhere than the whole (600 seeded feet, every lens)", () => {
    const random = seededRandom(62);
    for (let index = 0; index < 600; index++) {
      const question = anyQuestion(random);
      const found = planStaged(question, undefined, true);
      if (!found.ok) throw new Error(found.issues[0]?.message);
      const { whole, part, bounds } = found.value;
      for (const cuts of [part.cuts, part.handCuts]) {
        expect(Math.max(cuts.heelMedial, cuts.heelLateral)).toBeLessThanOrEqual(bounds.heelMm + 1e-5);
        expect(Math.abs(cuts.heelLateral - cuts.heelMedial)).toBeLessThanOrEqual(bounds.unevenMm + 1e-5);
        for (const cut of CUTS) expect(cuts[cut]).toBeLessThanOrEqual(whole.cuts[cut] + 1e-5);
      }
      expect(Math.abs(part.predicted.dorsalAngle - question.foot.dorsalAngle)).toBeLessThanOrEqual(
        bounds.turnDeg + 1e-4,
      );
    }
  });
});

describe("the plane of the live sole and the axis", () => {
  const BACK = {
    frontBack: "live-sole",
    foot: { ...BROKEN_BACK.foot, dorsalAngle: 46, pasternAngle: 52 },
    above: { toe: 4, heelMedial: 10, heelLateral: 9 },
  } as const;

  test("strict it makes a broken-back axis worse; held it does not, and both heels keep their difference", () => {
    const strict = planned(BACK);
    const held = planned({ ...BACK, holdAxis: true });
    expect(strict.predicted.axis).toBeLessThan(-8);
    expect(held.predicted.axis).toBeCloseTo(-6, 9);
    expect(held.cuts.heelMedial - held.cuts.heelLateral).toBeCloseTo(1, 9);
    expect(held.cuts.toe).toBe(4);
    expect(held.stoppedBy).toEqual(["toe", "axis"]);
  });

  test("a heel that has nothing to give back leaves it all to the other", () => {
    const { cuts, predicted } = planned({
      ...BACK,
      above: { toe: 2, heelMedial: 0.5, heelLateral: 9 },
      holdAxis: true,
    });
    expect(cuts.heelMedial).toBe(0);
    expect(predicted.axis).toBeCloseTo(-6, 9);
  });

  test("no lens but the ones that are meant to leaves it worse: held planes never (600 seeded feet)", () => {
    const random = seededRandom(63);
    for (let index = 0; index < 600; index++) {
      const question = { ...anyQuestion(random), frontBack: "live-sole", holdAxis: true } as const;
      const found = planTrim(question);
      if (!found.ok) throw new Error(found.issues[0]?.message);
      const before = question.foot.dorsalAngle - question.foot.pasternAngle;
      expect(found.value.predicted.axis).toBeGreaterThanOrEqual(Math.min(before, -1) - 1e-6);
      if (before < 0) expect(found.value.predicted.axis).toBeGreaterThanOrEqual(before - 1e-6);
    }
  });

  test("it dresses what stands outside the foot's own shape, where that is known", () => {
    const run = planned({ ...BACK, outside: 3, toeWall: 20 });
    expect(run.cuts.dress).toBeCloseTo(3 * Math.sin((46 * Math.PI) / 180), 9);
    expect(planned({ ...BACK, toeWall: 20 }).cuts.dress).toBe(0);
  });
});

describe("heels back", () => {
  /** Low, run-forward heels with wall to spare. */
  const UNDERRUN = {
    foot: { ...BROKEN_BACK.foot, heelMedial: [-42, 20], heelLateral: [42, 22] },
    above: { toe: 8, heelMedial: 8, heelLateral: 8 },
  } as const;

  test("beside the straight axis it takes the heels further back and hands the angle to the shoe", () => {
    const straight = planned(UNDERRUN);
    const back = planned({ ...UNDERRUN, frontBack: "heels-back" });
    expect(back.predicted.heelY).toBeLessThan(straight.predicted.heelY - 5);
    expect(back.shoe.elevate).toBeGreaterThan(straight.shoe.elevate + 1);
    expect(back.cuts.heelMedial).toBeGreaterThan(straight.cuts.heelMedial);
  });

  test("no further than the frog allows, where its plane was measured", () => {
    const { cuts } = planned({ ...UNDERRUN, frontBack: "heels-back", heelMax: 3 });
    expect(Math.max(cuts.heelMedial, cuts.heelLateral)).toBeLessThanOrEqual(3 + 1e-9);
  });
});
