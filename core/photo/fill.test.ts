import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { soleLandmarks } from "../foot/parametric/landmarks";
import type { ImagePoint } from "../geometry/vector";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import { projected, type Shot } from "../simulator/camera";
import { renderScene } from "../simulator/render";
import { fillFromPhoto, sidesChanged, TRACE, type Filled } from "./fill";
import { keptSize, pictureType } from "./pictureFile";

const NOTHING: Filled = { values: {}, sole: {}, side: {}, rear: {}, trace: [] };
const SHOT: Shot = {
  slantDeg: 4,
  azimuthDeg: 30,
  rollDeg: 0,
  distanceMm: 1800,
  focal35: 150,
  width: 800,
  height: 600,
};
const FOOT = { ...ordinaryFoot("RF", { kind: "horse" as const, massKg: 500 }), dorsalAngleDeg: 48 };
const picture = (view: "sole" | "side" | "rear") => {
  const scene = sceneOf(FOOT, view);
  return truthInPicture(scene, aimAt(scene, SHOT), true);
};

describe("fillFromPhoto", () => {
  test("a side view fills angles and lengths of the lane and what only it can tell", () => {
    const found = fillFromPhoto(picture("side"), "RF", NOTHING, undefined, "photo");
    if (!found.ok) throw new Error("refused");
    const { values, side } = found.value.filled;
    expect(values.dorsalAngle).toEqual({ value: 48, source: "photo" });
    expect(values.toeLength?.value).toBeCloseTo(FOOT.toeLengthMm, 1);
    expect(side.heelAngle?.value).toBeCloseTo(FOOT.heelAngleDeg, 0);
    expect(found.value.numbers.every(({ band }) => band > 0)).toBe(true);
  });

  test("a sole fills marks and width, a rear view heel heights, tilt and lean", () => {
    const sole = fillFromPhoto(picture("sole"), "RF", NOTHING, undefined, "simulated");
    const rear = fillFromPhoto(picture("rear"), "RF", NOTHING, 1, "photo");
    if (!sole.ok || !rear.ok) throw new Error("refused");
    expect(sole.value.filled.sole.wideLateral?.x?.source).toBe("simulated");
    expect(sole.value.filled.values.width?.value).toBeCloseTo(FOOT.widthMm, 1);
    expect(sole.value.lateralTo).toBe(-1);
    expect(rear.value.filled.values.heelHeightLateral?.value).toBeCloseTo(FOOT.heelHeightMm.lateral, 0);
    expect(Math.abs(rear.value.filled.rear.limbDeviation?.value ?? 9)).toBeLessThan(0.3);
  });

  test("gauge and calliper outrank the picture, an estimate does not", () => {
    const held: Filled = {
      ...NOTHING,
      values: { dorsalAngle: { value: 44, source: "gauge" }, toeLength: { value: 70, source: "estimate" } },
      sole: { toe: { y: { value: 120, source: "calliper" } } },
    };
    const side = fillFromPhoto(picture("side"), "RF", held, undefined, "photo");
    const sole = fillFromPhoto(picture("sole"), "RF", held, undefined, "photo");
    if (!side.ok || !sole.ok) throw new Error("refused");
    expect(side.value.filled.values.dorsalAngle?.value).toBe(44);
    expect(side.value.filled.values.toeLength?.source).toBe("photo");
    expect(sole.value.filled.sole.toe?.y).toEqual({ value: 120, source: "calliper" });
    expect(sole.value.filled.sole.toe?.x?.source).toBe("photo");
  });

  test("half the marks of a side view say nothing yet, and lose nothing", () => {
    const whole = picture("side");
    const { toe, ...points } = whole.points;
    expect(toe).toBeDefined();
    const found = fillFromPhoto({ ...whole, points }, "RF", NOTHING, undefined, "photo");
    expect(found.ok && found.value.filled).toEqual(NOTHING);
    expect(found.ok && found.value.issues).toEqual([]);
  });

  test("a traced edge comes in order from medial heel to lateral heel, however it was tapped", () => {
    const scene = sceneOf(FOOT, "sole");
    const camera = aimAt(scene, SHOT);
    const marks = soleLandmarks(FOOT);
    const edge = [marks.toe, marks.heelMedial, marks.wideLateral, marks.wideMedial, marks.heelLateral];
    const traced = Object.fromEntries(
      edge.map(([x, y], index): [string, ImagePoint] => [
        `${TRACE}${index + 1}`,
        projected(camera, scene.toWorld([x * 0.9, y * 0.95, 0])),
      ]),
    );
    const whole = picture("sole");
    const found = fillFromPhoto(
      { ...whole, points: { ...whole.points, ...traced } },
      "RF",
      NOTHING,
      undefined,
      "photo",
    );
    if (!found.ok) throw new Error("refused");
    const xs = found.value.filled.trace.map(([x]) => Math.round(x));
    expect(xs).toEqual(
      [marks.heelMedial, marks.wideMedial, marks.toe, marks.wideLateral, marks.heelLateral].map(
        ([x]) => Math.round(x * 0.9) + 0,
      ),
    );
  });

  test("medial and lateral change over in their names, the midline stays", () => {
    expect(sidesChanged({ heelMedial: 1, heelLateral: 2, toe: 3 })).toEqual({
      heelLateral: 1,
      heelMedial: 2,
      toe: 3,
    });
  });
});

