import { axisBottom, axisLeft } from "d3-axis";
import { scaleLinear, scaleUtc } from "d3-scale";
import { select } from "d3-selection";
import { area, line } from "d3-shape";
import { dayOf, type TrendModel } from "./model";

export interface TrendSize {
  width: number;
  height: number;
}

const MARGIN = { top: 10, right: 14, bottom: 26, left: 52 };
const MS_PER_DAY = 86_400_000;

/** Draws the model into the element; `show` writes a value in the user's unit. */
export function drawTrend(
  element: SVGSVGElement,
  model: TrendModel,
  size: TrendSize,
  show: (value: number) => string,
): void {
  const x = scaleUtc()
    .domain(model.dates.map((date) => new Date(dayOf(date) * MS_PER_DAY)))
    .range([MARGIN.left, size.width - MARGIN.right]);
  const y = scaleLinear()
    .domain(model.range)
    .range([size.height - MARGIN.bottom, MARGIN.top]);
  const at = (date: string) => x(new Date(dayOf(date) * MS_PER_DAY));
  const root = select(element);
  root.selectAll("*").remove();

  if (model.band)
    root
      .append("rect")
      .attr("class", "trend-noise")
      .attr("x", MARGIN.left)
      .attr("width", Math.max(0, size.width - MARGIN.left - MARGIN.right))
      .attr("y", y(model.band.high))
      .attr("height", y(model.band.low) - y(model.band.high));

  root
    .append("path")
    .attr("class", "trend-forecast-band")
    .attr(
      "d",
      area<TrendModel["forecast"][number]>(
        (d) => at(d.date),
        (d) => y(d.low),
        (d) => y(d.high),
      )(model.forecast),
    );
  root
    .append("path")
    .attr("class", "trend-forecast")
    .attr(
      "d",
      line<TrendModel["forecast"][number]>(
        (d) => at(d.date),
        (d) => y(d.mean),
      )(model.forecast),
    );

  const steps = model.visits.flatMap(({ date, before, after }) =>
    [before, after].flatMap((value) =>
      value === undefined ? [] : [[at(date), y(value)] as [number, number]],
    ),
  );
  root.append("path").attr("class", "trend-line").attr("d", line()(steps));
  for (const moment of ["before", "after"] as const)
    root
      .selectAll(`.trend-${moment}`)
      .data(model.visits.filter((visit) => visit[moment] !== undefined))
      .join("circle")
      .attr("class", `trend-${moment}`)
      .attr("r", 3.6)
      .attr("cx", (d) => at(d.date))
      .attr("cy", (d) => y(d[moment] ?? 0));

  root
    .append("g")
    .attr("class", "trend-axis")
    .attr("transform", `translate(0,${size.height - MARGIN.bottom})`)
    .call(
      axisBottom(x)
        .ticks(Math.max(2, Math.floor(size.width / 110)))
        .tickSizeOuter(0),
    );
  root
    .append("g")
    .attr("class", "trend-axis")
    .attr("transform", `translate(${MARGIN.left},0)`)
    .call(axisLeft<number>(y).ticks(5).tickFormat(show).tickSizeOuter(0));
}
