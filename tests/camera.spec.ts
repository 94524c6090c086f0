import { writeFileSync } from "node:fs";
import { chromium, type Page } from "@playwright/test";
import type { Vector } from "~core/geometry/vector";
import { FIRST_TAPS } from "~core/suggest/suggest";
import { PHOTO_MARKS } from "~core/photo/views";
import { CHROMIUM } from "../playwright.config";
import { markAll } from "./markPicture";
import { photograph, videoFile } from "./photoFile";
import { expect, openVisit, test, TODAY } from "./round";
import { copyProfile } from "./stores";

const SURVEY = `/visits/demo-yard-1-horse-1-${TODAY}/survey?foot=LF&way=photo`;

/** A browser whose camera shows a simulated picture, at the size of a phone. */
async function withCamera(
  name: string,
  video: Buffer,
  baseURL: string | undefined,
  work: (page: Page) => Promise<void>,
): Promise<void> {
  const file = test.info().outputPath(`${name}.y4m`);
  writeFileSync(file, video);
  const folder = test.info().outputPath(`${name}-browser`);
  await copyProfile(folder);
  const context = await chromium.launchPersistentContext(folder, {
    ...CHROMIUM,
    args: [
      ...CHROMIUM.args,
      "--use-fake-device-for-media-stream",
      "--use-fake-ui-for-media-stream",
      `--use-file-for-fake-video-capture=${file}`,
    ],
    baseURL: baseURL ?? "",
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    serviceWorkers: "block",
  });
  try {
    await work(await context.newPage());
  } finally {
    await context.close();
  }
}
const camera = (page: Page) => page.getByRole("region", { name: "Camera", exact: true });
const openCamera = async (page: Page) => {
  await openVisit(page, "survey");
  await page.goto(SURVEY);
  await page
    .getByRole("region", { name: "Sole", exact: true })
    .getByRole("button", { name: "Camera that watches the card" })
    .tap();
};

test("the live frame tells card, slant, light and sharpness; the shutter goes by itself; its picture finds card and marks", async ({
  baseURL,
}) => {
  const { video, truth } = videoFile("sole", { slantDeg: 4 });
  await withCamera("good", video, baseURL, async (page) => {
    await openCamera(page);
    const told = camera(page).locator(".camera-told");
    // It takes the sole by itself and asks for the next view of this foot.
    await expect(camera(page)).toContainText("From the outside, left fore");
    await expect(told).toContainText("seen");
    await expect(told).toContainText(/[0-9.]+°/);
    // The same card in the same place is no second picture: it waits until the camera was moved.
    await expect(camera(page)).toContainText("Then one more view");
    await camera(page).getByRole("button", { name: "Close" }).tap();
    await page.getByRole("button", { name: "Take its corners" }).tap();
    await markAll(page, truth, PHOTO_MARKS.sole, { from: 4, most: 4 + FIRST_TAPS.sole.length, tap: true });
    await expect(page.getByRole("group", { name: "Marks the picture suggests" })).toBeVisible();
    expect((truth.points["toe"] as Vector)[0]).toBeGreaterThan(0);
  });
});

test("a slanted card is told and never taken by itself, but may be by hand", async ({ baseURL }) => {
  const { video } = videoFile("sole", { slantDeg: 18 });
  await withCamera("slanted", video, baseURL, async (page) => {
    await openCamera(page);
    await expect(camera(page)).toContainText("Look straighter onto the card.");
    await expect(camera(page)).toContainText("Sole, left fore");
    await camera(page).getByRole("button", { name: "Take it now" }).tap();
    await expect(camera(page)).toContainText("From the outside, left fore");
    await camera(page).getByRole("button", { name: "Close" }).tap();
    await expect(page.getByRole("heading", { name: "Sole, left fore" })).toBeVisible();
  });
});

test("by hand through all views of a foot, then on with the next foot of the day’s order", async ({
  baseURL,
}) => {
  const { video } = videoFile("sole", { slantDeg: 18 });
  await withCamera("through", video, baseURL, async (page) => {
    await openCamera(page);
    for (const view of ["Sole", "From the outside", "From behind"]) {
      await expect(camera(page).getByRole("heading", { name: `${view}, left fore` })).toBeVisible();
      await expect(camera(page).locator(".camera-told")).toContainText("seen");
      await camera(page).getByRole("button", { name: "Take it now" }).tap();
    }
    await expect(camera(page)).toContainText("All views of the left fore are taken.");
    await camera(page).getByRole("button", { name: "On: right fore" }).tap();
    await expect(camera(page).getByRole("heading", { name: "Sole, right fore" })).toBeVisible();
    await camera(page).getByRole("button", { name: "Close" }).tap();
    await expect(page.getByRole("button", { name: "Open the photograph" })).toHaveCount(0);
  });
});

test("a lens is known after five pictures of the card, not after four; it goes with the pictures taken after", async ({
  page,
}) => {
  const pictures = [0, 1, 2, 3, 4].map(
    (at) =>
      photograph(
        "side",
        "LF",
        {},
        {},
        {
          azimuthDeg: 70 * at,
          rollDeg: 4 * at,
          focal35: 190,
          bend: { third: -0.06, fifth: 0 },
        },
      ).file,
  );
  await openVisit(page, "survey");
  await page.goto("/card");
  const lens = page.getByRole("region", { name: "Your camera’s lens" });
  const choose = page.locator('input[aria-label="Choose 5 pictures of the card"]');
  await choose.setInputFiles(pictures.slice(0, 4));
  await expect(lens.getByRole("alert")).toContainText("5 are wanted");
  await choose.setInputFiles(pictures);
  await expect(lens.getByRole("status")).toContainText(/It bends by [4-9]\.\d ± 0\.\d %/);
  await lens.getByRole("button", { name: "Keep this lens" }).click();
  await expect(lens).toContainText("Known:");
  await page.goto(SURVEY);
  await page.locator('input[aria-label="Take or choose: from the outside"]').setInputFiles(pictures[0] ?? []);
  await page.getByRole("button", { name: "Take its corners" }).click();
  await expect(page.getByText(/The lens bends the corners by \d+ ± \d+ px/)).toBeVisible();
});

test("no card in the picture is said, and no camera at all leaves the file chooser", async ({
  baseURL,
  page,
}) => {
  const { video } = videoFile("sole", {}, { card: false });
  await withCamera("bare", video, baseURL, async (phone) => {
    await openCamera(phone);
    await expect(camera(phone)).toContainText("Bring the whole card into the picture.");
    await expect(camera(phone)).toContainText("not seen");
  });
  await openVisit(page, "survey");
  await page.goto(SURVEY);
  await page
    .getByRole("region", { name: "Sole", exact: true })
    .getByRole("button", { name: "Camera that watches the card" })
    .click();
  await expect(camera(page).getByRole("alert")).toContainText("No camera is there");
  await camera(page).getByRole("button", { name: "Close" }).click();
  await expect(
    page.getByRole("region", { name: "Sole", exact: true }).getByText("Take or choose"),
  ).toBeVisible();
});
