import { pathThrough } from "~app/drawing/path";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import { WEAR_SECTORS } from "~core/foot/wear";
import { clipPlaces, clipTab } from "~core/shoe/clips";
import { creaseOf } from "~core/shoe/crease";
import type { Fit } from "~core/shoe/fit";
import { roundTheToe } from "~core/shoe/outline";
import { sectorFor, sectorHatch, sectorRun } from "~core/shoe/sectors";
import type { Vector } from "~core/geometry/vector";
import { SIDES } from "~core/foot/limb";

interface ShoeOverlayProps {
  geometry: ViewGeometry;
  fit: Fit;
  /** Nails with something noted, drawn as such. */
  noted?: Readonly<Record<string, string | undefined>>;
}

/** The shoe as one solid under the foot: metal, pad, edges, clips, crease, holes, breakover line, traction. */
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
  const { outside, holes } = fit.solid;
  const wedged = spec.sideWedge?.side;
  return (
    <g className="shoe">
      {fit.pad && <path className="shoe-pad" d={`${path(fit.pad)} Z`} />}
      {fit.frogPad && <path className="shoe-frog-pad" d={path(fit.frogPad, "closed")} />}
      {clipPlaces(fit).map((clip) => (
        <path key={clip.name} className="shoe-clip" d={path(clipTab(clip), "closed")} />
      ))}
      <path
        className="shoe-web"
        fillRule="evenodd"
        d={[outside, ...holes].map((ring) => path(ring, "closed")).join(" ")}
      />
      {spec.unloaded.map((sector) => (
        <g key={sector} className="shoe-unloaded">
          {sectorHatch(fit.outer, fit.inner, sector).map(([from, to], index) => {
            const [[x1, y1], [x2, y2]] = [at(from), at(to)];
            return <line key={index} {...{ x1, y1, x2, y2 }} />;
          })}
        </g>
      ))}
      {spec.crease === "creased" &&
        SIDES.map((side) => {
          const way = creaseOf(fit, side);
          return way.length < 2 ? null : <path key={side} className="shoe-crease" d={path(way)} />;
        })}
      {WEAR_SECTORS.map((sector) => {
        const edge = spec.edges[sector];
        return edge === undefined ? null : (
          <path
            key={sector}
            className={`shoe-edge shoe-edge-${edge.replace(" ", "-")}`}
            d={path(sectorRun(edge === "safe inside" ? fit.inner : fit.outer, sector))}
          />
        );
      })}
      {wedged && (
        <path
          className="shoe-wedge"
          d={path(
            (["toeQuarter", "quarter", "heel"] as const).flatMap((stretch) =>
              sectorRun(fit.inner, sectorFor(stretch, wedged)),
            ),
          )}
        />
      )}
      {fit.roll > 0.5 && <RolledEdge fit={fit} at={at} />}
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

/** The part of the toe that is eased, rolled or rockered: the web's outer edge from crossing to crossing. */
function RolledEdge({ fit, at }: { fit: Fit; at: (point: Vector) => Vector }) {
  const rolled = roundTheToe(fit.outer).filter(
    ([x, y]) => y > fit.line.at[1] + (x * fit.line.along[1]) / fit.line.along[0],
  );
  return rolled.length < 2 ? null : (
    <path className="shoe-rolled" d={pathThrough(rolled.map(at), "smooth")} />
  );
}
