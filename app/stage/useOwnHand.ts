import { useEffect, useState } from "react";
import { plannedFeet } from "~app/data/ownHand";
import { noiseOf } from "~core/foot/records/pairs";
import { useSettings } from "~app/ui/useWording";
import { ownBias, type OwnBias } from "~core/trim/done";

/** This practitioner's habits over all feet planned and measured again; read once the screen stands. */
export function useOwnHand(): { feet: number; bias: readonly OwnBias[] } | undefined {
  const { pairs } = useSettings();
  const [found, setFound] = useState<{ feet: number; bias: OwnBias[] } | undefined>(undefined);
  useEffect(() => {
    let here = true;
    const noise = noiseOf({ pairs });
    void plannedFeet(noise).then((feet) => {
      if (here) setFound({ feet: feet.length, bias: ownBias(feet, noise) });
    });
    return () => {
      here = false;
    };
  }, [pairs]);
  return found;
}
