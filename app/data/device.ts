import { z } from "zod";
import { seenSchema, type History, type Seen, type Stamp } from "~core/record/stamps";
import type { Database } from "./database";

/**
 * This device as a store knows it. Each filling of a store, and each start of a page over it, is a device of its own to the
 * others: a store may have been copied, or put back to an earlier state, and no two acts may ever bear one stamp. Acts are
 * counted on through all starts of a filling.
 */
const deviceSchema = z.object({
  id: z.string(),
  name: z.string(),
  act: z.int(),
  /** The first id of this filling. */
  store: z.string().optional(),
  /** The last act before this id. */
  since: z.int().optional(),
});
export type Device = z.infer<typeof deviceSchema>;

const namesSchema = z.record(z.string(), z.string());
const [DEVICE, SEEN, NAMES] = ["device", "seen", "devices"];

/** What a device is called until its user says otherwise. */
const usualName = (): string =>
  /android|iphone|ipad|mobile/i.test(globalThis.navigator?.userAgent ?? "") ? "Phone" : "Computer";

const newDevice = (name: string): Device => ({ id: crypto.randomUUID().slice(0, 13), name, act: 0 });

async function factOf<T>(db: Database, key: string, schema: z.ZodType<T>, missing: T): Promise<T> {
  const kept = await db.facts.get(key);
  return kept ? schema.parse(JSON.parse(kept.value)) : missing;
}

/** This device; one that was not known yet is not kept before its first act. */
export const deviceOf = (db: Database): Promise<Device> =>
  factOf(db, DEVICE, deviceSchema, newDevice(usualName()));

const keepDevice = (db: Database, device: Device) =>
  db.facts.put({ key: DEVICE, value: JSON.stringify(device) });

/** Keeps who this device is, so that its files say so before its first act. */
export const knowDevice = (db: Database): Promise<void> =>
  db.transaction("rw", db.facts, async () => {
    if (!(await db.facts.get(DEVICE))) await keepDevice(db, await deviceOf(db));
  });

/** A page starts over this store: from here on it acts under an id of its own; the ids before are known, if they acted. */
export const startSitting = (db: Database): Promise<void> =>
  db.transaction("rw", db.facts, async () => {
    const device = await deviceOf(db);
    const { id, name, act, store = id, since = 0 } = device;
    if (act > since) {
      const [seen, names] = [
        await factOf(db, SEEN, seenSchema, {}),
        await factOf(db, NAMES, namesSchema, {}),
      ];
      await keepKnown(db, { seen: { ...seen, [id]: act }, devices: { ...names, [id]: name } });
    }
    await keepDevice(db, { ...newDevice(name), act, store, since: act });
  });

/** The stamp of the next act of this device, counted; inside the transaction of the act, which writes `facts`. */
export async function nextAct(db: Database): Promise<Stamp> {
  const device = await deviceOf(db);
  const act = device.act + 1;
  await keepDevice(db, { ...device, act });
  return [device.id, act, Date.now()];
}

/** Calls this device by another name. */
export const renameDevice = (db: Database, name: string): Promise<void> =>
  db.transaction("rw", db.facts, async () => {
    await keepDevice(db, { ...(await deviceOf(db)), name });
  });

/** What a store tells of the devices that wrote in it. A store that does not open tells nothing. */
export async function historyOf(db: Database): Promise<History | undefined> {
  try {
    const [{ id, name, act }, seen, names, stamps] = await Promise.all([
      deviceOf(db),
      factOf(db, SEEN, seenSchema, {}),
      factOf(db, NAMES, namesSchema, {}),
      db.stamps.toArray(),
    ]);
    return { device: { id, name }, devices: { ...names, [id]: name }, seen: { ...seen, [id]: act }, stamps };
  } catch {
    return undefined;
  }
}

/** Keeps what is known of other devices; inside a transaction that writes `facts`. */
export async function keepKnown(
  db: Database,
  { seen, devices }: { seen: Seen; devices: History["devices"] },
): Promise<void> {
  await db.facts.bulkPut([
    { key: SEEN, value: JSON.stringify(seen) },
    { key: NAMES, value: JSON.stringify(devices) },
  ]);
}

/**
 * As a store is filled anew from a backup: this device counts from nothing under a new id and its old name, because what it
 * did since that backup may be known elsewhere. Inside the transaction of the filling.
 */
export async function beginAnew(db: Database, history: History | undefined): Promise<void> {
  const { name } = await deviceOf(db);
  await db.stamps.clear();
  await keepDevice(db, newDevice(name));
  await keepKnown(db, { seen: history?.seen ?? {}, devices: history?.devices ?? {} });
  if (history) await db.stamps.bulkPut(history.stamps);
}
