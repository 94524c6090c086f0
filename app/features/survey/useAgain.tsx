import { TextButton } from "~app/ui/TextButton";
import { useState } from "react";
import { useShortcuts } from "~app/ui/useShortcuts";
import { MeasureAgain, type Again } from "./MeasureAgain";

/** "Measure it again" for the number that is chosen: the way in, the lane while it is open, and what came of it. */
export function useAgain(chosen: Again | undefined) {
  const [again, setAgain] = useState<Again>();
  const [said, setSaid] = useState<string>();
  const start = () => {
    if (!chosen) return;
    setSaid(undefined);
    setAgain(chosen);
  };
  useShortcuts({ m: start, "alt+m": start });
  return {
    lane: again && (
      <MeasureAgain
        key={`${again.place}.${again.measure}`}
        {...again}
        onDone={(pairSaid) => {
          setSaid(pairSaid);
          setAgain(undefined);
        }}
      />
    ),
    view: (
      <div className="again">
        {!again && chosen && (
          <TextButton className="again-start" onClick={start}>
            {chosen.name}: measure it again
          </TextButton>
        )}
        {said && (
          <p className="quiet" role="status">
            {said}
          </p>
        )}
      </div>
    ),
  };
}

/** A lane with the way to measure again under it; while that is open, its own lane in the same place. */
export const withAgain = ({ lane, view }: ReturnType<typeof useAgain>, usual: React.ReactNode) => (
  <div className="bench-lane">
    {lane ?? usual}
    {view}
  </div>
);
