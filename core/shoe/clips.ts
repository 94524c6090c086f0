import { directionAlong, lengthDownTo, pointAlong } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { SIDES, type Side } from "../foot/limb";
import type { Fit } from "./fit";

/** A clip on the outer edge: its side (none at the toe), mm along the edge from the middle of the toe, place and run. */
export interface ClipPlace {
  side?: Side;
  s: number;
  at: SolarPoint;
  along: readonly [number, number];
}

/** Side clips stand this far ahead of the toe quarters, mm. Assumption. */
const AHEAD_OF_QUARTER_MM = 4;

/** Where the clips of a fitted shoe stand: in the middle of the toe, or just ahead of both toe quarters. */
export function clipPlaces({ outer, question, toeY }: Pick<Fit, "outer" | "question" | "toeY">): ClipPlace[] {
  const { spec, foot, setting } = question;
  if (spec.clips === "none") return [];
  if (spec.clips === "toe") return [{ s: 0, at: outer.lateral[0] ?? [0, toeY], along: [1, 0] }];
  return SIDES.map((side) => {
    const y = foot.knots.toeQuarter[side][1] - setting.back + AHEAD_OF_QUARTER_MM;
    const s = lengthDownTo(outer[side], y);
    return { side, s, at: pointAlong(outer[side], s).at, along: directionAlong(outer[side], s, 5) };
  });
}
