import { useId, useRef, useState } from "react";
import { pathThrough } from "~app/drawing/path";
import { svgPoint } from "~app/drawing/svgPoint";
import { landingOf, leavingOf, leavingWord, type Watching } from "~core/gait/watching";
import { lateralOnScreen, SIDES, type Limb } from "~core/foot/limb";
import { ordinaryFoot } from "~core/foot/parametric/fit";
import { soleFigure } from "~core/foot/parametric/figure";
import { sizeFactor } from "~core/foot/parametric/parameters";
import { distance, type Vector } from "~core/geometry/vector";
import { sentenceCase } from "~core/foot/wording";
import { useWording } from "~app/ui/useWording";

interface LandingFigureProps {
  limb: Limb;
  watching: Watching | undefined;
  name: string;
  /** The look that it is held against, dashed. */
  earlier?: Watching | undefined;
  /** True for the foot whose taps stand beside it. */
  main: boolean;
  /** Keeps what was tapped or dragged; `was` is what it started from. */
  onKeep: (was: Seen, now: Seen) => unknown;
}

/** What this figure is for. */
export interface Seen {
  lands: Vector | undefined;
  leaves: number | undefined;
}

const MIDDLE: Vector = [0, 63];
const FRAME = { left: -84, top: -150, width: 168, height: 190 };
/** A stroke shorter than this is a tap, in the figure's own mm. */
const TAP_MM = 8;
const KEYS: Record<string, Vector> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** A small foot seen from above, toe up: tap where it lands, drag from the middle the way it leaves. */
export function LandingFigure({ limb, watching, name, earlier, main, onKeep }: LandingFigureProps) {
  const wording = useWording();
  const ids = useId();
  const svg = useRef<SVGSVGElement>(null);
  const start = useRef<Vector | undefined>(undefined);
  const [drag, setDrag] = useState<Vector | undefined>(undefined);
  const foot = ordinaryFoot(limb, { kind: "horse", massKg: 500 });
  const k = sizeFactor(foot);
  const figure = soleFigure(foot);
  const lateral = lateralOnScreen(limb, "above");
  const at = ([x, y]: Vector): Vector => [lateral * x, -y];
  const back = ([x, y]: Vector): Vector => [lateral * x, -y];
  const seen: Seen = { lands: watching?.lands, leaves: watching?.leaves };
  const { lands } = seen;
  const leaves = drag ? leavingOf(drag) : seen.leaves;
  const onLands = (to: Vector) => onKeep(seen, { ...seen, lands: to });
  const onLeaves = (deg: number) => onKeep(seen, { ...seen, leaves: deg });
  const said = [
    lands &&
      `lands ${wording.inOwnWords(landingOf(lands).word)}${landingOf(lands).word === "flat" ? "" : " first"}`,
    leaves !== undefined && `leaves ${wording.inOwnWords(leavingWord(leaves))}`,
  ].filter(Boolean);
  const arrow = (deg: number): Vector => [
    MIDDLE[0] + 76 * Math.sin((deg * Math.PI) / 180),
    MIDDLE[1] + 76 * Math.cos((deg * Math.PI) / 180),
  ];
  const point = (event: React.PointerEvent) => {
    const found = svg.current && svgPoint(svg.current, event);
    return found ? back(found) : undefined;
  };
  return (
    <figure className="landing" data-main={main}>
      <figcaption>{sentenceCase(wording.limb(limb))}</figcaption>
      <svg
        ref={svg}
        className="drawing landing-svg"
        viewBox={`${FRAME.left} ${FRAME.top} ${FRAME.width} ${FRAME.height}`}
        role="application"
        tabIndex={0}
        aria-label={`${wording.limb(limb)}, ${name}: tap where it lands, drag the way it leaves. Arrow keys move the landing, with Shift the leaving.`}
        aria-describedby={`${ids}-said`}
        onPointerDown={(event) => {
          start.current = point(event);
          svg.current?.setPointerCapture(event.pointerId);
        }}
        onPointerMove={(event) => {
          const now = start.current && point(event);
          if (now && start.current && distance(now, start.current) > TAP_MM) setDrag(now);
        }}
        onPointerUp={(event) => {
          const now = point(event);
          const from = start.current;
          start.current = undefined;
          setDrag(undefined);
          if (!now || !from) return;
          if (distance(now, from) > TAP_MM) onLeaves(Math.round(leavingOf(now)));
          else onLands([Math.round(now[0]), Math.round(now[1])]);
        }}
        onPointerCancel={() => {
          start.current = undefined;
          setDrag(undefined);
        }}
        onKeyDown={(event) => {
          const key = KEYS[event.key];
          if (!key) return;
          event.preventDefault();
          if (event.shiftKey)
            return onLeaves(Math.max(-90, Math.min(90, (leaves ?? 0) + 5 * lateral * key[0])));
          const [x, y] = lands ?? MIDDLE;
          onLands([x + 6 * lateral * key[0], y + 6 * key[1]]);
        }}
      >
        <path
          className="bulbs"
          d={pathThrough(
            figure.bulbs.map(([x, y]) => at([x / k, y / k])),
            "smoothClosed",
          )}
        />
        <path
          className="horn"
          d={`${pathThrough(
            figure.outline.map(([x, y]) => at([x / k, y / k])),
            "smooth",
          )} Z`}
        />
        <line className="midline" x1={0} x2={0} y1={-136} y2={12} />
        {earlier?.leaves !== undefined && (
          <line
            className="left-before"
            x1={0}
            y1={-MIDDLE[1]}
            x2={at(arrow(earlier.leaves))[0]}
            y2={at(arrow(earlier.leaves))[1]}
          />
        )}
        {earlier?.lands && (
          <circle className="landed-before" cx={at(earlier.lands)[0]} cy={at(earlier.lands)[1]} r={9} />
        )}
        {leaves !== undefined && (
          <g className="leaving">
            <line x1={0} y1={-MIDDLE[1]} x2={at(arrow(leaves))[0]} y2={at(arrow(leaves))[1]} />
            <circle cx={at(arrow(leaves))[0]} cy={at(arrow(leaves))[1]} r={4} />
          </g>
        )}
        {lands && <circle className="landed" cx={at(lands)[0]} cy={at(lands)[1]} r={9} />}
        {SIDES.map((side) => (
          <text
            key={side}
            className="side-letter"
            x={(side === "lateral" ? lateral : -lateral) * 74}
            y={30}
            textAnchor="middle"
            style={{ fontSize: 13 }}
          >
            {side === "lateral" ? "L" : "M"}
          </text>
        ))}
      </svg>
      <p id={`${ids}-said`} className="landing-said">
        {said.length > 0 ? (
          said.join(", ")
        ) : (
          <span className="quiet">tap where it lands, drag the way it leaves</span>
        )}
      </p>
    </figure>
  );
}
