import { describe, expect, test } from "@jest/globals";
import { caseOf } from "../case/case.fixture";
import type { Prescription } from "../case/caseRecord";
import { prescriptionOn } from "../case/standing";
import { caseStanding } from "../casework/caseStanding";
import { DAYS, filmOn, none, plan, records, stage, visitOn, wording } from "../casework/casework.fixture";
import { ordinaryShoe } from "../shoe/specification";
import {
  defectParts,
  filmParts,
  logParts,
  observedParts,
  prescriptionParts,
  shoeParts,
  stageParts,
  toldParts,
} from "./vetParts";
import type { SheetPart } from "./sheet";

const day = (date: string) => `<${date}>`;
const listOf = (parts: readonly SheetPart[]) =>
  parts.flatMap((part) => (part.kind === "list" ? part.items : []));
const tableOf = (parts: readonly SheetPart[]) => parts.find((part) => part.kind === "table");
const textsOf = (parts: readonly SheetPart[]) =>
  parts.flatMap((part) => (part.kind === "text" ? [part] : []));

test("what there is nothing of has no heading either", () => {
  const one = caseOf();
  const standing = caseStanding(one, none, "2026-11-10", wording);
  expect([
    ...prescriptionParts(one, undefined, wording, day),
    ...stageParts(one, standing, wording, day),
    ...shoeParts(one, undefined, none, wording),
    ...filmParts([], none, wording, day),
    ...defectParts(one, none, wording, day),
    ...toldParts(one),
    ...observedParts(one, none, day),
    ...logParts(one, day),
  ]).toEqual([]);
});

describe("the prescription", () => {
  const paper: Prescription = { by: "The vet", until: "2026-11-20", feet: ["LF"], says: "", weeks: 5 };
  const texts = (today: string, more: Partial<Prescription> = {}) => {
    const one = caseOf({ prescription: { ...paper, ...more } });
    return textsOf(prescriptionParts(one, prescriptionOn(one, today), wording, day));
  };

  test("stands quietly while it is valid, with what it asks and how often at the longest", () => {
    expect(texts("2026-11-01")).toEqual([
      { kind: "text", strong: false, text: "The vet, until <2026-11-20>." },
      { kind: "text", text: "left fore; every 5 weeks at the longest" },
    ]);
    expect(texts("2026-11-01", { weeks: 1 })[1]?.text).toBe("left fore; every week at the longest");
  });

  test("is strong in its last week and when it has run out; the vet’s own words stand between", () => {
    expect(texts("2026-11-15")[0]).toMatchObject({
      strong: true,
      text: "The vet, until <2026-11-20>: it runs out this week.",
    });
    const old = texts("2026-11-21", { written: "2026-09-01", says: "Keep the frog loaded." });
    expect(old.map(({ text }) => text)).toEqual([
      "The vet, <2026-09-01>, until <2026-11-20>: it has run out.",
      "Keep the frog loaded.",
      "left fore; every 5 weeks at the longest",
    ]);
  });
});

describe("the stages", () => {
  const parts = stageParts(plan, caseStanding(plan, records, "2026-11-10", wording), wording, day);

  test("each foot’s own way through them", () => {
    expect(listOf(parts)).toEqual(["Left fore: raised > plain", "Right fore: raised > plain"]);
  });

  test("each test with its answer of the last visit: what was not measured is said to be so", () => {
    expect(tableOf(parts)?.rows.map(([foot, , , , result]) => [foot, result])).toEqual([
      ["Left fore", "met"],
      ["Right fore", "not measured"],
    ]);
  });

  test("a stage with two tests names its foot once; one without says none", () => {
    const two = caseOf({
      opened: DAYS[1],
      feet: ["LF"],
      stages: [stage("raised", { exit: [{ kind: "heels like wall", within: 5 }, { kind: "vet agrees" }] })],
    });
    const rows = tableOf(
      stageParts(two, caseStanding(two, records, "2026-11-10", wording), wording, day),
    )?.rows;
    expect(rows?.map(([foot]) => foot)).toEqual(["Left fore", ""]);
    const open = caseOf({ opened: DAYS[1], feet: ["LF"], stages: [stage("plain", { exit: [] })] });
    const [row] = tableOf(
      stageParts(open, caseStanding(open, records, "2026-11-10", wording), wording, day),
    )!.rows;
    expect(row?.slice(2)).toEqual(["none", "", ""]);
  });
});

