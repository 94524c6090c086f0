import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import ICAL from "ical.js";
import Papa from "papaparse";
import { wordingFor } from "../units/wording";
import { makeBackup, readBackup, writeBackup } from "./backup";
import { dueCalendar } from "./calendar";
import { readingsCsv } from "./csv";
import { dueEvents } from "./dueEvents";
import { applyEdit, sameValue, undoOf, valueAt, withValueAt, type Edit } from "./edit";
import { horseSchema, isShod } from "./horse";
import { migrateRow, MIGRATIONS, RECORD_VERSION, type Migration } from "./migrations";
import { planVisit, startVisit } from "./planVisit";
import { DEFAULT_SETTINGS } from "./settings";
import { noRecords, TABLES, type Records } from "./tables";
import { nothingRead } from "./reading";
import { blankVisit, type Visit } from "./visit";

const records = (): Records => ({
  ...noRecords(),
  yards: [{ id: "y", name: "Ferryfield", person: "", phone: "", access: "" }],
  horses: [
    {
      id: "h",
      yardId: "y",
      name: "Dunlin",
      kind: "cob",
      massKg: 500,
      use: "maintenance",
      finish: "trim",
      habits: "",
      notes: "",
    },
  ],
  visits: [
    {
      id: "v",
      horseId: "h",
      date: "2026-11-02",
      status: "signed",
      ...blankVisit(),
      notes: { watch: "lands flat" },
      next: { due: "2026-11-30", windowStart: "2026-11-27", reason: "cap", day: 28 },
    },
  ],
  readings: [
    {
      id: "v.LF.before",
      visitId: "v",
      horseId: "h",
      limb: "LF",
      moment: "before",
      date: "2026-11-02",
      ...nothingRead(),
      values: { toeLength: { value: 91.5, source: "calliper" } },
    },
  ],
  settings: [DEFAULT_SETTINGS],
});
const file = (change: (made: Records) => void = () => undefined, madeAt = "2026-11-23T08:00:00Z") => {
  const made = records();
  change(made);
  return writeBackup(makeBackup(made, madeAt));
};
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
    expect(firstIssue(file((made) => Object.assign(made, { shoes: [] })))).toBe("foreign records.shoes");
    expect(firstIssue(file((made) => made.horses.push(made.horses[0]!)))).toBe("double records.horses.1.id");
    expect(firstIssue(file((made) => (made.visits = [])))).toBe("orphan records.readings.0.visitId");
  });

  test("a byte order mark before the file does no harm", () => {
    expect(readBackup(`\uFEFF${file()}`).ok).toBe(true);
  });
});

describe("migrations", () => {
  /** A literal row before and after for every shipped step; a step without one fails the gate below. */
  const LITERALS: {
    to: number;
    table: keyof Records;
    before: Record<string, unknown>;
    after: Record<string, unknown>;
  }[] = [
    {
      to: 2,
      table: "readings",
      before: {
        id: "v.LF.before",
        values: { width: { value: 128, source: "calliper" } },
        confirmed: ["odd"],
      },
      after: {
        id: "v.LF.before",
        values: { width: { value: 128, source: "calliper" } },
        sole: {},
        walls: {},
        trace: [],
        rings: {},
        side: {},
        rear: {},
        confirmed: ["odd"],
      },
    },
    {
      to: 2,
      table: "visits",
      before: { id: "v", notes: { watch: "lands flat" }, watch: "", tell: "" },
      after: { id: "v", flags: {}, notes: { watch: "lands flat" }, watch: "", tell: "" },
    },
    {
      to: 2,
      table: "settings",
      before: { id: "settings", unit: "in" },
      after: {
        id: "settings",
        unit: "in",
        lenses: { frontBack: "straight-axis", side: "even-sole" },
        bounds: {},
      },
    },
  ];

  test("gate: every shipped step has a literal row before and after, in order without gaps", () => {
    expect(MIGRATIONS.map(({ to }) => to)).toEqual(MIGRATIONS.map((_, index) => index + 2));
    expect(RECORD_VERSION).toBe(MIGRATIONS.length + 1);
    for (const step of MIGRATIONS)
      for (const table of Object.keys(step.tables))
        expect(LITERALS.some((one) => one.to === step.to && one.table === table)).toBe(true);
  });

  test("each step turns its literal row into the other", () => {
    for (const { to, table, before, after } of LITERALS)
      expect(
        migrateRow(
          table,
          before,
          to - 1,
          MIGRATIONS.filter((step) => step.to === to),
        ),
      ).toEqual(after);
  });

  test("a row is carried through every step after its version, and only those", () => {
    const steps: Migration[] = [
      { to: 2, tables: { horses: (row) => ({ ...row, two: true }) } },
      { to: 3, tables: { horses: (row) => ({ ...row, three: row["two"] }), yards: (row) => row } },
    ];
    expect(migrateRow("horses", { id: "h" }, 1, steps)).toEqual({ id: "h", two: true, three: true });
    expect(migrateRow("horses", { id: "h" }, 2, steps)).toEqual({ id: "h", three: undefined });
    expect(migrateRow("visits", { id: "v" }, 1, steps)).toEqual({ id: "v" });
  });
});

