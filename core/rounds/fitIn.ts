import { addDays, type IsoDate } from "../calendar/date";
import type { RosterRow } from "../cycle/dayPlan";
import type { RoundsSettings } from "../record/settings";
import type { Yard } from "../record/yard";
import { planOfDay } from "./daySheet";
import { clockText, minutesOf } from "./drive";
import { ISLAND_MINUTES } from "./numbers";
import { driveMinutes } from "./travel";

/** A way to fit a horse into a day that is planned already. */
export interface FitIn {
  date: IsoDate;
  /** After this yard; none: first of all. */
  after: Yard | undefined;
  /** The yard is on that day's way anyway. */
  there: boolean;
  /** More minutes on the road. */
  drive: number;
  /** About when, HH:MM. */
  at: string;
}

/**
 * Ways to fit a horse's yard into today and tomorrow with the order as it stands, least extra road first: where the yard
 * is visited anyway nothing is added, else it goes between two stops, or before the first or after the last. Stops where
 * work has begun stay before it. A day on which nobody is planned is driven for it alone.
 */
export function fitIn(
  rows: readonly RosterRow[],
  yard: Yard,
  settings: Pick<RoundsSettings, "home" | "speedKmh" | "stopMinutes" | "leaves">,
  today: IsoDate,
): FitIn[] {
  const { home, speedKmh, stopMinutes, leaves } = settings;
  const way = (from: Yard | undefined, to: Yard | undefined): number => {
    const [a, b] = [from ? from.at : home, to ? to.at : home];
    return from?.id === to?.id ? 0 : a && b ? driveMinutes(a, b, speedKmh) : ISLAND_MINUTES;
  };
  const ways = [today, addDays(today, 1)].flatMap((date): FitIn[] => {
    const { stops } = planOfDay(rows, date);
    const own = stops.find((stop) => stop.yard.id === yard.id);
    if (own && own.jobs.some(({ visit }) => visit.status !== "signed")) {
      const at = clockText(minutesOf(own.at ?? leaves) + own.minutes);
      return [{ date, after: yard, there: true, drive: 0, at }];
    }
    const begun = stops.findLastIndex(({ jobs }) => jobs.some(({ visit }) => visit.status !== "planned"));
    return Array.from({ length: stops.length - begun }, (_, index): FitIn => {
      const place = begun + 1 + index;
      const [before, next] = [stops[place - 1], stops[place]];
      const drive =
        way(before?.yard, yard) +
        way(yard, next?.yard) -
        (before || next ? way(before?.yard, next?.yard) : 0);
      const leave = before ? minutesOf(before.at ?? leaves) + before.minutes : minutesOf(leaves);
      return {
        date,
        after: before?.yard,
        there: false,
        drive,
        at: clockText(leave + way(before?.yard, yard) + stopMinutes),
      };
    });
  });
  return ways.sort((a, b) => a.drive - b.drive || a.date.localeCompare(b.date));
}
