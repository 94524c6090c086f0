import ICAL from "ical.js";
import { HORSE_USES } from "../constants/due";
import { ANIMAL_KINDS } from "../foot/toeYardstick";
import { fail, ok, type Issue, type Result } from "../result";
import { readCsvText, TOO_LONG } from "./csvText";
import type { Edit } from "./edit";
import { FINISHES, horseSchema, type Horse } from "./horse";
import { yardSchema, type Yard } from "./yard";

/** A file of people, yards or horses as rows of text, with the names of its columns. */
export interface PeopleTable {
  columns: string[];
  rows: PeopleRow[];
}

interface PeopleRow {
  /** Its number in the file: the header of a CSV is row 1, of cards the first is. */
  row: number;
  /** By the name of the column. */
  cells: Record<string, string>;
  tooLong?: boolean;
}

/** What a column can mean here. */
export const PEOPLE_FIELDS = [
  "yard",
  "person",
  "phone",
  "access",
  "latitude",
  "longitude",
  "horse",
  "kind",
  "mass",
  "use",
  "finish",
  "habits",
  "notes",
] as const;
export type PeopleField = (typeof PEOPLE_FIELDS)[number];
export type Mapping = Partial<Record<PeopleField, string>>;

const MOST_ROWS = 5000;
/** A horse of which nothing is said. Source: assumption, an ordinary riding horse; each is shown before it is kept. */
const ORDINARY = { kind: "horse", massKg: 500, use: "riding", finish: "full set" } as const;

/** Other names that columns go by. */
const ALIASES: Record<PeopleField, readonly string[]> = {
  yard: ["yard", "stable", "place", "barn", "farm", "org"],
  person: ["person", "owner", "name", "contact", "fn", "client"],
  phone: ["phone", "tel", "mobile", "telephone"],
  access: ["access", "address", "adr", "directions"],
  latitude: ["latitude", "lat"],
  longitude: ["longitude", "lon", "lng", "long"],
  horse: ["horse", "animal", "horse name"],
  kind: ["kind", "breed", "type"],
  mass: ["mass", "weight", "kg"],
  use: ["use", "work", "discipline"],
  finish: ["finish", "shoes", "shoeing"],
  habits: ["habits", "warning", "behaviour"],
  notes: ["notes", "note", "remarks"],
};

/** Reads a CSV with a header, or a file of vCards: one row a card. Errors: `empty`, `too-many`, `not-a-card`. */
export function readPeople(text: string): Result<PeopleTable> {
  const clean = text.replace(/^\uFEFF/, "");
  const table = /^\s*BEGIN:VCARD/i.test(clean) ? cards(clean) : csv(clean);
  if (!table.ok) return table;
  if (table.value.rows.length === 0) return fail("empty", "", "There is nobody in this file.");
  if (table.value.rows.length > MOST_ROWS)
    return fail("too-many", "", `More than ${MOST_ROWS} rows: is this the right file?`);
  return table;
}

function csv(text: string): Result<PeopleTable> {
  const { header, rows } = readCsvText(text);
  // A second column of a name gets a number, so that each can be given its meaning.
  const columns = header.map((name, at) => {
    const before = header.slice(0, at).filter((one) => one === name).length;
    return before === 0 || name === "" ? name : `${name} (${before + 1})`;
  });
  return ok({
    columns: columns.filter((name) => name !== ""),
    rows: rows.map(({ row, cells, tooLong }) => ({
      row,
      cells: Object.fromEntries(columns.map((name, at) => [name, cells[at] ?? ""])),
      tooLong,
    })),
  });
}

function cards(text: string): Result<PeopleTable> {
  let parsed: unknown;
  try {
    parsed = ICAL.parse(text);
  } catch {
    return fail("not-a-card", "", "This file of cards is damaged: a card does not end.");
  }
  const list = (Array.isArray(parsed) && typeof parsed[0] === "string" ? [parsed] : parsed) as [
    string,
    [name: string, parameters: unknown, type: string, ...values: unknown[]][],
  ][];
  const rows = list.map(([, properties], at) => {
    const of = (name: string): string => {
      const found = properties.find(([own]) => own === name)?.slice(3) ?? [];
      return found
        .flat(2)
        .filter((part) => part !== "")
        .join(name === "adr" ? ", " : " ");
    };
    const [, latitude = "", longitude = ""] = /^(?:geo:)?(-?[\d.]+)[,;\s]+(-?[\d.]+)/.exec(of("geo")) ?? [];
    const cells = {
      name: of("fn"),
      org: of("org"),
      tel: of("tel").replace(/^tel:/, ""),
      adr: of("adr"),
      note: of("note"),
      lat: latitude,
      lon: longitude,
    };
    return { row: at + 1, cells };
  });
  return ok({ columns: ["name", "org", "tel", "adr", "note", "lat", "lon"], rows });
}

