import type { PlanningRecords } from "~app/data/planning";

export function BoardView(_: PlanningRecords & { today: string }) {
  return null;
}
