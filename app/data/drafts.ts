import { session } from "./session";
import { storageTrouble } from "./trouble";

/** Keeps text that is being typed; an empty change of mind is kept too. */
export async function keepDraft(key: string, text: string): Promise<void> {
  try {
    await session.db.drafts.put({ key, text });
  } catch (error) {
    session.say({ kind: "failed", message: storageTrouble(error) });
  }
}

export async function dropDraft(key: string): Promise<void> {
  try {
    await session.db.drafts.delete(key);
  } catch (error) {
    session.say({ kind: "failed", message: storageTrouble(error) });
  }
}

/** The drafts of one visit, by key. Keys start with the visit's id. */
export async function draftsOf(prefix: string): Promise<Record<string, string>> {
  const rows = await session.db.drafts.where("key").startsWith(prefix).toArray();
  return Object.fromEntries(rows.map(({ key, text }) => [key, text]));
}
