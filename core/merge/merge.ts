import { sameValue } from "../record/edit";
import { knows, stampKey, type History, type RowStamps, type Seen, type Stamp } from "../record/stamps";
import type { Visit } from "../record/visit";
import { LINKS, TABLE_NAMES, type Records, type TableName } from "../record/tables";
import type { Pick } from "./place";
import { mergeRow, type Answer, type Clash, type Happened, type Question, type Row } from "./row";

/** What one device holds, and how it came to be. */
export interface Side {
  records: Records;
  history: History;
}

/** Rows by what happened to them since the two parted. */
export interface Tally extends Record<Happened, number> {
  /** Taken away on one side, but something of the other hangs on it: it stays. */
  kept: number;
}

export interface Merged {
  /** What the store here has to become: rows to write, rows to take out, stamps to write. */
  put: { table: TableName; row: Row }[];
  gone: { table: TableName; id: string }[];
  stamps: RowStamps[];
  seen: Seen;
  devices: History["devices"];
  clashes: Clash[];
  /** By table, those in which anything happened. */
  tally: Partial<Record<TableName, Tally>>;
  /**
   * Visits that would stand twice: each device made one for the same horse on the same day, or both are still to be done.
   * Both stay. The day of the one that is here, and of the one that comes in.
   */
  twins: { horseId: string; dates: [here: string, there: string] }[];
}

/**
 * Brings what another device holds into what this one holds. A place that only one changed is taken from it; of a place
 * that both changed the later value is taken, or what `picks` says by the clash's key; such a choice is an act of this
 * device, stamped `act`. Nothing that anything hangs on is taken away. The same file twice changes nothing, and devices
 * that have all brought in one another's files hold the same, in whatever order that was.
 *
 * Source: places are multi-value registers under version vectors (Parker and others 1983, IEEE TSE 9:240; Shapiro and
 * others 2011, INRIA RR-7506).
 */
export function mergeSides(
  here: Side,
  there: Side,
  { picks = {}, act }: { picks?: Readonly<Record<string, Pick>>; act: Stamp },
): Merged {
  const [hereStamps, thereStamps] = [byKey(here.history), byKey(there.history)];
  const seen: [Seen, Seen] = [here.history.seen, there.history.seen];
  const merged: Merged = {
    put: [],
    gone: [],
    stamps: [],
    seen: Object.fromEntries(
      [...new Set([...Object.keys(seen[0]), ...Object.keys(seen[1])])].map((device) => [
        device,
        Math.max(seen[0][device] ?? 0, seen[1][device] ?? 0),
      ]),
    ),
    devices: { ...there.history.devices, ...here.history.devices },
    clashes: [],
    tally: {},
    twins: [],
  };
  const workedOn = signedMeanwhile(here, there, [hereStamps, thereStamps]);
  const living = new Map<TableName, Map<string, Row>>();
  const rows: [Rows, Rows] = [new Map(), new Map()];
  const removed = [removedIds(hereStamps), removedIds(thereStamps)];
  for (const table of TABLE_NAMES) {
    const [own, other] = [byId(here.records[table]), byId(there.records[table])];
    rows[0].set(table, own);
    rows[1].set(table, other);
    const stays = new Map<string, Row>();
    living.set(table, stays);
    for (const id of new Set(
      [own, other, ...removed.map((ids) => ids.get(table) ?? new Map())].flatMap((ids) => [...ids.keys()]),
    )) {
      const key = stampKey(table, id);
      const question: Question = {
        table,
        id,
        workedOn: table === "visits" && workedOn.has(id),
        own: { row: own.get(id), stamps: hereStamps.get(key) ?? { key } },
        other: { row: other.get(id), stamps: thereStamps.get(key) ?? { key } },
        seen,
        act,
        pick: (clash) => picks[clash] ?? undefined,
      };
      const answer = mergeRow(question);
      merged.clashes.push(...answer.clashes);
      if (answer.happened) count(merged.tally, table, answer.happened);
      take(merged, question, answer);
      if (answer.row) stays.set(id, answer.row);
    }
  }
  keepWhatIsHungOn(merged, living, rows, thereStamps);
  merged.twins = twinsOf(
    here.records.visits,
    there.records.visits,
    living.get("visits") as Map<string, Visit>,
  );
  return merged;
}

