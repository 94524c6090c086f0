import { useId } from "react";
import { ok } from "~core/result";
import { useTyped } from "~app/ui/useTyped";

interface LineOfWhyProps {
  label: string;
  hint: string;
  draftKey: string;
  stored: string;
  onKeep: (text: string, draftKey: string) => void;
}

/** One line that says why something stands as it is. */
export function LineOfWhy({ label, hint, draftKey, stored, onKeep }: LineOfWhyProps) {
  const id = useId();
  const { text, type, settle } = useTyped({
    draftKey,
    value: stored,
    show: (value) => value,
    read: (typed) => ok(typed.trim()),
    onKeep,
  });
  return (
    <div className="line-of-why">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        maxLength={200}
        placeholder={hint}
        value={text}
        onChange={(event) => type(event.target.value)}
        onBlur={settle}
        onKeyDown={(event) => {
          if (event.key === "Enter") settle();
        }}
      />
    </div>
  );
}
