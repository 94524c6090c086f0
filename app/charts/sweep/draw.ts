import { axisLeft } from "d3-axis";
import { scaleLinear, scalePoint } from "d3-scale";
import { select } from "d3-selection";
import { line } from "d3-shape";
import type { SweepModel } from "./model";

const MARGIN = { top: 14, right: 26, bottom: 60, left: 52 };
/** Strokes that tell lines apart without colour. */
const STROKES = ["", "7 4", "2 4"];

/** Draws the shoes over the grounds: firm ground shaded, where nothing is to be counted on; each line ends in its letter. */
export function drawSweep(
  element: SVGSVGElement,
  { grounds, lines, range }: SweepModel,
  size: { width: number; height: number },
  show: (value: number) => string,
): void {
  const names = grounds.map(({ name }) => name);
  const x = scalePoint(names, [MARGIN.left, size.width - MARGIN.right]).padding(0.5);
  const y = scaleLinear()
    .domain(range)
    .range([size.height - MARGIN.bottom, MARGIN.top]);
  const at = (ground: number) => x(names[ground] ?? "") ?? 0;
  const root = select(element);
  root.selectAll("*").remove();
  const firm = grounds.filter(({ soft }) => !soft).length;
  const edge = at(firm - 1) + x.step() / 2;
  root
    .append("rect")
    .attr("class", "sweep-firm")
    .attr("x", MARGIN.left)
    .attr("width", Math.max(0, edge - MARGIN.left))
    .attr("y", MARGIN.top)
    .attr("height", size.height - MARGIN.top - MARGIN.bottom);
  root
    .append("text")
    .attr("class", "sweep-firm-name")
    .attr("x", MARGIN.left + 6)
    .attr("y", MARGIN.top + 13)
    .text("firm: levelness decides, not the shoe");
  root
    .append("line")
    .attr("class", "sweep-first")
    .attr("x1", MARGIN.left)
    .attr("x2", size.width - MARGIN.right)
    .attr("y1", y(0))
    .attr("y2", y(0));
  const path = line<{ ground: number; value: number }>(
    ({ ground }) => at(ground),
    ({ value }) => y(value),
  );
  for (const [index, { letter, points }] of lines.entries()) {
    root
      .append("path")
      .attr("class", "sweep-line")
      .attr("stroke-dasharray", STROKES[index] ?? "")
      .attr("d", path(points));
    const last = points.at(-1);
    if (last)
      root
        .append("text")
        .attr("class", "sweep-letter")
        .attr("x", at(last.ground) + 8)
        .attr("y", y(last.value) - 3)
        .text(letter);
  }
  const turned = x.step() < 74;
  root
    .append("g")
    .attr("class", "sweep-axis")
    .selectAll("text")
    .data(names)
    .join("text")
    .attr("text-anchor", turned ? "end" : "middle")
    .attr(
      "transform",
      (_, ground) =>
        `translate(${at(ground) + (turned ? 6 : 0)},${size.height - MARGIN.bottom + 16})${turned ? " rotate(-28)" : ""}`,
    )
    .text((name) => name);
  root
    .append("g")
    .attr("class", "sweep-axis")
    .attr("transform", `translate(${MARGIN.left},0)`)
    .call(axisLeft<number>(y).ticks(5).tickFormat(show).tickSizeOuter(0));
}
