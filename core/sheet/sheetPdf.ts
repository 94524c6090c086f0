import { PDFDocument, rgb, StandardFonts, type PDFImage, type PDFPage } from "@cantoo/pdf-lib";
import {
  embedFace,
  NO_FACES,
  widthOf,
  writeLine,
  type Face,
  type FaceFiles,
} from "../forge/pattern/printable";
import type { Sheet, SheetPart, SheetPictures } from "./sheet";

/** A4, points of 1/72 inch, and what is left free round it. */
const PAGE = { width: 595.28, height: 841.89, margin: 40 };
const INK = rgb(0.137, 0.153, 0.169);
const QUIET = rgb(0.369, 0.384, 0.373);
const RULE = rgb(0.847, 0.82, 0.765);
const BRASS = rgb(0.604, 0.42, 0.086);
/** No smaller is read without a glass: what does not fit one page then goes on to the next. */
const SMALLEST = 0.7;
const STEP = 0.04;

interface Faces {
  plain: Face;
  bold: Face;
}

/**
 * A sheet as a PDF, A4: on one page as long as its type stays readable, else on as many as it takes. Signs that neither the
 * standard face nor `files` can write stand without their accents, or as a question mark.
 */
export async function sheetPdf(
  sheet: Sheet,
  pictures: SheetPictures,
  files: FaceFiles = NO_FACES,
): Promise<Uint8Array<ArrayBuffer>> {
  const document = await PDFDocument.create();
  document.setTitle(sheet.title);
  document.setCreator("Plumbline");
  const faces: Faces = {
    plain: await embedFace(document, StandardFonts.Helvetica, files.plain),
    bold: await embedFace(document, StandardFonts.HelveticaBold, files.bold),
  };
  const images = new Map<string, PDFImage>();
  for (const [id, { bytes }] of pictures) images.set(id, await document.embedJpg(bytes));
  let size = 1;
  while (size > SMALLEST && new Writer(undefined, faces, images, size).write(sheet) > 1) size -= STEP;
  new Writer(document, faces, images, size).write(sheet);
  return new Uint8Array(await document.save());
}

/** Writes parts down a page and on to the next; without a document it only counts pages. */
class Writer {
  private page: PDFPage | undefined;
  private y = 0;
  private pages = 0;
  private readonly width = PAGE.width - 2 * PAGE.margin;

  constructor(
    private readonly document: PDFDocument | undefined,
    private readonly faces: Faces,
    private readonly images: ReadonlyMap<string, PDFImage>,
    private readonly size: number,
  ) {}

  /** How many pages it took. */
  write(sheet: Sheet): number {
    this.turn();
    const top = this.y;
    this.text(sheet.title, { bold: true, points: 20, left: 10 });
    this.text(sheet.subtitle, { colour: QUIET, left: 10 });
    this.page?.drawRectangle({ x: PAGE.margin, y: this.y, width: 3, height: top - this.y, color: BRASS });
    this.y -= 6 * this.size;
    for (const part of sheet.parts) this.part(part);
    this.y -= 6 * this.size;
    this.text(sheet.foot, { colour: QUIET, points: 8.5 });
    return this.pages;
  }

  private turn(): void {
    this.page = this.document?.addPage([PAGE.width, PAGE.height]);
    this.y = PAGE.height - PAGE.margin;
    this.pages += 1;
  }

  /** Room for so much, on this page or the next. */
  private room(height: number): void {
    if (this.y - height < PAGE.margin) this.turn();
  }

  private part(part: SheetPart): void {
    switch (part.kind) {
      case "heading":
        this.room(40 * this.size);
        this.y -= 7 * this.size;
        return this.text(part.text, { bold: true, points: 12.5 });
      case "text":
        for (const line of part.text.split("\n")) this.text(line, { bold: part.strong === true });
        return;
      case "list":
        for (const item of part.items) this.text(item, { left: 10, bullet: true });
        return;
      case "facts":
        return this.text(part.rows.map(([name, value]) => `${name}: ${value}`).join("   ·   "));
      case "table":
        this.table([part.head, ...part.rows], part.widths ?? shares(part.head.length), true);
        if (part.note) this.text(part.note, { colour: QUIET, points: 8.5 });
        return;
      case "pictures":
        return this.pictures(part.pictures);
    }
  }

  private draw(line: string, how: Parameters<typeof writeLine>[2]): void {
    if (this.page) writeLine(this.page, line, how);
  }

