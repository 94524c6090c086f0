// Kills the browser at moments of chance while somebody types, paints, restores or puts two devices together, and looks at
// what is there afterwards: node --import tsx bench/kills.ts [how many] [seed]. Wants a build and the stores of the tests.
import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type BrowserContext, type Page } from "@playwright/test";
import { seededRandom } from "../core/math/random";
import { readBackup, writeBackup, type Backup } from "../core/record/backup";
import { RECORD_VERSION } from "../core/record/migrations";
import { TABLE_NAMES, TABLES, type Records } from "../core/record/tables";
import { CHROMIUM } from "../playwright.config";
import { serve } from "../scripts/serve.mjs";
import { putBack } from "../tests/stores";
import { TODAY } from "../tests/round";

const [count = 1000, seed = 1] = process.argv.slice(2).map(Number);
const random = seededRandom(seed);
const below = (most: number) => Math.floor(random() * most);
const pick = <T>(list: readonly T[]): T => list[below(list.length)] as T;

const VISIT = `demo-yard-1-horse-1-${TODAY}`;
const LIMBS = ["LF", "RF", "LH", "RH"] as const;
/** Not the width: Enter in the lane's last field goes on to the next foot. */
const FIELDS = [
  ["Dorsal angle", "dorsalAngle", 45, 55],
  ["Toe length", "toeLength", 80, 110],
  ["Bearing length", "bearingLength", 115, 140],
  ["Pastern angle", "pasternAngle", 45, 58],
] as const;

/** Something typed at a place: noted before it is done, and when it was done with, ms. */
interface Typed {
  text: string;
  ended?: number;
}
/** What was typed at each place since it is known what stands there, oldest first; the first is what stood there. */
type Typing = Map<string, Typed[]>;

interface Found {
  records: Records;
  drafts: { place: string; text: string }[];
}

const { server, address } = await serve(0, "build/client");
const profile = mkdtempSync(join(tmpdir(), "kills-"));
async function launch(): Promise<BrowserContext> {
  // What a killed browser leaves to say that it is running.
  for (const name of ["SingletonLock", "SingletonCookie", "SingletonSocket"])
    rmSync(join(profile, name), { force: true });
  const made = await chromium.launchPersistentContext(profile, {
    ...CHROMIUM,
    baseURL: address,
    serviceWorkers: "block",
  });
  // The TypeScript runner marks inner functions with a helper that the page does not have.
  await made.addInitScript("globalThis.__name = (made) => made");
  return made;
}
/** Kills all of the browser and waits until none of it is left. */
async function kill(): Promise<void> {
  while (spawnSync("pkill", ["-9", "-f", `user-data-dir=${profile}`]).status === 0)
    await new Promise((ended) => setTimeout(ended, 100));
}

/** All rows as they lie in the store, read where the application does not run. */
async function look(page: Page): Promise<Found> {
  await page.goto("/mark.svg");
  const text = await page.evaluate(async () => {
    const asked = <T>(request: IDBRequest<T>) =>
      new Promise<T>((done, failed) => {
        request.onsuccess = () => done(request.result);
        request.onerror = () => failed(request.error ?? new Error("no answer"));
      });
    const db = await asked(indexedDB.open("plumbline-demo"));
    const all: Record<string, unknown[]> = {};
    for (const name of db.objectStoreNames)
      if (name !== "pictures" && name !== "handles")
        all[name] = await asked(db.transaction(name).objectStore(name).getAll());
    db.close();
    // As one text: a large answer of many objects takes the driver seconds.
    return JSON.stringify(all);
  });
  const rows = JSON.parse(text) as Record<string, unknown[]>;
  return {
    records: Object.fromEntries(TABLE_NAMES.map((name) => [name, rows[name] ?? []])) as unknown as Records,
    drafts: rows["drafts"] as Found["drafts"],
  };
}

/** Things older than a second that were looked for after a kill. */
let lookedFor = 0;

/** What stands at a place: its value, and what is typed there and no value yet. */
function standing({ records, drafts }: Found, place: string): { value: string | undefined; texts: string[] } {
  const [id = "", measure = ""] = place.split("|");
  const reading = records.readings.find((one) => one.id === id);
  const value = (reading?.values as Record<string, { value: number }> | undefined)?.[measure]?.value;
  return {
    value: value === undefined ? undefined : String(value),
    texts: drafts.filter((one) => one.place === `${id}.${measure}`).map(({ text }) => text),
  };
}

/** What is wrong with what was found, in words. */
function faults(found: Found, typing: Typing, killedAt: number): string[] {
  const wrong: string[] = [];
  for (const name of TABLE_NAMES)
    for (const row of name === "pictures" ? [] : found.records[name])
      if (!TABLES[name].safeParse(row).success) wrong.push(`half a row in ${name}: ${row.id}`);
  for (const [place, all] of typing) {
    const old = all.findLastIndex(({ ended }) => ended !== undefined && ended < killedAt - 1000);
    const { value, texts } = standing(found, place);
    if (texts.length > 1) wrong.push(`doubled draft at ${place}: ${texts.join()}`);
    if (old < 0) continue;
    lookedFor += 1;
    // What was typed since, whole or not yet whole, may be there in its place.
    const allowed = all.slice(old).map(({ text }) => text);
    if (!allowed.some((text) => value === text || texts.includes(text)))
      wrong.push(
        `lost: ${place} ${JSON.stringify(all.slice(-6))}, there is ${value ?? "nothing"}, typed ${texts.join()}, killed ${killedAt}`,
      );
  }
  return wrong;
}

