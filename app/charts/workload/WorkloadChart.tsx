import dayjs from "dayjs";
import { useRef } from "react";
import type { WorkWeek } from "~core/cycle/workload";
import { useChartWidth } from "../useChartWidth";
import { workloadModel } from "./model";
import "./workload.css";

const HEIGHT = 170;

/** Half a year of weeks: what falls due in each, the hours there are, and when horn grows fastest. */
export function WorkloadChart({ weeks }: { weeks: readonly WorkWeek[] }) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useChartWidth(svg);
  const { bars, base, ticks, growing } = workloadModel(weeks, width, HEIGHT);
  return (
    <div className="workload">
      <svg
        ref={svg}
        width={width}
        height={HEIGHT}
        role="img"
        aria-label="Hours of work by week, and the hours there are"
      >
        {growing.map(({ from, to }) => (
          <g key={from}>
            <rect className="workload-growing" x={from - 2} y={0} width={to - from + 4} height={base} />
            <text className="workload-word" x={from + 4} y={11}>
              horn grows faster
            </text>
          </g>
        ))}
        {ticks.map(({ y, hours }) => (
          <g key={hours}>
            <line className="workload-tick" x1={30} x2={width} y1={y} y2={y} />
            <text className="workload-word" x={26} y={y + 4} textAnchor="end">
              {hours}
            </text>
          </g>
        ))}
        {bars.map(({ week, x, width: wide, top, haveY, over }, index) => (
          <g key={week.monday}>
            <rect
              className={over ? "work-bar work-over" : "work-bar"}
              x={x}
              y={top}
              width={wide}
              height={base - top}
            />
            <line className="work-have" x1={x - 2} x2={x + wide + 2} y1={haveY} y2={haveY} />
            {(index === 0 || dayjs(week.monday).date() <= 7) && (
              <text className="workload-word" x={x} y={HEIGHT - 6}>
                {dayjs(week.monday).format("MMM")}
              </text>
            )}
          </g>
        ))}
      </svg>
      <details>
        <summary className="quiet">The numbers</summary>
        <table>
          <thead>
            <tr>
              <th scope="col">Week of</th>
              <th scope="col">horses</th>
              <th scope="col">work, h</th>
              <th scope="col">time for it, h</th>
              <th scope="col">piled up, h</th>
            </tr>
          </thead>
          <tbody>
            {weeks.map(({ monday, horses, minutes, have, behind }) => (
              <tr key={monday}>
                <th scope="row">{dayjs(monday).format("D MMM")}</th>
                <td>{horses}</td>
                <td>{(minutes / 60).toFixed(1)}</td>
                <td>{(have / 60).toFixed(1)}</td>
                <td>{(behind / 60).toFixed(1)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </div>
  );
}
