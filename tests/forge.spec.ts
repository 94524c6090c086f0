import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import { atRest, expect, openDemo, openVisit, test, TODAY } from "./round";

const answer = (page: Page) => page.getByRole("region", { name: "Steel to cut" });
/** A field whose label goes on with its unit. */
const field = (page: Page, name: string) => page.getByRole("textbox", { name: new RegExp(`^${name} `) });
const tab = (page: Page, name: string) =>
  page.getByLabel("Forge", { exact: true }).getByText(name, { exact: true }).click();
const type = async (page: Page, name: string, text: string) => {
  await field(page, name).fill(text);
  await field(page, name).press("Enter");
};
const file = async (page: Page, button: string) => {
  const waiting = page.waitForEvent("download");
  await page.getByRole("button", { name: button, exact: true }).click();
  const download = await waiting;
  return { name: download.suggestedFilename(), bytes: await readFile(await download.path()) };
};

test.describe("an apprentice with a phone and no horse in the records", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test("two measures, steel, marks, pattern: from the bar, without reading help", async ({ page }) => {
    await page.goto("/");
    await page.getByRole("button", { name: "More" }).tap();
    await page.getByRole("navigation", { name: "More" }).getByRole("link", { name: "Forge" }).tap();
    await type(page, "Width", "5 1/8 in");
    await type(page, "Length", "135");
    await type(page, "Web", "3/4 in");
    await expect(field(page, "Width")).toHaveValue("130.2");
    await expect(answer(page)).toContainText("Width and length265 mm");
    await expect(answer(page)).toContainText("Bend of the toe44 mm");
    await expect(answer(page)).toContainText("shape of a sound foot (estimate)");
    await expect(answer(page).locator(".steel-cut b")).toHaveText(/^\d+[05] mm$/);

    await page.getByRole("button", { name: "Mark the bar" }).tap();
    const marks = page.getByRole("region", { name: "Marks", exact: true });
    await expect(marks.getByRole("row")).toHaveCount(15);
    await marks.getByRole("button", { name: "Q quarter, outside" }).tap();
    await expect(page.locator('.bar-mark-quarter[data-chosen="true"]')).toHaveCount(1);
    await expect(page.locator('.shoe-mark-quarter[data-chosen="true"]')).toHaveCount(1);
    await expect(page.getByRole("region", { name: "To check" })).toContainText(
      "before its quarter is turned",
    );

    await page.getByRole("region", { name: "To check" }).getByRole("button", { name: "Pattern" }).tap();
    await expect(page.getByText("One sheet.")).toBeVisible();
    const pdf = await file(page, "PDF, A4");
    expect(pdf.name).toBe(`Front-shoe-by-two-measures-${TODAY}.pdf`);
    expect(pdf.bytes.subarray(0, 5).toString()).toBe("%PDF-");
    // What was typed is there when the forge is opened again.
    await page.getByRole("link", { name: "Today" }).tap();
    await page.getByRole("button", { name: "More" }).tap();
    await page.getByRole("navigation", { name: "More" }).getByRole("link", { name: "Forge" }).tap();
    await expect(field(page, "Width")).toHaveValue("130.2");
    await expect(field(page, "Web")).toHaveValue("19.1");
  });

  test("a shoe logged in three taps is in the next answer", async ({ page }) => {
    await page.goto("/forge");
    await expect(answer(page)).not.toContainText("Your own hand");
    await page.getByRole("button", { name: "Log this shoe as forged" }).tap();
    await page.getByRole("button", { name: "Came out long: less" }).tap();
    await page.getByRole("button", { name: "Keep it in the log" }).tap();
    await expect(answer(page)).toContainText("Your own hand, from 1 shoe like this");
    await tab(page, "Your hand");
    await expect(page.getByRole("img", { name: "Misses, shoe after shoe" })).toBeVisible();
    await expect(page.getByRole("region", { name: "The log" }).getByRole("row")).toHaveCount(2);
    await page.getByRole("button", { name: /^Take out the shoe/ }).tap();
    await expect(page.getByText("Nothing is logged yet.")).toBeVisible();
  });
});

test("bad input is said at its place and stays as it was typed", async ({ page }) => {
  await page.goto("/forge");
  await type(page, "Width", "five inches");
  await expect(page.getByRole("alert")).toContainText("“five inches” is not a length");
  await page.reload();
  await expect(field(page, "Width")).toHaveValue("five inches");
  await type(page, "Width", "9000");
  await expect(page.getByRole("alert")).toContainText("no more than 260 mm");
  await type(page, "Width", "60");
  await expect(field(page, "Width")).not.toHaveAttribute("aria-invalid", "true");
  await type(page, "Web", "32");
  await expect(page.getByRole("alert").first()).toContainText(
    "Two branches of this section are wider than the shoe",
  );
  await type(page, "Web", "15");
  await expect(answer(page).locator(".steel-cut b")).toBeVisible();
});

