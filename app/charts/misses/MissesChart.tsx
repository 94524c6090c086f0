import { useEffect, useRef } from "react";
import { useChartWidth } from "../useChartWidth";
import { drawMisses } from "./draw";
import type { MissesModel } from "./model";
import "../trend/trend.css";
import "./misses.css";

const HEIGHT = 220;

/** The misses of the hand, shoe after shoe, with the numbers in a table behind it. */
export function MissesChart({
  model,
  show,
  shortDay,
}: {
  model: MissesModel;
  show: (mm: number) => string;
  shortDay: (date: string) => string;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const width = useChartWidth(svg);
  useEffect(() => {
    if (svg.current) drawMisses(svg.current, model, { width, height: HEIGHT }, show);
  }, [model, width, show]);
  return (
    <div className="trend">
      <svg ref={svg} width={width} height={HEIGHT} role="img" aria-label="Misses, shoe after shoe" />
      <details>
        <summary className="quiet">The numbers</summary>
        <table>
          <thead>
            <tr>
              <th scope="col">Shoe</th>
              <th scope="col">against rule and outline</th>
              <th scope="col">against what was said</th>
            </tr>
          </thead>
          <tbody>
            {model.shoes.map(({ number, date, miss, left }) => (
              <tr key={number}>
                <th scope="row">
                  {number}, {shortDay(date)}
                </th>
                <td>{show(miss)}</td>
                <td>{show(left)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </div>
  );
}
