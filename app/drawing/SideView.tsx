import { halvesOf } from "~core/foot/parametric/halves";
import { sideFigure, type SideFigure } from "~core/foot/parametric/figure";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { isLeft } from "~core/foot/limb";
import type { Vector } from "~core/geometry/vector";
import { radians } from "~core/math/angle";
import type { Wording } from "~core/foot/wording";
import { pathThrough, roundUp } from "./path";
import type { ViewGeometry } from "./viewGeometry";
import "./drawing.css";

export interface SideViewProps {
  /** The foot to fill in. */
  foot: FootParameters;
  /** The foot before, drawn as a dashed outline. */
  ghost?: FootParameters | undefined;
  /** The foot as it was planned, dotted. */
  planned?: FootParameters | undefined;
  wording: Wording;
  /** True where not one number of this foot was measured: the whole drawing is a pale guess. */
  guess: boolean;
  /** What lenses would have of it: the front wall at another angle, or the plane of the live sole. */
  aims?: readonly SideAimLine[];
  /** Angles and lengths beside the lines; off in small drawings. */
  labels?: boolean;
  title: string;
  overlay?: ((geometry: ViewGeometry) => React.ReactNode) | undefined;
}

/** One lens drawn on the side view. */
export interface SideAimLine {
  name: string;
  second: boolean;
  dorsalAngleDeg?: number | undefined;
  plane?: { toe: number; heel: number } | undefined;
}

/** Room above, below and beside the foot, mm. */
const MARGIN = { front: 34, back: 26, below: 26, above: 6 };

/**
 * A foot from the outside, true to scale, the plumb line hanging through the centre of rotation. A left foot looks to
 * the left, a right foot to the right, as one sees them from beside the horse.
 */
export function SideView({ foot, ghost, wording, guess, labels = true, ...rest }: SideViewProps) {
  const { aims = [], title, overlay, planned } = rest;
  const figure = sideFigure(foot);
  const before = ghost && sideFigure(ghost);
  const facing = isLeft(foot.limb) ? -1 : 1;
  const all = [...figure.hoof, ...figure.limb, ...(before ? [...before.hoof, ...before.limb] : [])];
  const front = roundUp(Math.max(...all.map(([y]) => y))) + MARGIN.front;
  const back = -roundUp(-Math.min(...all.map(([y]) => y))) - MARGIN.back;
  const top = roundUp(Math.max(...all.map(([, z]) => z))) + MARGIN.above;
  const left = facing === 1 ? back : -front;
  const at = ([y, z]: Vector): Vector => [facing * y, -z];
  const width = front - back;
  const toeText = facing === 1 ? "start" : "end";
  const hairToe = at(figure.hairline[1]);
  const pasternLabel = at([figure.hairline[1][0] + 12, figure.hairline[1][1] + 30]);
  const dorsalLabel = at([figure.toeY + 2, figure.hairline[1][1] * 0.42]);
  return (
    <svg
      className={`drawing${guess ? " drawing-guess" : ""}`}
      viewBox={`${left} ${-top} ${width} ${top + MARGIN.below}`}
      style={{ width: `calc(${width} * var(--mm))`, aspectRatio: `${width} / ${top + MARGIN.below}` }}
      role={overlay ? "group" : "img"}
      aria-label={title}
    >
      <path className="limb" d={limbPath(figure, at)} />
      <path className="horn" d={hoofPath(figure, at)} />
      {RING_PARTS.map((part) => (
        <path key={part} className="ring" d={ringPath(figure, at, part)} />
      ))}
      <path className="hairline" d={hairlinePath(figure, at)} />
      {before && <path className="before" d={hoofPath(before, at)} />}
      {planned && <path className="planned" d={hoofPath(sideFigure(planned), at)} />}
      <path className="pastern-line" d={pathThrough(figure.pasternLine.map(at), "straight")} />
      {aims.map((aim) => (
        <AimLine key={aim.name} aim={aim} figure={figure} at={at} />
      ))}
      <line className="ground" x1={left + 4} x2={left + width - 4} y1={0} y2={0} />
      <Plumb figure={figure} at={at} />
      <HalvesBar foot={foot} figure={figure} facing={facing} labels={labels} wording={wording} />
      {labels && (
        <g className="figures">
          <text x={pasternLabel[0]} y={pasternLabel[1]} textAnchor={toeText}>
            <tspan className="big">{wording.angle(foot.pasternAngleDeg)}</tspan>
            <tspan className="small" x={pasternLabel[0]} dy="6.5">
              pastern
            </tspan>
          </text>
          <text x={dorsalLabel[0]} y={dorsalLabel[1]} textAnchor={toeText}>
            <tspan className="big">{wording.angle(foot.dorsalAngleDeg)}</tspan>
            <tspan className="small" x={dorsalLabel[0]} dy="6.5">
              dorsal wall
            </tspan>
          </text>
        </g>
      )}
      <circle className="mark" cx={hairToe[0]} cy={hairToe[1]} r={1.4} />
      <circle className="mark" cx={facing * figure.toeY} cy={0} r={1.4} />
      <circle className="mark" cx={facing * figure.heelY} cy={0} r={1.4} />
      {overlay?.({ frame: [left, -top, width, top + MARGIN.below], at, back: ([x, y]) => [facing * x, -y] })}
    </svg>
  );
}

