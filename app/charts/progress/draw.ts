import { axisBottom, axisLeft } from "d3-axis";
import { scaleLinear, scaleUtc } from "d3-scale";
import { select } from "d3-selection";
import { line } from "d3-shape";
import type { ProgressModel } from "./model";

const MARGIN = { top: 8, right: 10, bottom: 22, left: 56 };
const MS_PER_DAY = 86_400_000;

/** Draws a small chart: the values, a dashed line of what growth alone does, the target across. */
export function drawProgress(
  element: SVGSVGElement,
  { points, byGrowth, target, days, range }: ProgressModel,
  size: { width: number; height: number },
  show: (value: number) => string,
): void {
  const x = scaleUtc()
    .domain(days.map((day) => new Date(day * MS_PER_DAY)))
    .range([MARGIN.left, size.width - MARGIN.right]);
  const y = scaleLinear()
    .domain(range)
    .range([size.height - MARGIN.bottom, MARGIN.top]);
  const path = line<{ day: number; value: number }>(
    ({ day }) => x(new Date(day * MS_PER_DAY)),
    ({ value }) => y(value),
  );
  const root = select(element);
  root.selectAll("*").remove();
  if (target !== undefined)
    root
      .append("line")
      .attr("class", "progress-target")
      .attr("x1", MARGIN.left)
      .attr("x2", size.width - MARGIN.right)
      .attr("y1", y(target))
      .attr("y2", y(target));
  if (byGrowth.length > 1) root.append("path").attr("class", "progress-growth").attr("d", path(byGrowth));
  root.append("path").attr("class", "progress-line").attr("d", path(points));
  root
    .selectAll(".progress-point")
    .data(points)
    .join("circle")
    .attr("class", "progress-point")
    .attr("r", 3)
    .attr("cx", ({ day }) => x(new Date(day * MS_PER_DAY)))
    .attr("cy", ({ value }) => y(value));
  root
    .append("g")
    .attr("class", "progress-axis")
    .attr("transform", `translate(0,${size.height - MARGIN.bottom})`)
    .call(axisBottom(x).ticks(3).tickSizeOuter(0));
  root
    .append("g")
    .attr("class", "progress-axis")
    .attr("transform", `translate(${MARGIN.left},0)`)
    .call(axisLeft<number>(y).ticks(3).tickFormat(show).tickSizeOuter(0));
}