test("shod with: what the last visit nailed on, foot by foot", () => {
  const shoe = (visitId: string, limb: "LF" | "RF") => ({
    id: `${visitId} ${limb}`,
    visitId,
    horseId: "h",
    limb,
    date: visitId,
    spec: ordinaryShoe(limb, 520),
  });
  const shoes = [shoe(DAYS[3], "LF"), shoe(DAYS[2], "RF")] as unknown as typeof none.shoes;
  const items = listOf(shoeParts(caseOf(), visitOn(DAYS[3]), { ...none, shoes }, wording));
  expect(items).toHaveLength(1);
  expect(items[0]).toMatch(/^Left fore: /);
});

test("films stand in columns by foot and day with their bands; one made as a stand-in says so", () => {
  const parts = filmParts([filmOn(DAYS[3], 14), filmOn(DAYS[1], 9)], none, wording, day);
  const table = tableOf(parts)!;
  expect(table.head).toEqual(["Measure", `LF <${DAYS[1]}> (stand-in)`, `LF <${DAYS[3]}> (stand-in)`]);
  const sole = table.rows.find(([name]) => /sole/i.test(name ?? ""));
  expect(sole?.slice(1).map((cell) => Math.round(Number.parseFloat(cell)))).toEqual([9, 14]);
  for (const row of table.rows)
    for (const cell of row.slice(1)) expect(cell).toMatch(/^-?\d+(\.\d+)? ± \d+(\.\d+)?(°| mm)?$/);
});

test("a defect: the last eight days of each foot, what was not measured as a dash, gone as grown out", () => {
  const looks = Array.from({ length: 10 }, (_, at) => ({
    id: `look ${at}`,
    visitId: `${at}`,
    horseId: "h",
    limb: "LF" as const,
    date: `2026-0${Math.floor(at / 3) + 1}-${10 + at}`,
    wear: {},
    finds: {
      one: {
        kind: "crack" as const,
        at: [50, 70] as [number, number],
        note: "",
        ...(at < 9 ? { lengthMm: 30 - at } : { gone: true as const }),
      },
    },
  }));
  const rows = tableOf(defectParts(caseOf({ kind: "crack" }), { ...none, looks }, wording, day))!.rows;
  expect(rows).toHaveLength(8);
  expect(rows[0]).toEqual(["Left fore", "<2026-01-12>", "28 mm", "–", "–", "as found"]);
  expect(rows.at(-1)?.[2]).toBe("grown out");
});

test("how it answered: the last six days since the case was opened, in the order of the days", () => {
  const visits = [...DAYS].reverse().map((date) =>
    visitOn(date, {
      observed: { LF: { seen: ["settles on it"], note: date === DAYS[3] ? "on the road" : "" } },
    }),
  );
  expect(listOf(observedParts(caseOf({ opened: DAYS[1] }), { ...none, visits }, day))).toEqual([
    `<${DAYS[1]}>: LF settles on it`,
    `<${DAYS[2]}>: LF settles on it`,
    `<${DAYS[3]}>: LF settles on it (on the road)`,
  ]);
});

test("what the owner told, and the log in the order of its days", () => {
  const one = caseOf({
    told: { drugs: "", feed: "soaked hay", metabolic: "" },
    log: {
      b: { on: "2026-10-02", by: "", says: "Sound at the walk." },
      a: { on: "2026-09-01", by: "The vet", says: "Rest." },
    },
  });
  expect(toldParts(one).at(-1)).toEqual({ kind: "facts", rows: [["Feed", "soaked hay"]] });
  expect(listOf(logParts(one, day))).toEqual([
    "<2026-09-01>, The vet: Rest.",
    "<2026-10-02>: Sound at the walk.",
  ]);
});
