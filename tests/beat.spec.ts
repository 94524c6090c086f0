import type { Page } from "@playwright/test";
import { fallsOf, RATE, soundOf, type Going } from "~core/gait/hoofbeats.fixture";
import { seededRandom } from "~core/math/random";
import { expect, openVisit, test } from "./round";
import { kept } from "./shoeing";
import { wavOf } from "./soundFile";

const beat = (page: Page) => page.getByRole("region", { name: "Beat" });
/** Taps the space bar at these moments, ms, as a hand would along with the feet. */
const tapAlong = async (page: Page, intervals: readonly number[]) => {
  await beat(page).getByRole("button", { name: "Tap along" }).click();
  await expect(page.getByRole("button", { name: "Tap with every footfall" })).toBeVisible();
  await page.evaluate((steps) => {
    let at = performance.now();
    for (const step of [0, ...steps]) {
      at += step;
      const press = new KeyboardEvent("keydown", { key: " ", bubbles: true, cancelable: true });
      Object.defineProperty(press, "timeStamp", { value: at });
      document.body.dispatchEvent(press);
    }
  }, intervals);
  await expect(beat(page)).toContainText(String(intervals.length + 1));
  await beat(page).getByRole("button", { name: "Done" }).click();
};
const alternating = (one: number, other: number) =>
  Array.from({ length: 12 }, (_, at) => (at % 2 ? one : other) + (at % 3));
const going: Going = { perMinute: 150, evenness: 0.88, seconds: 8, spread: 0.005, noise: 0.03 };
const sound = (of: Going): Buffer => {
  const random = seededRandom(77);
  return wavOf(soundOf(fallsOf(of, random), of, random), RATE);
};
const hear = (page: Page, buffer: Buffer, name = "trot.wav") =>
  page.getByLabel("Hear it in a recording").first().setInputFiles({ name, mimeType: "audio/wav", buffer });

test("tapped with the space bar before and after: one sentence and two charts", async ({ page }) => {
  await openVisit(page, "watch");
  await tapAlong(page, alternating(440, 380));
  await expect(beat(page)).toContainText(/14\d a minute, uneven \(\d\.\d\d ± \d\.\d\d\)/);
  await beat(page).getByRole("button", { name: "Keep this beat" }).click();
  await kept(page);
  await page.getByRole("button", { name: "All done" }).click();
  await expect(beat(page).getByRole("img")).toHaveCount(1);
  await tapAlong(page, alternating(410, 408));
  await expect(beat(page)).toContainText(
    /14\d a minute, even .*; before 14\d a minute, uneven .*: at the same rate, evener than before, beyond the noise\./,
  );
  await expect(beat(page).getByRole("img")).toHaveCount(2);
  await beat(page).getByRole("button", { name: "Keep this beat" }).click();
  await kept(page);
  await page.reload();
  await page.getByRole("button", { name: "All done" }).click();
  await expect(beat(page)).toContainText("evener than before");
  await expect(beat(page)).toContainText("A metronome");
});

test("a recording is heard by itself; a footfall is taken out and put in again; kept", async ({ page }) => {
  await openVisit(page, "watch");
  await hear(page, sound(going));
  await expect(beat(page)).toContainText(/1(4|5)\d a minute, uneven \(/);
  const chart = beat(page).getByRole("img", { name: /^Loudness over 8\.0 s with \d+ footfalls/ });
  const count = Number(/with (\d+)/.exec((await chart.getAttribute("aria-label")) ?? "")?.[1]);
  expect(count).toBeGreaterThan(14);
  await beat(page).getByRole("slider", { name: "Footfall" }).focus();
  for (let at = 0; at < 5; at++) await page.keyboard.press("ArrowRight");
  await expect(beat(page)).toContainText(`6 of ${count}`);
  await beat(page).getByRole("button", { name: "Take it out" }).click();
  await expect(beat(page)).toContainText("A footfall seems to be missing after number 5");
  await expect(beat(page)).toContainText(`of ${count - 1}`);
  await beat(page).getByRole("button", { name: "Earlier" }).click();
  await beat(page).getByRole("button", { name: "Keep this beat" }).click();
  await kept(page);
  await expect(beat(page).getByRole("button", { name: "Keep this beat" })).toBeHidden();
});

test("two taps, a silent recording, a file that is no sound: said, with what would work", async ({
  page,
}) => {
  await openVisit(page, "watch");
  await tapAlong(page, [400]);
  await expect(beat(page).getByRole("alert")).toContainText("tap at least 5");
  await tapAlong(
    page,
    Array.from({ length: 8 }, () => 5000),
  );
  await expect(beat(page).getByRole("alert")).toContainText("is no walk and no trot");
  await hear(page, wavOf(new Float32Array(RATE), RATE));
  await expect(beat(page).getByRole("alert")).toContainText("Nothing is heard in it");
  await hear(page, Buffer.from("not a sound at all"), "letter.wav");
  await expect(beat(page).getByRole("alert")).toContainText("cannot read a sound in this file");
});

test.describe("by touch", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test("the screen is tapped with one thumb, without a sound", async ({ page }) => {
    await openVisit(page, "watch");
    await beat(page).getByRole("button", { name: "Tap along" }).tap();
    const pad = page.getByRole("button", { name: "Tap with every footfall" });
    for (let at = 0; at < 7; at++) await pad.tap();
    await expect(pad).toContainText("7");
    await beat(page).getByRole("button", { name: "Done" }).tap();
    await expect(beat(page)).toContainText(/a minute|faster than any horse/);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});
