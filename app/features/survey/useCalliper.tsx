import { useState } from "react";
import { useFields, type Field } from "~app/ui/useField";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import type { Measured } from "~core/foot/measures";
import { CALLIPER_LENGTHS, checkCalliper } from "~core/foot/survey/calliper";
import { withValueAt } from "~core/record/edit";
import { footEdit, footPlace } from "~core/record/footRecords";
import type { Moment, SoleRecord } from "~core/foot/records/reading";
import { isInstrumentLine, readInstrumentLine } from "~core/instrument/line";
import { fail, ok, type Result } from "~core/result";
import { parseLength } from "~core/units/length";
import type { StageContext } from "~app/stage/stageContext";
import { FastLane, type LaneField } from "./FastLane";
import { lengthInField } from "~core/foot/wording";
import { useAgain, withAgain } from "./useAgain";
import { usePad } from "./usePad";

/** A typed length, or the line of a calliper that types by itself. */
function lengthFrom(text: string, unit: "mm" | "in"): Result<number> {
  if (!isInstrumentLine(text)) return parseLength(text, unit);
  const line = readInstrumentLine(text);
  if (!line.ok) return line;
  return line.value.kind === "length"
    ? ok(line.value.value)
    : fail("wrong-unit", "", "This is a length: use the calliper.");
}

/** A typed length that a sole can have. */
function checkedLength(one: { id: string; name: string }, text: string, unit: "mm" | "in"): Result<number> {
  const read = lengthFrom(text, unit);
  return read.ok ? checkCalliper(one, read.value) : read;
}

/** The sole by calliper: lengths in the order one measures, each a coordinate of a mark; drawn as they are typed. */
export function useCalliper(context: StageContext, moment: Moment, stored: SoleRecord, last: SoleRecord) {
  const { visit, limb, feet } = context;
  const wording = useWording();
  const { save } = useEdits();
  const [active, setActive] = useState(CALLIPER_LENGTHS[0]?.id ?? "");
  const blank = footPlace("readings", visit, limb, moment);
  const existing = feet[limb].reading[moment];
  const fields = Object.fromEntries(
    CALLIPER_LENGTHS.map((one): [string, Field<Measured>] => [
      one.id,
      {
        draftKey: `${blank.id}.sole.${one.id}`,
        stored: stored[one.mark]?.[one.axis],
        show: ({ value }) =>
          lengthInField(Math.abs(value), wording, wording.unit === "mm" && value % 1 !== 0 ? 1 : 0),
        read: (text) => {
          if (text.trim() === "") return ok(undefined);
          const checked = checkedLength(
            { id: one.id, name: wording.inOwnWords(one.name) },
            text,
            wording.unit,
          );
          return checked.ok ? ok({ value: one.sign * checked.value, source: "calliper" as const }) : checked;
        },
        edit: (was, now) =>
          footEdit(blank, "readings", existing, {
            path: ["sole", one.mark, one.axis],
            was,
            now,
            label: `${wording.limb(limb)} ${wording.inOwnWords(one.name).toLowerCase()}`,
          }),
      },
    ]),
  );
  const { view, type, settle, forget } = useFields(fields);
  const pad = usePad({ view, type, forget }, active);
  let sole = stored;
  for (const one of CALLIPER_LENGTHS) {
    const { value, typed } = view(one.id);
    if (typed && value) sole = withValueAt(sole, [one.mark, one.axis], value);
  }
  const lane = CALLIPER_LENGTHS.map((one): LaneField<string> => {
    const { text, typed, issue } = view(one.id);
    const before = last[one.mark]?.[one.axis];
    const source = stored[one.mark]?.[one.axis]?.source;
    return {
      name: one.id,
      label: wording.inOwnWords(one.name),
      hint: wording.inOwnWords(one.how),
      kind: "length",
      text,
      typed,
      issue,
      last: before && { text: lengthInField(Math.abs(before.value), wording) },
      aside: source && !typed && <span className="quiet lane-from">{source}</span>,
    };
  });
  const chosen = CALLIPER_LENGTHS.find(({ id }) => id === active);
  const first = chosen && stored[chosen.mark]?.[chosen.axis];
  const again = useAgain(
    first && {
      measure: chosen.id,
      name: wording.inOwnWords(chosen.name),
      hint: wording.inOwnWords(chosen.how),
      kind: "length",
      first: Math.abs(first.value),
      place: `${blank.id}.sole`,
      date: visit.date,
      read: (text) =>
        text.trim() === ""
          ? ok(undefined)
          : checkedLength({ id: chosen.id, name: wording.inOwnWords(chosen.name) }, text, wording.unit),
      show: (value) => lengthInField(value, wording, wording.unit === "mm" ? 1 : 0),
    },
  );
  const calliperView = (parts: { picture: React.ReactNode; onEnd: () => void }) =>
    withAgain(
      again,
      <FastLane
        fields={lane}
        active={active}
        unit={wording.unit}
        lastName="last"
        onActive={setActive}
        onType={type}
        onSettle={settle}
        {...pad}
        onSame={() => {
          const one = CALLIPER_LENGTHS.find(({ id }) => id === active);
          const before = one && last[one.mark]?.[one.axis];
          if (!before) return;
          type(active, lengthInField(Math.abs(before.value), wording));
          settle(active);
        }}
        onEnd={parts.onEnd}
        picture={parts.picture}
      />,
    );
  /** A length from an instrument: into the active field, then on to the next. */
  const take = (value: number, source: Measured["source"]): string | undefined => {
    const one = CALLIPER_LENGTHS.find(({ id }) => id === active);
    if (!one) return undefined;
    void save(
      footEdit(blank, "readings", existing, {
        path: ["sole", one.mark, one.axis],
        was: stored[one.mark]?.[one.axis],
        now: { value: one.sign * value, source },
        label: `${wording.limb(limb)} ${wording.inOwnWords(one.name).toLowerCase()}`,
      }),
    );
    forget(active);
    setActive(CALLIPER_LENGTHS[CALLIPER_LENGTHS.indexOf(one) + 1]?.id ?? active);
    return wording.inOwnWords(one.name);
  };
  return { sole, calliperView, take, active, measuringAgain: again.lane !== undefined };
}
