import { progressWords } from "~core/visit/progress";
import { footOrder } from "~core/foot/order";
import { useWording } from "~app/ui/useWording";
import type { StageContext } from "~app/stage/stageContext";

/** Four large buttons; under each how far this stage has come on that foot. */
export function FootChooser({ visit, limb, feet, stage, goTo }: StageContext) {
  const wording = useWording();
  return (
    <div className="foot-chooser" role="group" aria-label="Foot">
      {footOrder(visit.soreFoot).order.map((one) => {
        const said = progressWords(stage, feet[one]);
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
            <span>{one === visit.soreFoot ? `sore${said === "·" ? "" : `, ${said}`}` : said}</span>
          </button>
        );
      })}
    </div>
  );
}
