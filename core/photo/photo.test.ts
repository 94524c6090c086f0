import { describe, expect, test } from "@jest/globals";
import { readLateral, type LateralPoints } from "../foot/lateral";
import { LIMBS } from "../foot/limb";
import { ordinaryFoot } from "../foot/parametric/fit";
import { rearLandmarks, sideLandmarks, soleLandmarks } from "../foot/parametric/landmarks";
import type { FootParameters } from "../foot/parametric/parameters";
import { readRear } from "../foot/rear";
import { surveyNumbers, type SurveyNumber } from "../foot/survey/numbers";
import type { SolarMarks } from "../foot/survey/frame";
import { surveySole } from "../foot/survey/survey";
import { dot3, minus3 } from "../geometry/space";
import { mapPoint } from "../geometry/homography";
import { distance, type ImagePoint, type Vector } from "../geometry/vector";
import { normalDraw, seededRandom, type Random } from "../math/random";
import { aimAt, sceneOf, truthInPicture, type DepthParts } from "../simulator/scene";
import type { Shot } from "../simulator/camera";
import { readRearPhoto, readSidePhoto, readSolePhoto } from "./readPhoto";
import { truePhoto, type MarkedPhoto } from "./truePhoto";
import { rectifyCard, rectifyTwoPoint, slantWord } from "./rectify";
import { MARK_DEPTHS } from "./views";

type Corners = readonly [ImagePoint, ImagePoint, ImagePoint, ImagePoint];
const SQUARE: Corners = [
  [100, 100],
  [500, 100],
  [500, 500],
  [100, 500],
];

describe("rectifyCard", () => {
  test("a square picture of a square card is only scaled: slant 0, residual 0", () => {
    const found = rectifyCard({ width: 80, height: 80, corners: SQUARE });
    if (!found.ok) throw new Error("refused");
    expect(found.value.slantDeg).toBeCloseTo(0, 5);
    expect(found.value.residualMm).toBeCloseTo(0, 9);
    expect(found.value.homography[8]).toBe(1);
    const [x, y] = found.value.toMm([300, 200]);
    expect(x).toBeCloseTo(40, 9);
    expect(y).toBeCloseTo(20, 9);
    expect(mapPoint(found.value.homography, [300, 200])[0]).toBeCloseTo(40, 9);
    expect(distance(found.value.toPicture([40, 20]), [300, 200])).toBeLessThan(1e-6);
  });

  test("a card squeezed to half its width is slanted by 60 degrees", () => {
    const corners: Corners = [
      [0, 0],
      [100, 0],
      [100, 200],
      [0, 200],
    ];
    const found = rectifyCard({ width: 80, height: 80, corners });
    expect(found.ok && found.value.slantDeg).toBeCloseTo(60, 6);
  });

  test("corners in line and corners that cross over are named, not computed through", () => {
    const line: Corners = [
      [0, 0],
      [100, 1],
      [200, 2],
      [0, 200],
    ];
    const crossed: Corners = [SQUARE[0], SQUARE[2], SQUARE[1], SQUARE[3]];
    const code = (corners: Corners) => {
      const found = rectifyCard({ width: 80, height: 80, corners });
      return found.ok ? "none" : `${found.issues[0]?.code} ${found.issues[0]?.path}`;
    };
    expect(code(line)).toBe("corners-in-line card.corners.1");
    expect(code(crossed)).toMatch(/^corners-crossed/);
    expect(rectifyTwoPoint([3, 3], [3, 3], 50).ok).toBe(false);
  });

  test("up to 10 degrees square, to 20 slanted, beyond weak", () => {
    expect([0, 10, 10.1, 20, 20.1].map(slantWord)).toEqual([
      "square",
      "square",
      "slanted",
      "slanted",
      "weak",
    ]);
  });
});

