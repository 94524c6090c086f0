import { afterAll, beforeEach, describe, expect, test } from "@jest/globals";
import { caseOf } from "~core/case/case.fixture";
import type { Edit } from "~core/record/edit";
import { makeBackup } from "~core/record/backupText";
import type { Records } from "~core/record/tables";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { GENERAL_NOISE } from "~core/repeatability/repeatability";
import { makeDemoRound } from "~demo/generate";
import { draftAt, draftsAt, draftsUnder, dropDraft, keepDraft, loadDrafts } from "./drafts";
import { saveEdits, undoLast } from "./edits";
import { restoreBackup } from "./files";
import { putRecords, readRecords } from "./storeFiles";
import { plannedFeet } from "./ownHand";
import {
  feetByHorse,
  readHorseFile,
  readLastReadings,
  readRosterRecords,
  readSettings,
  rosterOf,
} from "./queries";
import { databaseOf, session } from "./session";
import { storageTrouble } from "./trouble";

/** The first yard of the demo round, its last year: enough of everything, and quick to write. */
const whole = makeDemoRound("2026-11-23", 7);
const yardId = whole.yards[0]!.id;
const recent = ({ horseId, date }: { horseId: string; date: string }) =>
  horseId.startsWith(yardId) && date > "2026-08-01";
const round: Records = {
  ...whole,
  yards: whole.yards.slice(0, 1),
  horses: whole.horses.filter((one) => one.yardId === yardId),
  visits: whole.visits.filter(recent),
  readings: whole.readings.filter(recent),
  trims: whole.trims.filter(recent),
};
const horse = round.horses[0]!;
const readAllRecords = () =>
  readRecords(
    session.db,
    session.refused().flatMap(({ edits }) => edits),
  );
const rename = (was: string, now: string): Edit => ({
  table: "horses",
  id: horse.id,
  path: ["name"],
  was,
  now,
  label: "name",
});

beforeEach(async () => {
  const { db } = session;
  await db.transaction("rw", db.tables, async () => {
    for (const table of db.tables) await table.clear();
  });
  await putRecords(db, round);
  session.setRefused([]);
  session.forgetTyped();
});

afterAll(() => session.close());

describe("saveEdits", () => {
  test("keeps the change and says so", async () => {
    expect(await saveEdits([rename("Bramble", "Briar")])).toEqual({
      kind: "saved",
      label: "name",
      tables: ["horses"],
    });
    expect((await session.db.horses.get(horse.id))?.name).toBe("Briar");
    expect(session.saveState().kind).toBe("kept");
  });

  test("undo takes back what was done together, latest first, and then has nothing left", async () => {
    await saveEdits([rename("Bramble", "Briar")]);
    await saveEdits([rename("Briar", "Thorn"), { ...rename("", ""), path: ["notes"], was: "", now: "new" }]);
    await undoLast();
    expect(await session.db.horses.get(horse.id)).toMatchObject({ name: "Briar", notes: "" });
    await undoLast();
    expect(await session.db.horses.get(horse.id)).toEqual(horse);
    expect(await undoLast()).toEqual({ kind: "nothing" });
  });

  test("a conflict overwrites nobody, and takes the edits made with it back too", async () => {
    await session.db.horses.update(horse.id, { name: "Other tab" });
    const saved = await saveEdits([
      { ...rename("", ""), path: ["notes"], was: "", now: "mine" },
      rename("Bramble", "Briar"),
    ]);
    expect(saved).toMatchObject({ kind: "conflict", conflict: { stored: "Other tab" } });
    expect(await session.db.horses.get(horse.id)).toMatchObject({ name: "Other tab", notes: "" });
  });

  test("undo does not run over what somebody changed since", async () => {
    await saveEdits([rename("Bramble", "Briar")]);
    await session.db.horses.update(horse.id, { name: "Other tab" });
    expect((await undoLast()).kind).toBe("conflict");
    expect((await session.db.horses.get(horse.id))?.name).toBe("Other tab");
  });

  test("what the schema refuses is not kept, and stays for the export", async () => {
    const saved = await saveEdits([{ ...rename("", ""), path: ["massKg"], was: 520, now: 9 }]);
    expect(saved.kind).toBe("failed");
    expect((await session.db.horses.get(horse.id))?.massKg).toBe(520);
    expect(session.refused()).toHaveLength(1);
    expect((await readAllRecords()).horses.find(({ id }) => id === horse.id)?.massKg).toBe(9);
  });
});

