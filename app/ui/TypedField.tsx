import { useId } from "react";
import { useField, type Field } from "./useField";
import "./typedField.css";

interface TypedFieldProps<T> extends Field<T> {
  label: string;
  unit: string;
  placeholder?: string;
}

/** One short value with its unit: refused at its place, kept as it was typed. */
export function TypedField<T>({ label, unit, placeholder, ...field }: TypedFieldProps<T>) {
  const id = useId();
  const { text, issue, type, settle, typed } = useField(field);
  return (
    <label className="spec-field" htmlFor={id}>
      <span>{label}</span>
      <span className="spec-number">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          data-numeric="true"
          data-typed={typed}
          value={text}
          placeholder={placeholder}
          aria-invalid={issue !== undefined}
          aria-describedby={issue ? `${id}-said` : undefined}
          onFocus={(event) => event.target.select()}
          onChange={(event) => type(event.target.value)}
          onBlur={settle}
          onKeyDown={(event) => {
            if (event.key === "Enter") settle();
          }}
        />
        <span className="quiet">{unit}</span>
      </span>
      {issue && (
        <span className="spec-issue ember" role="alert" id={`${id}-said`}>
          {issue.message}
        </span>
      )}
    </label>
  );
}
