import { RECORD_VERSION } from "~core/record/migrations";
import { runDemoWorker, type DemoKind } from "../workers/demo";
import { EPOCH } from "./database";
import { putRecords } from "./storeFiles";
import { chooseRound, databaseOf, session } from "./session";

const MADE_FOR = "madeFor";

/** The day that the demo round was made for, where it is the one that is open. */
export const demoMadeFor = async (): Promise<string | undefined> =>
  session.round === "own" ? undefined : (await session.db.facts.get(MADE_FOR))?.value;

/**
 * Makes the demo round for `today` in a worker, writes it to its own database and chooses it for the next page load.
 * The user's own records lie in another database and are not opened.
 */
export async function loadDemo(kind: DemoKind, today: string, report: (part: number) => void): Promise<void> {
  const records = await runDemoWorker(kind, today, ({ done, of }) => report((0.6 * done) / of));
  const db = databaseOf(kind);
  try {
    await db.transaction("rw", db.tables, async () => {
      await Promise.all(db.tables.map((table) => table.clear()));
      await putRecords(db, records);
      await db.table("facts").bulkPut([
        { key: MADE_FOR, value: today },
        { key: EPOCH, value: crypto.randomUUID() },
        { key: "recordVersion", value: String(RECORD_VERSION) },
      ]);
    });
  } finally {
    db.close();
  }
  report(1);
  chooseRound(kind);
}
