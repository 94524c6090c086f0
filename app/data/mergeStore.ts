import { mergeSides, type Merged, type Side } from "~core/merge/merge";
import type { Pick } from "~core/merge/place";
import type { Clash } from "~core/merge/row";
import { likelyTwins } from "~core/merge/twins";
import { dayInWords, rowName, sayClash, TABLE_WORDS, type SaidClash } from "~core/merge/words";
import { wordingFor } from "~core/foot/wording";
import type { Backup } from "~core/record/backupText";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import type { SetAside } from "~core/record/setAside";
import type { History, Stamp } from "~core/record/stamps";
import { TABLE_NAMES, type RecordOf, type TableName } from "~core/record/tables";
import { EPOCH, type Database } from "./database";
import { deviceOf, keepKnown, nextAct } from "./device";
import { stampRow } from "./stampRow";
import { storedPicture } from "./pictureBytes";
import { snapshot, type Report } from "./storeFiles";

/** What bringing another device's file in would do, before anything happens. */
export interface MergeLook {
  from: string;
  into: string;
  madeAt: string;
  tally: Merged["tally"];
  clashes: SaidClash[];
  /** Visits that stand twice afterwards, in words. */
  twins: string[];
  /** Yards and horses that were typed on both, by all appearances: they stand twice afterwards. */
  again: string[];
  /** True where the two hold the same already. */
  nothing: boolean;
  /** The store as it was looked at: what is done later is done to this and no other. */
  state: string;
}

/** How it ended: done, with so many values set aside, or the store has changed since it was looked at. */
export type MergeEnd = { kind: "done"; setAside: number } | { kind: "changed" };

/** The name of a file that does not tell which device it is from. */
const OLDER: History = {
  device: { id: "older", name: "An older backup" },
  devices: {},
  seen: {},
  stamps: [],
};

const stateOf = async (db: Database): Promise<string> =>
  `${(await db.facts.get(EPOCH))?.value ?? ""}/${(await deviceOf(db)).act}`;

/** What the store holds, but for the bytes of its pictures: those never change. */
async function sideOf(db: Database): Promise<Side> {
  const { records, history } = await snapshot(db, []);
  return { records, history: history ?? OLDER };
}

/** What would happen, and what has to be asked. */
export async function lookAtMerge(
  db: Database,
  backup: Backup,
  report: Report = () => undefined,
): Promise<MergeLook> {
  const state = await stateOf(db);
  const here = await sideOf(db);
  report(0.5);
  const there: Side = { records: backup.records, history: backup.history ?? OLDER };
  const merged = mergeSides(here, there, { act: ["", 0, 0] });
  report(1);
  const settings = here.records.settings[0] ?? DEFAULT_SETTINGS;
  const horses = new Map([...there.records.horses, ...here.records.horses].map((horse) => [horse.id, horse]));
  const words = {
    named: { horses: [...horses.values()], visits: here.records.visits },
    devices: merged.devices,
    wording: wordingFor(settings),
  };
  const rowOf = (table: TableName, id: string) =>
    (here.records[table] as { id: string }[]).find((row) => row.id === id);
  return {
    from: there.history.device.name,
    into: here.history.device.name,
    madeAt: backup.madeAt,
    tally: merged.tally,
    twins: merged.twins.map(
      ({ horseId, dates }) =>
        `${horses.get(horseId)?.name ?? ""}, ${[...new Set(dates)].map(dayInWords).join(" and ")}`,
    ),
    again: typedOnBoth(here, merged),
    clashes: merged.clashes.map((clash) => sayClash(clash, words, rowOf)),
    nothing: merged.put.length + merged.gone.length + merged.clashes.length === 0,
    state,
  };
}

