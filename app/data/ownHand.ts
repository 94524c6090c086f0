import { readingId } from "~core/foot/records/reading";
import type { Noise } from "~core/repeatability/repeatability";
import { plannedAgainstDone, type PlannedDone } from "~core/trim/done";
import { session } from "./session";

/** Every foot of the round that was planned and measured again after the trim: planned against done. */
export async function plannedFeet(noise: Noise): Promise<PlannedDone[][]> {
  const { db } = session;
  const trims = await db.trims.filter(({ plan }) => plan?.agreed === true).toArray();
  const after = await db.readings.bulkGet(
    trims.map(({ visitId, limb }) => readingId(visitId, limb, "after")),
  );
  return trims.flatMap(({ plan }, index) => {
    const reading = after[index];
    const rows = plan && reading ? plannedAgainstDone(plan, reading.values, noise) : [];
    return rows.length > 0 ? [rows] : [];
  });
}
