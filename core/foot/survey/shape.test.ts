import { describe, expect, test } from "@jest/globals";
import { interpolate, nearestCorner, offsetPolyline, polygonCentroid } from "../../geometry/polyline";
import type { SolarPoint } from "../../geometry/vector";
import { LIMBS } from "../limb";
import { ordinaryFoot } from "../parametric/fit";
import { soleLandmarks } from "../parametric/landmarks";
import { solarFrame, type SolarMarks } from "./frame";
import { boneOutline, presentOutline, undistortedOutline } from "../parametric/surveyedOutline";
import { readBounds } from "./boundsText";
import { footRatios } from "./ratios";
import { knownSize, marksOf, recordOfMarks, surveyOfRecord } from "../records/keptSurvey";
import { surveySole } from "./survey";
import { suspectSwap } from "./swap";
import { evenWall, ringDate, ringDivergence, wallEvenness, widestWhiteLine, type Walls } from "./walls";

const FOOT = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
const MARKS: SolarMarks = Object.fromEntries(
  Object.entries(soleLandmarks(FOOT)).map(([mark, [x, y]]) => [mark, { x, y }]),
);
const walls = (toe: number, quarters: number): Walls => ({
  toe: { thickness: toe },
  quarterMedial: { thickness: quarters },
  quarterLateral: { thickness: quarters },
});

describe("polylines", () => {
  test("a straight line moved to its left by 2; knots joined straight, ends held", () => {
    expect(
      offsetPolyline(
        [
          [0, 0],
          [4, 0],
          [9, 0],
        ],
        () => 2,
      ),
    ).toEqual([
      [0, 2],
      [4, 2],
      [9, 2],
    ]);
    expect(
      [-1, 5, 20].map((at) =>
        interpolate(
          [
            [0, 0],
            [10, 100],
          ],
          at,
        ),
      ),
    ).toEqual([0, 50, 100]);
    expect(() => interpolate([], 1)).toThrow("at least one knot");
  });

  test("the centroid of a square is its middle; of points in line their mean", () => {
    expect(
      polygonCentroid([
        [0, 0],
        [2, 0],
        [2, 2],
        [0, 2],
      ]),
    ).toEqual([1, 1]);
    expect(
      polygonCentroid([
        [0, 0],
        [2, 0],
        [4, 0],
      ]),
    ).toEqual([2, 0]);
  });
});

describe("presentOutline", () => {
  test("passes through every mark that was measured, on both sides and at the toe", () => {
    const moved: SolarMarks = {
      ...MARKS,
      wideLateral: { x: 72, y: 60 },
      toe: { x: 2, y: 140 },
      heelMedial: { x: -38, y: 14 },
      toeQuarterMedial: { x: -52, y: 108 },
    };
    const outline = presentOutline(FOOT, moved);
    for (const mark of ["wideLateral", "toe", "heelMedial", "heelLateral"] as const) {
      const { x = 0, y = 0 } = moved[mark] ?? {};
      expect(nearestCorner(outline, [x, y])).toBeLessThan(3.5);
    }
    expect(outline[0]).toEqual([-38, 14]);
    expect(Math.max(...outline.map(([x]) => x))).toBeCloseTo(72, 0);
  });

  test("with nothing measured it is the pale guess itself", () => {
    const outline = presentOutline(FOOT, {});
    const { toe } = soleLandmarks(FOOT);
    expect(Math.max(...outline.map(([, y]) => y))).toBeCloseTo(toe[1], 9);
  });
});

