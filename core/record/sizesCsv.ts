import Papa from "papaparse";
import type { Issue, Result } from "../result";
import type { ShoeSize } from "../shoe/sizes";
import { sizeSchema, type SizeRow } from "./shoe";

/** Columns of a table of sizes, and the field that each is. */
const COLUMNS = {
  name: "name",
  feet: "feet",
  width: "width",
  length: "length",
  straight: "straight",
  web: "sectionWidth",
  thickness: "sectionThickness",
  heads: "pattern",
} as const satisfies Record<string, keyof ShoeSize>;
type Column = keyof typeof COLUMNS;
const COLUMN_NAMES = Object.keys(COLUMNS) as Column[];
const IS_TEXT: ReadonlySet<Column> = new Set(["name", "feet", "heads"]);
/** More rows than any table of shoes has. */
const MOST_ROWS = 5000;

/** A table of sizes as CSV; a cell that a spreadsheet would run as a formula is escaped. */
export const sizesCsv = (sizes: readonly ShoeSize[]): string =>
  `${Papa.unparse(
    {
      fields: COLUMN_NAMES,
      data: sizes.map((size) => Object.fromEntries(COLUMN_NAMES.map((name) => [name, size[COLUMNS[name]]]))),
    },
    { escapeFormulae: true },
  )}\r\n`;

/**
 * A CSV as a table of sizes. All rows are read or none: what is wrong is named by row (the header is row 1) and column.
 * Text of cells is taken as text and never run; a formula that was escaped on the way out comes back as it was.
 */
export function readSizesCsv(text: string, newId: () => string): Result<SizeRow[]> {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ""), {
    header: true,
    skipEmptyLines: "greedy",
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const header = parsed.meta.fields ?? [];
  const missing = COLUMN_NAMES.filter((name) => !header.includes(name));
  if (missing.length > 0)
    return {
      ok: false,
      issues: [
        {
          code: "missing-column",
          path: "1",
          message: `Row 1: the ${missing.length === 1 ? "column" : "columns"} ${missing.join(", ")} ${missing.length === 1 ? "is" : "are"} missing. Wanted: ${COLUMN_NAMES.join(", ")}.`,
        },
      ],
    };
  if (parsed.data.length === 0)
    return {
      ok: false,
      issues: [{ code: "empty", path: "2", message: "There are no rows under the header." }],
    };
  if (parsed.data.length > MOST_ROWS)
    return {
      ok: false,
      issues: [
        { code: "too-many", path: "", message: `More than ${MOST_ROWS} rows: is this the right file?` },
      ],
    };
  const issues: Issue[] = [];
  const rows: SizeRow[] = [];
  for (const [index, row] of parsed.data.entries()) {
    const read = sizeSchema.safeParse({
      id: newId(),
      ...Object.fromEntries(COLUMN_NAMES.map((name) => [COLUMNS[name], cell(row[name] ?? "", name)])),
    });
    if (read.success) rows.push(read.data);
    else
      for (const { path, message } of read.error.issues) {
        const column = COLUMN_NAMES.find((name) => COLUMNS[name] === path[0]) ?? String(path[0]);
        const typed = row[column] ?? "";
        issues.push({
          code: "bad-cell",
          path: `${index + 2}.${column}`,
          message: `Row ${index + 2}, ${column}: ${message}${typed === "" ? "; it is empty" : `, not “${typed}”`}.`,
          value: typed,
        });
      }
  }
  return issues.length > 0 ? { ok: false, issues } : { ok: true, value: rows };
}

function cell(text: string, column: Column): string | number | undefined {
  const trimmed = text.trim();
  if (IS_TEXT.has(column))
    return column === "name" ? trimmed.replace(/^'(?=[=+\-@])/, "") : trimmed.toLowerCase();
  if (trimmed === "") return undefined;
  const value = Number(trimmed.replace(",", "."));
  return Number.isFinite(value) ? value : undefined;
}
