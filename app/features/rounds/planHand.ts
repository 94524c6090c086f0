import type { MoveCost } from "~core/rounds/moveCosts";
import type { PlanningJob } from "~core/rounds/planning";

/** Where horses without a day lie, as a place to drop on. */
export const NO_DAY = "no-day";

/** What is being carried: one horse or all of a yard's day. */
export interface Dragged {
  horses: string[];
  name: string;
  from: string | undefined;
}

/** What can be done to a plan by hand. */
export interface PlanHand {
  costs: (horses: string[]) => MoveCost[];
  move: (horses: string[], date: string | undefined, label: string) => void;
  pin: (job: PlanningJob) => void;
  /** Says when the vet comes to a horse that day, HH:MM; the horse is then pinned to it. */
  vet: (job: PlanningJob, at: string | undefined) => void;
  /** Who goes together with a horse: they are moved with it. */
  companions: (job: PlanningJob) => string[];
  /** A plan that has not been taken yet is shown. */
  proposed: boolean;
}