describe("undistortedOutline", () => {
  const present = presentOutline(FOOT, MARKS);

  test("a wall that tapers as a sound one does: the outline is already the foot's own shape", () => {
    const found = undistortedOutline(present, {
      ...walls(12, 9),
      toeQuarterMedial: { thickness: 10.8 },
      toeQuarterLateral: { thickness: 10.8 },
      heelMedial: { thickness: 6 },
      heelLateral: { thickness: 6 },
    });
    expect(found?.evenWallMm).toBe(12);
    expect(found?.soleEdgeFrom).toBe("wall thickness");
    const furthest = Math.max(...(found?.outline ?? []).map((point) => nearestCorner(present, point)));
    expect(furthest).toBeLessThan(3);
    expect(Math.hypot(found?.drift.lateral ?? 9, found?.drift.toe ?? 9)).toBeLessThan(0.6);
  });

  test("a toe wall 18 thick where the quarters are 9: 6 mm of horn outside, drifted to the toe, not sideways", () => {
    const found = undistortedOutline(present, walls(18, 9));
    expect(found?.hornOutside).toEqual({ toe: 6, quarterMedial: 0, quarterLateral: 0 });
    expect(found?.drift.toe).toBeGreaterThan(0.5);
    expect(Math.abs(found?.drift.lateral ?? 9)).toBeLessThan(0.3);
  });

  test("a traced sole edge outranks the one worked out; two thicknesses are too few to say anything", () => {
    const trace = present.map(([x, y]): SolarPoint => [x * 0.85, y * 0.88]);
    expect(undistortedOutline(present, walls(9, 9), trace)?.soleEdgeFrom).toBe("trace");
    expect(
      undistortedOutline(present, { toe: { thickness: 9 }, quarterMedial: { thickness: 9 } }),
    ).toBeUndefined();
  });

  test("the bone's outline has its tip at the estimate and lies inside the foot", () => {
    const bone = boneOutline({ coffinTip: 110, cor: 63, k: 1 });
    expect(Math.max(...bone.map(([, y]) => y))).toBeCloseTo(110, 0);
    expect(Math.max(...bone.map(([x]) => x))).toBeLessThan(FOOT.widthMm / 2);
  });
});

describe("walls and rings", () => {
  test("evenness is (max - min) / mean of three or more places over the sound taper, heels left out", () => {
    expect(wallEvenness(walls(12, 9))).toBe(0);
    expect(wallEvenness({ ...walls(16, 9), heelMedial: { thickness: 2 } })).toBeCloseTo(4 / (40 / 3), 9);
    expect(wallEvenness({ toe: { thickness: 9 }, quarterMedial: { thickness: 8 } })).toBeUndefined();
    expect(evenWall(walls(18, 9))).toBe(12);
    expect(widestWhiteLine({ toe: { whiteLine: 3 }, quarterMedial: { whiteLine: 5 } })).toEqual({
      place: "quarterMedial",
      mm: 5,
    });
  });

  test("a ring 22 mm down at 0.22 mm a day was begun 100 days ago; wider at the heel is positive", () => {
    expect(ringDate({ toeMm: 22 }, 0.22, "2026-11-23")).toBe("2026-08-15");
    expect(ringDate({ toeMm: 22 }, 0, "2026-11-23")).toBeUndefined();
    expect(ringDivergence({ toeMm: 20, heelMm: 26 })).toBeCloseTo(0.3, 12);
    expect(ringDivergence({ toeMm: 20 })).toBeUndefined();
  });
});

/** A hand that always reads the same. */
const SURE = { angleDeg: 0, lengthMm: 0, source: "sure" };

describe("footRatios", () => {
  test("a sound foot is steady in every ratio; a short toe is not an excess", () => {
    const side = { dish: 1, heelAngle: 46, dorsalAngle: 50, heelHeightDifference: -1 };
    const ratios = footRatios(surveySole(MARKS, "LF"), walls(12.5, 9.4), side, SURE);
    expect(ratios).toHaveLength(9);
    expect(new Set(ratios.map(({ level }) => level))).toEqual(new Set(["steady"]));
    const short = footRatios(surveySole({ ...MARKS, toe: { x: 0, y: 90 } }, "LF"), {}, {}, SURE);
    expect(short.find(({ name }) => name === "toeExcess")).toMatchObject({ level: "steady" });
  });

  test("nothing known, nothing said", () => {
    expect(footRatios(surveySole({}, "LF"), {}, {}, SURE)).toEqual([]);
  });
});

