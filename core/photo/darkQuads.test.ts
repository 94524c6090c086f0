import { describe, expect, test } from "@jest/globals";
import { distance, type Vector } from "../geometry/vector";
import { darkQuads } from "./darkQuads";
import { areaOf } from "./corners";

const SIZE = { width: 160, height: 120 };
type Dark = (x: number, y: number) => boolean;

/** The outlines found where a picture is dark as told. */
function quadsWhere(isDark: Dark, { width, height } = SIZE) {
  const dark = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) if (isDark(x, y)) dark[y * width + x] = 1;
  return darkQuads({ width, height, values: new Float32Array(width * height) }, dark);
}

/** A square frame of dark pixels, turned about its middle. */
function frame(middle: Vector, side: number, band: number, degrees = 0): Dark {
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return (x, y) => {
    const [dx, dy] = [x - middle[0], y - middle[1]];
    const out = Math.max(Math.abs(dx * cos + dy * sin), Math.abs(dy * cos - dx * sin));
    return out <= side / 2 && out > side / 2 - band;
  };
}
const either =
  (...all: Dark[]): Dark =>
  (x, y) =>
    all.some((one) => one(x, y));
/** The corners of a square, each with the nearest that was found: the largest distance, px. */
function miss(found: readonly Vector[], middle: Vector, side: number, degrees: number): number {
  const corners = [45, 135, 225, 315].map((at): Vector => {
    const turn = ((at + degrees) * Math.PI) / 180;
    return [
      middle[0] + (side / Math.SQRT2) * Math.cos(turn),
      middle[1] + (side / Math.SQRT2) * Math.sin(turn),
    ];
  });
  return Math.max(...corners.map((corner) => Math.min(...found.map((one) => distance(one, corner)))));
}

describe("darkQuads", () => {
  test.each([0, 7, 30, 45])("a frame turned by %d degrees has its four corners", (degrees) => {
    const [quad, ...others] = quadsWhere(frame([80, 60], 60, 6, degrees));
    expect(others).toEqual([]);
    expect(miss(quad ?? [], [80, 60], 60, degrees)).toBeLessThan(2);
  });

  test("what is dark all over is no frame", () => {
    expect(quadsWhere(frame([80, 60], 60, 30))).toEqual([]);
  });

  test("a round ring is none either: its hull is far more than a square in it", () => {
    expect(
      quadsWhere((x, y) => {
        const away = Math.hypot(x - 80, y - 60);
        return away < 40 && away > 35;
      }),
    ).toEqual([]);
  });

  test("one too small to be read is left out", () => {
    expect(quadsWhere(frame([80, 60], 20, 4))).toEqual([]);
    expect(quadsWhere(frame([80, 60], 30, 4))).toHaveLength(1);
  });

  test("pieces that touch by a corner alone are one; wider apart they are two", () => {
    const whole = frame([80, 60], 60, 6);
    /** Cut above and below the middle by a slanted line of light. */
    const cut = (wide: number) =>
      quadsWhere((x, y) => {
        const across = x - (y < 60 ? y + 46 : y - 8);
        return whole(x, y) && !(across >= 0 && across < wide);
      });
    expect([cut(0).length, cut(1).length, cut(2).length]).toEqual([1, 1, 2]);
  });

  test("two frames lie apart, the larger first; specks between them change nothing", () => {
    const both = either(
      frame([40, 60], 50, 5, 10),
      frame([120, 60], 36, 4),
      (x, y) => x % 9 === 0 && y % 7 === 0,
    );
    const [large, small, ...others] = quadsWhere(both, SIZE);
    expect(others).toEqual([]);
    expect(areaOf(large!)).toBeGreaterThan(areaOf(small!));
    expect(miss(large ?? [], [40, 60], 50, 10)).toBeLessThan(4);
  });

  test("a frame that ends at the picture's edge does not go on at the other side", () => {
    const [quad] = quadsWhere(frame([30, 30], 59, 6));
    for (const [x] of quad ?? []) expect(x).toBeLessThan(62);
    expect(quad).toBeDefined();
  });

  test("nothing dark, nothing found; all dark, nothing found", () => {
    expect(quadsWhere(() => false)).toEqual([]);
    expect(quadsWhere(() => true)).toEqual([]);
  });
});
