import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { Vector } from "../../geometry/vector";
import { LIMBS } from "../limb";
import { ordinaryFoot } from "../parametric/fit";
import { soleLandmarks } from "../parametric/landmarks";
import { solarFrame, type FreeMarks, type SolarMarks } from "./frame";
import {
  impossibleMarks,
  readSurvey,
  surveySole,
  withoutNamed,
  corDisagrees,
  type WholeSurvey,
} from "./survey";
import { SURVEY_MARKS, type SurveyMark } from "./marks";

/** A hand-made sole of round numbers, solar frame, mm. */
const PLAIN: Record<SurveyMark, Vector> = {
  sulcusBack: [0, 0],
  sulcusFront: [0, 45],
  frogApex: [0, 99],
  frogMedial: [-22.5, 14],
  frogLateral: [22.5, 14],
  heelMedial: [-44, 8],
  heelLateral: [42, 12],
  wideMedial: [-62, 64],
  wideLateral: [65, 66],
  toe: [0, 138],
  toeQuarterMedial: [-46, 108],
  toeQuarterLateral: [46, 108],
  cornMedial: [-36, 18],
  cornLateral: [36, 18],
  barMedial: [-20, 36],
  barLateral: [26, 36],
  barEndMedial: [-13, 62],
  barEndLateral: [13, 64],
};

const read = (marks: FreeMarks, mmPerPx = 1): WholeSurvey => {
  const found = readSurvey(marks, "LF", mmPerPx);
  if (!found.ok) throw new Error(found.issues.map(({ message }) => message).join(" "));
  return found.value;
};
const mapped = (move: (point: Vector) => Vector): FreeMarks =>
  Object.fromEntries(Object.entries(PLAIN).map(([mark, point]) => [mark, move(point)]));

describe("readSurvey", () => {
  test("every definition, on a foot of round numbers", () => {
    const found = read(PLAIN);
    expect(found.sulcus).toBe(45);
    expect(found.trueApex).toBe(90);
    expect(found.frogStretch).toBeCloseTo(0.1, 12);
    expect(found.frogWidthRatio).toBe(1);
    expect(found.footLength).toBe(128);
    expect(found.width).toBe(127);
    expect(found.widthToLength).toBeCloseTo(127 / 128, 12);
    expect(found.k).toBe(1);
    expect(found.cor).toMatchObject({ widest: 65, apex: 65, bars: 63 });
    expect(found.cor.diagonals).toBeCloseTo(18 + (90 * 36) / 82, 9);
    expect(found.cor.median).toBeCloseTo(64, 9);
    expect(found.cor.spread).toBeCloseTo(65 - (18 + (90 * 36) / 82), 9);
    expect(found.front).toBeCloseTo(74, 9);
    expect(found.back).toBeCloseTo(64, 9);
    expect(found.support).toBeCloseTo(54, 9);
    expect(found.toeExcess).toBeCloseTo(10, 9);
    expect(found.frontShare).toBeCloseTo(74 / 128, 9);
    expect(found.coffinTip).toBe(112);
    expect(found.breakover).toBe(118);
    expect(found.heelForward).toEqual({ medial: 8, lateral: 12 });
    expect(found.heelDifference).toBe(4);
    expect(found.halfWidth).toEqual({ medial: 62, lateral: 65 });
    expect(found.heelHalfWidth).toEqual({ medial: 44, lateral: 42 });
    const slant = Math.hypot(22.5, 85);
    expect(found.barBend?.lateral).toBeCloseTo((3.5 * 85 + 22 * 22.5) / slant, 9);
    expect(found.drift?.lateral).toBeCloseTo(0, 9);
    expect(found.drift?.toe).toBeCloseTo(18 + (90 * 36) / 82 - 65, 9);
  });

  test("a hind foot is sized by 120 mm", () => {
    const found = readSurvey(PLAIN, "RH");
    expect(found.ok && found.value.k).toBeCloseTo(127 / 120, 12);
  });

  test("turned, mirrored, moved and scaled, it stays the same survey (seeded property)", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -3.1, max: 3.1, noNaN: true }),
        fc.boolean(),
        fc.double({ min: 0.2, max: 30, noNaN: true }),
        (turn, mirror, scale) => {
          const moved = mapped(([x, y]) => {
            const mx = mirror ? -x : x;
            return [
              scale * (mx * Math.cos(turn) - y * Math.sin(turn)) + 700,
              scale * (mx * Math.sin(turn) + y * Math.cos(turn)) - 40,
            ];
          });
          const [here, there] = [read(PLAIN), read(moved, 1 / scale)];
          expect(there.cor.median).toBeCloseTo(here.cor.median, 6);
          expect(there.heelDifference).toBeCloseTo(here.heelDifference, 6);
          expect(there.halfWidth.medial).toBeCloseTo(here.halfWidth.medial, 6);
          expect(there.barBend?.lateral).toBeCloseTo(here.barBend?.lateral ?? 0, 6);
          expect(there.drift?.lateral).toBeCloseTo(here.drift?.lateral ?? 0, 6);
          expect(there.frontShare).toBeCloseTo(here.frontShare, 9);
        },
      ),
      { seed: 31 },
    );
  });

  test("without corns there are no diagonals and no drift; without bar ends two ways to the COR are left", () => {
    const { cornMedial, barEndLateral, ...rest } = PLAIN;
    expect([cornMedial, barEndLateral]).toHaveLength(2);
    const found = read(rest);
    expect(found.drift).toBeUndefined();
    expect(found.cor).toEqual({ widest: 65, apex: 65, median: 65, spread: 0 });
  });

  test("a missing mark is named; a midline of no length, swapped sides and crossed marks are named, not computed through", () => {
    const codes = (marks: FreeMarks) => {
      const found = readSurvey(marks, "LF");
      return found.ok ? [] : found.issues.map(({ code, path }) => `${code} ${path}`);
    };
    const { toe, ...noToe } = PLAIN;
    expect(toe).toEqual([0, 138]);
    expect(codes(noToe)).toEqual(["missing points.toe"]);
    expect(codes({ ...PLAIN, sulcusFront: [0, 0] })).toEqual(["no-midline points.sulcusFront"]);
    expect(codes({ ...PLAIN, heelMedial: PLAIN.heelLateral, heelLateral: PLAIN.heelMedial })).toEqual([
      "sides-swapped points.heelMedial",
    ]);
    expect(codes({ ...PLAIN, heelMedial: [-44, 150] })).toEqual(["out-of-order points.heelMedial"]);
    expect(codes({ ...PLAIN, heelMedial: [4, 8] })).toEqual(["across-midline points.heelMedial"]);
  });
});

