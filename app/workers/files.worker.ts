import { expose } from "comlink";
import { openDatabase } from "~app/data/database";
import { lookAtMerge, putTogether, type MergeEnd, type MergeLook } from "~app/data/mergeStore";
import { textOf } from "~app/data/packed";
import { isSealed, seal, unseal } from "~app/data/sealed";
import { tablesZip } from "~app/data/tablesZip";
import { writeInto } from "~app/data/folder";
import { backupFile, fillStore, readRecords, type Report } from "~app/data/storeFiles";
import { readBackup, tooLarge } from "~core/record/backup";
import type { Backup } from "~core/record/backupText";
import { readingsCsv } from "~core/record/csv";
import type { Pick } from "~core/merge/place";
import type { Edit } from "~core/record/edit";
import { TABLE_NAMES } from "~core/record/tables";
import { fail, ok, type Result } from "~core/result";

/** What a backup holds, to be looked at before it is restored. */
export interface BackupSummary {
  madeAt: string;
  horses: number;
  visits: number;
  readings: number;
  /** The device that made it, where the file tells. */
  device: string | undefined;
}

/** The backup that was read last and is sound. */
let read: Backup | undefined;

function known(): Backup {
  if (!read) throw new Error("no backup was read");
  return read;
}

async function withDatabase<T>(
  name: string,
  work: (db: ReturnType<typeof openDatabase>) => Promise<T>,
): Promise<T> {
  const db = openDatabase(name);
  try {
    return await work(db);
  } finally {
    db.close();
  }
}

const filesWorker = {
  /** A backup as a file, sealed where a passphrase is given. */
  backup: (
    name: string,
    refused: Edit[],
    { madeAt, passphrase }: { madeAt: string; passphrase: string | undefined },
    report: Report,
  ): Promise<Blob> =>
    withDatabase(name, async (db) => {
      const sealed = passphrase !== undefined;
      const file = await backupFile(db, refused, madeAt, { report, plain: sealed });
      return sealed ? seal(file, passphrase) : file;
    }),
  /** A backup into a folder, read back. */
  backupInto: (
    name: string,
    refused: Edit[],
    { folder, device, madeAt }: { folder: FileSystemDirectoryHandle; device: string; madeAt: string },
  ): Promise<string> =>
    withDatabase(name, async (db) =>
      writeInto(folder, { device, madeAt }, await backupFile(db, refused, madeAt)),
    ),
  readingsCsv: (name: string, refused: Edit[], report: Report): Promise<Blob> =>
    withDatabase(name, async (db) => {
      const records = await readRecords(db, refused, ["yards", "horses", "readings"]);
      report(0.7);
      return new Blob([readingsCsv(records)], { type: "text/csv" });
    }),
  /** Every table as CSV, the bytes of pictures aside. */
  tablesZip: (name: string, refused: Edit[], report: Report): Promise<Blob> =>
    withDatabase(name, async (db) => {
      const records = await readRecords(
        db,
        refused,
        TABLE_NAMES.filter((table) => table !== "pictures"),
      );
      report(0.5);
      return tablesZip(records);
    }),
  /** Reads a file and keeps it for `restore`. */
  read: async (
    file: Blob,
    passphrase: string | undefined,
    report: Report,
  ): Promise<Result<BackupSummary>> => {
    read = undefined;
    const large = tooLarge(file.size);
    if (large) return large;
    const sealed = await isSealed(file);
    if (sealed && passphrase === undefined) return fail("sealed", "", "This file is behind a passphrase.");
    const content = sealed ? await unseal(file, passphrase ?? "") : await textOf(file);
    if (!content.ok) return content;
    const found = readBackup(content.value, report);
    read = found.ok ? found.value : undefined;
    if (!found.ok) return found;
    const { madeAt, records, history } = found.value;
    const { horses, visits, readings } = records;
    return ok({
      madeAt,
      horses: horses.length,
      visits: visits.length,
      readings: readings.length,
      device: history?.device.name,
    });
  },
  /** What bringing in what was read would do. */
  look: (name: string, report: Report): Promise<MergeLook> =>
    withDatabase(name, (db) => lookAtMerge(db, known(), report)),
  /** Brings it in. */
  merge: (name: string, decided: { picks: Record<string, Pick>; state: string }): Promise<MergeEnd> =>
    withDatabase(name, (db) => putTogether(db, known(), decided)),
  /** Puts what was read in the place of everything in a store; the answer names the new filling. */
  restore: (name: string, report: Report): Promise<string> =>
    withDatabase(name, (db) => fillStore(db, known(), report)),
};
export type FilesWorker = typeof filesWorker;

expose(filesWorker);
