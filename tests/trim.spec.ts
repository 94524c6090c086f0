import { expect, field, openDemo, openVisit, test } from "./round";
import { VISIT, WALLS, measured, bench, cell, cut } from "./trimming";

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

test("months ahead: eight intervals with this foot's own growth, shod and bare; another interval is one tap", async ({
  page,
}) => {
  await openDemo(page, "/horses/demo-yard-8-horse-1");
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
