import { extent } from "d3-array";
import { addDays, dayNumber, type IsoDate } from "~core/calendar/date";
import { outlookAfter, type FootOutlook } from "~core/cycle/horseDue";
import type { TrendMeasure, TrendVisit } from "~core/foot/records/trends";
import type { Noise } from "~core/repeatability/repeatability";

export interface TrendModel {
  measure: TrendMeasure;
  visits: TrendVisit[];
  /** Within this of the value last left, nothing has changed beyond the noise. */
  band?: { low: number; high: number };
  /** The forecast from the last visit on: mean and central 80 % band. */
  forecast: { date: IsoDate; mean: number; low: number; high: number }[];
  dates: readonly [IsoDate, IsoDate];
  range: readonly [number, number];
}

const FORECAST_STEP_DAYS = 7;
/** What growth and drift foretell. */
const FORECAST: readonly string[] = ["toeLength", "dorsalAngle", "axis"];

/** Everything a trend draws, in the measure's own unit. The forecast reaches one week past the due day. */
export function trendModel(
  measure: TrendMeasure,
  visits: TrendVisit[],
  outlook: FootOutlook | undefined,
  noise: Noise,
): TrendModel | undefined {
  const first = visits[0];
  const last = visits.at(-1);
  if (!first || !last) return undefined;
  const left = last.after ?? last.before;
  const around = measure.noise(noise);
  const forecast = forecastOf(measure, last.date, outlook, noise);
  const all = [
    ...visits.flatMap(({ before, after }) => [before, after]),
    ...forecast.flatMap(({ low, high }) => [low, high]),
    ...(left === undefined || around === undefined ? [] : [left - around, left + around]),
  ].filter((value) => value !== undefined);
  const [low = 0, high = 1] = extent(all);
  const room = Math.max(measure.kind === "ratio" ? 0.05 : 1, (high - low) * 0.06);
  return {
    measure,
    visits,
    ...(left !== undefined && around !== undefined && { band: { low: left - around, high: left + around } }),
    forecast,
    dates: [first.date, forecast.at(-1)?.date ?? last.date],
    range: [low - room, high + room],
  };
}

function forecastOf(
  measure: TrendMeasure,
  from: IsoDate,
  outlook: FootOutlook | undefined,
  noise: Noise,
): TrendModel["forecast"] {
  if (!FORECAST.includes(measure.id) || !outlook?.due || outlook.question?.last !== from) return [];
  const days: number[] = [];
  for (let day = 0; day <= outlook.due.day + FORECAST_STEP_DAYS; day += FORECAST_STEP_DAYS) days.push(day);
  return days.flatMap((day) => {
    const state = outlookAfter(outlook, day, noise);
    if (!state) return [];
    const band = measure.id === "toeLength" ? state.toeLength : state.axis;
    const shift = measure.id === "dorsalAngle" ? (outlook.question?.pasternAngle ?? 0) : 0;
    return [
      { date: addDays(from, day), mean: band.mean + shift, low: band.low + shift, high: band.high + shift },
    ];
  });
}

/** Days as numbers for a linear scale. */
export const dayOf = (date: IsoDate): number => dayNumber(date);
