import { expect, field, openDemo, openVisit, test } from "./round";
import { VISIT, WALLS, measured, bench, cut } from "./trimming";

test("a tall heel and a flared quarter: a part today, the next stage dated, the flare on the sheet, due at that stage", async ({
  page,
}) => {
  test.setTimeout(120_000);
  await openVisit(page, "survey");
  await measured(page, "LF", {
    ...WALLS,
    "Heel, inside, wall above sole": "1",
    "Heel, outside, wall above sole": "14",
    "Toe quarter, inside, wall thickness": "11.5",
    "Toe quarter, outside, wall thickness": "11.5",
    "Quarter, inside, wall thickness": "9.5",
    "Quarter, outside, wall thickness": "17",
  });
  await bench(page);
  const stages = page.getByRole("region", { name: "In stages" });
  await expect(stages).toContainText("more off one heel than the other: too much for one visit.");
  await expect(stages.getByRole("listitem").first()).toContainText("This visit");
  await expect(stages.getByRole("listitem").nth(1)).toContainText("21 Dec");
  const apart =
    Number(await cut(page, "Outside heel").inputValue()) -
    Number(await cut(page, "Inside heel").inputValue());
  expect(apart).toBeLessThanOrEqual(6);
  const flares = page.getByRole("region", { name: "Flares and quarters" });
  await expect(flares.getByRole("textbox", { name: /^Outside quarter/ })).toHaveValue("7");
  await page.getByRole("button", { name: "Start the cut sheet" }).click();
  const sheet = page.getByRole("list", { name: /^Cut sheet/ });
  await sheet.getByRole("checkbox", { name: /^Flares and quarters/ }).click();
  await expect(sheet.getByRole("textbox", { name: /^Outside quarter, taken/ })).toHaveValue("7");
  await page.goto(`${VISIT}/recheck?foot=LF`);
  for (const [name, value] of [
    ["Dorsal angle", "51"],
    ["Pastern angle", "52"],
    ["Toe length", "90"],
  ] as const) {
    await field(page, name).fill(value);
    await field(page, name).press("Enter");
  }
  await page.goto(`${VISIT}/sign-off`);
  const due = page.getByRole("region", { name: "Next due" });
  await expect(due).toContainText("left fore: next stage of its trim");
  await expect(due).toContainText("by the cap");
});

test("all at once is the user's own, with a line of why; the toe further back and a floated place stand on the sheet", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await measured(page, "LF", {
    ...WALLS,
    "Toe, wall thickness": "16",
    "Heel, inside, wall above sole": "1",
    "Heel, outside, wall above sole": "14",
  });
  await bench(page);
  const part = Number(await cut(page, "Outside heel").inputValue());
  const why = page.getByRole("textbox", { name: "All at once today, because" });
  await why.fill("the live sole is clear all round");
  await why.press("Enter");
  await expect(page.getByRole("button", { name: "In stages again" })).toBeVisible();
  await expect.poll(async () => Number(await cut(page, "Outside heel").inputValue())).toBeGreaterThan(part);
  await page.getByRole("button", { name: /^Take the toe further back/ }).click();
  await expect(page.getByText("Further back than the foot’s own shape")).toBeVisible();
  await page.getByRole("combobox", { name: "Unload a place" }).click();
  await page.getByTitle("Quarter, inside").last().click();
  await expect(page.getByText(/floated by 2 mm: its load goes to the wall/)).toBeVisible();
  await bench(page, "LF", "sheet");
  await expect(page.getByRole("checkbox", { name: /^Unload/ })).toBeVisible();
});

test("a visit for the toe alone: ten minutes on the day, heels left, the due day stays", async ({ page }) => {
  await openDemo(page, "/horses/demo-yard-1-horse-4");
  const due = await page.getByRole("region", { name: "Next due" }).locator(".due-day").textContent();
  await page.getByRole("button", { name: "Toe only today" }).click();
  await expect(page.getByRole("button", { name: "Toe only today" })).toHaveCount(0);
  await page.goto("/");
  await expect(page.getByText(/toe only · 10 min/)).toBeVisible();
  await page.goto("/horses/demo-yard-1-horse-4");
  await page.getByRole("button", { name: "Start a visit" }).click();
  await page.getByRole("button", { name: /^Start the visit/ }).click();
  await expect(page.getByRole("button", { name: "On to Survey" })).toBeVisible();
  await page.goto(page.url().replace(/\/(arrive|watch).*/, "/sign-off"));
  await expect(page.getByRole("region", { name: "Next due" })).toContainText(due ?? "");
});

test("the order of the cuts is a setting, and the sheet follows it", async ({ page }) => {
  await openVisit(page, "survey");
  await measured(page, "LF");
  await page.goto("/settings/reading");
  await page.getByText("toe first", { exact: true }).click();
  await expect(page.getByText(/^Toe first: the lever goes/)).toBeVisible();
  await bench(page, "LF", "sheet");
  const steps = page.getByRole("list", { name: /^Cut sheet/ }).getByRole("listitem");
  await expect(steps.nth(3)).toContainText("Mark the safety line");
  await expect(steps.nth(4)).toContainText("Toe");
  await expect(steps.nth(5)).toContainText("outside heel", { ignoreCase: true });
});
