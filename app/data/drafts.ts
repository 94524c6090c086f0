import { session, sittingLock, type TakenDraft, type Typed } from "./session";
import { storageTrouble } from "./trouble";

/** A draft's row: each tab has its own, so that two tabs typing at one place do not meet before one of them is done. */
const rowKey = (key: string): string => `${key} @${session.sitting}`;

/** Keeps text that is being typed, in the store and for this tab at once; `was` is what stood there when it began. */
export async function keepDraft(key: string, text: string, was?: Typed["was"]): Promise<void> {
  session.setTyped(key, { text, ...(was && { was }) });
  if (session.replaced()) return;
  await attempt(() =>
    session.db.drafts.put({ key: rowKey(key), place: key, sitting: session.sitting, text }),
  );
}

export async function dropDraft(key: string): Promise<void> {
  session.setTyped(key, undefined);
  await attempt(() => session.db.drafts.delete(rowKey(key)));
}

/** What is typed at these places at this moment, to go with the change that makes it values. */
export const draftsAt = (...keys: string[]): TakenDraft[] =>
  keys.flatMap((key) => {
    const typed = draftAt(key);
    return typed ? [{ key, text: typed.text }] : [];
  });

/** Takes drafts out of the store, inside the transaction that makes them values; what was typed since stays. */
export async function deleteDrafts(taken: readonly TakenDraft[]): Promise<void> {
  const rows = await session.db.drafts.bulkGet(taken.map(({ key }) => rowKey(key)));
  const still = rows.filter((row, at) => row?.text === taken[at]?.text);
  await session.db.drafts.bulkDelete(still.flatMap((row) => (row ? [row.key] : [])));
}

/** Lets this tab go of drafts that became values; what was typed since stays. */
export function letGoOfDrafts(taken: readonly TakenDraft[]): void {
  for (const { key, text } of taken) if (draftAt(key)?.text === text) session.setTyped(key, undefined);
}

/**
 * Brings in the drafts at places that start so, left by a sitting that broke off. Where this tab has typed they are too
 * late, also when what it typed is a value by now; what another tab is typing at this moment is that tab's.
 */
export async function loadDrafts(prefix: string): Promise<void> {
  const { db, sitting } = session;
  const rows = await db.drafts.where("place").startsWith(prefix).toArray();
  const alive = await sittingsAlive();
  const left = rows.filter((row) => row.sitting !== sitting && !alive.has(row.sitting));
  if (left.length === 0) return;
  const taken = await db
    .transaction("rw", db.drafts, async () => {
      // Another tab may have taken them in between.
      const still = await db.drafts.bulkGet(left.map(({ key }) => key));
      const there = left.filter((_, index) => still[index] !== undefined);
      const ours = there.filter(({ place }) => !session.touched(place));
      await db.drafts.bulkDelete(there.map(({ key }) => key));
      await db.drafts.bulkPut(ours.map((row) => ({ ...row, key: rowKey(row.place), sitting })));
      return ours;
    })
    .catch(() => left);
  for (const { place, text } of taken) if (!session.touched(place)) session.setTyped(place, { text });
}

/** Sittings whose tab is open. Where the browser cannot tell, every other tab counts as gone. */
async function sittingsAlive(): Promise<Set<string>> {
  if (!globalThis.navigator?.locks) return new Set();
  const { held = [] } = await navigator.locks.query();
  const prefix = sittingLock("");
  return new Set(
    held.flatMap(({ name = "" }) => (name.startsWith(prefix) ? [name.slice(prefix.length)] : [])),
  );
}

/** What is typed at this place and is not a value yet. */
export const draftAt = (key: string): Typed | undefined => session.typed.get(key);

/** Every draft whose key starts so. */
export const draftsUnder = (prefix: string): [key: string, text: string][] =>
  [...session.typed].flatMap(([key, { text }]) => (key.startsWith(prefix) ? [[key, text]] : []));

async function attempt(work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (error) {
    session.say({ kind: "failed", message: storageTrouble(error) });
  }
}
