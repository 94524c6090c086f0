import { addDays, daysBetween, weekday, type IsoDate } from "../calendar/date";
import type { Entry } from "../constants/entry";
import type { SEASON_PEAK } from "../constants/growth";
import type { HorseInCare } from "../record/horse";
import type { Reading } from "../foot/records/reading";
import type { HorseDue } from "../record/visit";
import type { Noise } from "../repeatability/repeatability";
import { footDue } from "./due";
import { capWeeksOf, horseOutlook, type DueRules } from "./horseDue";
import { seasonDays } from "../calendar/season";

/** Part of a working day that goes on the road and on getting in and out. */
export const ROAD_SHARE: Entry<number> = {
  value: 0.2,
  unit: "part of the hours",
  source:
    "assumption, because a round of some yards a day drives about an hour and stops three or four times",
  validFor: "a country round",
  sure: "assumption",
};

/** A horse as far as its future is concerned. */
export interface ForecastHorse {
  horse: HorseInCare;
  last: IsoDate;
  next: Pick<HorseDue, "due">;
  minutes: number;
  readings: Reading[];
}

/** The days on which a horse comes due, one after the other. */
export interface HorseForecast {
  horseId: string;
  minutes: number;
  dues: IsoDate[];
}

/**
 * When a horse comes due up to a day, if it is done each time on its due day and left as it was last time: growth and
 * drift are its own, the season is that of each interval, so cycles shorten as horn grows faster. One that is over its
 * due day is taken as done today. An estimate.
 */
export function forecastHorse(
  { horse, last, next, minutes, readings }: ForecastHorse,
  rules: DueRules,
  today: IsoDate,
  until: IsoDate,
  noise?: Noise,
): HorseForecast {
  const questions = horseOutlook(horse, readings, rules, noise).flatMap(({ question }) =>
    question?.last === last ? [question] : [],
  );
  const capDays = Math.max(1, Math.round(capWeeksOf(horse, rules) * 7));
  const dues: IsoDate[] = [];
  let due = next.due < today ? today : next.due;
  while (due <= until) {
    dues.push(due);
    const done = due;
    const days = questions.map((question) => footDue({ ...question, last: done }).day);
    due = addDays(done, Math.max(1, Math.min(capDays, ...days)));
  }
  return { horseId: horse.id, minutes, dues };
}

/** A week of work to come. Minutes. */
export interface WorkWeek {
  monday: IsoDate;
  horses: number;
  minutes: number;
  /** Hours of the week less the road's share. */
  have: number;
  /** How fast horn grows in this week, 1 over the year. */
  season: number;
  /** What has piled up by its end when no more is worked than there is time for. */
  behind: number;
}

/** The weeks to come from this one: what falls due in each, and what piles up. */
export function workload(
  forecasts: readonly HorseForecast[],
  weekMinutes: readonly number[],
  hemisphere: keyof typeof SEASON_PEAK.value,
  today: IsoDate,
  weeks: number,
): WorkWeek[] {
  const first = addDays(today, -weekday(today));
  const rows = Array.from({ length: weeks }, (_, index): WorkWeek => {
    const monday = addDays(first, index * 7);
    // This week has only the days that are left of it.
    const days = weekMinutes.filter((_minutes, day) => addDays(monday, day) >= today);
    return {
      monday,
      horses: 0,
      minutes: 0,
      have: days.reduce((sum, minutes) => sum + minutes, 0) * (1 - ROAD_SHARE.value),
      season: seasonDays(monday, addDays(monday, 7), hemisphere) / 7,
      behind: 0,
    };
  });
  for (const { dues, minutes } of forecasts)
    for (const due of dues) {
      const row = rows[Math.floor(daysBetween(first, due) / 7)];
      if (!row) continue;
      row.horses += 1;
      row.minutes += minutes;
    }
  let behind = 0;
  for (const row of rows) {
    behind = Math.max(0, behind + row.minutes - row.have);
    row.behind = behind;
  }
  return rows;
}

/** The whole of it for a round: what a worker runs. */
export function roundForecast(
  horses: readonly ForecastHorse[],
  rules: DueRules,
  weekMinutes: readonly number[],
  today: IsoDate,
  weeks: number,
): WorkWeek[] {
  const until = addDays(today, weeks * 7);
  const forecasts = horses.map((horse) => forecastHorse(horse, rules, today, until));
  return workload(forecasts, weekMinutes, rules.hemisphere, today, weeks);
}
