import { readFile } from "node:fs/promises";
import { expect, openDemo, openVisit, test } from "./round";

const BRAMBLE = "demo-yard-1-horse-1";

test("a horse's form keeps what is typed over a press on Today and a reload, until it is kept or left", async ({
  page,
}) => {
  await openDemo(page, `/horses/${BRAMBLE}/edit`);
  const notes = page.getByRole("textbox", { name: "Notes" });
  await notes.fill("Dislikes the left hind held high.");
  await page.getByRole("link", { name: "Today" }).click();
  await expect(page.getByRole("heading", { name: "Scarrowmoor Trekking" })).toBeVisible();
  await page.goto(`/horses/${BRAMBLE}/edit`);
  await expect(notes).toHaveValue("Dislikes the left hind held high.");
  await expect(page.getByText("Not saved yet")).toBeVisible();
  await page.getByRole("button", { name: "Start again" }).click();
  await expect(notes).not.toHaveValue("Dislikes the left hind held high.");
  await notes.fill("Stands well.");
  await page.reload();
  await expect(notes).toHaveValue("Stands well.");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Bramble" })).toBeVisible();
  await page.goto(`/horses/${BRAMBLE}/edit`);
  await expect(notes).toHaveValue("Stands well.");
  await expect(page.getByText("Not saved yet")).toBeHidden();
});

test("a case's form keeps what is typed, a stage that was added too; left it is forgotten", async ({
  page,
}) => {
  await openDemo(page, `/horses/${BRAMBLE}/cases/new`);
  await page.getByRole("textbox", { name: "In your own words" }).fill("Sore after the frost");
  await page.getByRole("button", { name: "Add a stage" }).click();
  await page.getByPlaceholder("Raised, frog supported").fill("Padded");
  await page.reload();
  await expect(page.getByRole("textbox", { name: "In your own words" })).toHaveValue("Sore after the frost");
  await expect(page.getByPlaceholder("Raised, frog supported")).toHaveValue("Padded");
  await page.getByRole("button", { name: "Leave it" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Bramble" })).toBeVisible();
  await page.goto(`/horses/${BRAMBLE}/cases/new`);
  await expect(page.getByRole("textbox", { name: "In your own words" })).toHaveValue("");
});

test("a tab stays in the round that it opened, whatever another one chooses", async ({ page, context }) => {
  await openDemo(page);
  const other = await context.newPage();
  await other.goto("/files");
  await other.getByRole("button", { name: "Back to my own" }).first().click();
  await expect(other.getByRole("button", { name: "Back to my own" })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole("heading", { name: "Scarrowmoor Trekking" })).toBeVisible();
});

test("at the forge the steel of the width before is greyed while another width is typed", async ({
  page,
}) => {
  await openDemo(page, "/forge");
  const answer = page.getByRole("region", { name: "Steel to cut" });
  const width = page.getByRole("textbox", { name: "Width" });
  await expect(answer).toHaveCSS("opacity", "1");
  await width.fill("165");
  await expect(answer).toHaveCSS("opacity", "0.4");
  await width.press("Enter");
  await expect(answer).toHaveCSS("opacity", "1");
});

test("an application that does not arrive says so, and hands out the records; one that comes late takes over", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await page.route("**/assets/*.js", (route) => route.abort());
  await page.goto("/", { waitUntil: "commit" });
  await expect(page.getByRole("alert")).toContainText("a part of it did not arrive");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export a backup" }).click();
  const { format, records } = JSON.parse(await readFile(await (await download).path(), "utf8")) as {
    format: string;
    records: { horses: unknown[]; visits: unknown[] };
  };
  expect([format, records.horses.length]).toEqual(["plumbline-backup", 43]);
  await page.unroute("**/assets/*.js");
  await page.getByRole("button", { name: "Load again" }).click();
  await expect(page.getByRole("heading", { name: "Scarrowmoor Trekking" })).toBeVisible();
});
