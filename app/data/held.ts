import { heldNow, heldSchema, isLost, type Held } from "~core/record/lostStore";
import { lastBackup } from "./backupNote";
import type { Database } from "./database";
import { deviceOf, knowDevice } from "./device";

const HELD = "plumbline.held";
type Beside = Pick<Storage, "getItem" | "setItem" | "removeItem"> | undefined;

/** The small store of the browser, which its damage does not reach; undefined where its user has blocked it. */
export function besideStore(): Beside {
  try {
    return globalThis.localStorage;
  } catch {
    return undefined;
  }
}

/** What lies beside the store; what cannot be read there says nothing. */
function readHeld(beside: Beside): Held | undefined {
  try {
    return heldSchema.safeParse(JSON.parse(beside?.getItem(HELD) ?? "null")).data;
  } catch {
    return undefined;
  }
}

async function found(db: Database) {
  await knowDevice(db);
  const [{ id, store = id }, horses] = await Promise.all([deviceOf(db), db.horses.count()]);
  return { device: store, horses };
}

/** Notes beside the store what it holds. */
export async function noteHeld(db: Database, beside: Beside, now = Date.now()): Promise<void> {
  const backup = await lastBackup(db);
  const held = heldNow(readHeld(beside), {
    ...(await found(db)),
    at: now,
    ...(backup && { backup: { at: backup.at, folder: backup.folder } }),
  });
  if (held) beside?.setItem(HELD, JSON.stringify(held));
  else beside?.removeItem(HELD);
}

/** What the store held that is gone; undefined where nothing is. */
export async function lostHeld(db: Database, beside: Beside): Promise<Held | undefined> {
  const held = readHeld(beside);
  return held && isLost(held, await found(db)) ? held : undefined;
}

/** Its user begins anew without what was lost. */
export const forgetHeld = (beside: Beside): void => beside?.removeItem(HELD);
