import { mapPoint, type Homography } from "../geometry/homography";
import type { Vector } from "../geometry/vector";
import { CARD } from "./card";
import { greyAt, type GreyPicture } from "./grey";

const { sideMm: SIDE, frameMm: FRAME, marginMm: MARGIN } = CARD;
/** Black is at most this part of the white beside it. */
const BLACK_PART = 0.78;

const seen = (picture: GreyPicture, map: Homography, mm: Vector): number => {
  const [x, y] = mapPoint(map, mm);
  return greyAt(picture, x, y);
};

/** Part of the places round the frame at which white margin, black frame and white field follow one another. */
export function frameLike(picture: GreyPicture, map: Homography): number {
  const places = 12;
  let like = 0;
  for (let side = 0; side < 4; side++)
    for (let place = 0; place < places; place++) {
      const along = SIDE * (0.08 + (0.84 * (place + 0.5)) / places);
      const at = (depth: number): Vector =>
        side === 0
          ? [along, depth]
          : side === 1
            ? [SIDE - depth, along]
            : side === 2
              ? [along, SIDE - depth]
              : [depth, along];
      const black = seen(picture, map, at(FRAME / 2));
      const [outside, inside] = [seen(picture, map, at(-MARGIN / 2)), seen(picture, map, at(FRAME + 4.5))];
      // The words printed inside the lower edge may lie under one of the inner places.
      const white = side === 2 ? outside : (outside + inside) / 2;
      if (black < BLACK_PART * white) like++;
    }
  return like / (4 * places);
}

/** Places of the plumb mark, mm from the frame's middle line and its top: of its line, and the flanks of its bob. */
const MIDDLE = SIDE / 2;
const LINE_Y: readonly number[] = Array.from({ length: 13 }, (_, at) => 14 + 3 * at);
const FLANKS: readonly Vector[] = [
  [3.4, SIDE - 24.8],
  [2.6, SIDE - 22.5],
  [1.7, SIDE - 19.5],
];
/** White lies so far beside them. */
const BESIDE_MM = 4.2;

/** Which way a card is seen: from its front, in a mirror, or of an older print that does not tell. */
export type CardHand = "front" | "mirrored" | "not told";

/** Places of the spot and of the paper round it, as parts of its radius, and in how many directions. */
const [SPOT_PARTS, ROUND_PARTS, SPOT_TURNS] = [[0.3, 0.65], [1.45], 8] as const;
/** So many of the places are black, and white, where there is a spot. */
const SPOT_THERE = 0.85;

/**
 * Looks for the spot right of the plumb line, and for its mirror image left of it. Black is as black as the frame: dirt on
 * one side is no spot.
 */
export function handOf(picture: GreyPicture, map: Homography): CardHand {
  const { xMm, yMm, radiusMm } = CARD.spot;
  const ring = (x: number, parts: readonly number[]) =>
    parts.flatMap((part) =>
      Array.from({ length: SPOT_TURNS }, (_, turn): number => {
        const angle = (2 * Math.PI * turn) / SPOT_TURNS;
        return seen(picture, map, [
          x + part * radiusMm * Math.cos(angle),
          yMm + part * radiusMm * Math.sin(angle),
        ]);
      }),
    );
  const black = (seen(picture, map, [xMm, FRAME / 2]) + seen(picture, map, [SIDE - xMm, FRAME / 2])) / 2;
  const isThere = (x: number): boolean => {
    const around = ring(x, ROUND_PARTS).sort((a, b) => a - b);
    const white = around[Math.floor(around.length / 2)] ?? 0;
    const half = (black + white) / 2;
    const part = (values: readonly number[], test: (value: number) => boolean) =>
      values.filter(test).length / values.length;
    return (
      black < BLACK_PART * white &&
      part(ring(x, SPOT_PARTS), (value) => value < half) >= SPOT_THERE &&
      part(around, (value) => value > half) >= SPOT_THERE
    );
  };
  const [right, left] = [isThere(xMm), isThere(SIDE - xMm)];
  if (right === left) return "not told";
  return right ? "front" : "mirrored";
}

/**
 * How much of the plumb mark is there, 0 to 1: a line down the middle, darker than the paper on both sides of it at the
 * same height, so that dirt and shade on both do not matter; the bob at its lower end and not at its upper; and no mark
 * above the line and below the bob. Hung upside down it is 0.
 */
export function plumbLike(picture: GreyPicture, map: Homography): number {
  /** Darker in the middle than on both sides, or on one flank than outside it. */
  const isDark = (x: number, y: number): boolean => {
    const at = seen(picture, map, [MIDDLE + x, y]);
    const out = Math.sign(x) * (Math.abs(x) + BESIDE_MM);
    const beside =
      x === 0
        ? (seen(picture, map, [MIDDLE - BESIDE_MM, y]) + seen(picture, map, [MIDDLE + BESIDE_MM, y])) / 2
        : seen(picture, map, [MIDDLE + out, y]);
    return at < BLACK_PART * beside;
  };
  const part = (places: readonly boolean[]) => places.filter(Boolean).length / places.length;
  const bothFlanks = (turn: (y: number) => number) =>
    part(FLANKS.flatMap(([x, y]) => [isDark(x, turn(y)), isDark(-x, turn(y))]));
  const bob = Math.max(0, bothFlanks((y) => y) - bothFlanks((y) => SIDE - y));
  const ends = part([!isDark(0, 8), !isDark(0, SIDE - 8)]);
  return part(LINE_Y.map((y) => isDark(0, y))) * bob * (0.5 + 0.5 * ends);
}
