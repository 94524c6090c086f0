import { max } from "d3-array";
import { scaleBand, scaleLinear } from "d3-scale";
import type { WorkWeek } from "~core/cycle/workload";

/** A week as a bar: its place, how high its work stands, and what there is time for. px, y down. */
export interface WorkBar {
  week: WorkWeek;
  x: number;
  width: number;
  top: number;
  haveY: number;
  over: boolean;
}

export interface WorkloadModel {
  bars: WorkBar[];
  base: number;
  ticks: { y: number; hours: number }[];
  /** Stretches in which horn grows faster than over the year. */
  growing: { from: number; to: number }[];
}

const HOUR = 60;

/** Bars of the weeks to come against the hours there are. */
export function workloadModel(weeks: readonly WorkWeek[], width: number, height: number): WorkloadModel {
  const left = 34;
  const base = height - 22;
  const x = scaleBand<number>()
    .domain([...weeks.keys()])
    .range([left, width])
    .padding(0.18);
  const most = max(weeks, ({ minutes, have }) => Math.max(minutes, have)) ?? 0;
  const y = scaleLinear()
    .domain([0, Math.max(most / HOUR, 1)])
    .nice(4)
    .range([base, 12]);
  const bars = weeks.map((week, index): WorkBar => ({
    week,
    x: x(index) ?? 0,
    width: x.bandwidth(),
    top: y(week.minutes / HOUR),
    haveY: y(week.have / HOUR),
    over: week.minutes > week.have,
  }));
  const growing: WorkloadModel["growing"] = [];
  bars.forEach(({ week, x: from, width: wide }, index) => {
    if (week.season <= 1) return;
    const last = growing.at(-1);
    if (last && (weeks[index - 1]?.season ?? 0) > 1) last.to = from + wide;
    else growing.push({ from, to: from + wide });
  });
  return { bars, base, growing, ticks: y.ticks(4).map((hours) => ({ hours, y: y(hours) })) };
}
