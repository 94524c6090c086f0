import type { Page } from "@playwright/test";
import { expect, field, openVisit, test, TODAY } from "./round";

const VISIT = `/visits/demo-yard-1-horse-1-${TODAY}`;
const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };

const take = async (page: Page, name: string, address?: string, size = DESK) => {
  await page.setViewportSize(size);
  if (address !== undefined) await page.goto(address);
  await expect(page.getByRole("heading").first()).toBeVisible();
  await page.waitForTimeout(500);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};

const enter = async (page: Page, values: Record<string, string>) => {
  for (const [name, value] of Object.entries(values)) {
    await field(page, name).fill(value);
    await field(page, name).press("Enter");
  }
  await page.waitForTimeout(300);
};

const MEASURES = [
  "Dorsal angle",
  "Pastern angle",
  "Toe length",
  "Heel height, inside",
  "Heel height, outside",
  "Bearing length",
  "Width",
];
const measures = (...values: string[]) =>
  Object.fromEntries(MEASURES.map((name, index) => [name, values[index] ?? ""]));

test("the main views, from the demo round", async ({ page }) => {
  await openVisit(page, "arrive");
  await take(page, "arrive");
  await page.goto(`${VISIT}/survey`);
  await enter(page, measures("48", "52", "98", "30", "35", "127", "129"));
  await page.goto(`${VISIT}/survey?foot=RF`);
  await enter(page, measures("50", "51", "97", "33", "34", "125", "130"));
  await page.goto(`${VISIT}/trim`);
  await enter(page, { "Heel, inside": "1", "Heel, outside": "2.5", Toe: "6.5", "Dress the wall": "2" });
  await page.goto(`${VISIT}/recheck`);
  await enter(page, measures("50.5", "52", "89", "29", "32", "120", "129"));
  await take(page, "today", "/");
  await take(page, "horses", "/horses");
  await take(page, "horse", "/horses/demo-yard-7-horse-1");
  await take(page, "survey", `${VISIT}/survey`);
  await take(page, "trim", `${VISIT}/trim`);
  await take(page, "recheck", `${VISIT}/recheck`);
  await take(page, "sign-off", `${VISIT}/sign-off`);
  await take(page, "files", "/files");
  await take(page, "cautions", "/cautions");
  await take(page, "settings", "/settings");
  await take(page, "today-phone", "/", PHONE);
  await take(page, "trim-phone", `${VISIT}/trim`, PHONE);
  await page.getByRole("button", { name: "unit, now mm" }).click();
  await take(page, "survey-phone", `${VISIT}/survey?foot=RF`, PHONE);
  await field(page, "Toe length").focus();
  await take(page, "survey-phone", undefined, PHONE);
  await take(page, "horse-phone", "/horses/demo-yard-7-horse-1", PHONE);
  await page.goto("/settings");
  await page.getByText("Barn: dark, large").click();
  await take(page, "survey-barn", `${VISIT}/survey`);
});
