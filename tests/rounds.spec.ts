import { readFile } from "node:fs/promises";
import type { Locator, Page } from "@playwright/test";
import { expect, openDemo, test, TODAY } from "./round";

/** A plan for the fortnight, found and taken. */
async function takePlan(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Plan the fortnight" }).click();
  const take = page.getByRole("button", { name: "Take this plan" });
  await expect(take).toBeVisible({ timeout: 90_000 });
  await take.click();
  await expect(page.getByRole("button", { name: "Plan the fortnight" })).toBeVisible();
}

const day = (page: Page, name: string): Locator => page.getByRole("region", { name, exact: true });
const horse = (place: Page | Locator, name: string): Locator =>
  place.getByRole("button", { name: new RegExp(`^(pinned )?${name}`) });

test("the fortnight: planned, dragged with its cost shown, pinned, planned again, taken back, exported", async ({
  page,
}) => {
  await openDemo(page, "/rounds");
  await expect(page.getByRole("region", { name: "No day yet" })).toContainText("Larkspur");
  await page.getByRole("button", { name: "Plan the fortnight" }).click();
  await expect(page.getByRole("button", { name: "Take this plan" })).toBeVisible({ timeout: 90_000 });
  await expect(page.getByRole("region", { name: "Plan", exact: true })).toContainText(
    /No plan is better|of the best possible/,
  );
  await page.getByRole("button", { name: "Take this plan" }).click();
  await expect(page.getByText("Everybody who is due has a day.")).toBeVisible();
  const tuesday = day(page, "Tue 24 Nov");
  await expect(horse(tuesday, "Larkspur")).toBeVisible();

  // Carried to Thursday: every day says what it would cost before it is dropped.
  const from = await horse(tuesday, "Larkspur").boundingBox();
  const thursday = day(page, "Thu 26 Nov");
  const to = await thursday.boundingBox();
  if (!from || !to) throw new Error("both are on the screen");
  await page.mouse.move(from.x + 20, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y + 20, { steps: 4 });
  await page.mouse.move(to.x + 50, to.y + 60, { steps: 6 });
  await expect(thursday).toContainText(/road, 2 days later/);
  await expect(day(page, "Wed 25 Nov")).toContainText(/1 day later/);
  await page.mouse.up();
  await expect(horse(thursday, "Larkspur")).toBeVisible();

  // Pinned there, the next plan leaves it.
  const pinned = thursday.getByRole("img", { name: "pinned" });
  const pin = page.getByRole("button", { name: "Pin to this day" });
  await horse(thursday, "Larkspur").click();
  await pin.click();
  await expect(pinned).toBeVisible();
  await takePlan(page);
  await expect(thursday.getByRole("img", { name: "pinned" })).toBeVisible();
  await expect(horse(thursday, "Larkspur")).toBeVisible();

  const calendar = page.waitForEvent("download");
  await page.getByRole("button", { name: "Calendar file" }).click();
  const text = await readFile(await (await calendar).path(), "utf8");
  expect(text).toContain("BEGIN:VALARM");
  expect(text).toContain("UID:round-2026-11-26-demo-yard-2@plumbline.invalid");
  const csv = page.waitForEvent("download");
  await page.getByRole("button", { name: "CSV" }).click();
  expect(await readFile(await (await csv).path(), "utf8")).toMatch(
    /2026-11-26,\d\d:\d\d,Estuary Polo,Larkspur/,
  );
});

test("a day is opened as a sheet: order, access, what to watch, what to load", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Day sheet and what to load" }).click();
  await expect(page.getByRole("heading", { name: "Monday 23 November" })).toBeVisible();
  const first = page.getByRole("region", { name: "Scarrowmoor Trekking" });
  await expect(first).toContainText("Second gate, dogs loose after nine.");
  await expect(first.getByRole("row", { name: /^Thrift/ })).toContainText(
    "Dislikes hammering on the right fore.",
  );
  const load = page.getByRole("region", { name: "What to load" });
  await expect(load).toContainText("nails");
  await expect(load).toContainText(/steel \d{3} mm/);
  const file = page.waitForEvent("download");
  await page.getByRole("button", { name: "Calendar" }).click();
  expect((await file).suggestedFilename()).toBe(`plumbline-day-${TODAY}.ics`);
  await page.goto("/rounds/2026-02-30");
  await expect(page.getByText("That is no day of the calendar.")).toBeVisible();
});

test("running late: one tap shifts the day, who to tell stands there with the words", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Running late" }).click();
  await page.getByRole("button", { name: "30 min" }).click();
  const late = page.getByRole("region", { name: "Running late" });
  await expect(late).toContainText("08:00 is now 08:30");
  await expect(late).toContainText("Hello Wenna, I am running about 30 minutes late.");
  await expect(page.getByRole("region", { name: "Scarrowmoor Trekking" })).toContainText("08:30");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("region", { name: "Scarrowmoor Trekking" })).toContainText("08:00");
});