describe("surveySole", () => {
  test("with two coordinates it says what two coordinates say, and nothing else", () => {
    const found = surveySole({ sulcusFront: { y: 45 }, toe: { y: 138 } }, "LF");
    expect(found).toEqual({
      sulcus: 45,
      trueApex: 90,
      heelForward: {},
      halfWidth: {},
      heelHalfWidth: {},
      barBend: {},
    });
  });

  test("a foot whose size is known has its apex estimate without a width", () => {
    const found = surveySole({ sulcusFront: { y: 45 }, toe: { y: 138 } }, "LF", 1);
    expect(found.cor).toEqual({ apex: 65, median: 65, spread: 0 });
    expect(found.front).toBe(73);
    expect(found.support).toBeUndefined();
  });

  test("what a mark spoils is left out and the rest still works", () => {
    const marks: SolarMarks = Object.fromEntries(
      Object.entries(PLAIN).map(([mark, [x, y]]) => [mark, { x, y }]),
    );
    const crossed = { ...marks, heelMedial: { x: -44, y: 150 } };
    const found = surveySole(withoutNamed(crossed, impossibleMarks(crossed)), "LF");
    expect(found.heelForward).toEqual({ lateral: 12 });
    expect(found.support).toBeUndefined();
    expect(found.front).toBeCloseTo(74, 9);
  });

  test("the ways to the COR disagree beyond 6 mm on a foot of size 1", () => {
    const estimates = (spread: number) => ({
      cor: { widest: 60, apex: 60 + spread, median: 60 + spread / 2, spread },
      k: 1,
      heelForward: {},
      halfWidth: {},
      heelHalfWidth: {},
      barBend: {},
    });
    expect(corDisagrees(estimates(6), 0)).toBe(false);
    expect(corDisagrees(estimates(6.1), 0)).toBe(true);
  });

  test("diagonals that went forward with heels and toe are no fault of the marks; further than that they are", () => {
    const grown = (diagonals: number) => ({
      cor: { widest: 60, apex: 60, diagonals, median: 60, spread: diagonals - 60 },
      k: 1,
      // 7 mm beyond the sound 3.8, and a toe 9 mm ahead: the crossing is taken 8 mm forward.
      heelForward: { medial: 10.8, lateral: 10.8 },
      toeExcess: 9,
      halfWidth: {},
      heelHalfWidth: {},
      barBend: {},
    });
    expect(corDisagrees(grown(73.9), 0)).toBe(false);
    expect(corDisagrees(grown(74.1), 0)).toBe(true);
    expect(corDisagrees({ ...grown(73.9), heelForward: {}, toeExcess: 0 }, 0)).toBe(true);
  });
});

test("the parametric foot's own marks survey back to itself, on all four limbs", () => {
  for (const limb of LIMBS) {
    const foot = {
      ...ordinaryFoot(limb, { kind: "horse" as const, massKg: 500 }),
      curlMm: { medial: 4, lateral: 0 },
    };
    const found = readSurvey(soleLandmarks(foot), limb);
    if (!found.ok) throw new Error("no survey");
    expect(found.value.width).toBeCloseTo(foot.widthMm, 9);
    expect(found.value.heelDifference).toBeCloseTo(-4, 9);
    expect(found.value.frogWidthRatio).toBeCloseTo(foot.frog.widthRatio, 9);
    expect((found.value.barBend?.medial ?? 0) - (found.value.barBend?.lateral ?? 0)).toBeGreaterThan(2);
    expect(found.value.cor.widest).toBeCloseTo(found.value.cor.apex, 9);
  }
});

test("solarFrame: the picture of a left foot from below has lateral to the right, of a right foot to the left", () => {
  for (const limb of LIMBS) {
    const lateral = limb.startsWith("L") ? 1 : -1;
    const picture = Object.fromEntries(
      SURVEY_MARKS.map((mark) => [mark, [500 + lateral * PLAIN[mark][0], 900 - PLAIN[mark][1]] as const]),
    );
    const frame = solarFrame(picture);
    if (!("marks" in frame)) throw new Error("no frame");
    expect(frame.lateralTo).toBe(lateral);
    const [x, y] = frame.fromSolar([10, 20]);
    expect(x).toBeCloseTo(500 + lateral * 10, 9);
    expect(y).toBeCloseTo(880, 9);
  }
});
