import { MOST_PAIRS } from "../foot/records/pairs";
import { sameValue, valueAt, withValueAt } from "../record/edit";
import { emptyParts, placesOf, stepsTo, wholeParts } from "../record/places";
import { TABLES } from "../record/schemas";
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
/** Lists that only grow, and how long they may become: what either has is in both afterwards. */
const GROWING: Partial<Record<TableName, Readonly<Record<string, number>>>> = {
  settings: { pairs: MOST_PAIRS, cautionsRead: Infinity },
  readings: { confirmed: Infinity },
  cases: { reopened: Infinity },
};
/** Rows that never change once they are kept. */
const UNCHANGING: ReadonlySet<TableName> = new Set(["pictures"]);

/** Whether a visit is signed, when that was, and what was promised then: they are one word of one device. */
const SIGNING: readonly string[] = ["status", "signedAt", "next"];

export interface Question {
  table: TableName;
  id: string;
  /** A visit that one signed while the other went on at it: which of the two it is to be is asked. */
  workedOn?: boolean;
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

/** What stands afterwards at one place, and whose word it is. */
interface Settled {
  held: Held;
  changed?: { here?: boolean; there?: boolean };
}

/** A row that both have: place by place, where that makes a sound row; else as a whole. */
function mergePlaces(question: Question, ownRow: Row, otherRow: Row): Answer {
  const { table, own, other } = question;
  const alike = JSON.stringify(ownRow) === JSON.stringify(otherRow) && sameValue(own.stamps, other.stamps);
  if (alike || UNCHANGING.has(table)) return { row: ownRow, stamps: own.stamps, clashes: [] };
  const merged = settleByPlace(question, ownRow, otherRow);
  return merged.row === ownRow || TABLES[table].safeParse(merged.row).success
    ? merged
    : settleWholeRow(question, ownRow, otherRow);
}

function settleByPlace(question: Question, ownRow: Row, otherRow: Row): Answer {
  const { table, own, other, seen } = question;
  const [ours, theirs] = [placesOf(table, ownRow), placesOf(table, otherRow)];
  const made = newer({ stamp: own.stamps.made, seen: seen[0] }, { stamp: other.stamps.made, seen: seen[1] });
  const gone = newer({ stamp: own.stamps.gone, seen: seen[0] }, { stamp: other.stamps.gone, seen: seen[1] });
  const clashes: Clash[] = [];
  const stamps: Record<string, Stamp> = {};
  let row = ownRow;
  let [changedHere, changedThere] = [false, false];
  const put = (place: string, { held, changed }: Settled) => {
    if (!sameValue(held.value, ours.get(place))) row = withValueAt(row, stepsTo(table, place), held.value);
    const implied = ours.has(place) || held.value !== undefined ? made : gone;
    if (held.stamp && !sameValue(held.stamp, implied)) stamps[place] = held.stamp;
    changedHere ||= changed?.here === true;
    changedThere ||= changed?.there === true;
  };
  const held = (place: string): [mine: Held, yours: Held] => [
    { value: ours.get(place), stamp: stampAt(own.stamps, ours, place) },
    { value: theirs.get(place), stamp: stampAt(other.stamps, theirs, place) },
  ];
  const names = [...namesOf(ours, theirs, own.stamps, other.stamps)];
  const parts = wholeParts(table).filter(
    (part) => (valueAt(ownRow, [part]) === undefined) !== (valueAt(otherRow, [part]) === undefined),
  );
  const inParts = new Set<string>();
  const putPart = (part: string, places: readonly string[]) => {
    const settled = settlePart(question, part, [ownRow, otherRow], places.map(held));
    if (settled.clash) clashes.push(settled.clash);
    for (const [at, place] of places.entries()) {
      inParts.add(place);
      put(place, settled.places[at] as Settled);
    }
    return settled.taken;
  };
  for (const part of parts) {
    const taken = putPart(
      part,
      names.filter((place) => stepsTo(table, place)[0] === part),
    );
    if (valueAt(taken === "here" ? ownRow : otherRow, [part]) === undefined)
      row = withValueAt(row, [part], undefined);
  }
  if (table === "visits" && ours.get("status") !== theirs.get("status"))
    putPart(
      "status",
      names.filter((place) => SIGNING.includes(place)),
    );
  for (const place of names) {
    if (inParts.has(place)) continue;
    const [mine, yours] = held(place);
    const settled = settlePlace(question, place, mine, yours);
    if (settled.clash) clashes.push(settled.clash);
    put(place, settled);
  }
  for (const part of emptyParts(table, otherRow))
    if (!parts.includes(part) && valueAt(row, [part]) === undefined) row = withValueAt(row, [part], {});
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

/** One place that either has, or has a stamp of. */
function settlePlace(
  { table, id, seen, act, pick }: Question,
  place: string,
  mine: Held,
  yours: Held,
): Settled & { clash?: Clash } {
  if (OWN_PLACES[table]?.includes(place)) return { held: mine };
  const verdict = compare(mine, yours, seen);
  if (verdict === "same") {
    const stamp = newer({ stamp: mine.stamp, seen: seen[0] }, { stamp: yours.stamp, seen: seen[1] });
    return { held: { value: mine.value, stamp } };
  }
  if (verdict === "there") return { held: yours, changed: { there: true } };
  if (verdict === "here") return { held: mine, changed: { here: true } };
  const most = GROWING[table]?.[place];
  if (most !== undefined)
    return {
      held: { value: together(mine.value, yours.value, most), stamp: act },
      changed: { here: true, there: true },
    };
  const usual = usualOf(mine, yours);
  const clash: Clash = { key: `${table}/${id}/${place}`, table, id, place, here: mine, there: yours, usual };
  const picked = pick(clash.key) ?? usual;
  const { value, stamp } = picked === "here" ? mine : yours;
  return { held: { value, stamp: picked === usual ? stamp : act }, changed: { [picked]: true }, clash };
}

/**
 * Places that go together: a part that one of the two has taken away, or made, as a whole; the signing of a visit. All are
 * taken from one side. Where each side did something to them that the other did not know of, it is asked for; the side that
 * touched them last stands. Of a visit that was worked on meanwhile the signing stands.
 */
function settlePart(
  question: Question,
  part: string,
  [ownRow, otherRow]: [Row, Row],
  places: readonly [mine: Held, yours: Held][],
): { taken: Pick; places: Settled[]; clash?: Clash } {
  const { table, id, seen, act, pick } = question;
  const verdicts = new Set(places.map(([mine, yours]) => compare(mine, yours, seen)));
  const clashing = verdicts.has("both") || (verdicts.has("here") && verdicts.has("there"));
  const workedOn = question.workedOn === true && part === "status";
  if (!clashing && !workedOn)
    return {
      taken: verdicts.has("here") ? "here" : "there",
      places: places.map(([mine, yours]) => settlePlace(question, part, mine, yours)),
    };
  const latest = (side: 0 | 1) =>
    places.reduce<Stamp | undefined>((last, pair) => laterStamp(last, pair[side].stamp), undefined);
  const here: Held = { value: valueAt(ownRow, [part]), stamp: latest(0) };
  const there: Held = { value: valueAt(otherRow, [part]), stamp: latest(1) };
  const signed = here.value === "signed" ? "here" : "there";
  const usual = workedOn ? signed : usualOf(here, there);
  const clash: Clash = { key: `${table}/${id}/${part}`, table, id, place: part, here, there, usual };
  const taken = pick(clash.key) ?? usual;
  // What is taken whole outranks, at each of its places, what either side knew there.
  const stamp = taken === usual ? (taken === "here" ? here : there).stamp : act;
  return {
    taken,
    places: places.map(([mine, yours]) => ({
      held: { value: (taken === "here" ? mine : yours).value, stamp },
      changed: { [taken]: true },
    })),
    clash,
  };
}

/** Places that do not go together: the whole row of the side that touched it last, and it is asked for. */
function settleWholeRow(question: Question, ownRow: Row, otherRow: Row): Answer {
  const { table, id, own, other, act, pick } = question;
  const here: Held = { value: ownRow, stamp: latestOf(own.stamps) };
  const there: Held = { value: otherRow, stamp: latestOf(other.stamps) };
  const usual = usualOf(here, there);
  const clash: Clash = { key: `${table}/${id}`, table, id, here, there, usual };
  const picked = pick(clash.key) ?? usual;
  const word = picked === usual ? (picked === "here" ? here : there).stamp : act;
  const row = picked === "here" ? ownRow : otherRow;
  const places = namesOf(placesOf(table, ownRow), placesOf(table, otherRow), own.stamps, other.stamps);
  const stamps = {
    ...(picked === "here" ? own.stamps : other.stamps),
    ...(word && { places: Object.fromEntries([...places].map((place) => [place, word])) }),
  };
  return { row, stamps, clashes: [clash], happened: picked === "here" ? "changedHere" : "changedThere" };
}

/** Every place that either row has, or has a stamp of. */
const namesOf = (
  ours: ReadonlyMap<string, unknown>,
  theirs: ReadonlyMap<string, unknown>,
  ...stamps: RowStamps[]
): Set<string> =>
  new Set([...ours.keys(), ...theirs.keys(), ...stamps.flatMap(({ places = {} }) => Object.keys(places))]);

const allKnown = (seen: Seen, { made, places = {} }: RowStamps): boolean =>
  [made, ...Object.values(places)].every((stamp) => knows(seen, stamp));

const latestOf = ({ made, places = {} }: RowStamps): Stamp | undefined =>
  Object.values(places).reduce<Stamp | undefined>(laterStamp, made);
