import { afterAll, afterEach, beforeEach, describe, expect, test } from "@jest/globals";
import { change, make } from "~core/record/change";
import type { Horse } from "~core/record/horse";
import type { Photo } from "~core/photo/photoRecord";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { blankVisit, type Visit } from "~core/record/visit";
import type { Yard } from "~core/record/yard";
import { keepDraft, loadDrafts, draftAt } from "./drafts";
import { exportBackup } from "./files";
import { retryRefused, saveEdits, undoLast, UNDO_STEPS } from "./edits";
import { backupFile } from "./storeFiles";
import { readHorseFile, readRosterRecords, rosterOf } from "./queries";
import { deviceOf } from "./device";
import { pictureOf, putPicture } from "./loosePictures";
import { storedPicture } from "./pictureBytes";
import { readBackup } from "~core/record/backup";
import { session } from "./session";

const yard: Yard = { id: "y", name: "Tarn Farm", person: "", phone: "", access: "" };
const horse: Horse = {
  id: "h",
  yardId: "y",
  name: "Wren",
  kind: "horse",
  massKg: 430,
  use: "riding",
  finish: "trim",
  habits: "",
  notes: "",
};
const visit: Visit = { id: "v", horseId: "h", date: "2026-11-23", status: "planned", ...blankVisit() };

const { put } = IDBObjectStore.prototype;
const full = () => {
  IDBObjectStore.prototype.put = () => {
    throw new DOMException("full", "QuotaExceededError");
  };
};
const roomAgain = () => {
  IDBObjectStore.prototype.put = put;
};

beforeEach(async () => {
  const { db } = session;
  await db.transaction("rw", db.tables, async () => {
    for (const table of db.tables) await table.clear();
  });
  await db.yards.put(yard);
  await db.horses.put(horse);
  await db.settings.put(DEFAULT_SETTINGS);
  session.setRefused([]);
  session.forgetTyped();
  session.epoch = undefined;
});
afterEach(roomAgain);
afterAll(() => session.close());

const stored = () => session.db.horses.get("h");

describe("a change that the store refuses", () => {
  test("stays, is sent again with the next that succeeds, and is no conflict", async () => {
    full();
    expect((await saveEdits([change("horses", horse, ["name"], "Wren II", "name")])).kind).toBe("failed");
    roomAgain();
    expect((await saveEdits([change("horses", horse, ["massKg"], 450, "mass")])).kind).toBe("saved");
    expect(await stored()).toMatchObject({ name: "Wren II", massKg: 450 });
    expect(session.refused()).toEqual([]);
  });

  test("is in the file that is asked for while it is still on its way", async () => {
    full();
    const onItsWay = new Promise((arrived) => setTimeout(arrived, 50));
    session.sent(onItsWay.then(() => saveEdits([change("horses", horse, ["name"], "Wren II", "name")])));
    const file = exportBackup();
    const { records } = JSON.parse(await (await file).text()) as { records: { horses: Horse[] } };
    expect(records.horses.map(({ name }) => name)).toEqual(["Wren II"]);
  });

  test("that never gets an answer keeps no file waiting for ever", async () => {
    session.sent(new Promise(() => undefined));
    const begun = Date.now();
    await session.answered(40);
    expect(Date.now() - begun).toBeGreaterThanOrEqual(35);
  });

  test("changed again while it is refused, the newest value goes, from what the store really holds", async () => {
    full();
    await saveEdits([change("horses", horse, ["name"], "one", "name")]);
    await saveEdits([change("horses", { ...horse, name: "one" }, ["name"], "two", "name")]);
    expect(session.refused().map(({ edits }) => [edits[0]?.was, edits[0]?.now])).toEqual([["Wren", "two"]]);
    roomAgain();
    await retryRefused();
    expect((await stored())?.name).toBe("two");
  });

  test("what builds on it waits for it: the record first, then the field of it", async () => {
    full();
    await saveEdits([make("visits", visit, "visit")]);
    await saveEdits([change("visits", visit, ["watch"], "left hind", "watch")]);
    roomAgain();
    await retryRefused();
    expect((await session.db.visits.get("v"))?.watch).toBe("left hind");
  });

  test("is taken back by undo before anything that was kept", async () => {
    await saveEdits([change("horses", horse, ["name"], "kept", "name")]);
    full();
    await saveEdits([change("horses", horse, ["massKg"], 450, "mass")]);
    roomAgain();
    expect(await undoLast()).toMatchObject({ kind: "saved", label: "mass" });
    expect([session.refused(), (await stored())?.name]).toEqual([[], "kept"]);
  });

  test("does not hold up a change of another place, even where it can never be kept", async () => {
    await saveEdits([change("horses", horse, ["massKg"], 9, "mass")]);
    expect((await saveEdits([change("horses", horse, ["name"], "Wren II", "name")])).kind).toBe("saved");
    expect(session.refused()).toHaveLength(1);
  });
});

