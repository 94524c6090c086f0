import { seasonDays, type Hemisphere } from "../../calendar/season";
import type { IsoDate } from "../../calendar/date";
import { Z_CENTRAL_80, type Estimate } from "../../math/statistics";
import type { Limb } from "../limb";
import type { WallPlace } from "../survey/walls";
import type { FindKind } from "../wear";

/** One find as one look has it: the record's own, in the parts that are needed here. */
export interface FindThen {
  kind: FindKind;
  at: readonly [number, number];
  note: string;
  wall?: WallPlace | undefined;
  /** Its upper end below the hairline, mm. */
  belowMm?: number | undefined;
  lengthMm?: number | undefined;
  depthMm?: number | undefined;
  gone?: true | undefined;
}

/** A find over many visits: the same thing, known by its id, with what each look said of it. */
export interface LivingFind<Then extends FindThen = FindThen> {
  id: string;
  kind: FindKind;
  since: IsoDate;
  /** When it was looked at last, and what was there. */
  last: IsoDate;
  latest: Then;
}

interface LookAtFoot<Then extends FindThen> {
  limb: Limb;
  date: IsoDate;
  finds: Readonly<Record<string, Then>>;
}

/** Finds of one foot that are still looked for: those whose latest look does not call them gone, oldest first. */
export function livingFinds<Then extends FindThen>(
  looks: readonly LookAtFoot<Then>[],
  limb: Limb,
): LivingFind<Then>[] {
  const living = new Map<string, LivingFind<Then>>();
  const inOrder = looks.filter((look) => look.limb === limb).sort((a, b) => a.date.localeCompare(b.date));
  for (const { date, finds } of inOrder)
    for (const [id, find] of Object.entries(finds))
      living.set(id, {
        id,
        kind: find.kind,
        since: living.get(id)?.since ?? date,
        last: date,
        latest: find,
      });
  return [...living.values()].filter(({ latest }) => !latest.gone);
}

/** Length of the wall at a place over that at the toe. Assumption, because heels are about half of the toe. */
const WALL_LENGTH_PART: Record<WallPlace, number> = {
  toe: 1,
  toeQuarterMedial: 0.9,
  toeQuarterLateral: 0.9,
  quarterMedial: 0.68,
  quarterLateral: 0.68,
  heelMedial: 0.5,
  heelLateral: 0.5,
};
export const wallLengthAt = (place: WallPlace, toeLengthMm: number): number =>
  WALL_LENGTH_PART[place] * toeLengthMm;

/** Horn that grows: this foot's own rate, mm a season-weighted day. */
export interface Growing {
  perDay: number;
  sd: number;
  hemisphere: Hemisphere;
}

/** Where a find on the wall ought to be by growth. */
export interface FindForecast {
  /** Its upper end below the hairline, mm, with the sd of growth and of two readings. */
  below: Estimate;
  /** 80 of 100 lie between. */
  between: readonly [number, number];
  /** It has reached the ground. */
  grownOut: boolean;
}

/**
 * Where a find's upper end ought to be on a day: it grows down with the wall. Undefined where its place on the wall or
 * its distance below the hairline was never noted. `lengthSd` is that of one reading, mm.
 */
export function findForecast(
  { latest, last }: Pick<LivingFind, "latest" | "last">,
  day: IsoDate,
  growing: Growing,
  toeLengthMm: number,
  lengthSd: number,
): FindForecast | undefined {
  const { wall, belowMm } = latest;
  if (wall === undefined || belowMm === undefined) return undefined;
  const days = seasonDays(last, day, growing.hemisphere);
  const mean = belowMm + growing.perDay * days;
  const sd = Math.hypot(growing.sd * days, Math.SQRT2 * lengthSd);
  return {
    below: { mean, sd },
    between: [Math.max(0, mean - Z_CENTRAL_80 * sd), mean + Z_CENTRAL_80 * sd],
    grownOut: mean >= wallLengthAt(wall, toeLengthMm),
  };
}

/** Days until its upper end reaches the ground, by growth alone; 0 where it has. */
export const daysUntilGrownOut = (
  { below }: FindForecast,
  wall: WallPlace,
  { perDay }: Growing,
  toeLengthMm: number,
): number => Math.max(0, (wallLengthAt(wall, toeLengthMm) - below.mean) / perDay);

/** What became of a find since it was looked at last. */
export type FindVerdict = "as expected" | "better" | "worse" | "does not fit the growth";

/** Beyond this many sd of the forecast a place does not fit the growth: 95 of 100. */
const MISFIT_SD = 1.96;

/**
 * A find as it is now against what growth said. It does not fit where its upper end lies elsewhere than growth takes it
 * (a crack that climbs, another find, another unit); else shorter by more than noise is better, longer worse. Undefined
 * where nothing was noted that can be compared.
 */
export function findVerdict(
  now: Pick<FindThen, "belowMm" | "lengthMm">,
  { latest }: Pick<LivingFind, "latest">,
  forecast: FindForecast | undefined,
  smallestChangeMm: number,
): FindVerdict | undefined {
  const off =
    now.belowMm === undefined || !forecast
      ? undefined
      : (now.belowMm - forecast.below.mean) / forecast.below.sd;
  if (off !== undefined && Math.abs(off) > MISFIT_SD) return "does not fit the growth";
  const longer =
    now.lengthMm === undefined || latest.lengthMm === undefined ? undefined : now.lengthMm - latest.lengthMm;
  if (longer !== undefined && Math.abs(longer) > smallestChangeMm) return longer > 0 ? "worse" : "better";
  return off === undefined && longer === undefined ? undefined : "as expected";
}
