import { stamped } from "~core/record/places";
import { stampKey, type Stamp } from "~core/record/stamps";
import type { TableName } from "~core/record/tables";
import type { Database } from "./database";

/** Notes which places of a row an act touched; inside its transaction, which writes `stamps`. */
export async function stampRow(
  db: Database,
  { table, id }: { table: TableName; id: string },
  change: { before: object | undefined; after: object | undefined },
  act: Stamp,
): Promise<void> {
  const key = stampKey(table, id);
  await db.stamps.put(stamped(table, change, (await db.stamps.get(key)) ?? { key }, act));
}