/** Visits that one side signed and the other went on at, neither knowing of the other: measured, trimmed, photographed. */
function signedMeanwhile(
  here: Side,
  there: Side,
  [hereStamps, thereStamps]: [Stamps, Stamps],
): ReadonlySet<string> {
  const statusThere = new Map(there.records.visits.map(({ id, status }) => [id, status]));
  const signedBy = (side: "here" | "there") =>
    new Set(
      here.records.visits
        .filter(({ id, status }) => {
          const other = statusThere.get(id);
          const [own, far] = side === "here" ? [status, other] : [other, status];
          return own === "signed" && far !== undefined && far !== "signed";
        })
        .map(({ id }) => id),
    );
  const workedOn = new Set<string>();
  const look = (signed: ReadonlySet<string>, signer: Side, worker: Side, [signs, works]: Stamps[]) => {
    const news = [...signed].filter((id) => {
      const { made, places } = signs?.get(stampKey("visits", id)) ?? {};
      return !knows(worker.history.seen, places?.status ?? made);
    });
    if (news.length === 0) return;
    const wanted = new Set(news);
    for (const { from, field } of LINKS.filter(({ to }) => to === "visits"))
      for (const row of worker.records[from] as unknown as Record<string, unknown>[]) {
        if (!wanted.has(String(row[field]))) continue;
        const { made, places } = works?.get(stampKey(from, String(row.id))) ?? {};
        if ([made, ...Object.values(places ?? {})].some((stamp) => !knows(signer.history.seen, stamp)))
          workedOn.add(String(row[field]));
      }
  };
  look(signedBy("here"), here, there, [hereStamps, thereStamps]);
  look(signedBy("there"), there, here, [thereStamps, hereStamps]);
  return workedOn;
}
type Stamps = ReadonlyMap<string, RowStamps>;

/** Notes what of an answer the store does not hold yet. */
function take(merged: Merged, { table, id, own }: Question, { row, stamps }: Answer): void {
  if (row && row !== own.row) merged.put.push({ table, row });
  if (!row && own.row) merged.gone.push({ table, id });
  if (!sameValue(stamps, own.stamps)) merged.stamps.push(stamps);
}

function count(tally: Merged["tally"], table: TableName, happened: keyof Tally): void {
  const own = (tally[table] ??= {
    newThere: 0,
    changedThere: 0,
    goneThere: 0,
    newHere: 0,
    changedHere: 0,
    goneHere: 0,
    kept: 0,
  });
  own[happened] += 1;
}

/** Rows that were taken away, but that a living row points to, come back, and what they point to themselves. */
function keepWhatIsHungOn(
  merged: Merged,
  living: ReadonlyMap<TableName, Map<string, Row>>,
  [own, other]: [Rows, Rows],
  thereStamps: ReadonlyMap<string, RowStamps>,
): void {
  const back = new Map<string, RowStamps | undefined>();
  // Children come before their parents, so that one walk is enough but for rows of one table that point to one another.
  for (let again = true; again;) {
    again = false;
    for (const { from, field, to } of [...LINKS].reverse())
      for (const row of living.get(from)?.values() ?? []) {
        const id = (row as unknown as Record<string, unknown>)[field];
        if (typeof id !== "string" || living.get(to)?.has(id)) continue;
        const kept = own.get(to)?.get(id);
        const found = kept ?? other.get(to)?.get(id);
        if (!found) continue;
        living.get(to)?.set(id, found);
        const key = stampKey(to, id);
        if (!kept) merged.put.push({ table: to, row: found });
        back.set(key, kept ? undefined : (thereStamps.get(key) ?? { key }));
        count(merged.tally, to, "kept");
        again = true;
      }
  }
  if (back.size === 0) return;
  merged.gone = merged.gone.filter(({ table, id }) => !back.has(stampKey(table, id)));
  merged.stamps = merged.stamps.filter(({ key }) => !back.has(key));
  merged.stamps.push(...[...back.values()].filter((stamps) => stamps !== undefined));
}

/** Visits that only one of the two had, of one horse, on one day or both still to be done. */
function twinsOf(
  here: readonly Visit[],
  there: readonly Visit[],
  after: ReadonlyMap<string, Visit>,
): Merged["twins"] {
  const only = (own: readonly Visit[], other: readonly Visit[]) => {
    const known = new Set(other.map(({ id }) => id));
    return own.flatMap(({ id }) => (known.has(id) ? [] : (after.get(id) ?? [])));
  };
  const byHorse = new Map<string, Visit[]>();
  for (const visit of only(here, there))
    byHorse.set(visit.horseId, [...(byHorse.get(visit.horseId) ?? []), visit]);
  const isTwin = (one: Visit, other: Visit) =>
    one.date === other.date || (one.status !== "signed" && other.status !== "signed");
  return only(there, here).flatMap((visit) => {
    const own = byHorse.get(visit.horseId)?.find((one) => isTwin(one, visit));
    return own ? [{ horseId: visit.horseId, dates: [own.date, visit.date] as [string, string] }] : [];
  });
}

type Rows = Map<TableName, ReadonlyMap<string, Row>>;
const byId = (rows: readonly Row[]): Map<string, Row> => new Map(rows.map((row) => [row.id, row]));
const byKey = ({ stamps }: History): Map<string, RowStamps> => new Map(stamps.map((one) => [one.key, one]));

/** By table, the rows that were taken away. */
function removedIds(stamps: ReadonlyMap<string, RowStamps>): Map<string, Map<string, true>> {
  const removed = new Map<string, Map<string, true>>();
  for (const { key, gone } of stamps.values()) {
    if (!gone) continue;
    const slash = key.indexOf("/");
    const table = key.slice(0, slash);
    const ids = removed.get(table) ?? new Map<string, true>();
    removed.set(table, ids.set(key.slice(slash + 1), true));
  }
  return removed;
}
