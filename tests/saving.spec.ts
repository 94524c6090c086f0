import { readFile, writeFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import { draftTexts, expect, field, openDemo, openVisit, test, TODAY } from "./round";

const BRAMBLE = "demo-yard-1-horse-1";
const SURVEY = `/visits/${BRAMBLE}-${TODAY}/survey`;

/** The browser's store takes nothing until it is told that there is space again. */
const full = (page: Page) =>
  page.evaluate(() => {
    const { put } = IDBObjectStore.prototype;
    (globalThis as { roomAgain?: () => void }).roomAgain = () => {
      IDBObjectStore.prototype.put = put;
    };
    IDBObjectStore.prototype.put = () => {
      throw new DOMException("full", "QuotaExceededError");
    };
  });
const roomAgain = (page: Page) =>
  page.evaluate(() => (globalThis as { roomAgain?: () => void }).roomAgain?.());

const backupOf = async (page: Page): Promise<string> => {
  const download = page.waitForEvent("download");
  await page.goto("/files");
  await page.getByRole("button", { name: "Back up everything" }).click();
  return readFile(await (await download).path(), "utf8");
};

test.describe("a horse’s form in two tabs", () => {
  test("what the other tab kept meanwhile in another field stays", async ({ page, context }) => {
    await openDemo(page, `/horses/${BRAMBLE}/edit`);
    await expect(page.getByLabel("Notes")).toBeVisible();
    const other = await context.newPage();
    await other.goto(`/horses/${BRAMBLE}/edit`);
    await other.getByLabel("Notes").fill("Bad with umbrellas");
    await other.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(other.getByRole("heading", { name: "Bramble", level: 1 })).toBeVisible();

    await page.getByLabel("Name", { exact: true }).fill("Bramble II");
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(page.getByRole("heading", { name: "Bramble II" })).toBeVisible();
    await page.goto(`/horses/${BRAMBLE}/edit`);
    await expect(page.getByLabel("Notes")).toHaveValue("Bad with umbrellas");
  });

  test("the same field is asked about, with its own unit", async ({ page, context }) => {
    await openDemo(page, `/horses/${BRAMBLE}/edit`);
    await expect(page.getByLabel("Longest interval, weeks")).toBeVisible();
    const other = await context.newPage();
    await other.goto(`/horses/${BRAMBLE}/edit`);
    await other.getByLabel("Longest interval, weeks").fill("8");
    await other.getByRole("button", { name: "Keep", exact: true }).click();
    await expect(other.getByRole("heading", { name: "Bramble", level: 1 })).toBeVisible();
    await page.getByLabel("Longest interval, weeks").fill("6");
    await page.getByRole("button", { name: "Keep", exact: true }).click();
    const dialog = page.getByRole("dialog");
    await expect(dialog.getByRole("button", { name: "Leave 8 weeks" })).toBeVisible();
    await dialog.getByRole("button", { name: "Use 6 weeks" }).click();
    await page.goto(`/horses/${BRAMBLE}/edit`);
    await expect(page.getByLabel("Longest interval, weeks")).toHaveValue("6");
  });
});

test("a refused value stays as the user made it, is no conflict when it is sent again, and goes with the next that succeeds", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await full(page);
  await field(page, "Toe length").fill("98");
  await field(page, "Toe length").press("Enter");
  await expect(page.getByRole("alert")).toContainText("Not kept yet: left fore toe length");
  await field(page, "Toe length").fill("97");
  await field(page, "Toe length").press("Enter");
  await expect(field(page, "Toe length")).toHaveValue("97");
  await roomAgain(page);
  await field(page, "Bearing length").fill("131");
  await field(page, "Bearing length").press("Enter");
  await expect(page.getByRole("alert")).toBeHidden();
  await expect(page.getByRole("dialog")).toBeHidden();
  await page.reload();
  await expect(field(page, "Toe length")).toHaveValue("97");
  await expect(field(page, "Bearing length")).toHaveValue("131");
});

