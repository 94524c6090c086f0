import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { LIMBS } from "../foot/limb";
import { ordinaryFoot } from "../foot/parametric/fit";
import type { FootParameters } from "../foot/parametric/parameters";
import { dot3, length3, minus3 } from "../geometry/space";
import { PHOTO_MARKS, MEASURED_VIEWS } from "../photo/views";
import { CARD } from "../photo/card";
import { footMesh, MATERIALS } from "./mesh";
import { aimAt, sceneOf, truthInPicture } from "./scene";
import type { Shot } from "./camera";

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyFoot: fc.Arbitrary<FootParameters> = fc
  .record({
    limb: fc.constantFrom(...LIMBS),
    massKg: between(200, 900),
    dorsal: between(42, 60),
    dish: between(0, 6),
    curl: between(0, 8),
    lean: between(-6, 6),
    taller: between(-6, 6),
  })
  .map(({ limb, massKg, dorsal, dish, curl, lean, taller }) => {
    const foot = ordinaryFoot(limb, { kind: "horse", massKg });
    return {
      ...foot,
      dorsalAngleDeg: dorsal,
      dishDeg: dish,
      curlMm: { medial: curl, lateral: 0 },
      limbDeviationDeg: lean,
      heelHeightMm: { medial: foot.heelHeightMm.medial, lateral: foot.heelHeightMm.lateral + taller },
    };
  });
const SHOT: Shot = {
  slantDeg: 8,
  azimuthDeg: 120,
  rollDeg: -4,
  distanceMm: 1600,
  focal35: 120,
  width: 1600,
  height: 1200,
};

describe("footMesh", () => {
  test("every corner of every foot is a number, every material is used, and nothing hangs below the ground (seeded property)", () => {
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const mesh = footMesh(foot);
        const corners = mesh.flatMap(({ corners: [a, b, c] }) => [a, b, c]);
        expect(corners.flat().every(Number.isFinite)).toBe(true);
        expect(Math.min(...corners.map(([, , z]) => z))).toBeGreaterThan(-1e-9);
        const used = new Set(mesh.map(({ material }) => material));
        for (const material of MATERIALS) expect(used.has(material)).toBe(true);
      }),
      { seed: 81, numRuns: 25 },
    );
  });

  test("medial and lateral lie on their own sides: a wider lateral half shows on that side only", () => {
    const foot = { ...ordinaryFoot("RF", { kind: "horse" as const, massKg: 500 }), lateralWiderMm: 12 };
    const ground = footMesh(foot)
      .filter(({ material }) => material === "bearing")
      .flatMap(({ corners }) => corners.map(([x]) => x));
    expect(Math.max(...ground) + Math.min(...ground)).toBeCloseTo(12, 1);
  });
});

describe("sceneOf", () => {
  test("every view shows every mark and the whole card inside the picture, for any foot (seeded property)", () => {
    fc.assert(
      fc.property(anyFoot, fc.constantFrom(...MEASURED_VIEWS), (foot, view) => {
        const scene = sceneOf(foot, view);
        const picture = truthInPicture(scene, aimAt(scene, { ...SHOT, focal35: 90 }), true);
        for (const mark of PHOTO_MARKS[view]) {
          const [x, y] = picture.points[mark] ?? [Number.NaN, Number.NaN];
          expect(x >= 0 && x <= 1600 && y >= 0 && y <= 1200).toBe(true);
        }
        if (picture.scale.kind !== "card") throw new Error("no card");
        for (const [x, y] of picture.scale.corners)
          expect(x >= 0 && x <= 1600 && y >= 0 && y <= 1200).toBe(true);
      }),
      { seed: 82, numRuns: 60 },
    );
  });

  test("the card is a square of its true size in the plane, and the plane's directions stand at right angles", () => {
    for (const view of MEASURED_VIEWS) {
      const { card, plane } = sceneOf(ordinaryFoot("LH", { kind: "cob", massKg: 520 }), view);
      const [a, b, c, d] = card;
      for (const [from, to] of [
        [a, b],
        [b, c],
        [c, d],
        [d, a],
      ] as const)
        expect(length3(minus3(to, from))).toBeCloseTo(CARD.sideMm, 9);
      expect(dot3(plane.right, plane.down)).toBeCloseTo(0, 12);
      expect(dot3(plane.right, plane.toward)).toBeCloseTo(0, 12);
      for (const corner of card) expect(dot3(minus3(corner, plane.origin), plane.toward)).toBeCloseTo(0, 9);
    }
  });

  test("depths given by hand move a mark towards the camera and leave the rest alone", () => {
    const foot = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
    const [plain, deep] = [sceneOf(foot, "sole"), sceneOf(foot, "sole", { sulcusFront: 1.5 })];
    const depth = (scene: typeof plain, mark: string) =>
      dot3(scene.marks[mark] ?? [0, 0, 0], scene.plane.toward);
    expect(depth(deep, "sulcusFront") / depth(plain, "sulcusFront")).toBeCloseTo(1.5, 9);
    expect(deep.marks["toe"]).toEqual(plain.marks["toe"]);
  });
});
