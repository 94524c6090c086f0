import { describe, expect, test } from "@jest/globals";
import { seededRandom } from "../math/random";
import type { ColourPicture } from "./colour";
import { normalsOf, snapEdge, type EdgeGuess } from "./snap";

const SIZE = 240;
/** A picture whose shade is asked at every pixel, with grain. */
function picture(shade: (x: number, y: number) => number, grain = 4): ColourPicture {
  const random = seededRandom(5);
  const rgba = new Uint8ClampedArray(4 * SIZE * SIZE);
  for (let at = 0; at < SIZE * SIZE; at++) {
    const value = shade(at % SIZE, Math.floor(at / SIZE)) + grain * (random() - 0.5);
    rgba.set([value, value, value, 255], 4 * at);
  }
  return { width: SIZE, height: SIZE, rgba };
}
/** Places along a vertical line at x = 120, the inner side left of it. */
const guess = (more: Partial<EdgeGuess> = {}): EdgeGuess => {
  const at = Array.from({ length: 12 }, (_, index): [number, number] => [120, 40 + 14 * index]);
  return {
    at,
    out: normalsOf(at, [0, 120]),
    sd: at.map(() => 12),
    inner: undefined,
    outer: undefined,
    outermost: false,
    ...more,
  };
};
const SCALE = { pxPerMm: 3 };

describe("an edge that is snapped to", () => {
  test("a step is found to half a pixel, wherever it lies within reach", () => {
    for (const x of [104, 120, 131]) {
      const { off, clear } = snapEdge(
        picture((column) => (column < x ? 90 : 160)),
        guess(),
        SCALE,
      );
      for (const one of off) expect(Math.abs(one + 120 + 0.5 - x)).toBeLessThan(1.2);
      expect(Math.min(...clear)).toBeGreaterThan(0.8);
    }
  });

  test("a shadow over a part of it does not move it: the same step in less light", () => {
    const shaded = picture((column, row) => (column < 112 ? 90 : 160) * (row > 120 ? 0.4 : 1), 2);
    for (const one of snapEdge(shaded, guess(), SCALE).off) expect(Math.abs(one + 8)).toBeLessThan(2.5);
  });

  test("in grain alone nothing is clear", () => {
    const { clear } = snapEdge(
      picture(() => 120, 30),
      guess(),
      SCALE,
    );
    expect(clear.reduce((sum, one) => sum + one, 0) / clear.length).toBeLessThan(0.35);
  });

  test("two edges as clear as one another are neither", () => {
    const two = picture((column) => (column < 108 || column > 132 ? 90 : 160));
    const alone = picture((column) => (column < 108 ? 90 : 160));
    const mean = (values: Float64Array) => values.reduce((sum, one) => sum + one, 0) / values.length;
    expect(mean(snapEdge(two, guess(), SCALE).clear)).toBeLessThan(
      0.5 * mean(snapEdge(alone, guess(), SCALE).clear),
    );
  });

  test("of two edges an outline is the outer one, and a surface is told by its look", () => {
    const two = picture((column) => (column < 112 ? 60 : column < 128 ? 110 : 190), 2);
    const outer = snapEdge(two, guess({ outermost: true }), SCALE).off;
    for (const one of outer) expect(one).toBeGreaterThan(4);
    const log = (shade: number) => Math.log(shade + 10);
    const look = (shade: number) => ({ mean: [log(shade), log(shade), log(shade)] as const, sd: 0.1 });
    const inner = snapEdge(two, guess({ inner: look(60), outer: look(110) }), SCALE).off;
    for (const one of inner) expect(one).toBeLessThan(-4);
  });

  test("normals lead away from the inner side, whichever way the line runs", () => {
    const line = [
      [0, 0],
      [10, 0],
      [20, 0],
    ] as const;
    for (const points of [line, [...line].reverse()])
      for (const [, y] of normalsOf(points, [10, 5])) expect(y).toBeCloseTo(-1, 9);
  });
});
