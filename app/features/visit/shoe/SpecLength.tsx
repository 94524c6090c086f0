import { useId } from "react";
import { useWording } from "~app/ui/useWording";
import { specificationSchema } from "~core/record/shoe";
import type { SpecField } from "~core/shoe/specification";
import { fail, ok, type Result } from "~core/result";
import { parseLength } from "~core/units/length";
import { cutInField } from "../trim/useTypedCuts";
import { useTyped } from "./useTyped";

interface SpecLengthProps {
  label: string;
  field: SpecField;
  draftKey: string;
  mm: number;
  onKeep: (mm: number, draftKey: string) => void;
}

/** A length of the specification: typed in millimetres or fractions, refused at its place, kept as it was typed. */
export function SpecLength({ label, field, draftKey, mm, onKeep }: SpecLengthProps) {
  const wording = useWording();
  const id = useId();
  const read = (text: string): Result<number> => {
    const length = parseLength(text, wording.unit);
    if (!length.ok) return length;
    const checked = specificationSchema.shape[field].safeParse(length.value);
    return checked.success
      ? ok(length.value)
      : fail("out-of-range", field, checked.error.issues[0]?.message ?? "This length is not read.");
  };
  const { text, issue, type, settle } = useTyped({
    draftKey,
    value: mm,
    show: (value) => cutInField(value, wording),
    read,
    onKeep,
  });
  return (
    <label className="spec-field" htmlFor={id}>
      <span>{label}</span>
      <span className="spec-number">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          data-numeric="true"
          value={text}
          aria-invalid={issue !== undefined}
          aria-describedby={issue ? `${id}-said` : undefined}
          onFocus={(event) => event.target.select()}
          onChange={(event) => type(event.target.value)}
          onBlur={settle}
          onKeyDown={(event) => {
            if (event.key === "Enter") settle();
          }}
        />
        <span className="quiet">{wording.unit}</span>
      </span>
      {issue && (
        <span className="spec-issue ember" role="alert" id={`${id}-said`}>
          {issue.message}
        </span>
      )}
    </label>
  );
}
