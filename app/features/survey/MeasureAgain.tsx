import { TextButton } from "~app/ui/TextButton";
import { useEffect, useRef, useState } from "react";
import { draftsAt } from "~app/data/drafts";
import { useDraftText } from "~app/ui/useField";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { pairsOf, type Pair } from "~core/foot/records/pairs";
import type { Issue, Result } from "~core/result";
import { FastLane } from "./FastLane";
import { pairEdit, pairsSaid } from "~app/stage/pairEdit";
import { usePad } from "./usePad";

/** What is measured a second time. */
export interface Again {
  measure: Pair["measure"];
  name: string;
  hint: string;
  kind: "angle" | "length";
  first: number;
  /** Tells drafts of different feet apart. */
  place: string;
  date: string;
  read: (text: string) => Result<number | undefined>;
  show: (value: number) => string;
}

interface AgainProps extends Again {
  /** What is said of the pair; nothing when it was left. */
  onDone: (said?: string) => void;
}

/** The same measure a second time, without looking at the first: how steady this hand is. The reading stays what it was. */
export function MeasureAgain({
  measure,
  name,
  hint,
  kind,
  first,
  date,
  place,
  read,
  show,
  onDone,
}: AgainProps) {
  const settings = useSettings();
  const wording = useWording();
  const { saveWith } = useEdits();
  const lane = useRef<HTMLDivElement>(null);
  useEffect(() => {
    lane.current?.scrollIntoView({ block: "center" });
  }, []);
  const draftKey = `${place}.again.${measure}`;
  const { text, type: typeDraft, forget } = useDraftText(draftKey);
  const [issue, setIssue] = useState<Issue>();
  const type = (next: string) => {
    typeDraft(next);
    setIssue(undefined);
  };
  const pad = usePad({ view: () => ({ text, typed: true }), type: (_, next) => type(next), forget }, "again");
  /** The number that was typed; false where it cannot be read. */
  const typed = (): number | undefined | false => {
    const again = read(text);
    setIssue(again.ok ? undefined : again.issues[0]);
    return again.ok && again.value;
  };
  const end = () => {
    const again = typed();
    if (again === undefined || again === false) return;
    const edit = pairEdit(settings, [{ date, measure, a: first, b: again }], `${name}, again`);
    void saveWith([edit], draftsAt(draftKey));
    const apart = `${show(Math.abs(again - first))}${kind === "angle" ? "°" : ` ${wording.unit}`} apart`;
    onDone(`${name}: ${apart}. ${pairsSaid(edit.now, kind, pairsOf(edit.now, kind).length)}`);
  };
  return (
    <div ref={lane}>
      <FastLane
        fields={[
          {
            name: "again" as const,
            label: `${name} a second time, without looking`,
            hint,
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
        onSettle={() => text === "" || typed() !== false}
        {...pad}
        onSame={() => undefined}
        onEnd={end}
        picture={null}
      />
      <p className="quiet">Drawings and readings are covered until you have done.</p>
      <div className="again-end">
        <TextButton onClick={end}>Keep the pair</TextButton>
        <TextButton
          onClick={() => {
            forget();
            onDone();
          }}
        >
          Leave it
        </TextButton>
      </div>
    </div>
  );
}
