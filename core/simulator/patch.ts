import type { Space } from "../geometry/space";
import { times3 } from "../geometry/space";
import type { Vector } from "../geometry/vector";
import { seededRandom } from "../math/random";
import { radians } from "../math/angle";
import type { FootParameters } from "../foot/parametric/parameters";
import { toeYOf, meanHeelY } from "../foot/parametric/parameters";

/** A defect in the wall of a made-up foot as it is seen from the side, mm along the horn tubules. */
export interface Defect {
  /** Its upper end below the hairline, its length and its width. */
  belowMm: number;
  lengthMm: number;
  widthMm: number;
}

/** Where it lies along the foot: part of the way from heel to toe at the hairline. */
const ALONG = 0.42;

/** The marks and the ragged outline of a defect on the side view's plane, in the world of its scene. */
export function defectOnSide(
  foot: FootParameters,
  { belowMm, lengthMm, widthMm }: Defect,
  toWorld: (point: Space) => Space,
  seed: number,
): { marks: Record<string, Space>; outline: Space[] } {
  const toeHair: Vector = [
    toeYOf(foot) - foot.toeLengthMm * Math.cos(radians(foot.dorsalAngleDeg)),
    foot.toeLengthMm * Math.sin(radians(foot.dorsalAngleDeg)),
  ];
  const heelHair: Vector = [meanHeelY(foot) - 14, foot.heelHeightMm.lateral];
  const hairline: Vector = [
    heelHair[0] + ALONG * (toeHair[0] - heelHair[0]),
    heelHair[1] + ALONG * (toeHair[1] - heelHair[1]),
  ];
  const down: Vector = [Math.cos(radians(foot.dorsalAngleDeg)), -Math.sin(radians(foot.dorsalAngleDeg))];
  const wallMm = hairline[1] / -down[1];
  const lowest = Math.min(belowMm + lengthMm, wallMm);
  const at = (along: number, across: number): Space =>
    toWorld([
      0,
      hairline[0] + down[0] * along - down[1] * across,
      hairline[1] + down[1] * along + down[0] * across,
    ]);
  const middle = (belowMm + lowest) / 2;
  const random = seededRandom(seed);
  const outline = Array.from({ length: 40 }, (_, step) => {
    const angle = (2 * Math.PI * step) / 40;
    const ragged = step % 10 === 0 ? 1 : 0.86 + 0.14 * random();
    return at(
      middle + ((lowest - belowMm) / 2) * Math.cos(angle) * ragged,
      (widthMm / 2) * Math.sin(angle) * ragged,
    );
  });
  return {
    marks: {
      hairline: at(0, 0),
      ground: at(wallMm, 0),
      defectUpper: at(belowMm, 0),
      defectLower: at(lowest, 0),
      defectFront: at(middle, widthMm / 2),
      defectBack: at(middle, -widthMm / 2),
    },
    outline,
  };
}

/** Colour of bared horn under a resected wall. Drawing only. */
const BARED: Space = [196, 176, 138];

/** Paints an outline in picture pixels over a picture, with grain and a dark edge. */
export function paintPatch(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  outline: readonly Vector[],
  seed: number,
): void {
  const random = seededRandom(seed);
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  for (
    let row = Math.max(0, Math.floor(Math.min(...ys)));
    row <= Math.min(height - 1, Math.max(...ys));
    row++
  )
    for (
      let column = Math.max(0, Math.floor(Math.min(...xs)));
      column <= Math.min(width - 1, Math.max(...xs));
      column++
    ) {
      const inside = isInside([column + 0.5, row + 0.5], outline);
      if (!inside) continue;
      const edge = Math.min(...outline.map(([x, y]) => Math.hypot(x - column, y - row)));
      const shade = (edge < 4 ? 0.45 : 0.85) + 0.18 * random();
      const [r, g, b] = times3(BARED, shade);
      const at = (row * width + column) * 4;
      pixels[at] = r;
      pixels[at + 1] = g;
      pixels[at + 2] = b;
    }
}

function isInside([x, y]: Vector, outline: readonly Vector[]): boolean {
  let inside = false;
  for (const [at, [ax, ay]] of outline.entries()) {
    const [bx, by] = outline[(at + 1) % outline.length] as Vector;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  }
  return inside;
}
