import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { expect, field, MORNING, openDemo, test, TODAY } from "./round";

const caseOf = async (page: Page, horse: string) => {
  await page.goto("/cases");
  await page.getByRole("link", { name: new RegExp(`^${horse}`) }).click();
  await expect(page.getByRole("heading", { name: "Where it stands" })).toBeVisible();
};
const standing = (page: Page, foot: string) => page.getByRole("region", { name: foot, exact: true });

test("a case from opening to closing: asked for an exit, prescribed, gone on with a reason, written down, closed and opened again", async ({
  page,
}) => {
  await openDemo(page, "/horses/demo-yard-1-horse-2");
  await page.getByRole("link", { name: "Open a case" }).click();
  await page.getByLabel("In your own words").fill("Bruised heels");
  await page.getByRole("checkbox", { name: "left fore" }).first().click();
  await field(page, "Prescribed by").fill("A. Nyone, vet");
  await page.getByLabel("Until").fill("2026-11-27");
  await page.locator("#prescription_feet").getByRole("checkbox", { name: "left fore" }).click();
  for (const [at, name] of ["Raised", "Plain"].entries()) {
    await page.getByRole("button", { name: "Add a stage" }).click();
    await page
      .getByRole("group", { name: `Stage ${at + 1}` })
      .getByLabel("Name")
      .fill(name);
  }
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(page.getByRole("alert").last()).toContainText(
    "How is it seen that “Raised” has done its work?",
  );
  const first = page.getByRole("group", { name: "Stage 1" });
  await first.getByRole("button", { name: "Add a test" }).click();
  await page.getByRole("button", { name: "Keep", exact: true }).click();

  await expect(page.getByRole("heading", { level: 1, name: "Bruised heels" })).toBeVisible();
  await expect(page.getByText("the prescription runs out in 4 days. Ask the vet.")).toBeVisible();
  await expect(standing(page, "left fore")).toContainText("Heels within 5.0° of the wall");
  await page.getByRole("textbox", { name: "What happened today" }).fill("Sore to the tester at both heels.");
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByRole("region", { name: "Log" })).toContainText("Sore to the tester at both heels.");

  // It goes on before its test is met: only with a reason.
  await page.getByRole("button", { name: "Go on to Plain all the same" }).click();
  await expect(page.getByRole("button", { name: "Go on", exact: true })).toBeDisabled();
  await page.getByRole("textbox", { name: /Why it goes on/ }).fill("Vet on the telephone");
  await page.getByRole("button", { name: "Go on", exact: true }).click();
  await expect(page.getByRole("region", { name: "Log" })).toContainText(
    "left fore on to “Plain”: Vet on the telephone.",
  );
  await expect(standing(page, "left fore").locator("[aria-current=step]")).toHaveText("Plain");

  await page.goto("/");
  await expect(page.getByRole("region", { name: "Cases" })).toContainText(
    "Bruised heels: the prescription runs out in 4 days",
  );
  await page
    .getByRole("region", { name: "Cases" })
    .getByRole("link", { name: /Bruised heels/ })
    .click();
  await page.getByRole("button", { name: "Close this case" }).click();
  await page.getByRole("combobox", { name: "Outcome" }).selectOption("kept in hand");
  await page.getByRole("button", { name: "Close it" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("closed");
  await page.goto("/cases");
  await expect(page.getByRole("region", { name: "Closed" })).toContainText("Bruised heels");
  await page.getByRole("link", { name: /Bruised heels/ }).click();
  await page.getByRole("button", { name: "Open it again" }).click();
  await page.getByRole("textbox", { name: "What came back" }).fill("Sore again after hard ground");
  await page.getByRole("button", { name: "Open it again" }).click();
  await expect(page.getByRole("region", { name: "Log" })).toContainText(
    "Opened again: Sore again after hard ground.",
  );
});

test("what is ready, overdue or runs out stands on Today, at Arrive, on the board and on the day sheet; a stage is left with one press", async ({
  page,
}) => {
  await openDemo(page);
  const cases = page.getByRole("region", { name: "Cases" });
  await expect(cases).toContainText(
    "Mossback. Resected quarter, left fore: over the shoeings of “Open, unloaded” (7 of 6)",
  );
  await expect(cases).toContainText(
    "Sixpence. Strained ligament, right fore: the prescription runs out in 3 days.",
  );
  const ready = "ready to leave “Raised 3°, straight bar” for “Level, straight bar”";
  await page.goto("/rounds?view=board");
  await expect(page.getByRole("link", { name: /^Major Oak/ })).toContainText(ready);
  await page.goto("/rounds/2026-11-23");
  await expect(page.getByRole("row", { name: /Major Oak/ })).toContainText(ready);
  await page.goto("/");
  await page.getByRole("link", { name: "Major Oak, start the visit" }).click();
  await expect(page.getByRole("region", { name: "Cases under way" })).toContainText(
    "3 of 3 shoeings, 3 of 3 tests met",
  );
  await page
    .getByRole("region", { name: "Cases under way" })
    .getByRole("link", { name: "Sore heels in front", exact: true })
    .click();
  await standing(page, "left fore").getByRole("button", { name: "Go on to Level, straight bar" }).click();
  await expect(standing(page, "left fore").locator("[aria-current=step]")).toHaveText("Level, straight bar");
  await expect(standing(page, "right fore").locator("[aria-current=step]")).toHaveText(
    "Raised 3°, straight bar",
  );
  await page.keyboard.press("Control+z");
  await expect(standing(page, "left fore").locator("[aria-current=step]")).toHaveText(
    "Raised 3°, straight bar",
  );
});

test("the vet’s sheet opens with scripts and network off, is answered with them on, and the answer is taken after a look", async ({
  page,
  browser,
}, info) => {
  await openDemo(page);
  await caseOf(page, "Damson");
  await page.getByRole("button", { name: "For the vet" }).click();
  await expect(page.getByRole("region", { name: "What it contains" })).toContainText(
    "a form with which the vet can answer",
  );
  const preview = page.frameLocator('iframe[title="The sheet as it will leave"]');
  await expect(preview.getByRole("heading", { level: 1 })).toHaveText("Damson: Laminitis, both fronts");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save as a page (HTML)" }).click(),
  ]);
  const path = join(info.outputDir, "sheet.html");
  await download.saveAs(path);

  const bare = await browser.newContext({ javaScriptEnabled: false, offline: true });
  const still = await bare.newPage();
  await still.goto(`file://${path}`);
  await expect(still.getByRole("heading", { name: "Prescription" })).toBeVisible();
  await expect(still.getByRole("row", { name: /Palmar angle/ })).toContainText("8.5 ± 0.7°");
  await expect(still.locator("figure img")).toHaveCount(4);
  for (const image of await still.locator("figure img").all())
    expect(await image.evaluate((one: HTMLImageElement) => one.naturalWidth)).toBeGreaterThan(100);
  await expect(still.locator("noscript p")).toBeVisible();
  await expect(still.locator("form")).toBeHidden();
  await bare.close();

  const alone = await browser.newContext({ offline: true });
  await alone.clock.setFixedTime(MORNING);
  const vet = await alone.newPage();
  const asked: string[] = [];
  vet.on("request", (request) => asked.push(request.url()));
  await vet.goto(`file://${path}`);
  await expect(vet.getByLabel("Your name")).toHaveValue("Tamsin Rookhope, vet");
  await vet.getByLabel("Prescribed until").fill("2027-02-20");
  await vet.getByLabel("What is asked").fill("Toe back to the bone now.");
  await vet.getByLabel(/Stage 1, “Sole first”, may be left on the LF/).check();
  await vet.getByLabel("A word to the farrier").fill("Well done.");
  const [reply] = await Promise.all([
    vet.waitForEvent("download"),
    vet.getByRole("button", { name: "Make the answer’s file" }).click(),
  ]);
  const answer = join(info.outputDir, reply.suggestedFilename());
  await reply.saveAs(answer);
  expect(asked.filter((url) => !/^(file|data|blob):/.test(url))).toEqual([]);
  await alone.close();

  await caseOf(page, "Mossback");
  await page.locator('input[aria-label="Read the vet’s answer"]').setInputFiles(answer);
  await expect(page.getByRole("alert")).toContainText("This answer belongs to Damson, not to Mossback.");
  await caseOf(page, "Damson");
  await page.locator('input[aria-label="Read the vet’s answer"]').setInputFiles(answer);
  const look = page.getByRole("region", { name: "The vet’s answer" });
  await expect(look.getByRole("row", { name: /^Until/ })).toContainText("2027-02-20");
  await expect(page.getByRole("region", { name: "Prescription" })).toContainText("Until 2 Jan 2027");
  await look.getByRole("button", { name: "Take it" }).click();
  await expect(page.getByRole("region", { name: "Prescription" })).toContainText("Until 20 Feb 2027");
  await expect(page.getByRole("region", { name: "Prescription" })).toContainText("Toe back to the bone now.");
  await expect(page.getByRole("region", { name: "Log" })).toContainText("Well done.");
  await expect(standing(page, "left fore")).toContainText(`The vet agreed on ${TODAY}`);
  // The same answer once more answers an older sheet by now.
  await page.locator('input[aria-label="Read the vet’s answer"]').setInputFiles(answer);
  await expect(look.getByRole("alert")).toContainText("answers an older sheet");
});

