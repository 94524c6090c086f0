import { useEffect, useRef } from "react";
import { useChartWidth } from "../useChartWidth";
import { drawTrend } from "./draw";
import type { TrendModel } from "./model";
import "./trend.css";

interface TrendChartProps {
  model: TrendModel;
  show: (value: number) => string;
  shortDay: (date: string) => string;
  title: string;
}

const HEIGHT = 230;

/** The trend as a chart, with the same numbers in a table behind it. */
export function TrendChart({ model, show, shortDay, title }: TrendChartProps) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useChartWidth(svg);
  useEffect(() => {
    if (svg.current) drawTrend(svg.current, model, { width, height: HEIGHT }, show);
  }, [model, width, show]);
  return (
    <div className="trend">
      <svg ref={svg} width={width} height={HEIGHT} role="img" aria-label={title} />
      <details>
        <summary className="quiet">The numbers</summary>
        <div className="trend-table">
          <table>
            <thead>
              <tr>
                <th scope="col">Visit</th>
                <th scope="col">before</th>
                <th scope="col">after</th>
              </tr>
            </thead>
            <tbody>
              {model.visits.toReversed().map(({ date, before, after }) => (
                <tr key={date}>
                  <th scope="row">{shortDay(date)}</th>
                  <td>{before === undefined ? "–" : show(before)}</td>
                  <td>{after === undefined ? "–" : show(after)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </details>
    </div>
  );
}
