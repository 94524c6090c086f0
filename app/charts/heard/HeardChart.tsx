import { area } from "d3-shape";
import { useMemo } from "react";
import type { HeardModel } from "./model";
import "./heard.css";

interface HeardChartProps {
  model: HeardModel;
  /** Footfalls, s. */
  times: readonly number[];
  /** The one that is looked at. */
  chosen: number | undefined;
  /** A place of the sound was pressed, s. */
  onPress: (at: number) => void;
  title: string;
}

/** Width of a second and height of the chart, px. */
const SECOND_PX = 90;
const HEIGHT = 110;

/** A sound's loudness with the footfalls that were heard in it; a press adds one or takes one up. */
export function HeardChart({ model, times, chosen, onPress, title }: HeardChartProps) {
  const width = Math.max(320, model.seconds * SECOND_PX);
  const path = useMemo(() => {
    const per = width / model.columns.length;
    return (
      area<number>(
        (_, at) => (at + 0.5) * per,
        HEIGHT,
        (loud) => HEIGHT - loud * (HEIGHT - 12),
      )(model.columns) ?? ""
    );
  }, [model, width]);
  return (
    <div className="heard-scroll">
      <svg
        className="heard-chart"
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={title}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          onPress(((event.clientX - box.left) / width) * model.seconds);
        }}
      >
        <path className="heard-loud" d={path} />
        {times.map((time, at) => {
          const x = (time / model.seconds) * width;
          return (
            <g key={at} className={at === chosen ? "heard-fall heard-chosen" : "heard-fall"}>
              <line x1={x} x2={x} y1={0} y2={HEIGHT} />
              <circle cx={x} cy={6} r={5} />
            </g>
          );
        })}
      </svg>
    </div>
  );
}
