import type { Horse } from "../record/horse";
import type { Visit } from "../record/visit";
import type { Entry } from "../constants/entry";
import { BARS, type Specification } from "../shoe/specification";

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

/** A short visit between two full trims, only the toes. */
const TOE_ONLY: Entry<number> = {
  value: 10,
  unit: "minutes",
  source: "trade practice",
  validFor: "the toes of one horse between two full trims",
  sure: "common practice",
};

/** Minutes of a visit for the toes alone: longer for a difficult horse. */
export const toeOnlyMinutes = ({ habits }: Pick<Horse, "habits">): number =>
  Math.round(TOE_ONLY.value * (habits === "" ? 1 : DIFFICULT.value));

/** What a visit is about: the horse's usual work, or the toes alone. */
export const jobName = ({ finish }: Pick<Horse, "finish">, visit?: Pick<Visit, "job">): string =>
  visit?.job ?? finish;

/** Whether a shoe has a bar or a pad; a bare foot has neither. */
export const hasBarOrPad = ({ type, pad }: Pick<Specification, "type" | "pad">): boolean =>
  BARS.includes(type) || (type !== "bare" && pad !== "none");

/** Usual minutes for one horse, an estimate for the day's plan: by what is done, longer with a bar or a pad and for a difficult one. */
export const jobMinutes = ({ finish, habits }: Pick<Horse, "finish" | "habits">, barOrPad = false): number =>
  Math.round(
    (JOB_MINUTES.value[finish] + (barOrPad ? BAR_OR_PAD.value : 0)) * (habits === "" ? 1 : DIFFICULT.value),
  );
