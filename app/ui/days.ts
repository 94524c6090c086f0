import dayjs from "dayjs";
import { isIsoDate } from "~core/calendar/date";

/** Today where the user stands, YYYY-MM-DD: the only clock of the screens. */
export const todayHere = (): string => dayjs().format("YYYY-MM-DD");

/** What stands for a day that is none: a damaged file may tell any. */
const NO_DAY = "a day that is not told";

/** "Monday 23 November" */
export const longDay = (date: string): string =>
  isIsoDate(date) ? dayjs(date).format("dddd D MMMM") : NO_DAY;

/** "23 Nov", with the year when it is not this one. */
export const shortDay = (date: string): string =>
  !isIsoDate(date)
    ? NO_DAY
    : dayjs(date).format(date.slice(0, 4) === todayHere().slice(0, 4) ? "D MMM" : "D MMM YYYY");

/** "23 Nov, 14:05", where the user stands. */
export const momentOf = (ms: number): string =>
  !dayjs(ms).isValid() ? NO_DAY : `${shortDay(dayjs(ms).format("YYYY-MM-DD"))}, ${dayjs(ms).format("HH:mm")}`;