test("a lost shoe in two taps, fitted into today where the road is shortest", async ({ page }) => {
  await openDemo(page, "/horses/demo-yard-1-horse-7");
  const name = await page.getByRole("heading", { level: 1 }).innerText();
  await page.getByRole("button", { name: "lost shoe" }).click();
  await page.getByRole("button", { name: "right hind", exact: true }).click();
  await expect(page).toHaveURL(/view=calls/);
  const fits = page.getByRole("list", { name: `Fit ${name} in` });
  await expect(fits.getByRole("button").first()).toContainText("you are there anyway");
  await fits.getByRole("button").first().click();
  await expect(page.getByText(/Fitted in: today/)).toBeVisible();
  await expect(page.getByRole("region", { name: "What stays on" })).toContainText(name);
  await page.goto("/");
  await expect(page.getByRole("region", { name: "Scarrowmoor Trekking" })).toContainText(name);
  await page.goto("/horses/demo-yard-1-horse-8");
  await page.getByRole("button", { name: "lame" }).click();
  await page.getByRole("button", { name: "left fore", exact: true }).click();
  await expect(page.getByText("The vet sees it first: nothing is nailed on a lame foot.")).toBeVisible();
});

test("the board says at a glance who is late and why; half a year of work stands against the hours", async ({
  page,
}) => {
  await openDemo(page, "/rounds?view=board");
  const late = page.getByRole("region", { name: "Late", exact: true });
  await expect(late.getByRole("link").first()).toContainText(
    /Larkspur.*9 d late.*cap: competition, no day yet/s,
  );
  await page.getByText("yard", { exact: true }).click();
  await expect(page.getByRole("region", { name: "Ferryfield" })).toBeVisible();
  await page.getByText("Half a year", { exact: true }).click();
  await expect(page.getByRole("img", { name: /^Hours of work by week/ })).toBeVisible();
  await expect(page.getByText("horn grows faster").first()).toBeVisible();
  await expect(page.getByText("No week is too full.")).toBeVisible();
  await page.getByText("Days", { exact: true }).click();
  for (const weekday of ["Tuesday", "Wednesday", "Thursday", "Friday"]) {
    await page.getByRole("textbox", { name: new RegExp(`^${weekday}`) }).fill("0");
    await page.getByRole("textbox", { name: new RegExp(`^${weekday}`) }).press("Enter");
  }
  await page.getByText("Half a year", { exact: true }).click();
  await expect(page.getByText(/you fall behind; by that of/)).toBeVisible();
});

test("days and road: nonsense is named where it stands, a day off takes nobody, a calendar file is looked at first", async ({
  page,
}) => {
  await openDemo(page, "/rounds?view=days");
  const home = page.getByRole("textbox", { name: /^Home/ });
  await home.fill("moor");
  await home.press("Enter");
  await expect(page.getByRole("alert")).toContainText("“moor” is not a place: type latitude, longitude");
  await expect(home).toHaveValue("moor");
  await home.fill("54.34, -1.81");
  await home.press("Enter");
  const tuesday = page.getByRole("textbox", { name: /^Tuesday/ });
  await tuesday.fill("nine");
  await tuesday.press("Enter");
  await expect(page.getByRole("alert")).toContainText("type 9, 7.5 or 8:30");
  await tuesday.fill("0");
  await tuesday.press("Enter");
  await expect(page.getByRole("alert")).toHaveCount(0);
  await page.locator("input[type=file]").setInputFiles({
    name: "booked.ics",
    mimeType: "text/calendar",
    buffer: Buffer.from(
      "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:dentist\r\nDTSTAMP:20261101T000000Z\r\nDTSTART:20261126T100000\r\nDURATION:PT2H\r\nSUMMARY:Dentist <b>now</b>\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
    ),
  });
  await expect(page.getByText("1 new")).toBeVisible();
  await page.getByRole("button", { name: "Keep it" }).click();
  await expect(page.getByRole("button", { name: "Remove Dentist <b>now</b>" })).toBeVisible();
  await page.getByText("Plan", { exact: true }).click();
  await expect(day(page, "Tue 24 Nov")).toHaveCount(0);
  await expect(day(page, "Thu 26 Nov")).toContainText("10:00 Dentist <b>now</b>");
});

test("a search that is stopped leaves its best plan as a proposal; left as it was, nothing has changed", async ({
  page,
}) => {
  await openDemo(page, "/rounds");
  await page.getByRole("button", { name: "Plan the fortnight" }).click();
  const leave = page.getByRole("button", { name: "Leave it as it was" });
  const enough = page.getByRole("button", { name: "That will do" });
  const take = page.getByRole("button", { name: "Take this plan" });
  await expect(enough.or(take)).toBeVisible();
  // Quick as it is, it may be done before the press: then it is the whole plan that stands there.
  await enough.click({ timeout: 3000 }).catch(() => undefined);
  await expect(take).toBeVisible();
  const words = page.getByRole("region", { name: "Plan", exact: true });
  await expect(words).toContainText(/on the road/);
  await expect(words).toContainText(/No plan is better|of the best possible|was not proven/);
  await leave.click();
  await expect(page.getByRole("region", { name: "No day yet" })).toContainText("Larkspur");
});

