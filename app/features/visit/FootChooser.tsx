import { LIMBS } from "~core/foot/limb";
import { MEASURES } from "~core/foot/measures";
import { CUTS } from "~core/record/trim";
import { useWording } from "~app/ui/useWording";
import type { StageContext } from "./stageContext";

/** Four large buttons; under each how far this stage has come on that foot. */
export function FootChooser({ limb, feet, stage, goTo }: StageContext) {
  const wording = useWording();
  return (
    <div className="foot-chooser" role="group" aria-label="Foot">
      {LIMBS.map((one) => {
        const foot = feet[one];
        const [taken, of] =
          stage === "trim"
            ? [Object.keys(foot.cuts).length, CUTS.length]
            : [Object.keys(foot.values[stage === "recheck" ? "after" : "before"]).length, MEASURES.length];
        return (
          <button
            key={one}
            type="button"
            className="foot-button"
            aria-pressed={one === limb}
            aria-label={wording.limb(one)}
            onClick={() => goTo({ limb: one })}
          >
            <b>{one}</b>
            <span>{taken === 0 ? "·" : taken === of ? "done" : `${taken} of ${of}`}</span>
          </button>
        );
      })}
    </div>
  );
}
