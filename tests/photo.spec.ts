import type { Page } from "@playwright/test";
import { SURVEY_MARKS } from "~core/foot/survey/marks";
import { SIDE_MARKS, type PhotoView } from "~core/photo/views";
import { markAll } from "./markPicture";
import { photograph } from "./photoFile";
import { expect, field, openDemo, openVisit, test, TODAY } from "./round";

const SURVEY = `/visits/demo-yard-1-horse-1-${TODAY}/survey?foot=LF`;
const INPUTS: Record<string, string> = {
  sole: "Take or choose: sole",
  side: "Take or choose: from the outside",
};

/** Opens the photographs of the left fore and takes one. */
async function take(
  page: Page,
  view: PhotoView,
  file: Parameters<ReturnType<Page["locator"]>["setInputFiles"]>[0],
) {
  await page.goto(`${SURVEY}&way=photo`);
  await page.locator(`input[aria-label="${INPUTS[view] ?? ""}"]`).setInputFiles(file);
}

const numberOf = async (page: Page, name: string): Promise<number> =>
  Number.parseFloat(
    (
      await page
        .getByRole("table", { name: "What the picture says" })
        .getByRole("row", { name })
        .locator("td")
        .first()
        .innerText()
    ).replace("−", "-"),
  );

test("a side view by photograph: marked by prompt, read true, nudged by a tenth, kept, and in the export", async ({
  page,
}) => {
  const { file, truth, foot } = photograph("side", "LF", { dorsalAngleDeg: 47, dishDeg: 3 });
  await openVisit(page, "survey");
  await take(page, "side", file);
  await markAll(page, truth, SIDE_MARKS);
  await expect(page.getByText("All marks placed.")).toBeVisible();
  await expect(page.getByRole("region", { name: "How far this picture can be trusted" })).toContainText(
    "Square enough: slant",
  );
  expect(Math.abs((await numberOf(page, "Dorsal angle")) - foot.dorsalAngleDeg)).toBeLessThan(0.8);
  expect(Math.abs((await numberOf(page, "Toe length")) - foot.toeLengthMm)).toBeLessThan(1.6);
  await expect(page.getByRole("row", { name: /Dorsal angle/ })).toContainText("±");

  const before = await numberOf(page, "Dorsal angle");
  const mark = page.getByRole("button", { name: "Wall, high", exact: true }).first();
  await mark.focus();
  for (let step = 0; step < 3; step++) await page.keyboard.press("Shift+ArrowLeft");
  await expect.poll(async () => Math.abs((await numberOf(page, "Dorsal angle")) - before)).toBeGreaterThan(1);
  const after = await numberOf(page, "Dorsal angle");

  await page.goto(SURVEY);
  await expect(field(page, "Dorsal angle")).toHaveValue(String(after));
  await expect(page.getByRole("button", { name: "Dorsal angle taken by photo; change" })).toBeVisible();
  await page.goto(`${SURVEY}&way=photo`);
  await expect(
    page.getByRole("button", { name: "Open the photograph: From the outside, left fore" }),
  ).toContainText("14 of 14 marks");

  await page.goto("/files");
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: /Back up/ }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await download).createReadStream()) chunks.push(chunk as Buffer);
  const backup = JSON.parse(Buffer.concat(chunks).toString()) as {
    records: { photos: { id: string; pictureId: string }[]; pictures: { id: string; data: string }[] };
  };
  // Beside those that the demo round has of its own.
  const taken = backup.records.photos.filter(({ id }) => !id.startsWith("demo-"));
  expect(taken).toHaveLength(1);
  expect(backup.records.pictures.find(({ id }) => id === taken[0]?.pictureId)?.data.length).toBeGreaterThan(
    10_000,
  );
});

test("what was taken by gauge outranks the picture; a mark can be placed again and everything follows", async ({
  page,
}) => {
  const { file, truth, foot } = photograph("side");
  await openVisit(page, "survey");
  await field(page, "Dorsal angle").fill("44");
  await field(page, "Dorsal angle").press("Enter");
  await expect(page.getByRole("status").first()).toContainText("Kept");
  await take(page, "side", file);
  await markAll(page, truth, SIDE_MARKS);
  await page.getByText("Marks", { exact: true }).click();
  await page
    .getByRole("listitem")
    .filter({ hasText: "Hairline at the toe" })
    .getByRole("button", { name: "place again" })
    .click();
  await expect(page.getByRole("region", { name: "Next mark" })).toContainText("Hairline at the toe");
  await page.goto(SURVEY);
  await expect(field(page, "Dorsal angle")).toHaveValue("44");
  await expect(field(page, "Toe length")).toHaveValue(String(Math.round(foot.toeLengthMm)));
});

