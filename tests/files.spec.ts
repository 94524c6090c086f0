import { readFile, writeFile } from "node:fs/promises";
import { strFromU8, unzipSync } from "fflate";
import { expect, openDemo, ownHorse, test } from "./round";
import type { Page } from "@playwright/test";

const take = async (page: Page, name: string) => {
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name }).click();
  const file = await download;
  return {
    name: file.suggestedFilename(),
    path: await file.path(),
    text: await readFile(await file.path(), "utf8"),
  };
};

test("export, change, restore: everything is as it was", async ({ page }) => {
  await openDemo(page, "/files");
  const backup = await take(page, "Back up everything");
  expect(backup.name).toBe("plumbline-2026-11-23.json");
  await page.goto("/");
  await page.getByRole("button", { name: "Plan Larkspur for today" }).click();
  await expect(page.getByRole("heading", { name: "Estuary Polo" })).toBeVisible();
  await page.goto("/files");
  await page.getByLabel("Choose a backup file").setInputFiles(backup.path);
  await expect(page.getByText("Every row was read and is sound.")).toBeVisible();
  await page.getByRole("button", { name: "Restore it" }).click();
  await expect(page.getByText("Restored.")).toBeVisible();
  const again = await take(page, "Back up everything");
  const records = (text: string) => (JSON.parse(text) as { records: unknown }).records;
  expect(records(again.text)).toEqual(records(backup.text));
});

test("a damaged and a foreign file say where and why, and change nothing", async ({ page }, info) => {
  await openDemo(page, "/files");
  const backup = await take(page, "Back up everything");
  const cut = info.outputPath("cut.json");
  await writeFile(cut, backup.text.slice(0, 5000));
  await page.getByLabel("Choose a backup file").setInputFiles(cut);
  await expect(page.getByRole("alert")).toContainText("cut.json was not restored. Nothing was changed.");
  await expect(page.getByRole("alert")).toContainText(/line \d+, column \d+/);
  const spoiled = info.outputPath("spoiled.json");
  await writeFile(spoiled, backup.text.replace('"massKg":520', '"massKg":"<img src=x onerror=alert(1)>"'));
  await page.getByLabel("Choose a backup file").setInputFiles(spoiled);
  await expect(page.getByRole("alert")).toContainText("records.horses.0.massKg");
  await expect(page.getByText("43 horses in 8 yards")).toBeVisible();
});

test("a horse that is in the records twice is made one, and two again by undo", async ({ page }, info) => {
  await openDemo(page, "/files");
  await expect(page.getByRole("region", { name: "To set right" })).toBeHidden();
  const csv = info.outputPath("horses.csv");
  await writeFile(csv, "Yard,Horse,Kind,Notes\nScarrowmoor Trekking,Brámble,cob,Stands well\n");
  await page.getByLabel("Choose a CSV or cards").setInputFiles(csv);
  await page.getByRole("button", { name: "Keep 1" }).click();
  const right = page.getByRole("region", { name: "To set right" });
  await expect(right.getByRole("listitem")).toHaveText(
    /Horse Bramble and Brámble, Scarrowmoor Trekking.*Make one/,
  );
  await right.getByRole("button", { name: "Make one" }).click();
  await expect(right).toBeHidden();
  await expect(page.getByText("43 horses in 8 yards")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(right.getByRole("listitem")).toHaveCount(1);
});

test("readings leave as CSV, due dates as a calendar", async ({ page }) => {
  await openDemo(page, "/files");
  const csv = await take(page, "Readings as CSV");
  expect(csv.text.split("\r\n")[0]).toMatch(/^date,yard,horse,limb,moment,dorsalAngle,dorsalAngleSource/);
  expect(csv.text.split("\r\n").length).toBeGreaterThan(6000);
  const calendar = await take(page, "Due dates as a calendar");
  expect(calendar.text.match(/BEGIN:VEVENT/g)).toHaveLength(43);
  expect(calendar.text).toContain("SUMMARY:Larkspur due");
});

test("every table leaves as CSV in one file, units in the headers", async ({ page }) => {
  await openDemo(page, "/files");
  const zip = await take(page, "Every table as CSV");
  const files = unzipSync(await readFile(zip.path));
  expect(Object.keys(files)).toEqual(expect.arrayContaining(["horses.csv", "readings.csv", "settings.csv"]));
  const horses = strFromU8(files["horses.csv"] as Uint8Array).split("\r\n");
  expect(horses[0]).toContain("massKg (kg)");
  expect(horses).toHaveLength(45);
});

test.describe("where the demo round was never made", () => {
  test.use({ untouched: true });
  test("the demo never touches one's own records, and leaving it brings them back", async ({ page }) => {
    await ownHorse(page, "Wren");
    await page.goto("/files");
    await page.getByRole("button", { name: "Load the demo round" }).click();
    await expect(page.getByRole("heading", { name: "Scarrowmoor Trekking" })).toBeVisible({
      timeout: 30_000,
    });
    await page.goto("/horses?text=wren");
    await expect(page.getByText("No horse fits.")).toBeVisible();
    await page.getByRole("button", { name: "Back to my own" }).first().click();
    await page.goto("/horses");
    await expect(page.getByText("1 horse, 1 yard")).toBeVisible();
    await expect(page.getByRole("link", { name: /Wren/ })).toBeVisible();
  });
});

test("a new horse without a name or with an impossible mass is refused at its field, and the rest stays typed", async ({
  page,
}) => {
  await page.goto("/horses/new");
  await page.getByRole("spinbutton", { name: "Body mass, kg" }).fill("9");
  await page.getByRole("textbox", { name: "Notes" }).fill("likes apples");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByText("Lighter than 40 kg is not read.")).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Notes" })).toHaveValue("likes apples");
});
