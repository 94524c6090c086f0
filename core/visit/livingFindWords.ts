import { daysBetween, type IsoDate } from "../calendar/date";
import type { FootOutlook } from "../cycle/horseDue";
import {
  daysUntilGrownOut,
  findForecast,
  livingFinds,
  type FindForecast,
  type LivingFind,
} from "../foot/records/livingFinds";
import type { Find, Look } from "../foot/records/look";
import type { Limb } from "../foot/limb";
import { WALL_PLACE_NAMES } from "../foot/survey/walls";
import { FIND_KINDS } from "../foot/wear";
import type { Wording } from "../foot/wording";
import type { Hemisphere } from "../calendar/season";
import { sdOfSmallestChange, type Noise } from "../repeatability/repeatability";
import { counted } from "../units/counted";

/** A living find with where it ought to be on a day. */
export interface AwaitedFind extends LivingFind<Find> {
  limb: Limb;
  forecast: FindForecast | undefined;
  /** Until growth has taken it to the ground, days of an even season. */
  daysLeft: number | undefined;
}

interface AwaitedContext {
  day: IsoDate;
  /** The visit at which they are looked for: what it has found itself does not count. */
  visitId?: string;
  outlook: Pick<FootOutlook, "growth"> | undefined;
  hemisphere: Hemisphere;
  toeLengthMm: number;
  noise: Noise;
}

/** The finds of one foot that a visit has to look for, from the looks before it. */
export function awaitedFinds(looks: readonly Look[], limb: Limb, context: AwaitedContext): AwaitedFind[] {
  const { day, visitId, outlook, hemisphere, toeLengthMm, noise } = context;
  const before = looks.filter((look) => look.visitId !== visitId && look.date <= day);
  return livingFinds(before, limb).map((find) => {
    const growing = outlook && { ...outlook.growth, hemisphere };
    const forecast =
      growing && findForecast(find, day, growing, toeLengthMm, sdOfSmallestChange(noise.lengthMm));
    const { wall } = find.latest;
    return {
      ...find,
      limb,
      forecast,
      daysLeft:
        forecast && wall && !forecast.grownOut
          ? daysUntilGrownOut(forecast, wall, growing, toeLengthMm)
          : undefined,
    };
  });
}

/** "Crack, quarter, outside, for 6 weeks. Was 12 mm below the hairline, about 21 mm today (18 mm to 24 mm). Grown out in about 24 weeks." */
export function awaitedInWords(find: AwaitedFind, day: IsoDate, wording: Wording): string {
  const { latest, forecast, since } = find;
  const place = latest.wall && `, ${wording.inOwnWords(WALL_PLACE_NAMES[latest.wall]).toLowerCase()}`;
  const weeks = Math.round(daysBetween(since, day) / 7);
  const age = weeks < 1 ? "" : `, for ${counted(weeks, "week")}`;
  const head = `${FIND_KINDS[latest.kind]}${place ?? ""}${age}.`;
  if (!forecast || latest.belowMm === undefined) return `${head}${latest.note ? ` ${latest.note}.` : ""}`;
  const was = `Was ${wording.length(latest.belowMm)} below the hairline`;
  if (forecast.grownOut) return `${head} ${was}: by growth it has reached the ground.`;
  const [least, most] = forecast.between;
  return `${head} ${was}, about ${wording.length(forecast.below.mean)} today (${wording.length(least)} to ${wording.length(most)}).${find.daysLeft === undefined ? "" : ` Grown out in about ${counted(Math.max(1, Math.round(find.daysLeft / 7)), "week")}.`}`;
}
