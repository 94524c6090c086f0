import Dexie from "dexie";
import { readingId } from "~core/foot/records/reading";
import type { Noise } from "~core/repeatability/repeatability";
import { plannedAgainstDone, type PlannedDone } from "~core/trim/done";
import { session } from "./session";

/** A hand changes: its habit is told by so many of the latest feet by each way of planning. */
const LATEST_FEET = 400;

/** The latest feet that were planned and measured again after the trim: planned against done. */
export async function plannedFeet(noise: Noise): Promise<PlannedDone[][]> {
  const { db } = session;
  const planned = await Promise.all(
    (["lenses", "hand"] as const).map((by) =>
      db.trims
        .where("[plan.by+date]")
        .between([by, Dexie.minKey], [by, Dexie.maxKey])
        .reverse()
        .filter(({ plan }) => plan?.agreed === true)
        .limit(LATEST_FEET)
        .toArray(),
    ),
  );
  const trims = planned.flat();
  const after = await db.readings.bulkGet(
    trims.map(({ visitId, limb }) => readingId(visitId, limb, "after")),
  );
  return trims.flatMap(({ plan }, index) => {
    const reading = after[index];
    const rows = plan && reading ? plannedAgainstDone(plan, reading.values, noise) : [];
    return rows.length > 0 ? [rows] : [];
  });
}
