import { useRef } from "react";
import { distance, type Vector } from "~core/geometry/vector";
import { svgPoint } from "./svgPoint";
import "./drawing.css";

/** A mark that can be taken hold of, in the drawing's own coordinates. */
export interface Handle<Name extends string> {
  name: Name;
  label: string;
  at: Vector;
  /** False = a pale guess where nothing was measured. */
  known: boolean;
}

interface MarkHandlesProps<Name extends string> {
  handles: readonly Handle<Name>[];
  selected: Name | undefined;
  /** The drawing's frame, `[left, top, width, height]`, in which a pointer takes the nearest mark. */
  frame: readonly [number, number, number, number];
  /** Size of a mark in the drawing's own unit. */
  radius: number;
  /** One step of an arrow key in the drawing's own unit; with shift ten of them. */
  step: number;
  onSelect: (name: Name) => void;
  onMove: (name: Name, to: Vector) => void;
  /** The mark was let go. */
  onDrop: (name: Name, to: Vector) => void;
  /** A tap that moved nothing, where a tap means something else than to choose. */
  onTap?: ((at: Vector) => void) | undefined;
}

export const ARROWS: Record<string, Vector> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** A finger this near to a mark takes it, px. */
const REACH_PX = 26;
/** A finger that moves less than this has tapped, px. */
const TAP_PX = 4;

/** Marks over a drawing or picture: dragged by mouse or finger, moved by arrow keys, each with its name. */
export function MarkHandles<Name extends string>(props: MarkHandlesProps<Name>) {
  const { handles, selected, frame, radius, step, onSelect, onMove, onDrop, onTap } = props;
  const held = useRef<{ name: Name; offset: Vector; from: Vector; moved: boolean } | undefined>(undefined);
  const svgOf = (target: EventTarget) => (target as SVGElement).ownerSVGElement;
  const nearest = (at: Vector) =>
    handles.reduce<Handle<Name> | undefined>(
      (best, one) => (best && distance(best.at, at) <= distance(one.at, at) ? best : one),
      undefined,
    );
  return (
    <g className="handles">
      <rect
        className="handle-field"
        x={frame[0]}
        y={frame[1]}
        width={frame[2]}
        height={frame[3]}
        onPointerDown={(event) => {
          const svg = svgOf(event.target);
          const at = svg && svgPoint(svg, event);
          const best = at && nearest(at);
          if (!svg || !best) return;
          const pxPerUnit = svg.getScreenCTM()?.a ?? 1;
          if (distance(best.at, at) * pxPerUnit > REACH_PX) return;
          event.preventDefault();
          event.stopPropagation();
          (event.target as SVGElement).setPointerCapture(event.pointerId);
          held.current = {
            name: best.name,
            offset: [best.at[0] - at[0], best.at[1] - at[1]],
            from: at,
            moved: false,
          };
          if (!onTap) onSelect(best.name);
        }}
        onPointerMove={(event) => {
          const svg = svgOf(event.target);
          const at = svg && held.current && svgPoint(svg, event);
          if (!svg || !at || !held.current) return;
          const pxPerUnit = svg.getScreenCTM()?.a ?? 1;
          if (!held.current.moved && distance(at, held.current.from) * pxPerUnit < TAP_PX) return;
          if (!held.current.moved) onSelect(held.current.name);
          held.current.moved = true;
          onMove(held.current.name, [at[0] + held.current.offset[0], at[1] + held.current.offset[1]]);
        }}
        onPointerUp={(event) => {
          const svg = svgOf(event.target);
          const at = svg && held.current && svgPoint(svg, event);
          const one = held.current;
          held.current = undefined;
          if (at && one && !one.moved) onTap?.(at);
          if (at && one?.moved) onDrop(one.name, [at[0] + one.offset[0], at[1] + one.offset[1]]);
        }}
        onPointerCancel={() => {
          held.current = undefined;
        }}
      />
      {handles.map(({ name, label, at, known }) => (
        <g
          key={name}
          className={`handle${known ? "" : " handle-guess"}${name === selected ? " handle-selected" : ""}`}
          role="button"
          tabIndex={0}
          aria-label={label}
          aria-pressed={name === selected}
          data-mark={name}
          onFocus={() => onSelect(name)}
          onKeyDown={(event) => {
            const arrow = ARROWS[event.key];
            if (!arrow || event.altKey || event.ctrlKey || event.metaKey) return;
            event.preventDefault();
            const by = step * (event.shiftKey ? 10 : 1);
            onDrop(name, [at[0] + arrow[0] * by, at[1] + arrow[1] * by]);
          }}
        >
          <circle className="handle-ring" cx={at[0]} cy={at[1]} r={radius} />
          <circle className="handle-dot" cx={at[0]} cy={at[1]} r={radius * 0.28} />
        </g>
      ))}
    </g>
  );
}
