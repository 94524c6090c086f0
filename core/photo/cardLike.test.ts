import { describe, expect, test } from "@jest/globals";
import { homographyFrom } from "../geometry/homography";
import { turned, type Vector } from "../geometry/vector";
import { radians } from "../math/angle";
import { CARD } from "./card";
import { frameLike, handOf, plumbLike } from "./cardLike";
import type { GreyPicture } from "./grey";

const { sideMm: SIDE, frameMm: FRAME, marginMm: MARGIN } = CARD;
const SIZE = 420;
const PX_PER_MM = 3.2;

/** Grey of the card at a place, mm from the frame's top left: white paper, black frame, plumb line and bob. */
function printed(u: number, v: number): number {
  const [white, black, boards] = [230, 30, 120];
  if (Math.min(u, v) < -MARGIN || Math.max(u, v) > SIDE + MARGIN) return boards;
  if (Math.min(u, v) < 0 || Math.max(u, v) > SIDE) return white;
  if (Math.min(u, v) < FRAME || Math.max(u, v) > SIDE - FRAME) return black;
  const off = Math.abs(u - SIDE / 2);
  if (off < 0.8 && v > 12 && v < SIDE - 26) return black;
  return v >= SIDE - 26 && v < SIDE - 12 && off < (5 * (SIDE - 12 - v)) / 14 ? black : white;
}

/** The same with the spot right of the plumb line. */
const spotted = (u: number, v: number): number =>
  Math.hypot(u - CARD.spot.xMm, v - CARD.spot.yMm) < CARD.spot.radiusMm ? 30 : printed(u, v);

/** A picture of something that hangs turned by so much, and the way from mm on it into the picture. */
function pictureOf(of: (u: number, v: number) => number, degrees = 0) {
  const into = ([u, v]: Vector): Vector => {
    const [x, y] = turned([u - SIDE / 2, v - SIDE / 2], radians(degrees));
    return [SIZE / 2 + x * PX_PER_MM, SIZE / 2 + y * PX_PER_MM];
  };
  const corners: Vector[] = [
    [0, 0],
    [SIDE, 0],
    [SIDE, SIDE],
    [0, SIDE],
  ];
  const map = homographyFrom(corners.map((from) => ({ from, to: into(from) })));
  if (!map.ok) throw new Error("no map");
  const picture: GreyPicture = { width: SIZE, height: SIZE, values: new Float32Array(SIZE * SIZE) };
  for (let row = 0; row < SIZE; row++)
    for (let column = 0; column < SIZE; column++) {
      const [x, y] = turned([column - SIZE / 2, row - SIZE / 2], radians(-degrees));
      picture.values[row * SIZE + column] = of(x / PX_PER_MM + SIDE / 2, y / PX_PER_MM + SIDE / 2);
    }
  return { picture, map: map.value };
}
const likenessOf = ({ picture, map }: ReturnType<typeof pictureOf>) => ({
  frame: frameLike(picture, map),
  plumb: plumbLike(picture, map),
});

describe("how much of the print is there", () => {
  test.each([0, 8, 31, 90])("a clean card turned by %d degrees is all there", (degrees) => {
    expect(likenessOf(pictureOf(printed, degrees))).toEqual({ frame: 1, plumb: 1 });
  });

  test("in a third of the light it is all there still: only what lies beside counts", () => {
    expect(likenessOf(pictureOf((u, v) => 0.33 * printed(u, v)))).toEqual({ frame: 1, plumb: 1 });
  });

  test("with a shadow across it, too", () => {
    const shaded = pictureOf((u, v) => printed(u, v) * (u + v < SIDE ? 1 : 0.45));
    expect(likenessOf(shaded).frame).toBeGreaterThan(0.95);
    expect(likenessOf(shaded).plumb).toBeGreaterThan(0.9);
  });

  test("upside down its frame is there and its mark is not: the mark tells how it hangs", () => {
    const wrongWayUp = pictureOf((u, v) => printed(SIDE - u, SIDE - v));
    expect(likenessOf(wrongWayUp)).toEqual({ frame: 1, plumb: 0 });
  });

  test("on its side it has no mark either", () => {
    expect(likenessOf(pictureOf((u, v) => printed(v, u))).plumb).toBe(0);
  });

  test("a black frame round nothing has no mark; a window’s cross is none", () => {
    const empty = (u: number, v: number) =>
      Math.min(u, v) > FRAME && Math.max(u, v) < SIDE - FRAME ? 230 : printed(u, v);
    expect(likenessOf(pictureOf(empty))).toEqual({ frame: 1, plumb: 0 });
    const crossed = (u: number, v: number) =>
      Math.min(Math.abs(u - SIDE / 2), Math.abs(v - SIDE / 2)) < 1.5 ? 30 : empty(u, v);
    expect(likenessOf(pictureOf(crossed)).plumb).toBe(0);
  });

  test("a hand over one side takes that side’s part of the frame and no more", () => {
    const held = pictureOf((u, v) => (u < 12 ? 150 : printed(u, v)));
    expect(likenessOf(held).frame).toBeGreaterThan(0.7);
    expect(likenessOf(held).frame).toBeLessThan(0.8);
    expect(likenessOf(held).plumb).toBe(1);
  });

  test("the spot leaves frame and mark as they are", () => {
    expect(likenessOf(pictureOf(spotted, 8))).toEqual({ frame: 1, plumb: 1 });
  });

  test("a sheet without print, and a black one, are nothing like it", () => {
    for (const grey of [30, 120, 230])
      expect(likenessOf(pictureOf(() => grey))).toEqual({ frame: 0, plumb: 0 });
  });
});

describe("which way it is seen", () => {
  const handIn = (of: (u: number, v: number) => number, degrees = 0) => {
    const { picture, map } = pictureOf(of, degrees);
    return handOf(picture, map);
  };
  test.each([0, 8, 31, 90])("turned by %d degrees: its front, and in a mirror", (degrees) => {
    expect(handIn(spotted, degrees)).toBe("front");
    expect(handIn((u, v) => spotted(SIDE - u, v), degrees)).toBe("mirrored");
  });

  test("an older print does not tell, nor one with dirt where the spot would be, nor a spot that is half covered", () => {
    expect(handIn(printed)).toBe("not told");
    const dirty = (grey: number) => (u: number, v: number) =>
      Math.hypot(u - (SIDE - CARD.spot.xMm), v - CARD.spot.yMm) < 9 ? grey : printed(u, v);
    for (const grey of [160, 30]) expect(handIn(dirty(grey))).toBe("not told");
    expect(handIn((u, v) => (u > CARD.spot.xMm ? 200 : spotted(u, v)))).toBe("not told");
  });

  test("in a third of the light it tells", () => {
    expect(handIn((u, v) => 0.33 * spotted(u, v))).toBe("front");
  });
});
