import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { distance, type SolarPoint } from "../geometry/vector";
import {
  halfWidthAt,
  mirrored,
  outlineThrough,
  roundTheToe,
  sidesOf,
  widestOf,
  type OutlineKnots,
} from "./outline";
import { knotsOf } from "./shoe.fixture";

/** Any foot that a survey would let through: toe ahead of the quarters, widest behind them, heels behind that. */
const anyKnots = fc
  .record({
    toe: fc.double({ min: 90, max: 170, noNaN: true }),
    quarterPart: fc.double({ min: 0.45, max: 0.8, noNaN: true }),
    quarterOut: fc.double({ min: 0.6, max: 0.97, noNaN: true }),
    wide: fc.double({ min: 40, max: 85, noNaN: true }),
    wideY: fc.double({ min: 40, max: 70, noNaN: true }),
    heelOut: fc.double({ min: 0.45, max: 0.95, noNaN: true }),
    heelY: fc.double({ min: -5, max: 25, noNaN: true }),
    lateral: fc.double({ min: 0.9, max: 1.15, noNaN: true }),
  })
  .map(({ toe, quarterPart, quarterOut, wide, wideY, heelOut, heelY, lateral }): OutlineKnots => {
    const both = (x: number, y: number) => ({
      medial: [-x, y] as SolarPoint,
      lateral: [x * lateral, y] as SolarPoint,
    });
    return {
      toe: [0, toe],
      toeQuarter: both(wide * quarterOut, wideY + quarterPart * (toe - wideY)),
      wide: both(wide, wideY),
      heel: both(wide * heelOut, heelY),
    };
  });

describe("outlineThrough", () => {
  test("passes through exactly the points that were measured, any foot", () => {
    fc.assert(
      fc.property(anyKnots, (knots) => {
        const line = outlineThrough(knots);
        for (const side of ["medial", "lateral"] as const)
          for (const knot of [knots.toe, knots.toeQuarter[side], knots.wide[side], knots.heel[side]])
            expect(Math.min(...line[side].map((point) => distance(point, knot)))).toBeLessThan(1e-9);
      }),
    );
  });

  test("is nowhere wider than the widest part, and never comes back towards the toe", () => {
    fc.assert(
      fc.property(anyKnots, (knots) => {
        const line = outlineThrough(knots);
        for (const side of ["medial", "lateral"] as const) {
          const most = Math.abs(knots.wide[side][0]);
          expect(Math.max(...line[side].map(([x]) => Math.abs(x)))).toBeLessThanOrEqual(most + 1e-9);
          const ys = line[side].map(([, y]) => y);
          expect(ys.every((y, index) => index === 0 || y <= (ys[index - 1] ?? y) + 1e-9)).toBe(true);
        }
      }),
    );
  });

  test("mirrored points give the mirrored outline", () => {
    fc.assert(
      fc.property(anyKnots, (knots) => {
        const turn = ([x, y]: SolarPoint): SolarPoint => [-x, y];
        const swap = (pair: Record<"medial" | "lateral", SolarPoint>) => ({
          medial: turn(pair.lateral),
          lateral: turn(pair.medial),
        });
        const other = outlineThrough({
          toe: turn(knots.toe),
          toeQuarter: swap(knots.toeQuarter),
          wide: swap(knots.wide),
          heel: swap(knots.heel),
        });
        const turned = mirrored(outlineThrough(knots));
        for (const side of ["medial", "lateral"] as const)
          other[side].forEach((point, index) =>
            expect(distance(point, turned[side][index] ?? [Number.NaN, 0])).toBeLessThan(1e-9),
          );
      }),
    );
  });

  test("a drawn line split at its toe and put together again keeps its ends and its widest part", () => {
    const line = outlineThrough(knotsOf());
    const again = sidesOf(roundTheToe(line));
    expect(distance(again.medial.at(-1) ?? [0, 0], line.medial.at(-1) ?? [9, 9])).toBeLessThan(1e-9);
    expect(Math.abs(widestOf(again).lateral[0] - widestOf(line).lateral[0])).toBeLessThan(0.3);
  });

  test("half the width at a height is that of the line, and its end's behind the end", () => {
    const line: SolarPoint[] = [
      [0, 100],
      [40, 50],
      [30, 0],
    ];
    expect(halfWidthAt(line, 75)).toBe(20);
    expect(halfWidthAt(line, 25)).toBe(35);
    expect(halfWidthAt(line, -20)).toBe(30);
  });
});

describe("the middle of the toe of a drawn outline", () => {
  test("is where it crosses the midline, not the point that happens to lie furthest forward", () => {
    const skew: SolarPoint[] = [
      [-60, 0],
      [-64, 60],
      [-40, 110],
      [-6, 121],
      [6, 120],
      [40, 108],
      [64, 60],
      [60, 0],
    ];
    const { medial, lateral } = sidesOf(skew);
    expect(medial[0]).toEqual([0, 120.5]);
    expect(lateral[0]).toEqual([0, 120.5]);
    expect([medial.at(-1), lateral.at(-1)]).toEqual([
      [-60, 0],
      [60, 0],
    ]);
  });

  test("an outline that never reaches the midline is split at its furthest point", () => {
    const aside: SolarPoint[] = [
      [10, 0],
      [12, 80],
      [30, 100],
      [50, 0],
    ];
    expect(sidesOf(aside).lateral[0]).toEqual([30, 100]);
  });
});
