import { useId } from "react";
import { useTyped, type Typed } from "./useTyped";
import "./typedField.css";

interface TypedFieldProps<T> extends Typed<T> {
  label: string;
  unit: string;
  placeholder?: string;
}

/** One short value with its unit: refused at its place, kept as it was typed. */
export function TypedField<T>({ label, unit, placeholder, ...typed }: TypedFieldProps<T>) {
  const id = useId();
  const { text, issue, type, settle } = useTyped(typed);
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
