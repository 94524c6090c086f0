import { pathThrough } from "~app/drawing/path";
import type { Pattern } from "~core/forge/pattern/pattern";
import type { BarMark } from "~core/forge/marks";
import type { MadeRow, madePlaces } from "~core/forge/madeShoe";
import type { Vector } from "~core/geometry/vector";
import { letterOf } from "./BarDrawing";

interface ShoeDrawingProps {
  pattern: Pattern;
  title: string;
  /** Marks of the bar on the finished shoe. */
  marks?: readonly BarMark[];
  /** The made shoe where it was measured: what is out, and the places from which. */
  made?: readonly MadeRow[];
  places?: ReturnType<typeof madePlaces>;
  chosen?: string | undefined;
  onChoose?: (id: string | undefined) => void;
  /** What the sides are called. */
  sides: readonly [medial: string, lateral: string];
}

const ROOM = 10;

/** The finished shoe as its pattern, from below, toe up; with the bar's marks where they come to lie. */
export function ShoeDrawing({
  pattern,
  title,
  marks = [],
  made = [],
  places,
  chosen,
  onChoose,
  sides,
}: ShoeDrawingProps) {
  const { box, lines } = pattern;
  const at = ([x, y]: Vector): Vector => [x - box.x + ROOM, box.y + box.height - y + ROOM];
  const height = box.height + 2 * ROOM;
  return (
    <svg
      className="shoe-drawing"
      viewBox={`0 0 ${box.width + 2 * ROOM} ${height}`}
      role="img"
      aria-label={title}
    >
      {lines.map(({ layer, points, closed, name }, index) => (
        <path
          key={index}
          className={`pattern-line pattern-${layer.toLowerCase()}${name ? ` pattern-${name.replace(" ", "-")}` : ""}`}
          d={pathThrough(points.map(at), closed ? "closed" : "straight")}
        />
      ))}
      <text className="pattern-side" x={2} y={height - 3}>
        {sides[0]}
      </text>
      <text className="pattern-side" x={box.width + 2 * ROOM - 2} y={height - 3} textAnchor="end">
        {sides[1]}
      </text>
      {places && (
        <g className="made-marks" aria-hidden>
          <circle cx={at(places.centre)[0]} cy={at(places.centre)[1]} r={2.4} />
          {made.map(({ place, wanted, out, ok }) => {
            const [x, y] = at(places.at[place]);
            const [cx, cy] = at(places.centre);
            const size = Math.max(1, wanted);
            // Drawn larger than it is, so that two millimetres are seen.
            const [dx, dy] = [((x - cx) / size) * out * 3, ((y - cy) / size) * out * 3];
            return (
              <g key={place} data-ok={ok}>
                <line x1={x} y1={y} x2={x + dx} y2={y + dy} />
                <circle cx={x + dx} cy={y + dy} r={2.6} />
              </g>
            );
          })}
        </g>
      )}
      {marks.map((mark) => {
        const [x, y] = at(mark.place);
        return (
          <g
            key={mark.id}
            className={`shoe-mark shoe-mark-${mark.kind.replace(" ", "-")}`}
            data-chosen={chosen === mark.id}
            onPointerEnter={() => onChoose?.(mark.id)}
            onClick={() => onChoose?.(mark.id)}
          >
            <circle cx={x} cy={y} r={chosen === mark.id ? 4.2 : 2} />
            {chosen === mark.id && (
              <text x={x} y={y - 6} textAnchor="middle">
                {letterOf(mark)}
              </text>
            )}
            <circle className="bar-hit" cx={x} cy={y} r={6} />
          </g>
        );
      })}
    </svg>
  );
}
