import { fitFoot } from "~core/foot/parametric/fit";
import { bearingLengthOf, trimFootOf, type FootParameters } from "~core/foot/parametric/parameters";
import { toeTarget } from "~core/foot/toeYardstick";
import { radians } from "~core/math/angle";
import { normalDraw, type Random } from "~core/math/random";
import { isShod, type Horse } from "~core/record/horse";
import type { Reading } from "~core/foot/records/reading";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import type { AgreedPlan } from "~core/trim/trimRecord";
import { agreedPlan } from "~core/trim/agreed";
import type { Cuts } from "~core/foot/parametric/predict";
import { sound } from "./sound";

/** How exactly a hand takes what it meant to take, mm. */
const CUT_SD_MM = 0.6;
/** A difference of heel heights up to this is left alone. */
const TOLERATED_HEEL_DIFFERENCE_MM = 4;

/** What this farrier means to take: the toe back to its target, the angle back towards the pastern. */
export function chooseCuts(foot: FootParameters, horse: Horse): Cuts {
  const over = Math.max(0, foot.toeLengthMm - toeTarget(horse).toeLengthMm);
  const most = foot.toeLengthMm > toeTarget(horse).toeLengthMm * 1.25 ? 14 : 11;
  const toe = Math.min(most, over * Math.sin(radians(foot.dorsalAngleDeg)));
  const wantedTurn = Math.max(-2, Math.min(5, foot.pasternAngleDeg - foot.dorsalAngleDeg));
  const heel = Math.max(0, toe - Math.tan(radians(wantedTurn)) * bearingLengthOf(foot));
  const difference = foot.heelHeightMm.lateral - foot.heelHeightMm.medial;
  const tilt =
    Math.sign(difference) * Math.min(2, Math.max(0, Math.abs(difference) - TOLERATED_HEEL_DIFFERENCE_MM) / 2);
  return {
    toe,
    heelMedial: Math.max(0, Math.min(14, heel - tilt)),
    heelLateral: Math.max(0, Math.min(14, heel + tilt)),
    dress: foot.dishDeg > 1 ? 1.5 : 0,
  };
}

/** What the hand then takes, within its error; at the inner heel it may have a habit of taking more. */
export function takenByHand(meant: Cuts, innerHeelHabit: number, random: Random): Cuts {
  const byHand = (mm: number, habit = 0) =>
    Math.max(
      0,
      Math.round(2 * (normalDraw(random, mm, mm > 0.5 ? CUT_SD_MM : 0) + (mm > 0.5 ? habit : 0))) / 2,
    );
  return {
    toe: byHand(meant.toe),
    heelMedial: byHand(meant.heelMedial, innerHeelHabit),
    heelLateral: byHand(meant.heelLateral),
    dress: byHand(meant.dress),
  };
}

/** What was decided on before the first stroke, from the foot as it was measured. */
export function plannedTrim(horse: Horse, foot: FootParameters, before: Reading, meant: Cuts): AgreedPlan {
  const measured = fitFoot(before.values, foot).foot;
  const question = {
    foot: trimFootOf(measured),
    frontBack: DEFAULT_SETTINGS.lenses.frontBack,
    side: DEFAULT_SETTINGS.lenses.side,
    finish: isShod(horse, foot.limb) ? ("shod" as const) : ("barefoot" as const),
  };
  const half = (mm: number) => Math.round(2 * mm) / 2;
  const cuts: Cuts = {
    toe: half(meant.toe),
    heelMedial: half(meant.heelMedial),
    heelLateral: half(meant.heelLateral),
    dress: half(meant.dress),
  };
  return sound(agreedPlan(measured, question, cuts, "hand", true));
}
