import { sameValue, sorted, valueAt, withValueAt } from "../record/edit";
import {
  emptyParts,
  knows,
  laterStamp,
  placesOf,
  stampKey,
  stepsTo,
  type History,
  type RowStamps,
  type Seen,
  type Stamp,
} from "../record/stamps";
import type { Visit } from "../record/visit";
import { LINKS, TABLE_NAMES, TABLES, type Records, type TableName } from "../record/tables";

/** What one device holds, and how it came to be. */
export interface Side {
  records: Records;
  history: History;
}

/** What one device has at a place: undefined where it has taken it away, or never had it. */
export interface Held {
  value: unknown;
  stamp: Stamp | undefined;
}

/** A place that both changed without knowing of each other, or a row that one changed and the other took away. */
export interface Clash {
  /** Names the clash: the same in every look at the same two files. */
  key: string;
  table: TableName;
  id: string;
  /** Missing for the whole row. */
  place?: string;
  here: Held;
  there: Held;
  /** Which is taken unless somebody says otherwise: the later one; of a change and a taking away the change. */
  usual: Pick;
}
export type Pick = "here" | "there";

/** Rows by what happened to them since the two parted. */
export interface Tally {
  newThere: number;
  changedThere: number;
  goneThere: number;
  newHere: number;
  changedHere: number;
  goneHere: number;
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
  /** Visits that would stand twice: each device made one for the same horse on the same day. Both stay. */
  twins: { horseId: string; date: string }[];
}

interface Row {
  id: string;
}
interface HeldRow {
  row: Row | undefined;
  stamps: RowStamps;
}

/** What belongs to the device and not to the round: it stays as it is. */
const OWN_PLACES: Partial<Record<TableName, readonly string[]>> = { settings: ["theme", "cameraLens"] };
/** Lists that only grow: what either has is in both afterwards. */
const GROWING: Partial<Record<TableName, readonly string[]>> = {
  settings: ["pairs", "cautionsRead"],
  readings: ["confirmed"],
  cases: ["reopened"],
};
/** Rows that never change once they are kept. */
const UNCHANGING: ReadonlySet<TableName> = new Set(["pictures"]);

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
  const living = new Map<TableName, Map<string, Row>>();
  for (const table of TABLE_NAMES) {
    const [own, other] = [byId(here.records[table]), byId(there.records[table])];
    const rows = new Map<string, Row>();
    living.set(table, rows);
    for (const id of idsOf(table, own, other, hereStamps, thereStamps)) {
      const key = stampKey(table, id);
      const question: Question = {
        table,
        id,
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
      if (answer.row) rows.set(id, answer.row);
    }
  }
  keepWhatIsHungOn(merged, living, here, there, thereStamps);
  for (const { table, row } of merged.put) TABLES[table].parse(row);
  merged.twins = twinsOf(here.records.visits, living.get("visits") as Map<string, Visit>);
  return merged;
}

interface Question {
  table: TableName;
  id: string;
  own: HeldRow;
  other: HeldRow;
  seen: [here: Seen, there: Seen];
  act: Stamp;
  pick: (clash: string) => Pick | undefined;
}
interface Answer {
  /** The row as it is afterwards; undefined where there is none. */
  row: Row | undefined;
  stamps: RowStamps;
  clashes: Clash[];
  happened?: keyof Tally;
}

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

function mergeRow(question: Question): Answer {
  const { own, other, seen } = question;
  if (own.row && other.row) return mergePlaces(question, own.row, other.row);
  if (own.row) {
    const { gone } = other.stamps;
    const stays: Answer = { row: own.row, stamps: own.stamps, clashes: [] };
    if (!gone) return { ...stays, happened: "newHere" };
    if (knows(seen[0], gone)) return { ...stays, happened: "newHere" };
    if (allKnown(seen[1], own.stamps))
      return { row: undefined, stamps: other.stamps, clashes: [], happened: "goneThere" };
    return clashOfRow(question, "here");
  }
  if (other.row) {
    const { gone } = own.stamps;
    const comes: Answer = { row: other.row, stamps: other.stamps, clashes: [] };
    if (!gone || knows(seen[1], gone)) return { ...comes, happened: "newThere" };
    if (allKnown(seen[0], other.stamps))
      return { row: undefined, stamps: own.stamps, clashes: [], happened: "goneHere" };
    return clashOfRow(question, "there");
  }
  const { key } = own.stamps;
  const gone = newer({ stamp: own.stamps.gone, seen: seen[0] }, { stamp: other.stamps.gone, seen: seen[1] });
  return { row: undefined, stamps: { key, ...(gone && { gone }) }, clashes: [] };
}

