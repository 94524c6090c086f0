import { addDays, type IsoDate } from "../calendar/date";
import {
  AXIS_LIMIT_DEG,
  AXIS_WORSE_DEG,
  SHORT_CYCLE_DAYS,
  SHORT_WINDOW_DAYS,
  TOE_OVER_MM,
  WINDOW_DAYS,
} from "../constants/due";
import { Z_CENTRAL_80, Z_ONE_SIDED_80 } from "../math/statistics";
import { seasonFrom, type Hemisphere } from "../calendar/season";

interface DailyRate {
  perDay: number;
  sd: number;
}

/** What a foot was left with and how it changes. Lengths mm, angles deg, rates a day. */
export interface DueQuestion {
  last: IsoDate;
  toeLength: number;
  toeTarget: number;
  toeOver?: number;
  dorsalAngle: number;
  pasternAngle: number;
  axisLimit?: number;
  axisWorse?: number;
  growth: DailyRate;
  drift: DailyRate;
  hemisphere?: Hemisphere;
  capWeeks: number;
}

export type DueReason = "toe" | "axis" | "cap";

export interface Due {
  due: IsoDate;
  windowStart: IsoDate;
  reason: DueReason;
  /** Days from the last visit to the due date. */
  day: number;
}

/** The state of a foot some days after a trim: mean and the central 80 % band. */
export interface FootForecast {
  day: number;
  toeLength: Band;
  axis: Band;
}

export interface Band {
  mean: number;
  low: number;
  high: number;
}

/** Mean and spread of toe length and axis, a number of days after the last visit. */
function stateOf(foot: Omit<DueQuestion, "capWeeks" | "toeTarget">) {
  const seasonAfter = seasonFrom(foot.last, foot.hemisphere ?? "north");
  return (days: number) => {
    const season = seasonAfter(days);
    return {
      toe: { mean: foot.toeLength + foot.growth.perDay * season, sd: foot.growth.sd * Math.abs(season) },
      axis: {
        mean: foot.dorsalAngle - foot.pasternAngle + foot.drift.perDay * days,
        sd: foot.drift.sd * days,
      },
    };
  };
}

/** Within-subject sd of the reading that a forecast starts from. */
interface StartNoise {
  toeSd: number;
  axisSd: number;
}

/**
 * Toe length and axis `days` after the trim with the central 80 % band (mean +- 1.28 sd). The pastern stays put.
 *
 * The spread is that of the rate and, in quadrature, of the reading it starts from: however well a foot's growth is
 * known, its length today was measured once. The due date itself uses the rate alone.
 */
export function forecastFoot(
  foot: Omit<DueQuestion, "capWeeks" | "toeTarget">,
  days: number,
  start: StartNoise = { toeSd: 0, axisSd: 0 },
): FootForecast {
  const { toe, axis } = stateOf(foot)(days);
  const band = (mean: number, sd: number): Band => ({
    mean,
    low: mean - Z_CENTRAL_80 * sd,
    high: mean + Z_CENTRAL_80 * sd,
  });
  return {
    day: days,
    toeLength: band(toe.mean, Math.hypot(toe.sd, start.toeSd)),
    axis: band(axis.mean, Math.hypot(axis.sd, start.axisSd)),
  };
}

/**
 * The earliest whole day on which, at the one-sided 80th percentile, the toe goes past its limit, or the axis goes
 * past its limit either way, or the cap is reached.
 *
 * "Past" is strictly beyond. A foot that could not be brought inside its limits is due when it has worsened: the toe
 * limit starts from the longer of target and what was left, the axis limit from the axis left. On one and the same
 * day toe speaks before axis, axis before cap. `capWeeks` > 0. The window is the 7 days before, 3 when due within 28.
 */
export function footDue(foot: DueQuestion): Due {
  const axisLeft = foot.dorsalAngle - foot.pasternAngle;
  const limit = foot.axisLimit ?? AXIS_LIMIT_DEG.value;
  const worse = foot.axisWorse ?? AXIS_WORSE_DEG.value;
  const toeLimit = Math.max(foot.toeTarget, foot.toeLength) + (foot.toeOver ?? TOE_OVER_MM.value);
  const backLimit = Math.min(-limit, axisLeft - worse);
  const forwardLimit = Math.max(limit, axisLeft + worse);
  const stateAfter = stateOf(foot);
  const capDay = Math.max(1, Math.round(foot.capWeeks * 7));
  for (let day = 1; day <= capDay; day++) {
    const { toe, axis } = stateAfter(day);
    if (toe.mean + Z_ONE_SIDED_80 * toe.sd > toeLimit) return dueOn(foot.last, day, "toe");
    if (
      axis.mean - Z_ONE_SIDED_80 * axis.sd < backLimit ||
      axis.mean + Z_ONE_SIDED_80 * axis.sd > forwardLimit
    )
      return dueOn(foot.last, day, "axis");
  }
  return dueOn(foot.last, capDay, "cap");
}

/** A due day so many days after the last visit, with its window. */
export function dueOn(last: IsoDate, day: number, reason: DueReason): Due {
  const window = day <= SHORT_CYCLE_DAYS.value ? SHORT_WINDOW_DAYS.value : WINDOW_DAYS.value;
  return { due: addDays(last, day), windowStart: addDays(last, day - window), reason, day };
}

/** Due by the cap alone, for a foot that was not measured. */
export const capDue = (last: IsoDate, capWeeks: number): Due => dueOn(last, Math.round(capWeeks * 7), "cap");
