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

/** Length along a polyline up to each of its points, the first 0. */
export function lengthsAlong(points: readonly Vector[]): number[] {
  const lengths = [0];
  for (let index = 1; index < points.length; index++)
    lengths.push((lengths[index - 1] ?? 0) + distance(points[index - 1] as Vector, points[index] as Vector));
  return lengths;
}

export const polylineLength = (points: readonly Vector[]): number => lengthsAlong(points).at(-1) ?? 0;

/** The point at `s` along a polyline, and the direction it runs there (unit); ends are held. Two points or more. */
export function pointAlong(points: readonly Vector[], s: number): { at: Vector; towards: Vector } {
  const lengths = lengthsAlong(points);
  const found = lengths.findIndex((length) => length >= s);
  const after = Math.max(1, found === -1 ? points.length - 1 : found);
  const [a, b] = [points[after - 1] as Vector, points[after] as Vector];
  const [from, to] = [lengths[after - 1] ?? 0, lengths[after] ?? 0];
  const part = to === from ? 0 : Math.max(0, Math.min(1, (s - from) / (to - from)));
  const size = distance(a, b) || 1;
  return {
    at: [a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part],
    towards: [(b[0] - a[0]) / size, (b[1] - a[1]) / size],
  };
}

/** The direction of a polyline about `s`, unit: from `reach` before it to as far behind it, within its ends. */
export function directionAlong(points: readonly Vector[], s: number, reach: number): Vector {
  const whole = polylineLength(points);
  const [from, to] = [
    pointAlong(points, Math.max(0, s - reach)),
    pointAlong(points, Math.min(whole, s + reach)),
  ];
  const step = minus(to.at, from.at);
  const size = length(step) || 1;
  return [step[0] / size, step[1] / size];
}

/** The same line in `count` points of equal step; at least two. */
export function inEqualSteps(points: readonly Vector[], count: number): Vector[] {
  const whole = polylineLength(points);
  return Array.from({ length: count }, (_, index) => pointAlong(points, (whole * index) / (count - 1)).at);
}

/** Length along a line that comes down in y, to where it first reaches `y`; its whole length where it never does. */
export function lengthDownTo(points: readonly Vector[], y: number): number {
  const lengths = lengthsAlong(points);
  for (let index = 1; index < points.length; index++) {
    const [a, b] = [points[index - 1] as Vector, points[index] as Vector];
    if (b[1] > y) continue;
    const part = a[1] === b[1] ? 1 : Math.max(0, Math.min(1, (a[1] - y) / (a[1] - b[1])));
    return (lengths[index - 1] ?? 0) + part * distance(a, b);
  }
  return lengths.at(-1) ?? 0;
}

/** Where a straight line through `at` along `towards` crosses a polyline, in the order of its points. */
export function crossingsOf(
  points: readonly Vector[],
  at: Vector,
  towards: Vector,
): { at: Vector; s: number }[] {
  const lengths = lengthsAlong(points);
  const side = (point: Vector) => towards[0] * (point[1] - at[1]) - towards[1] * (point[0] - at[0]);
  const found: { at: Vector; s: number }[] = [];
  for (let index = 1; index < points.length; index++) {
    const [a, b] = [points[index - 1] as Vector, points[index] as Vector];
    const [before, after] = [side(a), side(b)];
    if (before === after || before > 0 === after > 0) continue;
    const part = before / (before - after);
    found.push({
      at: [a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part],
      s: (lengths[index - 1] ?? 0) + part * distance(a, b),
    });
  }
  return found;
}

/** Area inside a closed polygon, positive where it runs counter-clockwise with y up. 0 with fewer than three points. */
export const polygonArea = (points: readonly Vector[]): number =>
  points.reduce((sum, [ax, ay], index) => {
    const [bx, by] = points[(index + 1) % points.length] as Vector;
    return sum + (ax * by - bx * ay) / 2;
  }, 0);