describe("records that hang on one another", () => {
  test("the making of a horse is not taken back while a visit hangs on it", async () => {
    const other = { ...horse, id: "h2", name: "Merle" };
    await saveEdits([make("horses", other, "Merle")]);
    await session.db.visits.put({ ...visit, horseId: "h2" });
    const undone = await undoLast();
    expect(undone.kind === "failed" && undone.message).toContain("a visit hangs on it");
    expect(await session.db.horses.get("h2")).toBeDefined();
    await session.db.visits.delete("v");
    expect((await undoLast()).kind).toBe("saved");
    expect(await session.db.horses.get("h2")).toBeUndefined();
  });

  test("nothing is made for what another tab has taken away", async () => {
    await session.db.horses.delete("h");
    const saved = await saveEdits([make("visits", visit, "visit")]);
    expect(saved.kind === "failed" && saved.message).toContain("the horse that it belongs to was taken away");
    expect(await session.db.visits.count()).toBe(0);
  });

  test("a horse is not moved to a yard that another tab has taken away, and its making is not undone once one stands there", async () => {
    const made: Yard = { ...yard, id: "y2", name: "Sedge End" };
    await saveEdits([make("yards", made, "Sedge End")]);
    await undoLast();
    const moved = await saveEdits([change("horses", horse, ["yardId"], "y2", "Wren, yard")]);
    expect(moved.kind === "failed" && moved.message).toContain("the yard that it belongs to was taken away");
    expect((await stored())?.yardId).toBe("y");
    session.setRefused([]);
    await saveEdits([make("yards", made, "Sedge End")]);
    await session.db.horses.put({ ...horse, yardId: "y2" });
    expect((await undoLast()).kind).toBe("failed");
  });

  test("a backup of a store with rows that point to nothing holds them all, and restores them all", async () => {
    await session.db.horses.put({ ...horse, yardId: "gone" });
    await session.db.visits.bulkPut([visit, { ...visit, id: "lost", horseId: "nobody" }]);
    const read = readBackup(await (await backupFile(session.db, [], "2026-11-23T08:00:00Z")).text());
    if (!read.ok) throw new Error(read.issues[0]?.message);
    const { yards, horses, visits } = read.value.records;
    expect(visits.map(({ id, horseId }) => [id, horseId])).toEqual([
      ["lost", "nobody"],
      ["v", "h"],
    ]);
    expect(horses.map(({ id, yardId }) => [id, yardId])).toContainEqual(["h", "gone"]);
    expect(yards.map(({ id, name }) => [id, name])).toContainEqual(["gone", "Yard not known"]);
    expect(horses.find(({ id }) => id === "nobody")?.name).toBe("Horse not known");
  });

  test("a horse whose yard is not there stands on the round and opens", async () => {
    await session.db.horses.put({ ...horse, yardId: "gone" });
    const rows = rosterOf(await readRosterRecords("2026-11-23"));
    expect(rows.map((row) => [row.horse.name, row.yard.name])).toEqual([["Wren", "Yard not known"]]);
    expect((await readHorseFile("h"))?.yard.name).toBe("Yard not known");
  });
});

