import { radians } from "../math/angle";
import type { Layout } from "./layout";
import type { Planning } from "./planning";
import type { Place } from "./travel";

export interface MapPoint {
  x: number;
  y: number;
}

/** A round on a flat sheet: north up, east right, the same scale both ways (equirectangular about home's latitude). */
export interface RoundMapDrawing {
  home: MapPoint;
  /** `right`: the name stands to the right of the point, where there is room. */
  yards: (MapPoint & { id: string; name: string; right: boolean })[];
  ways: { date: string; points: MapPoint[] }[];
}

/** Home, yards with a place, and each day's way home to home, to fit a sheet with a margin; all in its units. */
export function drawnMap(
  { question, jobs }: Planning,
  { days }: Layout,
  { width, height, margin }: { width: number; height: number; margin: number },
): RoundMapDrawing {
  const narrow = Math.cos(radians(question.home[0]));
  const flat = ([latitude, longitude]: Place): MapPoint => ({ x: longitude * narrow, y: -latitude });
  const named = new Map(jobs.map(({ yard }) => [yard.id, yard]));
  const placed = [...named.values()].flatMap((yard) => (yard.at ? [{ yard, flat: flat(yard.at) }] : []));
  const all = [flat(question.home), ...placed.map((one) => one.flat)];
  const [left, right] = [Math.min(...all.map(({ x }) => x)), Math.max(...all.map(({ x }) => x))];
  const [top, bottom] = [Math.min(...all.map(({ y }) => y)), Math.max(...all.map(({ y }) => y))];
  const scale = Math.min(
    (width - 2 * margin) / Math.max(right - left, 1e-9),
    (height - 2 * margin) / Math.max(bottom - top, 1e-9),
  );
  const onSheet = ({ x, y }: MapPoint): MapPoint => ({
    x: width / 2 + (x - (left + right) / 2) * scale,
    y: height / 2 + (y - (top + bottom) / 2) * scale,
  });
  const home = onSheet(flat(question.home));
  const points = new Map(placed.map(({ yard, flat: at }) => [yard.id, onSheet(at)]));
  return {
    home,
    yards: placed.map(({ yard }) => {
      const at = points.get(yard.id) ?? home;
      return { ...at, id: yard.id, name: yard.name, right: at.x < width / 2 };
    }),
    ways: days
      .filter(({ stops }) => stops.length > 0)
      .map(({ date, stops }) => ({
        date,
        points: [home, ...stops.map(({ yard }) => points.get(yard.id) ?? home), home],
      })),
  };
}
