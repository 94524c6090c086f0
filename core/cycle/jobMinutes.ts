import type { Horse } from "../record/horse";
import type { Entry } from "../constants/entry";

/** Minutes of work by kind of job. */
const JOB_MINUTES: Entry<Record<Horse["finish"], number>> = {
  value: { trim: 25, fronts: 45, "full set": 75 },
  unit: "minutes",
  source: "trade practice",
  validFor: "one pair of hands, a quiet horse",
  sure: "common practice",
};

/** Usual minutes for one horse, an estimate for the day's plan. */
export const jobMinutes = (horse: Pick<Horse, "finish">): number => JOB_MINUTES.value[horse.finish];
