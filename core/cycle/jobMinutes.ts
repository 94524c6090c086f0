import type { Horse } from "../record/horse";
import type { Entry } from "../constants/entry";
import type { Specification } from "../shoe/specification";

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

/** Shoes with a bar or a pad take so much longer, minutes a horse. */
const BAR_OR_PAD: Entry<number> = {
  value: 20,
  unit: "minutes",
  source: "trade practice",
  validFor: "one or more feet with a bar shoe or a pad",
  sure: "common practice",
};

/** Whether a shoe has a bar or a pad. */
export const hasBarOrPad = ({ type, pad }: Pick<Specification, "type" | "pad">): boolean =>
  type.includes("bar") || pad !== "none";

/** Usual minutes for one horse, an estimate for the day's plan: by what is done, longer with a bar or a pad and for a difficult one. */
export const jobMinutes = ({ finish, habits }: Pick<Horse, "finish" | "habits">, barOrPad = false): number =>
  Math.round(
    (JOB_MINUTES.value[finish] + (barOrPad ? BAR_OR_PAD.value : 0)) * (habits === "" ? 1 : DIFFICULT.value),
  );
