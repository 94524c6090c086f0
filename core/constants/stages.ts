/** The nine knots of a visit, in the order of the work. */
export const STAGES = [
  "arrive",
  "watch",
  "read",
  "survey",
  "trim",
  "shoe",
  "set",
  "recheck",
  "sign-off",
] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_NAMES: Record<Stage, string> = {
  arrive: "Arrive",
  watch: "Watch",
  read: "Pull and read",
  survey: "Survey",
  trim: "Trim",
  shoe: "Shoe",
  set: "Set",
  recheck: "Recheck",
  "sign-off": "Sign off",
};
