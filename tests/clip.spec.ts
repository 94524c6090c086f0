import type { Page } from "@playwright/test";
import { expect, openVisit, test } from "./round";
import { kept } from "./shoeing";

const clip = (page: Page) => page.getByRole("region", { name: "Clip" });

/** A clip made here and now: a square that moves with time, with thuds in its sound or without any. */
const makeClip = async (page: Page, thuds: boolean): Promise<Buffer> => {
  const text = await page.evaluate(async (loud) => {
    const canvas = document.createElement("canvas");
    [canvas.width, canvas.height] = [160, 120];
    const pen = canvas.getContext("2d")!;
    const stream = canvas.captureStream(30);
    const audio = new AudioContext();
    const out = audio.createMediaStreamDestination();
    for (const track of out.stream.getAudioTracks()) stream.addTrack(track);
    const gain = audio.createGain();
    gain.gain.value = 0;
    const tone = audio.createOscillator();
    tone.frequency.value = 130;
    tone.connect(gain).connect(out);
    tone.start();
    const began = audio.currentTime;
    if (loud)
      for (let at = 0.4; at < 4.6; at += 0.4) {
        gain.gain.setValueAtTime(0.8, began + at);
        gain.gain.setTargetAtTime(0, began + at + 0.01, 0.02);
      }
    const recorder = new MediaRecorder(stream);
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => parts.push(data);
    const stopped = new Promise((done) => (recorder.onstop = done));
    recorder.start();
    const from = performance.now();
    await new Promise<void>((done) => {
      const draw = () => {
        const time = (performance.now() - from) / 1000;
        pen.fillStyle = "#fff";
        pen.fillRect(0, 0, 160, 120);
        pen.fillStyle = "#a33";
        pen.fillRect(20 * time, 40, 20, 20);
        if (time < 5) requestAnimationFrame(draw);
        else done();
      };
      draw();
    });
    recorder.stop();
    await stopped;
    const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
    return btoa([...bytes].map((one) => String.fromCharCode(one)).join(""));
  }, thuds);
  return Buffer.from(text, "base64");
};
const choose = (page: Page, label: string, buffer: Buffer, name = "trot.webm") =>
  clip(page).getByLabel(label).first().setInputFiles({ name, mimeType: "video/webm", buffer });
const time = async (page: Page, which = 0) =>
  Number(/([\d.]+) of/.exec((await clip(page).locator(".clip-time").nth(which).textContent()) ?? "")?.[1]);

test("a clip is stepped by frame, its landing kept as a still with its look, its sound heard; the clip itself is not stored", async ({
  page,
}) => {
  await openVisit(page, "watch");
  await choose(page, "Choose a clip", await makeClip(page, true));
  await expect(clip(page).locator(".clip-time")).toContainText(/0\.00 of 4\.\d|0\.00 of 5\.\d/);
  await expect(clip(page)).toContainText(/\d\.\d MB\. Nothing of it is stored but the frames you keep/);
  const stage = clip(page).getByRole("group", { name: /First clip, frame by frame/ });
  await stage.focus();
  for (let step = 0; step < 6; step++) await page.keyboard.press("ArrowRight");
  await expect(clip(page).locator(".clip-time")).toContainText("frame 7");
  await page.keyboard.press("ArrowLeft");
  await expect(clip(page).locator(".clip-time")).toContainText("frame 6");
  // The arrows of the clip turn no stage and no foot.
  await expect(page).toHaveURL(/\/watch/);
  await clip(page).getByRole("button", { name: "Keep this frame: left fore lands" }).click();
  await expect(clip(page)).toContainText(/Kept, \d+ kB/);
  await kept(page);
  await expect(clip(page).getByRole("img", { name: "left fore landing, as it came" })).toBeVisible();
  await clip(page).getByRole("button", { name: "Hear its beat" }).click();
  await expect(page.getByRole("region", { name: "Beat" })).toContainText(/1(4|5)\d a minute, even/);

  await page.reload();
  await expect(clip(page).getByRole("img", { name: "left fore landing, as it came" })).toBeVisible();
  await expect(clip(page).locator("video")).toHaveCount(0);
  await clip(page).getByRole("button", { name: "Take it away" }).click();
  await expect(clip(page).getByRole("img")).toHaveCount(0);
});

test("two clips go in step from the frames that were set", async ({ page }) => {
  await openVisit(page, "watch");
  const made = await makeClip(page, false);
  await choose(page, "Choose a clip", made);
  await clip(page).getByRole("button", { name: "First clip: one frame on" }).click();
  await choose(page, "A second clip beside it", made, "other.webm");
  await expect(clip(page).locator(".clip-time")).toHaveCount(2);
  for (let step = 0; step < 5; step++)
    await clip(page).getByRole("button", { name: "Second clip: one frame on" }).click();
  const apart = (await time(page, 1)) - (await time(page, 0));
  expect(apart).toBeGreaterThan(0.1);
  await clip(page).getByRole("switch", { name: "In step from these two frames on" }).click();
  for (let step = 0; step < 4; step++)
    await clip(page).getByRole("button", { name: "First clip: one frame on" }).click();
  expect((await time(page, 1)) - (await time(page, 0))).toBeCloseTo(apart, 1);
  expect(await time(page, 0)).toBeGreaterThan(0.15);
  await clip(page).getByRole("button", { name: "Play" }).first().click();
  await expect(clip(page).getByRole("button", { name: "Stop" })).toBeVisible();
});

test("a clip that cannot be played and one without a sound are said, with what would do", async ({
  page,
}) => {
  await openVisit(page, "watch");
  await choose(page, "Choose a clip", Buffer.from("no clip at all"), "letter.mp4");
  await expect(clip(page).getByRole("alert")).toContainText("cannot play this clip");
  await choose(page, "Choose a clip", await makeClip(page, false));
  await expect(clip(page).getByRole("alert")).toBeHidden();
  await clip(page).getByRole("button", { name: "Hear its beat" }).click();
  await expect(page.getByRole("region", { name: "Beat" }).getByRole("alert")).toContainText(
    /Nothing is heard in it|No footfall stands out/,
  );
});
