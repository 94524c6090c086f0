import type { Edit } from "./edit";
import type { Horse } from "./horse";
import { LINKS, type Records, type TableName } from "./tables";
import { blankVisit, type Visit } from "./visit";
import type { Yard } from "./yard";

/** The yard of a horse whose own is not among the records: it stands in for it until somebody says which it is. */
export const yardNotKnown = (id: string): Yard => ({
  id,
  name: "Yard not known",
  person: "",
  phone: "",
  access: "",
});

const horseNotKnown = (id: string): Horse => ({
  id,
  yardId: NO_YARD,
  name: "Horse not known",
  kind: "horse",
  massKg: 500,
  use: "riding",
  finish: "trim",
  habits: "",
  notes: "",
});
const NO_YARD = "yard-not-known";

/** One grey pixel. */
const NO_PICTURE =
  "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGNoAAAAggCBd81ytgAAAABJRU5ErkJggg==";

/** What makes orphans whole again. */
export interface Mended {
  /** Stand-ins for what rows point to and is not there, parents before children. */
  made: { table: TableName; row: { id: string } }[];
  /** Rows that may stand without what they pointed to, without that. */
  changed: { table: TableName; row: { id: string } }[];
}

/**
 * Stand-ins for every yard, horse, visit and picture that a row points to and that is not among the records, so that no row
 * has to be left out. Where a row may stand alone (a companion, a still, a paper) its pointer is taken out instead. Nothing
 * where no row is an orphan. `idsOf` gives the ids of a table whose rows are not at hand.
 */
export function mendOrphans(
  records: Records,
  idsOf: (table: TableName) => Iterable<string> = (table) => records[table].map(({ id }) => id),
): Mended {
  const mended: Mended = { made: [], changed: [] };
  const known = new Map<TableName, Set<string>>();
  const idsKnown = (table: TableName) => {
    const ids = known.get(table) ?? new Set(idsOf(table));
    known.set(table, ids);
    return ids;
  };
  const make = (table: TableName, row: { id: string }) => {
    idsKnown(table).add(row.id);
    mended.made.push({ table, row });
  };
  const changed = new Map<string, Record<string, unknown>>();
  // Children first: what stands in for a visit points to a horse, which may have to be stood in for as well.
  for (const { from, field, to } of [...LINKS].reverse()) {
    const made = mended.made.filter(({ table }) => table === from).map(({ row }) => row);
    for (const row of [...records[from], ...made] as unknown as Record<string, unknown>[]) {
      const target = row[field];
      if (typeof target !== "string" || idsKnown(to).has(target)) continue;
      if (MAY_STAND_ALONE.has(`${from}.${field}`)) {
        const key = `${from}/${String(row.id)}`;
        const { [field]: _gone, ...rest } = changed.get(key) ?? row;
        changed.set(key, rest);
        continue;
      }
      if (to === "yards") make(to, yardNotKnown(target));
      else if (to === "horses") make(to, horseNotKnown(target));
      else if (to === "visits") make(to, visitNotKnown(target, row));
      else make(to, { id: target, type: "image/png", data: NO_PICTURE } as { id: string });
    }
  }
  if (mended.made.some(({ table }) => table === "horses") && !idsKnown("yards").has(NO_YARD))
    make("yards", yardNotKnown(NO_YARD));
  mended.made.reverse();
  mended.changed = [...changed].map(([key, row]) => ({
    table: key.slice(0, key.indexOf("/")) as TableName,
    row: row as { id: string },
  }));
  return mended;
}

/**
 * The edits that make the orphans of a store whole; undone as one. A picture that is not there stays away: its record says
 * so by itself.
 */
export function mendEdits(records: Records): Edit[] {
  const { made, changed } = mendOrphans({ ...records, photos: [], films: [] });
  const label = "what belonged to nothing";
  return [
    ...made.map(({ table, row }): Edit => ({ table, id: row.id, path: [], was: undefined, now: row, label })),
    ...changed.map(({ table, row }): Edit => {
      const was = (records[table] as { id: string }[]).find(({ id }) => id === row.id);
      return { table, id: row.id, path: [], was, now: row, label };
    }),
  ];
}

const MAY_STAND_ALONE: ReadonlySet<string> = new Set([
  "horses.companionId",
  "watchings.stillId",
  "cases.paperId",
]);

/** The visit of a row whose own is not there: signed, on the row's day. */
const visitNotKnown = (id: string, { horseId, date }: Record<string, unknown>): Visit => ({
  id,
  horseId: String(horseId),
  date: String(date),
  status: "signed",
  ...blankVisit(),
});
