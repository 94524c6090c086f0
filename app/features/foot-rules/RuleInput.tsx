import { NumberInput } from "~app/ui/NumberInput";
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
      <NumberInput
        className="bounds-input"
        labelledBy={labelledBy}
        placeholder={placeholder}
        view={{ text, typed, issue }}
        onType={onType}
        onSettle={onSettle}
      />
      {issue && (
        <p className="ember" role="alert">
          {issue.message}
        </p>
      )}
    </>
  );
}
