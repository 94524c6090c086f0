import { startFiles } from "~app/workers/files";
import type { Backup } from "~core/record/backupText";
import { make } from "~core/record/change";
import type { Edit } from "~core/record/edit";
import { noteBackup } from "./backupNote";
import { deviceOf } from "./device";
import { PACKED_TYPE } from "./packed";
import { pictureRow } from "./pictureBytes";
import { rescueFile } from "./rescue";
import { session } from "./session";
import { backupFile, fillStore, type Report } from "./storeFiles";

/** What the store refused, laid over everything that leaves as a file; what was just sent is waited for. */
export async function refusedEdits(): Promise<Edit[]> {
  await session.answered();
  const held = await Promise.all([...session.heldPictures().values()].map(pictureRow));
  return [
    ...held.map((row) => make("pictures", row, "photograph")),
    ...session.refused().flatMap(({ edits }) => edits),
  ];
}

/** A backup of the open round made in a worker, with progress; it can be called off. */
export const startBackup = (report: Report, passphrase?: string) => {
  const { db } = session;
  const madeAt = new Date().toISOString();
  return startFiles(async (remote, told) => {
    const { act } = await deviceOf(db);
    const file = await remote.backup(db.name, await refusedEdits(), { madeAt, passphrase }, told);
    // A store that is full takes no note of it: the file is handed over all the same.
    await noteBackup(db, act, false).catch(() => undefined);
    return file;
  }, report);
};

/** The readings of the open round as a CSV, made in a worker. */
export const startReadingsCsv = (report: Report) => {
  const { name } = session.db;
  return startFiles(async (remote, told) => remote.readingsCsv(name, await refusedEdits(), told), report);
};

/** Every table of the open round as CSV, made in a worker. */
export const startTablesZip = (report: Report) => {
  const { name } = session.db;
  return startFiles(async (remote, told) => remote.tablesZip(name, await refusedEdits(), told), report);
};

/** A backup without a worker: where the page, or the store, is in trouble. */
export async function exportBackup(): Promise<Blob> {
  const madeAt = new Date().toISOString();
  const opens = await session.db.open().then(
    () => true,
    () => false,
  );
  // A store that this version cannot carry up leaves as it is; one that is not there at all, with what is in memory.
  const rescued = opens ? undefined : await rescueFile(session.db.name, madeAt).catch(() => undefined);
  return rescued ?? backupFile(session.db, await refusedEdits(), madeAt);
}

/** Puts a checked backup in the place of everything in the open round, all or nothing. */
export async function restoreBackup(backup: Pick<Backup, "records" | "history">): Promise<void> {
  restored(await fillStore(session.db, backup));
}

/** The store was filled anew: this tab goes on with it, the others are told. */
export function restored(epoch: string): void {
  session.epoch = { value: epoch };
  session.setRefused([]);
  session.forgetTyped();
  session.tellOthers("restored");
}

/** Hands a text, or bytes, to the user as a file; what is packed says so in its name. */
export function download(name: string, type: string, content: string | Blob | Uint8Array<ArrayBuffer>): void {
  const isPacked = content instanceof Blob && content.type === PACKED_TYPE;
  const url = URL.createObjectURL(isPacked ? content : new Blob([content], { type }));
  const link = document.createElement("a");
  link.href = url;
  link.download = isPacked ? `${name}.gz` : name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}
