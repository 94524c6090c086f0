import polygonClipping, { type Pair, type Polygon } from "polygon-clipping";
import { polygonArea } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { roundTheToe, type SidedLine } from "./outline";

/** A shoe as one piece of metal seen from below, mm. */
export interface Solid {
  /** Its outer boundary, closed, the first point not repeated. */
  outside: SolarPoint[];
  /** What it encloses: none for an open shoe. */
  holes: SolarPoint[][];
  /** mm2. */
  area: number;
}

/** A hole or a piece smaller than this is a crumb of the arithmetic, mm2. */
const CRUMB_MM2 = 4;

const ring = (points: readonly SolarPoint[]): Polygon => [points.map(([x, y]): Pair => [x, y])];
const open = (closed: readonly Pair[]): SolarPoint[] =>
  closed.slice(0, -1).map(([x, y]): SolarPoint => [x, y]);

/**
 * Both branches and what lies across them as one piece: the union of the web and the bars. The largest piece is the shoe;
 * `loose` is true where there is another one that is more than a crumb. An empty outline gives no area.
 */
export function shoeSolid(
  outer: SidedLine,
  inner: SidedLine,
  bars: readonly (readonly SolarPoint[])[],
): Solid & { loose: boolean } {
  const web = [...roundTheToe(outer), ...roundTheToe(inner).reverse()];
  const pieces = polygonClipping
    .union([ring(web)], ...bars.map(ring))
    .map((piece) => {
      const [outside = [], ...holes] = piece.map(open);
      const kept = holes.filter((hole) => Math.abs(polygonArea(hole)) > CRUMB_MM2);
      const area =
        Math.abs(polygonArea(outside)) - kept.reduce((sum, hole) => sum + Math.abs(polygonArea(hole)), 0);
      return { outside, holes: kept, area };
    })
    .sort((a, b) => b.area - a.area);
  const [shoe, next] = pieces;
  return {
    ...(shoe ?? { outside: [], holes: [], area: 0 }),
    loose: next !== undefined && next.area > CRUMB_MM2,
  };
}
