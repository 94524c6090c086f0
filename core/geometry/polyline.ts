import { distance, length, minus, type Vector } from "./vector";

/**
 * An open polyline moved sideways by `offsetAt(part)`, part 0 to 1 along its points; positive moves to the left of the
 * way it runs where y points up. Normals are taken between neighbours; at least two points.
 */
export function offsetPolyline(
  points: readonly Vector[],
  offsetAt: (part: number, index: number) => number,
): Vector[] {
  return points.map((point, index) => {
    const before = points[Math.max(0, index - 1)] as Vector;
    const after = points[Math.min(points.length - 1, index + 1)] as Vector;
    const along = minus(after, before);
    const size = length(along);
    if (size === 0) return point;
    const by = offsetAt(index / (points.length - 1), index);
    return [point[0] - (along[1] / size) * by, point[1] + (along[0] / size) * by];
  });
}

/** Centroid of the area inside a closed polygon; the mean of its points where it has no area. */
export function polygonCentroid(points: readonly Vector[]): Vector {
  let [area, x, y] = [0, 0, 0];
  for (const [index, [ax, ay]] of points.entries()) {
    const [bx, by] = points[(index + 1) % points.length] as Vector;
    const cross = ax * by - bx * ay;
    area += cross;
    x += (ax + bx) * cross;
    y += (ay + by) * cross;
  }
  if (Math.abs(area) < 1e-9) {
    const sum = points.reduce<Vector>((total, [px, py]) => [total[0] + px, total[1] + py], [0, 0]);
    return [sum[0] / points.length, sum[1] / points.length];
  }
  return [x / (3 * area), y / (3 * area)];
}

/** The value at `at` on straight lines between knots sorted by their first number; ends are held. */
export function interpolate(knots: readonly (readonly [number, number])[], at: number): number {
  const [first, last] = [knots[0], knots.at(-1)];
  if (!first || !last) throw new Error("interpolate wants at least one knot");
  if (at <= first[0]) return first[1];
  for (let index = 1; index < knots.length; index++) {
    const [a, b] = [knots[index - 1], knots[index]] as [readonly [number, number], readonly [number, number]];
    if (at <= b[0]) return b[0] === a[0] ? b[1] : a[1] + ((at - a[0]) / (b[0] - a[0])) * (b[1] - a[1]);
  }
  return last[1];
}

/** Distance from a point to the nearest point of a polyline's corners. */
export const nearestCorner = (points: readonly Vector[], to: Vector): number =>
  Math.min(...points.map((point) => distance(point, to)));