  private lines(text: string, face: Face, points: number, width: number): string[] {
    const lines: string[] = [];
    let line = "";
    const fits = (one: string) => widthOf(one, face, points) <= width;
    for (const word of text.split(/\s+/)) {
      if (fits(line === "" ? word : `${line} ${word}`)) line = line === "" ? word : `${line} ${word}`;
      else {
        if (line !== "") lines.push(line);
        line = "";
        // A word wider than its column breaks where it must.
        for (const sign of word) {
          if (line !== "" && !fits(line + sign)) {
            lines.push(line);
            line = "";
          }
          line += sign;
        }
      }
    }
    return line === "" && lines.length > 0 ? lines : [...lines, line];
  }

  private text(
    text: string,
    {
      bold = false,
      points = 10,
      colour = INK,
      left = 0,
      bullet = false,
    }: { bold?: boolean; points?: number; colour?: typeof INK; left?: number; bullet?: boolean } = {},
  ): void {
    const [face, size] = [bold ? this.faces.bold : this.faces.plain, points * this.size];
    for (const [at, line] of this.lines(text, face, size, this.width - left).entries()) {
      this.room(size * 1.35);
      this.y -= size * 1.35;
      if (bullet && at === 0)
        this.page?.drawCircle({
          x: PAGE.margin + 3,
          y: this.y + size * 0.3,
          size: 1.3 * this.size,
          color: BRASS,
        });
      this.draw(line, { x: PAGE.margin + left, y: this.y, size, face, color: colour });
    }
  }

  private table(rows: readonly (readonly string[])[], parts: readonly number[], headed = false): void {
    const size = 9 * this.size;
    for (const [at, row] of rows.entries()) {
      const head = headed && at === 0;
      const cells = row.map((cell, column) => {
        const face = head || (headed && column === 0) ? this.faces.bold : this.faces.plain;
        return { face, lines: this.lines(cell, face, size, (parts[column] ?? 0) * this.width - 6) };
      });
      const height = Math.max(...cells.map(({ lines }) => lines.length)) * size * 1.3 + 4 * this.size;
      this.room(height);
      let x = PAGE.margin;
      for (const [column, { face, lines }] of cells.entries()) {
        for (const [index, line] of lines.entries())
          this.draw(line, {
            x,
            y: this.y - size * 1.3 * (index + 1),
            size,
            face,
            color: head || (!headed && column === 0) ? QUIET : INK,
          });
        x += (parts[column] ?? 0) * this.width;
      }
      this.y -= height;
      this.page?.drawLine({
        start: { x: PAGE.margin, y: this.y },
        end: { x: PAGE.margin + this.width, y: this.y },
        thickness: 0.5,
        color: RULE,
      });
    }
  }

  private pictures(pictures: readonly { pictureId: string; caption: string }[]): void {
    const [across, gap, points] = [4, 8, 7.5 * this.size];
    const wide = (this.width - gap * (across - 1)) / across;
    const high = wide * 0.72;
    for (let at = 0; at < pictures.length; at += across) {
      const row = pictures.slice(at, at + across).map((one) => ({
        ...one,
        lines: this.lines(one.caption, this.faces.plain, points, wide).slice(0, 3),
      }));
      const height =
        high + Math.max(...row.map(({ lines }) => lines.length)) * points * 1.25 + 10 * this.size;
      this.room(height);
      for (const [column, { pictureId, lines }] of row.entries()) {
        const x = PAGE.margin + column * (wide + gap);
        const image = this.images.get(pictureId);
        if (image) {
          const scale = Math.min(wide / image.width, high / image.height);
          const [w, h] = [image.width * scale, image.height * scale];
          this.page?.drawImage(image, {
            x: x + (wide - w) / 2,
            y: this.y - 4 * this.size - high + (high - h) / 2,
            width: w,
            height: h,
          });
        }
        this.page?.drawRectangle({
          x,
          y: this.y - 4 * this.size - high,
          width: wide,
          height: high,
          borderColor: RULE,
          borderWidth: 0.5,
        });
        for (const [index, line] of lines.entries())
          this.draw(line, {
            x,
            y: this.y - 4 * this.size - high - points * 1.25 * (index + 1),
            size: points,
            face: this.faces.plain,
            color: QUIET,
          });
      }
      this.y -= height;
    }
  }
}

/** Widths of a table's columns where it says none: the first, and the rest alike. */
const shares = (columns: number): number[] =>
  Array.from({ length: columns }, (_, at) => (at === 0 ? 0.2 : 0.8 / (columns - 1)));
