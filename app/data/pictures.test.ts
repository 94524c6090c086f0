import { afterAll, describe, expect, test } from "@jest/globals";
import Dexie from "dexie";
import { filmOn } from "~core/casework/casework.fixture";
import { openDatabase } from "./database";
import { exportBackup } from "./files";
import { putPicture, takeOutLoosePictures } from "./loosePictures";
import { pictureUrl } from "./pictures";
import { session } from "./session";

afterAll(() => session.close());

describe("kept pictures", () => {
  test("a picture comes back byte for byte, as an address for an image", async () => {
    const bytes = Uint8Array.from([255, 216, 255, 0, 1, 2, 250]);
    await session.db.pictures.put({
      id: "p",
      type: "image/jpeg",
      bytes: new Blob([bytes]),
    });
    const url = await pictureUrl("p");
    if (!url) throw new Error("no picture");
    const back = await (await fetch(url)).arrayBuffer();
    expect([...new Uint8Array(back)]).toEqual([...bytes]);
    URL.revokeObjectURL(url);
  });

  test("a picture that is not in this store is told apart, not drawn as a broken one", async () => {
    expect(await pictureUrl("elsewhere")).toBeUndefined();
  });

  test("pictures travel in the backup", async () => {
    const backup = JSON.parse(await (await exportBackup()).text()) as {
      records: { pictures: { id: string }[] };
    };
    expect(backup.records.pictures.map(({ id }) => id)).toContain("p");
  });
});

describe("a picture that was kept before the row that points to it", () => {
  const DAY = 24 * 60 * 60 * 1000;
  const bytes = new Blob([Uint8Array.from([255, 216, 255])]);
  const film = (pictureId: string) => ({ ...filmOn("2026-11-20", 12), pictureId });

  test("is taken out after a day when none came: the browser was closed between the two", async () => {
    const id = await putPicture({ type: "image/jpeg", bytes });
    await takeOutLoosePictures(Date.now() + DAY - 1000);
    expect(await session.db.pictures.get(id)).toBeDefined();
    await takeOutLoosePictures(Date.now() + DAY);
    expect(await session.db.pictures.get(id)).toBeUndefined();
  });

  test("stays when one came, and is not asked about again", async () => {
    const id = await putPicture({ type: "image/jpeg", bytes });
    await session.db.films.put(film(id));
    await takeOutLoosePictures(Date.now() + DAY);
    expect(await session.db.pictures.get(id)).toBeDefined();
    await session.db.films.clear();
    await takeOutLoosePictures(Date.now() + 2 * DAY);
    expect(await session.db.pictures.get(id)).toBeDefined();
  });

  test("stays as long as an undo could bring its row back", async () => {
    const id = await putPicture({ type: "image/jpeg", bytes });
    const edit = {
      table: "cases",
      id: "c",
      path: ["paperId"],
      was: id,
      now: undefined,
      label: "paper",
    } as const;
    const seq = await session.db.journal.add({
      sitting: "tab",
      edits: [{ ...edit, path: [...edit.path] }],
    } as never);
    await takeOutLoosePictures(Date.now() + DAY);
    expect(await session.db.pictures.get(id)).toBeDefined();
    await session.db.journal.delete(seq);
    await takeOutLoosePictures(Date.now() + DAY);
    expect(await session.db.pictures.get(id)).toBeUndefined();
  });

  test("stays while its row was refused by the store and waits to be sent again", async () => {
    const id = await putPicture({ type: "image/jpeg", bytes });
    const now = film(id);
    const edit = { table: "films", id: now.id, path: [], was: undefined, now, label: "film" } as const;
    session.setRefused([{ edits: [{ ...edit, path: [] }], drafts: [] }]);
    await takeOutLoosePictures(Date.now() + DAY);
    expect(await session.db.pictures.get(id)).toBeDefined();
    session.setRefused([]);
    await takeOutLoosePictures(Date.now() + DAY);
    expect(await session.db.pictures.get(id)).toBeUndefined();
  });

  test("one that came with a backup was never loose", async () => {
    await session.db.pictures.put({ id: "brought", type: "image/jpeg", bytes });
    await takeOutLoosePictures(Date.now() + 2 * DAY);
    expect(await session.db.pictures.get("brought")).toBeDefined();
  });
});

describe("a store of an earlier version", () => {
  test("is carried over: a picture’s text becomes its bytes, a draft is offered as one of a tab that is gone", async () => {
    const before = new Dexie("earlier");
    before.version(6).stores({ pictures: "id", drafts: "key", journal: "++seq, sitting", facts: "key" });
    await before.table("pictures").put({ id: "p", type: "image/png", data: "/9j/AA==" });
    await before.table("drafts").put({ key: "v1.LF.before.toeLength", text: "9" });
    before.close();
    const now = openDatabase("earlier");
    const picture = await now.pictures.get("p");
    expect([picture?.type, [...new Uint8Array(await picture!.bytes.arrayBuffer())]]).toEqual([
      "image/png",
      [255, 216, 255, 0],
    ]);
    expect(await now.drafts.toArray()).toEqual([
      { key: "v1.LF.before.toeLength", place: "v1.LF.before.toeLength", sitting: "", text: "9" },
    ]);
    now.close();
  });

  test("a vet’s plan that stood on a horse is a case of its own there, and the horse goes by its work", async () => {
    const before = new Dexie("with a plan");
    before.version(9).stores({
      horses: "id, yardId",
      visits: "id, horseId",
      drafts: "key",
      journal: "++seq, sitting",
      facts: "key",
    });
    await before.table("horses").bulkPut([
      {
        id: "h",
        name: "Dunlin",
        use: "vet plan",
        finish: "fronts",
        prescription: { by: "the vet", until: "2026-12-01", feet: ["LF"], says: "" },
      },
      { id: "i", name: "Teasel", use: "roads", finish: "fronts" },
    ]);
    await before.table("visits").put({ id: "v", horseId: "h", notes: {} });
    before.close();
    const now = openDatabase("with a plan");
    expect(await now.horses.toArray()).toEqual([
      { id: "h", name: "Dunlin", use: "riding", finish: "fronts" },
      { id: "i", name: "Teasel", use: "roads", finish: "fronts" },
    ]);
    const cases = await now.cases.where("status").equals("open").toArray();
    expect(
      cases.map(({ horseId, lead, feet, prescription }) => [horseId, lead, feet, prescription?.by]),
    ).toEqual([["h", "vet", ["LF"], "the vet"]]);
    expect((await now.visits.get("v"))?.observed).toEqual({});
    now.close();
  });
});
