import { DRESS_ASKS_VET } from "../constants/trim";
import { angleSd, lengthSd, type FootFacts } from "../foot/findings/facts";
import { beyondNoise, levelBeyond } from "../foot/level";
import { boundsOf } from "../foot/survey/ratios";
import { radians } from "../math/angle";

/** What stands outside the foot's own shape at the toe, by the sign that tells most of it. */
export interface ToeOutside {
  /** Mm in the ground plane; 0 where nothing was measured or nothing is sure to stand there. */
  mm: number;
  by: "wall" | "dish" | "none";
  /** True where so much distortion is a radiograph's first. */
  asksVet: boolean;
}

/** Sd of the toe's wall against the even wall of its other places, over that of one thickness. Source: the sound herd of docs/findings.md. */
export const AGAINST_EVEN = 1.5;

/**
 * Horn outside the foot's own shape at the toe: the wall there over an even wall, or what a dished lower half stands
 * ahead of the line of the upper wall, whichever is more. Only where the sign speaks beyond its noise: a sound straight
 * wall has none. Lower half of the wall, since that is what may be dressed.
 */
export function toeOutside(facts: FootFacts): ToeOutside {
  const { walls, side, measures, ratios, outline, bounds } = facts;
  const asksVet =
    (walls.toe?.whiteLine ?? 0) > DRESS_ASKS_VET.whiteLineMm.value ||
    (side.dish ?? 0) > DRESS_ASKS_VET.dishDeg.value;
  const uneven = ratios.find(({ name }) => name === "evenness")?.level ?? "steady";
  const wall = outline?.hornOutside.toe ?? 0;
  const sure = beyondNoise(wall, AGAINST_EVEN * lengthSd(facts)) > 0;
  const byWall = uneven !== "steady" && sure ? wall : 0;
  const { dorsalAngle, toeLength } = measures;
  const dished =
    side.dish !== undefined &&
    side.dish > 0 &&
    levelBeyond(side.dish, Math.SQRT2 * angleSd(facts), boundsOf("dishDeg", bounds)) !== "steady";
  const byDish =
    dished && dorsalAngle !== undefined && toeLength !== undefined
      ? aheadOfLine(dorsalAngle, side.dish ?? 0, toeLength / 2)
      : 0;
  const mm = Math.max(byWall, byDish);
  return { mm, by: mm === 0 ? "none" : byWall >= byDish ? "wall" : "dish", asksVet };
}

/**
 * How far ahead of the upper wall's line a wall reaches the ground whose lower part of that length stands `dish` degrees
 * shallower, mm. Angles deg, lengths mm along the wall.
 */
export function aheadOfLine(dorsalAngle: number, dish: number, lowerMm: number): number {
  const lower = radians(dorsalAngle - dish);
  const height = lowerMm * Math.sin(lower);
  return height / Math.tan(lower) - height / Math.tan(radians(dorsalAngle));
}
