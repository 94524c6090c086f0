import { z } from "zod";
import type { Issue, Result } from "../result";
import { fail, ok } from "../result";
import { issuesOf } from "../schema/issues";
import { FORMAT, type Backup } from "./backupText";
import { historySchema } from "./stamps";
import { madeRows, migrateRow, RECORD_VERSION } from "./migrations";
import { mendOrphans } from "./orphans";
import { isTable, LINKS, noRecords, TABLE_NAMES, type Records, type TableName } from "./tables";
import { TABLES } from "./schemas";

const envelope = z.looseObject({
  format: z.literal(FORMAT),
  version: z.int().min(1),
  madeAt: z.string(),
  records: z.custom<Record<string, unknown>>(isTables),
  leftOut: z.array(z.unknown()).optional().catch(undefined),
  history: z.unknown().optional(),
});

/** A file with more that is wrong is wrong altogether: it is not read on. */
const MOST_ISSUES = 100;

/** No file larger than this is read, bytes: some 800 horses over 12 years, without pictures. */
export const MOST_BACKUP_BYTES = 400_000_000;

/** Says in words that a file is too large; nothing while it is not. */
export const tooLarge = (bytes: number): Result<never> | undefined =>
  bytes <= MOST_BACKUP_BYTES
    ? undefined
    : fail(
        "too-large",
        "",
        `This file has ${Math.round(bytes / 1e6)} MB; a backup of up to ${MOST_BACKUP_BYTES / 1e6} MB is read. Nothing was changed.`,
      );

/**
 * Reads a backup, every row checked. Nothing of a damaged file is taken: the issues say which row and field and why, the
 * first hundred of them. `report` is told the part that was read, 0 to 1.
 *
 * Errors: `not-json` with line and column, `foreign` for a file that is something else, `newer` for one written by a
 * later version, `bad-row`, `double` for two rows with one id, `orphan` for a row that points to nothing.
 */
export function readBackup(text: string, report: (part: number) => void = () => undefined): Result<Backup> {
  const parsed = parseJson(text);
  if (!parsed.ok) return parsed;
  const outer = envelope.safeParse(parsed.value);
  if (!outer.success)
    return fail(
      "foreign",
      "",
      "This is not a Plumbline backup: it lacks the backup's heading. Nothing was changed.",
    );
  const { version, madeAt, records: found, leftOut = [], history: told } = outer.data;
  if (version > RECORD_VERSION)
    return fail(
      "newer",
      "version",
      `Written by a newer Plumbline (records ${version}, this one reads up to ${RECORD_VERSION}). Update first.`,
      version,
    );
  const issues: Issue[] = [];
  for (const name in found) {
    if (issues.length >= MOST_ISSUES) break;
    if (!isTable(name))
      issues.push({ code: "foreign", path: `records.${name}`, message: `There is no table called ${name}.` });
    else if (!Array.isArray(found[name]))
      issues.push({ code: "bad-row", path: `records.${name}`, message: "A table is a list of rows." });
  }
  if (issues.length > 0) return { ok: false, issues };
  const made = version < RECORD_VERSION ? madeOf(found, version) : {};
  const rowsOf = (table: TableName) => [...((found[table] ?? []) as unknown[]), ...(made[table] ?? [])];
  const all = TABLE_NAMES.reduce((sum, table) => sum + rowsOf(table).length, 0);
  const records = noRecords();
  let done = 0;
  for (const table of TABLE_NAMES) {
    const rows = rowsOf(table);
    const old = rows.length - (made[table]?.length ?? 0);
    readTable({ table, rows, old, version }, records, issues, (read) => report((done + read) / all));
    if (issues.length >= MOST_ISSUES) return { ok: false, issues: issues.slice(0, MOST_ISSUES) };
    done += rows.length;
  }
  issues.push(...orphans(records));
  if (issues.length === 0) takeLeftOut(leftOut, version, records);
  const history = told === undefined ? undefined : historySchema.safeParse(told);
  if (history?.success === false)
    issues.push(...issuesOf(history.error, "history").map((issue) => ({ ...issue, code: "bad-row" })));
  return issues.length > 0
    ? { ok: false, issues: issues.slice(0, MOST_ISSUES) }
    : ok({
        format: FORMAT,
        version: RECORD_VERSION,
        madeAt,
        records,
        ...(history && { history: history.data }),
      });
}

