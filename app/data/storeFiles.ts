import { backupHead, backupTail, rowText, tableText, type Backup } from "~core/record/backupText";
import type { Edit } from "~core/record/edit";
import { mendOrphans } from "~core/record/orphans";
import { overlaidRow } from "~core/record/overlay";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import type { History } from "~core/record/stamps";
import { noRecords, TABLE_NAMES, type RecordOf, type Records, type TableName } from "~core/record/tables";
import { EPOCH, type Database } from "./database";
import { beginAnew, historyOf } from "./device";
import { packed } from "./packed";
import { pictureRow, storedPicture, type StoredPicture } from "./pictureBytes";

/** What long work tells: the part that is done, 0 to 1. */
export type Report = (part: number) => void;

interface Row {
  id: string;
}

/** Rows read or written at once. */
const CHUNK = 2000;
/** Pictures whose bytes are read at once. */
const PICTURES_AT_ONCE = 20;
/** A backup whose text is longer leaves packed. */
const LONGEST_PLAIN = 20_000_000;
/** So often is a store read anew in which a picture was taken away meanwhile. */
const MOST_TRIES = 5;

/** What a store held at one moment. */
interface Snapshot {
  /** With refused edits laid over; of pictures only the ids, their data is empty. */
  records: Records;
  history: History | undefined;
}

/** Rows of a table with refused edits laid over, in the order of their ids. */
function laidOver(name: TableName, rows: readonly Row[], refused: readonly Edit[]): Row[] {
  const ours = new Map<string, Edit[]>();
  for (const edit of refused)
    if (edit.table === name) ours.set(edit.id, [...(ours.get(edit.id) ?? []), edit]);
  if (ours.size === 0) return [...rows];
  const kept = rows.flatMap((row) => {
    const own = ours.get(row.id);
    ours.delete(row.id);
    return (own ? overlaidRow(row, own) : row) ?? [];
  });
  return [...kept, ...[...ours.values()].flatMap((own) => overlaidRow(undefined, own) ?? [])];
}

/** A picture's row without its bytes: these never change, and are many. */
const idOnly = (id: string): RecordOf<"pictures"> => ({ id, type: "image/jpeg", data: "" });

/**
 * What a store holds at one moment, whatever is changed meanwhile: one transaction reads all of it. A store that does not
 * open gives what is in memory.
 */
export async function snapshot(
  db: Database,
  refused: readonly Edit[],
  names: readonly TableName[] = TABLE_NAMES,
): Promise<Snapshot> {
  const stored = new Map<TableName, readonly Row[]>();
  const readTable = async (name: TableName) => {
    const table = db.table<Row, string>(name);
    const rows =
      name === "pictures" ? (await table.toCollection().primaryKeys()).map(idOnly) : await table.toArray();
    stored.set(name, rows);
  };
  let history: History | undefined;
  try {
    await db.transaction("r", [...names, "facts", "stamps"], async () => {
      await Promise.all(names.map(readTable));
      history = await historyOf(db);
    });
  } catch {
    // Table by table: one that cannot be read does not keep the others back.
    for (const name of names) await readTable(name).catch(() => undefined);
  }
  const records = noRecords();
  for (const name of names) (records[name] as Row[]) = laidOver(name, stored.get(name) ?? [], refused);
  return { records, history };
}

/** All records of a store at one moment, with refused edits laid over them; of pictures the ids alone. */
export const readRecords = async (
  db: Database,
  refused: readonly Edit[],
  names: readonly TableName[] = TABLE_NAMES,
): Promise<Records> => (await snapshot(db, refused, names)).records;

/** Pictures as a file holds them; undefined where one was taken away since their ids were read. */
async function* picturesOf(
  db: Database,
  rows: readonly RecordOf<"pictures">[],
): AsyncGenerator<RecordOf<"pictures">[] | undefined> {
  for (let at = 0; at < rows.length; at += PICTURES_AT_ONCE) {
    const some = rows.slice(at, at + PICTURES_AT_ONCE);
    const ids = some.filter(({ data }) => data === "").map(({ id }) => id);
    const found = (await db.pictures.bulkGet(ids)) as (StoredPicture | undefined)[];
    if (found.includes(undefined)) return yield undefined;
    const made = await Promise.all(found.map((row) => pictureRow(row as StoredPicture)));
    yield [...made, ...some.filter(({ data }) => data !== "")];
  }
}

