import { z } from "zod";
import type { Issue, Result } from "../result";
import { fail, ok } from "../result";
import { issuesOf } from "../schema/issues";
import { migrateRow, RECORD_VERSION } from "./migrations";
import { LINKS, noRecords, TABLE_NAMES, TABLES, type Records, type TableName } from "./tables";

const FORMAT = "plumbline-backup";

/** A whole round in one file: open JSON, the records as they are kept. */
export interface Backup {
  format: typeof FORMAT;
  version: number;
  madeAt: string;
  records: Records;
}

export const makeBackup = (records: Records, madeAt: string): Backup => ({
  format: FORMAT,
  version: RECORD_VERSION,
  madeAt,
  records,
});

export const writeBackup = (backup: Backup): string => `${JSON.stringify(backup, null, 1)}\n`;

const envelope = z.looseObject({
  format: z.literal(FORMAT),
  version: z.int().min(1),
  madeAt: z.string(),
  records: z.record(z.string(), z.array(z.unknown())),
});

const MOST_ISSUES = 20;

/**
 * Reads a backup, every row checked. Nothing of a damaged file is taken: the issues say which row and field and why.
 *
 * Errors: `not-json` with line and column, `foreign` for a file that is something else, `newer` for one written by a
 * later version, `bad-row`, `double` for two rows with one id, `orphan` for a row that points to nothing.
 */
export function readBackup(text: string): Result<Backup> {
  const parsed = parseJson(text);
  if (!parsed.ok) return parsed;
  const outer = envelope.safeParse(parsed.value);
  if (!outer.success)
    return fail(
      "foreign",
      "",
      "This is not a Plumbline backup: it lacks the backup's heading. Nothing was changed.",
    );
  const { version, madeAt, records: found } = outer.data;
  if (version > RECORD_VERSION)
    return fail(
      "newer",
      "version",
      `Written by a newer Plumbline (records ${version}, this one reads up to ${RECORD_VERSION}). Update first.`,
      version,
    );
  const issues: Issue[] = Object.keys(found)
    .filter((name) => !TABLE_NAMES.includes(name as TableName))
    .map((name) => ({
      code: "foreign",
      path: `records.${name}`,
      message: `There is no table called ${name}.`,
    }));
  const records = noRecords();
  for (const table of TABLE_NAMES) readTable(table, found[table] ?? [], version, records, issues);
  issues.push(...orphans(records));
  return issues.length > 0
    ? { ok: false, issues: issues.slice(0, MOST_ISSUES) }
    : ok({ format: FORMAT, version: RECORD_VERSION, madeAt, records });
}

function readTable(table: TableName, rows: unknown[], version: number, into: Records, issues: Issue[]): void {
  const seen = new Set<string>();
  for (const [index, row] of rows.entries()) {
    const path = `records.${table}.${index}`;
    const carried = isObject(row) ? migrateRow(table, row, version) : row;
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

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);
