import { scaleBand, scaleLinear } from "d3-scale";
import type { BeatModel } from "./model";
import "./beat.css";

interface BeatChartProps {
  model: BeatModel;
  /** The longest step of all charts beside each other, s: one scale for both. */
  longest: number;
  title: string;
}

const SIZE = { width: 320, height: 92 };
const TOP = 6;

/** The steps of a rhythm, one beat dark, the other light, with the mean of either across. */
export function BeatChart({ model: { bars, means }, longest, title }: BeatChartProps) {
  const x = scaleBand(
    bars.map((_, at) => String(at)),
    [0, SIZE.width],
  ).padding(0.22);
  const y = scaleLinear([0, longest], [SIZE.height, TOP]);
  return (
    <svg
      className="beat-chart"
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={title}
    >
      {bars.map(({ seconds, half }, at) => (
        <rect
          key={at}
          className={`beat-bar beat-bar-${half ?? "out"}`}
          x={x(String(at))}
          width={x.bandwidth()}
          y={y(seconds)}
          height={SIZE.height - y(seconds)}
        />
      ))}
      {(["one", "other"] as const).map((half) => (
        <line
          key={half}
          className={`beat-mean beat-mean-${half}`}
          x1={0}
          x2={SIZE.width}
          y1={y(means[half])}
          y2={y(means[half])}
        />
      ))}
    </svg>
  );
}
