import { NumberInput } from "~app/ui/NumberInput";
import { useFields } from "~app/ui/useField";
import { ok } from "~core/result";
import type { Edit } from "~core/record/edit";

interface FindNoteProps {
  draftKey: string;
  stored: string;
  label: string;
  edit: (was: string, now: string) => Edit;
}

/** A line about one find, kept letter by letter. */
export function FindNote({ draftKey, stored, label, edit }: FindNoteProps) {
  const { view, type, settle } = useFields({
    note: {
      draftKey,
      stored,
      show: (text: string) => text,
      read: (text) => ok(text),
      edit: (was, now) => edit(was ?? "", now ?? ""),
    },
  });
  const { text, typed } = view("note");
  return (
    <NumberInput
      className="find-note"
      inputMode="text"
      label={label}
      placeholder="how large, how deep, since when"
      maxLength={200}
      view={{ text, typed }}
      onType={(next) => type("note", next)}
      onSettle={() => settle("note")}
    />
  );
}
