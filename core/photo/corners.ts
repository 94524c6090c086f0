import { distance, plus, times, type ImagePoint, type Vector } from "../geometry/vector";

/** Four corners of a figure in a picture, taken round it. */
export type Corners = readonly [ImagePoint, ImagePoint, ImagePoint, ImagePoint];

export const middleOf = (corners: Corners): Vector =>
  times(
    corners.reduce<Vector>((sum, one) => plus(sum, one), [0, 0]),
    0.25,
  );
/** Mean length of its sides. */
export const sideOf = (corners: Corners): number =>
  corners.reduce((sum, one, at) => sum + distance(one, corners[(at + 1) % 4] as Vector), 0) / 4;

/** Area of a figure that does not cross itself, px2. */
export const areaOf = (points: readonly Vector[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], at) => {
      const [nx, ny] = points[(at + 1) % points.length] as Vector;
      return sum + x * ny - nx * y;
    }, 0),
  ) / 2;