describe("picture files", () => {
  const bytes = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
  test.each([
    ["\xff\xd8\xff\xe0", "image/jpeg"],
    ["\x89PNG\r\n\x1a\n", "image/png"],
    ["RIFF\0\0\0\0WEBPVP8 ", "image/webp"],
    ["\0\0\0\x18ftypheic", "image/heic"],
    ["\0\0\0\x18ftypmif1", "image/heic"],
    ["\0\0\0\x18ftypavif", "image/heic"],
  ])("%j is taken", (start, type) => {
    expect(pictureType(bytes(start))).toEqual({ ok: true, value: type });
  });

  test.each([
    ["", "empty"],
    ["\0\0\0\x18ftypisom", "foreign"],
    ["<svg onload=alert(1)>", "foreign"],
  ])("%j is refused: %s", (start, code) => {
    const found = pictureType(bytes(start));
    expect(!found.ok && found.issues[0]?.code).toBe(code);
  });

  test("a 12-megapixel picture is kept at 2400 px, a small one as it is", () => {
    expect(keptSize(4000, 3000)).toEqual({ width: 2400, height: 1800, scale: 0.6 });
    expect(keptSize(900, 600)).toEqual({ width: 900, height: 600, scale: 1 });
  });
});

describe("the simulated camera", () => {
  test("the same seed gives the same picture; card and foot lie where the truth says", () => {
    const scene = sceneOf(FOOT, "sole");
    const camera = aimAt(scene, { ...SHOT, width: 320, height: 240 });
    const pixels = renderScene(scene, camera, 5);
    expect(renderScene(scene, camera, 5)).toEqual(pixels);
    expect(renderScene(scene, camera, 6)).not.toEqual(pixels);
    const at = ([x, y]: ImagePoint) => [
      ...pixels.slice(
        (Math.round(y) * 320 + Math.round(x)) * 4,
        (Math.round(y) * 320 + Math.round(x)) * 4 + 3,
      ),
    ];
    const truth = truthInPicture(scene, camera, true);
    if (truth.scale.kind !== "card") throw new Error("no card");
    const [a, , c] = truth.scale.corners;
    const inside: ImagePoint = [a[0] + (c[0] - a[0]) * 0.2, a[1] + (c[1] - a[1]) * 0.2];
    expect(Math.min(...at(inside))).toBeGreaterThan(200);
    const frame: ImagePoint = [a[0] + (c[0] - a[0]) * 0.02, a[1] + (c[1] - a[1]) * 0.5];
    expect(Math.max(...at(frame))).toBeLessThan(90);
    const cleft = truth.points["sulcusFront"] as ImagePoint;
    expect(Math.max(...at([cleft[0], cleft[1] + 4]))).toBeLessThan(110);
  });
});
