import { describe, expect, test } from "@jest/globals";
import { radians } from "../math/angle";
import { seededRandom } from "../math/random";
import { CARD } from "./card";
import type { Corners } from "./corners";
import { doubtOfShape, squareMiss } from "./squareness";

const PICTURE = { width: 1600, height: 1200 };
const DIAGONAL_PX = Math.hypot(PICTURE.width, PICTURE.height);

/** The corners of a card as a camera sees them: `squeeze` times as wide as it is high. */
function seen(
  {
    slantDeg,
    turnDeg,
    focal35,
    sidePx,
  }: { slantDeg: number; turnDeg: number; focal35: number; sidePx: number },
  squeeze: number,
  offPx: () => number = () => 0,
): Corners {
  const focal = (focal35 / Math.hypot(24, 36)) * DIAGONAL_PX;
  const away = (focal * CARD.sideMm) / sidePx;
  const half = CARD.sideMm / 2;
  const [slant, turn] = [radians(slantDeg), radians(turnDeg)];
  return (
    [
      [-half, -half],
      [half, -half],
      [half, half],
      [-half, half],
    ] as const
  ).map(([x, y]) => {
    const u = Math.cos(turn) * x * squeeze + Math.sin(turn) * y;
    const v = Math.cos(turn) * y - Math.sin(turn) * x * squeeze;
    const deep = away + u * Math.sin(slant);
    return [
      PICTURE.width / 2 + (focal * (u * Math.cos(slant) + 0.2 * away)) / deep + offPx(),
      PICTURE.height / 2 + (focal * (v - 0.1 * away)) / deep + offPx(),
    ];
  }) as unknown as Corners;
}

describe("a card that is not square", () => {
  test.each([
    [0, 26, 300],
    [12, 26, 300],
    [20, 50, 180],
    [25, 77, 180],
  ])("a square slanted by %d degrees through a lens of %d mm misses nothing", (slantDeg, focal35, sidePx) => {
    for (let turnDeg = 0; turnDeg < 360; turnDeg += 30)
      expect(squareMiss(seen({ slantDeg, turnDeg, focal35, sidePx }, 1), PICTURE)).toBeLessThan(0.006);
  });

  test("one squeezed by 17 % is doubted in every picture; a square with corners half a pixel off is not", () => {
    const random = seededRandom(34);
    const offPx = () => random() - 0.5;
    const told = (squeeze: number) =>
      Array.from({ length: 300 }, () => {
        const shot = { slantDeg: 10 * random(), turnDeg: 360 * random(), focal35: 26 + 50 * random() };
        return doubtOfShape(seen({ ...shot, sidePx: 300 }, squeeze, offPx), PICTURE);
      }).filter(Boolean).length;
    expect(told(1)).toBe(0);
    expect(told(0.83)).toBe(300);
    expect(told(1.17)).toBe(300);
  });
});