test("a picture is marked a second time without seeing the first marks: pairs are kept, the reading stays", async ({
  page,
}) => {
  const { file, truth } = photograph("side");
  await openVisit(page, "survey");
  await take(page, "side", file);
  await markAll(page, truth, SIDE_MARKS);
  const before = await numberOf(page, "Dorsal angle");
  await page.getByRole("button", { name: "Mark it again, without looking" }).click();
  await expect(page.getByRole("button", { name: "Wall, high", exact: true })).toHaveCount(0);
  await expect(page.getByRole("table", { name: "What the picture says" })).toHaveCount(0);
  const points = Object.fromEntries(
    Object.entries(truth.points).map(([name, at]) => [
      name,
      [(at?.[0] ?? 0) + (name === "wallHigh" ? 25 : 0), at?.[1] ?? 0],
    ]),
  ) as typeof truth.points;
  await markAll(page, { ...truth, points }, SIDE_MARKS, { again: true });
  await page.getByRole("button", { name: "Keep the pairs" }).click();
  await expect(page.getByRole("status").filter({ hasText: "pairs kept" })).toContainText(/of 10 angle pairs/);
  expect(await numberOf(page, "Dorsal angle")).toBe(before);
  await expect(page.getByRole("button", { name: "Wall, high", exact: true }).first()).toBeVisible();
});

test("the other foot's picture is suspected from its marks, and can be changed over", async ({ page }) => {
  // Alike on both sides, so that only the marks tell: its shape would be asked about again, and rightly.
  const { file, truth } = photograph("sole", "RF", { lateralWiderMm: 0 });
  await openVisit(page, "survey");
  await take(page, "sole", file);
  await markAll(page, truth, SURVEY_MARKS);
  const question = page.getByRole("group", { name: "A question" });
  await expect(question).toContainText("other foot of the pair");
  await question.getByRole("button", { name: "Change inside and outside over" }).click();
  await expect(question).toBeHidden();
});

test("a file that is no picture, a damaged one and a phone's own format are said, and nothing is kept", async ({
  page,
}) => {
  await openVisit(page, "survey");
  const said = page.getByRole("alert");
  await take(page, "sole", {
    name: "foot.txt",
    mimeType: "image/jpeg",
    buffer: Buffer.from("<script>alert(1)</script>"),
  });
  await expect(said).toContainText("not a picture that can be read");
  await take(page, "sole", {
    name: "foot.heic",
    mimeType: "image/heic",
    buffer: Buffer.from("\0\0\0\x18ftypheic\0\0\0\0mif1heic", "latin1"),
  });
  await expect(said).toContainText("most compatible");
  const { file } = photograph("sole");
  await take(page, "sole", { ...file, buffer: file.buffer.subarray(0, 4000) });
  await expect(said).toContainText("damaged or cut off");
  await expect(page.getByRole("button", { name: /Open the photograph/ })).toHaveCount(0);
});

test("a phone’s own format is read: it is kept as a picture that every browser shows, and its card is found", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await take(page, "side", "tests/files/side.heic");
  await expect(page.getByRole("button", { name: "Take its corners" })).toBeVisible();
  await page.goto(`${SURVEY}&way=photo`);
  await expect(page.getByRole("button", { name: /Open the photograph: From the outside/ })).toBeVisible();
});

test("the simulated camera takes a picture that is called simulated; the wheel zooms, the loupe follows", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await page.goto(`${SURVEY}&way=photo`);
  await page
    .getByRole("region", { name: "Sole", exact: true })
    .getByRole("button", { name: "Simulated camera" })
    .click();
  await expect(page.getByText("simulated: no real foot")).toBeVisible({ timeout: 60_000 });
  const pane = page.locator(".picture-svg");
  await expect(pane).toBeVisible();
  const whole = await pane.getAttribute("viewBox");
  await pane.hover();
  await page.mouse.wheel(0, -400);
  await expect(pane).not.toHaveAttribute("viewBox", whole ?? "");
  await page.getByRole("button", { name: "Show the whole picture" }).click();
  await expect(pane).toHaveAttribute("viewBox", whole ?? "");
  const box = await pane.boundingBox();
  if (!box) throw new Error("no picture");
  await page.mouse.click(box.x + box.width * 0.6, box.y + box.height * 0.3);
  await expect(page.locator(".loupe")).toBeVisible();
});

test("without a card two points of known distance will do, and are called weak", async ({ page }) => {
  const { file, truth, foot } = photograph("sole");
  await openVisit(page, "survey");
  await take(page, "sole", file);
  await expect(page.locator(".picture-svg")).toBeVisible();
  await page.getByRole("button", { name: "No card in the picture" }).click();
  await page.getByRole("textbox", { name: /Known length/ }).fill("80");
  await page.getByRole("textbox", { name: /Known length/ }).blur();
  if (truth.scale.kind !== "card") throw new Error("no card");
  const [from, to] = truth.scale.corners;
  await markAll(page, { ...truth, scale: { kind: "two-point", a: from, b: to, mm: 80 } }, SURVEY_MARKS);
  await expect(page.getByRole("region", { name: "How far this picture can be trusted" })).toContainText(
    "Scaled by two points: weak",
  );
  expect(Math.abs((await numberOf(page, "Width")) - foot.widthMm)).toBeLessThan(4);
  await page.getByRole("button", { name: "Trace the edge of the live sole" }).click();
  await expect(page.getByRole("region", { name: "Next mark" })).toContainText("five points or more");
});

