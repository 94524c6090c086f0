import { describe, expect, test } from "@jest/globals";
import { turned, type Vector } from "../geometry/vector";
import { radians } from "../math/angle";
import { readLateralFilm, type FilmPoints } from "./lateralFilm";

/**
 * A foot by hand in millimetres, x towards the toe, y up: wall and bone face at 50 degrees, lower border at 5 degrees, its
 * tip 40 mm ahead of the wing and 30 mm above the ground, the joint a circle of 20 mm about (55, 70).
 */
const slopeUp = (deg: number, size: number): Vector => [
  -size * Math.cos(radians(deg)),
  size * Math.sin(radians(deg)),
];
const add = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1]];
const tip: Vector = [90, 30];
const inward: Vector = [-Math.sin(radians(50)) * 16, -Math.cos(radians(50)) * 16];
const wallAt = (point: Vector): Vector => [point[0] - inward[0], point[1] - inward[1]];
const foot = {
  groundA: [0, 0],
  groundB: [120, 0],
  tip,
  wing: add(tip, slopeUp(5, 50)),
  soleTip: [90, 14],
  soleWing: [40, 16],
  faceHigh: add(tip, slopeUp(50, 45)),
  wallLow: wallAt(tip),
  wallHigh: wallAt(add(tip, slopeUp(50, 45))),
  extensor: [62, 68],
  hairline: [60, 78],
  breakover: [112, 0],
  heel: [4, 0],
  joint: [200, 235, 270, 305, 340].map((deg): Vector => [
    55 + 20 * Math.cos(radians(deg)),
    70 + 20 * Math.sin(radians(deg)),
  ]),
  pasternFaceLow: [50, 95],
  pasternFaceHigh: add([50, 95], slopeUp(52, 40)),
} as const;

/** The same foot as a picture: so many pixels a millimetre, turned, and facing right or left. */
const picture = (pxPerMm = 4, turn = 0, facing: 1 | -1 = 1): FilmPoints => {
  const at = ([x, y]: Vector): Vector => {
    const [px, py] = turned([facing * x * pxPerMm, -y * pxPerMm], radians(turn));
    return [px + 600, py + 900];
  };
  return Object.fromEntries(
    Object.entries(foot).map(([name, point]) => [
      name,
      name === "joint" ? (point as readonly Vector[]).map(at) : at(point as Vector),
    ]),
  ) as unknown as FilmPoints;
};

describe("a lateral radiograph", () => {
  const read = (points: FilmPoints, scale = 0.25) => {
    const found = readLateralFilm(points, scale, 120);
    if (!found.ok) throw new Error(found.issues[0]?.message);
    return found.value;
  };

  test("by hand arithmetic: angles, depths, distances, centre of rotation, levers", () => {
    const film = read(picture());
    expect(film.palmarAngle).toBeCloseTo(5, 9);
    expect(film.soleDepth?.tip).toBeCloseTo(16, 9);
    expect(film.tipToGround).toBeCloseTo(30, 9);
    expect(film.dorsal.high).toBeCloseTo(16, 9);
    expect(film.dorsal.low).toBeCloseTo(16, 9);
    expect(film.capsuleRotation).toBeCloseTo(0, 9);
    expect(film.boneRotation).toBeCloseTo(-2, 9);
    expect(film.coronetExtensor).toBeCloseTo(10, 9);
    expect(film.cor.radius).toBeCloseTo(20, 6);
    expect(film.cor.residual).toBeLessThan(1e-6);
    expect(film.front).toBeCloseTo(57, 6);
    expect(film.support).toBeCloseTo(51, 6);
    expect(film.frontShare).toBeCloseTo(57 / 108, 9);
    expect(film.leverIndex).toBeCloseTo((100 * 57) / 120, 6);
  });

  test("turned, mirrored or larger, it measures the same", () => {
    const straight = read(picture());
    for (const [px, turn, facing] of [
      [4, 17, 1],
      [4, -8, -1],
      [9, 3, 1],
    ] as const) {
      const other = read(picture(px, turn, facing), 1 / px);
      for (const name of ["palmarAngle", "tipToGround", "capsuleRotation", "front", "support"] as const)
        expect(other[name]).toBeCloseTo(straight[name], 6);
      expect(other.dorsal.low).toBeCloseTo(straight.dorsal.low, 6);
    }
  });

  test("a bone that has turned away from its wall: positive, and the low distance the greater", () => {
    const points = picture();
    const rotated = { ...points, tip: [points.tip[0] - 24, points.tip[1] + 4] as Vector };
    const film = read(rotated);
    expect(film.capsuleRotation).toBeGreaterThan(4);
    expect(film.dorsal.low).toBeGreaterThan(film.dorsal.high + 2);
  });

  test("what was not marked is missing, never nothing", () => {
    const { soleTip: _a, soleWing: _b, pasternFaceLow: _c, ...rest } = picture();
    const film = read(rest);
    expect([film.soleDepth, film.boneRotation]).toEqual([undefined, undefined]);
    const found = readLateralFilm(picture(), 0.25);
    expect(found.ok && found.value.leverIndex).toBeUndefined();
  });

  test.each<[what: string, wrong: Partial<FilmPoints> & { mmPerPx?: number }, code: string, path: string]>([
    ["no scale", { mmPerPx: 0 }, "scale", "mmPerPx"],
    ["a tip behind its wing", { tip: [590, 780] as Vector }, "out-of-order", "points.tip"],
    [
      "a joint of two points",
      {
        joint: [
          [1, 1],
          [2, 2],
        ] as Vector[],
      },
      "too-few",
      "points.joint",
    ],
    [
      "a joint in line",
      {
        joint: [
          [1, 1],
          [2, 2],
          [3, 3],
        ] as Vector[],
      },
      "in-line",
      "points.joint",
    ],
    ["a ground of one point", { groundB: [600, 900] as Vector }, "coincident", "points.groundB"],
  ])("%s is said at its place", (_what, { mmPerPx = 0.25, ...wrong }, code, path) => {
    const found = readLateralFilm({ ...picture(), ...wrong }, mmPerPx);
    expect(!found.ok && found.issues[0]).toMatchObject({ code, path });
  });
});
