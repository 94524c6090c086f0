import { describe, expect, test } from "@jest/globals";
import type { FootFacts } from "../foot/findings/facts";
import { ordinaryFoot } from "../foot/parametric/fit";
import { presentOutline, undistortedOutline } from "../foot/parametric/surveyedOutline";
import { footRatios } from "../foot/survey/ratios";
import { surveySole } from "../foot/survey/survey";
import type { Walls } from "../foot/survey/walls";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { dressedOutline, flareLimitInWords, flareLimits, plannedFlares, widthsOf } from "./flares";
import { plainWording } from "./trim.fixture";

const FOOT = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
const noise = GENERAL_NOISE.value;

/** Facts of a foot of which the walls were measured, as far as flares need them. */
function factsOf(walls: Walls): FootFacts {
  const survey = surveySole({}, "LF");
  return {
    walls,
    noise,
    ratios: footRatios(survey, walls, {}, noise),
    outline: undistortedOutline(presentOutline(FOOT, {}), walls),
  } as unknown as FootFacts;
}

const EVEN: Walls = {
  toe: { thickness: 12 },
  toeQuarterMedial: { thickness: 11 },
  toeQuarterLateral: { thickness: 11 },
  quarterMedial: { thickness: 9 },
  quarterLateral: { thickness: 9 },
};
const FLARED: Walls = { ...EVEN, quarterLateral: { thickness: 16 } };
const at = (walls: Walls, broken: Parameters<typeof flareLimits>[1] = []) =>
  Object.fromEntries(flareLimits(factsOf(walls), broken).map((limit) => [limit.place, limit]));

describe("flares", () => {
  test("an even wall is dressed nowhere", () => {
    expect(plannedFlares(flareLimits(factsOf(EVEN), []))).toEqual({});
  });

  test("a flared quarter comes in to the foot's own shape, nothing else does", () => {
    expect(plannedFlares(flareLimits(factsOf(FLARED), []))).toEqual({ quarterLateral: 7 });
    expect(at(FLARED)["quarterLateral"]).toMatchObject({ by: "shape", outside: 7 });
  });

  test("5 mm of horn stay beside the white line, measured or as usual", () => {
    const stretched = { ...EVEN, quarterLateral: { thickness: 16, whiteLine: 5.5 } };
    expect(at(stretched)["quarterLateral"]).toMatchObject({ by: "horn", most: 5.5 });
    const wide = { ...EVEN, quarterLateral: { thickness: 16, whiteLine: 7 } };
    expect(at(wide)["quarterLateral"]).toMatchObject({ by: "vet", most: 0 });
  });

  test("nothing where the wall is cracked, and a broken-out quarter is not matched by the other", () => {
    expect(at(FLARED, ["quarterLateral"])["quarterLateral"]).toMatchObject({ by: "broken", most: 0 });
    const brokenOut = { ...EVEN, quarterMedial: { thickness: 4 } };
    expect(plannedFlares(flareLimits(factsOf(brokenOut), ["quarterMedial"]))).toEqual({});
  });

  test("mirrored walls mirror the plan", () => {
    const mirrored = { ...EVEN, quarterMedial: { thickness: 16 } };
    expect(plannedFlares(flareLimits(factsOf(mirrored), []))).toEqual({ quarterMedial: 7 });
  });

  test("the outline and its width follow: 7 mm at a quarter make that half width about 7 mm less, the other none", () => {
    const outline = presentOutline(FOOT, {});
    const [was, now] = [widthsOf(outline), widthsOf(dressedOutline(outline, { quarterLateral: 7 }))];
    expect(was.lateral - now.lateral).toBeGreaterThan(4);
    expect(was.lateral - now.lateral).toBeLessThanOrEqual(7);
    expect(now.medial).toBeCloseTo(was.medial, 9);
    expect(now.width).toBeCloseTo(now.medial + now.lateral, 12);
  });

  test("each limit says its reason", () => {
    const [, , , lateral] = flareLimits(factsOf(FLARED), []);
    expect(lateral && flareLimitInWords(lateral, plainWording)).toBe(
      "7 mm stand outside the foot’s own shape at the quarter, outside.",
    );
  });
});
