import { expect, field, openDemo, openVisit, test, TODAY } from "./round";
import type { Page } from "@playwright/test";

const VISIT = `/visits/demo-yard-1-horse-1-${TODAY}`;
const WALLS = {
  "Toe, wall thickness": "13",
  "Toe, wall above sole": "8",
  "Heel, inside, wall above sole": "3",
  "Heel, outside, wall above sole": "5",
  "Sulcus depth": "14",
};

/** One foot of Bramble, 4 degrees broken back, measured by the lane; its walls where they are given. */
async function measured(page: Page, limb: string, walls: Record<string, string> = WALLS): Promise<void> {
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

const bench = (page: Page, limb = "LF", view = "bench") =>
  page.goto(`${VISIT}/trim?foot=${limb}&view=${view}`);
const cell = (page: Page, row: RegExp, index: number) =>
  page.getByRole("region", { name: "The plan" }).getByRole("row", { name: row }).getByRole("cell").nth(index);
const cut = (page: Page, name: string) =>
  page.getByRole("group", { name: "Cuts" }).getByRole("textbox", { name });

test("the plan of a measured foot: cuts within the live sole, what stops them, what is left for the shoe", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await measured(page, "LF");
  await bench(page);
  await expect(cut(page, "Toe limit")).toHaveValue("8");
  await expect(cell(page, /^Axis/, 0)).toHaveText("−4.0°");
  await expect(page.getByRole("list", { name: "What stopped it" })).toContainText(
    "No more at the toe: 8 mm above live sole.",
  );
  await expect(page.getByRole("region", { name: "The plan" })).toContainText("Bring the breakover back");
  await expect(page.getByRole("region", { name: "Reasons" })).toContainText("axis −4.0° →");
  await expect(page.getByRole("region", { name: "Reasons" })).toContainText(
    "Each stroke on the heel does two things",
  );
});

test("a cut is moved on the drawing, on its line and by typing; all three are one, kept over a reload", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await measured(page, "LF");
  await bench(page);
  const handle = page.getByRole("button", { name: /^Toe, 8 mm off/ });
  await handle.focus();
  for (let step = 0; step < 4; step++) await page.keyboard.press("ArrowDown");
  await expect(cut(page, "Toe limit")).toHaveValue("6");
  const before = await cell(page, /^Dorsal angle/, 2).textContent();
  const box = await page.getByRole("button", { name: /^Toe, 6 mm off/ }).boundingBox();
  if (!box) throw new Error("no handle");
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 8, { steps: 8 });
  await page.mouse.up();
  await expect(cut(page, "Toe limit")).not.toHaveValue("6");
  await expect(cell(page, /^Dorsal angle/, 2)).not.toHaveText(before ?? "");
  await page.getByRole("slider", { name: "Outside heel, on the line" }).fill("1.5");
  await cut(page, "Toe limit").fill("5");
  await cut(page, "Toe limit").press("Enter");
  await page.reload();
  await expect(cut(page, "Toe limit")).toHaveValue("5");
  await expect(cut(page, "Outside heel")).toHaveValue("1.5");
  await expect(page.getByRole("columnheader", { name: "by hand" })).toBeVisible();
  await page.getByRole("button", { name: "The lenses’ plan again" }).click();
  await expect(cut(page, "Toe limit")).toHaveValue("8");
});

test("past a limit it is marked and no sheet is started; nonsense is named and stays as it was typed", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await measured(page, "LF");
  await bench(page);
  await cut(page, "Inside heel").fill("5");
  await cut(page, "Inside heel").press("Enter");
  await expect(page.getByRole("group", { name: "Cuts" })).toContainText(
    "2 mm past the limit. No more at the inside heel: 3 mm above live sole.",
  );
  await expect(page.getByRole("button", { name: "Start the cut sheet" })).toBeDisabled();
  await cut(page, "Inside heel").fill("500");
  await cut(page, "Inside heel").press("Enter");
  await expect(page.getByRole("alert")).toContainText("more than any trim takes");
  await expect(cut(page, "Inside heel")).toHaveValue("500");
});

