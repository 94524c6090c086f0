import type { FootForecast } from "../cycle/due";
import { footHistory, leftWith, type FootVisit } from "../cycle/horseDue";
import type { Horse } from "../record/horse";
import type { Reading } from "../foot/records/reading";
import { LIMBS, type Limb } from "../foot/limb";
import type { FootValues } from "../foot/measures";
import type { Result } from "../result";
import { growFoot } from "../foot/parametric/cut";
import { fitFoot, ordinaryFoot, type FittedFoot, type KnownFoot } from "../foot/parametric/fit";
import type { FootParameters } from "../foot/parametric/parameters";

/** The foot to start a drawing from: as the last visit left it, else an ordinary one for this animal. */
export function baseFoot(horse: Horse, limb: Limb, last: FootVisit | undefined): FootParameters {
  return fitFoot(leftWith(last), ordinaryFoot(limb, horse)).foot;
}

/** The foot that shows these values, filled up from how the last visit left it; what is only a guess is named. */
export function footToday(
  horse: Horse,
  limb: Limb,
  values: FootValues,
  last: FootVisit | undefined,
  known?: KnownFoot,
): FittedFoot {
  return fitFoot(values, baseFoot(horse, limb, last), known);
}

/** The feet that were measured, as the last of these readings left them. */
export type FeetOfHorse = Partial<Record<Limb, FootParameters>>;

export function feetOfHorse(horse: Horse, readings: readonly Reading[]): FeetOfHorse {
  const feet: FeetOfHorse = {};
  for (const limb of LIMBS) {
    const last = footHistory(readings, limb).at(-1);
    if (Object.keys(leftWith(last)).length > 0) feet[limb] = baseFoot(horse, limb, last);
  }
  return feet;
}

/**
 * The foot as it is expected to be when a forecast comes true: toe and dorsal angle are the forecast's middle, heels run
 * forward as growth takes them, the pastern stays put. Errors: those of `growFoot`.
 */
export const footAfter = (foot: FootParameters, { toeLength, axis }: FootForecast): Result<FootParameters> =>
  growFoot(foot, {
    hornMm: toeLength.mean - foot.toeLengthMm,
    driftDeg: axis.mean - (foot.dorsalAngleDeg - foot.pasternAngleDeg),
  });
