import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { drawFilm } from "~core/radiograph/drawFilm";
import { writeDicom } from "~core/radiograph/dicomWriter";
import { FILM_MARKS, MARKER_MARKS } from "~core/radiograph/filmMarks";
import { filmProjection, filmTruth, shotOf } from "~core/radiograph/filmShot";
import { filmScene, ORDINARY_INSIDE } from "~core/radiograph/standInFilm";
import { ordinaryFoot } from "~core/foot/parametric/fit";
import { expect, openDemo, test } from "./round";

const FOOT = ordinaryFoot("LF", { kind: "cob", massKg: 520 });
const SCENE = filmScene(FOOT, { ...ORDINARY_INSIDE, palmarAngleDeg: 6, soleMm: 16 }, "lateral");
const SHOT = shotOf(FOOT, { mmPerPx: 0.3, magnification: 1.05, turnDeg: 2 });

/** A film as a DICOM file, and where its marks truly lie. */
function filmFile() {
  const drawn = drawFilm(SCENE, SHOT, 3);
  const bytes = writeDicom(
    {
      ...drawn,
      mmPerPx: SHOT.mmPerPx,
      magnification: SHOT.magnification,
      date: "2026-11-20",
      description: "Stand-in",
    },
    "77",
  );
  const { width, height } = filmProjection(SCENE, SHOT);
  return {
    file: { name: "film.dcm", mimeType: "application/dicom", buffer: Buffer.from(bytes) },
    truth: filmTruth(SCENE, SHOT),
    width,
    height,
  };
}
const FILMS = "/horses/demo-yard-1-horse-1/films";
const choose = async (page: Page, file: { name: string; mimeType: string; buffer: Buffer }) =>
  page.locator('input[aria-label="Choose a radiograph"]').setInputFiles(file);
const next = (page: Page) => page.getByRole("region", { name: "Next mark" });
const numbers = (page: Page) => page.getByRole("region", { name: "What the radiograph measures" });
const valueOf = async (page: Page, name: string) =>
  Number.parseFloat(await numbers(page).getByRole("row", { name }).locator("td").first().innerText());

test("a DICOM film: scale and day from its header, marked by prompt, measured true, moved by arrows, kept; greys and how it was taken", async ({
  page,
}) => {
  const { file, truth, width, height } = filmFile();
  await openDemo(page, FILMS);
  await choose(page, file);
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Left fore, from the side · 20 Nov");
  await expect(page.getByRole("region", { name: "Scale" })).toContainText("enlarged 5 % by the beam");
  const pane = page.locator(".picture-svg");
  await expect(pane).toBeVisible();
  for (const { name, label } of FILM_MARKS.lateral) {
    await expect(next(page)).toContainText(label);
    const at = truth[name];
    if (!at) throw new Error(name);
    const box = await pane.boundingBox();
    if (!box) throw new Error("no film");
    const scale = Math.min(box.width / width, box.height / height);
    await page.mouse.click(
      box.x + (box.width - width * scale) / 2 + at[0] * scale,
      box.y + (box.height - height * scale) / 2 + at[1] * scale,
    );
  }
  await expect(next(page)).toContainText("All marks placed.");
  expect(Math.abs((await valueOf(page, "Palmar angle")) - 6)).toBeLessThan(1.5);
  expect(Math.abs((await valueOf(page, "Sole under the tip")) - 16)).toBeLessThan(1.2);
  const before = await valueOf(page, "Palmar angle");
  await page.getByRole("button", { name: "Tip of the coffin bone", exact: true }).first().focus();
  for (let step = 0; step < 3; step++) await page.keyboard.press("Shift+ArrowUp");
  await expect.poll(async () => before - (await valueOf(page, "Palmar angle"))).toBeGreaterThan(1.5);

  const taken = page.getByRole("region", { name: "How it was taken" });
  await taken
    .locator(".film-asked")
    .filter({ hasText: "Beam level" })
    .getByText("no", { exact: true })
    .click();
  await expect(numbers(page)).toContainText("Beam not level with the sole");
  await page.getByRole("switch").click();
  await expect(page.getByRole("button", { name: "As it was taken" })).toBeVisible();
  const kept = await valueOf(page, "Palmar angle");
  await page.reload();
  await expect.poll(() => valueOf(page, "Palmar angle")).toBe(kept);
  await page.goto(FILMS);
  await expect(page.getByRole("link", { name: /Left fore, from the side/ })).toContainText(
    `${kept.toFixed(1)}°`,
  );
});

