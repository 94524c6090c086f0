import type { TableName } from "./tables";

/**
 * One change to one place in one record. Everything that a user changes is such an edit: it is what is saved, what is
 * undone, and what tells two tabs apart. `path` is empty for the whole record (made or removed).
 */
export interface Edit {
  table: TableName;
  id: string;
  path: readonly string[];
  was: unknown;
  now: unknown;
  /** For the undo message: "left fore toe length". */
  label: string;
}

export const undoOf = (edit: Edit): Edit => ({ ...edit, was: edit.now, now: edit.was });

/** The value at a path, undefined where there is none. */
export function valueAt(record: unknown, path: readonly string[]): unknown {
  return path.reduce<unknown>(
    (place, key) =>
      typeof place === "object" && place !== null ? (place as Record<string, unknown>)[key] : undefined,
    record,
  );
}

/** A copy of the record with the value at a path replaced, or taken out when it is undefined; lists stay lists. */
export function withValueAt<T>(record: T, path: readonly string[], value: unknown): T {
  const [key, ...rest] = path;
  if (key === undefined) return value as T;
  const copy = (Array.isArray(record) ? [...(record as unknown[])] : { ...(record as object) }) as Record<
    string,
    unknown
  >;
  const inner = rest.length === 0 ? value : withValueAt(copy[key] ?? {}, rest, value);
  if (inner === undefined) Reflect.deleteProperty(copy, key);
  else copy[key] = inner;
  return copy as T;
}

/** Equal as records are: by content, with a missing value equal to undefined. */
export function sameValue(a: unknown, b: unknown): boolean {
  return JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}

/** The same value with the keys of every object in order. */
export function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, inner]) => inner !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inner]) => [key, sorted(inner)]),
  );
}

export type Applied = { kind: "applied"; record: unknown } | { kind: "conflict"; stored: unknown };

/**
 * An edit applied to the record as it is stored now. If the place no longer holds what the edit started from, nobody
 * is overwritten: the answer is a conflict with what stands there. Other places of the record do not matter.
 */
export function applyEdit(stored: unknown, edit: Edit): Applied {
  const here = valueAt(stored, edit.path);
  if (!sameValue(here, edit.was) && !sameValue(here, edit.now)) return { kind: "conflict", stored: here };
  return { kind: "applied", record: withValueAt(stored ?? {}, edit.path, edit.now) };
}
