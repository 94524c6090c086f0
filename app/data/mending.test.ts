import { afterAll, beforeEach, describe, expect, test } from "@jest/globals";
import { HORSE } from "~core/record/horse.fixture";
import { LINKS, type TableName } from "~core/record/tables";
import { records } from "~core/record/records.fixture";
import { saveEdits, undoLast } from "./edits";
import { lookForAmiss, mendingEdits, twinEdits } from "./mending";
import { session } from "./session";
import { putRecords, snapshot } from "./storeFiles";

const { db } = session;
const held = async () => (await snapshot(db, [])).records;

beforeEach(async () => {
  await db.transaction("rw", db.tables, async () => {
    for (const table of db.tables) await table.clear();
  });
  const made = records();
  made.horses.push({ ...HORSE, id: "h2", name: "dunlin", kind: "cob", massKg: 610 });
  made.calls.push({
    id: "c",
    horseId: "h2",
    date: "2026-11-20",
    kind: "lost shoe",
    limb: "LF",
    cause: "caught",
    found: true,
    note: "",
  });
  await putRecords(db, made);
});
afterAll(() => db.delete());

const orphans = async (): Promise<string[]> => {
  const all = await held();
  const idsOf = (table: TableName) => new Set(all[table].map(({ id }) => id));
  return LINKS.flatMap(({ from, field, to }) =>
    (all[from] as unknown as Record<string, unknown>[])
      .filter((row) => row[field] !== undefined && !idsOf(to).has(String(row[field])))
      .map(({ id }) => `${from}/${String(id)}`),
  );
};

describe("a store that wants to be set right", () => {
  test("a horse that is in it twice is one after a press, and two again after undo", async () => {
    const before = await held();
    const { twins } = await lookForAmiss(db);
    expect(twins.map(({ table, stays, goes, named, yard }) => [table, stays, goes, ...named, yard])).toEqual([
      ["horses", "h", "h2", "Dunlin", "dunlin", "Ferryfield"],
    ]);
    const [pair] = twins;
    if (!pair) throw new Error("no twins");
    expect((await saveEdits(await twinEdits(db, pair))).kind).toBe("saved");
    const after = await held();
    expect(after.horses.map(({ id }) => id)).toEqual(["h"]);
    expect(after.calls[0]?.horseId).toBe("h");
    expect(Object.values(after.setAside[0]?.values ?? {})[0]).toMatchObject({ place: "massKg", json: "610" });
    expect((await lookForAmiss(db)).twins).toEqual([]);
    await undoLast();
    expect(await held()).toEqual(before);
  });

  test("what belongs to nothing gets a stand-in with a press, for good, and then nothing is missing", async () => {
    await db.horses.update("h2", { yardId: "gone" });
    await db.visits.put({
      ...(records().visits[0] as never as { id: string }),
      id: "w",
      horseId: "nobody",
    } as never);
    expect((await lookForAmiss(db)).missing).toBe(2);
    expect(await orphans()).toEqual(["horses/h2", "visits/w"]);
    expect((await saveEdits(await mendingEdits(db))).kind).toBe("saved");
    expect((await lookForAmiss(db)).missing).toBe(0);
    expect(await orphans()).toEqual([]);
    // Without it the horse would be on no list again.
    expect((await undoLast()).kind).toBe("failed");
    expect(await orphans()).toEqual([]);
  });
});
