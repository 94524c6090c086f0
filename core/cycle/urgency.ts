import { daysBetween, type IsoDate } from "../calendar/date";
import { vetCases, type HorseInCare } from "../record/horse";

/** Weights of a day's lateness. Source: trade practice: a vet's plan first, then a horse with a show near. */
const VET_PLAN = 2;
const BEFORE_SHOW = 1.5;
const SHOW_DAYS = 14;

/** How much a day of lateness weighs for a horse: 2 under a vet's plan, 1.5 with a show within the fortnight, else 1. */
export function urgencyOf(horse: Pick<HorseInCare, "cases" | "showOn">, today: IsoDate): number {
  const { showOn } = horse;
  if (vetCases(horse).length > 0) return VET_PLAN;
  const toShow = showOn === undefined ? -1 : daysBetween(today, showOn);
  return toShow >= 0 && toShow <= SHOW_DAYS ? BEFORE_SHOW : 1;
}
