import { readFile, writeFile } from "node:fs/promises";
import { mkdirSync } from "node:fs";
import type { Page } from "@playwright/test";

/** Stores that `stores.setup.ts` makes once; each test gets its own copy put into its browser. */
export type Store = "demo" | "visit";

const FOLDER = "test-results/stores";
const storeFile = (store: Store): string => `${FOLDER}/${store}.json`;

/** One database as it lies in the browser: its version, its tables with their indexes, and every row. */
interface KeptDatabase {
  name: string;
  version: number;
  tables: {
    name: string;
    keyPath: string | string[];
    autoIncrement: boolean;
    indexes: { name: string; keyPath: string | string[]; unique: boolean; multiEntry: boolean }[];
    rows: unknown[];
  }[];
}

/** Keeps what the page's origin has in its databases as a file. */
export async function keepStore(page: Page, store: Store): Promise<void> {
  const kept = await page.evaluate(async (): Promise<KeptDatabase[]> => {
    const asked = <T>(request: IDBRequest<T>) =>
      new Promise<T>((done, failed) => {
        request.onsuccess = () => done(request.result);
        request.onerror = () => failed(request.error);
      });
    /** A picture's bytes as text: a file of JSON holds no others. */
    const asText = async (row: Record<string, unknown>) => {
      const { bytes } = row;
      if (!(bytes instanceof Blob)) return row;
      const all = Array.from(new Uint8Array(await bytes.arrayBuffer()), (one) => String.fromCharCode(one));
      return { ...row, bytes: { type: bytes.type, text: btoa(all.join("")) } };
    };
    const databases: KeptDatabase[] = [];
    /** Whoever gets the copy is a device of its own, which has seen all that this one did. */
    const passedOn = (row: Record<string, unknown>) => {
      if (row["key"] !== "device") return row;
      const { id, act } = JSON.parse(String(row["value"])) as { id: string; act: number };
      return { key: "seen", value: JSON.stringify({ [id]: act }) };
    };
    for (const { name = "" } of await indexedDB.databases()) {
      const db = await asked(indexedDB.open(name));
      const tables: KeptDatabase["tables"] = [];
      for (const table of db.objectStoreNames) {
        const at = db.transaction(table).objectStore(table);
        const { keyPath, autoIncrement } = at;
        const indexes = [...at.indexNames].map((index) => {
          const found = at.index(index);
          const { name, keyPath, unique, multiEntry } = found;
          return { name, keyPath, unique, multiEntry };
        });
        tables.push({
          name: table,
          keyPath: keyPath as string,
          autoIncrement,
          indexes: indexes as KeptDatabase["tables"][number]["indexes"],
          rows: await Promise.all(
            (await asked<Record<string, unknown>[]>(at.getAll())).map(passedOn).map(asText),
          ),
        });
      }
      databases.push({ name, version: db.version, tables });
      db.close();
    }
    return databases;
  });
  mkdirSync(FOLDER, { recursive: true });
  await writeFile(storeFile(store), JSON.stringify(kept));
}

/** Puts a kept store into the page's browser, as if its user had made it, and chooses the demo round. */
export async function putBack(page: Page, store: Store): Promise<void> {
  await page.route("**/kept-store.json", async (route) =>
    route.fulfill({ contentType: "application/json", body: await readFile(storeFile(store)) }),
  );
  // A page of this origin on which the application does not run.
  await page.goto("/mark.svg");
  await page.evaluate(async () => {
    const databases = (await (await fetch("/kept-store.json")).json()) as KeptDatabase[];
    for (const { name, version, tables } of databases) {
      const opening = indexedDB.open(name, version);
      const db = await new Promise<IDBDatabase>((done, failed) => {
        opening.onupgradeneeded = () => {
          for (const { name: table, keyPath, autoIncrement, indexes } of tables) {
            const at = opening.result.createObjectStore(table, { keyPath, autoIncrement });
            for (const { name: index, keyPath: path, unique, multiEntry } of indexes)
              at.createIndex(index, path, { unique, multiEntry });
          }
        };
        opening.onsuccess = () => done(opening.result);
        opening.onerror = () => failed(opening.error);
      });
      const writing = db.transaction(
        tables.map((table) => table.name),
        "readwrite",
        { durability: "relaxed" },
      );
      const asBytes = (row: unknown) => {
        const { bytes } = row as { bytes?: { type: string; text: string } };
        if (!bytes) return row;
        const all = Uint8Array.from(atob(bytes.text), (one) => one.charCodeAt(0));
        return { ...(row as object), bytes: new Blob([all], { type: bytes.type }) };
      };
      for (const { name: table, rows } of tables)
        for (const row of rows) writing.objectStore(table).put(asBytes(row));
      await new Promise((done, failed) => {
        writing.oncomplete = done;
        writing.onerror = () => failed(writing.error);
      });
      db.close();
    }
    localStorage.setItem("plumbline.round", "demo");
  });
  await page.unroute("**/kept-store.json");
}
