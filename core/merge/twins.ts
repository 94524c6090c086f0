import { daysBetween } from "../calendar/date";
import type { Wording } from "../foot/wording";
import { sameValue, type Edit } from "../record/edit";
import { placesOf, stepsTo } from "../record/places";
import { TABLES } from "../record/schemas";
import type { LeftValue, SetAside } from "../record/setAside";
import { LINKS, type Records, type TableName } from "../record/tables";
import { rowName } from "./words";

/** Two rows that look like one thing that was typed twice. */
export interface Twins {
  table: "yards" | "horses" | "visits";
  /** The one that stays: more hangs on it. */
  stays: string;
  goes: string;
}

/** Visits this near to one another are one. Source: assumption, because a stage comes after two weeks at the soonest. */
const SAME_VISIT_DAYS = 10;

/** A name without regard to capitals, accents, spaces and marks. */
const folded = (name: string): string =>
  name
    .normalize("NFKD")
    .replace(/[^\p{L}\p{N}]/gu, "")
    .toLowerCase();

type Row = { id: string } & Record<string, unknown>;
type Looked = Pick<Records, "yards" | "horses" | "visits">;
/** How many rows hang on one. */
type Hangs = (table: TableName, id: string) => number;

/**
 * Yards of one name, horses of one name and kind at yards of one name, and visits of one horse that are planned twice:
 * each row is in one pair at most. Horses that have left and visits that anything hangs on are not in a pair that would
 * take them away.
 */
export function likelyTwins({ yards, horses, visits }: Looked, hangs: Hangs): Twins[] {
  const yardName = new Map(yards.map(({ id, name }) => [id, folded(name)]));
  return [
    ...pairs("yards", yards, ({ name }) => folded(name), hangs),
    ...pairs(
      "horses",
      horses.filter(({ left }) => !left),
      ({ name, kind, yardId }) => [folded(name), kind, yardName.get(yardId) ?? yardId].join("/"),
      hangs,
    ),
    ...plannedTwice(visits, hangs),
  ];
}

/** Each row with the one of its key that most hangs on. */
function pairs<T extends { id: string; name: string }>(
  table: "yards" | "horses",
  rows: readonly T[],
  keyOf: (row: T) => string,
  hangs: Hangs,
): Twins[] {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    // A name of marks alone says nothing.
    if (folded(row.name) === "") continue;
    groups.set(keyOf(row), [...(groups.get(keyOf(row)) ?? []), row]);
  }
  return [...groups.values()]
    .filter((group) => group.length > 1)
    .flatMap((group) => {
      const [first, ...others] = [...group].sort(
        (a, b) => hangs(table, b.id) - hangs(table, a.id) || (a.id < b.id ? -1 : 1),
      );
      return first ? others.map(({ id }) => ({ table, stays: first.id, goes: id })) : [];
    });
}

/** A visit that is only planned and that nothing hangs on, beside another of its horse on or about its day. */
function plannedTwice(visits: Looked["visits"], hangs: Hangs): Twins[] {
  const byHorse = new Map<string, Looked["visits"]>();
  for (const visit of visits) byHorse.set(visit.horseId, [...(byHorse.get(visit.horseId) ?? []), visit]);
  return [...byHorse.values()].flatMap((own) => {
    const gone = new Set<string>();
    return own.flatMap((visit): Twins[] => {
      if (visit.status !== "planned" || hangs("visits", visit.id) > 0) return [];
      const other = own.find(
        (one) =>
          one.id !== visit.id &&
          !gone.has(one.id) &&
          one.job === visit.job &&
          (one.status === "signed"
            ? one.date === visit.date
            : Math.abs(daysBetween(one.date, visit.date)) < SAME_VISIT_DAYS) &&
          staysBefore(one, visit, hangs),
      );
      if (!other) return [];
      gone.add(visit.id);
      return [{ table: "visits", stays: other.id, goes: visit.id }];
    });
  });
}

