import type { Issue } from "~core/result";

interface RuleInputProps {
  /** The id of the element that names it. */
  labelledBy: string;
  text: string;
  issue: Issue | undefined;
  typed?: boolean;
  placeholder?: string;
  onType: (text: string) => void;
  onSettle: () => void;
}

/** A number of the user's own beside the house's, with its error under it. */
export function RuleInput({ labelledBy, text, issue, typed, placeholder, onType, onSettle }: RuleInputProps) {
  return (
    <>
      <input
        className="bounds-input"
        aria-labelledby={labelledBy}
        data-typed={typed}
        inputMode="decimal"
        placeholder={placeholder}
        value={text}
        aria-invalid={issue !== undefined}
        onChange={(event) => onType(event.target.value)}
        onBlur={onSettle}
        onKeyDown={(event) => event.key === "Enter" && onSettle()}
      />
      {issue && (
        <p className="ember" role="alert">
          {issue.message}
        </p>
      )}
    </>
  );
}
