import { wordingFor } from "~core/foot/wording";
import { likelyTwins, oneOfTwins, type Twins } from "~core/merge/twins";
import { rowName } from "~core/merge/words";
import type { Edit } from "~core/record/edit";
import { mendEdits } from "~core/record/orphans";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { LINKS, type TableName } from "~core/record/tables";
import type { Database } from "./database";
import { snapshot } from "./storeFiles";

/** What in a store wants to be set right. */
export interface Amiss {
  twins: SaidTwins[];
  /** How many yards and horses are pointed to and not there. */
  missing: number;
}
export interface SaidTwins extends Twins {
  /** What each is called, the one that stays first. */
  named: [stays: string, goes: string];
}

/** Links to yards and horses: without them a row is on no list. */
const TO_LISTS = LINKS.filter(
  ({ to, field }) => to !== "pictures" && to !== "visits" && field !== "companionId",
);

/** Rows that hang on one. */
async function hanging(db: Database, table: TableName, id: string): Promise<number> {
  const counts = await Promise.all(
    LINKS.filter(({ to, field }) => to === table && field !== "companionId").map(({ from, field }) =>
      db.table(from).where(field).equals(id).count(),
    ),
  );
  return counts.reduce((sum, count) => sum + count, 0);
}

/** What is in the records twice by all appearances, and how much belongs to nothing. */
export async function lookForAmiss(db: Database): Promise<Amiss> {
  const [yards, horses, visits, settings] = await Promise.all([
    db.yards.toArray(),
    db.horses.toArray(),
    db.visits.toArray(),
    db.settings.toArray(),
  ]);
  const looked = { yards, horses, visits };
  // Most rows are nobody's twin: only of the others it is counted what hangs on them.
  const hangs = new Map<string, number>();
  for (const { table, stays, goes } of likelyTwins(looked, () => 0))
    for (const id of [stays, goes]) hangs.set(`${table}/${id}`, await hanging(db, table, id));
  const wording = wordingFor(settings[0] ?? DEFAULT_SETTINGS);
  const nameOf = (table: Twins["table"], id: string) => {
    const row = looked[table].find((one) => one.id === id);
    const yard = row && "yardId" in row && yards.find((one) => one.id === row.yardId)?.name;
    return `${rowName(table, row, looked, wording)}${yard ? `, ${yard}` : ""}`;
  };
  return {
    twins: likelyTwins(looked, (table, id) => hangs.get(`${table}/${id}`) ?? 0).map((twins) => ({
      ...twins,
      named: [nameOf(twins.table, twins.stays), nameOf(twins.table, twins.goes)],
    })),
    missing: await missingParents(db, looked),
  };
}

async function missingParents(
  db: Database,
  looked: { yards: { id: string }[]; horses: { id: string }[] },
): Promise<number> {
  const missing = new Set<unknown>();
  for (const { from, field, to } of TO_LISTS) {
    const known = new Set<unknown>((to === "yards" ? looked.yards : looked.horses).map(({ id }) => id));
    for (const id of await db.table(from).orderBy(field).uniqueKeys()) if (!known.has(id)) missing.add(id);
  }
  return missing.size;
}

/** The edits that make one of two, as the store is now. */
export async function twinEdits(db: Database, twins: Twins): Promise<Edit[]> {
  const { records } = await snapshot(db, []);
  return oneOfTwins(twins, records, {
    wording: wordingFor(records.settings[0] ?? DEFAULT_SETTINGS),
    id: crypto.randomUUID(),
    at: new Date().toISOString(),
  });
}

/** The edits after which every row of the store belongs to something. */
export async function mendingEdits(db: Database): Promise<Edit[]> {
  return mendEdits((await snapshot(db, [])).records);
}
