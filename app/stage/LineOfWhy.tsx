import { NumberInput } from "~app/ui/NumberInput";
import { useId } from "react";
import { ok } from "~core/result";
import { useField } from "~app/ui/useField";
import type { Edit } from "~core/record/edit";

interface LineOfWhyProps {
  label: string;
  hint: string;
  draftKey: string;
  stored: string;
  edit: (text: string) => readonly Edit[];
}

/** One line that says why something stands as it is. */
export function LineOfWhy({ label, hint, draftKey, stored, edit }: LineOfWhyProps) {
  const id = useId();
  const { text, type, settle } = useField<string>({
    draftKey,
    stored,
    show: (value) => value,
    read: (typed) => ok(typed.trim()),
    edit: (_, now) => edit(now ?? ""),
  });
  return (
    <div className="line-of-why">
      <label htmlFor={id}>{label}</label>
      <NumberInput
        id={id}
        inputMode="text"
        maxLength={200}
        placeholder={hint}
        view={{ text }}
        onType={type}
        onSettle={settle}
      />
    </div>
  );
}
