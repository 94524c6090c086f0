import { backupHead, backupTail, rowText, tableText, type Backup } from "~core/record/backupText";
import type { Edit } from "~core/record/edit";
import { overlaidRow } from "~core/record/overlay";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { LINKS, noRecords, TABLE_NAMES, type Records, type TableName } from "~core/record/tables";
import { EPOCH, type Database } from "./database";
import { beginAnew, historyOf } from "./device";
import { pictureRow, storedPicture, type StoredPicture } from "./pictureBytes";

/** What long work tells: the part that is done, 0 to 1. */
export type Report = (part: number) => void;

interface Row {
  id: string;
}

/** Rows read or written at once. */
const CHUNK = 2000;

/** A table's rows as a file holds them, some at a time, with refused edits laid over. */
async function* rowsOf(db: Database, name: TableName, refused: readonly Edit[]): AsyncGenerator<Row[]> {
  const edits = refused.filter(({ table }) => table === name);
  const ours = new Map(edits.map(({ id }): [string, Edit[]] => [id, []]));
  for (const edit of edits) ours.get(edit.id)?.push(edit);
  for await (const chunk of chunksOf(db, name)) {
    const rows: Row[] =
      name === "pictures" ? await Promise.all(chunk.map((row) => pictureRow(row as StoredPicture))) : chunk;
    yield rows.flatMap((row) => {
      const own = ours.get(row.id);
      ours.delete(row.id);
      const now = own ? overlaidRow(row, own) : row;
      return now ? [now] : [];
    });
  }
  yield [...ours.values()].flatMap((own) => overlaidRow(undefined, own) ?? []);
}

/** The stored rows by their id; none when the store does not open, so that an export still carries what is in memory. */
async function* chunksOf(db: Database, name: TableName): AsyncGenerator<Row[]> {
  const table = db.table<Row, string>(name);
  for (let last: string | undefined; ;) {
    let rows: Row[];
    try {
      rows = await (last === undefined ? table.orderBy("id") : table.where("id").above(last))
        .limit(CHUNK)
        .toArray();
    } catch {
      return;
    }
    if (rows.length > 0) yield rows;
    if (rows.length < CHUNK) return;
    last = rows.at(-1)?.id;
  }
}

/** All records of a store, with refused edits laid over them. */
export async function readRecords(
  db: Database,
  refused: readonly Edit[],
  names: readonly TableName[] = TABLE_NAMES,
): Promise<Records> {
  const records = noRecords();
  for (const name of names)
    for await (const rows of rowsOf(db, name, refused)) (records[name] as Row[]).push(...rows);
  return records;
}

/** Everything in a store as the text of a backup, piece by piece; rows that point to nothing stand beside the records. */
export async function backupFile(
  db: Database,
  refused: readonly Edit[],
  madeAt: string,
  report: Report = () => undefined,
): Promise<Blob> {
  const counts = await Promise.all(
    TABLE_NAMES.map((name) =>
      db
        .table(name)
        .count()
        .catch(() => 0),
    ),
  );
  const all = counts.reduce((sum, count) => sum + count, 0);
  const parts: BlobPart[] = [backupHead(madeAt)];
  const known = new Map<TableName, Set<string>>();
  const leftOut: { table: TableName; row: unknown }[] = [];
  let done = 0;
  for (const [at, name] of TABLE_NAMES.entries()) {
    const { before, between, after } = tableText(name, at === 0);
    const links = LINKS.filter(({ from, to }) => from === name && to !== name);
    const inside = LINKS.filter(({ from, to }) => from === name && to === name);
    const ids = new Set<string>();
    known.set(name, ids);
    let empty = true;
    parts.push(before);
    // A table whose rows point to one another is looked through whole before any of it is written.
    for await (const rows of inside.length > 0
      ? whole(rowsOf(db, name, refused))
      : rowsOf(db, name, refused)) {
      const stays = rows.filter((row) => links.every((link) => points(row, link, known)));
      for (const { id } of stays) ids.add(id);
      for (const row of rows) if (!ids.has(row.id)) leftOut.push({ table: name, row });
      const texts = stays.map((row) => {
        const lost = inside.filter((link) => !points(row, link, known));
        if (lost.length === 0) return rowText(row);
        leftOut.push({ table: name, row });
        return rowText({ ...row, ...Object.fromEntries(lost.map(({ field }) => [field, undefined])) });
      });
      if (texts.length > 0) {
        parts.push(new Blob([`${empty ? "" : between}${texts.join(between)}`]));
        empty = false;
      }
      done += rows.length;
      report(all === 0 ? 1 : done / all);
    }
    parts.push(after(empty));
  }
  parts.push(backupTail(leftOut, await historyOf(db)));
  return new Blob(parts, { type: "application/json" });
}

/** True where a row's link leads to a row that is kept, or to nothing on purpose. */
function points(
  row: Row,
  { field, to }: (typeof LINKS)[number],
  known: ReadonlyMap<TableName, ReadonlySet<string>>,
): boolean {
  const target = (row as unknown as Record<string, unknown>)[field];
  return target === undefined || known.get(to)?.has(String(target)) === true;
}

/** All rows at once. */
async function* whole(chunks: AsyncGenerator<Row[]>): AsyncGenerator<Row[]> {
  const rows: Row[] = [];
  for await (const chunk of chunks) rows.push(...chunk);
  yield rows;
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