/** One changed the row, the other took it away. */
function clashOfRow({ table, id, own, other, act, pick }: Question, usual: Pick): Answer {
  const heldOf = ({ row, stamps }: HeldRow): Held => ({
    value: row,
    stamp: row ? latestOf(stamps) : stamps.gone,
  });
  const clash: Clash = { key: `${table}/${id}`, table, id, here: heldOf(own), there: heldOf(other), usual };
  const picked = pick(clash.key) ?? usual;
  const taken = usual === "here" ? own : other;
  return picked === usual
    ? { row: taken.row, stamps: taken.stamps, clashes: [clash] }
    : { row: undefined, stamps: { key: own.stamps.key, gone: act }, clashes: [clash] };
}

/** A row that both have, place by place. */
function mergePlaces(question: Question, ownRow: Row, otherRow: Row): Answer {
  const { table, id, own, other, seen, act, pick } = question;
  const alike = JSON.stringify(ownRow) === JSON.stringify(otherRow) && sameValue(own.stamps, other.stamps);
  if (alike || UNCHANGING.has(table)) return { row: ownRow, stamps: own.stamps, clashes: [] };
  const [ours, theirs] = [placesOf(table, ownRow), placesOf(table, otherRow)];
  const made = newer({ stamp: own.stamps.made, seen: seen[0] }, { stamp: other.stamps.made, seen: seen[1] });
  const gone = newer({ stamp: own.stamps.gone, seen: seen[0] }, { stamp: other.stamps.gone, seen: seen[1] });
  const names = new Set([
    ...ours.keys(),
    ...theirs.keys(),
    ...Object.keys(own.stamps.places ?? {}),
    ...Object.keys(other.stamps.places ?? {}),
  ]);
  const clashes: Clash[] = [];
  const stamps: Record<string, Stamp> = {};
  let row = ownRow;
  let [changedHere, changedThere] = [false, false];
  for (const place of names) {
    const mine: Held = { value: ours.get(place), stamp: stampAt(own, ours, place) };
    const yours: Held = { value: theirs.get(place), stamp: stampAt(other, theirs, place) };
    let result = mine;
    if (!OWN_PLACES[table]?.includes(place)) {
      const verdict = compare(mine, yours, seen);
      if (verdict === "same") {
        const stamp = newer({ stamp: mine.stamp, seen: seen[0] }, { stamp: yours.stamp, seen: seen[1] });
        result = { value: mine.value, stamp };
      } else if (verdict === "there") {
        result = yours;
        changedThere = true;
      } else if (verdict === "here") changedHere = true;
      else if (GROWING[table]?.includes(place)) {
        result = { value: together(mine.value, yours.value), stamp: act };
        changedThere = changedHere = true;
      } else {
        const clash: Clash = {
          key: `${table}/${id}/${place}`,
          table,
          id,
          place,
          here: mine,
          there: yours,
          usual: usualOf(mine, yours),
        };
        clashes.push(clash);
        const picked = pick(clash.key) ?? clash.usual;
        const { value, stamp } = picked === "here" ? mine : yours;
        result = { value, stamp: picked === clash.usual ? stamp : act };
        changedThere ||= picked === "there";
        changedHere ||= picked === "here";
      }
    }
    if (!sameValue(result.value, mine.value)) row = withValueAt(row, stepsTo(table, place), result.value);
    const implied = ours.has(place) || result.value !== undefined ? made : gone;
    if (result.stamp && !sameValue(result.stamp, implied)) stamps[place] = result.stamp;
  }
  for (const part of emptyParts(table, otherRow))
    if (valueAt(row, [part]) === undefined) row = withValueAt(row, [part], {});
  const happened = changedThere ? "changedThere" : changedHere ? "changedHere" : undefined;
  return {
    row,
    stamps: {
      key: own.stamps.key,
      ...(made && { made }),
      ...(gone && { gone }),
      ...(Object.keys(stamps).length > 0 && { places: stamps }),
    },
    clashes,
    ...(happened && { happened }),
  };
}

/** Who touched a place last: its own stamp, else that of the making; where nothing stands, of the last taking away. */
const stampAt = (
  { stamps }: HeldRow,
  places: ReadonlyMap<string, unknown>,
  place: string,
): Stamp | undefined => stamps.places?.[place] ?? (places.has(place) ? stamps.made : stamps.gone);

/** Which of two values is the newer one; "both" where neither device knew of the other's. */
function compare(mine: Held, yours: Held, [here, there]: [Seen, Seen]): "same" | Pick | "both" {
  if (sameValue(mine.value, yours.value)) return "same";
  const alike = sameValue(mine.stamp, yours.stamp);
  // Older than stamps on both sides: a value that one of them never had is no clash.
  if (alike && mine.stamp === undefined && mine.value === undefined) return "there";
  if (alike && mine.stamp === undefined && yours.value === undefined) return "here";
  if (alike) return "both";
  const [yoursKnown, mineKnown] = [knows(here, yours.stamp), knows(there, mine.stamp)];
  if (yoursKnown && mineKnown) return laterStamp(mine.stamp, yours.stamp) === mine.stamp ? "here" : "there";
  if (yoursKnown) return "here";
  return mineKnown ? "there" : "both";
}

