import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { ordinaryFoot } from "../foot/parametric/fit";
import type { Vector } from "../geometry/vector";
import { seededRandom } from "../math/random";
import type { Shot } from "../simulator/camera";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import { readSidePhoto, readSolePhoto } from "./readPhoto";
import { bandsOf, truePhoto, type TruePhoto } from "./truePhoto";

const FOOT = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
const shot = (slantDeg: number): Shot => ({
  slantDeg,
  azimuthDeg: 200,
  rollDeg: 0,
  distanceMm: 1600,
  focal35: 110,
  width: 3000,
  height: 2000,
});
const pictureOf = (view: "sole" | "side", slantDeg: number, focalKnown = true) => {
  const scene = sceneOf(FOOT, view);
  return truthInPicture(scene, aimAt(scene, shot(slantDeg)), focalKnown);
};
const side = (slantDeg: number, handSdMm: number, focalKnown = true) => {
  const found = readSidePhoto(pictureOf("side", slantDeg, focalKnown), handSdMm);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};

describe("bandsOf", () => {
  const still: TruePhoto["marks"] = { a: { mm: [0, 0], error: [0, 0] }, b: { mm: [100, 0], error: [3, 0] } };
  const length = (points: Partial<Record<string, Vector>>) => ({
    length: (points["b"]?.[0] ?? 0) - (points["a"]?.[0] ?? 0),
  });

  test("a depth error of 3 mm along a length is a band of 1.96 x 3 mm; a hand adds in quadrature", () => {
    expect(bandsOf(still, 0, length)["length"]).toBeCloseTo(1.96 * 3, 6);
    expect(bandsOf(still, 4, length)["length"]).toBeCloseTo(1.96 * Math.hypot(3, 4, 4), 6);
  });

  test("an error across a length does not touch it", () => {
    const across: TruePhoto["marks"] = { ...still, b: { mm: [100, 0], error: [0, 5] } };
    expect(bandsOf(across, 0, length)["length"]).toBeCloseTo(0, 9);
  });

  test("a steadier hand never gives a wider band (seeded property)", () => {
    const number = fc.double({ min: 0, max: 4, noNaN: true });
    fc.assert(
      fc.property(number, number, (a, b) => {
        const [calm, shaky] = [Math.min(a, b), Math.max(a, b)].map(
          (sd) => bandsOf(still, sd, length)["length"] ?? 0,
        );
        expect(calm).toBeLessThanOrEqual((shaky ?? 0) + 1e-9);
      }),
      { seed: 91 },
    );
  });
});

describe("what a picture promises", () => {
  test("angles of marks in the card's plane have no band but the hand's; the heel's angle has one of its own", () => {
    const { bands } = side(12, 0);
    expect(bands["dorsalAngle"]).toBeCloseTo(0, 9);
    expect(bands["heelAngle"]).toBeGreaterThan(0.1);
  });

  test("the more slanted, the wider the band of what lies off the plane", () => {
    const widths = [2, 8, 14, 20].map((slant) => side(slant, 0).bands["bearingLength"] ?? 0);
    expect([...widths].sort((a, b) => a - b)).toEqual(widths);
  });

  test("without the lens the whole error is carried, and said", () => {
    const [known, unknown] = [side(6, 0), side(6, 0, false)];
    expect([known.photo.corrected, unknown.photo.corrected]).toEqual([true, false]);
    expect(unknown.bands["bearingLength"]).toBeGreaterThan(2 * (known.bands["bearingLength"] ?? 99));
  });

  test("a slant of 25 degrees is weak, of 15 slanted, of 4 square", () => {
    const word = (slant: number) => {
      const found = truePhoto(pictureOf("sole", slant), 1);
      return found.ok ? found.value.word : "refused";
    };
    expect([word(25), word(15), word(4)]).toEqual(["weak", "slanted", "square"]);
  });

  test("marks placed one after the other: each new one adds its numbers and takes none away", () => {
    const whole = pictureOf("sole", 5);
    const names = Object.keys(whole.points);
    let before: string[] = [];
    for (let count = 4; count <= names.length; count++) {
      const points = Object.fromEntries(names.slice(0, count).map((name) => [name, whole.points[name]]));
      const found = readSolePhoto({ ...whole, points }, "LF", 1);
      if (!found.ok) throw new Error("refused");
      const known = Object.entries(found.value.survey)
        .filter(([, value]) => value !== undefined)
        .map(([name]) => name);
      expect(known).toEqual(expect.arrayContaining(before));
      before = known;
    }
    expect(before).toEqual(expect.arrayContaining(["cor", "front", "support", "drift", "frogStretch"]));
  });

  test("marks scattered without sense never give NaN: they give issues or numbers (seeded property)", () => {
    const random = seededRandom(17);
    const whole = pictureOf("sole", 5);
    for (let run = 0; run < 300; run++) {
      const points = Object.fromEntries(
        Object.keys(whole.points).map((name) => [name, [random() * 3000, random() * 2000] as const]),
      );
      const found = readSolePhoto({ ...whole, points }, "RH", 1);
      if (!found.ok) throw new Error("refused");
      const numbers = [...Object.values(found.value.survey), ...Object.values(found.value.bands)].filter(
        (value): value is number => typeof value === "number",
      );
      expect(numbers.every(Number.isFinite)).toBe(true);
    }
  });
});
