import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { dot3, length3, minus3 } from "../geometry/space";
import { distance, type Vector } from "../geometry/vector";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import { focalPixels, project, type Shot } from "../simulator/camera";
import { cameraPlace, focalFromCard, offPlane } from "./pose";
import { rectifyCard } from "./rectify";

const FOOT = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
const shot = (slantDeg: number, azimuthDeg = 40): Shot => ({
  slantDeg,
  azimuthDeg,
  rollDeg: 3,
  distanceMm: 1700,
  focal35: 100,
  width: 4000,
  height: 3000,
});

/** A sole picture, its card made true, and where the camera truly stood in the card's frame. */
function seen(slantDeg: number) {
  const scene = sceneOf(FOOT, "sole");
  const camera = aimAt(scene, shot(slantDeg));
  const picture = truthInPicture(scene, camera, true);
  if (picture.scale.kind !== "card") throw new Error("no card");
  const card = rectifyCard({ width: 80, height: 80, corners: picture.scale.corners });
  if (!card.ok) throw new Error("no rectification");
  const step = minus3(camera.at, scene.card[0]);
  const over: Vector = [dot3(step, scene.plane.right), dot3(step, scene.plane.down)];
  const height = dot3(step, scene.plane.toward);
  return { scene, camera, picture, card: card.value, over, height };
}

describe("where the camera stood", () => {
  test.each([2, 8, 15, 28])(
    "slanted by %d degrees, with the focal length known, it is found to a millimetre",
    (slant) => {
      const { card, picture, over, height } = seen(slant);
      const place = cameraPlace(card.homography, picture, card.slantDeg);
      expect(place?.focalFrom).toBe("picture data");
      expect(distance(place?.over ?? [0, 0], over)).toBeLessThan(1);
      expect(place?.heightMm).toBeCloseTo(height, 0);
    },
  );

  test("without it, a slanted card gives the focal length; a square one does not pretend to", () => {
    const { card, camera } = seen(25);
    const centre: Vector = [2000, 1500];
    expect(focalFromCard(card.homography, centre, card.slantDeg)).toBeCloseTo(camera.focalPx, 0);
    const square = seen(3).card;
    expect(focalFromCard(square.homography, centre, square.slantDeg)).toBeUndefined();
    expect(cameraPlace(square.homography, { width: 4000, height: 3000 }, square.slantDeg)).toBeUndefined();
  });

  test("a mark 14 mm behind the plane is moved to where it is, not to where it is seen", () => {
    const { scene, card, picture } = seen(18);
    const place = cameraPlace(card.homography, picture, card.slantDeg);
    const mark = picture.points["sulcusFront"];
    const truly = scene.marks["sulcusFront"];
    if (!place || !mark || !truly) throw new Error("no mark");
    const step = minus3(truly, scene.card[0]);
    const flat: Vector = [dot3(step, scene.plane.right), dot3(step, scene.plane.down)];
    const depth = dot3(step, scene.plane.toward);
    expect(depth).toBeLessThan(-10);
    expect(distance(card.toMm(mark), flat)).toBeGreaterThan(3);
    expect(distance(offPlane(place, card.toMm(mark), depth), flat)).toBeLessThan(0.05);
  });
});

describe("the simulated camera's geometry", () => {
  test("the target falls in the middle, at its distance; the axes stand at right angles", () => {
    const { camera, scene } = seen(20);
    const [x, y, far] = project(camera, scene.target);
    expect([x, y]).toEqual([expect.closeTo(2000, 6), expect.closeTo(1500, 6)]);
    expect(far).toBeCloseTo(1700, 6);
    expect(dot3(camera.right, camera.down)).toBeCloseTo(0, 12);
    expect(length3(camera.forward)).toBeCloseTo(1, 12);
    expect(focalPixels(43.2666153, 3000, 4000)).toBeCloseTo(5000, 3);
  });

  test("in a picture of a left sole lateral lies to the right, of a right sole to the left; a left side view looks left", () => {
    for (const limb of ["LF", "RF", "LH", "RH"] as const) {
      const foot = ordinaryFoot(limb, { kind: "horse", massKg: 500 });
      const marks = (view: "sole" | "side" | "rear") => {
        const scene = sceneOf(foot, view);
        return truthInPicture(scene, aimAt(scene, shot(3)), true).points;
      };
      const left = limb.startsWith("L");
      const x = (points: ReturnType<typeof marks>, name: string) => points[name]?.[0] ?? Number.NaN;
      expect(x(marks("sole"), "wideLateral") > x(marks("sole"), "wideMedial")).toBe(left);
      expect(x(marks("side"), "toe") < x(marks("side"), "heel")).toBe(left);
      expect(x(marks("rear"), "heelLateral") < x(marks("rear"), "heelMedial")).toBe(left);
    }
  });
});