/** Which column means what, as far as their names say. */
export function guessedMapping(columns: readonly string[]): Mapping {
  const free = new Map(columns.map((column) => [column.trim().toLowerCase(), column]));
  const mapping: Mapping = {};
  for (const field of PEOPLE_FIELDS) {
    const name = ALIASES[field].find((alias) => free.has(alias));
    if (name === undefined) continue;
    mapping[field] = free.get(name) ?? name;
    free.delete(name);
  }
  return mapping;
}

/** What a file would bring: looked at before anything is kept. */
export interface PeopleIn {
  yards: Yard[];
  horses: Horse[];
  /** Rows whose yard and horse are there already; they are left as they are. */
  known: number;
  /** What could not be read, by row of the file (the header is row 1) and column; such rows are left out. */
  issues: Issue[];
}

/**
 * The yards and horses of a table, by its mapping, less those that are there already (by name, without regard to
 * capitals). A row without a yard belongs to its person's. What is not said of a horse is taken as ordinary. Nothing that
 * is kept is changed. Text is taken as text.
 */
export function peopleFrom(
  { rows }: PeopleTable,
  mapping: Mapping,
  kept: { yards: readonly Yard[]; horses: readonly Horse[] },
  newId: () => string,
): PeopleIn {
  const found: PeopleIn = { yards: [], horses: [], known: 0, issues: [] };
  const lower = (text: string) => text.trim().toLowerCase();
  rows.forEach(({ row, cells, tooLong }) => {
    const at = (field: PeopleField): string => {
      const column = mapping[field];
      return (column === undefined ? "" : (cells[column] ?? "")).trim().replace(/^'(?=[=+\-@])/, "");
    };
    const issue = (field: PeopleField, message: string) => {
      const column = mapping[field] ?? field;
      found.issues.push({
        code: "bad-cell",
        path: `${row}.${column}`,
        message: `Row ${row}, ${column}: ${message}`,
        value: at(field),
      });
    };
    if (tooLong) {
      found.issues.push({ code: "too-long", path: String(row), message: `Row ${row}: ${TOO_LONG}.` });
      return;
    }
    const name = at("yard") || at("person");
    if (name === "") return issue("yard", "neither a yard nor a person is named.");
    const place = [at("latitude"), at("longitude")];
    const numbers = place.map((text) => Number(text.replace(",", ".")));
    const placed = place.some((text) => text !== "");
    let yard = [...kept.yards, ...found.yards].find((one) => lower(one.name) === lower(name));
    const fresh = yard === undefined;
    if (!yard) {
      const read = yardSchema.safeParse({
        id: newId(),
        name,
        person: at("person"),
        phone: at("phone"),
        access: at("access"),
        ...(placed && { at: numbers }),
      });
      if (!read.success) {
        const [problem] = read.error.issues;
        const field = problem?.path[0] === "at" ? "latitude" : "yard";
        return issue(
          field,
          field === "latitude" ? "is no latitude and longitude in degrees." : (problem?.message ?? ""),
        );
      }
      yard = read.data;
    }
    const horse = at("horse");
    const { id: yardId } = yard;
    if (horse === "") {
      if (fresh) found.yards.push(yard);
      else found.known += 1;
      return;
    }
    if (
      [...kept.horses, ...found.horses].some(
        (one) => one.yardId === yardId && lower(one.name) === lower(horse),
      )
    ) {
      found.known += 1;
      return;
    }
    const chosen = <T extends string>(field: PeopleField, among: readonly T[], usual: T): T | undefined => {
      const text = lower(at(field));
      if (text === "") return usual;
      const one = among.find((word) => word === text);
      if (one === undefined) issue(field, `“${at(field)}” is none of ${among.join(", ")}.`);
      return one;
    };
    const kind = chosen("kind", ANIMAL_KINDS, ORDINARY.kind);
    const use = chosen("use", HORSE_USES, ORDINARY.use);
    const finish = chosen("finish", FINISHES, ORDINARY.finish);
    if (!kind || !use || !finish) return;
    const mass = at("mass");
    const read = horseSchema.safeParse({
      id: newId(),
      yardId,
      name: horse,
      kind,
      massKg: mass === "" ? ORDINARY.massKg : Number(mass.replace(",", ".")),
      use,
      finish,
      habits: at("habits"),
      notes: at("notes"),
    });
    if (!read.success)
      return issue(
        read.error.issues[0]?.path[0] === "massKg" ? "mass" : "horse",
        read.error.issues[0]?.message ?? "",
      );
    if (fresh) found.yards.push(yard);
    found.horses.push(read.data);
  });
  return found;
}

/** The edits that keep what a file brings, yards first; one undo takes all of it back. */
export const peopleEdits = ({ yards, horses }: Pick<PeopleIn, "yards" | "horses">): Edit[] => [
  ...yards.map((now): Edit => ({
    table: "yards",
    id: now.id,
    path: [],
    was: undefined,
    now,
    label: "people brought in",
  })),
  ...horses.map((now): Edit => ({
    table: "horses",
    id: now.id,
    path: [],
    was: undefined,
    now,
    label: "people brought in",
  })),
];
