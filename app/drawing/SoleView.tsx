import { halvesFrom, halvesInWords } from "~core/foot/parametric/halves";
import { soleFigure, type SoleFigure } from "~core/foot/parametric/figure";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { lateralOnScreen, SIDES } from "~core/foot/limb";
import type { SolarMarks } from "~core/foot/survey/frame";
import type { UndistortedOutline } from "~core/foot/parametric/surveyedOutline";
import type { SolarPoint, Vector } from "~core/geometry/vector";
import type { Wording } from "~core/foot/wording";
import { pathThrough, roundUp } from "./path";
import type { ViewGeometry } from "./viewGeometry";
import "./drawing.css";

export interface SoleViewProps {
  foot: FootParameters;
  /** Marks of a survey: the drawing goes through them. */
  marks?: SolarMarks | undefined;
  /** Centre of rotation by survey, y in mm; the drawn foot's own estimate without one. */
  corY?: number | undefined;
  /** Front and support of what stands on the ground, mm: the shoe's where one is on; the foot's own without. */
  halves?: { front: number; support: number } | undefined;
  /** The foot's own shape, its live sole as measured, and the estimated bone. */
  shape?: { outline: UndistortedOutline; bone?: readonly SolarPoint[] | undefined } | undefined;
  /** y at which a lens would have the toe, with the lens's name. */
  aims?: readonly { y: number; name: string; second: boolean }[];
  overlay?: ((geometry: ViewGeometry) => React.ReactNode) | undefined;
  ghost?: FootParameters | undefined;
  ghostMarks?: SolarMarks | undefined;
  ghostCorY?: number | undefined;
  /** The foot as it is planned, dotted, laid over it by the centre of rotation. */
  planned?: FootParameters | undefined;
  wording: Wording;
  guess: boolean;
  labels?: boolean;
  title: string;
}

const MARGIN = { side: 34, below: 34, above: 14 };

/** The sole from below, toe up, true to scale. On a left foot lateral lies to the right of the picture. */
export function SoleView(props: SoleViewProps) {
  const { foot, ghost, wording, guess, labels = true, title, shape, aims = [], overlay } = props;
  const figure = soleFigure(foot, props.marks, props.corY);
  const before = ghost && soleFigure(ghost, props.ghostMarks, props.ghostCorY);
  const planned = props.planned && soleFigure(props.planned);
  const lateral = lateralOnScreen(foot.limb, "below");
  const at = ([x, y]: Vector): Vector => [lateral * x, -y];
  const back = ([x, y]: Vector): Vector => [lateral * x, -y];
  // Two feet of which only one was surveyed are laid over each other by their centres of rotation.
  const beforeShift = before ? figure.corY - before.corY : 0;
  const beforeAt = ([x, y]: Vector): Vector => at([x, y + beforeShift]);
  const half = roundUp(Math.max(figure.halfWidth, before?.halfWidth ?? 0)) + MARGIN.side;
  const top = roundUp(Math.max(figure.toeY, before?.toeY ?? 0)) + MARGIN.above;
  const height = top + MARGIN.below;
  return (
    <svg
      className={`drawing${guess ? " drawing-guess" : ""}`}
      viewBox={`${-half} ${-top} ${2 * half} ${height}`}
      style={{ width: `calc(${2 * half} * var(--mm))`, aspectRatio: `${2 * half} / ${height}` }}
      role={overlay ? "group" : "img"}
      aria-label={title}
    >
      <path className="bulbs" d={pathThrough(figure.bulbs.map(at), "smoothClosed")} />
      <path className="horn" d={outlinePath(figure, at)} />
      <path className="sole" d={solePath(figure, at)} />
      <path className="frog" d={pathThrough(figure.frog.map(at), "smoothClosed")} />
      <path className="sulcus" d={pathThrough(figure.sulcus.map(at), "straight")} />
      {SIDES.map((side) => (
        <path key={side} className="bar" d={pathThrough(figure.bars[side].map(at), "smooth")} />
      ))}
      {shape && (
        <>
          <path className="undistorted" d={pathThrough(shape.outline.outline.map(at), "smooth")} />
          {shape.bone && <path className="bone" d={pathThrough(shape.bone.map(at), "smooth")} />}
        </>
      )}
      {before && <path className="before" d={pathThrough(before.outline.map(beforeAt), "smooth")} />}
      {planned && (
        <path
          className="planned"
          d={pathThrough(
            planned.outline.map(([x, y]) => at([x, y + figure.corY - planned.corY])),
            "smooth",
          )}
        />
      )}
      {aims.map(({ y, name, second }) => (
        <g key={name}>
          <line
            className={second ? "aim aim-second" : "aim"}
            x1={-figure.halfWidth * 0.72}
            x2={figure.halfWidth * 0.72}
            y1={-y}
            y2={-y}
          />
          <text
            className={`small aim-label${second ? " aim-label-second" : ""}`}
            x={figure.halfWidth + 4}
            y={-y + 1.8}
          >
            {name}
          </text>
        </g>
      ))}
      <line className="midline" x1={0} x2={0} y1={-figure.toeY - 8} y2={24} />
      <g className="plumb">
        <line x1={-half + 22} x2={half - 22} y1={-figure.corY} y2={-figure.corY} />
        <circle className="cor" cx={0} cy={-figure.corY} r={4.2} />
        <circle className="cor-dot" cx={0} cy={-figure.corY} r={1.2} />
      </g>
      {labels && (
        <SoleLabels figure={figure} half={half} lateral={lateral} wording={wording} halves={props.halves} />
      )}
      {overlay?.({ frame: [-half, -top, 2 * half, height], at, back })}
    </svg>
  );
}