describe("edits", () => {
  const edit: Edit = {
    table: "readings",
    id: "r",
    path: ["values", "toeLength"],
    was: { value: 90 },
    now: { value: 92 },
    label: "toe",
  };
  const stored = { id: "r", values: { toeLength: { value: 90 }, width: { value: 130 } } };

  test("an edit changes its place and nothing else, and undo puts it back", () => {
    const applied = applyEdit(stored, edit);
    expect(applied).toEqual({
      kind: "applied",
      record: { id: "r", values: { toeLength: { value: 92 }, width: { value: 130 } } },
    });
    expect(applied.kind === "applied" && applyEdit(applied.record, undoOf(edit))).toEqual({
      kind: "applied",
      record: stored,
    });
  });

  test("another tab's change of the same place is a conflict, of another place is not", () => {
    expect(applyEdit(withValueAt(stored, ["values", "toeLength"], { value: 95 }), edit)).toEqual({
      kind: "conflict",
      stored: { value: 95 },
    });
    expect(applyEdit(withValueAt(stored, ["values", "width"], { value: 131 }), edit).kind).toBe("applied");
  });

  test("both tabs typing the same number is no conflict", () => {
    expect(applyEdit(withValueAt(stored, ["values", "toeLength"], { value: 92 }), edit).kind).toBe("applied");
  });

  test("a value that was not there can be made and taken away again", () => {
    const make: Edit = { ...edit, path: ["values", "dorsalAngle"], was: undefined, now: { value: 50 } };
    const made = applyEdit(stored, make);
    expect(made.kind === "applied" && applyEdit(made.record, undoOf(make))).toEqual({
      kind: "applied",
      record: stored,
    });
  });

  test("sameValue compares content, not the order of keys; a missing value equals undefined", () => {
    expect(sameValue({ a: 1, b: [2] }, { b: [2], a: 1, c: undefined })).toBe(true);
    expect(sameValue({ a: 1 }, { a: 2 })).toBe(false);
    expect(valueAt(undefined, ["a"])).toBeUndefined();
  });
});

describe("visits", () => {
  test("starting a planned visit opens it today with an empty reading and trim for every foot", () => {
    const plan = planVisit({ id: "h", name: "Dunlin" }, "2026-11-20", "v2");
    const edits = startVisit(plan.now as Visit, "2026-11-23");
    expect(edits.filter(({ table }) => table === "readings")).toHaveLength(8);
    expect(edits.filter(({ table }) => table === "trims")).toHaveLength(4);
    expect(edits.filter(({ table }) => table === "watchings")).toHaveLength(8);
    expect(edits.filter(({ table }) => table === "looks")).toHaveLength(4);
    for (const { table, now } of edits.filter(({ path }) => path.length === 0))
      expect(TABLES[table].safeParse(now).success).toBe(true);
    expect(edits.find(({ path }) => path[0] === "date")).toMatchObject({
      was: "2026-11-20",
      now: "2026-11-23",
    });
  });

  test("which feet are shod follows what the horse gets", () => {
    expect((["LF", "RH"] as const).map((limb) => isShod({ finish: "fronts" }, limb))).toEqual([true, false]);
    expect(isShod({ finish: "trim" }, "LF")).toBe(false);
    expect(isShod({ finish: "full set" }, "RH")).toBe(true);
  });

  test("a horse without a name, or of 4 kg, is refused at its field", () => {
    const read = horseSchema.safeParse({ ...records().horses[0], name: "", massKg: 4 });
    expect(read.error?.issues.map(({ path }) => path.join("."))).toEqual(["name", "massKg"]);
  });
});

describe("files", () => {
  test("the CSV has a row a reading, and its text reads back", () => {
    const { data } = Papa.parse<Record<string, string>>(readingsCsv(records()), {
      header: true,
      skipEmptyLines: true,
    });
    expect(data).toHaveLength(1);
    expect(data[0]).toMatchObject({
      date: "2026-11-02",
      horse: "Dunlin",
      limb: "LF",
      toeLength: "91.5",
      toeLengthSource: "calliper",
      width: "",
    });
  });

  test("a name that a spreadsheet would run as a formula is escaped", () => {
    const made = records();
    made.horses[0]!.name = "=HYPERLINK(1)";
    expect(readingsCsv(made)).toContain("'=HYPERLINK(1)");
  });

  test("the calendar has a whole-day event with a UID that a second export repeats", () => {
    const wording = wordingFor(DEFAULT_SETTINGS);
    const [first, second] = ["2026-11-23T08:00:00Z", "2026-12-01T08:00:00Z"].map((at) =>
      dueCalendar(dueEvents(records(), wording), at),
    );
    const event = new ICAL.Component(ICAL.parse(first!) as [string, [], []]).getFirstSubcomponent("vevent")!;
    expect(event.getFirstPropertyValue("summary")).toBe("Dunlin due");
    expect(String(event.getFirstPropertyValue("dtstart"))).toBe("2026-11-30");
    const uid = (text: string) => /UID:(.*)/.exec(text)?.[1];
    expect(uid(first!)).toBe(uid(second!));
    expect(first).toContain("DTSTAMP:20261123T080000Z");
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
