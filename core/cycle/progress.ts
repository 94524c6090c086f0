import type { Stage, Visit } from "../record/visit";
import type { VisitFoot } from "./visitFoot";

/** True when a stage has something to show for this foot: its dot on the plumb line is filled. */
export function stageDone(stage: Stage, visit: Visit, foot: VisitFoot): boolean {
  switch (stage) {
    case "survey":
      return Object.keys(foot.values.before).length > 0;
    case "trim":
      return Object.keys(foot.cuts).length > 0;
    case "recheck":
      return Object.keys(foot.values.after).length > 0;
    case "sign-off":
      return visit.status === "signed";
    default:
      return (visit.notes[stage] ?? "") !== "";
  }
}
