import { useEffect, useRef, useState } from "react";
import { ARROWS, MarkHandles, type Handle } from "./MarkHandles";
import { svgPoint } from "./svgPoint";
import { distance, type Vector } from "~core/geometry/vector";
import "./marking.css";

interface PicturePaneProps {
  url: string;
  width: number;
  height: number;
  handles: readonly Handle<string>[];
  /** Closed outline through the card's corners. */
  card?: readonly Vector[];
  /** What is drawn over the picture, in its pixels; `thick` is the width of a thin line. */
  over?: (thick: number) => React.ReactNode;
  name?: string;
  selected: string | undefined;
  /** What the next tap places; a tap places nothing without it. */
  armed: string | undefined;
  /** One step of an arrow key, px of the picture. */
  step: number;
  onPlace: (at: Vector) => void;
  onSelect: (name: string) => void;
  onMove: (name: string, at: Vector) => void;
  onDrop: (name: string, at: Vector) => void;
}

/** What part of the picture is in view: its middle, and how many times it is enlarged. */
interface Looking {
  middle: Vector;
  zoom: number;
}

/** Steps of an arrow key that the cross goes at once, and with shift: a placed mark is moved by one. */
const AIM_STEPS = { near: 20, far: 200 };
const MOST_ZOOM = 16;
const TAP_PX = 8;
const LOUPE = { across: 150, zoom: 3.2 };

