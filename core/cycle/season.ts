import { dayOfYear, daysBetween, type IsoDate } from "../calendar/date";
import { DAYS_PER_YEAR } from "../constants/exact";
import { SEASON_PEAK, SEASON_SWING } from "../constants/growth";

export type Hemisphere = "north" | "south";

/**
 * Season-weighted days from one date to another: the integral of 1 + 0.2 cos(2 pi (day - peak) / 365.25).
 *
 * Day of year counts from 1 on the first of January of the first date's year and runs on without a break over the
 * new year. Over a whole year the weighted days are the days; negative when `to` is before `from`.
 */
export const seasonDays = (from: IsoDate, to: IsoDate, hemisphere: Hemisphere): number =>
  seasonDaysAfter(from, daysBetween(from, to), hemisphere);

/** The same, counted from a date by days. */
export function seasonDaysAfter(from: IsoDate, days: number, hemisphere: Hemisphere): number {
  const turn = (2 * Math.PI) / DAYS_PER_YEAR;
  const start = dayOfYear(from) - SEASON_PEAK.value[hemisphere];
  return days + (SEASON_SWING.value / turn) * (Math.sin(turn * (start + days)) - Math.sin(turn * start));
}
