import { dueReason } from "./dueWords";
import type { Wording } from "../foot/wording";
import type { DueEvent } from "../record/calendar";
import type { Records } from "../record/tables";

/** The due date of every horse by its last signed visit, for the calendar file. */
export function dueEvents(
  records: Pick<Records, "yards" | "horses" | "visits">,
  wording: Wording,
): DueEvent[] {
  const yards = new Map(records.yards.map((yard) => [yard.id, yard.name]));
  return records.horses.flatMap((horse) => {
    const last = records.visits
      .filter((visit) => visit.horseId === horse.id && visit.status === "signed" && visit.next)
      .sort((a, b) => a.date.localeCompare(b.date))
      .at(-1);
    if (!last?.next) return [];
    const { due, windowStart } = last.next;
    return [
      {
        horseId: horse.id,
        horse: horse.name,
        yard: yards.get(horse.yardId) ?? "",
        due,
        windowStart,
        why: dueReason(last.next, horse, wording),
      },
    ];
  });
}
