import { useWording } from "~app/ui/useWording";
import { specificationSchema } from "~core/shoe/shoeRecord";
import type { LengthField } from "~core/shoe/specification";
import type { Edit } from "~core/record/edit";
import { fail, ok, type Result } from "~core/result";
import { parseLength } from "~core/units/length";
import { cutInField } from "~app/stage/cutText";
import { TypedField } from "~app/ui/TypedField";

interface SpecLengthProps {
  label: string;
  field: LengthField;
  draftKey: string;
  mm: number;
  edit: (mm: number) => readonly Edit[];
}

/** A length of the specification: typed in millimetres or fractions, refused at its place, kept as it was typed. */
export function SpecLength({ label, field, draftKey, mm, edit }: SpecLengthProps) {
  const wording = useWording();
  const read = (text: string): Result<number> => {
    // A branch can be short of its support: a minus before any length.
    const [, minus = "", size = ""] = /^\s*([-−]?)(.*)$/s.exec(text) ?? [];
    const length = parseLength(size, wording.unit);
    if (!length.ok) return length;
    const value = minus === "" ? length.value : -length.value;
    const checked = specificationSchema.shape[field].safeParse(value);
    return checked.success
      ? ok(value)
      : fail("out-of-range", field, checked.error.issues[0]?.message ?? "This length is not read.");
  };
  return (
    <TypedField
      label={label}
      unit={wording.unit}
      draftKey={draftKey}
      stored={mm}
      show={(value) => `${value < 0 ? "−" : ""}${cutInField(Math.abs(value), wording)}`}
      read={read}
      edit={(_, now) => edit(now ?? mm)}
    />
  );
}
