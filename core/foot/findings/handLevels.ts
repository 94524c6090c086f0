import { sdOfSmallestChange, type Noise } from "../../repeatability/repeatability";
import { levelBeyond, levelOf, type Level } from "../level";
import { boundsOf, type BoundOverrides } from "../survey/ratios";

/** What the levels of hand measures hang on: how steady the hand is, and the user's own bounds. */
interface HandContext {
  noise: Noise;
  bounds: BoundOverrides;
}

/** Level of a difference of the two heel heights, mm, beyond the noise of two readings. */
export const heelDifferenceLevel = (mm: number, { noise, bounds }: HandContext): Level =>
  levelBeyond(
    mm,
    Math.SQRT2 * sdOfSmallestChange(noise.lengthMm),
    boundsOf("heelHeightDifferenceMm", bounds),
  );

/** Level of a toe over its target, mm; under it, or within the noise, it is steady. */
export const toeOverLevel = (mm: number, { noise, bounds }: HandContext): Level =>
  mm <= noise.lengthMm ? "steady" : levelOf(mm, boundsOf("toeOverYardstickMm", bounds));