test("by keyboard: Enter opens a horse, the days stand next, Escape leads back to it", async ({ page }) => {
  await openDemo(page, "/rounds");
  const larkspur = horse(page, "Larkspur");
  await larkspur.focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText(/^Window /)).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByText(/^Window /)).toBeHidden();
  await expect(larkspur).toBeFocused();
  await page.keyboard.press("Enter");
  await page.keyboard.press("Tab");
  await expect(page.getByRole("link", { name: "Larkspur" })).toBeFocused();
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await expect(horse(day(page, "Tue 24 Nov"), "Larkspur")).toBeVisible();
});

test("two that go together are tied on the form, planned on one day and moved as one", async ({ page }) => {
  await openDemo(page, "/horses");
  await page.getByRole("link", { name: /Larkspur/ }).click();
  await page.getByRole("link", { name: "Change" }).click();
  await page.getByRole("combobox", { name: "Goes together with" }).fill("Sand");
  await page.getByTitle("Sandpiper").click();
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByRole("heading", { name: "Larkspur" })).toBeVisible();
  await expect(page.getByText("Goes together with Sandpiper")).toBeVisible();
  await page.getByRole("link", { name: "Rounds" }).click();
  await takePlan(page);
  const columns = page.getByRole("region", { name: /^(Mon|Tue|Wed|Thu|Fri) \d/ });
  const both = columns.filter({ has: horse(page, "Larkspur") }).filter({ has: horse(page, "Sandpiper") });
  await expect(both).toHaveCount(1);
  await horse(both, "Sandpiper").click();
  await expect(page.getByText("Goes together with Larkspur")).toBeVisible();
  const there = await both.getAttribute("aria-label");
  const moves = page.getByRole("list", { name: "Move Sandpiper" });
  await moves.getByRole("button", { name: /^Fri 27 Nov/ }).click();
  const friday = day(page, "Fri 27 Nov");
  await expect(horse(friday, "Larkspur")).toBeVisible();
  await expect(horse(friday, "Sandpiper")).toBeVisible();
  expect(there).not.toBe("Fri 27 Nov");
});

test("the vet comes to a horse: its day is pinned, the order meets the time, the day sheet says it", async ({
  page,
}) => {
  await openDemo(page, "/rounds");
  await takePlan(page);
  const tuesday = day(page, "Tue 24 Nov");
  await horse(tuesday, "Larkspur").click();
  const time = page.getByRole("textbox", { name: "The vet comes at" });
  await time.fill("14:00");
  await time.press("Enter");
  await expect(horse(tuesday, "Larkspur")).toContainText("vet 14:00");
  await expect(horse(tuesday, "Larkspur").getByRole("img", { name: "pinned" })).toBeVisible();
  await expect(page.getByText(/The vet comes at 14:00, you begin at/)).toBeVisible();
  await page.goto("/rounds/2026-11-24");
  await expect(page.getByRole("row", { name: /Larkspur/ })).toContainText("Vet at 14:00");
});

test.describe("by touch", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test("on a phone a horse is moved from a list of days, each with its cost; nothing is wider than the screen", async ({
    page,
  }) => {
    await openDemo(page, "/rounds");
    await takePlan(page);
    const tuesday = day(page, "Tue 24 Nov");
    await horse(tuesday, "Larkspur").tap();
    const moves = page.getByRole("list", { name: "Move Larkspur" });
    await expect(moves).toContainText(/days? later/);
    await moves.getByRole("button", { name: /^Wed 25 Nov/ }).tap();
    await expect(horse(day(page, "Wed 25 Nov"), "Larkspur")).toBeVisible();
    for (const view of ["plan", "board", "year", "calls", "days"]) {
      await page.goto(`/rounds?view=${view}`);
      await expect(page.getByRole("heading", { name: "Rounds" })).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    }
  });
});

test("people, yards and horses from a CSV: columns given their meaning, looked at, kept, taken back", async ({
  page,
}) => {
  await openDemo(page, "/files");
  const panel = page.getByRole("region", { name: "Bring in people and horses" });
  await panel.locator("input[type=file]").setInputFiles({
    name: "horses.csv",
    mimeType: "text/csv",
    buffer: Buffer.from("Barn,Pony,Weight\nMill Farm,Hazel,320\nMill Farm,Juniper,9\nFerryfield,Dunlin,\n"),
  });
  await expect(panel).toContainText("1 new yard, 0 new horses");
  await panel.getByRole("combobox", { name: "Column for horse" }).selectOption("Pony");
  await expect(panel).toContainText("1 new yard, 1 new horse");
  await expect(panel).toContainText("Row 3, Weight: Lighter than 40 kg is not read.");
  await panel.getByRole("button", { name: "Keep 2" }).click();
  await expect(panel).toContainText("2 brought in.");
  await page.getByRole("link", { name: "Horses", exact: true }).click();
  await page.getByRole("textbox", { name: "Find by name" }).fill("Hazel");
  await expect(page.getByText("Mill Farm")).toBeVisible();
  await page.getByRole("heading", { name: "Horses" }).click();
  await page.keyboard.press("Control+z");
  await expect(page.getByText("No horse fits. Clear a filter.")).toBeVisible();
});
