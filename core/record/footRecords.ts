import type { Limb } from "../foot/limb";
import { valueAt, withValueAt, type Edit } from "./edit";
import { nothingRead, readingId, type Moment } from "../foot/records/reading";
import { noShoe, shoeId } from "../shoe/shoeRecord";
import { trimId } from "../trim/trimRecord";
import type { Visit } from "./visit";

/** The records that a visit keeps for each foot. */
export type FootTable = "readings" | "trims" | "watchings" | "looks" | "shoes";

/** Where a foot's record at a visit lies, and what it is before anything is written in it. */
export function footPlace(
  table: FootTable,
  visit: Pick<Visit, "id" | "horseId" | "date">,
  limb: Limb,
  moment: Moment,
) {
  const place = { visitId: visit.id, horseId: visit.horseId, limb, date: visit.date };
  switch (table) {
    case "readings":
      return { id: readingId(visit.id, limb, moment), ...place, moment, ...nothingRead() };
    case "trims":
      return { id: trimId(visit.id, limb), ...place, cuts: {}, ticks: {}, past: {} };
    case "watchings":
      return watchingPlace(visit, limb, moment);
    case "shoes":
      return { id: shoeId(visit.id, limb), ...place, ...noShoe() };
    case "looks":
      return { id: `${visit.id}.${limb}`, ...place, wear: {}, finds: {} };
  }
}

/** Where what was seen of a foot at one look lies, and what it is before anything was. */
export const watchingPlace = (visit: Pick<Visit, "id" | "horseId" | "date">, limb: Limb, look: string) => ({
  id: `${visit.id}.${limb}.${look}`,
  visitId: visit.id,
  horseId: visit.horseId,
  limb,
  date: visit.date,
  look,
  deviation: {},
  hairline: {},
});

/**
 * A change to one place of a foot's record: to the record when it exists, else the record made with that one value.
 * `existing` is what is stored.
 */
export function footEdit(
  blank: ReturnType<typeof footPlace>,
  table: FootTable,
  existing: object | undefined,
  change: { path: readonly string[]; now: unknown; was?: unknown; label: string },
): Edit {
  const { path, now, label } = change;
  if (!existing)
    return { table, id: blank.id, path: [], was: undefined, now: withValueAt(blank, path, now), label };
  const was = "was" in change ? change.was : valueAt(existing, path);
  return { table, id: blank.id, path, was, now, label };
}
