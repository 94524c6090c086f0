import type { Locator, Page } from "@playwright/test";
import { expect, openVisit, test } from "./round";
import { spec, takeFirst } from "./shoeing";

/** Types a web that is no web: leaving the field says so under it, and moves what stands below. */
const noWeb = async (page: Page) => {
  await openVisit(page, "shoe");
  await takeFirst(page);
  const web = spec(page).getByRole("textbox", { name: "Web" });
  await web.fill("4");
  // Both within one screen: what moves above it, the browser makes up for by itself.
  await web.evaluate((field) => window.scrollBy(0, field.getBoundingClientRect().top - 160));
};

/** Presses it, and has seen that it moved from under the press. */
const pressMoving = async (page: Page, below: Locator, press: "click" | "tap") => {
  const before = await below.boundingBox();
  await below[press]();
  await expect(spec(page).getByRole("alert")).toHaveText("A web under 8 mm holds no nail.");
  const after = await below.boundingBox();
  expect(Math.abs((after?.y ?? 0) - (before?.y ?? 0)), "how far it moved").toBeGreaterThan(20);
};

test("a press counts for what it was set down on, though the page moves under it before it is let go", async ({
  page,
}) => {
  await noWeb(page);
  await pressMoving(page, spec(page).getByText("Each branch its own"), "click");
  await expect(spec(page).getByRole("textbox", { name: "Longer, outside" })).toBeVisible();
});

test("a press that slides away from what it was set down on is none", async ({ page }) => {
  await openVisit(page, "shoe");
  await takeFirst(page);
  const place = await spec(page).getByText("Each branch its own").boundingBox();
  if (!place) throw new Error("nothing to press");
  await page.mouse.move(place.x + 30, place.y + place.height / 2);
  await page.mouse.down();
  await page.mouse.move(place.x + 30, place.y - 60, { steps: 5 });
  await page.mouse.up();
  await expect(spec(page).getByRole("textbox", { name: "Longer, outside" })).toBeHidden();
});

test.describe("by touch", () => {
  test.use({ hasTouch: true, viewport: { width: 390, height: 844 } });

  test("the same with a thumb", async ({ page }) => {
    await noWeb(page);
    const clip = spec(page).getByRole("group", { name: "Clips" }).getByRole("button", { name: "toe" });
    await expect(clip).toHaveAttribute("aria-pressed", "false");
    await pressMoving(page, clip, "tap");
    await expect(clip).toHaveAttribute("aria-pressed", "true");
  });
});