/**
 * Everything in a store as a backup, of one moment; packed with gzip where it is long, unless it is to be `plain`. Every
 * row is in it: what a row points to and is not there has a stand-in.
 */
export async function backupFile(
  db: Database,
  refused: readonly Edit[],
  madeAt: string,
  { report = () => undefined, plain = false }: { report?: Report; plain?: boolean } = {},
): Promise<Blob> {
  for (let tries = 1; ; tries++) {
    const parts = await backupParts(db, refused, madeAt, { report, last: tries === MOST_TRIES });
    if (!parts) continue;
    const length = parts.reduce((sum, part) => sum + part.length, 0);
    return plain || length <= LONGEST_PLAIN ? new Blob(parts, { type: "application/json" }) : packed(parts);
  }
}

/** The pieces of a backup's text; undefined where a picture was taken away while it was made and it is not the `last` try. */
async function backupParts(
  db: Database,
  refused: readonly Edit[],
  madeAt: string,
  { report, last }: { report: Report; last: boolean },
): Promise<string[] | undefined> {
  const { records, history } = await snapshot(db, refused);
  const { made, changed } = mendOrphans(records);
  const leftOut: { table: TableName; row: unknown }[] = [];
  for (const { table, row } of made) (records[table] as Row[]).push(row);
  for (const { table, row } of changed) {
    const rows = records[table] as Row[];
    const at = rows.findIndex(({ id }) => id === row.id);
    leftOut.push({ table, row: rows[at] });
    rows[at] = row;
  }
  const all = TABLE_NAMES.reduce((sum, name) => sum + records[name].length, 0);
  const parts = [backupHead(madeAt)];
  let done = 0;
  for (const [at, name] of TABLE_NAMES.entries()) {
    const { before, between, after } = tableText(name, at === 0);
    const rows: Row[] = records[name];
    parts.push(before);
    let empty = true;
    const put = (some: readonly Row[]) => {
      if (some.length === 0) return;
      parts.push(`${empty ? "" : between}${some.map(rowText).join(between)}`);
      empty = false;
      done += some.length;
      report(done / all);
    };
    if (name === "pictures")
      for await (const some of picturesOf(db, records.pictures)) {
        if (!some && !last) return undefined;
        put(some ?? []);
      }
    else for (let from = 0; from < rows.length; from += CHUNK) put(rows.slice(from, from + CHUNK));
    parts.push(after(empty));
  }
  parts.push(backupTail(leftOut, history));
  return parts;
}

/** Writes every record of every table, parents first. */
export async function putRecords(
  db: Database,
  records: Records,
  report: Report = () => undefined,
): Promise<void> {
  const all = TABLE_NAMES.reduce((sum, name) => sum + records[name].length, 0);
  let done = 0;
  for (const name of TABLE_NAMES) {
    const rows: Row[] = records[name];
    for (let at = 0; at < rows.length; at += CHUNK) {
      const chunk = rows.slice(at, at + CHUNK);
      await db
        .table(name)
        .bulkPut(name === "pictures" ? (chunk as Records["pictures"]).map(storedPicture) : chunk);
      done += chunk.length;
      report(done / all);
    }
  }
}

/** Puts a checked backup in the place of everything in a store, all or nothing. The answer names the new filling. */
export async function fillStore(
  db: Database,
  { records, history }: Pick<Backup, "records" | "history">,
  report?: Report,
): Promise<string> {
  const epoch = crypto.randomUUID();
  const settings = records.settings.length > 0 ? records.settings : [DEFAULT_SETTINGS];
  await db.transaction("rw", db.tables, async () => {
    for (const name of TABLE_NAMES) await db.table(name).clear();
    await Promise.all([db.drafts.clear(), db.journal.clear()]);
    await putRecords(db, { ...records, settings }, report);
    await beginAnew(db, history);
    await db.facts.put({ key: EPOCH, value: epoch });
  });
  return epoch;
}
