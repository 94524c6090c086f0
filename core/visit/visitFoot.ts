import type { Limb } from "../foot/limb";
import type { FootValues } from "../foot/measures";
import type { Look } from "../foot/records/look";
import type { FilmedSole } from "../foot/survey/filmed";
import type { Photo } from "../photo/photoRecord";
import type { Film } from "../radiograph/filmRecord";
import type { Moment, Reading } from "../foot/records/reading";
import type { ShoeRecord } from "../shoe/shoeRecord";
import type { Trim } from "../trim/trimRecord";
import type { Visit } from "../record/visit";
import type { WatchingRecord } from "../gait/watchingRecord";
import { footHistory, type FootVisit } from "../cycle/horseDue";
import { filmedOn } from "./filmOfFoot";

/** Everything that is kept of one horse's feet, all visits. */
export interface FootRecords {
  readings: readonly Reading[];
  trims: readonly Trim[];
  watchings: readonly WatchingRecord[];
  looks: readonly Look[];
  photos: readonly Photo[];
  shoes: readonly ShoeRecord[];
  /** Left out where no radiograph is asked for. */
  films?: readonly Film[];
}

/** One foot at one visit: what was watched, found, measured and cut, and how the visit before left it. */
export interface VisitFoot {
  limb: Limb;
  values: Record<Moment, FootValues>;
  confirmed: Record<Moment, readonly string[]>;
  cuts: Trim["cuts"];
  reading: Partial<Record<Moment, Reading>>;
  /** By look. */
  watching: Partial<Record<string, WatchingRecord>>;
  look?: Look;
  trim?: Trim;
  shoe?: ShoeRecord;
  /** The shoe of the last visit before this one at which one was chosen. */
  lastShoe?: ShoeRecord;
  /** How the foot was watched on the day that shoe was nailed on, before it. */
  lastWatching?: WatchingRecord;
  photos: readonly Photo[];
  /** The last visit before this one at which this foot was measured. */
  last?: FootVisit;
  /** What that visit left of it: after its trim, else before. */
  lastReading?: Reading;
  /** Readings before this visit that hold a sole survey, oldest first. */
  surveys: readonly Reading[];
  /** The look at the visit before. */
  lastLook?: Look;
  /** What the newest radiograph tells of its sole. */
  filmed?: FilmedSole;
}

export function visitFoot(visit: Pick<Visit, "id" | "date">, limb: Limb, records: FootRecords): VisitFoot {
  const here = <T extends { visitId: string; limb: Limb }>(rows: readonly T[]) =>
    rows.filter((one) => one.visitId === visit.id && one.limb === limb);
  const byMoment = <T extends { moment: Moment }>(rows: readonly T[]): Partial<Record<Moment, T>> =>
    Object.fromEntries(rows.map((row) => [row.moment, row]));
  const reading = byMoment(here(records.readings));
  const trim = here(records.trims)[0];
  const look = here(records.looks)[0];
  const isEarlier = (one: { visitId: string; date: string }) =>
    one.visitId !== visit.id && one.date <= visit.date;
  const earlier = records.readings.filter(isEarlier);
  const last = footHistory(earlier, limb).findLast(({ before: b, after: a }) => measured(b) || measured(a));
  const lastReading = earlier
    .filter((one) => one.limb === limb)
    .sort((a, b) => a.date.localeCompare(b.date) || b.moment.localeCompare(a.moment))
    .at(-1);
  const shoe = here(records.shoes)[0];
  const lastShoe = records.shoes
    .filter((one) => isEarlier(one) && one.limb === limb && one.spec)
    .sort((a, b) => a.date.localeCompare(b.date))
    .at(-1);
  const lastWatching =
    lastShoe &&
    records.watchings.find(
      (one) => one.visitId === lastShoe.visitId && one.limb === limb && one.look === "before",
    );
  const lastLook = records.looks
    .filter((one) => isEarlier(one) && one.limb === limb)
    .sort((a, b) => a.date.localeCompare(b.date))
    .at(-1);
  const filmed = filmedOn(limb, visit.date, records);
  return {
    limb,
    values: { before: reading.before?.values ?? {}, after: reading.after?.values ?? {} },
    confirmed: { before: reading.before?.confirmed ?? [], after: reading.after?.confirmed ?? [] },
    cuts: trim?.cuts ?? {},
    reading,
    watching: Object.fromEntries(here(records.watchings).map((row) => [row.look, row])),
    photos: here(records.photos),
    surveys: earlier
      .filter((one) => one.limb === limb && Object.keys(one.sole).length > 0)
      .sort((a, b) => a.date.localeCompare(b.date) || b.moment.localeCompare(a.moment)),
    ...(trim && { trim }),
    ...(shoe && { shoe }),
    ...(lastShoe && { lastShoe }),
    ...(lastWatching && { lastWatching }),
    ...(look && { look }),
    ...(last && { last }),
    ...(lastReading && { lastReading }),
    ...(lastLook && { lastLook }),
    ...(filmed && { filmed }),
  };
}

const measured = (values: FootValues | undefined): boolean =>
  values !== undefined && Object.keys(values).length > 0;
