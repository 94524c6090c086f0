import type { IsoDate } from "../calendar/date";
import { LIMBS } from "../foot/limb";
import type { Edit } from "./edit";
import type { Horse } from "./horse";
import { MOMENTS, readingId } from "./reading";
import { trimId } from "./trim";
import type { Visit } from "./visit";

/** The edit that plans a visit. The id is handed in. */
export function planVisit(horse: Pick<Horse, "id" | "name">, date: IsoDate, id: string): Edit {
  const visit: Visit = { id, horseId: horse.id, date, status: "planned", notes: {}, watch: "", tell: "" };
  return { table: "visits", id, path: [], was: undefined, now: visit, label: `plan ${horse.name}` };
}

/** The edits that open a planned visit today: its status, its day, and an empty reading and trim for every foot. */
export function startVisit(visit: Visit, today: IsoDate): Edit[] {
  const { id: visitId, horseId } = visit;
  const make = (table: "readings" | "trims", record: { id: string }): Edit => ({
    table,
    id: record.id,
    path: [],
    was: undefined,
    now: record,
    label: "visit started",
  });
  return [
    {
      table: "visits",
      id: visitId,
      path: ["status"],
      was: visit.status,
      now: "open",
      label: "visit started",
    },
    { table: "visits", id: visitId, path: ["date"], was: visit.date, now: today, label: "visit started" },
    ...LIMBS.flatMap((limb) => [
      ...MOMENTS.map((moment) =>
        make("readings", {
          id: readingId(visitId, limb, moment),
          ...{ visitId, horseId, limb, moment, date: today, values: {}, confirmed: [] },
        }),
      ),
      make("trims", { id: trimId(visitId, limb), ...{ visitId, horseId, limb, date: today, cuts: {} } }),
    ]),
  ];
}
