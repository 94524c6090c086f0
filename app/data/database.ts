import Dexie, { type EntityTable, type Transaction } from "dexie";
import { storedPicture, type StoredPicture } from "./pictureBytes";
import type { Edit } from "~core/record/edit";
import type { RowStamps } from "~core/record/stamps";
import { madeRows, MIGRATIONS, migrateRow, type MadeRow } from "~core/record/migrations";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import type { RecordOf, TableName } from "~core/record/tables";

/** Text that is typed but not yet a value of a record: kept at every keystroke, gone once it is one. */
interface Draft {
  key: string;
  /** What is typed there: the key without the tab. */
  place: string;
  /** The tab that types it. */
  sitting: string;
  text: string;
}

/** The fact that tells one filling of a store from the next: a restore writes a new one. */
export const EPOCH = "epoch";

/** Edits that were made together, in the order of doing; `sitting` is the tab that made them. */
interface JournalEntry {
  seq: number;
  sitting: string;
  edits: Edit[];
}

type RecordTables = { [Name in Exclude<TableName, "pictures">]: EntityTable<RecordOf<Name>, "id"> } & {
  pictures: EntityTable<StoredPicture, "id">;
};

export type Database = Dexie &
  RecordTables & {
    drafts: EntityTable<Draft, "key">;
    journal: EntityTable<JournalEntry, "seq">;
    facts: EntityTable<{ key: string; value: string }, "key">;
    stamps: EntityTable<RowStamps, "key">;
    /** What the browser lends: the folder for backups. */
    handles: EntityTable<{ key: string; handle: unknown }, "key">;
  };

/** Indexes of each table, by the version of the records that brought it. */
const FIRST_TABLES: Partial<Record<TableName, string>> = {
  yards: "id",
  horses: "id, yardId",
  visits: "id, horseId, date",
  readings: "id, visitId, horseId",
  trims: "id, visitId, horseId",
  settings: "id",
};
const LATER_TABLES: Record<number, Partial<Record<TableName, string>>> = {
  2: {
    watchings: "id, visitId, horseId",
    looks: "id, visitId, horseId",
    photos: "id, visitId, horseId",
    pictures: "id",
  },
  4: { shoes: "id, visitId, horseId", sizes: "id", nailSizes: "id" },
  5: { forgings: "id", forged: "id", steel: "id" },
  6: { appointments: "id, date", calls: "id, horseId" },
  10: { cases: "id, horseId, status", films: "id, horseId" },
  12: { tries: "id, room, at", protocols: "id" },
  14: { setAside: "id" },
};

/** What only the store knows of: how drafts and pictures lie, what is found by index. Between two versions of the records. */
const STORE_STEPS: {
  version: number;
  stores: Record<string, string>;
  upgrade: (transaction: Transaction) => Promise<unknown>;
}[] = [
  {
    version: 6.1,
    stores: {
      drafts: "key, place",
      visits: "id, horseId, date, status, [horseId+date]",
      readings: "id, visitId, horseId, [horseId+date]",
      shoes: "id, visitId, horseId, date, [spec.type+date], [spec.pad+date]",
      trims: "id, visitId, horseId, [plan.by+date]",
    },
    upgrade: async (transaction) => {
      await transaction
        .table<Draft>("drafts")
        .toCollection()
        .modify((draft) => {
          draft.place = draft.key;
          draft.sitting = "";
        });
      await transaction
        .table<RecordOf<"pictures">>("pictures")
        .toCollection()
        .modify((row, place: { value: unknown }) => {
          place.value = storedPicture(row);
        });
    },
  },
  // Who touched each place last: what was there before is known to everybody. What the browser lends.
  { version: 14.1, stores: { stamps: "key", handles: "key" }, upgrade: () => Promise.resolve() },
];

/**
 * The database of one round. Writes are flushed to the disk before they count as done (strict durability), so that a
 * power cut loses nothing that was said to be kept. Each step of the records' migrations is a Dexie version.
 */
export function openDatabase(name: string): Database {
  const db = new Dexie(name, { chromeTransactionDurability: "strict" }) as Database;
  db.version(1).stores({ ...FIRST_TABLES, drafts: "key", journal: "++seq, sitting", facts: "key" });
  db.on("populate", (transaction) => {
    void transaction.table("settings").add(DEFAULT_SETTINGS);
  });
  for (const step of MIGRATIONS)
    db.version(step.to)
      .stores(LATER_TABLES[step.to] ?? {})
      .upgrade(async (transaction) => {
        const made: MadeRow[] = [];
        for (const table of Object.keys(step.tables) as TableName[])
          await transaction
            .table(table)
            .toCollection()
            .modify((row: Record<string, unknown>, place: { value: unknown }) => {
              made.push(...madeRows(table, row, step.to - 1, [step]));
              place.value = migrateRow(table, row, step.to - 1, [step]);
            });
        for (const { table, row } of made) await transaction.table(table).put(row);
      });
  for (const { version, stores, upgrade } of STORE_STEPS) db.version(version).stores(stores).upgrade(upgrade);
  // A store that a newer version wrote would open, and lose what this one does not know: it is left alone.
  const known = db.verno;
  db.on("ready", () => {
    if (db.backendDB().version > 10 * known) throw new NewerStore();
  });
  return db;
}

/** The records in this browser were carried up by a newer version than this. */
export class NewerStore extends Error {
  override name = "NewerStore";
  constructor() {
    super("The records in this browser were written by a newer Plumbline.");
  }
}
