import { afterEach, beforeEach, expect, test } from "@jest/globals";
import Dexie from "dexie";
import { records } from "~core/record/records.fixture";
import { noteBackup } from "./backupNote";
import { openDatabase, type Database } from "./database";
import { forgetHeld, lostHeld, noteHeld } from "./held";

const NAME = "held-test";
const NOW = Date.parse("2026-11-23T10:00:00Z");
let db: Database;
/** Local storage as the browser has it. */
function beside() {
  const kept = new Map<string, string>();
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  };
}
let storage = beside();
const horse = records().horses[0]!;

beforeEach(() => {
  db = openDatabase(NAME);
  storage = beside();
});
afterEach(async () => {
  db.close();
  await Dexie.delete(NAME);
});
/** As a browser does with a store that it finds damaged. */
const thrownAway = async () => {
  db.close();
  await Dexie.delete(NAME);
  db = openDatabase(NAME);
};

test("a store with a horse that comes back empty is told, with its last backup", async () => {
  await db.horses.put(horse);
  await noteBackup(db, 1, true);
  await noteHeld(db, storage, NOW);
  expect(await lostHeld(db, storage)).toBeUndefined();
  await thrownAway();
  expect(await lostHeld(db, storage)).toMatchObject({ horses: 1, at: NOW, backup: { folder: true } });
  // It stays told until it is answered, however often the empty store is noted.
  await noteHeld(db, storage, NOW + 1);
  expect(await lostHeld(db, storage)).toMatchObject({ at: NOW });
  forgetHeld(storage);
  expect(await lostHeld(db, storage)).toBeUndefined();
});

test("a store whose user took the last horse out is not lost, nor is one that never held any", async () => {
  await noteHeld(db, storage, NOW);
  await thrownAway();
  expect(await lostHeld(db, storage)).toBeUndefined();
  await db.horses.put(horse);
  await noteHeld(db, storage, NOW);
  await db.horses.delete(horse.id);
  expect(await lostHeld(db, storage)).toBeUndefined();
  await noteHeld(db, storage, NOW);
  await thrownAway();
  expect(await lostHeld(db, storage)).toBeUndefined();
});

test("horses that are brought in again end it; what cannot be read beside the store says nothing", async () => {
  await db.horses.put(horse);
  await noteHeld(db, storage, NOW);
  await thrownAway();
  await db.horses.put(horse);
  expect(await lostHeld(db, storage)).toBeUndefined();
  storage.setItem("plumbline.held", "{");
  expect(await lostHeld(db, storage)).toBeUndefined();
});

test("where the browser's small store is blocked nothing is noted and nothing is told", async () => {
  await db.horses.put(horse);
  await noteHeld(db, undefined, NOW);
  await thrownAway();
  expect(await lostHeld(db, undefined)).toBeUndefined();
});
