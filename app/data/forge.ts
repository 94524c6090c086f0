import type { Limb } from "~core/foot/limb";
import { forgingId, ON_THE_ANVIL, type Forged, type Forging, type Steel } from "~core/forge/forgeRecord";
import type { PlannedHorse } from "~core/visit/comingShoes";
import { addDays } from "~core/calendar/date";
import { readFootAt, type FootAt } from "./footAt";
import { session } from "./session";

/** What the forge reads: the foot if there is one, what lies on the anvil, the log, and the steel. */
export interface ForgeRecords {
  /** The foot whose shoe is to be forged. */
  foot?: FootAt;
  /** What lies on the anvil; made by the first change to it. */
  forging: Forging | undefined;
  forgingId: string;
  forged: Forged[];
  steel: Steel[];
}

/** Undefined where the visit is not in this round. */
export async function readForge(
  of: { visitId: string; limb: Limb } | undefined,
): Promise<ForgeRecords | undefined> {
  const { db } = session;
  const foot = of && (await readFootAt(of));
  if (of && !foot) return undefined;
  const id = of ? forgingId(of.visitId, of.limb) : ON_THE_ANVIL;
  const [forging, forged, steel] = await Promise.all([
    db.forgings.get(id),
    db.forged.toArray(),
    db.steel.toArray(),
  ]);
  return { ...(foot && { foot }), forging, forgingId: id, forged, steel };
}

/** A foot as it was left is told by so many days of records. */
const TOLD_DAYS = 400;

/** Horses with the records that their shoes are worked out from. */
export async function readPlannedHorses(
  coming: readonly Omit<PlannedHorse, "records">[],
): Promise<PlannedHorse[]> {
  const { db } = session;
  return Promise.all(
    coming.map(async ({ horse, last, date }) => {
      const of = horse.id;
      const since = addDays(last.date, -TOLD_DAYS);
      const [readings, trims, watchings, looks, shoes] = await Promise.all([
        db.readings.where("[horseId+date]").between([of, since], [of, "9999"]).toArray(),
        db.trims.where("visitId").equals(last.id).toArray(),
        db.watchings.where("visitId").equals(last.id).toArray(),
        db.looks.where("horseId").equals(of).toArray(),
        db.shoes.where("horseId").equals(of).toArray(),
      ]);
      return { horse, last, date, records: { readings, trims, watchings, looks, photos: [], shoes } };
    }),
  );
}