test("then and now: the pictures of one view at one scale, a slider between, all of them as a strip", async ({
  page,
}) => {
  await openDemo(page, "/horses/demo-yard-2-horse-7");
  const section = page.getByRole("region", { name: "Pictures then and now" });
  await section.getByText("From behind").click();
  const pair = section.getByRole("img", { name: /Left fore, from behind: .* at one scale/ });
  await expect(pair.locator("img")).toHaveCount(2);
  const strip = section.getByRole("list", { name: "All pictures of this view" }).getByRole("button");
  await expect(strip).toHaveCount(3);
  await strip.nth(1).click();
  await expect(section.getByRole("combobox", { name: "Now" })).toContainText("as it came");
  const slider = section.getByRole("slider", { name: "How much of now is shown" });
  await slider.focus();
  await page.keyboard.press("ArrowRight");
  await expect(slider).toHaveAttribute("aria-valuenow", "51");
});

test("the scale card is drawn at its true size, with a ruler to check the print by", async ({ page }) => {
  await page.goto("/card");
  const card = await page.getByRole("img", { name: "Scale card: a square of 80 mm" }).boundingBox();
  const ruler = await page.getByRole("img", { name: "Check ruler of 100 mm" }).boundingBox();
  expect(((card?.width ?? 0) * 25.4) / 96).toBeCloseTo(96, 1);
  expect(((ruler?.width ?? 0) * 25.4) / 96).toBeCloseTo(104, 1);
});

test.describe("by touch", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test("a sole surveyed by photograph at 390 px: marks tapped, survey and halves there", async ({ page }) => {
    const { file, truth, foot } = photograph("sole", "LF", { curlMm: { medial: 5, lateral: 0 } });
    await openVisit(page, "survey");
    await take(page, "sole", file);
    await markAll(page, truth, SURVEY_MARKS, { tap: true });
    expect(Math.abs((await numberOf(page, "Width")) - foot.widthMm)).toBeLessThan(2.5);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
    await page.getByRole("button", { name: "‹ All photographs" }).tap();
    // The same screen first: what was marked last is on its way to the store.
    await expect(page.getByRole("region", { name: "Readings" })).toContainText("Heels ahead, inside");
    await page.goto(SURVEY);
    await expect(page.getByRole("region", { name: "Readings" })).toContainText("Heels ahead, inside");
    await expect(page.getByRole("row", { name: /Front : support/ })).not.toContainText("est.");
  });
});

test("the card finds itself: nothing counts until its corners are taken, and one that is moved is no suggestion any more", async ({
  page,
}) => {
  const { file, truth } = photograph("sole", "LF", { curlMm: { medial: 4, lateral: 0 } });
  await openVisit(page, "survey");
  await take(page, "sole", file);
  const found = page.getByRole("group", { name: "The card found by itself" });
  await expect(found).toContainText("The card was found.");
  await expect(page.getByRole("region", { name: "Next mark" })).toContainText("Card, top left");
  await expect(page.getByRole("region", { name: "How far this picture can be trusted" })).toBeHidden();
  await found.getByRole("button", { name: "Take its corners" }).click();
  await expect(page.getByRole("region", { name: "Next mark" })).toContainText("5 of");
  await expect(page.getByRole("region", { name: "How far this picture can be trusted" })).toContainText(
    "Square enough: slant",
  );
  await markAll(page, truth, SURVEY_MARKS, { from: 4 });
  await expect(page.getByText("All marks placed.")).toBeVisible();
  await page.getByText("Marks", { exact: true }).click();
  await expect(page.getByText("· suggested, taken")).toHaveCount(4);
  await page.getByRole("button", { name: "Card, top left", exact: true }).first().focus();
  await page.keyboard.press("ArrowLeft");
  await expect(page.getByText("· suggested, taken")).toHaveCount(3);
  await page.reload();
  await page.getByText("Marks", { exact: true }).click();
  await expect(page.getByText("· suggested, taken")).toHaveCount(3);
});

test("a picture without a card says so, and its scale can still be given", async ({ page }) => {
  const { file } = photograph("sole", "LF", {}, { card: false });
  await openVisit(page, "survey");
  await take(page, "sole", file);
  await expect(page.getByText("No card is seen in this picture.")).toBeVisible();
  await page.getByRole("button", { name: "No card in the picture" }).click();
  await expect(page.getByRole("region", { name: "Next mark" })).toContainText("Scale, one end");
});
