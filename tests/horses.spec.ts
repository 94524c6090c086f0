import { expect, field, openDemo, openVisit, test, TODAY } from "./round";

const BRAMBLE = "/horses/demo-yard-1-horse-1";

test("horses are found by name, yard and due; the choice stays in the address", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Horses" }).click();
  await page.getByRole("textbox", { name: "Find by name" }).fill("refuge");
  await expect(page.getByText("6 of 43 horses")).toBeVisible();
  await page.getByRole("textbox", { name: "Find by name" }).fill("");
  await page.getByText("Over", { exact: true }).click();
  await expect(page.getByText(/^4 of 43 horses/)).toBeVisible();
  await expect(page).toHaveURL(/due=over/);
  await expect(page.getByRole("link", { name: /Larkspur/ })).toContainText("9 days over");
  await page.reload();
  await expect(page.getByText(/^4 of 43 horses/)).toBeVisible();
});

test("flags warn before the row is opened: care, vet's plan, show, planned", async ({ page }) => {
  await openDemo(page, "/horses");
  await expect(page.getByRole("link", { name: /^Feet of Rook/ })).toContainText("Take care");
  await expect(page.getByRole("link", { name: /^Feet of Major Oak/ })).toContainText("Vet’s plan");
  await expect(page.getByRole("link", { name: /^Feet of Heron/ })).toContainText("Show 4 Dec");
  await expect(page.getByRole("link", { name: /^Feet of Bramble/ })).toContainText("Planned 23 Nov");
});

test("a horse that falls behind is planned for today with one press, and undo takes it back", async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Plan Larkspur for today" }).click();
  await expect(page.getByText("6 horses, 3 yards")).toBeVisible();
  await expect(page.getByRole("region", { name: "Estuary Polo" })).toContainText("Quarter crack");
  await page.keyboard.press("Control+z");
  await expect(page.getByText("5 horses, 2 yards")).toBeVisible();
});

test("the board shows four feet with both sides lettered, mirrored between left and right", async ({
  page,
}) => {
  await openDemo(page, BRAMBLE);
  const board = page.getByRole("region", { name: "Four feet, as seen from above, head up" });
  await expect(board.getByRole("article")).toHaveCount(4);
  const lateralX = async (limb: string) =>
    Number(
      await board.locator(`[data-limb=${limb}] .side-letter`).filter({ hasText: "L" }).getAttribute("x"),
    );
  expect([Math.sign(await lateralX("LF")), Math.sign(await lateralX("RF"))]).toEqual([-1, 1]);
});

test("the trend shows another measure and foot, with the same numbers in a table", async ({ page }) => {
  await openDemo(page, BRAMBLE);
  const trend = page.getByRole("region", { name: "Trend" });
  await expect(trend.getByRole("img", { name: "Toe length of LF over the visits" })).toBeVisible();
  await trend.getByText("RH", { exact: true }).click();
  await trend.getByRole("combobox", { name: "Measure" }).click();
  await page.getByTitle("Axis").click();
  await expect(trend.getByRole("img", { name: "Axis of RH over the visits" })).toBeVisible();
  await trend.getByText("The numbers").click();
  expect(await trend.getByRole("row").count()).toBeGreaterThan(15);
  await expect(trend.getByRole("row").nth(1)).toContainText("16 Oct");
});

test("if it waits: weeks more make the toe longer, the forecast says how sure it is, a foot is drawn as expected", async ({
  page,
}) => {
  await openDemo(page, BRAMBLE);
  const side = page.getByRole("region", { name: "If it waits" });
  const toe = async () =>
    parseFloat((await side.getByRole("row", { name: /^LF/ }).getByRole("cell").first().textContent()) ?? "");
  const twoWeeks = await toe();
  await side.getByRole("slider", { name: "Weeks past the due day" }).press("ArrowRight");
  await expect(side).toContainText("If it waits 3 weeks past the due day");
  expect(await toe()).toBeGreaterThan(twoWeeks);
  await expect(side.getByRole("row", { name: /^LF/ })).toContainText("±");
  const drawn = side.getByRole("figure");
  await expect(drawn).toContainText(/left fore, expected; dashed as it was left.*\d+ : \d+, then \d+ : \d+/);
  await side.getByRole("button", { name: "LH: draw the left hind" }).click();
  await expect(
    drawn.getByRole("img", { name: /^The left hind .* 3 weeks past .* an estimate/ }),
  ).toBeVisible();
});

