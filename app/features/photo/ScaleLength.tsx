import { NumberInput } from "~app/ui/NumberInput";
import { useId, useState } from "react";
import { useWording } from "~app/ui/useWording";
import type { Issue } from "~core/result";

interface ScaleLengthProps {
  /** What is typed and not yet a scale. */
  text: string;
  mm: number | undefined;
  issue: Issue | undefined;
  onType: (text: string) => void;
  onLeave: () => void;
}

/** The known length between the two ends of a scale; what cannot be read stays as it was typed, with the reason. */
export function ScaleLength({ text, mm, issue, onType, onLeave }: ScaleLengthProps) {
  const wording = useWording();
  const id = useId();
  const [left, setLeft] = useState(false);
  const wrong = left ? issue?.message : undefined;
  const leave = () => {
    setLeft(true);
    onLeave();
  };
  return (
    <div className="photo-scale">
      <label htmlFor={id}>Known length</label>
      <NumberInput
        id={id}
        view={{ text: text === "" && mm !== undefined ? wording.length(mm) : text, issue: wrong }}
        saidBy={`${id}-said`}
        onType={(next) => {
          setLeft(false);
          onType(next);
        }}
        onSettle={leave}
      />
      <span id={`${id}-said`} className={wrong ? "ember" : "quiet"} role={wrong ? "alert" : undefined}>
        {wrong ??
          (mm === undefined
            ? "how long is what you mark the ends of?"
            : "weaker than the card: true only for a square picture")}
      </span>
    </div>
  );
}
