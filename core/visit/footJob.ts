import type { Asked } from "../forge/fitStock";
import type { Fit } from "../shoe/fit";
import type { ShoeRecord } from "../shoe/shoeRecord";
import { endOf, type ForgeJob } from "../forge/anvil/job";
import type { Wording } from "../foot/wording";
import type { Settings } from "../record/settings";
import { standingBench, type Place } from "./visitShoe";

/** The shoe that a foot of the records wants forged. */
export function jobOfFoot(place: Place, settings: Settings, wording: Wording): ForgeJob {
  const { spec, fit, drawn } = standingBench(place, settings, wording);
  const asked = askedOf(place.feet[place.limb].shoe, fit);
  return {
    name: `${place.horse.name}, ${wording.limb(place.limb)}`,
    end: endOf(place.limb),
    spec,
    fit,
    drawn,
    ...(asked && { asked }),
  };
}

/** The two measures that were taken at the horse, filled up with the drawn shoe's where only one was. */
export function askedOf(
  shoe: Pick<ShoeRecord, "measured"> | undefined,
  fit: Pick<Fit, "width" | "toeY" | "endY">,
): Asked | undefined {
  const { widthMm, lengthMm } = shoe?.measured ?? {};
  if (widthMm === undefined && lengthMm === undefined) return undefined;
  return {
    width: widthMm ?? fit.width,
    length: lengthMm ?? fit.toeY - Math.min(fit.endY.medial, fit.endY.lateral),
  };
}