/**
 * Rows that an older version left beside the records because they point to nothing come back, with stand-ins for what they
 * point to; those that stand among the records, or are not sound, stay out.
 */
function takeLeftOut(leftOut: readonly unknown[], version: number, records: Records): void {
  const back = noRecords();
  const put = (into: Records, table: TableName, row: unknown) => (into[table] as unknown[]).push(row);
  for (const one of leftOut) {
    const { table, row } = (isObject(one) ? one : {}) as { table?: unknown; row?: unknown };
    if (typeof table !== "string" || !isTable(table) || !isObject(row)) continue;
    const read = TABLES[table].safeParse(migrateRow(table, row, version));
    if (read.success && !records[table].some(({ id }) => id === read.data.id)) put(back, table, read.data);
  }
  if (TABLE_NAMES.every((table) => back[table].length === 0)) return;
  const { made, changed } = mendOrphans(back, (table) =>
    [...records[table], ...back[table]].map(({ id }) => id),
  );
  const mended = new Map(changed.map(({ table, row }) => [`${table}/${row.id}`, row]));
  for (const { table, row } of made) put(records, table, row);
  for (const table of TABLE_NAMES)
    for (const row of back[table]) put(records, table, mended.get(`${table}/${row.id}`) ?? row);
}

/** Rows between two reports. */
const REPORTED = 2000;

/** What older rows turn into besides themselves, by the table it goes to. */
function madeOf(
  found: Record<string, unknown>,
  version: number,
): Partial<Record<TableName, Record<string, unknown>[]>> {
  const made: Partial<Record<TableName, Record<string, unknown>[]>> = {};
  for (const name of TABLE_NAMES)
    for (const old of (found[name] ?? []) as unknown[])
      if (isObject(old))
        for (const { table, row } of madeRows(name, old, version)) (made[table] ??= []).push(row);
  return made;
}

/** The first `old` rows are of the file's version, the others of this one. */
function readTable(
  { table, rows, old, version }: { table: TableName; rows: unknown[]; old: number; version: number },
  into: Records,
  issues: Issue[],
  report: (rows: number) => void,
): void {
  const seen = new Set<string>();
  for (const [index, row] of rows.entries()) {
    if (issues.length >= MOST_ISSUES) return;
    if (index % REPORTED === 0) report(index);
    const path = `records.${table}.${index}`;
    const carried = isObject(row) && index < old ? migrateRow(table, row, version) : row;
    const read = TABLES[table].safeParse(carried);
    if (!read.success) {
      issues.push(...issuesOf(read.error, path).map((issue) => ({ ...issue, code: "bad-row" })));
      continue;
    }
    if (seen.has(read.data.id))
      issues.push({
        code: "double",
        path: `${path}.id`,
        message: "Two rows carry this id.",
        value: read.data.id,
      });
    seen.add(read.data.id);
    (into[table] as unknown[]).push(read.data);
  }
}

function orphans(records: Records): Issue[] {
  return LINKS.flatMap(({ from, field, to }) => {
    const known = new Set(records[to].map((row) => row.id));
    return records[from].flatMap((row, index) => {
      const id = (row as Record<string, unknown>)[field];
      if (id === undefined || known.has(String(id))) return [];
      return [
        {
          code: "orphan",
          path: `records.${from}.${index}.${field}`,
          message: `Points to nothing in ${to}.`,
          value: id,
        },
      ];
    });
  });
}

function parseJson(text: string): Result<unknown> {
  try {
    return ok(JSON.parse(text.replace(/^\uFEFF/, "")));
  } catch (error) {
    const said = error instanceof Error ? error.message : "";
    const position = Number(/position (\d+)/.exec(said)?.[1] ?? text.length);
    const before = text.slice(0, position).split("\n");
    const column = (before.at(-1)?.length ?? 0) + 1;
    const cut = position >= text.trimEnd().length ? " The file seems to be cut off." : "";
    return fail(
      "not-json",
      `line ${before.length}, column ${column}`,
      `The file breaks off being JSON at line ${before.length}, column ${column}.${cut}`,
    );
  }
}

function isTables(value: unknown): boolean {
  return isObject(value);
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);
