import type { TakenLook } from "~core/gait/looks";
import { valueAt, type Edit } from "~core/record/edit";
import type { Visit } from "~core/record/visit";

/** The edit that puts one thing into how a look was taken; the look itself where it has nothing yet. */
export function lookEdit(visit: Visit, lookId: string, key: keyof TakenLook, now: unknown): Edit {
  const kept = visit.looks[lookId];
  const place = { table: "visits", id: visit.id, label: `look, ${key}` } as const;
  return kept
    ? { ...place, path: ["looks", lookId, key], was: valueAt(kept, [key]), now }
    : { ...place, path: ["looks", lookId], was: undefined, now: { [key]: now } };
}
