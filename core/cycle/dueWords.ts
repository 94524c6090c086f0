import type { CapKind } from "../constants/due";
import { addDays, daysBetween, type IsoDate } from "../calendar/date";
import type { HorseDue } from "../record/visit";
import { vetCases, type Horse, type HorseInCare } from "../record/horse";
import type { Wording } from "../foot/wording";

/** Where a horse stands in its cycle on a given day. */
export interface CycleState {
  /** Days since the last visit. */
  day: number;
  of: number;
  windowDay: number;
  state: "early" | "window" | "over";
  daysOver: number;
}

export function cycleState(last: IsoDate, due: HorseDue, today: IsoDate): CycleState {
  const day = daysBetween(last, today);
  const windowDay = daysBetween(last, due.windowStart);
  return {
    day,
    of: due.day,
    windowDay,
    state: day > due.day ? "over" : day >= windowDay ? "window" : "early",
    daysOver: Math.max(0, day - due.day),
  };
}

const USE_WORDS: Record<Horse["use"], string> = {
  riding: "riding",
  roads: "road work",
  competition: "competition",
  young: "young or corrective",
  barefoot: "barefoot",
  maintenance: "light maintenance",
};

/** The same with what caps before the work does. */
export const CAP_WORDS: Record<CapKind, string> = { ...USE_WORDS, "vet plan": "vet’s plan" };

export const workInWords = (use: Horse["use"]): string => USE_WORDS[use];

/** Why the horse is due: "right fore: toe", "cap: road work". */
export function dueReason(
  due: HorseDue,
  horse: Pick<HorseInCare, "use" | "cases">,
  wording: Wording,
): string {
  if (due.reason === "cap" || due.limb === undefined)
    return `cap: ${vetCases(horse).length > 0 ? CAP_WORDS["vet plan"] : USE_WORDS[horse.use]}`;
  return `${wording.limb(due.limb)}: ${REASON_WORDS[due.reason]}`;
}

const REASON_WORDS: Record<Exclude<HorseDue["reason"], "cap">, string> = {
  toe: "toe",
  axis: "axis",
  stage: "next stage of its trim",
  left: "axis left off by this trim",
  bare: "bare and broken back",
};

/** What stands beside the day that decides: growth's own day beside a cap, the cap's beside any other. */
export function dueBeside(
  due: HorseDue,
  last: IsoDate,
  capWeeks: number,
): { words: string; day: IsoDate } | undefined {
  if (due.reason !== "cap") return { words: "by the cap", day: addDays(last, Math.round(capWeeks * 7)) };
  return due.byGrowth === undefined ? undefined : { words: "by growth alone", day: due.byGrowth };
}