test("another lens laid over it: its own column, how it differs, and why one might choose either", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await measured(page, "LF", {
    ...WALLS,
    "Heel, inside, wall above sole": "9",
    "Heel, outside, wall above sole": "11",
  });
  await bench(page);
  await page.getByLabel("Lay a second lens over it").selectOption("live-sole");
  const plan = page.getByRole("region", { name: "The plan" });
  await expect(plan.getByRole("columnheader", { name: "live sole" })).toBeVisible();
  await expect(plan).toContainText("The lenses disagree. Live sole would take");
  await expect(plan).toContainText("Live sole. Strong: neglected, long feet; barefoot.");
});

test("without wall heights the plan is cautious and names the two measurements that would tell most", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await measured(page, "LF", {});
  await bench(page);
  const plan = page.getByRole("region", { name: "The plan" });
  await expect(plan).toContainText("Cautious, because not all was measured.");
  await expect(plan).toContainText("wall above the live sole at the toe");
  expect(Number(await cut(page, "Toe limit").inputValue())).toBeLessThanOrEqual(3);
  await bench(page, "RF");
  await expect(page.getByRole("heading", { name: "Nothing to plan from yet" })).toBeVisible();
  await page.getByRole("button", { name: "Measure this foot" }).click();
  await expect(page).toHaveURL(/survey\?foot=RF/);
});

test("the whole horse: four feet planned, cut by the sheet, measured again, held against the plan, handed to the shoe", async ({
  page,
}) => {
  test.setTimeout(180_000);
  await openVisit(page, "survey");
  for (const limb of ["LF", "RF", "LH", "RH"]) await measured(page, limb);
  await bench(page, "LF", "pair");
  const order = page.getByRole("region", { name: "Order of work" });
  await expect(order.getByRole("listitem")).toHaveCount(4);
  await expect(page.getByRole("region", { name: "Fronts" })).toContainText("is not lowered to match");
  for (const limb of ["LF", "RF", "LH", "RH"]) {
    await bench(page, limb);
    await page.getByRole("button", { name: "Start the cut sheet" }).click();
    const sheet = page.getByRole("list", { name: /^Cut sheet/ });
    const boxes = sheet.getByRole("checkbox");
    await expect(boxes).toHaveCount(11);
    for (let index = 0; index < 11; index++) {
      await boxes.nth(index).click();
      await expect(boxes.nth(index)).toBeChecked();
    }
    await expect(page.getByRole("textbox", { name: "Taken at the toe", exact: true })).toHaveValue("8");
  }
  await bench(page, "LF", "pair");
  await expect(order.getByText("trimmed")).toHaveCount(4);
  await page.goto(`${VISIT}/shoe`);
  const advice = page.getByRole("region", { name: "What speaks for which shoe" });
  await expect(advice).toContainText("The trim leaves:");
  await expect(advice).toContainText("Bring the breakover back");
  await page.goto(`${VISIT}/recheck?foot=LF`);
  for (const [name, value] of [
    ["Dorsal angle", "51.5"],
    ["Pastern angle", "52"],
    ["Toe length", "82"],
  ] as const) {
    await field(page, name).fill(value);
    await field(page, name).press("Enter");
  }
  const done = page.getByRole("region", { name: "Planned against done" });
  await expect(done).toContainText("Planned: 8 mm off the toe");
  await expect(done).toContainText("More came off the toe than planned");
  await expect(done).toContainText(/You take \d\.\d mm more at the inside heel than planned \(\d+ feet/);
});

test("what the hand took past the limit is noted, marked and asked about, never refused", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await measured(page, "LF");
  await bench(page);
  await page.getByRole("button", { name: "Start the cut sheet" }).click();
  await page.getByRole("checkbox", { name: /^Toe 8/ }).click();
  const taken = page.getByRole("textbox", { name: "Taken at the toe", exact: true });
  await expect(taken).toHaveValue("8");
  for (let step = 0; step < 2; step++) {
    await page.getByRole("button", { name: "More taken at the toe" }).click();
    await expect(taken).toHaveValue(String(8.5 + step / 2));
  }
  await expect(page.getByText("1 mm past the limit of 8 mm.")).toBeVisible();
  await page.getByRole("textbox", { name: "What do you see there?" }).fill("waxy, not pink");
  await page.getByRole("textbox", { name: "What do you see there?" }).blur();
  await expect(page.getByRole("status")).toContainText("Kept");
  await page.reload();
  await expect(taken).toHaveValue("9");
  await expect(page.getByRole("textbox", { name: "What do you see there?" })).toHaveValue("waxy, not pink");
});

