import { expect, field, ownHorse, test } from "./round";

test("a first day in five steps with one's own horse: each leads where it is done, and is ticked when it is", async ({
  page,
}) => {
  await ownHorse(page, "Wren");
  await page.goto("/");
  const path = page.getByRole("region", { name: "A first day" });
  const step = (name: string) => path.getByRole("listitem").filter({ hasText: name });
  await expect(step("Add a horse")).toContainText("done");
  await expect(step("Start a visit")).toHaveAttribute("aria-current", "step");
  await path.getByRole("link", { name: "Start a visit" }).click();
  await page.getByRole("button", { name: "Start a visit" }).click();
  await expect(page).toHaveURL(/arrive/);
  await page.goto("/");
  await path.getByRole("link", { name: "Measure one foot" }).click();
  await field(page, "Toe length").fill("84");
  await field(page, "Toe length").press("Enter");
  await page.goto("/");
  await expect(step("Measure one foot")).toContainText("done");
  await expect(step("Look at the plan")).toHaveAttribute("aria-current", "step");
  await path.getByRole("button", { name: "Put away" }).click();
  await expect(path).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole("heading").first()).toBeVisible();
  await page.waitForLoadState("networkidle");
  await expect(path).toHaveCount(0);
});
