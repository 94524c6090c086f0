import { describe, expect, test } from "@jest/globals";
import type { SolarPoint } from "../geometry/vector";
import { distancesTo, gridOver, placesWithin, type Grid } from "./raster";

const BOX = { half: 40, back: -30, front: 50 };

/** A square about a middle, once round. */
const square = (x: number, y: number, half: number): SolarPoint[] => [
  [x - half, y - half],
  [x + half, y - half],
  [x + half, y + half],
  [x - half, y + half],
];
const count = (places: Uint8Array): number => places.reduce((sum, one) => sum + one, 0);
const middleOf = ({ columns, left, back, stepMm }: Grid, place: number): SolarPoint => [
  left + (place % columns) * stepMm,
  back + Math.floor(place / columns) * stepMm,
];

describe("gridOver", () => {
  test.each([0.5, 1, 1.7, 3])(
    "at %d mm its places stand in pairs, left and right of the midline",
    (stepMm) => {
      const grid = gridOver(BOX, stepMm);
      const right = grid.left + (grid.columns - 1) * stepMm;
      expect(right).toBeCloseTo(-grid.left, 9);
      expect(grid.columns % 2).toBe(0);
    },
  );

  test.each([0.5, 1, 1.7, 3])(
    "at %d mm no part of the box is further from a place than half a step",
    (stepMm) => {
      const grid = gridOver(BOX, stepMm);
      const half = stepMm / 2 + 1e-9;
      expect(grid.left - half).toBeLessThanOrEqual(-BOX.half);
      expect(grid.back - half).toBeLessThanOrEqual(BOX.back);
      expect(grid.back + (grid.rows - 1) * stepMm + half).toBeGreaterThanOrEqual(BOX.front);
    },
  );
});

describe("placesWithin", () => {
  const grid = gridOver(BOX, 0.5);

  test("a square holds as many places as its area asks for", () => {
    expect(count(placesWithin(grid, [square(3, 7, 12)]))).toBe((24 / 0.5) ** 2);
  });

  test("a place is within where its middle is", () => {
    const within = placesWithin(grid, [square(3, 7, 12.1)]);
    const wrong = within.filter((one, place) => {
      const [x, y] = middleOf(grid, place);
      return one !== (Math.abs(x - 3) < 12.1 && Math.abs(y - 7) < 12.1 ? 1 : 0);
    });
    expect(wrong).toHaveLength(0);
  });

  test("a ring within a ring is a hole, whichever way round either is told", () => {
    const [outer, inner] = [square(0, 0, 20), square(0, 0, 8)];
    const web = count(placesWithin(grid, [outer, inner]));
    expect(web).toBe((40 / 0.5) ** 2 - (16 / 0.5) ** 2);
    expect(count(placesWithin(grid, [outer, [...inner].reverse()]))).toBe(web);
  });

  test("a mirrored plan fills the mirrored places", () => {
    const shape: SolarPoint[] = [
      [-18, -20],
      [25, -6],
      [9, 31],
      [-3, 12],
    ];
    const mirrored = shape.map(([x, y]): SolarPoint => [-x, y]);
    const [one, other] = [placesWithin(grid, [shape]), placesWithin(grid, [mirrored])];
    const wrong = one.filter((is, place) => {
      const row = Math.floor(place / grid.columns);
      const across = grid.columns - 1 - (place % grid.columns);
      return other[row * grid.columns + across] !== is;
    });
    expect(wrong).toHaveLength(0);
  });

  test("what lies past the grid is left out, and nothing wraps round to the other side", () => {
    const within = placesWithin(grid, [square(40, 0, 10)]);
    expect(within.filter((is, place) => is && middleOf(grid, place)[0] < 29)).toHaveLength(0);
    expect(count(within)).toBe((10 / 0.5) * (20 / 0.5));
  });

  test("no ring, nothing within", () => {
    expect(count(placesWithin(grid, []))).toBe(0);
  });
});

describe("distancesTo", () => {
  const grid = gridOver(BOX, 1);
  const bent: SolarPoint[] = [
    [-20, -10],
    [5, 15],
    [5, 40],
  ];
  const to = ([x, y]: SolarPoint, [ax, ay]: SolarPoint, [bx, by]: SolarPoint): number => {
    const part = ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / ((bx - ax) ** 2 + (by - ay) ** 2);
    const on = Math.max(0, Math.min(1, part));
    return Math.hypot(x - ax - on * (bx - ax), y - ay - on * (by - ay));
  };

  test("up to its reach each place knows how far the nearest piece of the line is", () => {
    const away = distancesTo(grid, bent, 12);
    const wrong = away.filter((mm, place) => {
      const at = middleOf(grid, place);
      const truth = Math.min(to(at, bent[0]!, bent[1]!), to(at, bent[1]!, bent[2]!));
      return truth <= 12 ? Math.abs(mm - truth) > 1e-4 : mm <= 12;
    });
    expect(wrong).toHaveLength(0);
  });

  test("an open line is not closed: behind its ends it is as far as the end is", () => {
    const away = distancesTo(grid, [bent[1]!, bent[2]!], 30);
    const below = away.findIndex((_, place) => {
      const [x, y] = middleOf(grid, place);
      return x === 5.5 && y === -4.5;
    });
    expect(away[below]).toBeCloseTo(Math.hypot(0.5, 19.5), 4);
  });

  test("a point told twice is a line without length, and harms nothing", () => {
    const away = distancesTo(grid, [bent[1]!, bent[1]!], 5);
    expect(away.some(Number.isNaN)).toBe(false);
    expect(Math.min(...away)).toBeCloseTo(Math.hypot(0.5, 0.5), 4);
  });
});
