import { inEqualSteps } from "../geometry/polyline";
import { distance, type SolarPoint, type Vector } from "../geometry/vector";
import { SIDES, type Side } from "../foot/limb";
import { eachSide, signOf } from "../foot/parametric/parameters";

/** A line on each side, open, from the middle of the toe to the end of the heel, solar frame, mm. */
export type SidedLine = Record<Side, readonly SolarPoint[]>;

/** The points of a foot that a shoe is shaped to, solar frame, mm. */
export interface OutlineKnots {
  toe: SolarPoint;
  toeQuarter: Record<Side, SolarPoint>;
  wide: Record<Side, SolarPoint>;
  heel: Record<Side, SolarPoint>;
}

/** Steps between two knots, and points of a side that comes from a drawn line. */
const STEPS = 14;
export const POINTS_A_SIDE = 3 * STEPS + 1;

/**
 * A smooth curve through exactly the given points, each side by itself: square to the midline at the toe, along it at
 * the widest part, nowhere wider than there. A mirrored foot gives the mirrored curve.
 */
export const outlineThrough = (knots: OutlineKnots): SidedLine =>
  eachSide((side) => {
    const sign = signOf(side);
    const out = ([x, y]: SolarPoint): Vector => [sign * x, y];
    const points = [knots.toe, knots.toeQuarter[side], knots.wide[side], knots.heel[side]].map(out) as [
      Vector,
      Vector,
      Vector,
      Vector,
    ];
    return curveThrough(points).map(([x, y]): SolarPoint => [sign * x, y]);
  });

const unit = ([x, y]: Vector): Vector => {
  const size = Math.hypot(x, y) || 1;
  return [x / size, y / size];
};

/** Cubic pieces whose direction is set at toe and widest part, and so held that none of them swings out. */
function curveThrough([toe, quarter, wide, heel]: readonly [Vector, Vector, Vector, Vector]): Vector[] {
  const step = (a: Vector, b: Vector): Vector => unit([b[0] - a[0], b[1] - a[1]]);
  const [before, after] = [step(toe, quarter), step(quarter, wide)];
  const turn = unit([before[0] + after[0], before[1] + after[1]]);
  const end = step(wide, heel);
  const directions: Vector[] = [[1, 0], turn, [0, -1], unit([2 * end[0], 2 * end[1] + 1])];
  const knots = [toe, quarter, wide, heel];
  return knots.slice(1).flatMap((to, index) => {
    const from = knots[index] as Vector;
    const chord = distance(from, to);
    const [m0, m1] = [directions[index], directions[index + 1]].map((direction) =>
      held(direction as Vector, chord, from, to),
    ) as [Vector, Vector];
    return Array.from({ length: index === 0 ? STEPS + 1 : STEPS }, (_, number): Vector => {
      const t = (index === 0 ? number : number + 1) / STEPS;
      return [0, 1].map((axis) =>
        hermite(t, from[axis] ?? 0, to[axis] ?? 0, m0[axis] ?? 0, m1[axis] ?? 0),
      ) as unknown as Vector;
    });
  });
}

/** A tangent no longer than keeps the piece from swinging past its ends: three times the step, the step's own way. */
function held(direction: Vector, chord: number, from: Vector, to: Vector): Vector {
  return [0, 1].map((axis) => {
    const size = (direction[axis] ?? 0) * chord;
    const gap = (to[axis] ?? 0) - (from[axis] ?? 0);
    if (size * gap <= 0) return 0;
    return Math.sign(gap) * Math.min(Math.abs(size), 3 * Math.abs(gap));
  }) as unknown as Vector;
}

const hermite = (t: number, p0: number, p1: number, m0: number, m1: number): number => {
  const [t2, t3] = [t * t, t * t * t];
  return (2 * t3 - 3 * t2 + 1) * p0 + (t3 - 2 * t2 + t) * m0 + (3 * t2 - 2 * t3) * p1 + (t3 - t2) * m1;
};

/**
 * A drawn outline, open from the medial heel round the toe to the lateral one, as a line on each side. The middle of the
 * toe is where it crosses the midline: the point furthest forward wanders along a flat toe. Its furthest point where it
 * never crosses.
 */
export function sidesOf(outline: readonly SolarPoint[]): SidedLine {
  const even = (points: readonly SolarPoint[]) => inEqualSteps(points, POINTS_A_SIDE) as SolarPoint[];
  const ahead = outline.reduce((best, [, y], index) => (y > (outline[best]?.[1] ?? 0) ? index : best), 0);
  const crosses = outline.findIndex(([x, y], index) => {
    const next = outline[index + 1];
    return next !== undefined && y > 0 && x < 0 && next[0] >= 0;
  });
  const [a, b] = [outline[crosses], outline[crosses + 1]];
  const toe = outline[ahead] as SolarPoint;
  const middle: SolarPoint = a && b ? [0, a[1] + ((0 - a[0]) / (b[0] - a[0])) * (b[1] - a[1])] : toe;
  const upTo = a && b ? crosses + 1 : ahead;
  return {
    medial: even([middle, ...outline.slice(0, upTo).reverse()]),
    lateral: even([middle, ...outline.slice(a && b ? crosses + 1 : ahead + 1)]),
  };
}

/** Both sides as one line, from the medial heel round the toe to the lateral heel; the toe's point once. */
export const roundTheToe = ({ medial, lateral }: SidedLine): SolarPoint[] => [
  ...[...medial].reverse(),
  ...lateral.slice(1),
];

/** One line, as {@link roundTheToe} makes it, back into two sides; `medialPoints` of it are the medial ones. */
export const asSides = (line: readonly SolarPoint[], medialPoints: number): SidedLine => ({
  medial: line.slice(0, medialPoints).reverse(),
  lateral: line.slice(medialPoints - 1),
});

/** The widest point of each side. */
export const widestOf = (line: SidedLine): Record<Side, SolarPoint> =>
  eachSide((side) =>
    line[side].reduce((best, point) => (Math.abs(point[0]) > Math.abs(best[0]) ? point : best)),
  );

/** Half the width of a line at a height: how far it stands out on that side at `y`; its end's where it is shorter. */
export function halfWidthAt(line: readonly SolarPoint[], y: number): number {
  for (let index = 1; index < line.length; index++) {
    const [a, b] = [line[index - 1], line[index]] as [SolarPoint, SolarPoint];
    if ((a[1] - y) * (b[1] - y) > 0 || a[1] === b[1]) continue;
    return Math.abs(a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]));
  }
  return Math.abs(line.at(y > (line[0]?.[1] ?? 0) ? 0 : -1)?.[0] ?? 0);
}

/** Points whose width lies this near to the greatest count as the widest part: it is a stretch, not a point. */
const WIDEST_WITHIN_MM = 0.75;

/** y of the widest part of a side: the middle of the stretch in which it is as wide as anywhere. */
export function widestYOf(line: readonly SolarPoint[]): number {
  const most = Math.max(...line.map(([x]) => Math.abs(x)));
  const ys = line.filter(([x]) => Math.abs(x) >= most - WIDEST_WITHIN_MM).map(([, y]) => y);
  return (Math.min(...ys) + Math.max(...ys)) / 2;
}

export const mirrored = (line: SidedLine): SidedLine => {
  const [medial, lateral] = SIDES.map((side) => line[side].map(([x, y]): SolarPoint => [-x, y]));
  return { medial: lateral ?? [], lateral: medial ?? [] };
};

/** Into the foot: the way across the line, on the side of the midline. */
export const inwardsOf = ([dx, dy]: readonly [number, number], side: Side): SolarPoint =>
  side === "lateral" ? [dy, -dx] : [-dy, dx];
