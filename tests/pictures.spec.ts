import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import type { Reading } from "~core/foot/records/reading";
import type { History } from "~core/record/stamps";
import type { Visit } from "~core/record/visit";
import { SURVEY_MARKS } from "~core/foot/survey/marks";
import { markAll } from "./markPicture";
import { photograph } from "./photoFile";
import { expect, field, openVisit, test, TODAY } from "./round";

const VISIT = `/visits/demo-yard-1-horse-1-${TODAY}`;
const PHONE = { width: 390, height: 844 };
const DESK = { width: 1280, height: 800 };

const take = async (page: Page, name: string, address?: string, size = DESK) => {
  await page.setViewportSize(size);
  if (address !== undefined) await page.goto(address);
  await expect(page.getByRole("heading").first()).toBeVisible();
  await page.waitForTimeout(500);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};

const enter = async (page: Page, values: Record<string, string>) => {
  for (const [name, value] of Object.entries(values)) {
    await field(page, name).fill(value);
    await field(page, name).press("Enter");
  }
  await page.waitForTimeout(300);
};

const MEASURES = [
  "Dorsal angle",
  "Pastern angle",
  "Toe length",
  "Heel height, inside",
  "Heel height, outside",
  "Bearing length",
  "Width",
];
const measures = (...values: string[]) =>
  Object.fromEntries(MEASURES.map((name, index) => [name, values[index] ?? ""]));

/** The left hind as it was seen to land and leave, and what its shoe and sole told. */
async function watchAndRead(page: Page) {
  await page.setViewportSize(DESK);
  await page.goto(`${VISIT}/read?foot=LH`);
  for (const place of ["Quarter, outside", "Heel, outside"])
    await page.getByRole("button", { name: new RegExp(`^${place}`) }).click();
  const sole = await page.locator(".find-field").boundingBox();
  if (sole) await page.mouse.click(sole.x + sole.width * 0.6, sole.y + sole.height * 0.35);
  await page.getByRole("textbox", { name: "Note on bruise" }).fill("a thumb’s breadth, yellow");
  await take(page, "read");
  await page.goto(`${VISIT}/watch?foot=LH`);
  const figure = await page.getByRole("application", { name: /left hind, as it came/ }).boundingBox();
  if (figure) {
    const at = (x: number, y: number) => [figure.x + figure.width * x, figure.y + figure.height * y] as const;
    await page.mouse.click(...at(0.3, 0.5));
    await page.mouse.move(...at(0.5, 0.45));
    await page.mouse.down();
    await page.mouse.move(...at(0.32, 0.08), { steps: 3 });
    await page.mouse.up();
  }
  for (const name of ["hard, level", "walk and trot", "twists inwards", "under the limb"])
    await page.getByRole("button", { name, exact: true }).click();
  await take(page, "watch");
}

/** A sole by photograph after five taps, its other marks suggested. */
async function photo(page: Page, limb: "RF", name: string, size: typeof DESK) {
  const { file, truth } = photograph("sole", limb, { curlMm: { medial: 4, lateral: 0 } });
  await page.setViewportSize(size);
  await page.goto(`${VISIT}/survey?foot=${limb}&way=photo`);
  await page.locator('input[aria-label="Take or choose: sole"]').setInputFiles(file);
  await markAll(page, truth, SURVEY_MARKS, { most: 9 });
  await page.getByRole("button", { name: /^Take all/ }).waitFor();
  await take(page, name, undefined, size);
}

/** This device's backup as a phone would have gone on with it: two toe lengths and a note of its own. */
async function twoDevices(page: Page) {
  await page.goto("/files");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Back up everything" }).click();
  const backup = JSON.parse(await readFile(await (await download).path(), "utf8")) as {
    records: { readings: Reading[]; visits: Visit[] };
    history: History;
  };
  const { records, history } = backup;
  history.device = { id: "phone", name: "Phone" };
  history.devices["phone"] = "Phone";
  history.seen["phone"] = 3;
  const put = (key: string, place: string, act: number) => {
    const stamps = history.stamps.find((one) => one.key === key);
    const at = Date.parse(`${TODAY}T07:1${act}:00Z`);
    const places = { ...stamps?.places, [place]: ["phone", act, at] as [string, number, number] };
    if (stamps) stamps.places = places;
    else history.stamps.push({ key, places });
  };
  for (const [act, limb] of (["LF", "RF"] as const).entries()) {
    const id = `demo-yard-1-horse-1-${TODAY}.${limb}.before`;
    const reading = records.readings.find((one) => one.id === id);
    if (reading) reading.values.toeLength = { value: 96 + act, source: "calliper" };
    put(`readings/${id}`, "values.toeLength", 1 + act);
  }
  const visit = records.visits.find(({ id }) => id === "demo-yard-7-horse-1") ?? records.visits[0];
  if (visit) {
    visit.tell = "rings before noon";
    put(`visits/${visit.id}`, "tell", 3);
  }
  for (const [limb, mm] of [
    ["LF", "97.5"],
    ["RF", "98.5"],
  ] as const) {
    await page.goto(`${VISIT}/survey?foot=${limb}`);
    await enter(page, { "Toe length": mm });
  }
  await page.goto("/files");
  await page.getByLabel("Choose a backup file").setInputFiles({
    name: "plumbline-phone.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify(backup)),
  });
  await page.getByRole("button", { name: "Compare with what is here" }).click();
  await page.getByRole("button", { name: "Put together" }).waitFor();
  await take(page, "files");
}