test("files that are no film are said and nothing is kept; a film without a scale asks for one, a marker without length is refused", async ({
  page,
}) => {
  await openDemo(page, FILMS);
  const said = page.getByRole("alert");
  const dicom = readFileSync("public/demo/film.dcm");
  const many = Buffer.from(dicom);
  // The transfer syntax in its heading becomes that of a compressed picture.
  const at = many.indexOf("1.2.840.10008.1.2.1\0");
  many.write("1.2.840.10008.1.2.9\0", at, "latin1");
  await choose(page, { name: "packed.dcm", mimeType: "application/dicom", buffer: many });
  await expect(said).toContainText("This DICOM file is compressed");
  await choose(page, { name: "note.png", mimeType: "image/png", buffer: Buffer.from("no picture at all") });
  await expect(said).toContainText("This is no radiograph that can be read");
  // The heading alone of a PNG of 200 megapixels.
  const large = Buffer.alloc(64);
  Buffer.from("89504e470d0a1a0a0000000d49484452000037dc000037dc0802000000", "hex").copy(large);
  await choose(page, { name: "large.png", mimeType: "image/png", buffer: large });
  await expect(said).toContainText("204 megapixels");
  await expect(page.getByText("No radiograph yet")).toBeVisible();

  await page.getByRole("button", { name: "Draw a stand-in" }).click();
  await expect(page.getByText("stand-in: no real foot")).toBeVisible();
  await expect(next(page)).toContainText(MARKER_MARKS[0]?.label ?? "");
  const length = page.getByRole("textbox", { name: /Marker’s length/ });
  await length.fill("0");
  await length.press("Enter");
  await expect(page.getByRole("alert")).toContainText("1 to 500 mm");
  await expect(length).toHaveValue("0");
  await page.getByText("Detector’s pixels", { exact: true }).click();
  await expect(page.getByRole("textbox", { name: /Enlarged by the beam/ })).toBeVisible();
});

test("two films of one foot are laid over each other and beside each other, with what changed beyond the marks; they feed the bench", async ({
  page,
}) => {
  await openDemo(page, "/cases");
  await page.getByRole("link", { name: /^Damson/ }).click();
  await page.getByRole("link", { name: "Look at them" }).click();
  await expect(page.getByRole("region", { name: "Your eye against the films" })).toContainText(
    "Stand-ins are among them",
  );
  await page.getByRole("link", { name: /Left fore, from the side.*11 Nov/ }).click();
  await page.getByText("Beside another", { exact: true }).click();
  const changes = page.getByRole("region", { name: "Then and now" });
  await expect(changes.getByRole("row", { name: /Sole under the tip/ })).toContainText("+4.0 mm");
  await expect(changes.getByRole("row", { name: /Joint’s radius/ })).toContainText("within the marks");
  await page.getByText("Side by side", { exact: true }).click();
  await expect(page.getByRole("img", { name: /The film of/ })).toHaveCount(2);
  await page.goto("/cases");
  await page.getByRole("link", { name: /^Damson/ }).click();
  await page.getByRole("link", { name: "Damson", exact: true }).click();
  await page.getByRole("button", { name: "Start a visit" }).click();
  await expect(page).toHaveURL(/arrive/);
  await page.goto(page.url().replace(/arrive.*$/, "survey?foot=LF"));
  await expect(page.getByRole("region", { name: "The foot, drawn to scale" })).toContainText(
    "the stand-in radiograph of 11 Nov tells the centre of rotation once the sole is surveyed",
  );
});
