import { NumberInput } from "~app/ui/NumberInput";
import { useId } from "react";
import { useField, type Field } from "./useField";

interface TypedFieldProps<T> extends Field<T> {
  label: string;
  unit: string;
  placeholder?: string;
  /** A line of words instead of a number. */
  words?: boolean;
}

/** One short value with its unit: refused at its place, kept as it was typed. */
export function TypedField<T>({ label, unit, placeholder, words = false, ...over }: TypedFieldProps<T>) {
  const id = useId();
  const field = useField(over);
  return (
    <label className="spec-field" htmlFor={id}>
      <span>{label}</span>
      <span className="spec-number">
        <NumberInput
          id={id}
          view={field}
          placeholder={placeholder}
          {...(words && { inputMode: "text" as const, maxLength: 200 })}
          saidBy={field.issue && `${id}-said`}
          onType={field.type}
          onSettle={field.settle}
        />
        <span className="quiet">{unit}</span>
      </span>
      {field.issue && (
        <span className="spec-issue ember" role="alert" id={`${id}-said`}>
          {field.issue.message}
        </span>
      )}
    </label>
  );
}
