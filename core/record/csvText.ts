import Papa from "papaparse";

/** A CSV as it stands: its first row, and the others that are not empty. */
export interface CsvText {
  header: string[];
  rows: CsvRow[];
}

export interface CsvRow {
  /** As a spreadsheet counts them: the first is 1, empty ones count. */
  row: number;
  cells: string[];
  /** More cells than the header has columns, as a comma within a cell makes them where there are no quotes around it. */
  tooLong: boolean;
}

/** What is said of a row that is too long. */
export const TOO_LONG =
  "more cells than the header has columns; a comma within a cell needs quotes around it";

const SEPARATORS = [",", ";", "\t"] as const;

/** What parts the cells: what parts the header into most names. A number's comma is no guide to it. */
function separatorOf(text: string): string {
  const names = (delimiter: string) =>
    Papa.parse<string[]>(text.trimStart(), { delimiter, preview: 1 }).data[0]?.length ?? 0;
  return SEPARATORS.reduce<string>((best, one) => (names(one) > names(best) ? one : best), SEPARATORS[0]);
}

/** Reads a CSV whose cells are parted by commas, semicolons or tabs. Text is taken as text. */
export function readCsvText(text: string): CsvText {
  const clean = text.replace(/^\uFEFF/, "");
  const { data } = Papa.parse<string[]>(clean, { delimiter: separatorOf(clean) });
  const [first, ...rows] = data.flatMap((cells, at) =>
    cells.some((cell) => cell.trim() !== "") ? [{ row: at + 1, cells }] : [],
  );
  const header = first?.cells.map((name) => name.trim()) ?? [];
  return {
    header,
    rows: rows.map((one) => ({
      ...one,
      tooLong: one.cells.slice(header.length).some((cell) => cell.trim() !== ""),
    })),
  };
}