/** A foot as it may come, its own depths up to two sd from the assumed ones. */
function anyFoot(random: Random): FootParameters {
  const limb = LIMBS[Math.floor(random() * 4)] ?? "LF";
  const foot = ordinaryFoot(limb, { kind: "horse", massKg: 380 + 300 * random() });
  return {
    ...foot,
    dorsalAngleDeg: foot.dorsalAngleDeg + 8 * (random() - 0.5),
    heelAngleDeg: foot.heelAngleDeg - 8 * random(),
    pasternAngleDeg: foot.pasternAngleDeg + 6 * (random() - 0.5),
    dishDeg: 4 * random(),
    curlMm: { medial: 4 * random(), lateral: 0 },
    limbDeviationDeg: 6 * (random() - 0.5),
    heelHeightMm: { medial: foot.heelHeightMm.medial, lateral: foot.heelHeightMm.lateral + 3 * random() },
    frog: { stretch: 0.1 * random(), widthRatio: 0.8 + 0.4 * random() },
  };
}

/** Depths of a foot of its own; the hairline over a heel goes with that heel, half of its way by itself. */
function anyDepths(random: Random, view: MarkedPhoto["view"]): DepthParts {
  const draw = () => Math.max(-2, Math.min(2, normalDraw(random, 0, 1)));
  const shared = draw();
  return Object.fromEntries(
    Object.entries(MARK_DEPTHS[view]).map(([mark, { towardMm, sdMm }]) => {
      const own =
        view === "side"
          ? mark === "heel"
            ? shared
            : Math.max(-2, Math.min(2, shared + draw() / 2))
          : draw();
      return [mark, 1 + (own * sdMm) / Math.abs(towardMm)];
    }),
  );
}

const anyShot = (random: Random, slantDeg: number): Shot => ({
  slantDeg,
  azimuthDeg: 360 * random(),
  rollDeg: 20 * (random() - 0.5),
  distanceMm: 1500 + 1000 * random(),
  focal35: 90 + 60 * random(),
  width: 4000,
  height: 3000,
});

const solarOf = (foot: FootParameters): SolarMarks =>
  Object.fromEntries(Object.entries(soleLandmarks(foot)).map(([mark, [x, y]]) => [mark, { x, y }]));

const SIDE_FLAT = ["dorsalAngle", "pasternAngle", "dish", "axis", "toeLength", "pasternLineFromToe"] as const;
const SIDE_OFF = ["heelAngle", "hairlineAngle", "heelLength", "bearingLength"] as const;
const limitOf = (name: string, angle: number, mm: number) => (/Angle|dish|axis|Tilt/.test(name) ? angle : mm);
const truthOfSide = (foot: FootParameters) => {
  const found = readLateral(sideLandmarks(foot, "lateral") as unknown as LateralPoints);
  if (!found.ok) throw new Error("no truth");
  return found.value;
};

