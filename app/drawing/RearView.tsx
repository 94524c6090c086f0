import { rearFigure } from "~core/foot/parametric/figure";
import { hairlineTiltDeg } from "~core/foot/parametric/cut";
import { isLeft, SIDES } from "~core/foot/limb";
import type { FootParameters } from "~core/foot/parametric/parameters";
import type { Vector } from "~core/geometry/vector";
import type { Wording } from "~core/foot/wording";
import { pathThrough, roundUp } from "./path";
import type { ViewGeometry } from "./viewGeometry";
import "./drawing.css";

interface RearViewProps {
  foot: FootParameters;
  ghost?: FootParameters | undefined;
  /** The foot as it was planned, dotted. */
  planned?: FootParameters | undefined;
  wording: Wording;
  guess: boolean;
  title: string;
  /** The hairline's tilt as it was read, deg; else it follows from the heel heights. */
  tiltDeg?: number | undefined;
  overlay?: ((geometry: ViewGeometry) => React.ReactNode) | undefined;
}

/** A foot from behind, true to scale, the plumb line in its middle. A left foot has its outside on the left. */
export function RearView(props: RearViewProps) {
  const { foot, ghost, wording, guess, title, tiltDeg, overlay, planned } = props;
  const figure = rearFigure(foot);
  const before = ghost && rearFigure(ghost);
  const lateral = isLeft(foot.limb) ? -1 : 1;
  const at = ([x, z]: Vector): Vector => [lateral * x, -z];
  const half = roundUp(Math.max(...figure.hoof.map(([x]) => Math.abs(x)))) + 26;
  const top = roundUp(Math.max(...figure.limb.map(([, z]) => z))) + 4;
  const tilt = tiltDeg ?? hairlineTiltDeg(foot);
  const [medial, lateralHair] = [figure.hairline[0], figure.hairline.at(-1)] as [Vector, Vector];
  return (
    <svg
      className={`drawing${guess ? " drawing-guess" : ""}`}
      viewBox={`${-half} ${-top} ${2 * half} ${top + 20}`}
      style={{ width: `calc(${2 * half} * var(--mm))`, aspectRatio: `${2 * half} / ${top + 20}` }}
      role={overlay ? "group" : "img"}
      aria-label={title}
    >
      <path className="limb" d={pathThrough(figure.limb.map(at), "closed")} />
      <path className="horn" d={pathThrough(figure.hoof.map(at), "closed")} />
      <path className="frog" d={pathThrough(figure.frog.map(at), "smooth")} />
      <path className="hairline" d={pathThrough(figure.hairline.map(at), "smooth")} />
      {before && <path className="before" d={pathThrough(before.hoof.map(at), "closed")} />}
      {planned && <path className="planned" d={pathThrough(rearFigure(planned).hoof.map(at), "closed")} />}
      <line className="limb-axis" x1={0} y1={0} x2={at(figure.axis[1])[0]} y2={at(figure.axis[1])[1]} />
      <line
        className="level-line"
        x1={at(medial)[0]}
        y1={at(medial)[1]}
        x2={at(lateralHair)[0]}
        y2={at(lateralHair)[1]}
      />
      <line className="ground" x1={-half + 4} x2={half - 4} y1={0} y2={0} />
      <g className="plumb">
        <line x1={0} x2={0} y1={-top + 6} y2={-9} />
        <path d="M-3.4,-9 h6.8 l-1.2,4.4 L0,0 l-2.2,-4.6 Z" />
      </g>
      <g className="figures">
        <text className="value" x={0} y={16} textAnchor="middle">
          hairline {wording.angle(Math.abs(tilt))}
        </text>
        {SIDES.map((side) => {
          const onScreen = (side === "lateral" ? lateral : -lateral) * (half - 9);
          return (
            <g key={side}>
              <text className="side-letter" x={onScreen} y={10} textAnchor="middle">
                {side === "lateral" ? "L" : "M"}
              </text>
              <text x={onScreen} y={-foot.heelHeightMm[side] / 2} textAnchor="middle">
                {wording.length(foot.heelHeightMm[side]).replace(/ (mm|in)$/, "")}
              </text>
            </g>
          );
        })}
      </g>
      {overlay?.({ frame: [-half, -top, 2 * half, top + 20], at, back: ([x, y]) => [lateral * x, -y] })}
    </svg>
  );
}
