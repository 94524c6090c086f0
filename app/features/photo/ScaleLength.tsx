import { useId, useState } from "react";
import { useWording } from "~app/ui/useWording";
import { fail, type Result } from "~core/result";
import { parseLength } from "~core/units/length";

/** The known length between the two ends of a scale; what cannot be read stays as it was typed, with the reason. */
export function ScaleLength({ mm, onRead }: { mm: number | undefined; onRead: (mm: number) => void }) {
  const wording = useWording();
  const id = useId();
  const [text, setText] = useState<string>();
  const [wrong, setWrong] = useState<string>();
  const read = (typed: string): Result<number> => {
    const length = parseLength(typed, wording.unit);
    return length.ok && length.value <= 0
      ? fail("no-length", "scale", "A scale must have a length.")
      : length;
  };
  const settle = () => {
    if (text === undefined) return;
    const length = read(text);
    setWrong(length.ok ? undefined : length.issues[0]?.message);
    if (length.ok) onRead(length.value);
  };
  return (
    <div className="photo-scale">
      <label htmlFor={id}>Known length</label>
      <input
        id={id}
        value={text ?? (mm === undefined ? "" : wording.length(mm))}
        inputMode="decimal"
        aria-invalid={wrong !== undefined}
        aria-describedby={`${id}-said`}
        onChange={(event) => setText(event.target.value)}
        onBlur={settle}
        onKeyDown={(event) => event.key === "Enter" && settle()}
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
