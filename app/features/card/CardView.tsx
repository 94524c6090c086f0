import { Button } from "antd";
import { useNavigate } from "react-router";
import { CARD } from "~core/photo/card";
import { LensProfile } from "./LensProfile";
import "./card.css";

/** The scale card at its true size, with a ruler to check the print by. */
export function CardView() {
  const navigate = useNavigate();
  const { sideMm: side, frameMm: frame, spot, marginMm: margin, rulerMm: ruler } = CARD;
  const width = side + 2 * margin;
  return (
    <main className="card-page">
      <div className="card-words">
        <Button onClick={() => void navigate(-1)}>‹ Back</Button>
        <h1>The scale card</h1>
        <p>
          Print it at 100 %, without fitting to the page, on stiff paper. Lay a rule on the check line: it
          must read {ruler} mm. If it does not, the printer has scaled it, and every picture taken with it
          would be wrong.
        </p>
        <p>Cut along the outer line. It goes flat in the plane to be measured, its bob hanging down.</p>
        <Button type="primary" onClick={() => window.print()}>
          Print at true size
        </Button>
        <LensProfile />
      </div>
      <div className="card-sheets">
        <svg
          className="card-print"
          style={{ width: `${width}mm`, height: `${width}mm` }}
          viewBox={`${-margin} ${-margin} ${width} ${width}`}
          role="img"
          aria-label={`Scale card: a square of ${side} mm`}
        >
          <rect x={-margin} y={-margin} width={width} height={width} className="card-sheet" />
          <rect
            x={frame / 2}
            y={frame / 2}
            width={side - frame}
            height={side - frame}
            className="card-frame"
            strokeWidth={frame}
          />
          <path d={`M${side / 2 - 0.8},12h1.6v${side - 38}h-1.6Z`} className="card-ink" />
          <path d={`M${side / 2 - 5},${side - 26}h10L${side / 2},${side - 12}Z`} className="card-ink" />
          <circle cx={spot.xMm} cy={spot.yMm} r={spot.radiusMm} className="card-ink" />
          <text x={frame + 3} y={side - frame - 3} className="card-text">
            {side} mm, outer edge
          </text>
        </svg>
        <svg
          className="card-ruler"
          style={{ width: `${ruler + 4}mm`, height: "12mm" }}
          viewBox={`-2 0 ${ruler + 4} 12`}
          role="img"
          aria-label={`Check ruler of ${ruler} mm`}
        >
          {Array.from({ length: ruler / 5 + 1 }, (_, index) => (
            <line
              key={index}
              x1={index * 5}
              x2={index * 5}
              y1={0}
              y2={index % 2 === 0 ? 6 : 3.5}
              className="card-tick"
            />
          ))}
          <line x1={0} x2={ruler} y1={0.15} y2={0.15} className="card-tick" />
          {[0, 50, ruler].map((at) => (
            <text
              key={at}
              x={at}
              y={10.5}
              textAnchor={at === 0 ? "start" : at === ruler ? "end" : "middle"}
              className="card-text"
            >
              {at} mm
            </text>
          ))}
        </svg>
      </div>
    </main>
  );
}
