import { z } from "zod";
import type { Database } from "./database";

const BACKUP = "backup";
const keptSchema = z.object({ at: z.number(), act: z.int(), folder: z.boolean() });

/** The last backup that was made here: when, up to which act, and whether into the folder. */
export async function lastBackup(db: Database): Promise<z.infer<typeof keptSchema> | undefined> {
  const kept = await db.facts.get(BACKUP);
  return kept ? keptSchema.parse(JSON.parse(kept.value)) : undefined;
}

/** Notes that a backup was made of all that this device had done by then. */
export async function noteBackup(db: Database, act: number, folder: boolean): Promise<void> {
  await db.facts.put({ key: BACKUP, value: JSON.stringify({ at: Date.now(), act, folder }) });
}
