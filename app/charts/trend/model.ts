import { extent } from "d3-array";
import { addDays, dayNumber, type IsoDate } from "~core/calendar/date";
import { axisChangeNoise } from "~core/foot/axis";
import type { FootOutlook, FootVisit } from "~core/cycle/horseDue";
import { leftWith, outlookAfter } from "~core/cycle/horseDue";
import type { FootValues } from "~core/foot/measures";
import type { Noise } from "~core/repeatability/repeatability";

/** What a trend can show. */
export const TREND_MEASURES = ["toeLength", "dorsalAngle", "axis", "heelDifference"] as const;
export type TrendMeasure = (typeof TREND_MEASURES)[number];

export const TREND_NAMES: Record<TrendMeasure, string> = {
  toeLength: "Toe length",
  dorsalAngle: "Dorsal angle",
  axis: "Axis",
  heelDifference: "Heel difference",
};

export const isLength = (measure: TrendMeasure): boolean =>
  measure === "toeLength" || measure === "heelDifference";

/** One visit: a value before and after; each can be missing. */
export interface TrendVisit {
  date: IsoDate;
  before?: number;
  after?: number;
}

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

const valueOf = (values: FootValues | undefined, measure: TrendMeasure): number | undefined => {
  if (!values) return undefined;
  const minus = (a: keyof FootValues, b: keyof FootValues) => {
    const [first, second] = [values[a], values[b]];
    return first && second ? first.value - second.value : undefined;
  };
  if (measure === "axis") return minus("dorsalAngle", "pasternAngle");
  if (measure === "heelDifference") return minus("heelHeightLateral", "heelHeightMedial");
  return values[measure]?.value;
};

const noiseOf = (measure: TrendMeasure, noise: Noise): number =>
  ({
    toeLength: noise.lengthMm,
    dorsalAngle: noise.angleDeg,
    axis: axisChangeNoise(noise.angleDeg),
    heelDifference: Math.SQRT2 * noise.lengthMm,
  })[measure];

const FORECAST_STEP_DAYS = 7;

/** Everything a trend draws, in mm or degrees. The forecast reaches one week past the due day. */
export function trendModel(
  measure: TrendMeasure,
  history: readonly FootVisit[],
  outlook: FootOutlook | undefined,
  noise: Noise,
): TrendModel | undefined {
  const visits = history.flatMap(({ date, before, after }): TrendVisit[] => {
    const [b, a] = [valueOf(before, measure), valueOf(after, measure)];
    if (b === undefined && a === undefined) return [];
    return [{ date, ...(b !== undefined && { before: b }), ...(a !== undefined && { after: a }) }];
  });
  const first = visits[0];
  const last = history.at(-1);
  if (!first || !last) return undefined;
  const left = valueOf(leftWith(last), measure);
  const around = noiseOf(measure, noise);
  const forecast = forecastOf(measure, last.date, outlook, noise);
  const all = [
    ...visits.flatMap(({ before, after }) => [before, after]),
    ...forecast.flatMap(({ low, high }) => [low, high]),
    ...(left === undefined ? [] : [left - around, left + around]),
  ].filter((value) => value !== undefined);
  const [low = 0, high = 1] = extent(all);
  const room = Math.max(1, (high - low) * 0.06);
  return {
    measure,
    visits,
    ...(left !== undefined && { band: { low: left - around, high: left + around } }),
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
  if (!outlook?.due || outlook.question?.last !== from || measure === "heelDifference") return [];
  const days: number[] = [];
  for (let day = 0; day <= outlook.due.day + FORECAST_STEP_DAYS; day += FORECAST_STEP_DAYS) days.push(day);
  return days.flatMap((day) => {
    const state = outlookAfter(outlook, day, noise);
    if (!state) return [];
    const band = measure === "toeLength" ? state.toeLength : state.axis;
    const shift = measure === "dorsalAngle" ? (outlook.question?.pasternAngle ?? 0) : 0;
    return [
      { date: addDays(from, day), mean: band.mean + shift, low: band.low + shift, high: band.high + shift },
    ];
  });
}

/** Days as numbers for a linear scale. */
export const dayOf = (date: IsoDate): number => dayNumber(date);
