import { useEffect, useRef } from "react";
import { useChartWidth } from "../useChartWidth";
import { drawCycles } from "./draw";
import type { CyclesModel } from "./model";
import "../trend/trend.css";
import "./cycles.css";

interface CyclesChartProps {
  model: CyclesModel;
  show: (value: number) => string;
  title: string;
}

const HEIGHT = 250;

/** Months ahead as lines, one an interval. */
export function CyclesChart({ model, show, title }: CyclesChartProps) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useChartWidth(svg);
  useEffect(() => {
    if (svg.current) drawCycles(svg.current, model, { width, height: HEIGHT }, show);
  }, [model, width, show]);
  return <svg ref={svg} width={width} height={HEIGHT} role="img" aria-label={title} />;
}
