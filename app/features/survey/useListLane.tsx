import { useState } from "react";
import type { StageContext } from "~app/stage/stageContext";
import { useEdits } from "~app/ui/useEdits";
import { useFields, type Field } from "~app/ui/useField";
import { useWording } from "~app/ui/useWording";
import type { Measured, Source } from "~core/foot/measures";
import type { Pair } from "~core/foot/records/pairs";
import type { Moment } from "~core/foot/records/reading";
import { footEdit, footPlace } from "~core/record/footRecords";
import { ok, type Result } from "~core/result";
import { FastLane, type LaneField } from "./FastLane";
import { useAgain, withAgain } from "./useAgain";
import { usePad } from "./usePad";

/** One measure of a list that is gone through in order. */
export interface ListItem {
  id: Exclude<Pair["measure"], undefined>;
  /** In the user's own words, as the hint. */
  name: string;
  hint: string;
  kind: "angle" | "length";
  signed?: boolean;
  /** Where in the reading it is kept. */
  path: readonly string[];
  stored: Measured | undefined;
  last: Measured | undefined;
  /** A value as its field shows it, and what was typed as the value that is kept. */
  show: (value: number) => string;
  read: (text: string) => Result<number>;
  source: Source;
  /** −1 where the kept value has the other sign than the one that is read. */
  sign?: 1 | -1;
}

/** Measures gone through one after the other, typed, by pad or by instrument, each kept at its place in the reading. */
export function useListLane(context: StageContext, moment: Moment, items: readonly ListItem[]) {
  const { visit, limb, feet } = context;
  const wording = useWording();
  const { save } = useEdits();
  const [active, setActive] = useState<string>(items[0]?.id ?? "");
  const blank = footPlace("readings", visit, limb, moment);
  const existing = feet[limb].reading[moment];
  const edit = (one: ListItem, was: Measured | undefined, now: Measured | undefined) =>
    footEdit(blank, "readings", existing, {
      path: one.path,
      was,
      now,
      label: `${wording.limb(limb)} ${one.name.toLowerCase()}`,
    });
  const drafted = useFields(
    Object.fromEntries(
      items.map((one): [string, Field<Measured>] => [
        one.id,
        {
          draftKey: `${blank.id}.${one.path.join(".")}`,
          stored: one.stored,
          show: ({ value }) => one.show(value),
          read: (text) => {
            if (text.trim() === "") return ok(undefined);
            const read = one.read(text);
            return read.ok ? ok({ value: (one.sign ?? 1) * read.value, source: one.source }) : read;
          },
          edit: (was, now) => edit(one, was, now),
        },
      ]),
    ),
  );
  const { view, type, settle, forget } = drafted;
  const pad = usePad(drafted, active);
  const chosen = items.find(({ id }) => id === active);
  const again = useAgain(
    chosen?.stored && {
      measure: chosen.id,
      name: chosen.name,
      hint: chosen.hint,
      kind: chosen.kind,
      first: (chosen.sign ?? 1) * chosen.stored.value,
      place: blank.id,
      date: visit.date,
      read: (text) => (text.trim() === "" ? ok(undefined) : chosen.read(text)),
      show: chosen.show,
    },
  );
  const fields = items.map((one): LaneField<string> => {
    const { text, typed, issue } = view(one.id);
    return {
      name: one.id,
      label: one.name,
      hint: one.hint,
      kind: one.kind,
      signed: one.signed ?? false,
      text,
      typed,
      issue,
      last: one.last && { text: one.show(one.last.value) },
      aside: one.stored && !typed && <span className="quiet lane-from">{one.stored.source}</span>,
    };
  });
  const laneView = (parts: { picture: React.ReactNode; onEnd: () => void }) =>
    withAgain(
      again,
      <FastLane
        fields={fields}
        active={active}
        unit={wording.unit}
        lastName={moment === "before" ? "last" : "before"}
        onActive={setActive}
        onType={type}
        onSettle={settle}
        {...pad}
        onSame={() => {
          if (!chosen?.last) return;
          type(active, chosen.show(chosen.last.value));
          settle(active);
        }}
        {...parts}
      />,
    );
  /** A reading from an instrument: into the active measure, then on to the next; undefined where it is of the other kind. */
  const take = (kind: ListItem["kind"], value: number, source: Source): string | undefined => {
    if (!chosen || chosen.kind !== kind) return undefined;
    void save(edit(chosen, chosen.stored, { value: (chosen.sign ?? 1) * value, source }));
    forget(active);
    setActive(items[items.indexOf(chosen) + 1]?.id ?? active);
    return chosen.name;
  };
  /** What is being typed and can be read, by measure: the drawing follows it. */
  const typedValues = items.flatMap((one) => {
    const { value, typed } = view(one.id);
    return typed && value ? [{ path: one.path, value }] : [];
  });
  return { laneView, take, typedValues, active, measuringAgain: again.lane !== undefined };
}
