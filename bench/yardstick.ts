/**
 * The store that reads are held against: 400 horses, 12 years, 100,000 readings of feet. Makes it from the demo round,
 * opens every page on it, and holds each against its bound of 300 ms and against a raw read by index of the rows that the
 * page shows; then an edit, and a backup with the page alive.
 */
import { spawnSync } from "node:child_process";
import { statSync } from "node:fs";
import { chromium, type Page } from "@playwright/test";
import { CHROMIUM } from "../playwright.config";
import { serve } from "../scripts/serve.mjs";

const HORSES = 400;
const YEARS = 12;
const OPEN_MS = 300;
const ROUNDS = 5;
const DATABASE = "plumbline-demo";

interface Made {
  horses: number;
  visits: number;
  readings: number;
}

/** Fills the demo's database with copies of its horses, their two years laid end to end into the past. */
const fill = (page: Page): Promise<Made> =>
  page.evaluate(
    async ([name, horses, years]) => {
      const asked = <T>(request: IDBRequest<T>) =>
        new Promise<T>((done, failed) => {
          request.onsuccess = () => done(request.result);
          request.onerror = () => failed(request.error);
        });
      type Row = Record<string, unknown> & { id: string; date?: string; horseId?: string; visitId?: string };
      const db = await asked(indexedDB.open(name));
      const read = (table: string): Promise<Row[]> =>
        asked(db.transaction(table).objectStore(table).getAll() as IDBRequest<Row[]>);
      const OF_HORSES = ["visits", "readings", "trims", "shoes", "watchings", "looks"];
      const source = Object.fromEntries(
        await Promise.all(
          ["yards", "horses", ...OF_HORSES].map(async (table) => [table, await read(table)] as const),
        ),
      ) as Record<string, Row[]>;
      const of = (table: string) => source[table] ?? [];
      const back = (date: string, by: number) =>
        `${Number(date.slice(0, 4)) - by}${date.slice(4)}`.replace("02-29", "02-28");
      const firsts = of("horses");
      const made = { horses: 0, visits: 0, readings: 0 };
      for (let at = 0; at < horses; at++) {
        const first = firsts[at % firsts.length];
        const copy = Math.floor(at / firsts.length);
        if (!first) break;
        const writing = db.transaction(["yards", "horses", ...OF_HORSES], "readwrite", {
          durability: "relaxed",
        });
        const put = (table: string, row: Row) => void writing.objectStore(table).put(row);
        const tag = copy === 0 ? "" : ` ${copy + 1}`;
        const yard = of("yards").find(({ id }) => id === first["yardId"]);
        if (copy > 0 && yard)
          put("yards", { ...yard, id: `${yard.id}${tag}`, name: `${String(yard["name"])}${tag}` });
        const horseId = `${first.id}${tag}`;
        if (copy > 0)
          put("horses", {
            ...first,
            id: horseId,
            yardId: `${String(first["yardId"])}${tag}`,
            name: `${String(first["name"])}${tag}`,
          });
        made.horses += 1;
        // As a round is: some horses since the beginning, most for some years.
        const span = at % 10 === 0 ? years : at % 5 === 1 ? years / 3 : years / 6;
        for (let age = 0; age < span; age += 2)
          for (const table of OF_HORSES)
            for (const row of of(table)) {
              if (row.horseId !== first.id || row.date === undefined) continue;
              const isNow = age === 0;
              // One day's work is one round's, however many copies of it there are.
              if (copy > 0 && row["status"] === "planned") continue;
              // What is to come is not repeated in the past.
              if (!isNow && row["status"] === "planned") continue;
              if (table === "visits") made.visits += 1;
              if (table === "readings") made.readings += 1;
              if (isNow && copy === 0) continue;
              const old = isNow ? tag : `${tag} -${age}`;
              put(table, {
                ...row,
                id: `${row.id}${old}`,
                horseId,
                date: back(row.date, age),
                ...(row.visitId !== undefined && { visitId: `${row.visitId}${old}` }),
              });
            }
        await new Promise((done, failed) => {
          writing.oncomplete = done;
          writing.onerror = () => failed(writing.error);
        });
      }
      db.close();
      return made;
    },
    [DATABASE, HORSES, YEARS] as const,
  );

