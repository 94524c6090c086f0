import { expect, field, openDemo, openVisit, test, TODAY } from "./round";

const BEFORE = ["48", "52", "98", "38", "34", "127", "129"];
const AFTER = ["50.5", "52", "89", "35", "33", "121", "129"];

test("a whole visit with the keyboard alone: from Today to the new due date", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Start with Bramble" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText("Left hind wears the outside only.")).toBeVisible();
  await page.getByRole("button", { name: "Start the visit to Bramble" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "On to Survey" })).toBeVisible();

  for (const stage of ["Watch", "Pull and read", "Survey"]) {
    await page.keyboard.press("]");
    await expect(page.getByRole("heading", { level: 1 })).toContainText(stage);
  }
  await expect(field(page, "Dorsal angle")).toBeFocused();
  for (const value of BEFORE) {
    await page.keyboard.type(value);
    await page.keyboard.press("Enter");
  }
  await expect(page.getByRole("button", { name: "right fore" })).toHaveAttribute("aria-pressed", "true");
  await page.keyboard.press("Alt+1");
  await expect(page.getByRole("region", { name: "Readings" })).toContainText("Broken back 4.0°");
  await expect(page.getByRole("button", { name: "left fore" })).toContainText("done");

  await page.keyboard.press("]");
  await page.getByRole("button", { name: "Start the cut sheet" }).focus();
  await page.keyboard.press("Enter");
  const steps = page.getByRole("list", { name: "Cut sheet, left fore" }).getByRole("checkbox");
  await expect(steps).toHaveCount(11);
  for (let step = 0; step < 11; step++) {
    await steps.nth(step).focus();
    await page.keyboard.press("Space");
    await expect(steps.nth(step)).toBeChecked();
  }
  await page.getByRole("textbox", { name: "Taken at the toe", exact: true }).focus();
  await page.keyboard.type("6.5");
  await page.keyboard.press("Enter");
  await expect(page.getByText("3.5 mm past the limit of 3 mm.")).toBeVisible();

  await page.keyboard.press("Escape");
  for (const stage of ["Shoe", "Set", "Recheck"]) {
    await page.keyboard.press("]");
    await expect(page.getByRole("heading", { level: 1 })).toContainText(stage);
  }
  await expect(field(page, "Dorsal angle")).toBeFocused();
  for (const value of AFTER) {
    await page.keyboard.type(value);
    await page.keyboard.press("Enter");
  }
  await page.keyboard.press("]");
  const due = page.getByRole("region", { name: "Next due" });
  await expect(due).toContainText("28 Dec");
  await expect(due).toContainText("cap: road work");
  await page.getByRole("textbox", { name: "Watch next time" }).focus();
  await page.keyboard.type("Inside heel again");
  await page.getByRole("button", { name: "Sign off", exact: true }).focus();
  await page.keyboard.press("Enter");
  await expect(due).toContainText("Signed off. Due again");

  await page.goto("/horses/demo-yard-1-horse-1");
  await expect(page.getByRole("region", { name: "Next due" })).toContainText("28 Dec");
  await expect(page.getByRole("region", { name: "Next due" })).toContainText("Inside heel again");
  const row = page.getByRole("region", { name: "Visits" }).getByRole("row").filter({ hasText: "23 Nov" });
  await expect(row).toContainText("98 → 89");
});

test("a foot due by its toe says which foot and why, by the user's own limit", async ({ page }) => {
  await openVisit(page, "recheck", "RF");
  for (const [name, value] of [
    ["Dorsal angle", "50"],
    ["Pastern angle", "51"],
    ["Toe length", "89"],
  ] as const) {
    await field(page, name).fill(value);
    await field(page, name).press("Enter");
  }
  await expect(page.getByRole("button", { name: "right fore" })).toContainText("3 of 7");
  await page.goto("/settings");
  await field(page, "Toe over its target, mm").fill("2");
  await field(page, "Toe over its target, mm").press("Enter");
  await expect(page.getByRole("alert")).toContainText("At least 3 mm.");
  await field(page, "Toe over its target, mm").fill("6");
  await field(page, "Toe over its target, mm").press("Enter");
  await expect(page.getByRole("status")).toContainText("Kept");
  await page.goto(`/visits/demo-yard-1-horse-1-${TODAY}/sign-off`);
  await expect(page.getByRole("region", { name: "Next due" })).toContainText("right fore: toe");
});

test("undo takes back the last change, and says so", async ({ page }) => {
  await openVisit(page, "survey");
  await field(page, "Toe length").fill("98");
  await field(page, "Toe length").press("Enter");
  await expect(page.getByRole("status")).toContainText("Kept");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+z");
  await expect(page.getByText("Taken back: left fore toe length")).toBeVisible();
  await expect(field(page, "Toe length")).toHaveValue("");
});

test("units: u turns millimetres into inches and back, values stay what they were", async ({ page }) => {
  await openVisit(page, "survey");
  await field(page, "Toe length").fill("98");
  await field(page, "Toe length").press("Enter");
  await page.keyboard.press("u");
  await expect(field(page, "Toe length")).toHaveValue("3 7/8");
  await field(page, "Width").fill("5 1/4");
  await page.keyboard.press("Escape");
  await page.keyboard.press("u");
  await expect(field(page, "Toe length")).toHaveValue("98");
  await expect(field(page, "Width")).toHaveValue("133");
});

test("find reaches a horse by a few letters, ? lists the shortcuts, g h goes to the horses", async ({
  page,
}) => {
  await openDemo(page);
  await page.keyboard.press("/");
  await page.getByRole("combobox", { name: "Find a horse or an action" }).fill("majo");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Major Oak" })).toBeVisible();
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog")).toContainText("Millimetres or inches");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toBeHidden();
  await page.keyboard.press("g");
  await page.keyboard.press("h");
  await expect(page.getByText("43 horses, 8 yards")).toBeVisible();
});

test("a caution is said once, then one quiet line", async ({ page }) => {
  await openVisit(page, "trim");
  const caution = page.getByRole("region", { name: "Caution: The foot" });
  await expect(caution).toContainText("Stop at live sole");
  await caution.getByRole("button", { name: "Read" }).click();
  await expect(caution).toBeHidden();
  await expect(page.getByText("Caution: the foot")).toBeVisible();
});
