import type { Entry } from "./entry";

const trade = (value: number, unit: string, validFor: string): Entry<number> => ({
  value,
  unit,
  validFor,
  source: "trade practice",
  sure: "common practice",
});

/** What makes a foot due. */
export const TOE_OVER_MM = trade(
  14,
  "mm",
  "toe length over the target or over what this trim left: about six weeks",
);
export const AXIS_LIMIT_DEG = trade(5, "deg", "axis, backwards or forwards");
export const AXIS_WORSE_DEG = trade(
  3,
  "deg",
  "worsening of an axis that this trim could not bring inside the limit",
);
export const WINDOW_DAYS = trade(7, "days", "window before the due date");
export const SHORT_WINDOW_DAYS = trade(3, "days", "window before the due date of a short cycle");
export const SHORT_CYCLE_DAYS = trade(28, "days", "a cycle up to this long is short");

/** An axis left further off than this asks for the longest interval that keeps the foot inside its limits. */
export const LEFT_DEG = trade(4, "deg", "axis left by a trim, either way");
/** A crack under way opens the window so much earlier. */
export const CRACK_EARLIER_DAYS = trade(7, "days", "a crack that has not grown out");
/** When a bare foot that is left broken back is seen again. */
export const BARE_BROKEN_BACK_DAYS: Entry<{ from: number; to: number }> = {
  value: { from: 14, to: 21 },
  unit: "days",
  validFor: "a bare foot left broken back",
  source: "trade practice",
  sure: "common practice",
};

/** The work a horse does, as far as it caps the interval. */
export const HORSE_USES = ["riding", "roads", "competition", "young", "barefoot", "maintenance"] as const;
export type HorseUse = (typeof HORSE_USES)[number];

/** What caps an interval: the work, or a vet's plan, which speaks before it. */
export const CAP_KINDS = [...HORSE_USES, "vet plan"] as const;
export type CapKind = (typeof CAP_KINDS)[number];

/** Longest interval in weeks; editable per user and per horse. */
export const CAP_WEEKS: Record<CapKind, Entry<number>> = {
  riding: trade(6, "weeks", "riding horses, shod"),
  roads: trade(5, "weeks", "working on roads, shod"),
  competition: trade(5, "weeks", "competition horses, shod"),
  young: trade(4, "weeks", "young horses and corrective work"),
  "vet plan": trade(5, "weeks", "under a vet's plan unless prescribed otherwise, commonly 4 to 6"),
  barefoot: trade(5, "weeks", "barefoot"),
  maintenance: trade(3, "weeks", "light barefoot maintenance, 1 to 3"),
};

/** No interval is shortened under this, weeks. Assumption, because less than that is no cycle. */
const LEAST_WEEKS = 2;

/** A cap of the interval made shorter by some weeks, never under two; one that is shorter already stays. Weeks. */
export const shorterCap = (capWeeks: number, by: number): number =>
  Math.max(Math.min(capWeeks, LEAST_WEEKS), capWeeks - by);
