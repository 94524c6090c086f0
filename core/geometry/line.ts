import { plus, times, type Vector } from "./vector";

/** A straight line: a place on it and its direction, one long. */
export interface Line {
  at: Vector;
  along: Vector;
}

/** The line nearest to points, by total least squares, and their squared distances from it added up. At least one point. */
export function bestLine(points: readonly Vector[]): Line & { squares: number } {
  const at = times(
    points.reduce<Vector>((sum, one) => plus(sum, one), [0, 0]),
    1 / points.length,
  );
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of points) {
    xx += (x - at[0]) ** 2;
    xy += (x - at[0]) * (y - at[1]);
    yy += (y - at[1]) ** 2;
  }
  const turn = 0.5 * Math.atan2(2 * xy, xx - yy);
  return {
    at,
    along: [Math.cos(turn), Math.sin(turn)],
    squares: Math.max(0, (xx + yy) / 2 - Math.hypot((xx - yy) / 2, xy)),
  };
}

/** Where two lines cross; undefined where they hardly do. */
export function crossing(a: Line, b: Line): Vector | undefined {
  const across = a.along[0] * b.along[1] - a.along[1] * b.along[0];
  if (Math.abs(across) < 0.05) return undefined;
  const t = ((b.at[0] - a.at[0]) * b.along[1] - (b.at[1] - a.at[1]) * b.along[0]) / across;
  return plus(a.at, times(a.along, t));
}
