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

/** What a spreadsheet runs: also behind white space, and with the wide signs of Asian keyboards. */
const FORMULA = /^(?:[\t\r\n]|[\s\uFEFF]*[=+\-@\uFF1D\uFF0B\uFF0D\uFF20])/;

/** A table as CSV; a cell that a spreadsheet would run as a formula has an apostrophe before it. */
export const csvOf = (fields: readonly string[], data: readonly (object | readonly unknown[])[]): string =>
  `${Papa.unparse({ fields: [...fields], data: [...data] }, { escapeFormulae: FORMULA })}\r\n`;

/** A cell as it was before `csvOf` put an apostrophe before it. */
export const unescaped = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;

/** The first line with which some spreadsheets say what parts the cells. */
const SEP_LINE = /^sep=(.)\r?\n/i;

const SEPARATORS = [",", ";", "\t"] as const;

/** What parts the cells: what parts the header into most names. A number's comma is no guide to it. */
function separatorOf(text: string): string {
  const names = (delimiter: string) =>
    Papa.parse<string[]>(text.trimStart(), { delimiter, preview: 1 }).data[0]?.length ?? 0;
  return SEPARATORS.reduce<string>((best, one) => (names(one) > names(best) ? one : best), SEPARATORS[0]);
}

/** Reads a CSV whose cells are parted by commas, semicolons or tabs, or by what its first line says. Text is taken as text. */
export function readCsvText(text: string): CsvText {
  const whole = text.replace(/^\uFEFF/, "");
  const said = SEP_LINE.exec(whole);
  const clean = said ? whole.slice(said[0].length) : whole;
  const { data } = Papa.parse<string[]>(clean, { delimiter: said?.[1] ?? separatorOf(clean) });
  const before = said ? 1 : 0;
  const [first, ...rows] = data.flatMap((cells, at) =>
    cells.some((cell) => cell.trim() !== "") ? [{ row: at + 1 + before, cells }] : [],
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
