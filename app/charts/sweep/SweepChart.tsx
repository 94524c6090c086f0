import { useEffect, useRef } from "react";
import { useChartWidth } from "../useChartWidth";
import { drawSweep } from "./draw";
import type { SweepModel } from "./model";
import "./sweep.css";

interface SweepChartProps {
  model: SweepModel;
  show: (value: number) => string;
  title: string;
}

const HEIGHT = 250;

/** Shoes over the grounds, against the first of them. */
export function SweepChart({ model, show, title }: SweepChartProps) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useChartWidth(svg);
  useEffect(() => {
    if (svg.current) drawSweep(svg.current, model, { width, height: HEIGHT }, show);
  }, [model, width, show]);
  return (
    <svg ref={svg} className="sweep-chart" width={width} height={HEIGHT} role="img" aria-label={title} />
  );
}
