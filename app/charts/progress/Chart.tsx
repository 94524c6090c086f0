import { useEffect, useRef } from "react";
import { useChartWidth } from "../useChartWidth";
import { drawProgress } from "./draw";
import type { ProgressModel } from "./model";
import "./progress.css";

interface ProgressChartProps {
  model: ProgressModel;
  show: (value: number) => string;
  title: string;
}

const HEIGHT = 120;

/** One measure of a case over time. */
export function ProgressChart({ model, show, title }: ProgressChartProps) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useChartWidth(svg);
  useEffect(() => {
    if (svg.current) drawProgress(svg.current, model, { width, height: HEIGHT }, show);
  }, [model, width, show]);
  return (
    <svg ref={svg} className="progress-chart" width={width} height={HEIGHT} role="img" aria-label={title} />
  );
}
