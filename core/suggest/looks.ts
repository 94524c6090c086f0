import type { Vector } from "../geometry/vector";
import { lookAt, type ColourPicture } from "./colour";
import type { Look } from "./snap";

/** The mean of a place of about 3 mm. */
export function meanAt(picture: ColourPicture, [x, y]: Vector, pxPerMm: number): Float64Array {
  const sum = new Float64Array(3);
  const seen = new Float64Array(3);
  for (let down = -2; down <= 2; down++)
    for (let across = -2; across <= 2; across++) {
      lookAt(picture, x + across * 0.7 * pxPerMm, y + down * 0.7 * pxPerMm, seen, 0);
      for (let channel = 0; channel < 3; channel++)
        sum[channel] = (sum[channel] ?? 0) + (seen[channel] ?? 0) / 25;
    }
  return sum;
}

/** Fewer places than these do not tell how a surface looks. */
const LEAST_PLACES = 6;
/** Grain and unevenness of a clean surface, in logarithms of brightness. */
const LEAST_LOOK_SD = 0.07;

export const looksOf = (colours: Record<string, Float64Array[]>): Record<string, Look | undefined> =>
  Object.fromEntries(Object.entries(colours).map(([name, all]) => [name, name ? lookOf(all) : undefined]));

/** How a surface looks where it was met: the middle one of all its places, so that dirt on some of them does not count. */
function lookOf(places: readonly Float64Array[]): Look | undefined {
  if (places.length < LEAST_PLACES) return undefined;
  const middle = (values: number[]): number =>
    values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
  const mean = [0, 1, 2].map((channel) => middle(places.map((one) => one[channel] ?? 0)));
  const [r = 0, g = 0, b = 0] = mean;
  const off = places.map((one) => Math.hypot((one[0] ?? 0) - r, (one[1] ?? 0) - g, (one[2] ?? 0) - b));
  return { mean: [r, g, b], sd: Math.max(LEAST_LOOK_SD, 1.2 * middle(off)) };
}
