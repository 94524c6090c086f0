import { expect, test as base, type Page } from "@playwright/test";

/** The day on which every test stands. */
export const TODAY = "2026-11-23";
const MORNING = new Date(`${TODAY}T07:30:00Z`);

/** A page with a fixed clock that fails the test when the application asks any other origin, or crashes. */
export const test = base.extend({
  page: async ({ page, baseURL }, use) => {
    const strangers: string[] = [];
    const crashes: string[] = [];
    page.context().on("request", (request) => {
      const url = request.url();
      if (!url.startsWith(baseURL ?? "") && !/^(data|blob):/.test(url)) strangers.push(url);
    });
    page.on("pageerror", (error) => crashes.push(error.message));
    await page.clock.setFixedTime(MORNING);
    await use(page);
    expect(strangers, "requests to other origins").toEqual([]);
    expect(crashes, "errors on the page").toEqual([]);
  },
});

export { expect };

/** Opens the demo round as the printed address does. */
export async function openDemo(page: Page): Promise<void> {
  await page.goto("/?round=demo");
  await expect(page.getByRole("heading", { name: "Scarrowmoor Trekking" })).toBeVisible({ timeout: 30_000 });
}

/** Bramble's visit of today, started, on a stage. */
export async function openVisit(page: Page, stage: string, foot = "LF"): Promise<void> {
  await openDemo(page);
  await page.getByRole("link", { name: "Start with Bramble" }).click();
  await page.getByRole("button", { name: "Start the visit to Bramble" }).click();
  await expect(page.getByRole("button", { name: "On to Survey" })).toBeVisible();
  await page.goto(`/visits/demo-yard-1-horse-1-${TODAY}/${stage}?foot=${foot}`);
}

/** The field of a measure, by its label. */
export const field = (page: Page, name: string) => page.getByRole("textbox", { name, exact: true });