test("a horse that died is off the round in one change; its history stays, and undo brings it back", async ({
  page,
}) => {
  await openDemo(page, `${BRAMBLE}/edit`);
  await page.getByRole("combobox", { name: "On the round" }).click();
  await page.getByTitle("Died").click();
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByText("No longer on the round: died, 23 Nov")).toBeVisible();
  await expect(page.getByRole("button", { name: "Start a visit" })).toHaveCount(0);
  await expect(page.getByRole("heading", { name: "Visits" })).toBeVisible();
  await page.getByRole("link", { name: "Today" }).click();
  await expect(page.getByText("Quarry").first()).toBeVisible();
  await expect(page.getByText("Bramble")).toHaveCount(0);
  await page.getByRole("link", { name: "Horses", exact: true }).click();
  await expect(page.getByText("42 horses")).toBeVisible();
  await expect(page.getByRole("region", { name: "No longer on the round" })).toContainText(
    "Bramble died, 23 Nov",
  );
  await page.keyboard.press("Control+z");
  await expect(page.getByText("43 horses")).toBeVisible();
  await page.getByRole("link", { name: "Today" }).click();
  await expect(page.getByText("Bramble").first()).toBeVisible();
});

test("a horse is changed on its own form, and an empty name is refused there", async ({ page }) => {
  await openDemo(page, `${BRAMBLE}/edit`);
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByText("A horse needs a name.")).toBeVisible();
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("Bramble");
  await page.getByRole("textbox", { name: "Habits that can hurt" }).fill("Pulls back when tied short.");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page).toHaveURL(new RegExp(`${BRAMBLE}$`));
  await expect(page.getByText("Pulls back when tied short.")).toBeVisible();
  await page.goto(`/visits/demo-yard-1-horse-1-${TODAY}/arrive`);
  await expect(page.getByText("Pulls back when tied short.")).toBeVisible();
});

test("sides and limbs are named as the user says them, everywhere", async ({ page }) => {
  await openVisit(page, "survey");
  await expect(field(page, "Heel height, inside")).toBeVisible();
  await page.goto("/settings");
  await page.getByText("medial, lateral").click();
  await page.getByText("near, off").click();
  await expect(page.getByRole("radio", { name: "near, off" })).toBeChecked();
  await expect(page.getByRole("status")).toContainText("Kept");
  await page.goto(`/visits/demo-yard-1-horse-1-${TODAY}/survey`);
  await expect(field(page, "Heel height, medial")).toBeVisible();
  await expect(page.getByRole("button", { name: "near fore" })).toHaveAttribute("aria-pressed", "true");
});

test("the drawing says what of it is a guess, and stops saying it when it was measured", async ({ page }) => {
  await openVisit(page, "survey");
  const drawing = page.getByRole("region", { name: "The foot, drawn to scale" });
  await expect(drawing).toContainText("nothing measured yet: this is a pale guess");
  for (const name of ["Dorsal angle", "Pastern angle"]) {
    await field(page, name).fill("50");
    await field(page, name).press("Enter");
  }
  await expect(drawing).toContainText("not measured, drawn as a guess: toe length");
  await page.getByRole("button", { name: /^Dorsal angle taken by gauge/ }).click();
  await page.getByRole("button", { name: /^Dorsal angle taken by calliper/ }).click();
  await page.getByRole("button", { name: /^Dorsal angle taken by rule/ }).click();
  await page.getByRole("button", { name: /^Dorsal angle taken by photo/ }).click();
  await expect(drawing).toContainText("drawn as a guess: dorsal angle, toe length");
});

test("the first day: one horse, nothing measured, a visit to start with", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Try a first day: one horse, nothing measured" }).click();
  await page.getByRole("link", { name: "Start with Dunlin" }).click();
  await expect(page.getByText("Nothing was left to watch.")).toBeVisible();
  await page.getByRole("button", { name: "Start the visit to Dunlin" }).click();
  await page.getByRole("button", { name: "On to Survey" }).click();
  await field(page, "Toe length").fill("80");
  await field(page, "Toe length").press("Enter");
  await expect(page.getByRole("region", { name: "Readings" })).toContainText("80 mm");
  await page.keyboard.press("Escape");
  await page.getByRole("link", { name: /^Sign off/ }).click();
  await page.getByRole("button", { name: "Sign off", exact: true }).click();
  await expect(page.getByRole("region", { name: "Next due" })).toContainText("Signed off. Due again14 Dec");
  await expect(page.getByRole("region", { name: "Next due" })).toContainText("cap: light maintenance");
});

test("a signed visit can be opened again, and nothing of it is gone", async ({ page }) => {
  await openDemo(page, BRAMBLE);
  await page.getByRole("region", { name: "Visits" }).getByRole("link", { name: "16 Oct" }).click();
  await expect(page.getByRole("region", { name: "Next due" })).toContainText("Signed off. Due again20 Nov");
  await page.getByRole("button", { name: "Open it again" }).click();
  await expect(page.getByRole("button", { name: "Sign off", exact: true })).toBeVisible();
  await page.getByRole("link", { name: /^Recheck/ }).click();
  await expect(page.getByRole("button", { name: "left fore" })).toContainText("done");
});
