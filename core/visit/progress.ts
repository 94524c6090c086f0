import { isWatched } from "../gait/looks";
import { MEASURES } from "../foot/measures";
import { CUTS } from "../trim/trimRecord";
import type { Visit } from "../record/visit";
import type { Stage } from "../constants/stages";
import type { VisitFoot } from "./visitFoot";

const watched = ({ watching }: VisitFoot): boolean => Object.values(watching).some(isWatched);

const looked = ({ look }: VisitFoot): boolean =>
  look !== undefined &&
  (look.cleft !== undefined ||
    [look.wear, look.finds, look.tubules, look.heelHorn].some((part) => Object.keys(part ?? {}).length > 0));

const surveyed = ({ reading }: VisitFoot): boolean =>
  Object.keys({ ...reading.before?.sole, ...reading.before?.walls }).length > 0;

/** True when a stage has something to show for this foot: its dot on the plumb line is filled. */
export function stageDone(stage: Stage, visit: Visit, foot: VisitFoot): boolean {
  switch (stage) {
    case "watch":
      return watched(foot) || (visit.notes.watch ?? "") !== "";
    case "read":
      return looked(foot) || (visit.notes.read ?? "") !== "";
    case "survey":
      return Object.keys(foot.values.before).length > 0 || surveyed(foot);
    case "trim":
      return Object.keys(foot.cuts).length > 0;
    case "shoe":
      return foot.shoe?.spec !== undefined || (visit.notes.shoe ?? "") !== "";
    case "set":
      return foot.shoe?.ticks.stand === true || (visit.notes.set ?? "") !== "";
    case "recheck":
      return Object.keys(foot.values.after).length > 0;
    case "sign-off":
      return visit.status === "signed";
    default:
      return (visit.notes[stage] ?? "") !== "";
  }
}

/** How far a stage has come on one foot, in a word or two. */
export function progressWords(stage: Stage, foot: VisitFoot): string {
  const of = (taken: number, all: number) =>
    taken === 0 ? "·" : taken === all ? "done" : `${taken} of ${all}`;
  if (stage === "watch") return watched(foot) ? "seen" : "·";
  if (stage === "read") return looked(foot) ? "read" : "·";
  if (stage === "trim") return of(Object.keys(foot.cuts).length, CUTS.length);
  if (stage === "shoe") return foot.shoe?.spec ? (foot.shoe.spec.type === "bare" ? "bare" : "chosen") : "·";
  if (stage === "set") {
    const done = Object.keys(foot.shoe?.ticks ?? {}).length;
    return foot.shoe?.ticks.stand ? "done" : done > 0 ? "begun" : "·";
  }
  const taken = of(
    Object.keys(foot.values[stage === "recheck" ? "after" : "before"]).length,
    MEASURES.length,
  );
  return taken === "·" && stage === "survey" && surveyed(foot) ? "sole" : taken;
}
