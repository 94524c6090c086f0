import { session } from "./session";
import { storageTrouble } from "./trouble";

/** Keeps text that is being typed, in the store and for this tab at once. */
export async function keepDraft(key: string, text: string): Promise<void> {
  session.typed.set(key, text);
  await attempt(() => session.db.drafts.put({ key, text }));
}

export async function dropDraft(key: string): Promise<void> {
  session.typed.delete(key);
  await attempt(() => session.db.drafts.delete(key));
}

/** Brings in the drafts whose keys start so, left by a sitting that broke off; what this tab has typed stays. */
export async function loadDrafts(prefix: string): Promise<void> {
  const rows = await session.db.drafts.where("key").startsWith(prefix).toArray();
  for (const { key, text } of rows) if (!session.typed.has(key)) session.typed.set(key, text);
}

/** The text that was typed at this place and is not a value yet. */
export const draftAt = (key: string): string | undefined => session.typed.get(key);

/** Every draft whose key starts so. */
export const draftsUnder = (prefix: string): [key: string, text: string][] =>
  [...session.typed].filter(([key]) => key.startsWith(prefix));

async function attempt(work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (error) {
    session.say({ kind: "failed", message: storageTrouble(error) });
  }
}
