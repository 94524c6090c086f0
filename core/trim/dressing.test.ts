import { describe, expect, test } from "@jest/globals";
import { seededRandom } from "../math/random";
import { checkWhiteLine, toeDressing } from "./dressing";
import { planTrim } from "./plan";
import { anyQuestion, BROKEN_BACK } from "./trim.fixture";
import { aheadOfLine } from "./toeOutside";

const sin = (deg: number) => Math.sin((deg * Math.PI) / 180);
const at = (dorsalAngle: number) => ({ dorsalAngle });

describe("dressing the toe, in the plane in which horn is lost", () => {
  test("a wall of 13 mm at 46 degrees gives 2.9 mm at right angles, and 6 mm of horn stay at the ground", () => {
    const { most, by } = toeDressing({ foot: at(46), toeWall: 13 });
    expect(most).toBeCloseTo(4 * sin(46), 12);
    expect(13 - 3 - most / sin(46)).toBeCloseTo(6, 12);
    expect(by).toBe("horn");
  });

  test("a stretched white line is no horn: what it takes is not there to be dressed", () => {
    expect(toeDressing({ foot: at(50), toeWall: 13, whiteLine: 6 }).most).toBeCloseTo(1 * sin(50), 12);
    expect(toeDressing({ foot: at(50), toeWall: 13, whiteLine: 7 }).most).toBe(0);
    expect(toeDressing({ foot: at(50), toeWall: 8 }).most).toBe(0);
  });

  test("no further than the foot's own shape: a straight wall is not dressed, however thick", () => {
    expect(toeDressing({ foot: at(50), toeWall: 20, outside: 0 })).toMatchObject({ most: 0, by: "shape" });
    const run = toeDressing({ foot: at(50), toeWall: 20, outside: 3 });
    expect(run.most).toBeCloseTo(3 * sin(50), 12);
    expect(run.furthest).toBeCloseTo(11 * sin(50), 12);
  });

  test("the user's own bound counts at right angles; with nothing known nothing is dressed", () => {
    expect(toeDressing({ foot: at(50), toeWall: 20, dressMax: 2 })).toMatchObject({ most: 2, by: "own" });
    expect(toeDressing({ foot: at(50), dressMax: 2 })).toMatchObject({ most: 2, furthest: 0 });
    expect(toeDressing({ foot: at(50) })).toMatchObject({ most: 0, by: "unknown" });
  });

  test("a white line wider than its wall is refused at its place", () => {
    expect(checkWhiteLine({ toeWall: 4, whiteLine: 4 }).ok).toBe(true);
    const found = planTrim({ ...BROKEN_BACK, toeWall: 4, whiteLine: 5 });
    expect(found).toMatchObject({ ok: false, issues: [{ path: "whiteLine", code: "impossible" }] });
  });

  test("never less than the promised horn, at the ground or across the wall (2,000 seeded feet, every lens)", () => {
    const random = seededRandom(61);
    for (let index = 0; index < 2000; index++) {
      const question = { ...anyQuestion(random), toeWall: 5 + 11 * random() };
      const found = planTrim({ ...question, whiteLine: Math.min(question.whiteLine ?? 3, question.toeWall) });
      if (!found.ok) throw new Error(found.issues[0]?.message);
      const { cuts, handCuts, question: asked } = found.value;
      const a = sin(asked.foot.dorsalAngle);
      const horn = asked.toeWall === undefined ? 0 : asked.toeWall - (asked.whiteLine ?? 3);
      for (const { dress } of [cuts, handCuts]) {
        if (dress === 0) continue;
        expect(horn - dress / a).toBeGreaterThanOrEqual(6 - 1e-9);
        expect(horn * a - dress).toBeGreaterThanOrEqual(6 * a - 1e-9);
      }
    }
  });

  test("a lower wall 5 degrees shallower over 45 mm reaches the ground about 5 mm ahead of the upper wall's line", () => {
    const height = 45 * sin(45);
    expect(aheadOfLine(50, 5, 45)).toBeCloseTo(height - height / Math.tan((50 * Math.PI) / 180), 12);
    expect(aheadOfLine(50, 0, 45)).toBeCloseTo(0, 12);
  });
});
