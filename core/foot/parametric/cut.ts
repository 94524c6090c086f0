import { degrees, radians } from "../../math/angle";
import { ok, type Result } from "../../result";
import { predictTrim, type Cuts, type PredictedFoot } from "./predict";
import {
  bearingLengthOf,
  corYOf,
  eachSide,
  heelYOfSide,
  heelsAt,
  trimFootOf,
  type FootParameters,
} from "./parameters";

/**
 * The foot after four cuts, worked out by the same prediction that the trim bench shows. The centre of rotation keeps
 * its place in the solar frame, so front and support are those of the prediction. Negative cuts are growth.
 *
 * Errors: those of the prediction.
 */
export function cutFoot(
  foot: FootParameters,
  cuts: Cuts,
): Result<{ foot: FootParameters; predicted: PredictedFoot }> {
  const trimFoot = trimFootOf(foot);
  const prediction = predictTrim(trimFoot, cuts);
  if (!prediction.ok) return prediction;
  const predicted = prediction.value;
  const tiltDeg = predicted.dorsalAngle - foot.dorsalAngleDeg;
  const tilt = radians(tiltDeg);
  const slope = Math.tan(tilt);
  const heelTan = Math.tan(radians(foot.heelAngleDeg));
  const cut = { medial: cuts.heelMedial, lateral: cuts.heelLateral };
  const corY = corYOf(foot);

  const heelY = eachSide((side) => {
    const z = cut[side] / (1 + slope / heelTan);
    const y = heelYOfSide(foot, side) - z / heelTan;
    return y * Math.cos(tilt) + z * Math.sin(tilt) - predicted.corY + corY;
  });
  const heelHeightMm = eachSide((side) => {
    const hairlineBehind = foot.heelHeightMm[side] / heelTan;
    return (foot.heelHeightMm[side] - (cut[side] - slope * hairlineBehind)) * Math.cos(tilt);
  });
  const above = foot.wallAboveSoleMm;
  return ok({
    predicted,
    foot: {
      ...foot,
      ...heelsAt(heelY),
      dorsalAngleDeg: predicted.dorsalAngle,
      heelAngleDeg: foot.heelAngleDeg + tiltDeg,
      dishDeg: dishAfterDressing(foot, cuts.dress),
      toeLengthMm: predicted.toeLength,
      toeRunMm: predicted.front - corY,
      heelHeightMm,
      wallAboveSoleMm: {
        toe: above.toe - cuts.toe,
        medial: above.medial - cuts.heelMedial,
        lateral: above.lateral - cuts.heelLateral,
      },
    },
  });
}

/** Dressing takes the horn in front of the straight wall first; once that is gone the wall stays straight. */
function dishAfterDressing(foot: FootParameters, dress: number): number {
  const hornInFront = (foot.toeLengthMm / 2) * Math.sin(radians(foot.dishDeg));
  return dress >= hornInFront ? 0 : foot.dishDeg * (1 - dress / hornInFront);
}

/** How a foot grows: horn at the toe in mm and turn of the dorsal wall in deg, both already summed over the days. */
export interface Growth {
  hornMm: number;
  driftDeg: number;
}

/**
 * The foot some days later: a cut taken backwards. The toe gets longer by `hornMm` along the wall and the dorsal angle
 * changes by `driftDeg` (negative as a rule), exactly; heels grow by what that leaves and run forward.
 */
export function growFoot(foot: FootParameters, growth: Growth): Result<FootParameters> {
  const slope = Math.tan(radians(growth.driftDeg));
  const dorsal = radians(foot.dorsalAngleDeg);
  const toe = -growth.hornMm * Math.sin(dorsal) * (1 + slope / Math.tan(dorsal));
  const heel = toe - slope * bearingLengthOf(foot);
  const grown = cutFoot(foot, { toe, heelMedial: heel, heelLateral: heel, dress: 0 });
  return grown.ok ? ok(grown.value.foot) : grown;
}

/** Roll seen from behind, deg, from the heel heights: positive = the lateral hairline stands higher. */
export const hairlineTiltDeg = (foot: FootParameters): number => {
  const trimFoot = trimFootOf(foot);
  const width = trimFoot.heelLateral[0] - trimFoot.heelMedial[0];
  return degrees(Math.atan((foot.heelHeightMm.lateral - foot.heelHeightMm.medial) / width));
};
