import { rm } from "node:fs/promises";
import {
  expect,
  test as base,
  type BrowserContext,
  type BrowserContextOptions,
  type Page,
  type TestInfo,
} from "@playwright/test";
import { chooseDemo, copyProfile } from "./stores";

/** The day on which every test stands. */
export const TODAY = "2026-11-23";
export const MORNING = new Date(`${TODAY}T07:30:00Z`);

interface OwnBrowsers {
  /** True where a browser is asked for in which nobody has ever been; else it has the demo round lying in it. */
  untouched: boolean;
  /** Another browser with a folder of its own: another device. */
  another: (options?: BrowserContextOptions) => Promise<BrowserContext>;
}

/** A page with a fixed clock that fails the test when the application asks any other origin, or crashes. */
export const test = base.extend<OwnBrowsers>({
  untouched: [false, { option: true }],
  another: async ({ playwright, untouched }, use, info) => {
    const opened: { context: BrowserContext; folder: string }[] = [];
    await use(async (options = {}) => {
      const folder = info.outputPath(`browser-${opened.length + 1}`);
      if (!untouched) await copyProfile(folder);
      const context = await playwright.chromium.launchPersistentContext(folder, options);
      opened.push({ context, folder });
      return context;
    });
    for (const { context, folder } of opened) {
      await context.close();
      await rm(folder, { recursive: true, force: true });
    }
  },
  context: async ({ another }, use) => use(await another()),
  page: async ({ context, baseURL }, use, info) => {
    const page = context.pages()[0] ?? (await context.newPage());
    const strangers: string[] = [];
    const crashes: string[] = [];
    page.context().on("request", (request) => {
      const url = request.url();
      if (!url.startsWith(baseURL ?? "") && !/^(data|blob):/.test(url)) strangers.push(url);
    });
    page.on("pageerror", (error) => crashes.push(error.message));
    await page.clock.setFixedTime(MORNING);
    const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
    page.goto = async (...where) => {
      await atRest(page);
      return goto(...where);
    };
    page.reload = async (...how) => {
      await atRest(page);
      return reload(...how);
    };
    await use(page);
    if (info.status !== info.expectedStatus) await sayWhatStands(page, info, crashes);
    expect(strangers, "requests to other origins").toEqual([]);
    expect(crashes, "errors on the page").toEqual([]);
  },
});

/** What a failed test was looking at, for whoever has only the words it printed. */
async function sayWhatStands(page: Page, info: TestInfo, crashes: readonly string[]): Promise<void> {
  const words = await page
    .locator("body")
    .innerText({ timeout: 5000 })
    .catch((error: unknown) => `nothing could be read: ${String(error)}`);
  console.log(
    [
      `After ${Math.round(info.duration / 1000)} s of "${info.title}" the page stood at ${page.url()}:`,
      words.replace(/\s+/g, " ").slice(0, 1500),
      ...crashes.map((crash) => `It had crashed: ${crash}`),
    ].join("\n"),
  );
}

/**
 * Until what was sent has been kept: no hand types an address within the milliseconds that this takes, and a new page
 * would cut it off. What is only typed stays a draft and is not waited for.
 */
export async function atRest(page: Page): Promise<void> {
  interface Inside {
    __reactRouterDataRouter?: {
      state: { navigation: { state: string }; fetchers: Map<string, { state: string }> };
    };
  }
  const idle = () => {
    const state = (globalThis as Inside).__reactRouterDataRouter?.state;
    return (
      !state ||
      (state.navigation.state === "idle" && [...state.fetchers.values()].every((one) => one.state === "idle"))
    );
  };
  await page.waitForFunction(idle, undefined, { timeout: 5000 }).catch(() => undefined);
}

export { expect };

/** Opens the demo round, at Today or where it is said. */
export async function openDemo(page: Page, address?: string): Promise<void> {
  await chooseDemo(page, false);
  await page.goto(address ?? "/");
  if (address === undefined)
    await expect(page.getByRole("heading", { name: "Scarrowmoor Trekking" })).toBeVisible();
}

/** Bramble's visit of today, started, on a stage. */
export async function openVisit(page: Page, stage: string, foot = "LF"): Promise<void> {
  await chooseDemo(page, true);
  await page.goto(`/visits/demo-yard-1-horse-1-${TODAY}/${stage}?foot=${foot}`);
  await expect(page.getByRole("heading", { level: 1, name: /^Bramble/ })).toBeVisible();
}

/** What is typed and not a value yet, as the store of the demo round has it. */
export const draftTexts = (page: Page): Promise<string[]> =>
  page.evaluate(
    () =>
      new Promise<string[]>((done) => {
        const opening = indexedDB.open("plumbline-demo");
        opening.onsuccess = () => {
          const reading = opening.result.transaction("drafts").objectStore("drafts").getAll();
          reading.onsuccess = () => {
            opening.result.close();
            done((reading.result as { text: string }[]).map(({ text }) => text));
          };
        };
      }),
  );

/** The field of a measure, by its label. */
export const field = (page: Page, name: string) => page.getByRole("textbox", { name, exact: true });

/** One's own round with a first horse in it. */
export async function ownHorse(page: Page, name: string) {
  await page.goto("/horses/new");
  await page.getByRole("textbox", { name: "Name", exact: true }).fill(name);
  await page.getByRole("spinbutton", { name: "Body mass, kg" }).fill("430");
  await page.getByRole("textbox", { name: "Yard’s name" }).fill("Home field");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByRole("heading", { name })).toBeVisible();
}
