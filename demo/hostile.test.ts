import { beforeAll, describe, expect, test } from "@jest/globals";
import ICAL from "ical.js";
import Papa from "papaparse";
import { planCalendar, planCsv } from "~core/cycle/planCalendar";
import { blankVisit } from "~core/record/visit";
import { PATTERN_LAYERS } from "~core/forge/pattern/pattern";
import { patternDxf } from "~core/forge/pattern/dxf";
import { patternSvg } from "~core/forge/pattern/svg";
import { makeBackup, writeBackup } from "~core/record/backupText";
import { readBackup } from "~core/record/backup";
import { dueCalendar } from "~core/record/calendar";
import { readingsCsv } from "~core/record/csv";
import { nailsCsv, sizesCsv } from "~core/record/sizesCsv";
import { rowsCsv } from "~core/record/tablesCsv";
import { TABLE_NAMES, type Records } from "~core/record/tables";
import { TABLES } from "~core/record/schemas";
import { makeDemoRound } from "./generate";

/** What somebody might type, paste or be sent so that a program that opens a file does what it should not. */
const HOSTILE = [
  '=HYPERLINK("http://example.invalid","x")',
  "+1+cmd|' /C calc'!A0",
  "-2+3",
  "@SUM(A1:A9)",
  "\t=1+1",
  "\r=1+1",
  '"><script>alert(1)</script>',
  "x\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nSUMMARY:other",
  "x\r\n  0\r\nEOF",
  "a;b,c\\n\\",
  "\u202Eevil\u2066\u0000\u2028",
];

/** Every text of a row that its table would also take as another text, changed to that. */
function withText(row: object, sound: (row: object) => boolean, text: string): object {
  let now = row;
  const walk = (part: unknown, steps: (string | number)[]) => {
    if (typeof part === "string" && steps.at(-1) !== "id" && !String(steps.at(-1)).endsWith("Id")) {
      const changed = structuredClone(now) as Record<string, unknown>;
      let at: Record<string, unknown> = changed;
      for (const step of steps.slice(0, -1)) at = at[step] as Record<string, unknown>;
      at[String(steps.at(-1))] = text;
      if (sound(changed)) now = changed;
    } else if (typeof part === "object" && part !== null)
      for (const [key, value] of Object.entries(part)) walk(value, [...steps, key]);
  };
  walk(row, []);
  return now;
}

let round: Records;
/** The demo round's first rows of each table, with as much of a text in them as their tables take. */
function filledWith(text: string): Records {
  return Object.fromEntries(
    TABLE_NAMES.map((name) => [
      name,
      name === "pictures"
        ? []
        : round[name]
            .slice(0, 12)
            .map((row) => withText(row, (changed) => TABLES[name].safeParse(changed).success, text)),
    ]),
  ) as unknown as Records;
}
const cells = (csv: string) => Papa.parse<string[]>(csv, { skipEmptyLines: true }).data;
const asksToRun = (cell: string) => /^[=+\-@\t\r]/.test(cell) && !Number.isFinite(Number(cell));

beforeAll(() => {
  round = makeDemoRound("2026-11-23", 7);
});

