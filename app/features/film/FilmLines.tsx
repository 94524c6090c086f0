import type { FilmMeasures } from "~core/radiograph/readFilm";
import type { Film } from "~core/radiograph/filmRecord";

interface FilmLinesProps {
  film: Pick<Film, "view" | "points" | "width">;
  measures: FilmMeasures | undefined;
  thick: number;
}

const LATERAL_LINES: readonly (readonly [from: string, to: string, className: string])[] = [
  ["groundA", "groundB", "film-ground"],
  ["tip", "wing", "film-bone"],
  ["tip", "faceHigh", "film-bone"],
  ["wallLow", "wallHigh", "film-wall"],
  ["pasternFaceLow", "pasternFaceHigh", "film-bone"],
  ["tip", "soleTip", "film-depth"],
  ["wing", "soleWing", "film-depth"],
  ["marker a", "marker b", "film-marker"],
];
const FRONT_LINES: typeof LATERAL_LINES = [
  ["groundMedial", "groundLateral", "film-ground"],
  ["borderMedial", "borderLateral", "film-bone"],
  ["spaceUpperMedial", "spaceLowerMedial", "film-depth"],
  ["spaceUpperLateral", "spaceLowerLateral", "film-depth"],
  ["hairlineMedial", "wallFootMedial", "film-wall"],
  ["hairlineLateral", "wallFootLateral", "film-wall"],
  ["marker a", "marker b", "film-marker"],
];

/** The lines that the marks make, and the plumb line through the centre of rotation. */
export function FilmLines({ film, measures, thick }: FilmLinesProps) {
  const { points } = film;
  const cor = measures?.lateral?.cor;
  const mmPerPx = measures?.scale.mmPerPx ?? 1;
  const [a, b] = [points["groundA"], points["groundB"]];
  const foot = cor && a && b && footOf([cor.x, cor.y], a, b);
  return (
    <g className="film-lines" style={{ strokeWidth: thick }}>
      {(film.view === "lateral" ? LATERAL_LINES : FRONT_LINES).map(([from, to, className]) => {
        const [start, end] = [points[from], points[to]];
        return start && end ? (
          <line
            key={`${from} ${to}`}
            className={className}
            x1={start[0]}
            y1={start[1]}
            x2={end[0]}
            y2={end[1]}
          />
        ) : null;
      })}
      {cor && (
        <>
          <circle className="film-joint" cx={cor.x} cy={cor.y} r={cor.radius / mmPerPx} />
          <circle className="film-cor" cx={cor.x} cy={cor.y} r={3 * thick} />
          {foot && <line className="film-plumb" x1={cor.x} y1={cor.y} x2={foot[0]} y2={foot[1]} />}
        </>
      )}
    </g>
  );
}

/** The point of a line straight under another, square to the line. */
function footOf(
  [x, y]: readonly [number, number],
  [ax, ay]: readonly [number, number],
  [bx, by]: readonly [number, number],
): [number, number] {
  const [ux, uy] = [bx - ax, by - ay];
  const part = ((x - ax) * ux + (y - ay) * uy) / (ux * ux + uy * uy || 1);
  return [ax + part * ux, ay + part * uy];
}