/** The names of likely twins that the merge would bring. */
function typedOnBoth(here: Side, merged: Merged): string[] {
  const put = <T extends { id: string }>(table: TableName, rows: readonly T[]): T[] => {
    const changed = new Map<string, T>();
    for (const one of merged.put) if (one.table === table) changed.set(one.row.id, one.row as unknown as T);
    const gone = new Set(merged.gone.filter((one) => one.table === table).map(({ id }) => id));
    return [...new Map([...rows.map((row) => [row.id, row] as const), ...changed]).values()].filter(
      ({ id }) => !gone.has(id),
    );
  };
  const { yards, horses } = here.records;
  const after = { yards: put("yards", yards), horses: put("horses", horses), visits: [] };
  const known = new Set(likelyTwins({ yards, horses, visits: [] }, () => 0).map(({ goes }) => goes));
  return likelyTwins(after, () => 0).flatMap(({ table, stays, goes }) => {
    const row = [...after.yards, ...after.horses].find(({ id }) => id === stays);
    return known.has(goes) ? [] : [`${TABLE_WORDS[table][0]} ${row?.name ?? ""}`];
  });
}

/**
 * Puts a backup together with what the store holds, as it was looked at and decided, in one transaction. Values that were
 * not taken are kept beside the records. Where the store has changed since, nothing is done.
 */
export async function putTogether(
  db: Database,
  backup: Backup,
  { picks, state }: { picks: Readonly<Record<string, Pick>>; state: string },
): Promise<MergeEnd> {
  const here = await sideOf(db);
  const there: Side = { records: backup.records, history: backup.history ?? OLDER };
  return db.transaction("rw", db.tables, async () => {
    if ((await stateOf(db)) !== state) return { kind: "changed" };
    const act = await nextAct(db);
    const merged = mergeSides(here, there, { picks, act });
    for (const name of TABLE_NAMES) {
      const rows = merged.put.filter(({ table }) => table === name).map(({ row }) => row);
      const gone = merged.gone.filter(({ table }) => table === name).map(({ id }) => id);
      await db.table(name).bulkDelete(gone);
      await db
        .table(name)
        .bulkPut(name === "pictures" ? (rows as RecordOf<"pictures">[]).map(storedPicture) : rows);
    }
    await db.stamps.bulkPut(merged.stamps);
    await keepKnown(db, merged);
    const left = leftValues(merged.clashes, picks, { here, there, devices: merged.devices });
    const count = Object.keys(left).length;
    if (count > 0) {
      const row: SetAside = {
        id: crypto.randomUUID(),
        at: new Date(act[2]).toISOString(),
        from: there.history.device.name,
        into: here.history.device.name,
        values: left,
      };
      await db.setAside.put(row);
      await stampRow(db, { table: "setAside", id: row.id }, { before: undefined, after: row }, act);
    }
    return { kind: "done", setAside: count };
  });
}

/** The values that were not taken, by the clash that they belong to. */
function leftValues(
  clashes: readonly Clash[],
  picks: Readonly<Record<string, Pick>>,
  { here, there, devices }: { here: Side; there: Side; devices: History["devices"] },
): SetAside["values"] {
  const named = { horses: [...here.records.horses, ...there.records.horses], visits: here.records.visits };
  const wording = wordingFor(here.records.settings[0] ?? DEFAULT_SETTINGS);
  return Object.fromEntries(
    clashes.map(({ key, table, id, place, usual, ...held }) => {
      const { value, stamp } = held[(picks[key] ?? usual) === "here" ? "there" : "here"];
      const row = [...here.records[table], ...there.records[table]].find((one) => one.id === id);
      return [
        key.slice(0, 300),
        {
          table,
          id,
          ...(place !== undefined && { place: place.slice(0, 200) }),
          of: rowName(table, row, named, wording).slice(0, 200),
          json: (JSON.stringify(value) ?? "").slice(0, 200_000),
          device: deviceName(stamp, devices),
          ...(stamp && { at: new Date(stamp[2]).toISOString() }),
        },
      ];
    }),
  );
}

const deviceName = (stamp: Stamp | undefined, devices: History["devices"]): string =>
  stamp ? (devices[stamp[0]] ?? "") : "";
