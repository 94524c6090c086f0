import { applyEdit, type Edit } from "./edit";
import { isTable, type TableName } from "./tables";

/** Rows by table, or one row by the name of what it is; anything else in the bag is left as it is. */
const SINGLE: Readonly<Record<string, TableName>> = {
  horse: "horses",
  yard: "yards",
  visit: "visits",
  settings: "settings",
  forging: "forgings",
};

interface Row {
  id: string;
}

/** A row with the edits of its table laid over it, in their order; one that no longer fits where it belongs is passed over. */
export function overlaidRow(row: Row | undefined, edits: readonly Edit[]): Row | undefined {
  return edits.reduce<Row | undefined>((now, edit) => {
    const applied = applyEdit(now, edit);
    return applied.kind === "applied" ? (applied.record as Row | undefined) : now;
  }, row);
}

/** Rows with edits laid over them; the same list where none touches it. `isOurs` says whether a new row belongs here. */
function overlaidRows(
  rows: readonly Row[],
  edits: readonly Edit[],
  isOurs: (row: Row) => boolean,
): readonly Row[] {
  if (edits.length === 0) return rows;
  const byId = new Map<string, Edit[]>();
  for (const edit of edits) byId.set(edit.id, [...(byId.get(edit.id) ?? []), edit]);
  const kept = rows.flatMap((row): Row[] => {
    const own = byId.get(row.id);
    if (!own) return [row];
    byId.delete(row.id);
    const now = overlaidRow(row, own);
    return now ? [now] : [];
  });
  const made = [...byId.values()].flatMap((own): Row[] => {
    // A row that is not in the list may stand elsewhere in the store: only one that is made here is known whole.
    if (own[0]?.path.length !== 0 || own[0].was !== undefined) return [];
    const now = overlaidRow(undefined, own);
    return now && isOurs(now) ? [now] : [];
  });
  return [...kept, ...made];
}

/**
 * Records as the user sees them: those that were read, with every edit that is on its way or was refused laid over them,
 * in the order of doing. Keys that are the name of a table hold its rows; `horse`, `yard`, `visit`, `settings` and
 * `forging` hold one, where it is missing still that with the id in `forgingId` and so on. Where the bag is one horse's,
 * new rows of other horses stay out. The same bag comes back where no edit touches it, and untouched lists are the same.
 */
export function overlaid<Bag extends object>(bag: Bag, edits: readonly Edit[]): Bag {
  if (edits.length === 0) return bag;
  const horseId = (bag as { horse?: Row }).horse?.id;
  const isOurs = (row: Row) => {
    const of = (row as { horseId?: string }).horseId;
    return horseId === undefined || of === undefined || of === horseId;
  };
  let changed = false;
  const laid = Object.fromEntries(
    Object.entries(bag).map(([key, value]: [string, unknown]) => {
      const single = SINGLE[key];
      let now = value;
      if (single !== undefined) {
        const id = (value as Row | undefined)?.id ?? (bag as Record<string, unknown>)[`${key}Id`];
        const own = edits.filter((edit) => edit.table === single && (id === undefined || edit.id === id));
        if (own.length > 0) now = overlaidRow(value as Row | undefined, own) ?? value;
      } else if (isTable(key) && Array.isArray(value)) {
        const own = edits.filter(({ table }) => table === key);
        now = overlaidRows(value as Row[], own, isOurs);
      }
      if (now !== value) changed = true;
      return [key, now];
    }),
  ) as Bag;
  return changed ? laid : bag;
}
