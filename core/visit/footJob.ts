import { endOf, type ForgeJob } from "../forge/anvil/job";
import type { Wording } from "../foot/wording";
import type { Settings } from "../record/settings";
import { standingBench, type Place } from "./visitShoe";

/** The shoe that a foot of the records wants forged. */
export function jobOfFoot(place: Place, settings: Settings, wording: Wording): ForgeJob {
  const { spec, fit, drawn } = standingBench(place, settings, wording);
  return {
    name: `${place.horse.name}, ${wording.limb(place.limb)}`,
    end: endOf(place.limb),
    spec,
    fit,
    drawn,
  };
}
