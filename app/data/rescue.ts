import { backupTail, rowText, tableText } from "~core/record/backupText";
import { TABLE_NAMES } from "~core/record/tables";
import { pictureRow, type StoredPicture } from "./pictureBytes";

const asked = <T>(request: IDBRequest<T>): Promise<T> =>
  new Promise((done, failed) => {
    request.onsuccess = () => done(request.result);
    request.onerror = () => failed(request.error ?? new Error("The store does not answer."));
  });

/**
 * Everything in a store as a backup of the version that the store is of, read without this version's knowledge of it: the
 * way out where carrying the records up has failed.
 */
export async function rescueFile(name: string, madeAt: string): Promise<Blob> {
  const opening = indexedDB.open(name);
  // A store that is not there is not made.
  opening.onupgradeneeded = () => opening.transaction?.abort();
  const db = await asked(opening);
  try {
    const version = Math.floor(db.version / 10);
    const parts = [
      `{\n "format": "plumbline-backup",\n "version": ${version},\n "madeAt": ${JSON.stringify(madeAt)},\n "records": {`,
    ];
    const there = TABLE_NAMES.filter((table) => db.objectStoreNames.contains(table));
    // One transaction: nothing of it is older or newer than the rest.
    const reading = there.length > 0 ? db.transaction(there) : undefined;
    const stored = await Promise.all(
      there.map((table) => asked<unknown[]>((reading as IDBTransaction).objectStore(table).getAll())),
    );
    for (const [at, table] of there.entries()) {
      const rows = stored[at] ?? [];
      const kept =
        table === "pictures"
          ? await Promise.all(
              rows.map((row) => ("bytes" in (row as object) ? pictureRow(row as StoredPicture) : row)),
            )
          : rows;
      const { before, between, after } = tableText(table, at === 0);
      parts.push(before, kept.map(rowText).join(between), after(kept.length === 0));
    }
    return new Blob([...parts, backupTail()], { type: "application/json" });
  } finally {
    db.close();
  }
}