describe("200 simulated photographs with exact marks", () => {
  test("marks in the card's plane read within 0.1 degree and 0.3 mm at any slant up to 30 degrees", () => {
    const random = seededRandom(71);
    for (let run = 0; run < 200; run++) {
      const foot = anyFoot(random);
      const scene = sceneOf(foot, "side", anyDepths(random, "side"));
      const picture = truthInPicture(scene, aimAt(scene, anyShot(random, 30 * random())), run % 2 === 0);
      const found = readSidePhoto(picture, 0);
      if (!found.ok || !found.value.reading) throw new Error("no reading");
      const truth = truthOfSide(foot);
      for (const name of SIDE_FLAT)
        expect(Math.abs(found.value.reading[name] - truth[name])).toBeLessThan(limitOf(name, 0.1, 0.3));
      const sole = sceneOf(foot, "sole", anyDepths(random, "sole"));
      const flat = truePhoto(truthInPicture(sole, aimAt(sole, anyShot(random, 30 * random())), false), 1);
      if (!flat.ok) throw new Error("no sole");
      const apart = (a: string, b: string) =>
        distance(flat.value.marks[a]?.mm as Vector, flat.value.marks[b]?.mm as Vector);
      const marks = soleLandmarks(foot);
      expect(
        Math.abs(apart("wideMedial", "wideLateral") - distance(marks.wideMedial, marks.wideLateral)),
      ).toBeLessThan(0.3);
      expect(Math.abs(apart("toe", "heelLateral") - distance(marks.toe, marks.heelLateral))).toBeLessThan(
        0.3,
      );
    }
  });

  test("marks off the plane read within 1 degree and 2 mm up to 10 degrees of slant", () => {
    const random = seededRandom(72);
    for (let run = 0; run < 200; run++) {
      const foot = anyFoot(random);
      const slant = 10 * random();
      const scene = sceneOf(foot, "side", anyDepths(random, "side"));
      const found = readSidePhoto(truthInPicture(scene, aimAt(scene, anyShot(random, slant)), true), 0);
      if (!found.ok || !found.value.reading) throw new Error("no reading");
      const truth = truthOfSide(foot);
      for (const name of SIDE_OFF)
        expect(Math.abs(found.value.reading[name] - truth[name])).toBeLessThan(limitOf(name, 1, 2));
      const sole = sceneOf(foot, "sole", anyDepths(random, "sole"));
      const read = readSolePhoto(
        truthInPicture(sole, aimAt(sole, anyShot(random, slant)), true),
        foot.limb,
        0,
      );
      if (!read.ok) throw new Error("no sole");
      for (const [mark, point] of Object.entries(sole.marks)) {
        const step = minus3(point, sole.card[0]);
        const truly: Vector = [dot3(step, sole.plane.right), dot3(step, sole.plane.down)];
        expect(distance(read.value.photo.marks[mark]?.mm as Vector, truly)).toBeLessThan(2);
      }
      const survey = surveyNumbers(read.value.survey);
      const real = surveyNumbers(surveySole(solarOf(foot), foot.limb));
      for (const [name, value] of Object.entries(real))
        expect(Math.abs((survey[name as SurveyNumber] ?? NaN) - (value ?? NaN))).toBeLessThan(2);
    }
  });

  test("marks off the plane lie inside the stated band in at least 90 % of cases up to 20 degrees", () => {
    const random = seededRandom(73);
    let [inside, all] = [0, 0];
    const count = (found: number | undefined, truth: number | undefined, band: number | undefined) => {
      if (found === undefined || truth === undefined || band === undefined) throw new Error("missing");
      all += 1;
      if (Math.abs(found - truth) <= band + 1e-6) inside += 1;
    };
    for (let run = 0; run < 200; run++) {
      const foot = anyFoot(random);
      const slant = 20 * random();
      const focalKnown = run % 4 !== 0;
      const scene = sceneOf(foot, "side", anyDepths(random, "side"));
      const side = readSidePhoto(truthInPicture(scene, aimAt(scene, anyShot(random, slant)), focalKnown), 0);
      if (!side.ok || !side.value.reading) throw new Error("no reading");
      const truth = truthOfSide(foot);
      for (const name of SIDE_OFF) count(side.value.reading[name], truth[name], side.value.bands[name]);
      const soleScene = sceneOf(foot, "sole", anyDepths(random, "sole"));
      const sole = readSolePhoto(
        truthInPicture(soleScene, aimAt(soleScene, anyShot(random, slant)), focalKnown),
        foot.limb,
        0,
      );
      const soleTruth = surveySole(solarOf(foot), foot.limb);
      if (!sole.ok) throw new Error("no sole");
      const [read, real] = [surveyNumbers(sole.value.survey), surveyNumbers(soleTruth)];
      for (const name of [
        "sulcus",
        "cor",
        "front",
        "support",
        "heelForwardMedial",
        "barBendLateral",
      ] as const)
        count(read[name], real[name], sole.value.bands[name]);
      const rearScene = sceneOf(foot, "rear", anyDepths(random, "rear"));
      const rear = readRearPhoto(
        truthInPicture(rearScene, aimAt(rearScene, anyShot(random, slant)), focalKnown),
        0,
      );
      const rearTruth = readRear(rearLandmarks(foot));
      if (!rear.ok || !rear.value.reading || !rearTruth.ok) throw new Error("no rear");
      count(rear.value.reading.hairlineTilt, rearTruth.value.hairlineTilt, rear.value.bands["hairlineTilt"]);
    }
    expect(inside / all).toBeGreaterThanOrEqual(0.9);
  });

  test("with 1 mm of hand noise the stated spread is the spread that is found", () => {
    const random = seededRandom(74);
    const foot = anyFoot(random);
    const scene = sceneOf(foot, "side");
    const picture = truthInPicture(scene, aimAt(scene, anyShot(random, 5)), true);
    const exact = readSidePhoto(picture, 1);
    if (!exact.ok || !exact.value.reading) throw new Error("no reading");
    const pxPerMm =
      distance(picture.points["toe"] as Vector, picture.points["groundA"] as Vector) /
      distance(sideLandmarks(foot, "lateral").toe, [scene.marks["groundA"]?.[1] ?? 0, 0]);
    const draws = Array.from({ length: 400 }, () => {
      const points = Object.fromEntries(
        Object.entries(picture.points).map(([mark, [x, y] = [0, 0]]) => [
          mark,
          [normalDraw(random, x, pxPerMm), normalDraw(random, y, pxPerMm)] as const,
        ]),
      );
      const read = readSidePhoto({ ...picture, points }, 0);
      return read.ok ? (read.value.reading?.dorsalAngle ?? NaN) : NaN;
    });
    const mean = draws.reduce((sum, one) => sum + one, 0) / draws.length;
    const sd = Math.sqrt(draws.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (draws.length - 1));
    expect((1.96 * sd) / (exact.value.bands["dorsalAngle"] ?? 0)).toBeGreaterThan(0.85);
    expect((1.96 * sd) / (exact.value.bands["dorsalAngle"] ?? 0)).toBeLessThan(1.15);
  });
});

