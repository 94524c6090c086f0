import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { LIMBS } from "~core/foot/limb";
import { footOrder } from "~core/foot/order";
import { HORN_STATES } from "~core/foot/horn";
import { ArrivalSays } from "~app/stage/ArrivalSays";
import { ARRIVAL_LABELS, ARRIVAL_TAP_NAMES, ARRIVAL_TAPS } from "~core/caution/arrival";
import { RedFlags } from "./RedFlags";
import type { StageContext } from "~app/stage/stageContext";
import { Choice } from "~app/stage/Choice";
import "~app/stage/watch.css";

/** What to ask before a foot is lifted: red flags, how dry the feet are, which foot hurts and so comes first. */
export function ArriveQuestions({ visit }: StageContext) {
  const wording = useWording();
  const { save } = useEdits();
  const set = (path: "horn" | "soreFoot", now: string | undefined) =>
    void save({ table: "visits", id: visit.id, path: [path], was: visit[path], now, label: path });
  const { order, why } = footOrder(visit.soreFoot);
  return (
    <div className="arrive-questions">
      <RedFlags visit={visit} />
      <Choice
        label="Feet have stood"
        options={HORN_STATES}
        usual="ordinary"
        value={visit.horn}
        onChoose={(now) => set("horn", now)}
      />
      {ARRIVAL_TAP_NAMES.map((tap) => (
        <Choice<string>
          key={tap}
          label={ARRIVAL_LABELS[tap]}
          options={ARRIVAL_TAPS[tap]}
          usual={ARRIVAL_TAPS[tap][0]}
          value={visit.arrival?.[tap]}
          onChoose={(now) =>
            void save({
              table: "visits",
              id: visit.id,
              path: ["arrival", tap],
              was: visit.arrival?.[tap],
              now,
              label: ARRIVAL_LABELS[tap].toLowerCase(),
            })
          }
        />
      ))}
      <ArrivalSays visit={visit} />
      <Choice
        label="A foot that hurts"
        options={LIMBS}
        value={visit.soreFoot}
        onChoose={(now) => set("soreFoot", now)}
      />
      <p>
        <b>{order.join(" · ")}</b> <span className="quiet">{why}</span>
        <span className="visually-hidden"> {order.map((limb) => wording.limb(limb)).join(", ")}</span>
      </p>
    </div>
  );
}
