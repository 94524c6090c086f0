import { dayOfYear, daysBetween, type IsoDate } from "./date";
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
  seasonFrom(from, hemisphere)(daysBetween(from, to));

/** The same, counted from a date by days: the date is read once, however many days are asked for. */
export function seasonFrom(from: IsoDate, hemisphere: Hemisphere): (days: number) => number {
  const turn = (2 * Math.PI) / DAYS_PER_YEAR;
  const start = dayOfYear(from) - SEASON_PEAK.value[hemisphere];
  const swing = SEASON_SWING.value / turn;
  return (days) => days + swing * (Math.sin(turn * (start + days)) - Math.sin(turn * start));
}
