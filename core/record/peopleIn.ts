import { HORSE_USES } from "../constants/due";
import { ANIMAL_KINDS } from "../foot/toeYardstick";
import { fail, ok, type Issue, type Result } from "../result";
import { readCards, type Card } from "./cards";
import type { Mapping, PeopleField } from "./columnNames";
import { readCsvText, TOO_LONG, unescaped } from "./csvText";
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

const MOST_ROWS = 5000;
/** A horse of which nothing is said. Source: assumption, an ordinary riding horse; each is shown before it is kept. */
const ORDINARY = { kind: "horse", massKg: 500, use: "riding", finish: "full set" } as const;

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
  const times = new Map<string, number>();
  const columns = header.map((name) => {
    const time = (times.get(name) ?? 0) + 1;
    times.set(name, time);
    return time === 1 || name === "" ? name : `${name} (${time})`;
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

/** Cards as rows: somebody's numbers in one cell, where there are several each with its kind. */
function cards(text: string): Result<PeopleTable> {
  const read = readCards(text);
  if (!read.ok) return read;
  const inOne = (all: Card["phones"]) =>
    all
      .map(({ text: number, kind }) => (kind === "" || all.length === 1 ? number : `${number} (${kind})`))
      .join(", ");
  const rows = read.value.map(({ name, org, phones, emails, address, note, place }, at) => ({
    row: at + 1,
    cells: {
      name,
      org,
      tel: inOne(phones),
      email: inOne(emails),
      adr: address,
      note,
      lat: place?.latitude ?? "",
      lon: place?.longitude ?? "",
    },
  }));
  return ok({ columns: ["name", "org", "tel", "email", "adr", "note", "lat", "lon"], rows });
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
  const yardByName = new Map<string, Yard>();
  for (const one of kept.yards) if (!yardByName.has(lower(one.name))) yardByName.set(lower(one.name), one);
  const horseKey = (yardId: string, name: string) => JSON.stringify([yardId, lower(name)]);
  const horsesKnown = new Set(kept.horses.map((one) => horseKey(one.yardId, one.name)));
  const takeYard = (yard: Yard) => {
    found.yards.push(yard);
    yardByName.set(lower(yard.name), yard);
  };
  rows.forEach(({ row, cells, tooLong }) => {
    const at = (field: PeopleField): string => {
      const column = mapping[field];
      return (column === undefined ? "" : unescaped(cells[column] ?? "")).trim();
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
    let yard = yardByName.get(lower(name));
    const fresh = yard === undefined;
    if (!yard) {
      const read = yardSchema.safeParse({
        id: newId(),
        name,
        person: at("person"),
        phone: at("phone"),
        access: [at("access"), at("email")].filter((text) => text !== "").join("\n"),
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
      if (fresh) takeYard(yard);
      else found.known += 1;
      return;
    }
    if (horsesKnown.has(horseKey(yardId, horse))) {
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
    if (fresh) takeYard(yard);
    found.horses.push(read.data);
    horsesKnown.add(horseKey(yardId, horse));
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