test("a two-point scale reads a square picture, and is marked weak", () => {
  const foot = ordinaryFoot("RF", { kind: "horse", massKg: 500 });
  const scene = sceneOf(foot, "side");
  const picture = truthInPicture(scene, aimAt(scene, anyShot(seededRandom(5), 0)), true);
  if (picture.scale.kind !== "card") throw new Error("no card");
  const [a, b] = picture.scale.corners;
  const found = readSidePhoto({ ...picture, scale: { kind: "two-point", a, b, mm: 80 } }, 0);
  if (!found.ok || !found.value.reading) throw new Error("no reading");
  expect(found.value.photo.word).toBe("weak");
  expect(found.value.reading.dorsalAngle).toBeCloseTo(foot.dorsalAngleDeg, 1);
  expect(found.value.bands["toeLength"]).toBeGreaterThan(1);
});

test("a picture of a foot with its heel marked ahead of its toe still gives its width, and names the heel", () => {
  const foot = ordinaryFoot("LH", { kind: "horse", massKg: 500 });
  const scene = sceneOf(foot, "sole");
  const picture = truthInPicture(scene, aimAt(scene, anyShot(seededRandom(6), 3)), true);
  const toe = picture.points["toe"] as Vector;
  const found = readSolePhoto(
    { ...picture, points: { ...picture.points, heelLateral: [toe[0] + 60, toe[1] - 300] } },
    "LH",
    0,
  );
  if (!found.ok) throw new Error("refused");
  expect(found.value.issues[0]?.path).toBe("points.heelLateral");
  expect(found.value.survey.width).toBeCloseTo(foot.widthMm, 1);
  expect(found.value.survey.support).toBeUndefined();
});