describe("suspectSwap", () => {
  const survey = surveySole({ ...MARKS, wideMedial: { x: -58, y: 63 }, wideLateral: { x: 66, y: 63 } }, "LF");
  const mirror = surveySole({ ...MARKS, wideMedial: { x: -66, y: 63 }, wideLateral: { x: 58, y: 63 } }, "LF");

  test("marks that put lateral on the wrong side of the picture are suspected on every limb", () => {
    for (const limb of LIMBS) {
      const side = limb.startsWith("L") ? 1 : -1;
      const picture = Object.fromEntries(
        Object.entries(soleLandmarks(FOOT)).map(([mark, [x, y]]) => [
          mark,
          [400 + side * x, 500 - y] as const,
        ]),
      );
      const frame = solarFrame(picture);
      if (!("marks" in frame)) throw new Error("no frame");
      expect(suspectSwap(limb, frame, survey)).toBeUndefined();
      expect(suspectSwap(limb, { lateralTo: -frame.lateralTo as 1 | -1 }, survey)?.code).toBe(
        "mirrored-marks",
      );
    }
  });

  test("a shape that is the mirror of the last one is suspected, one like the last is not", () => {
    expect(suspectSwap("LF", { lateralTo: 1 }, mirror, survey)?.code).toBe("shape-of-other-foot");
    expect(suspectSwap("LF", { lateralTo: 1 }, survey, survey)).toBeUndefined();
    expect(suspectSwap("LF", { lateralTo: 1 }, mirror)?.question).toContain("medial side");
    expect(suspectSwap("LF", { lateralTo: 1 }, mirror, mirror)).toBeUndefined();
  });

  test("halves that differ by next to nothing tell nothing, whatever the last survey showed", () => {
    const even = surveySole({ ...MARKS, wideMedial: { x: -63, y: 63 }, wideLateral: { x: 61, y: 63 } }, "LF");
    const wider = surveySole(
      { ...MARKS, wideMedial: { x: -60, y: 63 }, wideLateral: { x: 63.5, y: 63 } },
      "LF",
    );
    expect(suspectSwap("LF", { lateralTo: 1 }, even, wider)).toBeUndefined();
  });
});

describe("a survey as it is kept", () => {
  test("marks go into the record and come back to a hundredth of a millimetre", () => {
    expect(marksOf(recordOfMarks(MARKS, "photo"))["heelMedial"]?.x).toBeCloseTo(MARKS.heelMedial?.x ?? 0, 2);
    const one = recordOfMarks({ toe: { y: 131.2345 } }, "calliper");
    expect(one).toEqual({ toe: { y: { value: 131.23, source: "calliper" } } });
  });

  test("size is fixed by the first survey that tells it; impossible marks are named and left out", () => {
    const first = { limb: "LF" as const, sole: recordOfMarks(MARKS, "photo") };
    const wider = {
      limb: "LF" as const,
      sole: recordOfMarks({ ...MARKS, wideLateral: { x: 90, y: 63 } }, "photo"),
    };
    expect(knownSize([{ limb: "LF", sole: {} }, first, wider])).toBeCloseTo(FOOT.widthMm / 127, 3);
    const found = surveyOfRecord(recordOfMarks({ ...MARKS, heelMedial: { x: -40, y: 200 } }, "drawn"), "LF");
    expect(found.issues[0]?.path).toBe("points.heelMedial");
    expect(found.survey.width).toBeCloseTo(FOOT.widthMm, 1);
  });
});

describe("bounds as they are typed", () => {
  test.each([
    ["0.06 / 0.16", [0.06, 0.16]],
    ["2 5", [2, 5]],
    ["2,5; 6", [2.5, 6]],
    ["", undefined],
  ])("“%s” reads as %j", (text, expected) => {
    expect(readBounds(text)).toEqual({ ok: true, value: expected });
  });

  test.each([["5 / 2"], ["3"], ["a / b"], ["-1 / 2"], ["1 / 2 / 3"]])(
    "“%s” is refused with words",
    (text) => {
      expect(readBounds(text).ok).toBe(false);
    },
  );
});

test("a mark a hair beside the midline is kept as 0, never as -0: it comes back from a file as it was", () => {
  const kept = recordOfMarks({ toe: { x: -0.001, y: 120 } }, "photo");
  expect(Object.is(kept.toe?.x?.value, 0)).toBe(true);
  expect(JSON.parse(JSON.stringify(kept))).toEqual(kept);
});
