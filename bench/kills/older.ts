import type { Page } from "@playwright/test";
import type { Horse } from "../../core/record/horse";
import type { Records } from "../../core/record/tables";
import type { Visit } from "../../core/record/visit";
import type { Found } from "./found";

/** The store of one's own records, beside the demo round's. */
export const OWN = "plumbline";
/** As a version before cases wrote it. */
const OLDER_STORE = 90;
const VISITS = 6000;

/** Rows of which the migrations change every one: a visit of that version has no list of what was observed. */
function olderRows({ yards, horses, visits }: Records): {
  yards: unknown[];
  horses: Horse[];
  visits: unknown[];
} {
  const [visit] = visits;
  if (!visit) throw new Error("there is no visit to start from");
  return {
    yards,
    horses,
    visits: Array.from({ length: VISITS }, (_, at) => {
      const { observed: _later, ...older }: Visit = visit;
      return { ...older, id: `older-${at}`, horseId: horses[at % horses.length]?.id };
    }),
  };
}

/** Puts a store of an older version where one's own records are, and chooses them. */
export async function putOlder(page: Page, records: Records): Promise<void> {
  await page.goto("/mark.svg");
  await chooseRound(page, "own");
  await page.evaluate(
    async ({ name, version, rows }) => {
      const ended = (request: IDBRequest) =>
        new Promise<void>((done, failed) => {
          request.onsuccess = () => done();
          request.onerror = () => failed(request.error as Error);
        });
      await ended(indexedDB.deleteDatabase(name));
      const opening = indexedDB.open(name, version);
      opening.onupgradeneeded = () => {
        const made = (table: string, ...indexes: (string | string[])[]) => {
          const store = opening.result.createObjectStore(table, {
            keyPath: table === "journal" ? "seq" : table === "drafts" || table === "facts" ? "key" : "id",
            autoIncrement: table === "journal",
          });
          for (const path of indexes)
            store.createIndex(typeof path === "string" ? path : `[${path.join("+")}]`, path);
        };
        made("yards");
        made("horses", "yardId");
        made("visits", "horseId", "date", "status", ["horseId", "date"]);
        made("readings", "visitId", "horseId", ["horseId", "date"]);
        made("trims", "visitId", "horseId", ["plan.by", "date"]);
        made("shoes", "visitId", "horseId", "date", ["spec.type", "date"], ["spec.pad", "date"]);
        for (const table of ["watchings", "looks", "photos"]) made(table, "visitId", "horseId");
        for (const table of ["settings", "pictures", "sizes", "nailSizes", "forgings", "forged", "steel"])
          made(table);
        made("appointments", "date");
        made("calls", "horseId");
        made("drafts", "place");
        made("journal", "sitting");
        made("facts");
      };
      await ended(opening);
      const db = opening.result;
      const writing = db.transaction(Object.keys(rows), "readwrite");
      for (const [table, all] of Object.entries(rows))
        for (const row of all) writing.objectStore(table).put(row);
      await new Promise<void>((done, failed) => {
        writing.oncomplete = () => done();
        writing.onerror = () => failed(writing.error as Error);
      });
      db.close();
    },
    { name: OWN, version: OLDER_STORE, rows: olderRows(records) as Record<string, unknown[]> },
  );
}

export const chooseRound = (page: Page, round: "own" | "demo"): Promise<void> =>
  page.evaluate((chosen) => {
    for (const storage of [localStorage, sessionStorage]) storage.setItem("plumbline.round", chosen);
  }, round);

/** What is wrong with a store whose migration was broken off: all of it is of the one version or of the other. */
export function halfMigrated({ version, records: { visits } }: Found): string[] {
  const later = visits.filter((visit) => "observed" in visit).length;
  if (visits.length !== VISITS) return [`${visits.length} of ${VISITS} visits`];
  const asked = version === OLDER_STORE ? 0 : VISITS;
  return later === asked
    ? []
    : [`${later} of ${VISITS} visits carried up in a store of version ${version / 10}`];
}
export const isOlder = ({ version }: Found): boolean => version === OLDER_STORE;
