import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { LEAST_PITCH_MM, nearestPlaces, soundStretches, TRIED_EVERY_MM } from "./nailMoves";

type Stretch = [number, number];

/** Wall of a side that takes nails, mm from the toe, with up to three marked places in it. */
const walls = fc.record({
  to: fc.double({ min: 30, max: 110, noNaN: true }),
  marked: fc.array(
    fc
      .tuple(fc.double({ min: 0, max: 110, noNaN: true }), fc.double({ min: 0, max: 25, noNaN: true }))
      .map(([from, long]): Stretch => [from, from + long]),
    { maxLength: 3 },
  ),
  wanted: fc
    .array(fc.double({ min: 0, max: 110, noNaN: true }), { minLength: 1, maxLength: 4 })
    .map((all) => all.sort((a, b) => a - b)),
});

describe("soundStretches", () => {
  test("a side without a mark is one stretch", () => {
    expect(soundStretches(10, 80, [])).toEqual([[10, 80]]);
  });

  test("a crack takes its own width and room for half a nail on both sides", () => {
    expect(soundStretches(10, 80, [[40, 44]])).toEqual([
      [10, 38],
      [46, 80],
    ]);
  });

  test("what is marked at an end shortens it; what is marked all over leaves nothing", () => {
    expect(soundStretches(10, 80, [[0, 25]])).toEqual([[27, 80]]);
    expect(soundStretches(10, 80, [[70, 95]])).toEqual([[10, 68]]);
    expect(soundStretches(10, 80, [[0, 100]])).toEqual([]);
  });

  test("a mark just outside keeps its room all the same, and so does one just beside another", () => {
    expect(soundStretches(10, 80, [[5, 9]])).toEqual([[11, 80]]);
    expect(soundStretches(10, 80, [[81, 90]])).toEqual([[10, 79]]);
    const both: Stretch[] = [
      [40, 44],
      [44.5, 45],
    ];
    expect(soundStretches(10, 80, both)).toEqual([
      [10, 38],
      [47, 80],
    ]);
    expect(soundStretches(10, 80, both.reverse())).toEqual([
      [10, 38],
      [47, 80],
    ]);
  });

  test("a mark elsewhere changes nothing", () => {
    expect(soundStretches(10, 80, [[90, 95]])).toEqual([[10, 80]]);
  });

  test("a stretch that ends before it begins takes no nail", () => {
    expect(soundStretches(80, 10, [])).toEqual([]);
  });

  test("no sound place lies in a mark or nearer to it than half a nail, whatever the order of the marks (property)", () => {
    fc.assert(
      fc.property(walls, ({ to, marked }) => {
        const free = soundStretches(5, to, marked);
        for (const [from, end] of free)
          for (const [a, b] of marked) expect(end <= a - 2 + 1e-9 || from >= b + 2 - 1e-9).toBe(true);
        expect(soundStretches(5, to, [...marked].reverse())).toEqual(free);
      }),
    );
  });
});

describe("nearestPlaces", () => {
  test("where the wall is sound a nail stays where it is wanted", () => {
    expect(nearestPlaces([20, 40.5, 61], [[10, 80]])).toEqual([20, 40.5, 61]);
  });

  test("a nail over a mark goes to the nearer side of it", () => {
    expect(
      nearestPlaces(
        [40],
        [
          [10, 38],
          [46, 80],
        ],
      ),
    ).toEqual([38]);
    expect(
      nearestPlaces(
        [44],
        [
          [10, 38],
          [46, 80],
        ],
      ),
    ).toEqual([46]);
  });

  test("one that is moved pushes its neighbour rather than standing in the same split", () => {
    const [first, second] = nearestPlaces(
      [30, 42],
      [
        [10, 27],
        [36, 80],
      ],
    );
    expect([first, second]).toEqual([27, 42]);
    expect(nearestPlaces([30, 36], [[10, 80]]).reduce((a, b) => b - a)).toBe(LEAST_PITCH_MM);
  });

  test("nails for which there is no room are left out, from the heel end", () => {
    expect(nearestPlaces([20, 34, 48], [[18, 36]])).toEqual([20, 34]);
    expect(nearestPlaces([20], [])).toEqual([]);
  });

  test("every nail stands in sound wall, in order, a nail's room from the next (property)", () => {
    fc.assert(
      fc.property(walls, ({ to, marked, wanted }) => {
        const free = soundStretches(5, to, marked);
        const placed = nearestPlaces(wanted, free);
        expect(placed.length).toBeLessThanOrEqual(wanted.length);
        placed.forEach((s, at) => {
          expect(free.some(([from, end]) => s >= from - 1e-9 && s <= end + 1e-9)).toBe(true);
          if (at > 0) expect(s - (placed[at - 1] ?? 0)).toBeGreaterThanOrEqual(LEAST_PITCH_MM - 1e-9);
        });
      }),
    );
  });

  test("no other two places are moved less in all, to the millimetre in which they are tried (property)", () => {
    fc.assert(
      fc.property(walls, ({ to, marked, wanted }) => {
        const two = wanted.slice(0, 2);
        const free = soundStretches(5, to, marked);
        const placed = nearestPlaces(two, free);
        fc.pre(two.length === 2 && placed.length === 2);
        const cost = (a: number, b: number) => Math.abs(a - (two[0] ?? 0)) + Math.abs(b - (two[1] ?? 0));
        const fine = free.flatMap(([from, end]) =>
          Array.from({ length: Math.floor((end - from) / 0.7) + 1 }, (_, step) => from + 0.7 * step),
        );
        const best = Math.min(
          ...fine.flatMap((a) => fine.map((b) => (b - a >= LEAST_PITCH_MM ? cost(a, b) : Infinity))),
        );
        expect(cost(placed[0] ?? 0, placed[1] ?? 0)).toBeLessThanOrEqual(best + 2 * TRIED_EVERY_MM);
      }),
      { numRuns: 25 },
    );
  });
});