test("a heat sheet from plan to log: by keys, once more in the fire, over a reload, held against earlier ones", async ({
  page,
}) => {
  await openDemo(page, "/forge?view=heats");
  await expect(page.getByText("9 heats")).toBeVisible();
  await page.getByRole("button", { name: "Running sheet" }).click();
  await expect(page.locator(".running-head b")).toHaveText("Cold");
  await page.keyboard.press("ArrowRight");
  await expect(page.locator(".running-head b")).toHaveText("Heat 1 of 9");
  await expect(page.getByText(/^yellow, about 11\d\d °C in shade$/)).toBeVisible();
  await page.clock.setFixedTime(new Date(`${TODAY}T07:33:00Z`));
  await expect(page.locator(".running-time")).toHaveText("3:00");
  await page.keyboard.press("a");
  await expect(page.getByText("taken 2 times")).toBeVisible();
  await page.keyboard.press("ArrowRight");
  await expect(page.locator(".running-head b")).toHaveText("Heat 2 of 9");
  await page.getByRole("button", { name: "Back", exact: true }).click();
  await expect(page.getByText("taken 2 times")).toBeVisible();
  await page.getByRole("button", { name: "Back to the plan, keeping the place" }).click();
  await page.getByRole("button", { name: "Go on with the running sheet" }).click();
  await expect(page.locator(".running-head b")).toHaveText("Heat 1 of 9");
  await page.reload();
  await expect(page.locator(".running-head b")).toHaveText("Heat 1 of 9");
  for (let heat = 2; heat <= 9; heat++) {
    await page.getByRole("button", { name: "Next heat" }).click();
    await expect(page.locator(".running-head b")).toHaveText(`Heat ${heat} of 9`);
  }
  await page.getByRole("button", { name: "Next: cold" }).click();
  await expect(page.locator(".running-head b")).toHaveText("Cold");
  await page.getByRole("button", { name: "Done" }).click();
  await expect(page.locator(".running-head")).toContainText("10 heats, 9 planned · 3 min");
  await expect(page.getByText(/^Earlier ones like it: \d+, \d+, \d+ heats\.$/)).toBeVisible();
  await page.getByRole("button", { name: "Keep it in the log" }).click();
  await expect(page.getByRole("button", { name: "Running sheet" })).toBeVisible();
  await tab(page, "Your hand");
  await expect(page.getByRole("region", { name: "The log" }).getByRole("row").nth(1)).toContainText(
    "10 of 9",
  );
});

test("an operation is moved where its conditions hold, and the plan says where they do not", async ({
  page,
}) => {
  await page.goto("/forge?view=heats");
  const earlier = page.getByRole("button", {
    name: "Earlier: Bend the toe about the centre mark, up to both toe marks",
  });
  await earlier.click();
  await expect(page.getByText("in your own order")).toBeVisible();
  for (let step = 0; step < 4 && !(await page.getByRole("alert").isVisible()); step++) {
    await earlier.click();
    await atRest(page);
  }
  await expect(page.getByRole("alert")).toContainText(
    /“Bend the toe .*” (comes before|finds the steel too cold|is at another end)/,
  );
  await expect(page.getByRole("button", { name: "Running sheet" })).toBeDisabled();
  await page.getByRole("button", { name: "Take the computed plan" }).click();
  await expect(page.getByText("9 heats")).toBeVisible();
  await expect(page.getByRole("alert")).toHaveCount(0);
  await page.getByText("Altering a ready-made").click();
  await expect(page.getByText("Open or close it to the pattern")).toBeVisible();
});

test("a cut list from pieces and offcuts, proven, and what is left goes back on the rack", async ({
  page,
}) => {
  await page.goto("/forge?view=list");
  const wanted = page.getByRole("region", { name: "What is wanted" });
  const add = async (length: string, count: string) => {
    await wanted.getByLabel("Length, mm, piece").fill(length);
    await wanted.getByLabel("How many, piece").fill(count);
    await wanted.getByRole("button", { name: "Add piece" }).click();
  };
  await add("12 in", "6");
  await expect(wanted.getByText("6 × 305 mm")).toBeVisible();
  await add("287", "4");
  await expect(wanted.getByText("4 × 287 mm")).toBeVisible();
  await wanted.getByLabel("Length, mm, offcut").fill("640");
  await wanted.getByRole("button", { name: "Add offcut" }).click();
  await expect(wanted.getByText("640 mm")).toBeVisible();
  await page.getByRole("button", { name: "Fewest bars" }).click();
  const cut = page.getByRole("region", { name: "How to cut it" });
  await expect(cut).toContainText("Buy 1 bar of 3000 mm. Proven: fewer cannot do.");
  await expect(cut.getByRole("list", { name: "Bars" }).getByRole("listitem")).toHaveCount(2);
  await page.getByRole("button", { name: "It is cut: keep what is left as offcuts" }).click();
  await expect(wanted.getByText("6 × 305 mm")).toHaveCount(0);
  await expect(wanted.locator(".steel-rows li")).toHaveCount(1);

  await add("3500", "1");
  await page.getByRole("button", { name: "Fewest bars" }).click();
  await expect(page.getByRole("alert")).toContainText("longer than the bar of 3000 mm");
  await wanted.getByLabel("Length, mm, piece").fill("a bit");
  await wanted.getByRole("button", { name: "Add piece" }).click();
  await expect(wanted.getByRole("alert")).toContainText("“a bit” is not a length");
  await expect(wanted.getByLabel("Length, mm, piece")).toHaveValue("a bit");
});

