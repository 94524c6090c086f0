import { sameValue, withValueAt } from "./edit";

/** What differs from what a form began with, place by place; null where something was taken out. */
export type FormChanges = (readonly [path: string[], now: unknown])[];

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);
/** An emptied field is a missing one. */
const isEmpty = (value: unknown): boolean => value === undefined || value === null || value === "";

/**
 * The places at which the values of a form differ from those that it began with: fields at any depth, lists as a whole.
 *
 * @example formChanges({ horse: { name: "Wren" } }, { horse: { name: "Merle" } }) // [[["horse", "name"], "Merle"]]
 */
export function formChanges(start: unknown, now: unknown, path: string[] = []): FormChanges {
  if (isRecord(start) || isRecord(now)) {
    const [was, is] = [isRecord(start) ? start : {}, isRecord(now) ? now : {}];
    return [...new Set([...Object.keys(was), ...Object.keys(is)])].flatMap((key) =>
      formChanges(was[key], is[key], [...path, key]),
    );
  }
  if ((isEmpty(start) && isEmpty(now)) || sameValue(start, now)) return [];
  return [[path, isEmpty(now) ? null : now]];
}

/** The values that a form began with, with changes laid over. */
export const withFormChanges = <Values extends object>(start: Values, changes: FormChanges): Values =>
  changes.reduce((values, [path, now]) => withValueAt(values, path, now ?? undefined), start);

/** Changes as a draft keeps them, and read back; none where the text is no such list. */
export const formChangesText = (changes: FormChanges): string => JSON.stringify(changes);
export function readFormChanges(text: string | undefined): FormChanges {
  try {
    const read: unknown = JSON.parse(text ?? "[]");
    const isChange = (one: unknown) =>
      Array.isArray(one) &&
      Array.isArray(one[0]) &&
      one[0].length > 0 &&
      one[0].every((key) => typeof key === "string");
    return Array.isArray(read) && read.every(isChange) ? (read as FormChanges) : [];
  } catch {
    return [];
  }
}
