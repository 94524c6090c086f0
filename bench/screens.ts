import { spawnSync } from "node:child_process";
import { chromium, type BrowserContext } from "@playwright/test";
import { CHROMIUM } from "../playwright.config";
import { serve } from "../scripts/serve.mjs";
import { median } from "./core";
import { chooseLargeFilm, vetSheetMs } from "./films";
import { groundRedraws } from "./ground";
import {
  chooseLargePicture,
  clickThrough,
  dragging,
  keystrokes,
  practiceReady,
  scriptBytes,
  timeMonths,
} from "./page";
import { percentile95, type Promised } from "./promise";

const ROUNDS = 9;
const KEYSTROKES = 60;
const DRAGS = 120;
const HORSE = "/horses/demo-yard-6-horse-1";

const build = (root: string) => {
  const done = spawnSync("npx", ["react-router", "build"], { cwd: root, stdio: "pipe" });
  if (done.status !== 0) throw new Error(`building ${root}: ${done.stderr.toString()}`);
};

/** What the application's own pages take in the browser, with the demo round. */
export async function screens(): Promise<Promised[]> {
  console.log("Building the application and the empty page …");
  build(".");
  build("bench/empty");
  const app = await serve(0, "build/client");
  const empty = await serve(0, "bench/empty/build/client");
  const browser = await chromium.launch(CHROMIUM);
  try {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      serviceWorkers: "block",
    });
    // The TypeScript runner marks inner functions with a helper that the page does not have.
    await context.addInitScript("globalThis.__name = (made) => made");
    const rows = await measured(context, app.address);
    const fresh = await (await browser.newContext({ serviceWorkers: "block" })).newPage();
    const emptyBytes = await scriptBytes(fresh, empty.address, "bench/empty/build/client");
    const appBytes = await scriptBytes(await context.newPage(), app.address, "build/client");
    console.log(
      `${Math.round(appBytes / 1000)} kB of gzipped script on Today, ${Math.round(emptyBytes / 1000)} kB on the empty page\n`,
    );
    return [
      ...rows,
      ["script of the first screen against the empty page", appBytes / emptyBytes, 1.16, "times"],
    ];
  } finally {
    await browser.close();
    app.server.close();
    empty.server.close();
  }
}

