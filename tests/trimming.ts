import type { Page } from "@playwright/test";
import { expect, field, TODAY } from "./round";

export const VISIT = `/visits/demo-yard-1-horse-1-${TODAY}`;
export const WALLS = {
  "Toe, wall thickness": "13",
  "Toe, wall above sole": "8",
  "Heel, inside, wall above sole": "3",
  "Heel, outside, wall above sole": "5",
  "Sulcus depth": "14",
};

/** One foot of Bramble, 4 degrees broken back, measured by the lane; its walls where they are given. */
export async function measured(
  page: Page,
  limb: string,
  walls: Record<string, string> = WALLS,
): Promise<void> {
  await page.goto(`${VISIT}/survey?foot=${limb}`);
  const lane = {
    "Dorsal angle": "48",
    "Pastern angle": "52",
    "Toe length": "98",
    "Heel height, inside": "34",
    "Heel height, outside": "36",
    "Bearing length": "127",
    Width: "129",
  };
  for (const [name, value] of Object.entries(lane)) {
    await field(page, name).fill(value);
    await field(page, name).press("Enter");
  }
  await expect(page.getByRole("status")).toContainText("Kept");
  if (Object.keys(walls).length === 0) return;
  await page.goto(`${VISIT}/survey?foot=${limb}&way=walls`);
  for (const [name, value] of Object.entries(walls)) {
    await field(page, name).fill(value);
    await field(page, name).press("Enter");
  }
  await expect(page.getByRole("status")).toContainText("Kept");
}

export const bench = (page: Page, limb = "LF", view = "bench") =>
  page.goto(`${VISIT}/trim?foot=${limb}&view=${view}`);
export const cell = (page: Page, row: RegExp, index: number) =>
  page.getByRole("region", { name: "The plan" }).getByRole("row", { name: row }).getByRole("cell").nth(index);
export const cut = (page: Page, name: string) =>
  page.getByRole("group", { name: "Cuts" }).getByRole("textbox", { name });
