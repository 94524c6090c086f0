import { homographyFrom, inverseHomography } from "../geometry/homography";
import type { Vector } from "../geometry/vector";
import { CARD } from "./card";
import { columnsOf } from "./pose";
import { rectifyCard } from "./rectify";
import type { Corners } from "./corners";

/** Lenses that a picture of a foot may be taken through, 35 mm equivalent. Assumption: phones with and without zoom, cameras. */
const FOCALS_35 = { least: 18, most: 200, steps: 40 };
const FILM_DIAGONAL_MM = Math.hypot(24, 36);

/** Corners are found within this, px; a card further from square, and further than that explains, is none. Assumption. */
const CORNER_PX = 1.5;
const MOST_MISS = 0.06;

/** A square that leans further may as well be a narrower card seen straight. Assumption. */
const MOST_SLANT_DEG = 28;

/** What speaks against a square, in words: a print that was stretched, a picture that was squeezed, too much slant to tell. */
export function doubtOfShape(
  corners: Corners,
  picture: { width: number; height: number },
): string | undefined {
  if (isOutOfSquare(corners, picture))
    return "It is not square: its print was stretched, or the picture squeezed.";
  const flat = rectifyCard({ width: CARD.sideMm, height: CARD.sideMm, corners });
  if (flat.ok && flat.value.slantDeg > MOST_SLANT_DEG)
    return "It is seen from the side, or it is not square.";
  return undefined;
}

/** True where no lens shows a square so. */
function isOutOfSquare(corners: Corners, picture: { width: number; height: number }): boolean {
  const miss = squareMiss(corners, picture);
  if (miss < MOST_MISS) return false;
  let squares = 0;
  for (const at of corners.keys())
    for (const step of [
      [CORNER_PX, 0],
      [0, CORNER_PX],
    ] as const) {
      const moved = corners.map(([x, y], index) =>
        index === at ? [x + step[0], y + step[1]] : [x, y],
      ) as unknown as Corners;
      squares += (squareMiss(moved, picture) - miss) ** 2;
    }
  return miss > Math.sqrt(squares);
}

/**
 * How far four corners are from those of any square that a camera could have seen, as a part of its side: the least over
 * all lenses of how unlike in length and how far from a right angle the two sides come out. A card whose print was
 * stretched, and one in a picture that was squeezed, are not square through any lens.
 * Source: the two constraints of a plane on the camera, Zhang 2000, IEEE TPAMI 22:1330.
 */
export function squareMiss(corners: Corners, { width, height }: { width: number; height: number }): number {
  const square: readonly Vector[] = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ];
  const toSquare = homographyFrom(corners.map((from, at) => ({ from, to: square[at] as Vector })));
  if (!toSquare.ok) return Number.POSITIVE_INFINITY;
  const [[a1, b1, c1], [a2, b2, c2]] = columnsOf(inverseHomography(toSquare.value), [width / 2, height / 2]);
  let least = Number.POSITIVE_INFINITY;
  for (let step = 0; step <= FOCALS_35.steps; step++) {
    const focal35 = FOCALS_35.least * (FOCALS_35.most / FOCALS_35.least) ** (step / FOCALS_35.steps);
    const inverse = 1 / ((focal35 / FILM_DIAGONAL_MM) * Math.hypot(width, height)) ** 2;
    const first = (a1 * a1 + b1 * b1) * inverse + c1 * c1;
    const second = (a2 * a2 + b2 * b2) * inverse + c2 * c2;
    const lean = ((a1 * a2 + b1 * b2) * inverse + c1 * c2) / Math.sqrt(first * second);
    least = Math.min(least, Math.hypot(lean, Math.log(second / first) / 2));
  }
  return least;
}