test("a setting that the store refused stays as it was chosen, and is kept with the next", async ({
  page,
}) => {
  await openDemo(page);
  for (const [address, chosen, next] of [
    ["/settings", "Inches", "1/32"],
    ["/settings/reading", "Heels back", "Square to limb"],
  ] as const) {
    await page.goto(address);
    const choice = (name: string) => page.getByRole("radio", { name, exact: true });
    await expect(choice(chosen)).not.toBeChecked();
    await full(page);
    await page.getByText(chosen, { exact: true }).click();
    await expect(page.getByRole("alert")).toContainText("Not kept yet");
    await expect(choice(chosen)).toBeChecked();
    await roomAgain(page);
    await page.getByText(next, { exact: true }).click();
    await expect(page.getByRole("alert")).toBeHidden();
    await expect(page.getByRole("dialog")).toBeHidden();
    await page.reload();
    await expect(choice(chosen)).toBeChecked();
    await expect(choice(next)).toBeChecked();
  }
});

test("a form opened again shows what the store refused, and a second change of it is no conflict with the first", async ({
  page,
}) => {
  const rename = async (to: string) => {
    await page.getByRole("textbox", { name: "Name", exact: true }).fill(to);
    await page.getByRole("button", { name: "Keep" }).click();
  };
  await openDemo(page, `/horses/${BRAMBLE}/edit`);
  await expect(page.getByRole("textbox", { name: "Name", exact: true })).toBeVisible();
  await full(page);
  await rename("Bracken");
  await expect(page.getByRole("alert").first()).toContainText("Not kept yet");
  await page.getByRole("link", { name: "Horses" }).click();
  await page.getByRole("link", { name: /^Feet of Bracken/ }).click();
  await page.getByRole("link", { name: "Change" }).click();
  await expect(page.getByRole("textbox", { name: "Name", exact: true })).toHaveValue("Bracken");
  await roomAgain(page);
  await rename("Briar");
  await expect(page.getByRole("heading", { level: 1, name: "Briar" })).toBeVisible();
  await expect(page.getByRole("dialog")).toBeHidden();
  await page.reload();
  await expect(page.getByRole("heading", { level: 1, name: "Briar" })).toBeVisible();
});

test("a field of the days keeps what was typed while the store refuses, and can be taken back", async ({
  page,
}) => {
  await openDemo(page, "/rounds?view=days");
  const speed = page.getByRole("textbox", { name: "Speed on the road" });
  await expect(speed).toHaveValue("50");
  await full(page);
  await speed.fill("65");
  await speed.press("Enter");
  await expect(page.getByRole("alert")).toContainText("storage is full");
  await expect(speed).toHaveValue("65");
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(speed).toHaveValue("50");
  await expect(page.getByRole("alert")).toBeHidden();
});

test("a value of the days that another tab changed during the typing is asked about, in its own unit", async ({
  page,
  context,
}) => {
  await openDemo(page, "/rounds?view=days");
  const speed = (of: Page) => of.getByRole("textbox", { name: "Speed on the road" });
  await expect(speed(page)).toHaveValue("50");
  const other = await context.newPage();
  await other.goto("/rounds?view=days");
  await speed(other).fill("70");
  await speed(page).fill("65");
  await speed(page).press("Enter");
  await expect(page.getByText(/^Kept/).first()).toBeVisible();
  await other.bringToFront();
  await speed(other).press("Enter");
  const dialog = other.getByRole("dialog");
  await expect(dialog.getByRole("button", { name: "Leave 65 km/h" })).toBeVisible();
  await dialog.getByRole("button", { name: "Use 70 km/h" }).click();
  await expect(speed(page)).toHaveValue("70");
});

