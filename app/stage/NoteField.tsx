import { Input } from "antd";
import { memo, useId } from "react";
import { useFields } from "~app/ui/useField";
import { ok } from "~core/result";
import type { Visit } from "~core/record/visit";

interface NoteFieldProps {
  visit: Visit;
  /** Where in the visit the text lives. */
  path: readonly string[];
  stored: string;
  label: string;
  hint: string;
}

/** Free text in a visit, kept letter by letter. */
export const NoteField = memo(function NoteField({ visit, path, stored, label, hint }: NoteFieldProps) {
  const id = useId();
  const blank = path.length > 1 ? undefined : "";
  const draftKey = `${visit.id}/${path.join("/")}`;
  const { view, type, settle } = useFields({
    note: {
      draftKey,
      stored,
      show: (text: string) => text,
      read: (text) => ok(text),
      edit: (was, now) => ({
        table: "visits",
        id: visit.id,
        path,
        was: was || blank,
        now: now || blank,
        label: label.toLowerCase(),
      }),
    },
  });
  const note = view("note");
  return (
    <div className="note-field">
      <label htmlFor={id}>{label}</label>
      <Input.TextArea
        id={id}
        autoSize={{ minRows: 3, maxRows: 14 }}
        maxLength={10_000}
        placeholder={hint}
        value={note.text}
        data-typed={note.typed}
        onChange={(event) => type("note", event.target.value)}
        onBlur={() => settle("note")}
      />
    </div>
  );
});
