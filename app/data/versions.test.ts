import { afterEach, describe, expect, test } from "@jest/globals";
import Dexie from "dexie";
import { records } from "~core/record/records.fixture";
import { readBackup } from "~core/record/backup";
import { openDatabase } from "./database";
import { rescueFile } from "./rescue";
import { putRecords } from "./storeFiles";
import { storageTrouble } from "./trouble";

const NAME = "versions";
afterEach(() => Dexie.delete(NAME));

async function filled(): Promise<void> {
  const db = openDatabase(NAME);
  await putRecords(db, records());
  db.close();
}

describe("a store between two versions", () => {
  test("one that a newer version wrote is not opened by an older: it would drop what it does not know", async () => {
    await filled();
    await new Promise<void>((done) => {
      const newer = indexedDB.open(NAME, 990);
      newer.onsuccess = () => {
        newer.result.close();
        done();
      };
    });
    const older = openDatabase(NAME);
    const error: unknown = await older.open().catch((thrown: unknown) => thrown);
    expect(storageTrouble(error)).toMatch(/^The records in this browser were written by a newer Plumbline/);
    older.close();
  });

  test("a migration that fails leaves every row as it was, and all of it leaves as a file", async () => {
    await filled();
    const next = openDatabase(NAME);
    next
      .version(next.verno + 1)
      .stores({})
      .upgrade(async (transaction) => {
        await transaction.table("horses").toCollection().modify({ name: "half way" });
        throw new Error("broken");
      });
    await expect(next.open()).rejects.toThrow("broken");
    next.close();
    const file = await rescueFile(NAME, "2026-11-23T08:00:00Z");
    const read = readBackup(await file.text());
    expect(read.ok && read.value.records.horses).toEqual(records().horses);
    const before = openDatabase(NAME);
    expect(await before.horses.toArray()).toEqual(records().horses);
    before.close();
  });
});
