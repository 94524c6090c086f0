import type { z } from "zod";
import type { Issue, Result } from "../result";
import { csvOf, readCsvText, TOO_LONG, unescaped } from "./csvText";

/** A table of one's own as CSV: its columns in order, the field that each is, and which of them are text. */
export interface TableShape<Row> {
  schema: z.ZodType<Row & { id: string }>;
  columns: readonly {
    name: string;
    field: string;
    /** Text instead of a number; a list has a plus between its words. */
    text?: "as typed" | "lower case" | "list";
    /** A column that an older or a smaller table does not have. */
    optional?: true;
  }[];
}

/** More rows than any table of shoes or nails has. */
const MOST_ROWS = 5000;

/** Rows as CSV; a cell that a spreadsheet would run as a formula is escaped. */
export const tableCsv = (rows: readonly object[], columns: TableShape<unknown>["columns"]): string =>
  csvOf(
    columns.map(({ name }) => name),
    rows.map((row) =>
      Object.fromEntries(
        columns.map(({ name, field }) => {
          const value = (row as Record<string, unknown>)[field];
          return [name, Array.isArray(value) ? value.join(LIST_SIGN) || "none" : value];
        }),
      ),
    ),
  );

/**
 * A CSV as a table. All rows are read or none: what is wrong is named by row (the header is row 1) and column. Text of
 * cells is taken as text and never run; a formula that was escaped on the way out comes back as it was.
 */
export function readTableCsv<Row>(
  text: string,
  { schema, columns }: TableShape<Row>,
  newId: () => string,
): Result<(Row & { id: string })[]> {
  const { header: names, rows: lines } = readCsvText(text);
  const header = names.map((name) => name.toLowerCase());
  const missing = columns
    .filter(({ name, optional }) => !optional && !header.includes(name))
    .map(({ name }) => name);
  if (missing.length > 0)
    return refused(
      "missing-column",
      "1",
      `Row 1: the ${missing.length === 1 ? "column" : "columns"} ${missing.join(", ")} ${missing.length === 1 ? "is" : "are"} missing. Wanted: ${columns.map(({ name }) => name).join(", ")}.`,
    );
  const twice = columns.find(({ name }) => header.indexOf(name) !== header.lastIndexOf(name));
  if (twice)
    return refused(
      "twice-column",
      `1.${twice.name}`,
      `Row 1: the column ${twice.name} stands twice. Leave one.`,
    );
  if (lines.length === 0) return refused("empty", "2", "There are no rows under the header.");
  if (lines.length > MOST_ROWS)
    return refused("too-many", "", `More than ${MOST_ROWS} rows: is this the right file?`);
  const issues: Issue[] = [];
  const placeOf = new Map(header.map((name, at) => [name, at]));
  const rows: (Row & { id: string })[] = [];
  for (const { row, cells: typedCells, tooLong } of lines) {
    if (tooLong) {
      issues.push({ code: "too-long", path: String(row), message: `Row ${row}: ${TOO_LONG}.` });
      continue;
    }
    const typedIn = (column: string): string => typedCells[placeOf.get(column) ?? -1] ?? "";
    const cells = columns.flatMap(({ name, field, text: kind, optional }) => {
      const typed = typedIn(name).trim();
      return optional && typed === "" ? [] : [[field, cell(typed, kind)]];
    });
    const read = schema.safeParse({ id: newId(), ...(Object.fromEntries(cells) as object) });
    if (read.success) rows.push(read.data);
    else
      for (const { path, message } of read.error.issues) {
        const column = columns.find(({ field }) => field === path[0])?.name ?? String(path[0]);
        const typed = typedIn(column);
        issues.push({
          code: "bad-cell",
          path: `${row}.${column}`,
          message: `Row ${row}, ${column}: ${message.replace(/\.$/, "")}${typed === "" ? "; it is empty" : `, not “${typed}”`}.`,
          value: typed,
        });
      }
  }
  return issues.length > 0 ? { ok: false, issues } : { ok: true, value: rows };
}

const refused = (code: string, path: string, message: string) => ({
  ok: false as const,
  issues: [{ code, path, message }],
});

/** Between the words of a list in one cell. */
const LIST_SIGN = " + ";

function cell(
  text: string,
  kind: "as typed" | "lower case" | "list" | undefined,
): string | string[] | number | undefined {
  const trimmed = text.trim();
  if (kind === "as typed") return unescaped(trimmed);
  if (kind === "lower case") return trimmed.toLowerCase();
  if (kind === "list")
    return trimmed === "none"
      ? []
      : trimmed
          .toLowerCase()
          .split("+")
          .map((word) => word.trim());
  if (trimmed === "") return undefined;
  const value = Number(trimmed.replace(",", "."));
  return Number.isFinite(value) ? value : Number.NaN;
}
