import { sameValue, valueAt, withValueAt } from "../record/edit";
import { emptyParts, placesOf, stepsTo } from "../record/places";
import { knows, laterStamp, type RowStamps, type Seen, type Stamp } from "../record/stamps";
import type { TableName } from "../record/tables";
import { compare, newer, stampAt, together, usualOf, type Held, type Pick } from "./place";

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

export interface Row {
  id: string;
}
export interface HeldRow {
  row: Row | undefined;
  stamps: RowStamps;
}

/** What happened to a row since the two parted. */
export type Happened = "newThere" | "changedThere" | "goneThere" | "newHere" | "changedHere" | "goneHere";

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

export interface Question {
  table: TableName;
  id: string;
  own: HeldRow;
  other: HeldRow;
  seen: [here: Seen, there: Seen];
  act: Stamp;
  pick: (clash: string) => Pick | undefined;
}
export interface Answer {
  /** The row as it is afterwards; undefined where there is none. */
  row: Row | undefined;
  stamps: RowStamps;
  clashes: Clash[];
  happened?: Happened;
}

/** What becomes of one row that either device knows of. */
export function mergeRow(question: Question): Answer {
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
    const mine: Held = { value: ours.get(place), stamp: stampAt(own.stamps, ours, place) };
    const yours: Held = { value: theirs.get(place), stamp: stampAt(other.stamps, theirs, place) };
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

const allKnown = (seen: Seen, { made, places = {} }: RowStamps): boolean =>
  [made, ...Object.values(places)].every((stamp) => knows(seen, stamp));

const latestOf = ({ made, places = {} }: RowStamps): Stamp | undefined =>
  Object.values(places).reduce<Stamp | undefined>(laterStamp, made);
