import type { IsoDate } from "../calendar/date";
import type { RosterRow } from "../cycle/dayPlan";
import { visitFoot, type FootRecords, type VisitFoot } from "./visitFoot";
import { LIMBS, type Limb } from "../foot/limb";
import { isShod, type HorseInCare } from "../record/horse";
import type { Forged } from "../forge/forgeRecord";
import type { Settings } from "../record/settings";
import type { Visit } from "../record/visit";
import type { Material } from "../shoe/specification";
import type { Wording } from "../foot/wording";
import { jobStock } from "../forge/anvil/job";
import { jobOfFoot } from "./footJob";

/** A horse that is to be shod, with the visit that its shoes are worked out from. */
export interface PlannedHorse {
  horse: HorseInCare;
  /** The day it is planned or due. */
  date: IsoDate;
  /** Its last visit: the feet as they were left, the shoes that it wears. */
  last: Visit;
  records: FootRecords;
}

/** One shoe that is to be forged on a coming day. Mm. */
export interface PlannedPiece {
  horse: string;
  date: IsoDate;
  limb: Limb;
  section: { width: number; thickness: number; material: Material };
  length: number;
}

/** Horses whose planned visit or due day lies no later than `until`, soonest first. */
export const comingHorses = (
  rows: readonly RosterRow[],
  until: IsoDate,
): { horse: HorseInCare; last: Visit; date: IsoDate }[] =>
  rows
    .flatMap(({ horse, last, coming }) => {
      const date = coming?.date ?? last?.next?.due;
      return last && date !== undefined && date <= until && LIMBS.some((limb) => isShod(horse, limb))
        ? [{ horse, last, date }]
        : [];
    })
    .sort((a, b) => a.date.localeCompare(b.date) || a.horse.name.localeCompare(b.horse.name));

/**
 * The steel of each shoe a horse will want, from the feet as they were left and the shoes it wears: an estimate until
 * they are measured again. Feet that go bare, and shoes that no steel makes, are left out.
 */
export function plannedPieces(
  { horse, date, last, records }: PlannedHorse,
  settings: Settings,
  log: readonly Forged[],
  wording: Wording,
): PlannedPiece[] {
  const feet = Object.fromEntries(LIMBS.map((limb) => [limb, visitFoot(last, limb, records)])) as Record<
    Limb,
    VisitFoot
  >;
  return LIMBS.filter((limb) => isShod(horse, limb)).flatMap((limb): PlannedPiece[] => {
    const job = jobOfFoot({ visit: last, horse, feet, limb }, settings, wording);
    if (job.spec.type === "bare") return [];
    const { cut } = jobStock(job, settings, log, wording);
    const { width, thickness, material } = job.spec;
    return cut > 0
      ? [{ horse: horse.name, date, limb, section: { width, thickness, material }, length: cut }]
      : [];
  });
}
