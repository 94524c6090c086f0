import { wordingFor } from "~core/foot/wording";
import { likelyTwins, oneOfTwins, type Twins } from "~core/merge/twins";
import { rowName } from "~core/merge/words";
import type { Edit } from "~core/record/edit";
import { mendEdits } from "~core/record/orphans";
import type { Horse } from "~core/record/horse";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { LINKS, type TableName } from "~core/record/tables";
import type { Visit } from "~core/record/visit";
import type { Yard } from "~core/record/yard";
import type { Database } from "./database";
import { snapshot } from "./storeFiles";

/** What in a store wants to be set right. */
export interface Amiss {
  twins: SaidTwins[];
  /** How many yards and horses are pointed to and not there. */
  missing: number;
}
export const NOTHING_AMISS: Amiss = { twins: [], missing: 0 };
export interface SaidTwins extends Twins {
  /** What each is called, the one that stays first, and where a horse stands. */
  named: [stays: string, goes: string];
  yard?: string;
}

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
  const [yards, horses, settings, visits] = await Promise.all([
    db.yards.toArray(),
    db.horses.toArray(),
    db.settings.toArray(),
    visitsToCome(db),
  ]);
  const looked = { yards, horses, visits };
  // Most rows are nobody's twin: only of the others it is counted what hangs on them.
  const hangs = new Map<string, number>();
  for (const { table, stays, goes } of likelyTwins(looked, () => 0))
    for (const id of [stays, goes]) hangs.set(`${table}/${id}`, await hanging(db, table, id));
  const wording = wordingFor(settings[0] ?? DEFAULT_SETTINGS);
  const nameOf = (table: Twins["table"], id: string) =>
    rowName(
      table,
      looked[table].find((one) => one.id === id),
      looked,
      wording,
    );
  const yardOf = (id: string) => {
    const horse = horses.find((one) => one.id === id);
    return horse && yards.find((one) => one.id === horse.yardId)?.name;
  };
  return {
    twins: likelyTwins(looked, (table, id) => hangs.get(`${table}/${id}`) ?? 0).map((twins) => {
      const { table, stays, goes } = twins;
      const yard = table === "horses" ? yardOf(stays) : undefined;
      return {
        ...twins,
        named: [nameOf(table, stays), nameOf(table, goes)],
        ...(yard !== undefined && { yard }),
      };
    }),
    missing: await missingParents(db, looked),
  };
}

/** Visits that are not done, and those that are done on one of their days: no other has a twin. */
async function visitsToCome(db: Database): Promise<Visit[]> {
  const open = await db.visits.where("status").anyOf("planned", "open").toArray();
  const same = await db.visits
    .where("[horseId+date]")
    .anyOf(open.map(({ horseId, date }) => [horseId, date]))
    .toArray();
  return [...new Map([...same, ...open].map((visit) => [visit.id, visit])).values()];
}

/** How many yards and horses are pointed to and not there; what a visit holds is on no list without its horse. */
async function missingParents(
  db: Database,
  { yards, horses }: { yards: readonly Yard[]; horses: readonly Horse[] },
): Promise<number> {
  const known = (rows: readonly { id: string }[]) => new Set<unknown>(rows.map(({ id }) => id));
  const [yardIds, horseIds] = [known(yards), known(horses)];
  const missing = new Set<unknown>();
  for (const { yardId } of horses) if (!yardIds.has(yardId)) missing.add(yardId);
  for (const id of await db.visits.orderBy("horseId").uniqueKeys()) if (!horseIds.has(id)) missing.add(id);
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
