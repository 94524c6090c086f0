import dayjs from "dayjs";

/** Today where the user stands, YYYY-MM-DD: the only clock of the screens. */
export const todayHere = (): string => dayjs().format("YYYY-MM-DD");

/** "Monday 23 November" */
export const longDay = (date: string): string => dayjs(date).format("dddd D MMMM");

/** "23 Nov", with the year when it is not this one. */
export const shortDay = (date: string): string =>
  dayjs(date).format(date.slice(0, 4) === todayHere().slice(0, 4) ? "D MMM" : "D MMM YYYY");

/** "23 Nov, 14:05", where the user stands. */
export const momentOf = (ms: number): string =>
  `${shortDay(dayjs(ms).format("YYYY-MM-DD"))}, ${dayjs(ms).format("HH:mm")}`;
