import { useMemo } from "react";
import { DRAWN } from "~app/ui/tokens";
import type { Layout } from "~core/rounds/layout";
import type { Planning } from "~core/rounds/planning";
import { drawnMap } from "~core/rounds/map";
import { LINE } from "~core/rounds/mapLabels";

const WIDTH = 280;
const HEIGHT = 230;

/** Yards by their coordinates, home, and each day's way; the chosen day stands out. */
export function RoundMap({
  plan,
  laid,
  chosen,
}: {
  plan: Planning;
  laid: Layout;
  chosen: string | undefined;
}) {
  const { home, yards, ways } = useMemo(
    () => drawnMap(plan, laid, { width: WIDTH, height: HEIGHT, margin: 34, type: DRAWN.lead }),
    [plan, laid],
  );
  return (
    <figure className="round-map sheet">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label="Yards and ways, north up">
        {ways.map(({ date, points }) => (
          <polyline
            key={date}
            className={chosen === date ? "way way-chosen" : chosen ? "way way-dim" : "way"}
            points={points.map(({ x, y }) => `${x},${y}`).join(" ")}
          />
        ))}
        {yards.map(({ id, x, y, label }) => (
          <g key={id}>
            <circle className="map-yard" cx={x} cy={y} r={4} />
            <text textAnchor={label.anchor}>
              {label.lines.map((line, at) => (
                <tspan key={line} x={label.x} y={label.y + at * LINE * DRAWN.lead}>
                  {line}
                </tspan>
              ))}
            </text>
          </g>
        ))}
        <path className="map-home" d={`M${home.x - 6},${home.y + 5} v-7 l6,-5 l6,5 v7 Z`} />
      </svg>
      <figcaption className="quiet">
        North up. Roads are taken as 1.3 times the straight line, an estimate.
        {plan.islands.length > 0 &&
          ` Without a place, taken as half an hour from home: ${plan.islands.map(({ name }) => name).join(", ")}.`}
      </figcaption>
    </figure>
  );
}
