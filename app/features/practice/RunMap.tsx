import type { ViewGeometry } from "~app/drawing/viewGeometry";
import { pathThrough } from "~app/drawing/path";
import { soleLandmarks } from "~core/foot/parametric/landmarks";
import { liveSoleOutline } from "~core/foot/parametric/outline";
import { corYOf, sulcusLength, type FootParameters } from "~core/foot/parametric/parameters";
import type { Vector } from "~core/geometry/vector";

interface RunMapProps {
  foot: FootParameters;
  chosen: readonly string[];
  geometry: ViewGeometry;
}

/** The map grows on the foot as the steps of the house's protocol are chosen. */
export function RunMap({ foot, chosen, geometry: { at } }: RunMapProps) {
  const s = sulcusLength(foot);
  const marks = soleLandmarks(foot);
  const has = (id: string) => chosen.includes(id);
  const dot = (point: Vector, key: string) => {
    const [x, y] = at(point);
    return <circle key={key} cx={x} cy={y} r={2.6} />;
  };
  const across = (y: number, half: number, key: string) => {
    const [a, b] = [at([-half, y]), at([half, y])];
    return <line key={key} x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />;
  };
  const half = foot.widthMm / 2;
  return (
    <g className="run-map">
      {has("ends") && [dot([0, 0], "back"), dot([0, s], "front")]}
      {has("apex") && dot([0, 2 * s], "apex")}
      {has("widest") && across(corYOf(foot), half, "widest")}
      {has("bars") && [dot(marks.barEndMedial, "medial"), dot(marks.barEndLateral, "lateral")]}
      {has("line") && <path className="run-line" d={pathThrough(liveSoleOutline(foot).map(at), "smooth")} />}
    </g>
  );
}