describe("a photograph that the store has no room for", () => {
  const taken = async () => {
    await session.db.visits.put(visit);
    full();
    const bytes = new Blob([new Uint8Array([1, 2, 250])], { type: "image/jpeg" });
    const pictureId = await putPicture({ type: "image/jpeg", bytes });
    const photo: Photo = {
      id: "f",
      visitId: "v",
      horseId: "h",
      limb: "LF",
      moment: "before",
      view: "sole",
      date: "2026-11-23",
      takenAt: "2026-11-23T08:00:00Z",
      pictureId,
      width: 10,
      height: 10,
      simulated: false,
      points: {},
    };
    expect((await saveEdits([make("photos", photo, "photograph")])).kind).toBe("failed");
    return pictureId;
  };

  test("stays in the page, with the record that points to it, and in a backup; tried again both are kept", async () => {
    const id = await taken();
    expect([...new Uint8Array(await (await pictureOf(id))!.bytes.arrayBuffer())]).toEqual([1, 2, 250]);
    expect(session.busy).toBe(true);
    const { records } = JSON.parse(await (await exportBackup()).text()) as {
      records: { pictures: object[]; photos: object[] };
    };
    expect(records.pictures).toEqual([{ id, type: "image/jpeg", data: "AQL6" }]);
    expect(records.photos).toHaveLength(1);
    roomAgain();
    await retryRefused();
    expect(await session.db.pictures.get(id)).toBeDefined();
    expect(await session.db.photos.get("f")).toMatchObject({ pictureId: id });
    expect([session.busy, session.heldPictures().size]).toEqual([false, 0]);
  });

  test("is let go of when it is taken back", async () => {
    await taken();
    await undoLast();
    expect([session.refused().length, session.heldPictures().size]).toEqual([0, 0]);
    roomAgain();
  });
});

describe("a backup that is made while somebody works", () => {
  test("is of one moment, wherever the work falls: both halves of a change, and the act that made them", async () => {
    for (let wait = 0; wait < 24; wait++) {
      const start = (await session.db.visits.get("v")) ?? visit;
      if (!(await session.db.visits.get("v"))) await saveEdits([make("visits", visit, "visit")]);
      const { act } = await deviceOf(session.db);
      let horseNow = (await stored())!;
      let visitNow = start;
      const working = (async () => {
        for (let step = 1; step <= 6; step++) {
          const name = `${wait} ${step}`;
          await saveEdits([
            change("horses", horseNow, ["name"], name, "name"),
            change("visits", visitNow, ["watch"], name, "watch"),
          ]);
          [horseNow, visitNow] = [
            { ...horseNow, name },
            { ...visitNow, watch: name },
          ];
        }
      })();
      for (let tick = 0; tick < wait; tick++) await new Promise((done) => setTimeout(done));
      const file = await backupFile(session.db, [], "2026-11-23T08:00:00Z");
      await working;
      const read = readBackup(await file.text());
      if (!read.ok) throw new Error(read.issues[0]?.message);
      const { records, history } = read.value;
      const [named, watched] = [records.horses[0]?.name, records.visits[0]?.watch];
      const step = history!.seen[history!.device.id]! - act;
      if (step > 0) expect([wait, named, watched]).toEqual([wait, `${wait} ${step}`, `${wait} ${step}`]);
      const stamp = history!.stamps.find(({ key }) => key === "horses/h")?.places?.name;
      if (step > 0) expect(stamp?.[1]).toBe(act + step);
    }
  });

  test("a photograph that is taken away meanwhile is in it whole or not at all", async () => {
    const picture = { id: "p", type: "image/png" as const, data: "aGk=" };
    const photo = { id: "f", visitId: "v", horseId: "h", limb: "LF", view: "sole", pictureId: "p" };
    await session.db.visits.put({ ...visit, status: "signed" });
    for (let wait = 0; wait < 12; wait++) {
      await session.db.pictures.put(storedPicture(picture) as never);
      await session.db.photos.put(photo as never);
      const file = backupFile(session.db, [], "2026-11-23T08:00:00Z");
      for (let tick = 0; tick < wait; tick++) await new Promise((done) => setTimeout(done));
      await session.db.transaction("rw", session.db.photos, session.db.pictures, async () => {
        await session.db.photos.delete("f");
        await session.db.pictures.delete("p");
      });
      const { records } = JSON.parse(await (await file).text()) as {
        records: { photos: unknown[]; pictures: { data: string }[] };
      };
      expect([wait, records.pictures.map(({ data }) => data)]).toEqual([
        wait,
        records.photos.length === 1 ? ["aGk="] : [],
      ]);
    }
  });
});

