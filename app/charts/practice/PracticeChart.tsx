import { useEffect, useRef } from "react";
import { useChartWidth } from "../useChartWidth";
import { drawPractice } from "./draw";
import type { PracticeModel } from "./model";
import "../trend/trend.css";
import "./practice.css";

const HEIGHT = 96;

/** Scores of a room, try after try, and the level that each was played at. */
export function PracticeChart({ model, title }: { model: PracticeModel; title: string }) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useChartWidth(svg);
  useEffect(() => {
    if (svg.current) drawPractice(svg.current, model, { width, height: HEIGHT });
  }, [model, width]);
  return (
    <svg ref={svg} className="practice-chart" width={width} height={HEIGHT} role="img" aria-label={title} />
  );
}
