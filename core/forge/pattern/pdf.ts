import { PDFDocument, StandardFonts, rgb, type PDFPage } from "@cantoo/pdf-lib";
import type { Pattern, PatternLayer } from "./pattern";
import { embedFace, NO_FACES, writeLine, type Face, type FaceFiles } from "./printable";
import { RULER_MM, rulerTicks } from "./svg";

/** Sheets that printers hold, mm, upright. */
export const SHEETS = { A4: [210, 297], A3: [297, 420], Letter: [215.9, 279.4] } as const;
export type Sheet = keyof typeof SHEETS;

/** Points of a printed page in a millimetre: exact. */
const PT_PER_MM = 72 / 25.4;
/** No printer reaches the very edge. */
const MARGIN_MM = 12;
/** Sheets of a larger pattern lap over each other by this much. */
const LAP_MM = 15;
const RULER_ROOM_MM = 16;
const TEXT_MM = 2.8;

const WIDTHS_MM: Record<PatternLayer, number> = {
  OUTER: 0.35,
  INNER: 0.35,
  CREASE: 0.2,
  NAILS: 0.25,
  MARKS: 0.2,
};

export interface Tiles {
  columns: number;
  rows: number;
}

/** How many sheets the pattern takes, side by side and above each other. */
export function tilesOf({ box }: Pick<Pattern, "box">, sheet: Sheet): Tiles {
  const [wide, high] = room(sheet);
  const need = (size: number, held: number) =>
    size <= held ? 1 : Math.ceil((size - LAP_MM) / (held - LAP_MM));
  return { columns: need(box.width, wide), rows: need(box.height, high) };
}

const room = (sheet: Sheet): [number, number] => [
  SHEETS[sheet][0] - 2 * MARGIN_MM,
  SHEETS[sheet][1] - 2 * MARGIN_MM - RULER_ROOM_MM,
];

/**
 * The pattern as a PDF at true size on sheets of one kind, tiled with a lap and crosses to join them by where it is
 * larger than one; on each sheet a check ruler, the label, and the order to print without fitting to the page.
 */
export async function patternPdf(
  pattern: Pattern,
  sheet: Sheet,
  files: FaceFiles = NO_FACES,
): Promise<Uint8Array<ArrayBuffer>> {
  const document = await PDFDocument.create();
  document.setTitle(pattern.label[0] ?? "Pattern");
  document.setCreator("Plumbline");
  const face = await embedFace(document, StandardFonts.Helvetica, files.plain);
  const { columns, rows } = tilesOf(pattern, sheet);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++)
      drawSheet(document.addPage(SHEETS[sheet].map((mm) => mm * PT_PER_MM) as [number, number]), pattern, {
        sheet,
        column,
        row,
        columns,
        rows,
        face,
      });
  return new Uint8Array(await document.save());
}

interface SheetPlace extends Tiles {
  sheet: Sheet;
  column: number;
  row: number;
  face: Face;
}

function drawSheet(page: PDFPage, { lines, box, label }: Pattern, place: SheetPlace): void {
  const { sheet, column, row, columns, rows, face } = place;
  const [wide, high] = room(sheet);
  const whole = [
    columns === 1 ? box.width : wide + (columns - 1) * (wide - LAP_MM),
    rows === 1 ? box.height : high + (rows - 1) * (high - LAP_MM),
  ] as const;
  // The whole pattern stands in the middle of all sheets; this one shows its part of it.
  const left =
    MARGIN_MM +
    (columns === 1 ? (wide - box.width) / 2 : (whole[0] - box.width) / 2) -
    column * (wide - LAP_MM);
  const below =
    MARGIN_MM +
    RULER_ROOM_MM +
    (rows === 1 ? (high - box.height) / 2 : (whole[1] - box.height) / 2) -
    (rows - 1 - row) * (high - LAP_MM);
  const at = ([x, y]: readonly [number, number]) => ({
    x: (x - box.x + left) * PT_PER_MM,
    y: (y - box.y + below) * PT_PER_MM,
  });
  const ink = rgb(0, 0, 0);
  for (const { layer, points, closed } of lines) {
    const way = closed && points[0] ? [...points, points[0]] : points;
    for (let index = 1; index < way.length; index++) {
      const [from, to] = [way[index - 1], way[index]] as [
        readonly [number, number],
        readonly [number, number],
      ];
      page.drawLine({
        start: at(from),
        end: at(to),
        thickness: WIDTHS_MM[layer] * PT_PER_MM,
        color: ink,
        ...(layer === "MARKS" && { dashArray: [4, 3] }),
      });
    }
  }
  const mm = (x: number, y: number) => ({ x: x * PT_PER_MM, y: y * PT_PER_MM });
  const rulerY = MARGIN_MM + 6;
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    page.drawLine({ start: mm(x1, y1), end: mm(x2, y2), thickness: 0.3 * PT_PER_MM, color: ink });
  line(MARGIN_MM, rulerY, MARGIN_MM + RULER_MM, rulerY);
  for (const tick of rulerTicks()) line(MARGIN_MM + tick.at, rulerY, MARGIN_MM + tick.at, rulerY + tick.high);
  const write = (text: string, x: number, y: number) =>
    writeLine(page, text, { ...mm(x, y), size: TEXT_MM * PT_PER_MM, face, color: ink });
  write(`${RULER_MM} mm: print at 100 %, never fitted to the page, and measure this`, MARGIN_MM, rulerY - 5);
  // Beside the ruler, from the top of its room down; longer labels go on below, where most printers still reach.
  label.forEach((text, index) =>
    write(text, MARGIN_MM + RULER_MM + 6, MARGIN_MM + RULER_ROOM_MM - TEXT_MM * 1.2 * (index + 1)),
  );
  if (columns * rows === 1) return;
  write(
    `Sheet ${row + 1}.${column + 1} of ${rows} by ${columns}`,
    MARGIN_MM,
    SHEETS[sheet][1] - MARGIN_MM + 2,
  );
  // Crosses in the middle of the laps: one sheet's lies on its neighbour's.
  const cross = (x: number, y: number) => {
    line(x - 4, y, x + 4, y);
    line(x, y - 4, x, y + 4);
  };
  const middleX = [
    column > 0 ? MARGIN_MM + LAP_MM / 2 : undefined,
    column < columns - 1 ? MARGIN_MM + wide - LAP_MM / 2 : undefined,
  ];
  const foot = MARGIN_MM + RULER_ROOM_MM;
  const middleY = [
    row < rows - 1 ? foot + LAP_MM / 2 : undefined,
    row > 0 ? foot + high - LAP_MM / 2 : undefined,
  ];
  for (const x of middleX)
    if (x !== undefined) for (const y of [foot + high / 4, foot + (3 * high) / 4]) cross(x, y);
  for (const y of middleY)
    if (y !== undefined) for (const x of [MARGIN_MM + wide / 4, MARGIN_MM + (3 * wide) / 4]) cross(x, y);
}
