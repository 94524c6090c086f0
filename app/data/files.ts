import { applyEdit } from "~core/record/edit";
import { makeBackup, writeBackup, type Backup } from "~core/record/backup";
import { noRecords, TABLE_NAMES, type Records, type TableName } from "~core/record/tables";
import { EPOCH } from "./database";
import { putRecords } from "./rounds";
import { session } from "./session";

/** All records of the open round, with the edits that could not be saved laid over them. */
export async function readAllRecords(): Promise<Records> {
  const records = noRecords();
  const refused = session.refused().flatMap(({ edits }) => edits);
  for (const name of TABLE_NAMES) {
    const rows = new Map<string, unknown>();
    for (const row of await readTable(name)) rows.set(row.id, row);
    for (const edit of refused.filter((one) => one.table === name)) {
      const applied = applyEdit(rows.get(edit.id), edit);
      if (applied.kind === "applied" && applied.record !== undefined) rows.set(edit.id, applied.record);
    }
    (records[name] as unknown[]) = [...rows.values()];
  }
  return records;
}

/** Rows of a table; none when the store does not open, so that the export still carries what is in memory. */
async function readTable(name: TableName): Promise<{ id: string }[]> {
  try {
    return await session.db.table<{ id: string }, string>(name).toArray();
  } catch {
    return [];
  }
}

export const exportBackup = async (): Promise<string> =>
  writeBackup(makeBackup(await readAllRecords(), new Date().toISOString()));

/** Puts a checked backup in the place of everything in the open round, all or nothing. */
export async function restoreBackup(backup: Backup): Promise<void> {
  const { db } = session;
  const epoch = crypto.randomUUID();
  await db.transaction("rw", db.tables, async () => {
    for (const name of TABLE_NAMES) await db.table(name).clear();
    await Promise.all([db.drafts.clear(), db.journal.clear()]);
    await putRecords(db, backup.records);
    await db.facts.put({ key: EPOCH, value: epoch });
  });
  session.epoch = { value: epoch };
  session.tellOthers("restored");
}

/** Hands a text, or bytes, to the user as a file. */
export function download(name: string, type: string, text: string | Uint8Array<ArrayBuffer>): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}
