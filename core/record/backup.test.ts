import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { makeBackup, backupTail } from "./backupText";
import { readBackup, MOST_BACKUP_BYTES, tooLarge } from "./backup";
import { RECORD_VERSION } from "./migrations";
import { file, records } from "./records.fixture";
import type { Records } from "./tables";

const firstIssue = (text: string) => {
  const read = readBackup(text);
  return read.ok ? "read" : `${read.issues[0]?.code} ${read.issues[0]?.path}`;
};

describe("readBackup", () => {
  test("restore(export(x)) = x", () => {
    expect(readBackup(file())).toEqual({ ok: true, value: makeBackup(records(), "2026-11-23T08:00:00Z") });
  });

  test("any name and note comes back letter by letter (seeded property)", () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 60, unit: "grapheme" }),
        fc.string({ maxLength: 300 }),
        (name, notes) => {
          const read = readBackup(file((made) => Object.assign(made.horses[0]!, { name, notes })));
          expect(read.ok && read.value.records.horses[0]).toMatchObject({ name, notes });
        },
      ),
      { seed: 13 },
    );
  });

  test("a file that is cut off is refused with line and column", () => {
    const text = file();
    const read = readBackup(text.slice(0, text.length / 2));
    expect(!read.ok && read.issues[0]).toMatchObject({ code: "not-json" });
    expect(!read.ok && read.issues[0]?.path).toMatch(/^line \d+, column \d+$/);
    expect(!read.ok && read.issues[0]?.message).toContain("cut off");
  });

  test.each([
    ["[]", "foreign "],
    ['{"format":"something-else"}', "foreign "],
    ["null", "foreign "],
    [file().replace(/"version": \d+/, '"version": 99'), "newer version"],
  ])("%s is %s", (text, expected) => {
    expect(firstIssue(text)).toBe(expected);
  });

  test("a wrong value is named by table, row and field", () => {
    expect(firstIssue(file((made) => Object.assign(made.horses[0]!, { massKg: "heavy" })))).toBe(
      "bad-row records.horses.0.massKg",
    );
    expect(firstIssue(file((made) => Object.assign(made.visits[0]!, { date: "2026-02-30" })))).toBe(
      "bad-row records.visits.0.date",
    );
  });

  test("unknown keys, unknown tables, doubled ids and rows that point to nothing are refused", () => {
    expect(firstIssue(file((made) => Object.assign(made.yards[0]!, { colour: "red" })))).toBe(
      "bad-row records.yards.0",
    );
    expect(firstIssue(file().replace('"yards": [', '"saddles": [], "yards": ['))).toBe(
      "foreign records.saddles",
    );
    expect(firstIssue(file((made) => made.horses.push(made.horses[0]!)))).toBe("double records.horses.1.id");
    expect(firstIssue(file((made) => (made.visits = [])))).toBe("orphan records.readings.0.visitId");
  });

  test("a byte order mark before the file does no harm", () => {
    expect(readBackup(`\uFEFF${file()}`).ok).toBe(true);
  });
});

describe("a backup of version 9", () => {
  const old = (horse: object) => {
    const made = JSON.parse(file()) as { version: number; records: Record<string, unknown[]> };
    delete made.records["cases"];
    delete made.records["films"];
    return JSON.stringify({
      ...made,
      version: 9,
      records: { ...made.records, horses: [{ ...(made.records["horses"]?.[0] as object), ...horse }] },
    });
  };

  test("a prescription on the horse comes back as its case, every row checked", () => {
    const back = readBackup(
      old({ prescription: { by: "the vet", until: "2026-12-01", feet: ["LF"], says: "Bar." } }),
    );
    expect(
      back.ok && back.value.records.cases.map(({ horseId, prescription }) => [horseId, prescription?.says]),
    ).toEqual([["h", "Bar."]]);
    expect(back.ok && back.value.records.horses[0]).not.toHaveProperty("prescription");
  });

  test("a damaged one is refused at the case that would be made of it", () => {
    const back = readBackup(old({ prescription: { by: "", until: "soon", feet: [] } }));
    expect(!back.ok && back.issues.map(({ path }) => path)).toContain("records.cases.0.prescription.until");
  });
});

describe("a file with much that is wrong", () => {
  const rows = (count: number, row: unknown) => Array.from({ length: count }, () => row);
  const withTables = (records: Record<string, unknown>) =>
    JSON.stringify({ format: "plumbline-backup", version: RECORD_VERSION, madeAt: "now", records });

  test("is read to its first hundred faults and no further", () => {
    let read = 0;
    const found = readBackup(withTables({ yards: rows(50_000, { name: 3 }) }), (part) => (read = part));
    expect(!found.ok && found.issues).toHaveLength(100);
    expect(read).toBeLessThan(0.1);
  });

  test("of tables that nobody knows the first hundred are named", () => {
    const records = Object.fromEntries(rows(5000, 0).map((_, at) => [`t${at}`, []]));
    const found = readBackup(withTables(records));
    expect(!found.ok && found.issues.map(({ path }) => path)).toEqual(
      rows(100, 0).map((_, at) => `records.t${at}`),
    );
  });

  test("a table that is no list is refused at its place", () => {
    expect(firstIssue(withTables({ yards: 7 }))).toBe("bad-row records.yards");
  });

  test("one that is too large is refused by its size, which is said", () => {
    expect(tooLarge(MOST_BACKUP_BYTES)).toBeUndefined();
    const refused = tooLarge(612_000_000);
    expect(refused && !refused.ok && refused.issues[0]?.message).toContain(
      "612 MB; a backup of up to 400 MB",
    );
  });
});