/** A picture that is zoomed by wheel or pinch, moved by drag, and marked by tap; a loupe shows the mark in hand. */
export function PicturePane(props: PicturePaneProps) {
  const {
    url,
    width,
    height,
    handles,
    card = [],
    over,
    name = "The photograph with its marks",
    selected,
    armed,
    step,
    onPlace,
    onSelect,
    onMove,
    onDrop,
  } = props;
  const svg = useRef<SVGSVGElement>(null);
  const [looking, setLooking] = useState<Looking>({ middle: [width / 2, height / 2], zoom: 1 });
  const fingers = useRef(new Map<number, Vector>());
  const [aim, setAim] = useState<Vector>();
  const tap = useRef<{ at: Vector; moved: boolean } | undefined>(undefined);
  const { middle, zoom } = looking;
  const [across, down] = [width / zoom, height / zoom];
  const box: readonly [number, number, number, number] = [
    middle[0] - across / 2,
    middle[1] - down / 2,
    across,
    down,
  ];
  const pxPerUnit = zoom;

  const zoomAt = (point: Vector, by: number) =>
    setLooking((now) => {
      const next = Math.min(MOST_ZOOM, Math.max(1, now.zoom * by));
      const part = now.zoom / next;
      return {
        zoom: next,
        middle:
          next === 1
            ? [width / 2, height / 2]
            : [point[0] + (now.middle[0] - point[0]) * part, point[1] + (now.middle[1] - point[1]) * part],
      };
    });
  useEffect(() => {
    const pane = svg.current;
    if (!pane) return undefined;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const at = svgPoint(pane, event);
      if (at) zoomAt(at, Math.exp(-event.deltaY / 400));
    };
    pane.addEventListener("wheel", onWheel, { passive: false });
    return () => pane.removeEventListener("wheel", onWheel);
  });

  const onDown = (event: React.PointerEvent) => {
    const at = svg.current && svgPoint(svg.current, event);
    if (!at) return;
    fingers.current.set(event.pointerId, [event.clientX, event.clientY]);
    tap.current = fingers.current.size === 1 ? { at, moved: false } : undefined;
    svg.current?.setPointerCapture(event.pointerId);
  };
  const onPointerMove = (event: React.PointerEvent) => {
    const before = fingers.current.get(event.pointerId);
    if (!before || !svg.current) return;
    const now: Vector = [event.clientX, event.clientY];
    const scale = svg.current.getScreenCTM()?.a ?? 1;
    const [other] = [...fingers.current].filter(([id]) => id !== event.pointerId).map(([, at]) => at);
    if (other) {
      const between = svgPoint(svg.current, {
        clientX: (now[0] + other[0]) / 2,
        clientY: (now[1] + other[1]) / 2,
      });
      if (between) zoomAt(between, distance(now, other) / Math.max(1, distance(before, other)));
    } else {
      if (tap.current && distance(now, before) > 0) {
        const start = tap.current;
        const here = svgPoint(svg.current, event);
        if (start.moved || (here && distance(here, start.at) * scale > TAP_PX)) {
          start.moved = true;
          setLooking((view) => ({
            ...view,
            middle:
              view.zoom === 1
                ? view.middle
                : [
                    view.middle[0] - (now[0] - before[0]) / scale,
                    view.middle[1] - (now[1] - before[1]) / scale,
                  ],
          }));
        } else return;
      }
    }
    fingers.current.set(event.pointerId, now);
  };
  const onUp = (event: React.PointerEvent) => {
    fingers.current.delete(event.pointerId);
    const start = tap.current;
    tap.current = undefined;
    if (start && !start.moved && armed !== undefined) onPlace(start.at);
  };

  /** Without a pointer: arrows take a cross over the picture, Enter places the mark there. */
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (armed === undefined || event.target !== svg.current || event.ctrlKey || event.metaKey) return;
    const arrow = ARROWS[event.key];
    if (arrow) {
      event.preventDefault();
      const by = step * (event.shiftKey ? AIM_STEPS.far : AIM_STEPS.near);
      const [x, y] = aim ?? middle;
      setAim([
        Math.min(width, Math.max(0, x + arrow[0] * by)),
        Math.min(height, Math.max(0, y + arrow[1] * by)),
      ]);
    } else if (event.key === "Enter" && aim) {
      event.preventDefault();
      event.stopPropagation();
      onPlace(aim);
    }
  };

  const inHand = handles.find(({ name }) => name === selected);
  const half = LOUPE.across / 2;
  return (
    <div className="picture-pane">
      <svg
        ref={svg}
        className={armed === undefined ? "picture-svg" : "picture-svg picture-armed"}
        viewBox={box.join(" ")}
        role="group"
        aria-label={armed === undefined ? name : `${name}; arrows and Enter place one`}
        tabIndex={armed === undefined ? -1 : 0}
        onKeyDown={onKeyDown}
        onBlur={(event) => {
          if (event.target === svg.current) setAim(undefined);
        }}
        onPointerDown={onDown}
        onPointerMove={onPointerMove}
        onPointerUp={onUp}
        onPointerCancel={onUp}
      >
        <image href={url} width={width} height={height} />
        {card.length > 1 && (
          <polygon
            className="picture-card"
            points={card.map((corner) => corner.join(",")).join(" ")}
            style={{ strokeWidth: width / 500 / pxPerUnit }}
          />
        )}
        {over?.(width / 900 / pxPerUnit)}
        {aim && armed !== undefined && (
          <path
            className="picture-aim"
            style={{ strokeWidth: width / 500 / pxPerUnit }}
            d={`M${aim[0] - width / 40},${aim[1]}h${width / 20}M${aim[0]},${aim[1] - width / 40}v${width / 20}`}
          />
        )}
        <g
          style={{ "--handle": `${width / 700 / pxPerUnit}` } as React.CSSProperties}
          className="picture-handles"
        >
          <MarkHandles
            handles={handles}
            selected={selected}
            frame={box}
            radius={width / 110 / pxPerUnit}
            step={step}
            onSelect={onSelect}
            onMove={onMove}
            onDrop={onDrop}
            onTap={armed === undefined ? undefined : onPlace}
          />
        </g>
      </svg>
      {inHand && (
        <svg
          className={`loupe${inHand.at[0] < middle[0] && inHand.at[1] < middle[1] ? " loupe-right" : ""}`}
          width={LOUPE.across}
          height={LOUPE.across}
          viewBox={`${inHand.at[0] - (half * width) / 700 / LOUPE.zoom} ${inHand.at[1] - (half * width) / 700 / LOUPE.zoom} ${(LOUPE.across * width) / 700 / LOUPE.zoom} ${(LOUPE.across * width) / 700 / LOUPE.zoom}`}
          aria-hidden="true"
        >
          <image href={url} width={width} height={height} />
          <path
            className="loupe-cross"
            style={{ strokeWidth: width / 1600 }}
            d={`M${inHand.at[0] - width / 60},${inHand.at[1]}h${width / 30}M${inHand.at[0]},${inHand.at[1] - width / 60}v${width / 30}`}
          />
        </svg>
      )}
      <div className="picture-zoom">
        <button type="button" aria-label="Enlarge" onClick={() => zoomAt(inHand?.at ?? middle, 1.6)}>
          +
        </button>
        <button type="button" aria-label="Make smaller" onClick={() => zoomAt(inHand?.at ?? middle, 1 / 1.6)}>
          −
        </button>
        <button
          type="button"
          aria-label="Show the whole picture"
          onClick={() => zoomAt(middle, 1 / MOST_ZOOM)}
        >
          ⤢
        </button>
      </div>
    </div>
  );
}
