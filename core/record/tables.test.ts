import { describe, expect, test } from "@jest/globals";
import { z } from "zod";
import { DEFAULT_SETTINGS, settingsSchema } from "./settings";
import { LINKS, noRecords, TABLE_NAMES } from "./tables";
import { TABLES } from "./schemas";
import { visitSchema } from "./visit";
import { readingSchema } from "../foot/records/reading";
import { trimSchema, MOST_CUT_MM } from "../trim/trimRecord";

describe("the tables of the records", () => {
  test("every table has its name and its schema, in one order", () => {
    expect(Object.keys(TABLES)).toEqual(TABLE_NAMES);
  });

  test("every record carries its id, and refuses keys that it does not know", () => {
    for (const name of TABLE_NAMES) {
      const schema = z.toJSONSchema(TABLES[name], { io: "input" });
      expect([
        name,
        schema.additionalProperties,
        Object.keys(schema.properties ?? {}).includes("id"),
      ]).toEqual([name, false, true]);
    }
  });

  test("every field that names another record is a known link, so that no restore leaves an orphan", () => {
    for (const name of TABLE_NAMES) {
      const fields = Object.keys(z.toJSONSchema(TABLES[name], { io: "input" }).properties ?? {});
      const pointing = fields.filter((field) => field.endsWith("Id"));
      expect(pointing).toEqual(LINKS.filter(({ from }) => from === name).map(({ field }) => field));
    }
  });

  test("parents stand before their children, so that a restore can write them in order", () => {
    for (const { from, to } of LINKS)
      if (from !== to) expect(TABLE_NAMES.indexOf(to)).toBeLessThan(TABLE_NAMES.indexOf(from));
    expect(Object.keys(noRecords())).toEqual(TABLE_NAMES);
  });
});

describe("single records", () => {
  test("settings have an ordinary value for everything", () => {
    expect(settingsSchema.parse({ id: "settings" })).toEqual(DEFAULT_SETTINGS);
    expect(settingsSchema.safeParse({ ...DEFAULT_SETTINGS, toeOverMm: 2 }).error?.issues[0]?.message).toBe(
      "At least 3 mm.",
    );
  });

  test("a visit may have notes at some knots and at no others", () => {
    const visit = { id: "v", horseId: "h", date: "2026-11-23", status: "open" };
    expect(visitSchema.parse({ ...visit, notes: { watch: "even" } })).toMatchObject({
      notes: { watch: "even" },
      watch: "",
      tell: "",
    });
    expect(visitSchema.safeParse({ ...visit, notes: { dance: "no" } }).success).toBe(false);
    expect(visitSchema.safeParse({ ...visit, at: "25:00" }).success).toBe(false);
  });

  test("a reading keeps each value with its source, and none without", () => {
    const reading = { id: "r", visitId: "v", horseId: "h", limb: "LF", moment: "before", date: "2026-11-23" };
    expect(
      readingSchema.parse({ ...reading, values: { width: { value: 128, source: "estimate" } } }).confirmed,
    ).toEqual([]);
    expect(readingSchema.safeParse({ ...reading, values: { width: { value: 128 } } }).success).toBe(false);
    expect(
      readingSchema.safeParse({ ...reading, values: { width: { value: Number.NaN, source: "gauge" } } })
        .success,
    ).toBe(false);
    expect(readingSchema.safeParse({ ...reading, limb: "NF" }).success).toBe(false);
  });

  test("a cut that was not noted is missing, not zero, and none is below zero or beyond what a hand takes", () => {
    const trim = { id: "t", visitId: "v", horseId: "h", limb: "LF", date: "2026-11-23" };
    expect(trimSchema.parse({ ...trim, cuts: { toe: 0 } }).cuts).toEqual({ toe: 0 });
    expect(trimSchema.safeParse({ ...trim, cuts: { toe: -1 } }).success).toBe(false);
    expect(trimSchema.safeParse({ ...trim, cuts: { toe: MOST_CUT_MM + 1 } }).success).toBe(false);
  });
});