const outlinePath = (figure: SoleFigure, at: (point: Vector) => Vector): string =>
  `${pathThrough(figure.outline.map(at), "smooth")} ${closingHeels(figure, at)}`;

/** From the lateral heel into the sole and across to the medial one: the open back of the foot. */
function closingHeels(figure: SoleFigure, at: (point: Vector) => Vector): string {
  const [medial, lateral] = [figure.liveSole[0], figure.liveSole.at(-1)] as [Vector, Vector];
  return `L${at([lateral[0] * 0.86, lateral[1] + 3])} L${at([medial[0] * 0.86, medial[1] + 3])} Z`;
}

const solePath = (figure: SoleFigure, at: (point: Vector) => Vector): string =>
  `${pathThrough(figure.liveSole.map(at), "smooth")} Z`;

interface LabelProps {
  figure: SoleFigure;
  half: number;
  lateral: 1 | -1;
  wording: Wording;
  halves: SoleViewProps["halves"];
}

/** The halves measured at the left edge, and which side is which: M and L stand on every drawing. */
function SoleLabels({ figure, half, lateral, wording, halves: asked }: LabelProps) {
  const front = asked?.front ?? figure.toeY - figure.corY;
  const support = asked?.support ?? figure.corY - figure.heelY;
  const [toeY, heelY] = [figure.corY + front, figure.corY - support];
  const halves = halvesFrom(front, support);
  const x = -half + 20;
  const bracket = (from: number, to: number) => `M${x + 3},${-from} H${x} V${-to} H${x + 3}`;
  return (
    <g className="figures">
      <path className="bracket front" d={bracket(toeY, figure.corY)} />
      <path className="bracket support" d={bracket(figure.corY, heelY)} />
      <text className="value front" x={x - 2.5} y={-(toeY + figure.corY) / 2} textAnchor="end">
        {wording.length(halves.frontMm).replace(/ (mm|in)$/, "")}
      </text>
      <text className="value" x={x - 2.5} y={-(figure.corY + heelY) / 2} textAnchor="end">
        {wording.length(halves.supportMm).replace(/ (mm|in)$/, "")}
      </text>
      <text className="value" x={half - 2} y={-figure.corY - 3} textAnchor="end">
        {halvesInWords(halves)}
      </text>
      {SIDES.map((side) => {
        const onScreen = side === "lateral" ? lateral : -lateral;
        return (
          <text
            key={side}
            className="side-letter"
            x={onScreen * (figure.halfWidth * 0.86)}
            y={22}
            textAnchor="middle"
          >
            {side === "lateral" ? "L" : "M"}
            <tspan className="small"> {wording.side(side)}</tspan>
          </text>
        );
      })}
    </g>
  );
}
