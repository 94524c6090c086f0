import { useState } from "react";
import { draftAt, dropDraft, keepDraft } from "~app/data/drafts";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { MEASURE_FACTS, type Measure, type Measured } from "~core/foot/measures";
import type { Edit } from "~core/record/edit";
import type { Settings } from "~core/record/settings";
import { noiseOf, pairsOf, withPair, type Pair } from "~core/repeatability/pairs";
import type { Issue } from "~core/result";
import type { Wording } from "~core/units/wording";
import { FastLane } from "./FastLane";
import { readMeasured, showMeasured } from "./measureText";
import { usePad } from "./usePad";

interface AgainProps {
  measure: Measure;
  first: Measured;
  date: string;
  /** Tells drafts of different feet apart. */
  place: string;
  /** What is said of the pair; nothing when it was left. */
  onDone: (said?: string) => void;
}

/** The same measure a second time, without looking at the first: how steady this hand is. The reading stays what it was. */
export function MeasureAgain({ measure, first, date, place, onDone }: AgainProps) {
  const settings = useSettings();
  const wording = useWording();
  const { settle } = useEdits();
  const draftKey = `${place}.again.${measure}`;
  const [text, setText] = useState(() => draftAt(draftKey) ?? "");
  const [issue, setIssue] = useState<Issue>();
  const { kind } = MEASURE_FACTS[measure];
  const type = (next: string) => {
    void keepDraft(draftKey, next);
    setText(next);
    setIssue(undefined);
  };
  const forget = () => {
    void dropDraft(draftKey);
    setText("");
  };
  const pad = usePad({ view: () => ({ text, typed: true }), type: (_, next) => type(next), forget }, "again");
  /** Reads what was typed; false where it cannot be read. */
  const read = (): Measured | undefined | false => {
    const again = readMeasured(measure, text, wording, first.source);
    setIssue(again.ok ? undefined : again.issues[0]);
    return again.ok && again.value;
  };
  const end = () => {
    const again = read();
    if (!again) return;
    const pair = { date, measure, a: first.value, b: again.value };
    void settle(pairEdit(settings, [pair], `${wording.measure(measure)}, again`), draftKey);
    onDone(pairInWords(settings, pair, wording));
  };
  return (
    <div className="again-lane">
      <FastLane
        fields={[
          {
            name: "again" as const,
            label: `${wording.measure(measure)} a second time, without looking`,
            hint: MEASURE_FACTS[measure].how,
            kind,
            text,
            typed: text !== "",
            issue,
          },
        ]}
        active="again"
        unit={wording.unit}
        lastName=""
        onActive={() => undefined}
        onType={(_, next) => type(next)}
        onSettle={() => text === "" || read() !== false}
        {...pad}
        onSame={() => undefined}
        onEnd={end}
        picture={null}
      />
      <div className="again-end">
        <button type="button" className="text-button" onClick={end}>
          Keep the pair
        </button>
        <button
          type="button"
          className="text-button"
          onClick={() => {
            forget();
            onDone();
          }}
        >
          Leave it
        </button>
      </div>
    </div>
  );
}

/** Pairs put to those that are kept. */
export const pairEdit = (settings: Settings, pairs: readonly Pair[], label: string): Edit => ({
  table: "settings",
  id: "settings",
  path: ["pairs"],
  was: settings.pairs,
  now: pairs.reduce<Pair[]>((all, pair) => withPair(all, pair), settings.pairs),
  label,
});

/** How far the two are apart, and how many more it takes until noise is one's own. */
function pairInWords(settings: Settings, pair: Pair, wording: Wording): string {
  const { kind } = MEASURE_FACTS[pair.measure];
  const pairs = withPair(settings.pairs, pair);
  const count = pairsOf(pairs, kind).length;
  const apart = showMeasured(pair.measure, Math.abs(pair.b - pair.a), wording);
  return `${wording.measure(pair.measure)}: ${apart}${kind === "angle" ? "°" : ` ${wording.unit}`} apart. ${count < 10 ? `${count} of 10 ${kind} pairs.` : `Smallest real change: ${noiseOf({ pairs }).source}.`}`;
}
