import type { Page } from "@playwright/test";
import { TABLE_NAMES, type Records } from "../../core/record/tables";
import { readFormChanges } from "../../core/record/formDraft";
import { TABLES } from "../../core/record/schemas";

/** Something done at a place: noted before it is done; what it leaves, once that is known; when it was done with, ms. */
export interface Act {
  text?: string;
  ended?: number;
}
/** What was done at each place since it is known what stands there, oldest first; the first is what stood there. */
export type Acts = Map<string, Act[]>;

/** An act that begins now. */
export function begun(acts: Acts, place: string, text?: string): Act {
  const act: Act = text === undefined ? {} : { text };
  acts.set(place, [...(acts.get(place) ?? []), act]);
  return act;
}

export interface Found {
  /** As a number ten times the records' version. */
  version: number;
  records: Records;
  /** Pictures lie as bytes: only who they are. */
  pictures: string[];
  facts: { key: string; value?: string }[];
  drafts: { place: string; text: string }[];
}

/** All rows as they lie in a store, read where the application does not run. */
export async function look(page: Page, store = "plumbline-demo"): Promise<Found> {
  await page.goto("/mark.svg");
  const text = await page.evaluate(async (name) => {
    const asked = <T>(request: IDBRequest<T>) =>
      new Promise<T>((done, failed) => {
        request.onsuccess = () => done(request.result);
        request.onerror = () => failed(request.error as Error);
      });
    const db = await asked(indexedDB.open(name));
    const rows: Record<string, unknown[]> = {};
    let pictures: IDBValidKey[] = [];
    for (const table of db.objectStoreNames) {
      const at = db.transaction(table).objectStore(table);
      if (table === "pictures") pictures = await asked(at.getAllKeys());
      else if (table !== "handles") rows[table] = await asked(at.getAll());
    }
    const { version } = db;
    db.close();
    // As one text: a large answer of many objects takes the driver seconds.
    return JSON.stringify({ version, rows, pictures });
  }, store);
  const { version, rows, pictures } = JSON.parse(text) as {
    version: number;
    rows: Record<string, unknown[]>;
    pictures: string[];
  };
  return {
    version,
    records: Object.fromEntries(TABLE_NAMES.map((name) => [name, rows[name] ?? []])) as unknown as Records,
    pictures,
    drafts: rows["drafts"] as Found["drafts"],
    facts: rows["facts"] as Found["facts"],
  };
}

const WITNESS = "kills-witness";
/** Puts a database beside the application's: it is gone where the browser threw all of its store away, and only there. */
export const leaveWitness = (page: Page): Promise<void> =>
  page.evaluate(
    (name) =>
      new Promise<void>((done, failed) => {
        const opening = indexedDB.open(name);
        opening.onsuccess = () => {
          opening.result.close();
          done();
        };
        opening.onerror = () => failed(opening.error as Error);
      }),
    WITNESS,
  );
export const hasWitness = (page: Page): Promise<boolean> =>
  page.evaluate(async (wanted) => (await indexedDB.databases()).some(({ name }) => name === wanted), WITNESS);

/** Places of which the value is told by the rows of one table. */
const VALUES: Record<
  string,
  (records: Records, id: string, what: string, found: Found) => string | number | undefined
> = {
  reading: ({ readings }, id, what) =>
    (readings.find((one) => one.id === id)?.values as Record<string, { value: number }> | undefined)?.[what]
      ?.value,
  cut: ({ trims }, id, what) =>
    (trims.find((one) => one.id === id)?.plan?.cuts as Record<string, number> | undefined)?.[what],
  ticks: ({ trims }, id) => Object.keys(trims.find((one) => one.id === id)?.ticks ?? {}).length,
  photos: ({ photos }, id) => photos.filter(({ visitId }) => visitId === id).length,
  // A field of a form that became a value: of the horse that the form is of, or the name of the device.
  form: ({ horses }, id, what, { facts }) => {
    if (id === "files/device") {
      const kept = facts.find(({ key }) => key === "device")?.value;
      return (JSON.parse(kept ?? "{}") as { name?: string }).name;
    }
    const horse = horses.find((one) => id === `forms/horse/${one.id}`);
    return (horse as Record<string, unknown> | undefined)?.[what.replace("horse.", "")] as string | undefined;
  },
};
/** What is typed at a field of a form, out of the draft of the whole form; a draft of one text is that text. */
function typedIn(text: string, what: string): string | undefined {
  if (what === "plan") return "planned";
  if (what === "") return text;
  const change = readFormChanges(text).find(([path]) => path.join(".") === what);
  return change && String(change[1]);
}
export const placeOf = (kind: keyof typeof VALUES, id: string, what = ""): string =>
  [kind, id, what].join("|");

/** What stands at a place: its value, and what is typed there and no value yet. */
export function standing(found: Found, place: string): { value?: string; texts: string[] } {
  const [kind = "", id = "", what = ""] = place.split("|");
  const { records, drafts } = found;
  const value = VALUES[kind]?.(records, id, what, found);
  return {
    ...(value !== undefined && { value: String(value) }),
    texts:
      kind === "form"
        ? drafts.filter((one) => one.place === id).flatMap(({ text }) => typedIn(text, what) ?? [])
        : drafts.filter((one) => one.place === `${id}.${what}`).map(({ text }) => text),
  };
}

/**
 * Rows that are not whole: not as their table has them, a photograph without its picture, a picture without any row that is
 * not noted as loose.
 */
export function halves({ records, pictures, facts }: Found): string[] {
  const wrong: string[] = [];
  for (const name of TABLE_NAMES)
    for (const row of name === "pictures" ? [] : records[name])
      if (!TABLES[name].safeParse(row).success) wrong.push(`half a row in ${name}: ${row.id}`);
  for (const { id, pictureId } of records.photos)
    if (!pictures.includes(pictureId)) wrong.push(`no picture of photograph ${id}`);
  const all = JSON.stringify([records, facts.map(({ key }) => key.split(" ").at(-1))]);
  for (const id of pictures) if (!all.includes(JSON.stringify(id))) wrong.push(`a picture of nothing: ${id}`);
  return wrong;
}

/** What was lost or doubled of what was done more than a second before the kill, and how many places were looked for. */
export function losses(found: Found, acts: Acts, killedAt: number): { wrong: string[]; lookedFor: number } {
  const wrong: string[] = [];
  let lookedFor = 0;
  for (const [place, all] of acts) {
    const old = all.findLastIndex(({ ended }) => ended !== undefined && ended < killedAt - 1000);
    const { value, texts } = standing(found, place);
    if (texts.length > 1) wrong.push(`doubled draft at ${place}: ${texts.join()}`);
    if (old < 0) continue;
    lookedFor += 1;
    // What was done since, whole or not yet whole, may be there in its place.
    if (!all.slice(old).some(({ text }) => text === undefined || value === text || texts.includes(text)))
      wrong.push(
        `lost: ${place} ${JSON.stringify(all.slice(-6))}, there is ${value ?? "nothing"}, typed ${texts.join()}, killed ${killedAt}`,
      );
  }
  return { wrong, lookedFor };
}

/** What stands there now is what the next kill starts from: a draft must stay, or become the value. */
export function settle(found: Found, acts: Acts): void {
  for (const place of acts.keys()) {
    const { value, texts } = standing(found, place);
    const text = texts[0] ?? value;
    if (text === undefined) acts.delete(place);
    else acts.set(place, [{ text, ended: 0 }]);
  }
}
