import type { PDFDocument, PDFFont, PDFPage, StandardFonts } from "@cantoo/pdf-lib";

/** Signs that have a plain form. */
const PLAIN: Readonly<Record<string, string>> = {
  "−": "-",
  "→": ">",
  "✓": "+",
  "≤": "<=",
  "≥": ">=",
  Ł: "L",
  ł: "l",
  Đ: "D",
  đ: "d",
  ı: "i",
  Ħ: "H",
  ħ: "h",
};

/** A text in the signs that can be written: its own, else the letter without its accents, else a question mark. */
export function printable(text: string, can: (code: number) => boolean): string {
  return [...text.normalize("NFC")]
    .map((sign) => {
      if (can(sign.codePointAt(0) ?? 0)) return sign;
      if (PLAIN[sign] !== undefined) return PLAIN[sign];
      const bare = sign.normalize("NFD").replace(/\p{M}/gu, "");
      return bare !== "" && [...bare].every((one) => can(one.codePointAt(0) ?? 0)) ? bare : "?";
    })
    .join("");
}

/** Files of type (TrueType or WOFF) for letters that a PDF's standard face does not have, by weight. */
export interface FaceFiles {
  plain: readonly Uint8Array[];
  bold: readonly Uint8Array[];
}
export const NO_FACES: FaceFiles = { plain: [], bold: [] };

/** One style of type: the standard face, and those embedded for other letters. */
export interface Face {
  fonts: readonly { font: PDFFont; codes: ReadonlySet<number> }[];
}

/** The standard face with further files embedded, of each only the letters that are used. */
export async function embedFace(
  document: PDFDocument,
  standard: StandardFonts,
  files: readonly Uint8Array[],
): Promise<Face> {
  if (files.length > 0) {
    const { default: fontkit } = await import("@cantoo/fontkit");
    document.registerFontkit(fontkit as Parameters<PDFDocument["registerFontkit"]>[0]);
  }
  const fonts = [await document.embedFont(standard)];
  for (const file of files) fonts.push(await document.embedFont(file, { subset: true }));
  return { fonts: fonts.map((font) => ({ font, codes: new Set(font.getCharacterSet()) })) };
}

/** A text as the faces can write it, in pieces of one font each. */
function piecesOf(text: string, { fonts }: Face): { font: PDFFont; text: string }[] {
  const of = (code: number) => fonts.find(({ codes }) => codes.has(code))?.font;
  const pieces: { font: PDFFont; text: string }[] = [];
  for (const sign of printable(text, (code) => of(code) !== undefined)) {
    const font = of(sign.codePointAt(0) ?? 0) as PDFFont;
    const last = pieces.at(-1);
    if (last?.font === font) last.text += sign;
    else pieces.push({ font, text: sign });
  }
  return pieces;
}

/** Width of a text in points. */
export const widthOf = (text: string, face: Face, size: number): number =>
  piecesOf(text, face).reduce((sum, piece) => sum + piece.font.widthOfTextAtSize(piece.text, size), 0);

/** Writes a line of text on a page. */
export function writeLine(
  page: PDFPage,
  text: string,
  {
    face,
    x,
    y,
    size,
    color,
  }: {
    face: Face;
    x: number;
    y: number;
    size: number;
    color: NonNullable<Parameters<PDFPage["drawText"]>[1]>["color"];
  },
): void {
  let at = x;
  for (const { font, text: piece } of piecesOf(text, face)) {
    page.drawText(piece, { x: at, y, size, font, ...(color && { color }) });
    at += font.widthOfTextAtSize(piece, size);
  }
}