test("the owner’s sheet: what it contains is said first, and it leaves as a PDF of one page", async ({
  page,
}, info) => {
  await openDemo(page, "/horses");
  await page
    .getByRole("link", { name: /^Feet of Oriel|Oriel/ })
    .first()
    .click();
  await page.getByRole("link", { name: "Sheet for the owner" }).click();
  await expect(page.getByRole("region", { name: "What it contains" })).toContainText("3 pictures");
  await expect(page.getByRole("region", { name: "What it contains" })).toContainText(
    "not in it: telephone numbers",
  );
  const preview = page.frameLocator('iframe[title="The sheet as it will leave"]');
  await expect(preview.getByRole("rowheader", { name: "Left fore" })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Save as PDF" }).click(),
  ]);
  const path = join(info.outputDir, "sheet.pdf");
  await download.saveAs(path);
  const text = readFileSync(path, "latin1");
  expect(text.startsWith("%PDF-")).toBe(true);
});

test("how the horse answers on a foot is noted at Set and stands beside its past", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Major Oak, start the visit" }).click();
  await page.getByRole("button", { name: "Start the visit" }).click();
  const address = page.url().replace(/arrive.*$/, "set?foot=LF");
  await page.goto(address);
  const answers = page.getByRole("region", { name: "How it answers on this foot" });
  await expect(answers).toContainText("12 Oct settles on it");
  await answers.getByRole("button", { name: "eases" }).click();
  await expect(answers.getByRole("button", { name: "eases" })).toHaveAttribute("aria-pressed", "true");
  await page.reload();
  await expect(answers.getByRole("button", { name: "eases" })).toHaveAttribute("aria-pressed", "true");
});
