import { axisBottom, axisLeft } from "d3-axis";
import { scaleLinear, scalePoint } from "d3-scale";
import { select } from "d3-selection";
import { line } from "d3-shape";
import type { MissesModel } from "./model";

const MARGIN = { top: 10, right: 14, bottom: 26, left: 52 };

/** Draws the model into the element; `show` writes a length in the user's unit. */
export function drawMisses(
  element: SVGSVGElement,
  { shoes, range }: MissesModel,
  size: { width: number; height: number },
  show: (mm: number) => string,
): void {
  const x = scalePoint<number>()
    .domain(shoes.map(({ number }) => number))
    .range([MARGIN.left, size.width - MARGIN.right])
    .padding(0.5);
  const y = scaleLinear()
    .domain(range)
    .range([size.height - MARGIN.bottom, MARGIN.top]);
  const root = select(element);
  root.selectAll("*").remove();
  root
    .append("line")
    .attr("class", "misses-zero")
    .attr("x1", MARGIN.left)
    .attr("x2", size.width - MARGIN.right)
    .attr("y1", y(0))
    .attr("y2", y(0));
  root
    .append("path")
    .attr("class", "misses-line")
    .attr(
      "d",
      line<(typeof shoes)[number]>(
        (d) => x(d.number) ?? 0,
        (d) => y(d.left),
      )(shoes),
    );
  for (const [name, of] of [
    ["miss", (d: (typeof shoes)[number]) => d.miss],
    ["left", (d: (typeof shoes)[number]) => d.left],
  ] as const)
    root
      .selectAll(`.misses-${name}`)
      .data(shoes)
      .join("circle")
      .attr("class", `misses-${name}`)
      .attr("r", name === "left" ? 4.5 : 3)
      .attr("cx", (d) => x(d.number) ?? 0)
      .attr("cy", (d) => y(of(d)));
  root
    .append("g")
    .attr("class", "trend-axis")
    .attr("transform", `translate(0,${size.height - MARGIN.bottom})`)
    .call(axisBottom(x).tickSizeOuter(0));
  root
    .append("g")
    .attr("class", "trend-axis")
    .attr("transform", `translate(${MARGIN.left},0)`)
    .call(axisLeft<number>(y).ticks(5).tickFormat(show).tickSizeOuter(0));
}
