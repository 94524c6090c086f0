import type { z } from "zod";
import { sameValue, valueAt } from "./edit";
import { TABLES } from "./schemas";
import type { RowStamps, Stamp } from "./stamps";
import { TABLE_NAMES, type TableName } from "./tables";

/** Parts whose fields are independent of one another, besides those that are kept by a name: each field is a place. */
const PARTS: Partial<Record<TableName, readonly string[]>> = {
  settings: ["forge", "lenses", "margins", "rounds", "sheet"],
  shoes: ["setting", "spec"],
  trims: ["cuts", "pared"],
  visits: ["arrival"],
};

/** The parts of each table's rows that are looked at entry by entry: two devices may each add to one of them. */
const DIVIDED: Readonly<Record<string, ReadonlySet<string>>> = Object.fromEntries(
  TABLE_NAMES.map((table) => {
    const maps = Object.entries(TABLES[table].shape).flatMap(([key, field]) => (isMap(field) ? [key] : []));
    return [table, new Set([...maps, ...(PARTS[table] ?? [])])];
  }),
);
const isDivided = (table: TableName, part: string): boolean => DIVIDED[table]?.has(part) ?? false;

/** True for a field that holds entries by name. */
function isMap(field: unknown): boolean {
  const { type, innerType } = (field as { def: { type: string; innerType?: unknown } }).def;
  return type === "record" || (innerType !== undefined && isMap(innerType));
}

/** Divided parts that cannot stand without some of their fields: such a part is made and taken away as a whole. */
const WHOLE_PARTS: Readonly<Record<string, readonly string[]>> = Object.fromEntries(
  TABLE_NAMES.map((table) => [
    table,
    (PARTS[table] ?? []).filter((part) => {
      const field = (TABLES[table].shape as Record<string, z.ZodType>)[part];
      return field !== undefined && !field.safeParse({}).success;
    }),
  ]),
);
export const wholeParts = (table: TableName): readonly string[] => WHOLE_PARTS[table] ?? [];

const isPart = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/**
 * The places of a row, each with what stands there: a field, or an entry of a part that is divided. What stands at one
 * place belongs together and is taken from one device.
 */
export function placesOf(table: TableName, row: object): Map<string, unknown> {
  const places = new Map<string, unknown>();
  for (const [key, value] of Object.entries(row)) {
    if (key === "id" || value === undefined) continue;
    if (isDivided(table, key) && isPart(value))
      for (const [inner, entry] of Object.entries(value)) places.set(`${key}.${inner}`, entry);
    else places.set(key, value);
  }
  return places;
}

/** The steps that lead to a place; an entry's own name may have dots in it. */
export function stepsTo(table: TableName, place: string): string[] {
  const dot = place.indexOf(".");
  const part = place.slice(0, dot);
  return dot > 0 && isDivided(table, part) ? [part, place.slice(dot + 1)] : [place];
}

/** Parts that are there without any entry: they have no place, but are not missing. */
export const emptyParts = (table: TableName, row: object): string[] =>
  [...(DIVIDED[table] ?? [])].filter((key) => isPart(valueAt(row, [key])));

/**
 * The stamps of a row after an act that made it, changed it or took it away; `before` and `after` are the row, undefined
 * where there is none.
 */
export function stamped(
  table: TableName,
  { before, after }: { before: object | undefined; after: object | undefined },
  stamps: RowStamps,
  stamp: Stamp,
): RowStamps {
  const { key } = stamps;
  if (!after) return { key, gone: stamp };
  // What it had before it was taken away was taken away with it.
  if (!before) return { key, made: stamp, ...(stamps.gone && { gone: stamps.gone }) };
  const [was, now] = [placesOf(table, before), placesOf(table, after)];
  const changed = [...new Set([...was.keys(), ...now.keys()])].filter(
    (place) => !sameValue(was.get(place), now.get(place)),
  );
  return {
    ...stamps,
    places: { ...stamps.places, ...Object.fromEntries(changed.map((place) => [place, stamp])) },
  };
}