/** The later of two values; without clocks to go by the same one whoever asks. */
function usualOf(mine: Held, yours: Held): Pick {
  if (!sameValue(mine.stamp, yours.stamp))
    return laterStamp(mine.stamp, yours.stamp) === mine.stamp ? "here" : "there";
  return textOf(mine.value) > textOf(yours.value) ? "here" : "there";
}

/** The stamp that knows of the other; the later one where neither does. */
function newer(
  mine: { stamp: Stamp | undefined; seen: Seen },
  yours: { stamp: Stamp | undefined; seen: Seen },
): Stamp | undefined {
  if (!mine.stamp || !yours.stamp || sameValue(mine.stamp, yours.stamp)) return mine.stamp ?? yours.stamp;
  const [yoursKnown, mineKnown] = [knows(mine.seen, yours.stamp), knows(yours.seen, mine.stamp)];
  if (yoursKnown !== mineKnown) return yoursKnown ? mine.stamp : yours.stamp;
  return laterStamp(mine.stamp, yours.stamp);
}

const allKnown = (seen: Seen, { made, places = {} }: RowStamps): boolean =>
  [made, ...Object.values(places)].every((stamp) => knows(seen, stamp));

const latestOf = ({ made, places = {} }: RowStamps): Stamp | undefined =>
  Object.values(places).reduce<Stamp | undefined>(laterStamp, made);

const textOf = (value: unknown): string => JSON.stringify(sorted(value)) ?? "";

/** All entries of two lists, each once, in an order that does not depend on whose list comes first. */
function together(mine: unknown, yours: unknown): unknown[] {
  const all = [...((mine as unknown[] | undefined) ?? []), ...((yours as unknown[] | undefined) ?? [])];
  const byText = new Map(all.map((entry) => [textOf(entry), entry]));
  return [...byText.keys()].sort().map((text) => byText.get(text));
}

/** Rows that were taken away, but that a living row points to, come back, and what they point to themselves. */
function keepWhatIsHungOn(
  merged: Merged,
  living: ReadonlyMap<TableName, Map<string, Row>>,
  here: Side,
  there: Side,
  thereStamps: ReadonlyMap<string, RowStamps>,
): void {
  // Children come before their parents, so that one walk is enough but for rows of one table that point to one another.
  for (let again = true; again;) {
    again = false;
    for (const { from, field, to } of [...LINKS].reverse())
      for (const row of living.get(from)?.values() ?? []) {
        const id = (row as unknown as Record<string, unknown>)[field];
        if (typeof id !== "string" || living.get(to)?.has(id)) continue;
        const own = (here.records[to] as Row[]).find((one) => one.id === id);
        const back = own ?? (there.records[to] as Row[]).find((one) => one.id === id);
        if (!back) continue;
        living.get(to)?.set(id, back);
        const key = stampKey(to, id);
        if (own) {
          merged.gone = merged.gone.filter((one) => one.table !== to || one.id !== id);
          merged.stamps = merged.stamps.filter((one) => one.key !== key);
        } else {
          merged.put.push({ table: to, row: back });
          merged.stamps = merged.stamps.filter((one) => one.key !== key);
          merged.stamps.push(thereStamps.get(key) ?? { key });
        }
        count(merged.tally, to, "kept");
        again = true;
      }
  }
}

/** Days on which a horse has a visit that was here before and one that comes in. */
function twinsOf(before: readonly Visit[], after: ReadonlyMap<string, Visit>): Merged["twins"] {
  const known = new Set(before.map(({ id }) => id));
  const dayOf = ({ horseId, date }: Visit) => `${horseId} ${date}`;
  const days = new Set(before.filter(({ id }) => after.has(id)).map(dayOf));
  return [...after.values()]
    .filter((visit) => !known.has(visit.id) && days.has(dayOf(visit)))
    .map(({ horseId, date }) => ({ horseId, date }));
}

const byId = (rows: readonly Row[]): Map<string, Row> => new Map(rows.map((row) => [row.id, row]));
const byKey = ({ stamps }: History): Map<string, RowStamps> => new Map(stamps.map((one) => [one.key, one]));

/** The ids of a table that either device knows of, living or taken away. */
function idsOf(
  table: TableName,
  own: ReadonlyMap<string, Row>,
  other: ReadonlyMap<string, Row>,
  ...stamps: ReadonlyMap<string, RowStamps>[]
): Set<string> {
  const ids = new Set([...own.keys(), ...other.keys()]);
  const start = `${table}/`;
  for (const side of stamps)
    for (const { key, gone } of side.values())
      if (gone && key.startsWith(start)) ids.add(key.slice(start.length));
  return ids;
}
