import { at, kept, spec, takeFirst } from "./shoeing";
import { expect, openDemo, openVisit, test, TODAY } from "./round";

test("padded: frog support and compound, its amount and time; the timer runs by the clock and outlives a reload", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await takeFirst(page);
  await spec(page).getByRole("combobox", { name: "Pad", exact: true }).selectOption("frog support");
  await spec(page).getByRole("combobox", { name: "Packing" }).selectOption("setting compound");
  await expect(spec(page)).toContainText("Against last time:");
  await kept(page);
  await at(page, "Set");
  const packing = page.getByRole("region", { name: "Pad and packing" });
  await expect(packing).toContainText(/About \d+0 ml, mixed in equal parts/);
  await packing.getByRole("textbox", { name: /It is now/ }).fill("10");
  await packing.getByRole("textbox", { name: /It is now/ }).press("Enter");
  await expect(packing).toContainText("8:00 min to work it at 10 °C, 50 °F");
  await expect(packing).toContainText("16:00 min until it bears");
  await packing.getByRole("textbox", { name: /It is now/ }).fill("41 F");
  await packing.getByRole("textbox", { name: /It is now/ }).press("Enter");
  await expect(packing).toContainText("at 5 °C, 41 °F");
  await expect(packing).toContainText("A cold day");
  await packing.getByRole("textbox", { name: /It is now/ }).fill("hot");
  await packing.getByRole("textbox", { name: /It is now/ }).press("Enter");
  await expect(packing.getByRole("alert")).toHaveText("A temperature, as 10 or 50 F, not “hot”.");
  await packing.getByRole("textbox", { name: /It is now/ }).fill("10");
  await packing.getByRole("textbox", { name: /It is now/ }).press("Enter");
  await packing.getByRole("button", { name: "Mixed now: start its time" }).click();
  await expect(packing.locator(".timer-left")).toHaveText("8:00 min");
  await page.clock.setFixedTime(new Date(`${TODAY}T07:35:30Z`));
  await expect(packing.locator(".timer-left")).toHaveText("2:30 min");
  await page.reload();
  await expect(packing.locator(".timer-left")).toHaveText("2:30 min");
  await page.clock.setFixedTime(new Date(`${TODAY}T07:39:00Z`));
  await expect(packing).toContainText("over: it has set, or is about to");
  await packing.getByRole("checkbox", { name: "No compound between steel and wall" }).click();
  await packing.getByRole("button", { name: "Done" }).click();
  await expect(packing.getByRole("button", { name: "Mixed now: start its time" })).toBeVisible();
});

test("a heart-bar pad injected: prescribed by hand, unloaded at a crack, hot-fitted cold-minded, filled after the nails", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await takeFirst(page);
  const pick = (name: string, value: string) =>
    spec(page).getByRole("combobox", { name, exact: true }).selectOption(value);
  await pick("Pad", "heart-bar");
  await pick("Packing", "setting compound");
  await pick("Compound goes in", "injected");
  await pick("Toe", "square");
  await pick("Toe’s ground edge", "rolled");
  await pick("Nails of", "coppered");
  await spec(page).getByRole("button", { name: "quarter outside" }).click();
  await spec(page).getByRole("checkbox", { name: "Pad riveted" }).click();
  await spec(page).getByText("Edges by place, and what is unloaded").click();
  await spec(page).getByRole("button", { name: "unloaded", exact: true }).click();
  await spec(page)
    .getByRole("button", { name: /^Heel, inside/ })
    .click();
  await expect(spec(page)).toContainText("Unloaded at inside heel.");
  await kept(page);
  const beside = page.getByRole("region", { name: "As found and as chosen" });
  await expect(beside.getByRole("row", { name: /^Pad/ })).toContainText("heart-bar");

  await at(page, "Shoe", "left fore", "Fit");
  const says = page.locator(".fit-says");
  await expect(says).toContainText("heart-bar pad, riveted, setting compound, injected");
  await expect(says).toContainText("unloaded at inside heel");
  await expect(says).toContainText("toe square, rolled toe");
  await expect(page.getByRole("region", { name: "Checks" })).toContainText(
    "No contact and no nail at inside heel: its print is to show a gap.",
  );

  await at(page, "Set");
  await page.getByRole("button", { name: "First hot fit" }).click();
  await page.getByRole("button", { name: "Wall all round, gap where it is wanted" }).click();
  await page.getByRole("button", { name: "stands off" }).click();
  await expect(
    page.getByText("The plate stands off the frog: it carries nothing.", { exact: false }),
  ).toBeVisible();
  await page.getByRole("button", { name: "meets", exact: true }).click();
  await expect(page.getByText("It touches what it is to touch, and nothing else: nail it on.")).toBeVisible();
  const packing = page.getByRole("region", { name: "Pad and packing" });
  await expect(packing.getByRole("heading")).toHaveText("Heart-bar pad, setting compound, injected");
  await packing.getByRole("switch", { name: "One batch for both feet" }).click();
  await expect(packing).toContainText("ml for both feet");
  for (const name of [
    "Frog clean, dry and disinfected",
    "Pad riveted, clenched on, back edge open",
    "Nozzle to the point",
  ])
    await packing.getByRole("checkbox", { name }).click();
  await expect(packing.getByRole("checkbox", { name: "The rest of the nails" })).toHaveCount(0);
  await page.reload();
  await expect(packing.getByRole("checkbox", { name: /Nozzle to the point/ })).toBeChecked();
  await page.getByRole("link", { name: /^Sign off,/ }).click();
  await expect(page.getByLabel("What each foot goes away with")).toContainText("coppered nails");
});

test("a thin sole is fitted cold; hot all the same only with a line of why, which is kept", async ({
  page,
}) => {
  await openDemo(page, "/horses/demo-yard-2-horse-2");
  const signed = page.getByRole("region", { name: "Visits" }).getByRole("link").first();
  const address = await signed.getAttribute("href");
  await page.goto(`${address ?? ""}/set?foot=LF`);
  const fits = page.getByRole("region", { name: "Hot fits" });
  await expect(fits).toContainText("Thin sole: fit cold.");
  await expect(fits.getByRole("button", { name: "First hot fit" })).toBeDisabled();
  await fits.getByLabel("Fit it hot all the same, because").fill("the vet stands by, one second each");
  await fits.getByLabel("Fit it hot all the same, because").press("Enter");
  await fits.getByRole("button", { name: "First hot fit" }).click();
  await expect(page.getByRole("heading", { name: "1 hot fit." })).toBeVisible();
  await page.reload();
  await expect(fits.getByLabel("Hot on a thin sole, because")).toHaveValue(
    "the vet stands by, one second each",
  );
});
