import { useState } from "react";
import { useEdits } from "~app/ui/useEdits";
import { useShortcuts } from "~app/ui/useShortcuts";
import { TypedField } from "~app/ui/TypedField";
import { useSettings, useWording } from "~app/ui/useWording";
import { MEASURE_FACTS, type Measure, type Measured } from "~core/foot/measures";
import { noiseOf, pairsOf, withPair } from "~core/repeatability/pairs";
import { readMeasured, showMeasured } from "./measureText";

interface AgainProps {
  measure: Measure;
  stored: Measured | undefined;
  date: string;
  /** Tells drafts of different feet apart. */
  place: string;
}

/** The same measure a second time, without looking at the first: how steady this hand is. The reading stays what it was. */
export function MeasureAgain({ measure, stored, date, place }: AgainProps) {
  const settings = useSettings();
  const wording = useWording();
  const { settle } = useEdits();
  const [open, setOpen] = useState<Measure>();
  const [said, setSaid] = useState<string>();
  const { kind } = MEASURE_FACTS[measure];
  const name = wording.measure(measure);
  const start = () => {
    if (!stored) return;
    setSaid(undefined);
    setOpen(measure);
  };
  useShortcuts({ m: start, "alt+m": start });
  if (!stored) return null;
  const keep = (again: Measured, draft: string) => {
    const pairs = withPair(settings.pairs, { date, measure, a: stored.value, b: again.value });
    void settle(
      {
        table: "settings",
        id: "settings",
        path: ["pairs"],
        was: settings.pairs,
        now: pairs,
        label: `${name}, again`,
      },
      draft,
    );
    const count = pairsOf(pairs, kind).length;
    const apart = showMeasured(measure, Math.abs(again.value - stored.value), wording);
    const unit = kind === "angle" ? "°" : ` ${wording.unit}`;
    setSaid(
      `${name}: ${apart}${unit} apart. ${count < 10 ? `${count} of 10 ${kind} pairs.` : `Smallest real change: ${noiseOf({ pairs }).source}.`}`,
    );
    setOpen(undefined);
  };
  return (
    <div className="again">
      {open === measure ? (
        <TypedField<Measured | undefined>
          key={`${place}.${measure}`}
          label={`${name} a second time, without looking`}
          unit={kind === "angle" ? "°" : wording.unit}
          draftKey={`${place}.again.${measure}`}
          value={undefined}
          show={() => ""}
          read={(text) => readMeasured(measure, text, wording, stored.source)}
          onKeep={(again, draft) => {
            if (again) keep(again, draft);
          }}
        />
      ) : (
        <button type="button" className="text-button again-start" onClick={start}>
          {name}: measure it again
        </button>
      )}
      {said && (
        <p className="quiet" role="status">
          {said}
        </p>
      )}
    </div>
  );
}
