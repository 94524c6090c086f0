import type { IsoDate } from "../calendar/date";
import { LIMBS, type Limb } from "../foot/limb";
import type { Edit } from "./edit";
import { footPlace, type FootTable } from "./footRecords";
import type { Horse } from "./horse";
import { MOMENTS, type Moment } from "../foot/records/reading";
import { blankVisit, type Visit } from "./visit";

/** The edit that plans a visit, of the usual kind or for the toes alone. The id is handed in. */
export function planVisit(
  horse: Pick<Horse, "id" | "name">,
  date: IsoDate,
  id: string,
  job?: Visit["job"],
): Edit {
  const visit: Visit = {
    id,
    horseId: horse.id,
    date,
    status: "planned",
    ...(job && { job }),
    ...blankVisit(),
  };
  return { table: "visits", id, path: [], was: undefined, now: visit, label: `plan ${horse.name}` };
}

/**
 * The edits that open a planned visit today: its status, its day, and an empty record of each kind for every foot, so
 * that whatever is typed afterwards changes one place of a record that is already there.
 */
export function startVisit(visit: Visit, today: IsoDate, now: string): Edit[] {
  const change = (path: string, was: unknown, now: unknown): Edit => ({
    table: "visits",
    id: visit.id,
    path: [path],
    was,
    now,
    label: "visit started",
  });
  const make = (table: FootTable, limb: Limb, moment: Moment): Edit => {
    const record = footPlace(table, { ...visit, date: today }, limb, moment);
    return { table, id: record.id, path: [], was: undefined, now: record, label: "visit started" };
  };
  return [
    change("status", visit.status, "open"),
    change("date", visit.date, today),
    change("startedAt", visit.startedAt, now),
    ...LIMBS.flatMap((limb) => [
      ...MOMENTS.flatMap((moment) => [make("readings", limb, moment), make("watchings", limb, moment)]),
      make("trims", limb, "before"),
      make("looks", limb, "before"),
    ]),
  ];
}
