import { pathThrough } from "~app/drawing/path";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import { clipPlaces } from "~core/shoe/clips";
import type { Fit } from "~core/shoe/fit";
import { roundTheToe } from "~core/shoe/outline";
import type { Vector } from "~core/geometry/vector";
import { SIDES, type Side } from "~core/foot/limb";

interface ShoeOverlayProps {
  geometry: ViewGeometry;
  fit: Fit;
  /** Nails with something noted, drawn as such. */
  noted?: Readonly<Record<string, string | undefined>>;
}

/** The shoe as it lies under the foot: web, bars, clips, holes, breakover line, traction. */
export function ShoeOverlay({ geometry: { at }, fit, noted = {} }: ShoeOverlayProps) {
  const { spec } = fit.question;
  const path = (points: readonly Vector[], kind: "smooth" | "straight" | "closed" = "smooth") =>
    pathThrough(points.map(at), kind);
  const line = [
    fit.line.crosses.medial?.at ?? fit.line.at,
    fit.line.crosses.lateral?.at ?? fit.line.at,
  ] as const;
  if (spec.type === "bare")
    return (
      <>
        <path className="bevel-line" d={path(roundTheToe(fit.question.foot.outline))} />
        <BreakoverLine line={line} at={at} />
      </>
    );
  const outer = roundTheToe(fit.outer);
  const inner = roundTheToe(fit.inner);
  const web = `${path(outer)} L${at(inner.at(-1) ?? [0, 0]).join(" ")} ${path([...inner].reverse()).replace(/^M/, "L")} Z`;
  return (
    <g className="shoe">
      {fit.pad && <path className="shoe-pad" d={`${path(fit.pad)} Z`} />}
      <g className="shoe-body">
        {fit.bars.map((bar, index) => (
          <path key={index} className="shoe-web" d={path(bar, "closed")} />
        ))}
        <path className="shoe-web" d={web} />
      </g>
      {spec.crease === "creased" && SIDES.map((side) => <Crease key={side} fit={fit} side={side} at={at} />)}
      {fit.roll > 0.5 && <RolledEdge fit={fit} at={at} />}
      {clipPlaces(fit).map((clip) => {
        const [cx, cy] = at(clip.at);
        return <circle key={clip.side ?? "toe"} className="shoe-clip" cx={cx} cy={cy} r={3.4} />;
      })}
      {SIDES.map((side) =>
        fit.nails[side].map(({ x, y }, index) => {
          const [cx, cy] = at([x, y]);
          const state = noted[`${side}${index + 1}`];
          return (
            <g key={`${side}${index}`} className={`shoe-hole${state ? " shoe-hole-noted" : ""}`}>
              <rect x={cx - 1.7} y={cy - 2.6} width={3.4} height={5.2} rx={0.8} />
            </g>
          );
        }),
      )}
      {fit.traction &&
        SIDES.map((side) => {
          const [cx, cy] = at(fit.traction?.[side].at ?? [0, 0]);
          return (
            <rect key={side} className="shoe-traction" x={cx - 4} y={cy - 4} width={8} height={8} rx={1} />
          );
        })}
      <BreakoverLine line={line} at={at} />
    </g>
  );
}

function BreakoverLine({ line, at }: { line: readonly [Vector, Vector]; at: (point: Vector) => Vector }) {
  const [[x1, y1], [x2, y2]] = [at(line[0]), at(line[1])];
  return <line className="breakover-line" x1={x1} y1={y1} x2={x2} y2={y2} />;
}

/** The part of the toe that is rolled: the web's outer edge from crossing to crossing. */
function RolledEdge({ fit, at }: { fit: Fit; at: (point: Vector) => Vector }) {
  const rolled = roundTheToe(fit.outer).filter(
    ([x, y]) => y > fit.line.at[1] + (x * fit.line.along[1]) / fit.line.along[0],
  );
  return rolled.length < 2 ? null : (
    <path className="shoe-rolled" d={pathThrough(rolled.map(at), "smooth")} />
  );
}

/** The crease runs through the holes, a little beyond the first and the last. */
function Crease({ fit, side, at }: { fit: Fit; side: Side; at: (point: Vector) => Vector }) {
  const nails = fit.nails[side].map(({ x, y }): Vector => [x, y]);
  return nails.length < 2 ? null : <path className="shoe-crease" d={pathThrough(nails.map(at), "smooth")} />;
}
