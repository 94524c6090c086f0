import { useId, useState } from "react";
import { NumberInput } from "~app/ui/NumberInput";
import type { Issue, Result } from "~core/result";

interface AskedNumberProps {
  label: string;
  unit: string;
  value: number;
  /** How the number stands in its field; plainly unless given. */
  show?: (value: number) => string;
  read: (text: string) => Result<number>;
  onKeep: (value: number) => void;
}

const plainly = (value: number): string => String(value).replace("-", "−");

/**
 * A number that is asked of a question, not of a record: it goes into the address when it is left. What cannot be read stays
 * as it was typed, with the reason.
 */
export function AskedNumber({ label, unit, value, show = plainly, read, onKeep }: AskedNumberProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | undefined>(undefined);
  const [issue, setIssue] = useState<Issue | undefined>(undefined);
  const settle = () => {
    if (typed === undefined) return;
    const found = read(typed);
    if (!found.ok) return setIssue(found.issues[0]);
    setTyped(undefined);
    setIssue(undefined);
    if (found.value !== value) onKeep(found.value);
  };
  return (
    <label className="spec-field" htmlFor={id}>
      <span>{label}</span>
      <span className="spec-number">
        <NumberInput
          id={id}
          view={{ text: typed ?? show(value), typed: typed !== undefined, issue }}
          saidBy={issue && `${id}-said`}
          onType={(text) => {
            setTyped(text);
            setIssue(undefined);
          }}
          onSettle={settle}
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
