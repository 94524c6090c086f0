/** A day on the calendar, `YYYY-MM-DD`, without time or zone. */
export type IsoDate = string;

const MS_PER_DAY = 86_400_000;

/** True for a real day of the calendar: 2026-02-30 is not one. */
export function isIsoDate(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const ms = Date.parse(`${text}T00:00:00Z`);
  return Number.isFinite(ms) && new Date(ms).toISOString().slice(0, 10) === text;
}

/** Whole days since 1970-01-01. */
export const dayNumber = (date: IsoDate): number => Date.parse(`${date}T00:00:00Z`) / MS_PER_DAY;

export const dateOfDay = (day: number): IsoDate =>
  new Date(Math.round(day) * MS_PER_DAY).toISOString().slice(0, 10);

export const addDays = (date: IsoDate, days: number): IsoDate => dateOfDay(dayNumber(date) + days);

/** Days from the first to the second; negative when the second is earlier. */
export const daysBetween = (from: IsoDate, to: IsoDate): number => dayNumber(to) - dayNumber(from);

/** Day of the week: 0 is Monday, 6 is Sunday. */
export const weekday = (date: IsoDate): number => (((dayNumber(date) + 3) % 7) + 7) % 7;

/** 1 on the first of January. */
export const dayOfYear = (date: IsoDate): number =>
  dayNumber(date) - dayNumber(`${date.slice(0, 4)}-01-01`) + 1;