/** Reads rows by an index as plainly as can be, ms. */
const rawRead = (
  page: Page,
  reads: readonly (readonly [table: string, index: string, from: unknown, to: unknown])[],
) =>
  page.evaluate(
    async ([name, wanted]) => {
      const asked = <T>(request: IDBRequest<T>) =>
        new Promise<T>((done, failed) => {
          request.onsuccess = () => done(request.result);
          request.onerror = () => failed(request.error);
        });
      const db = await asked(indexedDB.open(name));
      const from = performance.now();
      for (const [table, index, low, high] of wanted) {
        const store = db.transaction(table).objectStore(table);
        const range = low === null ? undefined : IDBKeyRange.bound(low, high);
        await asked(index === "" ? store.getAll(range) : store.index(index).getAll(range));
      }
      const taken = performance.now() - from;
      db.close();
      return taken;
    },
    [DATABASE, reads] as const,
  );

/** From a change of the address inside the application to the frame after its target stands in the page, ms. */
const openInside = (page: Page, address: string, target: string): Promise<number> =>
  page.evaluate(
    ([to, wanted]) =>
      new Promise<number>((done) => {
        const { router } = globalThis as unknown as {
          router: { navigate: (to: string) => Promise<void> };
        };
        const from = performance.now();
        void router.navigate(to);
        const look = () =>
          document.querySelector(wanted)
            ? requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)))
            : requestAnimationFrame(look);
        requestAnimationFrame(look);
      }),
    [address, target] as const,
  );

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;

