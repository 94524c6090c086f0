import { execFile } from "node:child_process";
import { mkdir, readFile, writeFile } from "node:fs/promises";
import { dirname } from "node:path";
import { promisify } from "node:util";
import type { Page } from "@playwright/test";

/** A browser's folder with the demo round in it, made once by `stores.setup.ts`; each test gets a copy. */
export const PROFILE = "build/stores/profile";
/** What starting Bramble's visit changed in the demo round. */
const VISIT = "build/stores/visit.json";
const DEMO = "plumbline-demo";

/** A folder for another browser; the system's own copying takes a twentieth of the time. */
export async function copyProfile(folder: string): Promise<void> {
  await mkdir(dirname(folder), { recursive: true });
  await promisify(execFile)("cp", ["-r", PROFILE, folder]);
}

/** Rows of the demo round's store by table; pictures have bytes and stay out. */
export type Rows = Record<string, unknown[]>;

/** A row that is put, or taken out by its key. */
type Change = { table: string; row: unknown } | { table: string; gone: string };

export const demoRows = async (page: Page): Promise<Rows> =>
  // As text: handed over as it is, each value of it would be looked at.
  JSON.parse(
    await page.evaluate(async (name) => {
      const asked = <T>(request: IDBRequest<T>) =>
        new Promise<T>((done, failed) => {
          request.onsuccess = () => done(request.result);
          request.onerror = () => failed(request.error);
        });
      const db = await asked(indexedDB.open(name));
      const tables = [...db.objectStoreNames].filter((table) => table !== "pictures");
      const rows = await Promise.all(
        tables.map(async (table) => [
          table,
          await asked<unknown[]>(db.transaction(table).objectStore(table).getAll()),
        ]),
      );
      db.close();
      return JSON.stringify(Object.fromEntries(rows));
    }, DEMO),
  ) as Rows;

/** Whoever gets a copy is a device of its own, which has seen all that this one did. */
const passedOn = (row: { key?: string; value?: string }): unknown => {
  if (row.key !== "device") return row;
  const { id, act } = JSON.parse(String(row.value)) as { id: string; act: number };
  return { key: "seen", value: JSON.stringify({ [id]: act }) };
};

/** Keeps the rows that are new or other than before, as another device gets them. */
export async function keepVisit(before: Rows, after: Rows): Promise<void> {
  const changed = Object.entries(after).flatMap(([table, rows]): Change[] => {
    const known = new Set((before[table] ?? []).map((row) => JSON.stringify(row)));
    return rows.flatMap((row) =>
      known.has(JSON.stringify(row)) ? [] : [{ table, row: passedOn(row as { key?: string }) }],
    );
  });
  await writeFile(VISIT, JSON.stringify(changed));
}

/** Takes this device out of the round that the others get, and forgets which round was chosen. */
export async function passOn(page: Page, { facts }: Rows): Promise<void> {
  const device = (facts as { key: string }[]).find(({ key }) => key === "device");
  if (!device) throw new Error("The round was made by no device");
  await write(page, [
    { table: "facts", row: passedOn(device) },
    { table: "facts", gone: "device" },
  ]);
  await page.evaluate(() => {
    localStorage.clear();
    sessionStorage.clear();
  });
}

/** Chooses the demo round as its user would have, with Bramble's visit started where that is asked. */
export async function chooseDemo(page: Page, visit: boolean): Promise<void> {
  await write(page, visit ? (JSON.parse(await readFile(VISIT, "utf8")) as Change[]) : []);
  await page.evaluate(() => {
    // The tab may have had another round open.
    for (const storage of [localStorage, sessionStorage]) storage.setItem("plumbline.round", "demo");
  });
}

/** Writes into the demo round's store from a page of this origin on which the application does not run. */
async function write(page: Page, changes: Change[]): Promise<void> {
  await page.goto("/mark.svg");
  if (changes.length === 0) return;
  await page.evaluate(
    async ({ name, changes }) => {
      const opening = indexedDB.open(name);
      await new Promise((done) => (opening.onsuccess = done));
      const tables = [...new Set(changes.map(({ table }) => table))];
      const writing = opening.result.transaction(tables, "readwrite");
      for (const change of changes) {
        const table = writing.objectStore(change.table);
        if ("gone" in change) table.delete(change.gone);
        else table.put(change.row);
      }
      await new Promise((done, failed) => {
        writing.oncomplete = done;
        writing.onabort = () => failed(writing.error);
      });
      opening.result.close();
    },
    { name: DEMO, changes },
  );
}
