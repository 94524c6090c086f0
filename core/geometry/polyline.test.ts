import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  crossingsOf,
  directionAlong,
  inEqualSteps,
  interpolate,
  lengthDownTo,
  lengthsAlong,
  offsetPolyline,
  pointAlong,
  polygonArea,
  polygonCentroid,
  polylineLength,
} from "./polyline";
import { distance, turned, type Vector } from "./vector";

/** Three sides of a square, from the lower left up, across and down. */
const THREE_SIDES: Vector[] = [
  [0, 0],
  [0, 10],
  [10, 10],
  [10, 0],
];
const anyLine = fc.array(
  fc.tuple(fc.double({ min: -100, max: 100, noNaN: true }), fc.double({ min: -100, max: 100, noNaN: true })),
  { minLength: 2, maxLength: 12 },
);

describe("along a polyline", () => {
  test("lengths add up side by side", () => {
    expect(lengthsAlong(THREE_SIDES)).toEqual([0, 10, 20, 30]);
    expect(polylineLength(THREE_SIDES)).toBe(30);
    expect(polylineLength([[3, 4]])).toBe(0);
  });

  test.each([
    [0, [0, 0], [0, 1]],
    [5, [0, 5], [0, 1]],
    [15, [5, 10], [1, 0]],
    [30, [10, 0], [0, -1]],
    [99, [10, 0], [0, -1]],
    [-4, [0, 0], [0, 1]],
  ])("at %d mm it stands at %j and runs along %j; the ends are held", (s, at, towards) => {
    const found = pointAlong(THREE_SIDES, s);
    expect(distance(found.at, at as unknown as Vector)).toBeLessThan(1e-9);
    expect(distance(found.towards, towards as unknown as Vector)).toBeLessThan(1e-9);
  });

  test("about a corner the direction is that of both its sides", () => {
    const [dx, dy] = directionAlong(THREE_SIDES, 10, 3);
    expect(dx).toBeCloseTo(Math.SQRT1_2, 9);
    expect(dy).toBeCloseTo(Math.SQRT1_2, 9);
  });

  test("equal steps keep both ends and stand no further apart than the line is long by step", () => {
    fc.assert(
      fc.property(anyLine, fc.integer({ min: 2, max: 40 }), (line, count) => {
        const steps = inEqualSteps(line, count);
        expect(steps).toHaveLength(count);
        expect(distance(steps[0] as Vector, line[0] as Vector)).toBeLessThan(1e-6);
        expect(distance(steps.at(-1) as Vector, line.at(-1) as Vector)).toBeLessThan(1e-6);
        const step = polylineLength(line) / (count - 1);
        steps.slice(1).forEach((point, index) => {
          expect(distance(point, steps[index] as Vector)).toBeLessThanOrEqual(step + 1e-6);
        });
      }),
    );
  });

  test("down to a height: to the middle of the last side, whole where it never comes so low", () => {
    expect(
      lengthDownTo(
        [
          [0, 10],
          [10, 10],
          [10, 0],
        ] as Vector[],
        4,
      ),
    ).toBe(16);
    expect(
      lengthDownTo(
        [
          [0, 10],
          [10, 5],
        ] as Vector[],
        -3,
      ),
    ).toBeCloseTo(Math.hypot(10, 5), 9);
  });
});

describe("a straight line across", () => {
  test("crosses the three sides where it should, in the order of the points", () => {
    const found = crossingsOf(THREE_SIDES, [5, 4], [1, 0]);
    expect(found.map(({ at, s }) => [...at, s])).toEqual([
      [0, 4, 4],
      [10, 4, 26],
    ]);
  });

  test("beside it there is nothing, and turning everything turns the crossing", () => {
    expect(crossingsOf(THREE_SIDES, [5, 40], [1, 0])).toEqual([]);
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), (rad) => {
        const found = crossingsOf(
          THREE_SIDES.map((point) => turned(point, rad)),
          turned([5, 4], rad),
          turned([1, 0], rad),
        );
        expect(found.map(({ s }) => s)).toHaveLength(2);
        expect(found[0]?.s).toBeCloseTo(4, 6);
        expect(found[1]?.s).toBeCloseTo(26, 6);
      }),
    );
  });
});

describe("areas, offsets and values between", () => {
  test("a square of 10 has 100, the other way round -100, and its middle in the middle", () => {
    expect(polygonArea([...THREE_SIDES].reverse())).toBe(100);
    expect(polygonArea(THREE_SIDES)).toBe(-100);
    expect(
      polygonArea([
        [1, 1],
        [4, 4],
      ] as Vector[]),
    ).toBe(0);
    expect(polygonCentroid(THREE_SIDES)).toEqual([5, 5]);
  });

  test("an offset moves a straight line to its left by as much, and back again", () => {
    const line: Vector[] = [
      [0, 0],
      [5, 0],
      [10, 0],
    ];
    const moved = offsetPolyline(line, () => 2);
    expect(moved.map(([, y]) => y)).toEqual([2, 2, 2]);
    expect(offsetPolyline(moved, () => -2).map(([, y]) => y)).toEqual([0, 0, 0]);
  });

  test("between knots the value lies on the straight line, outside it is held", () => {
    const knots = [
      [0, 1],
      [10, 3],
    ] as const;
    expect([-5, 0, 5, 10, 20].map((at) => interpolate(knots, at))).toEqual([1, 1, 2, 3, 3]);
    expect(() => interpolate([], 1)).toThrow("at least one knot");
  });
});
