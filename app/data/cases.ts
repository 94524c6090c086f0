import Dexie from "dexie";
import type { CareRecords } from "~core/casework/caseBoard";
import type { Case } from "~core/case/caseRecord";
import type { TableName } from "~core/record/tables";
import { session } from "./session";

/** The tables that a case is judged from. */
export const CARE_TABLES = [
  "cases",
  "visits",
  "readings",
  "trims",
  "shoes",
  "looks",
  "photos",
  "films",
] as const satisfies readonly TableName[];

/** The day from which on a case is judged: its first one; all of the horse where nobody knows it. */
const sinceOf = (cases: readonly Case[]): string =>
  cases.reduce((first, { opened }) => ((opened ?? "") < first ? (opened ?? "") : first), "9999");

/** The open cases of the round, or those given, with the records that they are judged from: a horse's since its first case. */
export async function readCare(given?: readonly Case[]): Promise<CareRecords> {
  const { db } = session;
  const cases = given ?? (await db.cases.where("status").equals("open").toArray());
  const horses = [...new Set(cases.map(({ horseId }) => horseId))];
  const parts = await Promise.all(
    horses.map(async (id) => {
      const since = sinceOf(cases.filter(({ horseId }) => horseId === id)) || Dexie.minKey;
      const late = (table: "visits" | "readings") =>
        db.table(table).where("[horseId+date]").between([id, since], [id, "9999"]).toArray();
      return Promise.all([
        late("visits") as Promise<CareRecords["visits"]>,
        late("readings") as Promise<CareRecords["readings"]>,
        db.trims.where("horseId").equals(id).toArray(),
        db.shoes.where("horseId").equals(id).toArray(),
        db.looks.where("horseId").equals(id).toArray(),
        db.photos.where("horseId").equals(id).toArray(),
        db.films.where("horseId").equals(id).toArray(),
      ]);
    }),
  );
  return {
    cases,
    visits: parts.flatMap(([visits]) => visits),
    readings: parts.flatMap(([, readings]) => readings),
    trims: parts.flatMap(([, , trims]) => trims),
    shoes: parts.flatMap(([, , , shoes]) => shoes),
    looks: parts.flatMap(([, , , , looks]) => looks),
    photos: parts.flatMap(([, , , , , photos]) => photos),
    films: parts.flatMap(([, , , , , , films]) => films),
    watchings: [],
  };
}

/** Every case that was ever kept, open or closed. */
export const readAllCases = (): Promise<Case[]> => session.db.cases.toArray();
