import type { Page } from "@playwright/test";
import { expect } from "./round";

/** Inside the application, as a hand does it: nothing that is being kept is cut off by a new page. */
export const at = async (page: Page, stage: "Shoe" | "Set", foot = "left fore", view = "") => {
  await page.getByRole("link", { name: new RegExp(`^${stage},`) }).click();
  const chosen = page.getByRole("button", { name: foot });
  await chosen.click();
  // The foot's own page comes first: what is pressed before it is there is pressed on the foot before.
  await expect(chosen).toHaveAttribute("aria-pressed", "true");
  if (view) await page.getByText(view, { exact: true }).click();
};
export const kept = (page: Page) => expect(page.getByRole("status")).toContainText("Kept");
export const spec = (page: Page) => page.getByRole("region", { name: "The specification" });

/** The last set of Bramble is there as last time; this takes what is advised first. */
export const takeFirst = async (page: Page) => {
  await page.getByRole("button", { name: "Take it: Creased shoe" }).click();
  await expect(page.getByText("taken", { exact: true })).toBeVisible();
  await kept(page);
};
