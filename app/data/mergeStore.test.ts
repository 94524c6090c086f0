import { afterAll, beforeEach, describe, expect, test } from "@jest/globals";
import { readBackup } from "~core/record/backup";
import { records } from "~core/record/records.fixture";
import { change, make, remove } from "~core/record/change";
import type { Visit } from "~core/record/visit";
import { saveEdits, undoLast } from "./edits";
import { deviceOf, historyOf, renameDevice, startSitting } from "./device";
import { restoreBackup } from "./files";
import { lookForAmiss } from "./mending";
import { lookAtMerge, putTogether } from "./mergeStore";
import { databaseOf, session } from "./session";
import { backupFile, fillStore } from "./storeFiles";

const { db } = session;
const phone = databaseOf("demo");
const READING = "v.LF.before";

/** A store's own backup, written and read as a file. */
async function fileOf(store: typeof db) {
  const read = readBackup(await (await backupFile(store, [], "2026-11-23T18:00:00Z")).text());
  if (!read.ok) throw new Error(read.issues[0]?.message);
  return read.value;
}
const reading = async () => (await db.readings.get(READING))!;
const visit = async () => (await db.visits.get("v"))!;
const putToe = async (value: number) =>
  saveEdits([
    change("readings", await reading(), ["values", "toeLength"], { value, source: "calliper" }, "toe length"),
  ]);

/** The phone is filled with the laptop's round; each goes on by itself. */
async function phoneWith(work: () => Promise<unknown>): Promise<void> {
  const start = await fileOf(db);
  await work();
  const atPhone = await fileOf(db);
  await fillStore(phone, { ...atPhone, history: { ...atPhone.history! } });
  await restoreBackup(start);
}

afterAll(() => {
  phone.close();
  session.close();
});
beforeEach(async () => {
  await restoreBackup({ records: records() });
  await renameDevice(db, "Laptop");
});

describe("what a store knows of its own acts", () => {
  test("each edit stamps the places that it touched; an undo is an act of its own", async () => {
    await putToe(92);
    const stamps = await db.stamps.get(`readings/${READING}`);
    expect(Object.keys(stamps?.places ?? {})).toEqual(["values.toeLength"]);
    const [device, act] = stamps?.places?.["values.toeLength"] ?? [];
    await undoLast();
    const after = (await db.stamps.get(`readings/${READING}`))?.places?.["values.toeLength"];
    expect(after?.slice(0, 2)).toEqual([device, Number(act) + 1]);
  });

  test("a row that is made is stamped whole, one that is taken away leaves the stamp of that", async () => {
    const made: Visit = { ...(await visit()), id: "w", status: "planned" };
    await saveEdits([make("visits", made, "visit")]);
    expect((await db.stamps.get("visits/w"))?.made).toBeDefined();
    await saveEdits([remove("visits", made, "visit")]);
    expect(await db.stamps.get("visits/w")).toEqual({ key: "visits/w", gone: expect.anything() });
  });

  test("a store filled from a backup is a device of its own, with the same name", async () => {
    await putToe(92);
    const before = (await fileOf(db)).history!;
    await restoreBackup(await fileOf(db));
    const after = (await fileOf(db)).history!;
    expect(after.device.name).toBe("Laptop");
    expect(after.device.id).not.toBe(before.device.id);
    expect(after.seen[before.device.id]).toBe(before.seen[before.device.id]);
    expect(after.stamps).toEqual(before.stamps);
  });
});

describe("a store that was copied with all it holds, or put back to an earlier state", () => {
  const copyInto = async (from: typeof db, into: typeof db) => {
    for (const { name } of from.tables) {
      await into.table(name).clear();
      await into.table(name).bulkPut(await from.table(name).toArray());
    }
  };

  test("acts under an id of its own from its next start on: what both changed is asked", async () => {
    await putToe(92);
    await copyInto(db, phone);
    await Promise.all([startSitting(db), startSitting(phone)]);
    // Number by number the two go on alike, with other values.
    await putToe(95);
    const here = await fileOf(db);
    await copyInto(phone, db);
    await putToe(97);
    const look = await lookAtMerge(db, here);
    expect(look.clashes.map(({ what }) => what)).toEqual(["toe length"]);
    expect(look.clashes[0]).toMatchObject({ here: { value: "97 mm" }, there: { value: "95 mm" } });
  });

  test("a file of what it had done before it was put back brings that in again", async () => {
    await putToe(92);
    await copyInto(db, phone);
    await putToe(95);
    const later = await fileOf(db);
    await copyInto(phone, db);
    await startSitting(db);
    expect((await lookAtMerge(db, later)).clashes).toEqual([]);
    await putToe(90);
    expect((await lookAtMerge(db, later)).clashes).toHaveLength(1);
  });

  test("its acts are counted on; a start without acts leaves no id behind", async () => {
    await putToe(92);
    const { act } = await deviceOf(db);
    for (let start = 0; start < 5; start++) await startSitting(db);
    await putToe(93);
    expect((await deviceOf(db)).act).toBe(act + 1);
    expect(Object.keys((await historyOf(db))?.seen ?? {})).toHaveLength(2);
  });
});

