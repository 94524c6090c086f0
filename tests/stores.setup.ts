import { expect, test } from "./round";
import { keepStore } from "./stores";

/** The stores that the tests start from are made once, by the screens themselves, and put back before each test. */
test("the demo round is made as the printed address makes it, and Bramble’s visit is started", async ({
  page,
}) => {
  await page.goto("/?round=demo");
  await expect(page.getByRole("heading", { name: "Scarrowmoor Trekking" })).toBeVisible({ timeout: 60_000 });
  await keepStore(page, "demo");

  await page.getByRole("link", { name: "Start with Bramble" }).click();
  await page.getByRole("button", { name: "Start the visit to Bramble" }).click();
  await expect(page.getByRole("button", { name: "On to Survey" })).toBeVisible();
  await keepStore(page, "visit");
});
