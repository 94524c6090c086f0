import { useEffect, useState } from "react";
import { plannedFeet } from "~app/data/ownHand";
import { GENERAL_NOISE } from "~core/repeatability/repeatability";
import { ownBias, type OwnBias } from "~core/trim/done";

/** This practitioner's habits over all feet planned and measured again; read once the screen stands. */
export function useOwnHand(): { feet: number; bias: readonly OwnBias[] } | undefined {
  const [found, setFound] = useState<{ feet: number; bias: OwnBias[] } | undefined>(undefined);
  useEffect(() => {
    let here = true;
    void plannedFeet(GENERAL_NOISE.value).then((feet) => {
      if (here) setFound({ feet: feet.length, bias: ownBias(feet, GENERAL_NOISE.value) });
    });
    return () => {
      here = false;
    };
  }, []);
  return found;
}