/** Of two visits the one that stays: begun, pinned, the earlier, the one that was made under the smaller id. */
function staysBefore(one: Looked["visits"][number], other: Looked["visits"][number], hangs: Hangs): boolean {
  if (one.status !== "planned" || hangs("visits", one.id) > 0) return true;
  if (one.pinned !== other.pinned) return one.pinned === true;
  return one.date === other.date ? one.id < other.id : one.date < other.date;
}

/** Texts that are joined: what only one of the two knew of a kick or a gate is not lost. */
const JOINED: readonly string[] = ["habits", "notes", "access", "watch", "tell"];

/**
 * The edits that make one of two: what hangs on the one that goes hangs on the other, what only it knew is taken over, notes
 * are joined, and where both know something else the value is set aside, readable. Undone as one.
 */
export function oneOfTwins(
  { table, stays, goes }: Twins,
  records: Records,
  { wording, id, at }: { wording: Wording; id: string; at: string },
): Edit[] {
  const rows = records[table] as unknown as Row[];
  const [kept, gone] = [rows.find((row) => row.id === stays), rows.find((row) => row.id === goes)];
  if (!kept || !gone) return [];
  const of = rowName(table, gone, records, wording);
  const label = `${of}: one of two`;
  const change = (
    one: TableName,
    rowId: string,
    path: readonly string[],
    was: unknown,
    now: unknown,
  ): Edit => ({
    table: one,
    id: rowId,
    path,
    was,
    now,
    label,
  });
  const hung = LINKS.filter(({ to }) => to === table).flatMap(({ from, field }) =>
    (records[from] as unknown as Row[])
      .filter((row) => row[field] === goes && row.id !== goes)
      // A horse does not go together with itself.
      .map((row) => change(from, row.id, [field], goes, row.id === stays ? undefined : stays)),
  );
  const here = placesOf(table, kept);
  const taken: Edit[] = [];
  const left: Record<string, LeftValue> = {};
  for (const [place, value] of placesOf(table, gone)) {
    const own = here.get(place);
    // They are called the same, but for capitals and accents.
    if (place === "name") continue;
    if (sameValue(own, value) || isBlank(value) || POINTERS.has(`${table}.${place}`)) continue;
    const path = stepsTo(table, place);
    if (isBlank(own)) {
      // A pointer to the row itself says nothing any more.
      if (value !== stays) taken.push(change(table, stays, path, own, value));
    } else {
      const joined = JOINED.includes(place) ? joinedText(String(own), String(value)) : undefined;
      const known = joined !== undefined && fits(table, { ...kept, [place]: joined });
      if (known) taken.push(change(table, stays, path, own, joined));
      else
        left[`${table}/${goes}/${place}`.slice(0, 300)] = {
          table,
          id: stays,
          place: place.slice(0, 200),
          of: of.slice(0, 200),
          json: (JSON.stringify(value) ?? "").slice(0, 200_000),
          device: "",
        };
    }
  }
  const aside: SetAside = {
    id,
    at,
    from: of.slice(0, 200),
    into: rowName(table, kept, records, wording).slice(0, 200),
    values: left,
  };
  return [
    ...hung,
    ...taken,
    ...(Object.keys(left).length > 0 ? [change("setAside", id, [], undefined, aside)] : []),
    change(table, goes, [], gone, undefined),
  ];
}

/** Where a row stands is what its twin says as well; where a visit lies and what became of it is its own. */
const POINTERS: ReadonlySet<string> = new Set(["horses.yardId", "visits.horseId", "visits.status"]);

const isBlank = (value: unknown): boolean =>
  value === undefined ||
  value === "" ||
  value === false ||
  (Array.isArray(value) && value.length === 0) ||
  (typeof value === "object" && value !== null && Object.keys(value).length === 0);

const joinedText = (own: string, other: string): string =>
  own.includes(other) ? own : other.includes(own) ? other : `${own}\n${other}`;

const fits = (table: TableName, row: unknown): boolean => TABLES[table].safeParse(row).success;
