import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  homographyFrom,
  inverseHomography,
  jacobianAt,
  mapPoint,
  singularValues,
  type Homography,
} from "./homography";
import { distance, type Vector } from "./vector";

const CORNERS: readonly Vector[] = [
  [0, 0],
  [80, 0],
  [80, 80],
  [0, 80],
];
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** A camera's map: turned, scaled, moved, with some perspective. */
const anyMap: fc.Arbitrary<Homography> = fc
  .tuple(
    between(-3, 3),
    between(2, 20),
    between(-500, 500),
    between(-500, 500),
    between(-0.002, 0.002),
    between(-0.002, 0.002),
  )
  .map(([turn, scale, dx, dy, px, py]): Homography => {
    const [cos, sin] = [Math.cos(turn) * scale, Math.sin(turn) * scale];
    return [cos, -sin, dx, sin, cos, dy, px, py, 1];
  });
const pairsOf = (map: Homography, points: readonly Vector[]) =>
  points.map((to) => ({ from: mapPoint(map, to), to }));
const found = (result: ReturnType<typeof homographyFrom>): Homography => {
  if (!result.ok) throw new Error(result.issues[0]?.message);
  return result.value;
};

describe("homographyFrom", () => {
  test("four corners fix the map: it takes each to its own place, and every other point back (seeded property)", () => {
    fc.assert(
      fc.property(anyMap, between(-100, 180), between(-100, 180), (map, x, y) => {
        const back = found(homographyFrom(pairsOf(map, CORNERS)));
        expect(back[8]).toBe(1);
        for (const corner of CORNERS)
          expect(distance(mapPoint(back, mapPoint(map, corner)), corner)).toBeLessThan(1e-6);
        expect(distance(mapPoint(back, mapPoint(map, [x, y])), [x, y])).toBeLessThan(1e-5);
      }),
      { seed: 51 },
    );
  });

  test("more than four are a least squares: noise on nine points is evened out", () => {
    const map: Homography = [5, -1, 200, 1, 5, 100, 0.0005, -0.0003, 1];
    const grid = [0, 40, 80].flatMap((x) => [0, 40, 80].map((y): Vector => [x, y]));
    const noisy = pairsOf(map, grid).map(({ from, to }, index) => ({
      from: [from[0] + 0.5 * (index % 2 === 0 ? 1 : -1), from[1]] as Vector,
      to,
    }));
    const back = found(homographyFrom(noisy));
    for (const { from, to } of pairsOf(map, grid))
      expect(distance(mapPoint(back, from), to)).toBeLessThan(0.12);
  });

  test("three pairs are too few, points in line fix nothing", () => {
    expect(homographyFrom(pairsOf([1, 0, 0, 0, 1, 0, 0, 0, 1], CORNERS.slice(0, 3)))).toMatchObject({
      ok: false,
      issues: [{ code: "too-few" }],
    });
    const line: Vector[] = [
      [0, 0],
      [10, 10],
      [20, 20],
      [30, 30],
    ];
    expect(homographyFrom(line.map((from, index) => ({ from, to: CORNERS[index] as Vector }))).ok).toBe(
      false,
    );
  });
});

describe("inverse, Jacobian, singular values", () => {
  test("the inverse undoes the map (seeded property)", () => {
    fc.assert(
      fc.property(anyMap, between(-80, 160), between(-80, 160), (map, x, y) => {
        expect(distance(mapPoint(inverseHomography(map), mapPoint(map, [x, y])), [x, y])).toBeLessThan(1e-6);
      }),
      { seed: 52 },
    );
  });

  test("the Jacobian is what small steps do", () => {
    const map: Homography = [5, -1, 200, 1, 4, 100, 0.001, -0.0005, 1];
    const [[ux, uy], [vx, vy]] = jacobianAt(map, [30, 20]);
    const step = 1e-5;
    const [a, b, c] = [
      mapPoint(map, [30, 20]),
      mapPoint(map, [30 + step, 20]),
      mapPoint(map, [30, 20 + step]),
    ];
    expect(ux).toBeCloseTo((b[0] - a[0]) / step, 3);
    expect(vx).toBeCloseTo((b[1] - a[1]) / step, 3);
    expect(uy).toBeCloseTo((c[0] - a[0]) / step, 3);
    expect(vy).toBeCloseTo((c[1] - a[1]) / step, 3);
  });

  test("singular values of a stretch by 3 and 2, whatever the turn", () => {
    const [cos, sin] = [Math.cos(0.7), Math.sin(0.7)];
    const [large, small] = singularValues([
      [3 * cos, -2 * sin],
      [3 * sin, 2 * cos],
    ]);
    expect(large).toBeCloseTo(3, 12);
    expect(small).toBeCloseTo(2, 12);
    expect(
      singularValues([
        [1, 2],
        [2, 4],
      ])[1],
    ).toBeCloseTo(0, 9);
  });

  test("a point on the horizon comes back far away, never as NaN", () => {
    const [x, y] = mapPoint([1, 0, 0, 0, 1, 0, 1, 0, 1], [-1, 5]);
    expect([Number.isNaN(x), Number.isNaN(y)]).toEqual([false, false]);
  });
});
