import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { toeYOf } from "../foot/parametric/parameters";
import { mapPoint } from "../geometry/homography";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import type { Photo } from "./photoRecord";
import { cssMatrix, layPicture, SHOWN } from "./thenNow";
import { MEASURED_VIEWS, type MeasuredView } from "./views";

const foot = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
const SHOT = { rollDeg: 4, distanceMm: 1600, focal35: 120, width: 1280, height: 960, azimuthDeg: 30 };

/** A true picture of a foot, marked without error. */
function pictured(view: MeasuredView, slantDeg: number, distanceMm: number, of = foot) {
  const scene = sceneOf(of, view);
  const { points, scale, width, height } = truthInPicture(
    scene,
    aimAt(scene, { ...SHOT, slantDeg, distanceMm }),
    true,
  );
  return { view, points, scale, width, height } as Pick<
    Photo,
    "view" | "width" | "height" | "scale" | "points"
  >;
}
function laid(photo: ReturnType<typeof pictured>) {
  const found = layPicture(photo);
  if (!found?.ok) throw new Error("not laid");
  return found.value;
}

describe("pictures laid over one another", () => {
  test.each(MEASURED_VIEWS)(
    "%s: near or far, square or slanted, the marks of one foot fall on one place",
    (view) => {
      const [near, far] = [pictured(view, 0, 1200), pictured(view, 8, 2000)];
      const [a, b] = [laid(near), laid(far)];
      expect([a.by, b.by]).toEqual(["marks", "marks"]);
      const marks =
        view === "sole"
          ? ["toe", "heelMedial", "wideLateral"]
          : view === "side"
            ? ["toe", "groundA"]
            : ["heelLateral"];
      for (const mark of marks) {
        const [x, y] = mapPoint(a.toFrame, near.points[mark]!);
        const [u, v] = mapPoint(b.toFrame, far.points[mark]!);
        expect(Math.hypot(x - u, y - v)).toBeLessThan(2.5);
      }
    },
  );

  test("a sole is shown toe up at its true length, right side out", () => {
    const photo = pictured("sole", 0, 1600);
    const { toFrame } = laid(photo);
    const [x, y] = mapPoint(toFrame, photo.points["toe"]!);
    expect(x).toBeCloseTo(0, 3);
    expect(Math.abs(-y - toeYOf(foot))).toBeLessThan(2);
    const [medial] = mapPoint(toFrame, photo.points["wideMedial"]!);
    const [lateral] = mapPoint(toFrame, photo.points["wideLateral"]!);
    expect(Math.abs(lateral - medial)).toBeGreaterThan(110);
  });

  test("without marks it is laid by its scale alone and says so; without a scale it cannot be laid", () => {
    const photo = pictured("sole", 0, 1600);
    expect(laid({ ...photo, points: {} }).by).toBe("scale");
    expect(layPicture({ ...photo, scale: undefined })).toBeUndefined();
    const wrong = { ...photo, scale: { kind: "two-point", a: [1, 1], b: [1, 1], mm: 90 } } as typeof photo;
    expect(layPicture(wrong)).toMatchObject({ ok: false, issues: [{ code: "coincident" }] });
  });

  test("the frame's corner is drawn at the corner", () => {
    const numbers = /matrix3d\((.*)\)/.exec(
      cssMatrix({ toFrame: [1, 0, 0, 0, 1, 0, 0, 0, 1], by: "scale" }, "side", 2),
    );
    const m = numbers![1]!.split(",").map(Number);
    expect([m[0], m[5], m[12], m[13]]).toEqual([2, 2, -2 * SHOWN.side.left, -2 * SHOWN.side.top]);
  });
});
