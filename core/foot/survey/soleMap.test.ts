import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../parametric/fit";
import { soleLandmarks } from "../parametric/landmarks";
import { wordingFor } from "../wording";
import type { SolarMarks } from "./frame";
import { driftWords, soleMap } from "./soleMap";
import { surveySole } from "./survey";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
const FOOT = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
const MARKS: SolarMarks = Object.fromEntries(
  Object.entries(soleLandmarks(FOOT)).map(([mark, [x, y]]) => [mark, { x, y }]),
);
const mapOf = (marks: SolarMarks) => soleMap(surveySole(marks, "LF"), marks, undefined, wording);

describe("the map", () => {
  test("in the order of the marker, each line with its number from the back of the sulcus", () => {
    const lines = mapOf(MARKS);
    expect(lines.map(({ id }) => id)).toEqual([
      "sulcusBack",
      "sulcusFront",
      "trueApex",
      "widest",
      "barEnd.medial",
      "barEnd.lateral",
      "cor",
      "toeQuarter",
      "tip",
      "breakover",
      "diagonals",
      "heel.medial",
      "heel.lateral",
    ]);
    const mm = Object.fromEntries(lines.map((line) => [line.id, line.mm]));
    const s = MARKS.sulcusFront?.y ?? 0;
    expect(mm).toMatchObject({
      sulcusBack: 0,
      sulcusFront: s,
      trueApex: 2 * s,
      "heel.medial": MARKS.heelMedial?.y,
    });
  });

  test("bars, frog and heels in words: how far off where they ought to be, and which way", () => {
    const says = (marks: SolarMarks) =>
      Object.fromEntries(mapOf({ ...MARKS, ...marks }).map((line) => [line.id, line.says]));
    const s = MARKS.sulcusFront?.y ?? 0;
    const widest = MARKS.wideMedial?.y ?? 0;
    expect(says({})["barEnd.medial"]).toBe("at the widest line");
    expect(says({ barEndMedial: { x: -12, y: widest + 8 } })["barEnd.medial"]).toBe(
      "8 mm ahead of the widest line",
    );
    expect(says({ frogApex: { x: 0, y: 2 * s + 6 } })["trueApex"]).toBe("6 mm short of the frog’s point");
    expect(says({ heelLateral: { x: 40, y: 14 } })["heel.lateral"]).toBe(
      "14 mm ahead of where it ought to be",
    );
  });

  test("drift in words, mirrored for what lies the other way; within a marker's width it is none", () => {
    expect(driftWords({ lateral: 2, toe: 3 }, wording)).toBe("2 mm to the outside, 3 mm to the toe");
    expect(driftWords({ lateral: -2, toe: -3 }, wording)).toBe("2 mm to the inside, 3 mm to the heels");
    expect(driftWords({ lateral: 1, toe: -1 }, wording)).toBe("on the crossing of midline and widest line");
  });

  test("what was not measured is left out; nothing measured is no map", () => {
    expect(mapOf({})).toEqual([]);
    expect(mapOf({ sulcusFront: { y: 44 } }).map(({ id }) => id)).toEqual([
      "sulcusBack",
      "sulcusFront",
      "trueApex",
    ]);
  });
});
