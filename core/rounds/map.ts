import { radians } from "../math/angle";
import type { Layout } from "./layout";
import { placeLabels, type MapLabel, type MapPoint } from "./mapLabels";
import type { Planning } from "./planning";
import type { Place } from "./travel";

/** A round on a flat sheet: north up, east right, the same scale both ways (equirectangular about home's latitude). */
export interface RoundMapDrawing {
  home: MapPoint;
  yards: (MapPoint & { id: string; name: string; label: MapLabel })[];
  ways: { date: string; points: MapPoint[] }[];
}

/**
 * Home, yards with a place and a name, and each day's way home to home, to fit a sheet with a margin; all in its units,
 * as is the size of type.
 */
export function drawnMap(
  { question, jobs }: Planning,
  { days }: Layout,
  { width, height, margin, type }: { width: number; height: number; margin: number; type: number },
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
  const ways = days
    .filter(({ stops }) => stops.length > 0)
    .map(({ date, stops }) => ({
      date,
      points: [home, ...stops.map(({ yard }) => points.get(yard.id) ?? home), home],
    }));
  const yards = placed.map(({ yard: { id, name } }) => ({ ...(points.get(id) ?? home), id, name }));
  const labels = placeLabels({
    points: yards,
    home,
    ways: ways.map((way) => way.points),
    sheet: { width, height },
    type,
  });
  return {
    home,
    yards: yards.map((yard, index) => ({ ...yard, label: labels[index] as MapLabel })),
    ways,
  };
}
