import { axisBottom, axisLeft } from "d3-axis";
import { scaleLinear } from "d3-scale";
import { select } from "d3-selection";
import { line } from "d3-shape";
import type { CyclesModel } from "./model";

const MARGIN = { top: 10, right: 64, bottom: 28, left: 58 };
/** End labels closer than this would run into each other, px. */
const LABEL_PX = 14;
/** Under this width there is room for every other week's label only. */
const NARROW_PX = 560;

/** Draws the model into the element; `show` writes a value in the user's unit. */
export function drawCycles(
  element: SVGSVGElement,
  model: CyclesModel,
  size: { width: number; height: number },
  show: (value: number) => string,
): void {
  const x = scaleLinear()
    .domain([0, model.days])
    .range([MARGIN.left, size.width - MARGIN.right]);
  const y = scaleLinear()
    .domain(model.range)
    .range([size.height - MARGIN.bottom, MARGIN.top]);
  const root = select(element);
  root.selectAll("*").remove();
  if (model.aim !== undefined)
    root
      .append("line")
      .attr("class", "cycles-aim")
      .attr("x1", MARGIN.left)
      .attr("x2", size.width - MARGIN.right)
      .attr("y1", y(model.aim))
      .attr("y2", y(model.aim));
  if (model.aim !== undefined)
    root
      .append("text")
      .attr("class", "cycles-aim-label")
      .attr("x", size.width - MARGIN.right + 6)
      .attr("y", y(model.aim) + 4)
      .text("aim");
  const path = line<readonly [number, number]>(
    ([day]) => x(day),
    ([, value]) => y(value),
  );
  root
    .selectAll(".cycles-line")
    .data(model.lines)
    .join("path")
    .attr("class", ({ chosen }) => (chosen ? "cycles-line cycles-chosen" : "cycles-line"))
    .attr("d", ({ points }) => path([...points]));
  const taken: number[] = model.aim === undefined ? [] : [y(model.aim)];
  for (const { everyWeeks, chosen, points } of [...model.lines].reverse()) {
    const end = points.at(-1);
    if (!end) continue;
    const at = y(end[1]);
    if (taken.some((other) => Math.abs(other - at) < LABEL_PX)) continue;
    taken.push(at);
    root
      .append("text")
      .attr("class", chosen ? "cycles-label cycles-label-chosen" : "cycles-label")
      .attr("x", size.width - MARGIN.right + 6)
      .attr("y", at + 4)
      .text(`${everyWeeks} wk`);
  }
  root
    .append("g")
    .attr("class", "trend-axis")
    .attr("transform", `translate(0,${size.height - MARGIN.bottom})`)
    .call(
      axisBottom<number>(x)
        .tickValues(
          (size.width < NARROW_PX ? [0, 8, 16, 26] : [0, 4, 8, 12, 16, 20, 26]).map((weeks) => weeks * 7),
        )
        .tickFormat((day) => (day === 0 ? "today" : `week ${day / 7}`))
        .tickSizeOuter(0),
    );
  root
    .append("g")
    .attr("class", "trend-axis")
    .attr("transform", `translate(${MARGIN.left},0)`)
    .call(axisLeft<number>(y).ticks(5).tickFormat(show).tickSizeOuter(0));
}
