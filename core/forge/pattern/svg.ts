import { PATTERN_LAYERS, type Pattern, type PatternLine } from "./pattern";

/** Text as it may stand in XML. */
const xml = (text: string): string =>
  text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`).replace(/[\p{Cc}]/gu, " ");

const MARGIN_MM = 12;
/** Room under the shoe for the check ruler and the label. */
const FOOT_MM = 26;
export const RULER_MM = 100;

const STROKES: Record<PatternLine["layer"], string> = {
  OUTER: 'stroke="#000" stroke-width="0.4"',
  INNER: 'stroke="#000" stroke-width="0.4"',
  CREASE: 'stroke="#000" stroke-width="0.2"',
  NAILS: 'stroke="#000" stroke-width="0.3"',
  MARKS: 'stroke="#666" stroke-width="0.2" stroke-dasharray="2 1.2"',
};

/** Ticks of the check ruler: each 10 mm, longer each 50; mm from its left end, and how long. */
export const rulerTicks = (): { at: number; high: number }[] =>
  Array.from({ length: RULER_MM / 10 + 1 }, (_, index) => ({
    at: index * 10,
    high: index % 5 === 0 ? 4 : 2.5,
  }));

/** The pattern as an SVG whose width and height are in millimetres: 1:1 wherever units are kept. */
export function patternSvg({ lines, box, label }: Pattern): string {
  const width = Math.max(box.width, RULER_MM) + 2 * MARGIN_MM;
  const height = box.height + FOOT_MM + label.length * 4 + 2 * MARGIN_MM;
  const [left, top] = [(width - box.width) / 2, MARGIN_MM];
  const at = ([x, y]: readonly [number, number]) =>
    `${(x - box.x + left).toFixed(3)} ${(box.y + box.height - y + top).toFixed(3)}`;
  const rulerY = top + box.height + 14;
  const rulerX = (width - RULER_MM) / 2;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(3)}mm" height="${height.toFixed(3)}mm" viewBox="0 0 ${width.toFixed(3)} ${height.toFixed(3)}" fill="none">`,
    ...PATTERN_LAYERS.map(
      (layer) =>
        `<g id="${layer}" ${STROKES[layer]}>${lines
          .filter((line) => line.layer === layer)
          .map(({ points, closed }) => `<path d="M${points.map(at).join(" L")}${closed ? " Z" : ""}"/>`)
          .join("")}</g>`,
    ),
    `<g id="RULER" stroke="#000" stroke-width="0.3"><path d="M${rulerX} ${rulerY} h${RULER_MM}"/>${rulerTicks()
      .map(({ at: x, high }) => `<path d="M${rulerX + x} ${rulerY} v${-high}"/>`)
      .join("")}</g>`,
    `<g font-family="sans-serif" font-size="3.4" fill="#000"><text x="${rulerX}" y="${rulerY + 4.5}">${RULER_MM} mm: measure it before you trust the pattern</text>${label
      .map((line, index) => `<text x="${rulerX}" y="${rulerY + 10 + index * 4}">${xml(line)}</text>`)
      .join("")}</g>`,
    "</svg>",
    "",
  ].join("\n");
}
