import { applyEdit, type Edit } from "../record/edit";
import { records } from "../record/records.fixture";
import { stamped } from "../record/places";
import { TABLES } from "../record/schemas";
import { stampKey, type History, type Stamp } from "../record/stamps";
import { TABLE_NAMES, type Records } from "../record/tables";
import { blankVisit } from "../record/visit";
import { mergeSides, type Merged, type Side } from "./merge";
import type { Pick } from "./place";

interface Row {
  id: string;
}

/** A device that keeps edits as the store does: the specifications of merging play with several of them. */
export interface Device {
  name: string;
  side: () => Side;
  /** What it holds at this moment, not to be changed or kept. */
  held: () => Records;
  edit: (edit: Omit<Edit, "was" | "label"> & { was?: unknown }, at: number) => void;
  merge: (other: Side, picks?: Record<string, Pick>, at?: number) => Merged;
  row: (table: Edit["table"], id: string) => Record<string, unknown> | undefined;
}

export function device(name: string, from: Side): Device {
  const records = structuredClone(from.records);
  const stamps = new Map(from.history.stamps.map((one) => [one.key, structuredClone(one)]));
  let history: Omit<History, "stamps"> = {
    device: { id: name, name },
    devices: { ...from.history.devices, [name]: name },
    seen: { ...from.history.seen, [name]: 0 },
  };
  const act = (at: number): Stamp => [name, (history.seen[name] ?? 0) + 1, at];
  const did = () =>
    (history = { ...history, seen: { ...history.seen, [name]: (history.seen[name] ?? 0) + 1 } });
  const rowsOf = (table: Edit["table"]): Row[] => records[table];
  const put = (table: Edit["table"], id: string, row: Row | undefined) => {
    const rest = rowsOf(table).filter((one) => one.id !== id);
    (records[table] as Row[]) = row ? [...rest, row] : rest;
  };
  const side = (): Side =>
    structuredClone({ records, history: { ...history, stamps: [...stamps.values()] } });
  return {
    name,
    side,
    held: () => records,
    row: (table, id) => rowsOf(table).find((one) => one.id === id) as Record<string, unknown> | undefined,
    edit: (edit, at) => {
      const before = rowsOf(edit.table).find(({ id }) => id === edit.id);
      const key = stampKey(edit.table, edit.id);
      const applied = applyEdit(before, { was: edit.now, label: "", ...edit });
      const forced =
        applied.kind === "applied" ? applied : applyEdit(before, { ...edit, was: applied.stored, label: "" });
      const after = forced.kind === "applied" ? (forced.record as Row | undefined) : before;
      // As the store does: what a row may not be is not kept.
      if (after && !TABLES[edit.table].safeParse(after).success) return;
      stamps.set(key, stamped(edit.table, { before, after }, stamps.get(key) ?? { key }, act(at)));
      put(edit.table, edit.id, after);
      did();
    },
    merge: (other, picks = {}, at = 0) => {
      const merged = mergeSides(side(), other, { picks, act: act(at) });
      for (const { table, row } of merged.put) put(table, row.id, row);
      for (const { table, id } of merged.gone) put(table, id, undefined);
      for (const one of merged.stamps) stamps.set(one.key, one);
      history = { ...history, seen: merged.seen, devices: merged.devices };
      did();
      return merged;
    },
  };
}

/** A device that starts from records without any stamps. */
export const starting = (records: Records): Side => ({
  records,
  history: { device: { id: "first", name: "first" }, devices: {}, seen: {}, stamps: [] },
});

/** What a device holds, in an order that does not depend on how it came by it. */
export const contents = ({ records }: Side): unknown =>
  TABLE_NAMES.map((table) =>
    (records[table] as Row[]).map((row) => ({ ...row })).sort((a, b) => (a.id < b.id ? -1 : 1)),
  );

export const toe = (value: number) => ({ value, source: "calliper" as const });
/** A phone and a laptop that begin alike. */
export const pair = (): [Device, Device] => [
  device("phone", starting(records())),
  device("laptop", starting(records())),
];
export const openVisit = (id: string, horseId = "h") => ({
  id,
  horseId,
  date: "2026-11-20",
  status: "open" as const,
  ...blankVisit(),
});
