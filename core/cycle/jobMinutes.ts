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

/** A horse with habits that can hurt takes so much longer. */
const DIFFICULT: Entry<number> = {
  value: 1.3,
  unit: "times the usual minutes",
  source: "trade practice",
  validFor: "a horse that has to be waited for",
  sure: "common practice",
};

/** Usual minutes for one horse, an estimate for the day's plan: by what is done, longer for a difficult one. */
export const jobMinutes = ({ finish, habits }: Pick<Horse, "finish" | "habits">): number =>
  Math.round(JOB_MINUTES.value[finish] * (habits === "" ? 1 : DIFFICULT.value));
