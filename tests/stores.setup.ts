import { rm } from "node:fs/promises";
import type { BrowserContext, Page } from "@playwright/test";
import { expect, MORNING, test as setup, TODAY } from "./round";
import { copyProfile, demoRows, keepVisit, passOn, PROFILE } from "./stores";

const firstPage = async (context: BrowserContext): Promise<Page> => {
  const page = context.pages()[0] ?? (await context.newPage());
  await page.clock.setFixedTime(MORNING);
  return page;
};

/** What tests look at most: opened twice, the browser keeps their compiled script beside the store. */
const LOOKED_AT = [
  "/",
  "/horses",
  "/horses/demo-yard-1-horse-1",
  "/rounds",
  "/files",
  ...["survey", "trim", "shoe", "sign-off"].map((stage) => `/visits/demo-yard-1-horse-1-${TODAY}/${stage}`),
];

/** What the tests start from is made once, by the screens themselves, and copied before each test. */
setup(
  "the demo round is made as the printed address makes it, and Bramble’s visit is started",
  async ({ playwright }, info) => {
    await rm(PROFILE, { recursive: true, force: true });
    const making = await playwright.chromium.launchPersistentContext(PROFILE);
    const page = await firstPage(making);
    await page.goto("/?round=demo");
    await expect(page.getByRole("heading", { name: "Scarrowmoor Trekking" })).toBeVisible({
      timeout: 60_000,
    });
    for (let time = 0; time < 2; time++)
      await Promise.all(
        LOOKED_AT.map(async (address) => {
          const own = await making.newPage();
          await own.goto(address);
          await own.waitForLoadState("networkidle");
          await own.close();
        }),
      );
    await making.close();

    const folder = info.outputPath("profile");
    await copyProfile(folder);
    const starting = await playwright.chromium.launchPersistentContext(folder);
    const own = await firstPage(starting);
    await own.goto("/");
    const before = await demoRows(own);
    await own.getByRole("link", { name: "Start with Bramble" }).click();
    await own.getByRole("button", { name: "Start the visit to Bramble" }).click();
    await expect(own.getByRole("button", { name: "On to Survey" })).toBeVisible();
    // The screen shows it before the store has it.
    await expect(own.getByRole("status")).toContainText("Kept");
    await keepVisit(before, await demoRows(own));
    await starting.close();

    const passing = await playwright.chromium.launchPersistentContext(PROFILE);
    await passOn(await firstPage(passing), before);
    await passing.close();
  },
);
