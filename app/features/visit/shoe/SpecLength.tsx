import { useWording } from "~app/ui/useWording";
import { specificationSchema } from "~core/record/shoe";
import type { SpecField } from "~core/shoe/specification";
import { fail, ok, type Result } from "~core/result";
import { parseLength } from "~core/units/length";
import { cutInField } from "../trim/useTypedCuts";
import { TypedField } from "./TypedField";

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
  const read = (text: string): Result<number> => {
    const length = parseLength(text, wording.unit);
    if (!length.ok) return length;
    const checked = specificationSchema.shape[field].safeParse(length.value);
    return checked.success
      ? ok(length.value)
      : fail("out-of-range", field, checked.error.issues[0]?.message ?? "This length is not read.");
  };
  return (
    <TypedField
      label={label}
      unit={wording.unit}
      draftKey={draftKey}
      value={mm}
      show={(value) => cutInField(value, wording)}
      read={read}
      onKeep={onKeep}
    />
  );
}