/** The wall as a lens would have it, hung from the hairline, or the plane that it would cut to. */
function AimLine({
  aim,
  figure,
  at,
}: {
  aim: SideAimLine;
  figure: SideFigure;
  at: (point: Vector) => Vector;
}) {
  const className = aim.second ? "aim aim-second" : "aim";
  if (aim.plane)
    return (
      <path
        className={className}
        d={pathThrough([at([figure.heelY, aim.plane.heel]), at([figure.toeY, aim.plane.toe])], "straight")}
      />
    );
  if (aim.dorsalAngleDeg === undefined) return null;
  const [y, z] = figure.hairline[1];
  const run = z / Math.tan(radians(aim.dorsalAngleDeg));
  return <path className={className} d={pathThrough([at([y, z]), at([y + run, 0])], "straight")} />;
}

const hairlineCurve = (figure: SideFigure, at: (point: Vector) => Vector): string => {
  const [heel, toe] = figure.hairline;
  const [bendX, bendY] = at([heel[0] * 0.55 + toe[0] * 0.45, heel[1] * 0.35 + toe[1] * 0.65 + 1]);
  const [toeX, toeY] = at(toe);
  return `Q${bendX},${bendY} ${toeX},${toeY}`;
};

function hoofPath(figure: SideFigure, at: (point: Vector) => Vector): string {
  const [heel, hairHeel, , mid, toe] = figure.hoof.map(at) as [Vector, Vector, Vector, Vector, Vector];
  return `M${heel} L${hairHeel} ${hairlineCurve(figure, at)} L${mid} L${toe} Z`;
}

/** Faint growth rings: the hairline carried down the wall. Drawing only. */
const RING_PARTS = [0.3, 0.6];

function ringPath(figure: SideFigure, at: (point: Vector) => Vector, part: number): string {
  const [heel, hairHeel, hairToe, , toe] = figure.hoof as [Vector, Vector, Vector, Vector, Vector];
  const between = (a: Vector, b: Vector): Vector => [
    a[0] + (b[0] - a[0]) * part,
    a[1] + (b[1] - a[1]) * part,
  ];
  const [back, front] = [between(hairHeel, heel), between(hairToe, toe)];
  const bend = at([back[0] * 0.55 + front[0] * 0.45, back[1] * 0.35 + front[1] * 0.65 + 1]);
  return `M${at(back)} Q${bend} ${at(front)}`;
}

/** Pastern and bulbs: the front straight, the back hollow above the bulb. */
function limbPath(figure: SideFigure, at: (point: Vector) => Vector): string {
  const [front, top, topBack, hollow, bulb, hairHeel] = figure.limb.map(at) as [
    Vector,
    Vector,
    Vector,
    Vector,
    Vector,
    Vector,
  ];
  const swell: Vector = [bulb[0] * 1.5 - hairHeel[0] * 0.5, bulb[1] * 0.6 + hairHeel[1] * 0.4];
  return `M${front} L${top} L${topBack} Q${hollow} ${bulb} Q${swell} ${hairHeel} ${hairlineCurve(figure, at)} Z`;
}

const hairlinePath = (figure: SideFigure, at: (point: Vector) => Vector): string =>
  `M${at(figure.hairline[0])} ${hairlineCurve(figure, at)}`;

function Plumb({ figure, at }: { figure: SideFigure; at: (point: Vector) => Vector }) {
  const [x, y] = at(figure.cor);
  return (
    <g className="plumb">
      <line x1={x} x2={x} y1={y - 34} y2={-9} />
      <path d={`M${x - 3.4},-9 h6.8 l-1.2,4.4 L${x},0 l-2.2,-4.6 Z`} />
      <circle className="cor" cx={x} cy={y} r={3.6} />
      <circle className="cor-dot" cx={x} cy={y} r={1} />
    </g>
  );
}

interface HalvesBarProps {
  foot: FootParameters;
  figure: SideFigure;
  facing: 1 | -1;
  labels: boolean;
  wording: Wording;
}

/** Front and support as one divided bar under the foot. */
function HalvesBar({ foot, figure, facing, labels, wording }: HalvesBarProps) {
  const { frontMm, supportMm } = halvesOf(foot);
  const bar = (from: number, to: number, className: string) => (
    <rect
      className={className}
      x={Math.min(facing * from, facing * to)}
      width={Math.max(0, Math.abs(to - from))}
      y={7}
      height={4.5}
    />
  );
  return (
    <g className="halves">
      {bar(figure.heelY, figure.cor[0], "support")}
      {bar(figure.cor[0], figure.toeY, "front")}
      {labels && (
        <>
          <text x={facing * figure.heelY} y={20} textAnchor={facing === 1 ? "start" : "end"}>
            <tspan className="value">{wording.length(supportMm)}</tspan> support
          </text>
          <text x={facing * figure.toeY} y={20} textAnchor={facing === 1 ? "end" : "start"}>
            <tspan className="value">{wording.length(frontMm)}</tspan> front
          </text>
        </>
      )}
    </g>
  );
}