test("a foot that was cut without a plan is noted all the same", async ({ page }) => {
  await openVisit(page, "trim", "RH");
  await page.getByRole("button", { name: "Note what was taken" }).click();
  await page.getByRole("textbox", { name: "Taken at the toe", exact: true }).fill("4");
  await page.getByRole("textbox", { name: "Taken at the toe", exact: true }).press("Enter");
  await expect(page.getByRole("button", { name: "right hind" })).toContainText("1 of 4");
});

test("the plan is put into the owner's note and stands at the sign-off", async ({ page }) => {
  await openVisit(page, "survey");
  await measured(page, "LF");
  await bench(page);
  await page.getByRole("button", { name: "Put it into the note for the owner" }).click();
  await expect(page.getByRole("button", { name: "Stands in the note for the owner" })).toBeVisible();
  await page.goto(`${VISIT}/sign-off`);
  await expect(page.getByRole("textbox", { name: "Tell the owner" })).toHaveValue(
    /stands 4\.0° lower than its pastern/,
  );
});

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
  await openDemo(page);
  await page.goto("/horses/demo-yard-1-horse-4");
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

test("months ahead: eight intervals with this foot's own growth, shod and bare; another interval is one tap", async ({
  page,
}) => {
  await openDemo(page);
  await page.goto("/horses/demo-yard-8-horse-1");
  await page.getByRole("region", { name: "Visits" }).getByRole("link").first().click();
  await page.waitForURL(/\/visits\//);
  const visit = /\/visits\/([^/?]+)/.exec(page.url())?.[1] ?? "";
  await page.goto(`/visits/${visit}/trim?foot=LF&view=months`);
  await expect(page.getByRole("heading", { name: "26 weeks of the left fore, bare" })).toBeVisible();
  const chart = page.getByRole("img", { name: /^Angle over 26 weeks/ });
  await expect(chart.locator(".cycles-line")).toHaveCount(8);
  await page.getByRole("button", { name: /^every 8 weeks/ }).click();
  await expect(page.getByText(/^Every 8 weeks: 4 trims, .* of horn in all/)).toBeVisible();
  await page.getByRole("group", { name: "Interval" }).waitFor();
  await page.getByText("Horn taken", { exact: true }).click();
  await expect(page.getByRole("img", { name: /^Horn taken over 26 weeks, every 8 weeks/ })).toBeVisible();
  await page.getByText("The numbers").click();
  await expect(page.getByRole("row", { name: /^1 week 26/ })).toBeVisible();
});

test.describe("at 390 px", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test("one thumb works down the sheet: every tick is at least 52 px, nothing is wider than the screen", async ({
    page,
  }) => {
    await openDemo(page);
    await page.getByRole("link", { name: "Start with Bramble" }).tap();
    await page.getByRole("button", { name: "Start the visit to Bramble" }).tap();
    await expect(page.getByRole("button", { name: "On to Survey" })).toBeVisible();
    await measured(page, "LF");
    await bench(page);
    await page.getByRole("button", { name: "Start the cut sheet" }).tap();
    const boxes = page.getByRole("list", { name: /^Cut sheet/ }).getByRole("checkbox");
    await expect(boxes).toHaveCount(11);
    for (let index = 0; index < 11; index++) {
      const size = await boxes.nth(index).boundingBox();
      expect(size?.height ?? 0).toBeGreaterThanOrEqual(52);
      await boxes.nth(index).tap();
      await expect(boxes.nth(index)).toBeChecked();
    }
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    await page.getByRole("button", { name: "Next: right fore" }).tap();
    await expect(page.getByRole("button", { name: "right fore", exact: true })).toHaveAttribute(
      "aria-pressed",
      "true",
    );
  });
});