/** What this tab typed becomes what a tab left that is gone. */
async function tabIsGone(): Promise<void> {
  const rows = await session.db.drafts.toArray();
  await session.db.drafts.clear();
  await session.db.drafts.bulkPut(
    rows.map((row) => ({ ...row, key: `${row.place} @gone`, sitting: "gone" })),
  );
  session.forgetTyped();
}

describe("drafts", () => {
  test("a page that is read anew during the typing brings no half of a number back that has become a value", async () => {
    await keepDraft("d", "1");
    const reading = loadDrafts("d");
    // The field is left: its text is a value that is on its way to the store.
    session.setTyped("d", undefined);
    await reading;
    expect(draftAt("d")).toBeUndefined();
  });

  test("nor what a tab left at this place before this one typed there", async () => {
    await session.db.drafts.put({ key: "d @gone", place: "d", sitting: "gone", text: "9" });
    await keepDraft("d", "12");
    await loadDrafts("d");
    expect(draftAt("d")?.text).toBe("12");
    expect((await session.db.drafts.toArray()).map(({ text }) => text)).toEqual(["12"]);
    await dropDraft("d");
    await loadDrafts("d");
    expect(draftAt("d")).toBeUndefined();
  });

  test("typed text is there after the tab is gone, for its visit alone", async () => {
    await keepDraft("v1.LF.before.toeLength", "9");
    await keepDraft("v1.LF.before.toeLength", "9x");
    await keepDraft("v2/watch", "other");
    await tabIsGone();
    await loadDrafts("v1");
    expect(draftsUnder("v")).toEqual([["v1.LF.before.toeLength", "9x"]]);
    await dropDraft("v1.LF.before.toeLength");
    await loadDrafts("v1");
    expect(draftAt("v1.LF.before.toeLength")).toBeUndefined();
  });

  test("a draft goes in the transaction that makes it a value, and stays when that fails", async () => {
    await keepDraft("d", "Briar");
    await saveEdits([{ ...rename("", ""), path: ["massKg"], was: 520, now: 9 }], draftsAt("d"));
    expect(await session.db.drafts.count()).toBe(1);
    await saveEdits([rename("Bramble", "Briar")], draftsAt("d"));
    expect([await session.db.drafts.count(), draftAt("d")]).toEqual([0, undefined]);
  });

  test("what is typed while the value before it is on its way to the store stays, here and for the next sitting", async () => {
    await keepDraft("d", "Briar");
    const saving = saveEdits([rename("Bramble", "Briar")], draftsAt("d"));
    const typing = keepDraft("d", "Briarx");
    await Promise.all([saving, typing]);
    expect(draftAt("d")?.text).toBe("Briarx");
    expect((await session.db.drafts.toArray()).map(({ text }) => text)).toEqual(["Briarx"]);
  });
});

