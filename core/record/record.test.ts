import { describe, expect, test } from "@jest/globals";
import ICAL from "ical.js";
import Papa from "papaparse";
import { wordingFor } from "../foot/wording";
import { dueCalendar } from "./calendar";
import { readingsCsv } from "./csv";
import { dueEvents } from "../cycle/dueEvents";
import { applyEdit, sameValue, undoOf, valueAt, withValueAt, type Edit } from "./edit";
import { horseSchema, isShod } from "./horse";
import { planVisit, startVisit } from "./planVisit";
import { DEFAULT_SETTINGS } from "./settings";
import { TABLES } from "./schemas";
import { records } from "./records.fixture";
import type { Visit } from "./visit";

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

  test("a place in a list is changed alone: two edits of one week, the second not knowing of the first, both stand", () => {
    const week = (index: string, now: number): Edit => ({
      table: "settings",
      id: "settings",
      path: ["rounds", "week", index],
      was: 540,
      now,
      label: "hours",
    });
    const first = applyEdit({ rounds: { week: [540, 540, 540] } }, week("1", 0));
    const second = applyEdit(first.kind === "applied" ? first.record : undefined, week("2", 300));
    expect(second).toEqual({ kind: "applied", record: { rounds: { week: [540, 0, 300] } } });
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
    const edits = startVisit(plan.now as Visit, "2026-11-23", "2026-11-23T08:00:00Z");
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

  test("what was taken by hand stands in the CSV as the fast lane does", () => {
    const made = records();
    const [reading] = made.readings;
    if (!reading) throw new Error("the fixture has a reading");
    reading.side = { heelAngle: { value: 42, source: "gauge" } };
    reading.heights = { wallToeQuarterMedial: { value: 80, source: "rule" } };
    reading.frogProudMm = -3;
    const { data } = Papa.parse<Record<string, string>>(readingsCsv(made), { header: true });
    expect(data[0]).toMatchObject({
      heelAngle: "42",
      heelAngleSource: "gauge",
      wallToeQuarterMedial: "80",
      wallToeQuarterMedialSource: "rule",
      frogProudMm: "-3",
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
