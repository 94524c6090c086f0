import { line } from "d3-shape";
import { memo, useId, useMemo } from "react";
import { lengthInField, type Wording } from "~core/foot/wording";
import type { GroundNumbers, StoodShoe } from "~core/ground/compare";
import type { PressureField } from "~core/ground/pressureField";
import { lateralOnScreen, SIDES, type Limb } from "~core/foot/limb";
import type { SolarPoint, Vector } from "~core/geometry/vector";
import type { Fit } from "~core/shoe/fit";
import { roundTheToe } from "~core/shoe/outline";
import { pressureBands, pressurePeak } from "./model";
import "./pressure.css";

/** A box in the foot's own millimetres that all maps are drawn in. */
export interface MapFrame {
  half: number;
  back: number;
  front: number;
}

interface PressureMapProps {
  limb: Limb;
  fit: Fit;
  answer: GroundNumbers;
  places: NonNullable<StoodShoe["places"]>;
  /** Left out where shares hang on levelness: then the levers alone are drawn. */
  field: PressureField | undefined;
  steps: readonly number[];
  frame: MapFrame;
  title: string;
  wording: Wording;
}

/** Room beside and around a map for letters and levers, mm. */
const MARGIN = { side: 22, above: 6, below: 16 };

const pathOf = line();

/** What all maps of some shoes are drawn in. */
export function frameOf(fits: readonly Fit[]): MapFrame {
  const all = fits.flatMap((fit) => [...fit.solid.outside, ...roundTheToe(fit.question.foot.outline)]);
  return {
    half: Math.max(...all.map(([x]) => Math.abs(x))),
    back: Math.min(0, ...all.map(([, y]) => y)),
    front: Math.max(...all.map(([, y]) => y)),
  };
}

/** The pressure of one foot in one shoe on the ground, from below, to the scale of the others beside it. */
export const PressureMap = memo(function PressureMap(props: PressureMapProps) {
  const { limb, fit, answer, places, field, steps, frame, title, wording } = props;
  const clip = useId();
  const lateral = lateralOnScreen(limb, "below");
  const bands = useMemo(() => (field ? pressureBands(field, steps) : []), [field, steps]);
  const at = ([x, y]: Vector): Vector => [lateral * x, -y];
  const open = (points: readonly Vector[]) =>
    pathOf(points.map(([x, y]): [number, number] => [lateral * x, -y])) ?? "";
  const ring = (points: readonly SolarPoint[]) => `${open(points)}Z`;
  const peak = field && pressurePeak(field);
  const half = frame.half + MARGIN.side;
  const height = frame.front - frame.back + MARGIN.above + MARGIN.below;
  const bare = fit.question.spec.type === "bare";
  const [fx, fy] = at([answer.centre.x, answer.centre.y]);
  const corY = -places.corY;
  const leverX = -half + 7;
  return (
    <svg
      className="pressure-map"
      viewBox={`${-half} ${-frame.front - MARGIN.above} ${2 * half} ${height}`}
      role="img"
      aria-label={title}
    >
      <path className="pressure-foot" d={open(roundTheToe(fit.question.foot.outline))} />
      {!bare && (
        <path
          className={field ? "pressure-shoe" : "pressure-shoe pressure-shoe-plain"}
          fillRule="evenodd"
          d={[fit.solid.outside, ...fit.solid.holes].map(ring).join(" ")}
        />
      )}
      <clipPath id={clip}>
        <path d={ring(roundTheToe(fit.question.foot.outline))} />
        {!bare && <path fillRule="evenodd" d={ring(fit.solid.outside)} />}
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        {bands.map(({ from, rings }, step) => (
          <path
            key={from}
            className="pressure-band"
            data-first={step === 0}
            fillRule="evenodd"
            d={rings.map(ring).join(" ")}
          />
        ))}
      </g>
      <line className="pressure-cor" x1={-frame.half} x2={frame.half} y1={corY} y2={corY} />
      <g className="pressure-lever">
        <path d={`M${leverX + 3},${-places.breaksAtY} H${leverX} V${corY} H${leverX + 3}`} />
        <path d={`M${leverX + 3},${corY} H${leverX} V${-places.endsAtY} H${leverX + 3}`} />
        <text x={leverX + 4} y={(-places.breaksAtY + corY) / 2}>
          {lengthInField(answer.lever.front, wording)}
        </text>
        <text x={leverX + 4} y={(corY - places.endsAtY) / 2}>
          {lengthInField(answer.lever.support, wording)}
        </text>
      </g>
      {field && (
        <g className="pressure-centre">
          <circle cx={fx} cy={fy} r={3.4} />
          <path d={`M${fx - 5.5},${fy} H${fx + 5.5} M${fx},${fy - 5.5} V${fy + 5.5}`} />
        </g>
      )}
      {peak && <PeakMark peak={peak.kPa} at={at(peak.at)} half={half} />}
      {SIDES.map((side) => {
        const onScreen = side === "lateral" ? lateral : -lateral;
        return (
          <text
            key={side}
            className="pressure-side"
            x={onScreen * frame.half * 0.72}
            y={-frame.back + MARGIN.below - 3}
            textAnchor="middle"
          >
            {side === "lateral" ? "L" : "M"} {wording.side(side)}
          </text>
        );
      })}
    </svg>
  );
});

/** The highest place, with its value written out beside the foot. */
function PeakMark({ peak, at: [x, y], half }: { peak: number; at: Vector; half: number }) {
  const toRight = half - 2;
  return (
    <g className="pressure-peak">
      <path d={`M${x},${y} L${toRight - 8},${y + 9}`} />
      <circle cx={x} cy={y} r={1.8} />
      <text x={toRight} y={y + 19} textAnchor="end">
        {Math.round(peak)}
      </text>
    </g>
  );
}

/** The scale of all maps: what each step stands for, darker is more. */
export function PressureScale({ steps }: { steps: readonly number[] }) {
  return (
    <ol className="pressure-scale" aria-label="Pressure on the ground, kPa">
      {steps.map((from, step) => (
        <li key={from}>
          <svg viewBox="0 0 20 12" aria-hidden="true">
            <rect width="20" height="12" className="pressure-under" />
            {steps.slice(0, step + 1).map((_, under) => (
              <rect key={under} width="20" height="12" className="pressure-band" data-first={under === 0} />
            ))}
          </svg>
          {step === 0 ? "under" : "from"} {Math.round(step === 0 ? (steps[1] ?? from) : from)}
        </li>
      ))}
      <li>kPa</li>
    </ol>
  );
}
