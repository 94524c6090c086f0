import { ANGLE_DRIFT_PRIOR, TOE_GROWTH_PRIOR } from "~core/constants/growth";
import { isFore, type Limb } from "~core/foot/limb";
import { growFoot } from "~core/foot/parametric/cut";
import { ordinaryFoot } from "~core/foot/parametric/fit";
import { bearingLengthOf, eachSide, type FootParameters } from "~core/foot/parametric/parameters";
import { normalDraw, type Random } from "~core/math/random";
import { degrees, radians } from "~core/math/angle";
import { aheadOfLine } from "~core/trim/toeOutside";
import { isShod, type Horse } from "~core/record/horse";
import { sound } from "./sound";
import { type HorsePlan } from "./yards";

export function startingFoot(horse: Horse, plan: HorsePlan, limb: Limb, random: Random): FootParameters {
  const foot = ordinaryFoot(limb, horse);
  const vary = (value: number, sd: number) => normalDraw(random, value, sd);
  const pastern = vary(foot.pasternAngleDeg, 1);
  const asymmetry = vary(0, 0.4);
  const varied: FootParameters = {
    ...foot,
    widthMm: vary(foot.widthMm, foot.widthMm * 0.006),
    dorsalAngleDeg: vary(pastern, 1),
    pasternAngleDeg: pastern,
    toeLengthMm: vary(foot.toeLengthMm, 1.5),
    heelHeightMm: {
      medial: foot.heelHeightMm.medial - asymmetry,
      lateral: foot.heelHeightMm.lateral + asymmetry,
    },
    curlMm: { medial: 0, lateral: Math.abs(vary(0, 1.2)) },
    limbDeviationDeg: vary(0, 1.2),
  };
  const fore = isFore(limb);
  if (plan.trouble === "long toe" && fore)
    return { ...varied, dorsalAngleDeg: pastern - 3.5, toeLengthMm: varied.toeLengthMm + 5, dishDeg: 3 };
  if (plan.trouble === "low heel" && fore) return lowHeel(varied, pastern);
  if (plan.trouble === "upright one" && limb === "RF")
    return {
      ...varied,
      dorsalAngleDeg: pastern + 6,
      pasternAngleDeg: pastern + 5.5,
      heelHeightMm: { medial: 50, lateral: 51 },
      widthMm: varied.widthMm - 6,
    };
  if (plan.trouble === "broken forward" && fore) {
    const turned = 6.5;
    const raised = Math.tan(radians(turned)) * bearingLengthOf(varied);
    return {
      ...varied,
      dorsalAngleDeg: pastern + turned,
      heelAngleDeg: varied.heelAngleDeg + turned,
      heelHeightMm: {
        medial: varied.heelHeightMm.medial + raised,
        lateral: varied.heelHeightMm.lateral + raised,
      },
      wallAboveSoleMm: { ...varied.wallAboveSoleMm, medial: 9, lateral: 9 },
    };
  }
  if (plan.trouble === "twisted limb" && limb === "RF")
    return {
      ...varied,
      limbDeviationDeg: 4,
      curlMm: { medial: 4, lateral: 0 },
      heelHeightMm: { medial: varied.heelHeightMm.medial + 3, lateral: varied.heelHeightMm.lateral - 1 },
      wallAboveSoleMm: { ...varied.wallAboveSoleMm, medial: varied.wallAboveSoleMm.medial + 5 },
    };
  if (plan.trouble === "outside high" && limb === "LH")
    return {
      ...varied,
      heelHeightMm: { medial: varied.heelHeightMm.medial - 2, lateral: varied.heelHeightMm.lateral + 5 },
      curlMm: { medial: 0, lateral: 5 },
      wallAboveSoleMm: { ...varied.wallAboveSoleMm, lateral: varied.wallAboveSoleMm.lateral + 6 },
    };
  if (plan.trouble === "overgrown") return sound(growFoot(varied, { hornMm: 34, driftDeg: -6 }));
  return varied;
}

const lowHeel = (foot: FootParameters, pastern: number): FootParameters => ({
  ...foot,
  dorsalAngleDeg: pastern - 4.5,
  heelAngleDeg: foot.heelAngleDeg - 11,
  heelHeightMm: { medial: foot.heelHeightMm.medial * 0.72, lateral: foot.heelHeightMm.lateral * 0.74 },
  heelRunMm: foot.heelRunMm + 7,
});

/** Of the toe's growth in height at most this part is missing at the heel: a heel that grows too can be kept. */
const HEEL_LAG_PART = 0.55;

/** This foot's own growth and drift, drawn about the general values; drift no steeper than the heel's lag allows. */
export function footPace(horse: Horse, foot: FootParameters, random: Random) {
  const keeping = isShod(horse, foot.limb) ? "shod" : "barefoot";
  const prior = { growth: TOE_GROWTH_PRIOR[keeping].value, drift: ANGLE_DRIFT_PRIOR[keeping].value };
  const growth = Math.max(0.08, normalDraw(random, prior.growth.mean, prior.growth.sd * 0.7));
  const toeHeight = growth * Math.sin(radians(foot.dorsalAngleDeg));
  const steepest = degrees((HEEL_LAG_PART * toeHeight) / bearingLengthOf(foot));
  const drift = Math.min(-0.005, normalDraw(random, prior.drift.mean, prior.drift.sd * 0.4));
  return { growth, drift: Math.max(-steepest, drift) };
}

/** Part of what toe and heels have crept forward in the frame of the sulcus that is gone by the next visit. */
const CREEP_GONE = 0.35;

/** A toe that runs is dished again by the next visit, by so much a cycle up to so much, deg. Assumption. */
const RUN_AGAIN = { aCycle: 2.5, most: 4 };

/**
 * A sound foot keeps its place: its frog, from which all is measured, grows forward with it. A foot in trouble creeps on.
 * Assumption, because toes and heels of feet that are trimmed in time do not run away.
 */
export function settled(foot: FootParameters, start: FootParameters, { trouble }: HorsePlan): FootParameters {
  if (trouble === "long toe" && isFore(foot.limb)) {
    const dishDeg = Math.min(RUN_AGAIN.most, foot.dishDeg + RUN_AGAIN.aCycle);
    const ahead = (dish: number) => aheadOfLine(foot.dorsalAngleDeg, dish, foot.toeLengthMm / 2);
    return { ...foot, dishDeg, toeRunMm: foot.toeRunMm + ahead(dishDeg) - ahead(foot.dishDeg) };
  }
  if (trouble) return foot;
  const back = (now: number, was: number): number => now - CREEP_GONE * Math.max(0, now - was);
  return {
    ...foot,
    toeRunMm: back(foot.toeRunMm, start.toeRunMm),
    heelRunMm: back(foot.heelRunMm, start.heelRunMm),
    curlMm: eachSide((side) => back(foot.curlMm[side], start.curlMm[side])),
    heelHeightMm: eachSide(
      (side) => foot.heelHeightMm[side] - CREEP_GONE * (foot.heelHeightMm[side] - start.heelHeightMm[side]),
    ),
  };
}
