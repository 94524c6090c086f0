import { axisLeft, axisRight } from "d3-axis";
import { scaleLinear } from "d3-scale";
import { select } from "d3-selection";
import { curveStepAfter, line } from "d3-shape";
import { LEVELS } from "~core/practice/level";
import type { PracticeModel } from "./model";

const MARGIN = { top: 8, right: 26, bottom: 8, left: 32 };

/** Draws the model into the element: scores on the left, levels on the right. */
export function drawPractice(
  element: SVGSVGElement,
  { points }: PracticeModel,
  size: { width: number; height: number },
): void {
  const [from, to] = [points[0]?.number ?? 0, points.at(-1)?.number ?? 1];
  const x = scaleLinear()
    .domain([from, Math.max(to, from + 1)])
    .range([MARGIN.left + 6, size.width - MARGIN.right - 6]);
  const span = [size.height - MARGIN.bottom, MARGIN.top] as const;
  const y = scaleLinear().domain([0, 100]).range(span);
  const byLevel = scaleLinear().domain([1, LEVELS]).range(span);
  const root = select(element);
  root.selectAll("*").remove();
  type Point = (typeof points)[number];
  const path = (name: string, drawn: string | null) =>
    root
      .append("path")
      .attr("class", name)
      .attr("d", drawn ?? "");
  path(
    "practice-levels",
    line<Point>(
      (d) => x(d.number),
      (d) => byLevel(d.level),
    ).curve(curveStepAfter)(points),
  );
  path(
    "practice-running",
    line<Point>(
      (d) => x(d.number),
      (d) => y(d.running),
    )(points),
  );
  root
    .selectAll(".practice-dot")
    .data(points)
    .join("circle")
    .attr("class", "practice-dot")
    .attr("r", 2.6)
    .attr("cx", (d) => x(d.number))
    .attr("cy", (d) => y(d.score));
  root
    .append("g")
    .attr("class", "trend-axis")
    .attr("transform", `translate(${MARGIN.left},0)`)
    .call(axisLeft(y).tickValues([0, 50, 100]).tickSizeOuter(0));
  root
    .append("g")
    .attr("class", "trend-axis practice-level-axis")
    .attr("transform", `translate(${size.width - MARGIN.right},0)`)
    .call(axisRight(byLevel).tickValues([1, 5, 9]).tickSizeOuter(0));
}
