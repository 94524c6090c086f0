import { besideStore, noteHeld } from "./held";
import { session } from "./session";

const PERSIST = "persist";

/** What the browser answered when it was asked to keep one's own records; nothing while it was not. */
export const persistAnswer = async (): Promise<string | undefined> =>
  (await session.db.facts.get(PERSIST))?.value;

/** Asks the browser to keep the records and notes what it says. */
export async function askToPersist(): Promise<boolean> {
  const kept = (await navigator.storage?.persist?.().catch(() => false)) ?? false;
  await session.db.facts.put({ key: PERSIST, value: kept ? "yes" : "no" });
  return kept;
}

let asked = false;
/** The first own record that is made here is worth being kept: the browser is asked once, and what is held is noted. */
export async function persistFirstRecord(): Promise<void> {
  if (asked || session.round !== "own" || !globalThis.navigator?.storage?.persist) return;
  asked = true;
  if ((await persistAnswer()) === undefined) await askToPersist();
  await noteHeld(session.db, besideStore()).catch(() => undefined);
}
