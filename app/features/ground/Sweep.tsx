import { Segmented } from "antd";
import { useCallback, useMemo, useState } from "react";
import { SWEPT, sweepModel, type Swept } from "~app/charts/sweep/model";
import { SweepChart } from "~app/charts/sweep/SweepChart";
import { useWording } from "~app/ui/useWording";
import { lengthInField } from "~core/foot/wording";
import type { Around } from "~app/stage/useGround";

interface SweepProps {
  around: Around | undefined;
  letters: readonly string[];
}

/** The same shoes over all grounds: where there is an effect at all. */
export function Sweep({ around, letters }: SweepProps) {
  const wording = useWording();
  const [what, setWhat] = useState<Swept>("pitch");
  const model = useMemo(() => around && sweepModel(around.sweep, letters, what), [around, letters, what]);
  const show = useCallback(
    (value: number) =>
      model?.unit === "deg"
        ? `${value.toFixed(1)}°`.replace("-", "−")
        : `${value < 0 ? "−" : ""}${lengthInField(Math.abs(value), wording, 1)}`,
    [model, wording],
  );
  return (
    <section className="ground-sweep" aria-label="Over all grounds">
      <div className="ground-sweep-head">
        <h2>Over all grounds, against A</h2>
        <Segmented
          aria-label="What is shown over the grounds"
          size="small"
          options={Object.entries(SWEPT).map(([value, label]) => ({ value: value as Swept, label }))}
          value={what}
          onChange={setWhat}
        />
      </div>
      {model && model.lines.length > 0 ? (
        <SweepChart model={model} show={show} title={`${SWEPT[what]} against A over seven grounds`} />
      ) : (
        <p className="quiet ground-wait">
          {around ? "Two shoes make a comparison." : "Seven grounds are being stood on …"}
        </p>
      )}
    </section>
  );
}