describe("queries", () => {
  test("the roster has every horse with its last signed visit and its planned one", async () => {
    const rows = rosterOf(await readRosterRecords("2026-11-23"));
    expect(rows).toHaveLength(9);
    const bramble = rows.find((row) => row.horse.name === "Bramble");
    expect([bramble?.last?.status, bramble?.coming?.date]).toEqual(["signed", "2026-11-23"]);
    expect(Object.keys(feetByHorse(rows, await readLastReadings(rows))[horse.id] ?? {})).toEqual([
      "LF",
      "RF",
      "LH",
      "RH",
    ]);
  });

  test("an open case counts while its horse is on the round", async () => {
    const one = caseOf({ id: "c", horseId: horse.id });
    await session.db.cases.put(one);
    const open = async () => (await readRosterRecords("2026-11-23")).cases.map(({ id }) => id);
    expect(await open()).toEqual(["c"]);
    await session.db.horses.update(horse.id, { left: { on: "2026-11-20", why: "retired" } });
    expect(await open()).toEqual([]);
    await session.db.horses.put(horse);
    await session.db.cases.put({ ...one, status: "closed" });
    expect(await open()).toEqual([]);
  });

  test("a horse's file holds its own rows only, visits oldest first; an unknown id gives none", async () => {
    const file = await readHorseFile(horse.id);
    expect(file?.readings.every(({ horseId }) => horseId === horse.id)).toBe(true);
    expect(file?.visits.map(({ date }) => date)).toEqual(
      [...(file?.visits ?? [])].map(({ date }) => date).sort(),
    );
    expect(await readHorseFile("nobody")).toBeUndefined();
  });
});

describe("files", () => {
  test("restore puts a backup in place of everything: restore(export(x)) = x", async () => {
    const before = await readAllRecords();
    await saveEdits([rename("Bramble", "Briar")]);
    await restoreBackup(makeBackup(before, "2026-11-23T08:00:00Z"));
    expect(await readAllRecords()).toEqual(before);
    expect(await undoLast()).toEqual({ kind: "nothing" });
  });

  test("a restore that breaks changes nothing", async () => {
    const broken = makeBackup({ ...round, visits: [{ id: undefined } as never] }, "2026-11-23T08:00:00Z");
    await expect(restoreBackup(broken)).rejects.toThrow();
    expect(await session.db.visits.count()).toBe(round.visits.length);
  });
});

test("the demo's store and one's own are two databases", async () => {
  const own = databaseOf("own");
  const demo = databaseOf("demo");
  expect(own.name).not.toBe(demo.name);
  await demo.horses.put({ ...horse, id: "only-in-demo" });
  expect(await own.horses.get("only-in-demo")).toBeUndefined();
  own.close();
  demo.close();
});

test("a new database starts with the ordinary settings", async () => {
  const fresh = databaseOf("first-day");
  expect(await fresh.settings.get("settings")).toEqual(DEFAULT_SETTINGS);
  fresh.close();
  await session.db.settings.clear();
  expect(await readSettings()).toEqual(DEFAULT_SETTINGS);
});

test("storage trouble is said in words that help", () => {
  const quota = Object.assign(new Error("x"), {
    name: "AbortError",
    inner: Object.assign(new Error("y"), { name: "QuotaExceededError" }),
  });
  expect(storageTrouble(quota)).toContain("full");
  expect(storageTrouble(Object.assign(new Error("x"), { name: "OpenFailedError" }))).toContain(
    "does not let",
  );
  expect(storageTrouble("odd")).toContain("odd");
});

describe("plannedFeet", () => {
  test("every foot that was planned, agreed on and measured again, with its measures held against the plan", async () => {
    const feet = await plannedFeet(GENERAL_NOISE.value);
    const agreed = round.trims.filter(({ plan }) => plan?.agreed);
    expect(agreed.length).toBeGreaterThan(8);
    expect(feet).toHaveLength(agreed.length);
    for (const rows of feet) expect(rows).toHaveLength(4);
  });

  test("a plan that was not agreed on, or a foot not measured again, is nobody's habit", async () => {
    const [first] = round.trims.filter(({ plan }) => plan?.agreed);
    const before = (await plannedFeet(GENERAL_NOISE.value)).length;
    await session.db.trims.update(first!.id, { "plan.agreed": false });
    expect(await plannedFeet(GENERAL_NOISE.value)).toHaveLength(before - 1);
  });
});
