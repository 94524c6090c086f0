import { shortDay } from "~app/ui/days";
import type { LookOfVisit } from "~core/gait/looks";

/** "as it came", "shoes off, again", "12 Dec". */
export const lookName = ({ time, date, more }: LookOfVisit): string =>
  time === "later day" ? (date ? shortDay(date) : "a later day") : more ? `${time}, again` : time;
