import { useState } from "react";
import type { StageContext } from "~app/stage/stageContext";
import { useFields, type Field } from "~app/ui/useField";
import { useWording } from "~app/ui/useWording";
import { checkHandMeasure, HAND_MEASURES, isSigned, type HandMeasure } from "~core/foot/handMeasures";
import type { Measured } from "~core/foot/measures";
import type { Moment, Reading } from "~core/foot/records/reading";
import { lengthInField, type Wording } from "~core/foot/wording";
import { footEdit, footPlace } from "~core/record/footRecords";
import { ok, type Result } from "~core/result";
import { parseAngle } from "~core/units/angle";
import { parseLength } from "~core/units/length";
import { FastLane, type LaneField } from "./FastLane";
import { usePad } from "./usePad";

type HandValues = Pick<Reading, "side" | "rear" | "heights">;

const storedAt = (of: Partial<HandValues> | undefined, { group, id }: HandMeasure): Measured | undefined =>
  (of?.[group] as Partial<Record<string, Measured>> | undefined)?.[id];

function show(one: HandMeasure, value: number, wording: Wording): string {
  const size =
    one.kind === "length"
      ? lengthInField(Math.abs(value), wording)
      : String(Math.round(Math.abs(value) * 10) / 10);
  return value < 0 && Number(size) !== 0 ? `−${size}` : size;
}

function read(one: HandMeasure, text: string, wording: Wording): Result<Measured | undefined> {
  const typed = text.trim();
  if (typed === "") return ok(undefined);
  const minus = isSigned(one) && /^[-−–]/.test(typed);
  const size = minus ? typed.slice(1) : typed;
  const number = one.kind === "angle" ? parseAngle(size) : parseLength(size, wording.unit);
  if (!number.ok) return number;
  const checked = checkHandMeasure(
    { ...one, name: wording.inOwnWords(one.name) },
    minus ? -number.value : number.value,
  );
  return checked.ok ? ok({ value: checked.value, source: one.source }) : checked;
}

/** What gauge, rule and level give beyond the fast lane, one after the other in the order of the hand. */
export function useHandLane(context: StageContext, moment: Moment, before: Partial<HandValues> | undefined) {
  const { visit, limb, feet } = context;
  const wording = useWording();
  const [active, setActive] = useState<string>(HAND_MEASURES[0]?.id ?? "");
  const blank = footPlace("readings", visit, limb, moment);
  const existing = feet[limb].reading[moment];
  const fields = Object.fromEntries(
    HAND_MEASURES.map((one): [string, Field<Measured>] => [
      one.id,
      {
        draftKey: `${blank.id}.${one.group}.${one.id}`,
        stored: storedAt(existing, one),
        show: ({ value }) => show(one, value, wording),
        read: (text) => read(one, text, wording),
        edit: (was, now) =>
          footEdit(blank, "readings", existing, {
            path: [one.group, one.id],
            was,
            now,
            label: `${wording.limb(limb)} ${wording.inOwnWords(one.name).toLowerCase()}`,
          }),
      },
    ]),
  );
  const { view, type, settle, forget } = useFields(fields);
  const pad = usePad({ view, type, forget }, active);
  /** The reading with what is being typed in it, so that drawing and findings follow the hand. */
  const withTyped = <Of extends Partial<HandValues>>(reading: Of): Of => {
    let now = reading;
    for (const one of HAND_MEASURES) {
      const { typed, value } = view(one.id);
      if (typed && value) now = { ...now, [one.group]: { ...now[one.group], [one.id]: value } };
    }
    return now;
  };
  const lane = HAND_MEASURES.map((one): LaneField<string> => {
    const { text, typed, issue } = view(one.id);
    const last = storedAt(before, one);
    const source = storedAt(existing, one)?.source;
    return {
      name: one.id,
      label: wording.inOwnWords(one.name),
      hint: wording.inOwnWords(one.how),
      kind: one.kind,
      signed: isSigned(one),
      text,
      typed,
      issue,
      last: last && { text: show(one, last.value, wording) },
      aside: source && !typed && <span className="quiet lane-from">{source}</span>,
    };
  });
  const handView = (parts: { picture: React.ReactNode; onEnd: () => void }) => (
    <div className="bench-lane">
      <FastLane
        fields={lane}
        active={active}
        unit={wording.unit}
        lastName={moment === "before" ? "last" : "before"}
        onActive={setActive}
        onType={type}
        onSettle={settle}
        {...pad}
        onSame={() => {
          const one = HAND_MEASURES.find(({ id }) => id === active);
          const last = one && storedAt(before, one);
          if (!last) return;
          type(active, show(one, last.value, wording));
          settle(active);
        }}
        onEnd={parts.onEnd}
        picture={parts.picture}
      />
    </div>
  );
  return { withTyped, handView };
}