describe("text that would do something elsewhere, in every field that takes text", () => {
  test("gets into many fields: this specification looks at something", () => {
    const filled = JSON.stringify(filledWith("@SUM(A1:A9)"));
    expect(filled.split("@SUM(A1:A9)").length).toBeGreaterThan(100);
  });

  test.each(HOSTILE)("%j comes back from a backup as it was", (text) => {
    const records = { ...filledWith(text), photos: [], films: [] };
    const kept = { ...records, cases: records.cases.map(({ paperId: _none, ...one }) => one) };
    const filled = new Set(records.visits.map(({ id }) => id));
    // All that something of the others points to.
    const whole = {
      ...kept,
      yards: [...kept.yards, ...round.yards.slice(12)],
      horses: [...kept.horses, ...round.horses.slice(12)],
      visits: [...kept.visits, ...round.visits.filter(({ id }) => !filled.has(id))],
      watchings: [],
    } as unknown as Records;
    const read = readBackup(writeBackup(makeBackup(whole, "2026-11-23T08:00:00Z")));
    expect(read.ok).toBe(true);
    expect(read.ok && read.value.records.horses).toEqual(whole.horses);
    expect(read.ok && read.value.records.yards).toEqual(whole.yards);
    expect(read.ok && read.value.records.cases).toEqual(whole.cases);
  });

  test.each(HOSTILE)("%j makes no cell that a spreadsheet runs, and no row more", (text) => {
    const records = filledWith(text);
    for (const name of TABLE_NAMES) {
      const rows = records[name];
      if (rows.length === 0) continue;
      const read = cells(rowsCsv(name, rows));
      expect([name, read.length]).toEqual([name, rows.length + 1]);
      expect([name, read.flat().filter(asksToRun)]).toEqual([name, []]);
    }
    const days = [{ date: "2026-11-24", plan: planOf(records) }];
    for (const [csv, rows] of [
      [readingsCsv(records), records.readings.length],
      [sizesCsv(records.sizes), records.sizes.length],
      [nailsCsv(records.nailSizes), records.nailSizes.length],
      [planCsv(days), 2],
    ] as const) {
      const read = cells(csv);
      expect(read.length).toBe(rows + 1);
      expect(read.flat().filter(asksToRun)).toEqual([]);
    }
  });

  test.each(HOSTILE)("%j stays in its own line of a calendar", (text) => {
    const [yard] = filledWith(text).yards;
    const due = dueCalendar(
      [1, 2].map((horse) => ({
        horseId: `h${horse}`,
        horse: text,
        yard: yard?.name ?? text,
        due: "2026-11-30",
        windowStart: "2026-11-23",
        why: text,
      })),
      "2026-11-23T08:00:00Z",
    );
    const planned = planCalendar(
      [{ date: "2026-11-24", plan: planOf(filledWith(text)) }],
      "2026-11-23T08:00:00Z",
    );
    for (const [file, count] of [
      [due, 2],
      [planned, 1],
    ] as const) {
      const events = new ICAL.Component(ICAL.parse(file) as never).getAllSubcomponents("vevent");
      expect(events.length).toBe(count);
      for (const event of events) expect(event.getAllProperties("summary").length).toBe(1);
      expect(file.match(/^BEGIN:VEVENT/gm)?.length).toBe(count);
    }
  });

  test.each(HOSTILE)("%j on a pattern is written, not done", (text) => {
    const pattern = {
      lines: [
        {
          layer: PATTERN_LAYERS[0],
          points: [
            [0, 0],
            [10, 0],
          ],
          closed: false,
        },
      ],
      box: { x: 0, y: 0, width: 10, height: 10 },
      label: [text, text],
    } as never;
    const svg = patternSvg(pattern);
    expect(svg).not.toContain("<script");
    expect(svg.match(/<svg\b/g)?.length).toBe(1);
    const dxf = patternDxf(pattern).trimEnd().split(/\r?\n/);
    // Codes and values take turns: a text that broke a line would put them out of step.
    expect(dxf.length % 2).toBe(0);
    for (let at = 0; at < dxf.length; at += 2) expect(dxf[at]).toMatch(/^\s*\d+$/);
    expect(dxf.filter((value, at) => at % 2 === 1 && value === "EOF").length).toBe(1);
  });
});

/** A day at one yard with two of the filled horses. */
function planOf({ yards, horses, visits }: Records): Parameters<typeof planCsv>[0][number]["plan"] {
  const [yard] = yards;
  const [visit] = visits;
  const jobs = horses.slice(0, 2).map((horse) => ({
    horse,
    yard,
    visit: { ...blankVisit(), id: `v-${horse.id}`, horseId: horse.id, date: "2026-11-24", status: "planned" },
    minutes: 45,
    last: visit,
  }));
  return { stops: [{ yard, at: "08:00", minutes: 90, jobs }] } as never;
}