/** What stands there now is what the next kill starts from: a draft must stay, or become the value. */
function settle(found: Found, typing: Typing): void {
  for (const place of typing.keys()) {
    const { value, texts } = standing(found, place);
    const text = texts[0] ?? value;
    if (text === undefined) typing.delete(place);
    else typing.set(place, [{ text, ended: 0 }]);
  }
}

const counts = (records: Records) =>
  TABLE_NAMES.filter((name) => name !== "pictures" && name !== "settings")
    .map((name) => records[name].length)
    .join();

async function typeAway(page: Page, until: number, typing: Typing): Promise<void> {
  const limb = pick(LIMBS);
  await page.goto(`/visits/${VISIT}/survey?foot=${limb}`);
  while (Date.now() < until) {
    const [name, measure, from, to] = pick(FIELDS);
    const field = page.getByRole("textbox", { name, exact: true });
    await field.waitFor({ timeout: 5000 });
    const typed: Typed = { text: String(from + below(to - from)) };
    const place = `${VISIT}.${limb}.before|${measure}`;
    typing.set(place, [...(typing.get(place) ?? []), typed]);
    await field.fill(typed.text, { timeout: 5000 });
    if (random() < 0.8) await field.press("Enter", { timeout: 5000 });
    typed.ended = Date.now();
  }
}

async function paint(page: Page, until: number): Promise<void> {
  await page.goto(`/visits/${VISIT}/read?foot=${pick(LIMBS)}`);
  while (Date.now() < until)
    await page
      .getByRole("button", { name: /^(Quarter|Heel|Toe)/ })
      .nth(below(4))
      .click({ timeout: 5000 });
}

async function bringIn(page: Page, file: string, way: "Restore it" | "Put together"): Promise<void> {
  await page.goto("/files");
  await page.getByLabel("Choose a backup file").setInputFiles({
    name: "b.json",
    mimeType: "application/json",
    buffer: Buffer.from(file),
  });
  if (way === "Put together") await page.getByRole("button", { name: "Compare with what is here" }).click();
  await page.getByRole("button", { name: way }).click();
}

/** The backup of what lies there, as another device would have gone on with it: forty visits more. */
function fortyMore(records: Records, mark: string): Backup {
  const [first] = records.visits;
  if (!first) throw new Error("there is no visit to start from");
  const visits = Array.from({ length: 40 }, (_, at) => ({
    ...first,
    id: `${mark}-${at}`,
  }));
  return {
    format: "plumbline-backup",
    version: RECORD_VERSION,
    madeAt: `${TODAY}T08:00:00Z`,
    records: { ...records, pictures: [], photos: [], films: [], visits: [...records.visits, ...visits] },
    history: {
      device: { id: mark, name: "Phone" },
      devices: { [mark]: "Phone" },
      seen: { [mark]: 1 },
      stamps: visits.map(({ id }) => ({ key: `visits/${id}`, made: [mark, 1, 1] })),
    },
  };
}

let context = await launch();
await putBack(await context.newPage(), "visit");
let before = await look(await context.newPage());
await context.close();
const tried: Record<string, number> = {};
let broken = 0;
const typing: Typing = new Map();
for (let one = 0; one < count; one++) {
  context = await launch();
  const page = context.pages()[0] ?? (await context.newPage());
  const kind = pick(["type", "type", "type", "type", "paint", "restore", "merge", "merge"]);
  tried[kind] = (tried[kind] ?? 0) + 1;
  const mark = `kill-${seed}-${one}`;
  const file = kind === "restore" || kind === "merge" ? writeBackup(fortyMore(before.records, mark)) : "";
  if (file !== "" && !readBackup(file).ok) throw new Error("the file of this bench is not sound");
  const until = Date.now() + 1500 + below(2500);
  const work =
    kind === "type"
      ? typeAway(page, until + 5000, typing)
      : kind === "paint"
        ? paint(page, until + 5000)
        : bringIn(page, file, kind === "restore" ? "Restore it" : "Put together");
  void work.catch(() => undefined);
  await new Promise((ended) => setTimeout(ended, until - Date.now()));
  const killedAt = Date.now();
  await kill();
  await context.close().catch(() => undefined);
  context = await launch();
  const after = await look(context.pages()[0] ?? (await context.newPage()));
  await context.close();
  const whole = after.records.visits.filter(({ id }) => id.startsWith(mark)).length;
  const replaced = kind === "restore" && whole === 40;
  if (replaced) typing.clear();
  const wrong = faults(after, typing, killedAt);
  if (file !== "" && whole !== 0 && whole !== 40) wrong.push(`half a ${kind}: ${whole} of 40 visits`);
  if (file === "" && counts(before.records).split(",")[1] !== counts(after.records).split(",")[1])
    wrong.push("horses were lost or doubled");
  for (const text of wrong) console.log(`${one} ${kind}: ${text}`);
  broken += wrong.length;
  settle(after, typing);
  before = after;
  if (one % 10 === 9) console.log(`${one + 1} kills, ${lookedFor} looked for, ${broken} faults`);
}
console.log(
  `${count} kills (${Object.entries(tried)
    .map(([kind, of]) => `${kind} ${of}`)
    .join(", ")}): ${lookedFor} things older than a second looked for, ${broken} faults`,
);
rmSync(profile, { recursive: true, force: true });
server.close();
process.exitCode = broken > 0 ? 1 : 0;
