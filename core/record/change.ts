import { valueAt, type Edit } from "./edit";
import type { RecordOf, TableName } from "./tables";

type Inside<R> = NonNullable<R>;

/** Every way into a record, at most four steps deep. */
type PathIn<R, Steps extends unknown[] = []> = Steps["length"] extends 4
  ? never
  : Inside<R> extends object
    ? {
        [Key in keyof Inside<R> & string]:
          readonly [Key] | readonly [Key, ...PathIn<Inside<R>[Key], [...Steps, 0]>];
      }[keyof Inside<R> & string]
    : never;

/** What stands at the end of such a way. */
type ValueIn<R, Path> = Path extends readonly [infer Key, ...infer Rest]
  ? Key extends keyof Inside<R>
    ? ValueIn<Inside<R>[Key], Rest>
    : never
  : R;

/**
 * The edit that puts `now` at a place of a record; undefined takes out what is there. What stood there is read off the
 * record, which is what the user saw: give the one that is on the screen.
 */
export const change = <Name extends TableName, const Path extends PathIn<RecordOf<Name>>>(
  table: Name,
  record: RecordOf<Name>,
  path: Path,
  now: ValueIn<RecordOf<Name>, Path> | undefined,
  label: string,
): Edit => {
  const steps = path as readonly string[];
  return { table, id: record.id, path: steps, was: valueAt(record, steps), now, label };
};

/** The edit that makes a record. */
export const make = <Name extends TableName>(table: Name, record: RecordOf<Name>, label: string): Edit => ({
  table,
  id: record.id,
  path: [],
  was: undefined,
  now: record,
  label,
});

/** The edit that takes a record away. */
export const remove = <Name extends TableName>(table: Name, record: RecordOf<Name>, label: string): Edit => ({
  table,
  id: record.id,
  path: [],
  was: record,
  now: undefined,
  label,
});
