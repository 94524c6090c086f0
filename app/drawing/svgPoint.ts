import type { Vector } from "~core/geometry/vector";

/** Where a pointer stands in an SVG's own coordinates; undefined while it is not laid out. */
export function svgPoint(
  svg: SVGSVGElement,
  event: { clientX: number; clientY: number },
): Vector | undefined {
  const matrix = svg.getScreenCTM();
  if (!matrix) return undefined;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return [x, y];
}