if (!process.argv.includes("--built")) {
  const built = spawnSync("npm", ["run", "-s", "build"], { stdio: "pipe" });
  if (built.status !== 0) throw new Error(built.stderr.toString());
}
const app = await serve(0, "build/client");
const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: "block" });
await context.addInitScript("globalThis.__name = (made) => made");
// The router says where it stands in development tools; the bench steers by the same name.
await context.addInitScript(
  "Object.defineProperty(globalThis, 'router', { get: () => globalThis.__reactRouterDataRouter })",
);
const page = await context.newPage();
const rows: [what: string, measured: number, bound: number][] = [];
try {
  await page.goto(`${app.address}/?round=demo`);
  await page.locator(".stop").first().waitFor({ timeout: 60_000 });
  const today = await page.evaluate(() => new Date().toISOString().slice(0, 10));
  await page.goto(`${app.address}/mark.svg`);
  const filling = performance.now();
  const made = await fill(page);
  console.log(
    `${made.horses} horses, ${made.visits} visits, ${made.readings} readings, in ${Math.round((performance.now() - filling) / 1000)} s`,
  );
  const starting = performance.now();
  await page.goto(app.address);
  await page.locator(".stop").first().waitFor({ timeout: 60_000 });
  console.log(`start to Today: ${Math.round(performance.now() - starting)} ms`);
  await page.waitForTimeout(1000);

  const HORSE = "demo-yard-1-horse-1";
  const visit = `/visits/${HORSE}-${today}`;
  const recently = new Date(Date.parse(today) - 84 * 86_400_000).toISOString().slice(0, 10);
  const ROSTER = [
    ["horses", "", null, null],
    ["yards", "", null, null],
    ["visits", "status", "open", "planned"],
    ["visits", "date", recently, "9999"],
  ] as const;
  const lastVisits = await page.evaluate(
    async ([name, since]) => {
      const asked = <T>(request: IDBRequest<T>) =>
        new Promise<T>((done) => {
          request.onsuccess = () => done(request.result);
        });
      const db = await asked(indexedDB.open(name));
      const found = (await asked(
        db.transaction("visits").objectStore("visits").index("date").getAll(IDBKeyRange.lowerBound(since)),
      )) as { id: string; horseId: string; status: string }[];
      db.close();
      return [
        ...new Map(
          found.filter(({ status }) => status === "signed").map((one) => [one.horseId, one.id]),
        ).values(),
      ];
    },
    [DATABASE, recently] as const,
  );
  const dear = ["flat", "frog support"].map(
    (pad) => ["shoes", "[spec.pad+date]", [pad, recently], [pad, "9999"]] as const,
  );
  const ROWS = [...ROSTER, ...dear];
  const ofLast = lastVisits.slice(0, 24).map((id) => ["readings", "visitId", id, id] as const);
  const FILE = ["visits", "readings", "trims", "shoes", "watchings", "looks"].map(
    (table) => [table, "horseId", HORSE, HORSE] as const,
  );
  const PAGES = [
    ["Today", "/", ".stop", ROWS],
    ["Horses", "/horses", ".horse-list li", [...ROWS, ...ofLast]],
    ["a horse with its visits", `/horses/${HORSE}`, ".horse-grid", FILE],
    ["Survey", `${visit}/survey`, ".pictures svg, .start-panel", FILE],
    ["Plan", "/rounds", ".rounds .page-head", ROWS],
    ["Cycles", "/rounds?view=board", ".board-row", ROWS],
    ["Half a year", "/rounds?view=year", ".half-year", ROWS],
    ["Calls", "/rounds?view=calls", ".rounds .page-head", ROWS],
    ["Day sheet", `/rounds/${today}`, ".day-sheet", [...ROWS, ...FILE]],
    [
      "Cut list",
      "/forge?view=list",
      ".cut-list",
      [
        ["forged", "", null, null],
        ["steel", "", null, null],
      ],
    ],
    [
      "Files",
      "/files",
      ".files",
      [
        ["horses", "", null, null],
        ["yards", "", null, null],
      ],
    ],
    ["Settings", "/settings", ".settings", []],
  ] as const;
  for (const [name, address, target, reads] of PAGES) {
    const taken: number[] = [];
    const raw: number[] = [];
    for (let round = 0; round < ROUNDS; round++) {
      await openInside(page, "/cautions", ".cautions");
      await page.waitForTimeout(200);
      taken.push(await openInside(page, address, target));
      raw.push(await rawRead(page, reads));
      await page.waitForTimeout(200);
    }
    rows.push([`${name} (raw read ${Math.round(median(raw))} ms)`, median(taken), OPEN_MS]);
  }
  // An edit: from the key to the screen, and to the store.
  await page.goto(`${app.address}/settings`);
  await page.locator(".settings").waitFor();
  const edits: { shown: number; kept: number }[] = [];
  for (let round = 0; round < 9; round++) {
    edits.push(
      await page.evaluate(
        () =>
          new Promise<{ shown: number; kept: number }>((done) => {
            const line = document.querySelector(".save-line");
            const chosen = () =>
              [...document.querySelectorAll<HTMLInputElement>(".settings input:checked")]
                .map((input) => input.parentElement?.textContent)
                .join();
            const [was, said] = [chosen(), line?.textContent];
            const from = performance.now();
            let shown = 0;
            document.body.dispatchEvent(new KeyboardEvent("keydown", { key: "u", bubbles: true }));
            const look = () => {
              if (shown === 0 && chosen() !== was) shown = performance.now() - from;
              if (shown > 0 && line?.textContent !== said) done({ shown, kept: performance.now() - from });
              else requestAnimationFrame(look);
            };
            look();
          }),
      ),
    );
    await page.waitForTimeout(1100);
  }
  rows.push(["an edit on the screen", median(edits.map(({ shown }) => shown)), 50]);
  rows.push(["an edit in the store, said so", median(edits.map(({ kept }) => kept)), 200]);

  // A backup and its way back, with the page alive.
  await page.goto(`${app.address}/files`);
  await page.getByRole("button", { name: "Back up everything" }).waitFor();
  const watch = () =>
    page.evaluate(() => {
      const seen = { last: performance.now(), worst: 0 };
      (globalThis as unknown as { seen: typeof seen }).seen = seen;
      setInterval(() => {
        const now = performance.now();
        seen.worst = Math.max(seen.worst, now - seen.last - 10);
        seen.last = now;
      }, 10);
    });
  const stood = () => page.evaluate(() => (globalThis as unknown as { seen: { worst: number } }).seen.worst);
  await watch();
  const backingUp = performance.now();
  const download = page.waitForEvent("download", { timeout: 120_000 });
  await page.getByRole("button", { name: "Back up everything" }).click();
  const file = await (await download).path();
  console.log(
    `backup: ${((performance.now() - backingUp) / 1000).toFixed(1)} s, ${Math.round(statSync(file).size / 1e6)} MB`,
  );
  rows.push(["the page standing still in a backup", await stood(), 200]);
  const choosing = performance.now();
  await page.getByLabel("Choose a backup file").setInputFiles(file);
  await page.getByRole("button", { name: "Restore it" }).waitFor({ timeout: 120_000 });
  console.log(`reading it: ${((performance.now() - choosing) / 1000).toFixed(1)} s`);
  const restoring = performance.now();
  await page.getByRole("button", { name: "Restore it" }).click();
  await page.getByText("Restored.").waitFor({ timeout: 600_000 });
  console.log(`restoring it: ${((performance.now() - restoring) / 1000).toFixed(1)} s`);
  rows.push(["the page standing still in a restore", await stood(), 200]);
  console.log("\nyardstick                                            measured      bound      ratio");
  for (const [what, measured, bound] of rows)
    console.log(
      `${what.padEnd(52)} ${`${Math.round(measured)} ms`.padEnd(13)} ${String(bound).padEnd(10)} ${(measured / bound).toFixed(2)}`,
    );
  if (rows.some(([, measured, bound]) => !(measured <= bound))) process.exitCode = 1;
} finally {
  await browser.close();
  app.server.close();
}