async function measured(context: BrowserContext, address: string): Promise<Promised[]> {
  const page = await context.newPage();
  const from = performance.now();
  await page.goto(`${address}/?round=demo`);
  await page.locator(".stop").first().waitFor({ timeout: 60_000 });
  const demoMs = performance.now() - from;

  const today: number[] = [];
  const horse: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    await clickThrough(page, 'a[href="/horses"]', ".horse-list li");
    await page.waitForTimeout(300);
    horse.push(await clickThrough(page, `a[href="${HORSE}"]`, ".horse-grid"));
    await page.waitForTimeout(300);
    today.push(await clickThrough(page, 'a[href="/"]', ".stop"));
    await page.waitForTimeout(300);
  }
  await page.locator(".job").first().click();
  await page.getByRole("button", { name: /Start the visit/ }).click();
  await page.getByRole("button", { name: "On to Survey" }).click();
  await page.locator(".pictures svg").first().waitFor();
  const redraw = await keystrokes(page, KEYSTROKES);
  const survey = new URL(page.url());
  await page.goto(`${survey.origin}${survey.pathname}?foot=LF&way=marks`);
  await page.locator('[data-mark="toe"]').waitFor();
  await page.waitForTimeout(500);
  const marks = await dragging(page, DRAGS, ".picture-sole", ".horn", 1);

  await page.goto(`${address}${HORSE}`);
  const signed = await page
    .getByRole("region", { name: "Visits" })
    .getByRole("link")
    .first()
    .getAttribute("href");
  const trim = `${address}${signed ?? ""}/trim?foot=RF`;
  const months = await timeMonths(page, `${trim}&view=months`, 7);
  await page.goto(`${trim}&view=bench`);
  await page.locator(".picture-side .cut-plane").first().waitFor();
  await page.waitForTimeout(500);
  const cuts = await dragging(page, DRAGS, ".picture-side", ".cut-plane", -1);
  await page.goto(`${address}${signed ?? ""}/shoe?foot=RF&view=fit`);
  await page.locator(".fit-drawing .shoe-web").first().waitFor();
  await page.waitForTimeout(500);
  const shoes = await dragging(page, DRAGS, ".fit-drawing", ".shoe-web", 1, "set");

  await page.goto(`${survey.origin}${survey.pathname}?foot=LF&way=photo`);
  await page.locator('input[aria-label="Take or choose: sole"]').waitFor({ state: "attached" });
  await page.waitForTimeout(500);
  const large = await chooseLargePicture(page);
  await page.goto(`${address}${HORSE}/films`);
  await page.locator('input[aria-label="Choose a radiograph"]').waitFor({ state: "attached" });
  const filmMs = await chooseLargeFilm(page);
  await page.goto(`${address}/cases`);
  await page.getByRole("link", { name: /^Damson/ }).click();
  await page.getByRole("link", { name: "Look at them" }).click();
  await page
    .getByRole("link", { name: /from the side/ })
    .first()
    .click();
  await page.locator(".film-numbers td").first().waitFor();
  await page.waitForTimeout(500);
  const films = await dragging(page, DRAGS, ".picture-pane", ".film-bone", 1, "tip", "y1");
  await page.goto(`${address}/cases`);
  await page.getByRole("link", { name: /^Mossback/ }).click();
  const sheetMs = await vetSheetMs(page);

  await page.goto(`${address}/ground`);
  await page.getByText("Two measures", { exact: true }).click();
  await page.locator('.ground-columns[data-grid="2"]').waitFor();
  await page.waitForTimeout(1500);
  const redraws = await groundRedraws(page, 20);
  await page.goto(`${address}/practice/measure?view=side`);
  await page.locator(".picture-svg image").waitFor();
  const practice = await practiceReady(page, 18);

  return [
    ["reading to redrawn drawing, median", median(redraw), 16, "ms"],
    ["opening a horse with two years of visits, median", median(horse), 150, "ms"],
    ["Today with the demo round, median", median(today), 300, "ms"],
    ["demo round loaded from nothing", demoMs, 5000, "ms"],
    ["dragging a mark: survey, ledger, findings, median", median(marks), 16, "ms"],
    ["dragging a mark, 95th percentile", percentile95(marks), 33, "ms"],
    ["dragging a cut: drawings, plan, words, median", median(cuts), 16, "ms"],
    ["dragging a cut, 95th percentile", percentile95(cuts), 33, "ms"],
    ["setting the shoe: fit, nails, mass, checks, median", median(shoes), 16, "ms"],
    ["setting the shoe, 95th percentile", percentile95(shoes), 33, "ms"],
    ["half a year at eight intervals, in its worker, median", median(months), 100, "ms"],
    ["12-megapixel picture ready to mark", large.readyMs, 2000, "ms"],
    ["page standing still meanwhile, longest", large.frozenMs, 200, "ms"],
    ["12-megapixel film (DICOM, 16 bits) ready to mark", filmMs, 2000, "ms"],
    ["dragging a mark of a film: lines, numbers, bands, median", median(films), 16, "ms"],
    ["the same, 95th percentile", percentile95(films), 33, "ms"],
    ["vet's sheet with pictures: preview and PDF", sheetMs, 3000, "ms"],
    ["another ground on the screen: first picture, median", redraws.first, 100, "ms"],
    ["another ground on the screen: settled, median", redraws.settled, 200, "ms"],
    ["a practice foot ready to mark, nothing made ahead, median", median(practice), 300, "ms"],
    ["the same, slowest of eighteen", Math.max(...practice), 300, "ms"],
  ];
}
