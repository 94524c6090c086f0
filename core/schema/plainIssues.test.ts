import { describe, expect, test } from "@jest/globals";
import { z } from "zod";
import { TABLES } from "../record/schemas";
import { TABLE_NAMES } from "../record/tables";
import { file, records } from "../record/records.fixture";
import { readBackup } from "../record/backup";
import { issuesOf } from "./issues";

/** How the validator speaks by itself. */
const RAW = /invalid|expected|received|unrecognized|too (small|big)|>=|<=|regex|pattern/i;
const said = (schema: z.ZodType, value: unknown) => {
  const read = schema.safeParse(value);
  return read.success ? [] : issuesOf(read.error).map(({ message }) => message);
};

describe("what a value has to be is said in a sentence", () => {
  test.each([
    [z.number(), "a", "This must be a number."],
    [z.number(), undefined, "This is missing."],
    [z.number().min(3), 2, "At least 3."],
    [z.number().max(3), 4, "At most 3."],
    [z.string().min(1), "", "This is missing."],
    [z.string().max(2), "abc", "At most 2 letters."],
    [z.array(z.string()).max(1), ["a", "b"], "At most 1 of them."],
    [z.enum(["toe", "heel"]), "bar", "This must be one of: toe, heel."],
    [z.strictObject({}), { no: 1 }, "Not known here: no."],
    [z.iso.datetime(), "x", "This must be a moment such as 2026-11-23T08:30:00Z."],
  ])("%#", (schema, value, message) => expect(said(schema, value)).toEqual([message]));

  test("a schema's own sentence stands before it", () =>
    expect(said(z.number().min(3, { error: "Too thin for a nail." }), 2)).toEqual(["Too thin for a nail."]));
});

test("no text of the validator's own is in any error of any table, whatever a field holds", () => {
  const strange: unknown[] = [
    null,
    undefined,
    "",
    "x".repeat(20_000),
    -1e9,
    1e9,
    0.5,
    true,
    [],
    {},
    { strange: 1 },
    [{}],
  ];
  const rows = records() as unknown as Record<string, Record<string, unknown>[]>;
  for (const table of TABLE_NAMES)
    for (const field of Object.keys(TABLES[table].shape))
      for (const value of strange)
        expect(
          said(TABLES[table], { ...rows[table]?.[0], [field]: value }).filter((text) => RAW.test(text)),
        ).toEqual([]);
});

test("nor in the issues of a backup", () => {
  const read = readBackup(
    file((made) => Object.assign(made.horses[0]!, { kind: "unicorn", massKg: "much", wings: 2 })),
  );
  expect(!read.ok && read.issues.map(({ message }) => message).filter((text) => RAW.test(text))).toEqual([]);
  expect(!read.ok && read.issues.length).toBeGreaterThanOrEqual(3);
});