test("a setting is kept after a backup without a settings row was restored", async ({ page }, info) => {
  await openDemo(page);
  const backup = JSON.parse(await backupOf(page)) as { records: { settings: unknown[] } };
  backup.records.settings = [];
  const path = info.outputPath("no-settings.json");
  await writeFile(path, JSON.stringify(backup));
  await page.getByLabel("Choose a backup file").setInputFiles(path);
  await page.getByRole("button", { name: "Restore it" }).click();
  await expect(page.getByText("Restored.")).toBeVisible();
  await page.goto("/rounds?view=days");
  const speed = page.getByRole("textbox", { name: "Speed on the road" });
  await speed.fill("65");
  await speed.press("Enter");
  await expect(page.getByRole("dialog")).toBeHidden();
  await page.reload();
  await expect(speed).toHaveValue("65");
});

test("half-typed text is its own tab’s until that tab is gone, then it is offered", async ({
  page,
  context,
}) => {
  await openVisit(page, "survey");
  await field(page, "Toe length").pressSequentially("9");
  await expect.poll(() => draftTexts(page)).toEqual(["9"]);
  const other = await context.newPage();
  await other.goto(SURVEY);
  await expect(field(other, "Width")).toBeVisible();
  await expect(field(other, "Toe length")).toHaveValue("");
  await page.close();
  await other.reload();
  await expect(field(other, "Toe length")).toHaveValue("9");
});

test("a restore tells the other tabs: they let go, and say what was typed there", async ({
  page,
  context,
}) => {
  await openVisit(page, "survey");
  await field(page, "Toe length").pressSequentially("9");
  const other = await context.newPage();
  const text = await (async () => backupOf(other))();
  await other
    .locator("input[type=file]")
    .first()
    .setInputFiles({
      name: "round.json",
      mimeType: "application/json",
      buffer: Buffer.from(text),
    });
  await other.getByRole("button", { name: "Restore it" }).click();
  await expect(other.getByText("Restored.")).toBeVisible();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("Another tab has restored a backup");
  await expect(dialog).toContainText("“9”");
  await dialog.getByRole("button", { name: "Open the restored round" }).click();
  await expect(page.getByRole("heading", { name: "Scarrowmoor Trekking" })).toBeVisible();
});

test("twenty undos in quick succession take back twenty changes", async ({ page }) => {
  await openDemo(page, "/settings");
  await expect(page.getByRole("heading", { name: "Settings" })).toBeVisible();
  const inches = page.getByRole("radio", { name: "Inches" });
  for (let at = 0; at < 21; at++) {
    await page.keyboard.press("u");
    await expect(inches).toBeChecked({ checked: at % 2 === 0 });
  }
  await page.evaluate(() => {
    for (let at = 0; at < 20; at++)
      document.body.dispatchEvent(
        new KeyboardEvent("keydown", { key: "z", code: "KeyZ", ctrlKey: true, bubbles: true }),
      );
  });
  // One of twenty-one is left.
  await expect(page.getByText("Taken back: units")).toBeVisible();
  await expect(inches).toBeChecked();
  await page.keyboard.press("Control+z");
  await expect(inches).not.toBeChecked();
  await page.keyboard.press("Control+z");
  await expect(page.getByText("Nothing to take back in this sitting")).toBeVisible();
});

test("an unknown horse, visit or stage leaves the frame around it", async ({ page }) => {
  await openDemo(page);
  for (const address of ["/horses/nobody", "/visits/never/survey", "/rounds/2026-13-45"]) {
    await page.goto(address);
    await expect(page.getByRole("heading", { name: "This page is not there" })).toBeVisible();
    await expect(page.getByRole("navigation", { name: "Main" })).toBeVisible();
  }
  await page.goto(`/visits/${BRAMBLE}-${TODAY}/nonsense`);
  await expect(page.getByRole("heading", { name: "This page is not there" })).toBeVisible();
  await expect(page.getByRole("navigation", { name: "Stages of the visit" })).toBeVisible();
});