describe("the text of a backup", () => {
  test("is plain JSON, each row on a line of its own, whatever pieces it is put together from", () => {
    const text = file();
    const { records: read } = JSON.parse(text) as { records: Record<string, unknown[]> };
    const rows = Object.values(read).flat();
    const lines = text.split("\n").map((line) => line.replace(/,$/, "").trim());
    expect(rows.filter((row) => !lines.includes(JSON.stringify(row)))).toEqual([]);
  });

  test("rows that an older version left beside the records come back, with stand-ins for what they point to", () => {
    const { horses, visits } = records();
    const horse = { ...horses[0]!, id: "lost", yardId: "gone", companionId: "nobody" };
    const visit = { ...visits[0]!, id: "w", horseId: "lost" };
    const again = { table: "visits" as const, row: { ...visits[0]!, watch: "as it was" } };
    const lost = [{ table: "horses" as const, row: horse }, { table: "visits" as const, row: visit }, again];
    const text = file().replace(
      /\n }\n}\n$/,
      backupTail([...lost, { table: "calls", row: { id: "no call" } }]),
    );
    const read = readBackup(text);
    if (!read.ok) throw new Error(read.issues[0]?.message);
    const { records: back } = read.value;
    expect(back.yards.map(({ id, name }) => [id, name])).toEqual([
      ["y", "Ferryfield"],
      ["gone", "Yard not known"],
    ]);
    expect(back.horses.map(({ id, companionId }) => [id, companionId])).toEqual([
      ["h", undefined],
      ["lost", undefined],
    ]);
    expect(back.visits.map(({ id, watch }) => [id, watch])).toEqual([
      ["v", ""],
      ["w", ""],
    ]);
    expect(back.calls).toEqual([]);
  });
});

describe("pictures in a backup", () => {
  const withPhoto = (change: (made: Records) => void = () => undefined) =>
    file((made) => {
      made.pictures = [{ id: "p", type: "image/jpeg", data: "/9j/4AAQ" }];
      made.photos = [
        {
          id: "f",
          visitId: "v",
          horseId: "h",
          limb: "LF",
          moment: "before",
          view: "sole",
          date: "2026-11-02",
          takenAt: "2026-11-02T09:00:00Z",
          pictureId: "p",
          width: 2400,
          height: 1800,
          simulated: false,
          points: { toe: [812.25, 301] },
        },
      ];
      change(made);
    });

  test("a photograph travels with its picture, its marks and its scale", () => {
    const read = readBackup(withPhoto());
    if (!read.ok) throw new Error(read.issues[0]?.message);
    expect(read.value.records.photos[0]?.points).toEqual({ toe: [812.25, 301] });
    expect(read.value.records.pictures[0]?.data).toBe("/9j/4AAQ");
  });

  test("a photograph whose picture is missing, and bytes that are none, are named by row and field", () => {
    const issue = (text: string) => {
      const read = readBackup(text);
      return read.ok ? "read" : `${read.issues[0]?.code} ${read.issues[0]?.path}`;
    };
    expect(issue(withPhoto((made) => (made.pictures = [])))).toBe("orphan records.photos.0.pictureId");
    expect(
      issue(
        withPhoto((made) => {
          (made.pictures[0] as { data: string }).data = "<script>alert(1)</script>";
        }),
      ),
    ).toBe("bad-row records.pictures.0.data");
    expect(
      issue(
        withPhoto((made) => {
          (made.pictures[0] as { type: string }).type = "image/svg+xml";
        }),
      ),
    ).toBe("bad-row records.pictures.0.type");
  });

  test("a file nested a hundred thousand deep is refused at its place, not fallen over", () => {
    const deep = "[".repeat(100_000) + "]".repeat(100_000);
    expect(firstIssue(deep)).toBe("foreign ");
    expect(firstIssue(file().replace('"Dunlin"', deep))).toBe("bad-row records.horses.0.name");
    expect(firstIssue(file().replace('"records"', `"history": ${deep}, "records"`))).toBe("bad-row history");
  });

  test("a backup of the version before is carried up: its readings gain an empty survey", () => {
    const old = JSON.parse(file()) as { version: number; records: Record<string, Record<string, unknown>[]> };
    old.version = 1;
    for (const part of ["sole", "walls", "trace", "rings", "side", "rear"])
      Reflect.deleteProperty(old.records["readings"]?.[0] ?? {}, part);
    Reflect.deleteProperty(old.records["visits"]?.[0] ?? {}, "flags");
    for (const table of ["watchings", "looks", "pictures", "photos"])
      Reflect.deleteProperty(old.records, table);
    const read = readBackup(JSON.stringify(old));
    if (!read.ok) throw new Error(read.issues[0]?.message);
    expect(read.value.records.readings[0]).toMatchObject({
      sole: {},
      walls: {},
      values: { toeLength: { value: 91.5 } },
    });
    expect(read.value.records.photos).toEqual([]);
  });
});