test("work that takes long is called off, and the list is as it was", async ({ page }) => {
  // The solver never arrives.
  await page.context().route(/\.wasm$/, () => undefined);
  await page.goto("/forge?view=list");
  await page.getByRole("button", { name: /^Add this shoe/ }).click();
  await page.getByRole("button", { name: "Fewest bars" }).click();
  await expect(page.getByText("Working it out…")).toBeVisible();
  await page.getByRole("button", { name: "Call it off" }).click();
  await expect(page.getByText("Working it out…")).toHaveCount(0);
  await expect(page.getByRole("button", { name: "Fewest bars" })).toBeEnabled();
  await expect(page.getByRole("region", { name: "What is wanted" }).locator(".steel-rows li")).toHaveCount(1);
});

test("the days ahead fill the list, and the allowances are the user’s own", async ({ page }) => {
  await openDemo(page, "/forge?view=list");
  await page.getByRole("button", { name: "Look at the days ahead" }).click();
  const take = page.getByRole("button", { name: /^Add \d+ pieces$/ });
  await expect(take).toBeVisible({ timeout: 20_000 });
  await take.click();
  await page.getByRole("button", { name: "Fewest bars" }).click();
  await expect(page.getByText("Proven: fewer cannot do.").first()).toBeVisible({ timeout: 20_000 });
  await tab(page, "Tables");
  await type(page, "Bump swallowed at the toe", "20");
  await tab(page, "Steel");
  await expect(answer(page)).toContainText("Bump, swallowed at the toe20 mm20 mm");
});

test("from a foot’s fit to its own steel, marks and pattern", async ({ page }) => {
  await openVisit(page, "shoe");
  await page.goto(`/visits/demo-yard-1-horse-1-${TODAY}/shoe?foot=LF&view=fit`);
  const stock = page.getByRole("region", { name: "Stock" });
  const [, cut = ""] = /cut (\d+ mm)/.exec((await stock.textContent()) ?? "") ?? [];
  await stock.getByRole("link", { name: "To the forge: marks, pattern, heats" }).click();
  await expect(page.getByText("Bramble, left fore:")).toBeVisible();
  await expect(answer(page).locator(".steel-cut b")).toHaveText(cut);
  await expect(answer(page)).toContainText("Centre line of this shoe");
  await tab(page, "Pattern");
  const dxf = await file(page, "DXF");
  expect(dxf.name).toBe(`Bramble-left-fore-${TODAY}.dxf`);
  expect(dxf.bytes.toString()).toContain("AC1009");
  const svg = await file(page, "SVG");
  expect(svg.bytes.toString()).toMatch(/^<svg [^>]*width="[\d.]+mm"/);
  await page.getByRole("link", { name: "Back to its fit" }).click();
  await expect(page.getByRole("region", { name: "The shoe on the foot" })).toBeVisible();
});

test("the made shoe is held against its marks, what is out is drawn and said, and the hand's misses are remembered", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await page.goto(`/forge/demo-yard-1-horse-1-${TODAY}/LF?view=marks`);
  const made = page.getByRole("region", { name: "The made shoe against its marks" });
  await expect(made.getByRole("heading")).toHaveText("Does the made shoe fit its marks?");
  const measure = async (name: string, text: string) => {
    await made.getByRole("textbox", { name }).fill(text);
    await made.getByRole("textbox", { name }).press("Enter");
  };
  await measure("Centre to outside quarter", "as wide as it is");
  await expect(made.getByRole("alert")).toContainText("as wide as it is");
  await measure("Centre to outside quarter", "76");
  await expect(made).toContainText(/Close the outside quarter \d+(\.5)? mm\./);
  await expect(made).toContainText("2 clips at the side will open it about 2 mm");
  await page.reload();
  await expect(made.getByRole("textbox", { name: "Centre to outside quarter" })).toHaveValue("76");
  await tab(page, "Steel");
  await page.getByRole("button", { name: "Log this shoe as forged" }).click();
  await page.getByRole("button", { name: "Keep it in the log" }).click();
  await expect(page.getByRole("status").filter({ hasText: "Logged." })).toBeVisible();
  await tab(page, "Marks");
  await expect(made.getByRole("textbox", { name: "Centre to outside quarter" })).toHaveValue("");
  await expect(made).toContainText(/Your hand makes the outside quarter \d+(\.5)? mm wide\. From your log\./);
});
