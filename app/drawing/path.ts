import { curveCatmullRom, curveCatmullRomClosed, curveLinear, curveLinearClosed, line } from "d3-shape";
import type { Vector } from "~core/geometry/vector";

const curves = {
  straight: line<Vector>().curve(curveLinear),
  closed: line<Vector>().curve(curveLinearClosed),
  smooth: line<Vector>().curve(curveCatmullRom.alpha(0.5)),
  smoothClosed: line<Vector>().curve(curveCatmullRomClosed.alpha(0.5)),
};

/** An SVG path through points that already lie in the drawing's own frame. */
export const pathThrough = (points: readonly Vector[], kind: keyof typeof curves): string =>
  curves[kind](points as Vector[]) ?? "";

/** Up to the next ten, so that a drawing's frame stands still while a number is typed. */
export const roundUp = (mm: number): number => Math.ceil(mm / 10) * 10;
