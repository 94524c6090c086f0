import { RECORD_VERSION } from "./migrations";
import type { History } from "./stamps";
import { TABLE_NAMES, type Records, type TableName } from "./tables";

export const FORMAT = "plumbline-backup";

/** A whole round in one file: open JSON, the records as they are kept. */
export interface Backup {
  format: typeof FORMAT;
  version: number;
  madeAt: string;
  records: Records;
  /** Which devices wrote in it, and which of them each place last; missing in older files and made-up rounds. */
  history?: History;
}

export const makeBackup = (records: Records, madeAt: string): Backup => ({
  format: FORMAT,
  version: RECORD_VERSION,
  madeAt,
  records,
});

/** The beginning of a backup's text, up to its tables. */
export const backupHead = (madeAt: string): string =>
  `{\n "format": ${JSON.stringify(FORMAT)},\n "version": ${RECORD_VERSION},\n "madeAt": ${JSON.stringify(madeAt)},\n "records": {`;

/** One row of a table as it stands in the text: a line of its own. */
export const rowText = (row: unknown): string => `\n   ${JSON.stringify(row)}`;

/** What stands before, between and after the rows of a table: `first` for the first table, `empty` for one without rows. */
export const tableText = (name: TableName, first: boolean) => ({
  before: `${first ? "" : ","}\n  ${JSON.stringify(name)}: [`,
  between: ",",
  after: (empty: boolean) => (empty ? "]" : "\n  ]"),
});

/**
 * The end of a backup's text. `leftOut` are rows as they were before a pointer to nothing was taken out of them: they travel
 * beside the records, so that nothing is lost.
 */
export const backupTail = (
  leftOut: readonly { table: TableName; row: unknown }[] = [],
  history?: History,
): string =>
  [
    "\n }",
    ...(leftOut.length > 0 ? [`,\n "leftOut": ${JSON.stringify(leftOut)}`] : []),
    ...(history ? [`,\n "history": ${JSON.stringify(history)}`] : []),
    "\n}\n",
  ].join("");

export function writeBackup({ madeAt, records, history }: Omit<Backup, "format" | "version">): string {
  const tables = TABLE_NAMES.map((name, at) => {
    const { before, between, after } = tableText(name, at === 0);
    const rows = records[name].map(rowText);
    return `${before}${rows.join(between)}${after(rows.length === 0)}`;
  });
  return `${backupHead(madeAt)}${tables.join("")}${backupTail([], history)}`;
}