describe("a horse whose companion is lost", () => {
  test("leaves without it, its row as it was travels beside, and the backup restores", async () => {
    await session.db.horses.put({ ...horse, companionId: "nobody" });
    await session.db.horses.put({ ...horse, id: "a", name: "Ash", companionId: "h" });
    const text = await (await backupFile(session.db, [], "2026-11-23T08:00:00Z")).text();
    const read = readBackup(text);
    expect(read.ok && read.value.records.horses.map(({ id, companionId }) => [id, companionId])).toEqual([
      ["a", "h"],
      ["h", undefined],
    ]);
    expect((JSON.parse(text) as { leftOut: { row: Horse }[] }).leftOut[0]?.row.companionId).toBe("nobody");
  });
});

describe("the queue", () => {
  test("changes of one place, sent at once, are kept in the order of sending", async () => {
    const names = ["a", "b", "c", "d", "e"];
    const edits = names.map((name, at) =>
      change("horses", { ...horse, name: names[at - 1] ?? "Wren" }, ["name"], name, name),
    );
    const saved = await Promise.all(edits.map((edit) => saveEdits([edit])));
    expect(saved.map(({ kind }) => kind)).toEqual(names.map(() => "saved"));
    expect((await stored())?.name).toBe("e");
  });

  test("as many undos as changes, sent at once, take all of them back", async () => {
    for (let at = 0; at < 20; at++)
      await saveEdits([change("horses", { ...horse, massKg: 430 + at }, ["massKg"], 431 + at, "mass")]);
    await Promise.all(Array.from({ length: 20 }, undoLast));
    expect((await stored())?.massKg).toBe(430);
  });

  test(`undo reaches ${UNDO_STEPS} steps; older ones fold away`, async () => {
    for (let at = 0; at < UNDO_STEPS + 20; at++)
      await saveEdits([change("horses", { ...horse, massKg: 430 + at }, ["massKg"], 431 + at, "mass")]);
    expect(await session.db.journal.count()).toBe(UNDO_STEPS);
  });
});

describe("a store that was filled anew by another tab", () => {
  test("takes nothing of what this tab still shows, and says why", async () => {
    session.epoch = { value: undefined };
    await session.db.facts.put({ key: "epoch", value: "another" });
    const saved = await saveEdits([change("horses", horse, ["name"], "mine", "name")]);
    expect(saved.kind === "failed" && saved.message).toContain("Another tab has put a backup");
    expect([(await stored())?.name, session.replaced()]).toEqual(["Wren", true]);
  });
});

describe("a setting without a stored row", () => {
  test("starts from the house’s own settings and is no conflict", async () => {
    await session.db.settings.clear();
    expect((await saveEdits([change("settings", DEFAULT_SETTINGS, ["unit"], "in", "unit")])).kind).toBe(
      "saved",
    );
    expect(await session.db.settings.get("settings")).toEqual({ ...DEFAULT_SETTINGS, unit: "in" });
  });
});

describe("drafts", () => {
  test("remember what stood there when the typing began, whatever the store says since", async () => {
    await keepDraft("d", "4", { value: 48 });
    await keepDraft("d", "49", { value: 48 });
    expect(draftAt("d")).toEqual({ text: "49", was: { value: 48 } });
  });

  test("left by a tab that is gone they are offered here, as one that this tab owns", async () => {
    await session.db.drafts.put({ key: "d @gone", place: "d", sitting: "gone", text: "9" });
    await loadDrafts("d");
    expect(draftAt("d")).toEqual({ text: "9" });
    expect((await session.db.drafts.toArray()).map(({ sitting }) => sitting)).toEqual([session.sitting]);
  });
});
