import { visitFoot, type VisitFoot } from "~core/visit/visitFoot";
import { LIMBS, type Limb } from "~core/foot/limb";
import { forgingId, ON_THE_ANVIL, type Forged, type Forging, type Steel } from "~core/forge/forgeRecord";
import type { Visit } from "~core/record/visit";
import { comingHorses, type PlannedHorse } from "~core/visit/comingShoes";
import { readHorseFile, readRoster, visitById, type HorseFile } from "./queries";
import { session } from "./session";

/** A foot whose shoe is to be forged, with all that its fit is worked out from. */
export interface ForgeFoot {
  visit: Visit;
  file: HorseFile;
  limb: Limb;
  feet: Record<Limb, VisitFoot>;
}

/** What the forge reads: the foot if there is one, what lies on the anvil, the log, and the steel. */
export interface ForgeRecords {
  foot?: ForgeFoot;
  forging?: Forging;
  log: Forged[];
  steel: Steel[];
}

/** Undefined where the visit is not in this round. */
export async function readForge(
  of: { visitId: string; limb: Limb } | undefined,
): Promise<ForgeRecords | undefined> {
  const { db } = session;
  const foot = of && (await readFoot(of));
  if (of && !foot) return undefined;
  const [forging, log, steel] = await Promise.all([
    db.forgings.get(of ? forgingId(of.visitId, of.limb) : ON_THE_ANVIL),
    db.forged.toArray(),
    db.steel.toArray(),
  ]);
  return { ...(foot && { foot }), ...(forging && { forging }), log, steel };
}

async function readFoot({ visitId, limb }: { visitId: string; limb: Limb }): Promise<ForgeFoot | undefined> {
  const visit = await visitById(visitId);
  const file = visit && (await readHorseFile(visit.horseId));
  if (!visit || !file) return undefined;
  const feet = Object.fromEntries(LIMBS.map((one) => [one, visitFoot(visit, one, file)])) as Record<
    Limb,
    VisitFoot
  >;
  return { visit, file, limb, feet };
}

/** Horses that are planned or due up to that day, with the records that their shoes are worked out from. */
export async function readPlannedHorses(until: string): Promise<PlannedHorse[]> {
  const { db } = session;
  const { rows } = await readRoster();
  const coming = comingHorses(rows, until);
  const ids = coming.map(({ horse }) => horse.id);
  const of = <T extends { horseId: string }>(rowsOf: readonly T[], id: string) =>
    rowsOf.filter(({ horseId }) => horseId === id);
  const [readings, trims, watchings, looks, shoes] = await Promise.all([
    db.readings.where("horseId").anyOf(ids).toArray(),
    db.trims.where("horseId").anyOf(ids).toArray(),
    db.watchings.where("horseId").anyOf(ids).toArray(),
    db.looks.where("horseId").anyOf(ids).toArray(),
    db.shoes.where("horseId").anyOf(ids).toArray(),
  ]);
  return coming.map(({ horse, last, date }) => ({
    horse,
    last,
    date,
    records: {
      readings: of(readings, horse.id),
      trims: of(trims, horse.id),
      watchings: of(watchings, horse.id),
      looks: of(looks, horse.id),
      photos: [],
      shoes: of(shoes, horse.id),
    },
  }));
}