test("the main views, from the demo round", async ({ page }) => {
  await openVisit(page, "arrive");
  await page.goto(`${VISIT}/survey`);
  await enter(page, measures("48", "52", "98", "30", "35", "127", "129"));
  await page.goto(`${VISIT}/survey?foot=RF`);
  await enter(page, measures("50", "51", "97", "33", "34", "125", "130"));
  await page.goto(`${VISIT}/recheck`);
  await enter(page, measures("50.5", "52", "89", "29", "32", "120", "129"));
  await page.goto(`${VISIT}/survey?way=calliper`);
  const lengths = ["43", "96", "131", "12", "9", "60", "61", "63", "67", "42", "41", "22", "22", "60", "62"];
  for (const mm of lengths) {
    await page.locator(".lane-active input").fill(mm);
    await page.locator(".lane-active input").press("Enter");
  }
  await page.goto(`${VISIT}/survey?way=walls`);
  await enter(page, {
    "Toe, wall thickness": "14",
    "Toe quarter, inside, wall thickness": "11",
    "Toe quarter, outside, wall thickness": "11.5",
    "Quarter, inside, wall thickness": "9",
    "Quarter, outside, wall thickness": "9",
    "Toe, wall above sole": "7",
    "Heel, inside, wall above sole": "3",
    "Heel, outside, wall above sole": "5.5",
    "Sulcus depth": "13",
  });
  await watchAndRead(page);
  await take(page, "today", "/");
  await take(page, "horse", "/horses/demo-yard-7-horse-1");
  await take(page, "survey", `${VISIT}/survey`);
  await page.goto(`${VISIT}/survey?way=marks`);
  await page
    .getByRole("combobox", { name: "Lay a second lens over it" })
    .selectOption({ label: "Even halves" });
  await page.locator('[data-mark="toeQuarterLateral"]').focus();
  await take(page, "foot-bench");
  await photo(page, "RF", "photo", DESK);
  await page.goto(`${VISIT}/trim?view=bench`);
  await page
    .getByRole("combobox", { name: "Lay a second lens over it" })
    .selectOption({ label: "Even halves" });
  await take(page, "trim");
  await page.goto(`${VISIT}/shoe?view=choose`);
  await page
    .getByRole("button", { name: /^Take it/ })
    .first()
    .click();
  await page.getByText("taken", { exact: true }).waitFor();
  await page.locator(".reason-outcome").first().waitFor();
  await take(page, "shoe");
  await take(page, "forge", "/forge?view=marks");
  await take(page, "sign-off", `${VISIT}/sign-off`);
  await page.goto("/rounds");
  await page.getByRole("button", { name: "Plan the fortnight" }).click();
  await page.getByRole("button", { name: "Take this plan" }).click({ timeout: 90_000 });
  await page.getByRole("button", { name: "Tue 24 Nov" }).click();
  await take(page, "rounds");
  await page.goto("/ground");
  await page.getByRole("combobox", { name: "Horse" }).selectOption({ label: "Brigadoon Lad" });
  await page.locator('.ground-columns[data-grid="2"]').waitFor();
  await page.getByRole("img", { name: /over seven grounds/ }).waitFor();
  await take(page, "ground");
  await take(page, "practice", "/practice");
  await page.goto("/cases");
  await page.getByRole("link", { name: /^Major Oak/ }).click();
  await take(page, "case");
  await page.goto("/cases");
  await page.getByRole("link", { name: /^Damson/ }).click();
  await page.getByRole("button", { name: "For the vet" }).click();
  await page.locator(".sheet-preview").waitFor();
  await take(page, "sheet");
  await page.goBack();
  await page.getByRole("link", { name: "Look at them" }).click();
  await page.getByRole("link", { name: /Left fore, from the side.*11 Nov/ }).click();
  await page.locator(".film-joint").waitFor();
  await take(page, "film");
  await twoDevices(page);
  await page.goto(`${VISIT}/arrive`);
  await page.getByRole("button", { name: "On to Survey" }).waitFor();
  await page.keyboard.press("u");
  await expect(page.getByRole("status")).toContainText("Kept");
  await take(page, "survey-phone", `${VISIT}/survey?foot=RF`, PHONE);
  await field(page, "Toe length").focus();
  await take(page, "survey-phone", undefined, PHONE);
});
