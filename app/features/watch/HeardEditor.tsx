import { Button, Slider } from "antd";
import { useMemo, useState } from "react";
import { HeardChart } from "~app/charts/heard/HeardChart";
import { heardModel } from "~app/charts/heard/model";
import type { Heard } from "~core/gait/footfalls";
import { addFall, moveFall, nearestFall, removeFall } from "~core/gait/correctFalls";

interface HeardEditorProps {
  heard: Heard;
  times: number[];
  onTimes: (times: number[]) => void;
}

/** A press within this of a footfall takes it up, s. */
const NEAR_S = 0.06;
const NUDGE_S = 0.01;

/** The footfalls that were heard, over the sound: added, moved, taken out, by press or by key. */
export function HeardEditor({ heard, times, onTimes }: HeardEditorProps) {
  const model = useMemo(() => heardModel(heard.envelope, heard.stepS), [heard]);
  const [chosen, setChosen] = useState(0);
  const at = Math.min(chosen, times.length - 1);
  return (
    <div className="heard-editor">
      <HeardChart
        model={model}
        times={times}
        chosen={at}
        title={`Loudness over ${model.seconds.toFixed(1)} s with ${times.length} footfalls`}
        onPress={(pressed) => {
          const near = nearestFall(times, pressed);
          if (near !== undefined && Math.abs((times[near] ?? 0) - pressed) <= NEAR_S) setChosen(near);
          else {
            const next = addFall(times, pressed);
            onTimes(next);
            setChosen(next.indexOf(pressed));
          }
        }}
      />
      {times.length > 0 && (
        <div className="heard-acts">
          <Slider
            ariaLabelForHandle="Footfall"
            min={1}
            max={times.length}
            value={at + 1}
            tooltip={{ open: false }}
            onChange={(number) => setChosen(number - 1)}
          />
          <span className="quiet">
            {at + 1} of {times.length}, {(times[at] ?? 0).toFixed(2)} s
          </span>
          <Button onClick={() => onTimes(moveFall(times, at, -NUDGE_S))}>Earlier</Button>
          <Button onClick={() => onTimes(moveFall(times, at, NUDGE_S))}>Later</Button>
          <Button onClick={() => onTimes(removeFall(times, at))}>Take it out</Button>
        </div>
      )}
      <p className="quiet">Press the chart where one is missing; press a mark to take it up.</p>
    </div>
  );
}