describe("another device's file is put together with the store", () => {
  test("looked at it says what would happen; decided it happens at once, and what was not taken is kept aside", async () => {
    await phoneWith(async () => {
      await putToe(98);
      await saveEdits([change("visits", await visit(), ["watch"], "the left heel", "watch")]);
    });
    await renameDevice(phone, "Phone");
    await putToe(96);
    const file = await fileOf(phone);
    const look = await lookAtMerge(db, file);
    expect(look).toMatchObject({ from: "Phone", into: "Laptop", nothing: false });
    expect(look.clashes).toMatchObject([
      { what: "toe length", here: { value: "96 mm" }, there: { value: "98 mm" }, usual: "here" },
    ]);
    expect(look.tally.visits).toMatchObject({ changedThere: 1 });
    expect((await visit()).watch).toBe("");
    const picks = { [look.clashes[0]!.key]: "there" as const };
    expect(await putTogether(db, file, { picks, state: look.state })).toEqual({ kind: "done", setAside: 1 });
    expect((await reading()).values.toeLength?.value).toBe(98);
    expect((await visit()).watch).toBe("the left heel");
    const [aside] = await db.setAside.toArray();
    expect(Object.values(aside!.values)).toMatchObject([
      { of: "Dunlin, left fore, before the trim, 2 Nov 2026", json: '{"value":96,"source":"calliper"}' },
    ]);
    expect((await lookAtMerge(db, file)).nothing).toBe(true);
  });

  test("a store that was changed since it was looked at is left alone", async () => {
    await phoneWith(() => putToe(98));
    const file = await fileOf(phone);
    const { state } = await lookAtMerge(db, file);
    await saveEdits([change("visits", await visit(), ["tell"], "ring me", "tell")]);
    expect(await putTogether(db, file, { picks: {}, state })).toEqual({ kind: "changed" });
    expect((await reading()).values.toeLength?.value).toBe(91.5);
  });

  test("a file without a history is older than everything that was done since; its own rows come in", async () => {
    await putToe(96);
    const older = records();
    older.visits.push({ ...older.visits[0]!, id: "w" });
    const file = { ...(await fileOf(db)), records: older };
    delete file.history;
    const { state, from } = await lookAtMerge(db, file);
    expect(from).toBe("An older backup");
    await putTogether(db, file, { picks: {}, state });
    expect((await reading()).values.toeLength?.value).toBe(96);
    expect(await db.visits.get("w")).toBeDefined();
  });

  test("a yard and a horse that were typed on both are named before, and stand in the list to set right after", async () => {
    const typed = (id: string) => [
      make("yards", { id: `y-${id}`, name: "Moss End", person: "", phone: "", access: "" }, "yard"),
      make("horses", { ...records().horses[0]!, id: `h-${id}`, yardId: `y-${id}`, name: "Crumb" }, "horse"),
    ];
    await phoneWith(() => saveEdits(typed("phone")));
    await saveEdits(typed("laptop"));
    const file = await fileOf(phone);
    const { again, state } = await lookAtMerge(db, file);
    expect(again).toEqual(["yard Moss End", "horse Crumb"]);
    await putTogether(db, file, { picks: {}, state });
    expect((await lookForAmiss(db)).twins.map(({ table }) => table)).toEqual(["yards", "horses"]);
  });

  test("pictures come along as their bytes", async () => {
    await phoneWith(() => Promise.resolve());
    await phone.pictures.put({
      id: "p",
      type: "image/png",
      bytes: new Blob([new Uint8Array([1, 2, 250])], { type: "image/png" }),
    });
    const file = await fileOf(phone);
    const { state } = await lookAtMerge(db, file);
    await putTogether(db, file, { picks: {}, state });
    expect([...new Uint8Array(await (await db.pictures.get("p"))!.bytes.arrayBuffer())]).toEqual([1, 2, 250]);
  });
});
