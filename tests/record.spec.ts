import { CHROMIUM } from "../playwright.config";
import { expect, openVisit, test } from "./round";

// The browser's own stand-in for a camera: a moving picture and a beep a second.
test.use({
  launchOptions: {
    ...CHROMIUM,
    args: [...CHROMIUM.args, "--use-fake-device-for-media-stream", "--use-fake-ui-for-media-stream"],
  },
});

test("a clip is recorded on the device, then stepped like any other; it is gone when the page is left", async ({
  page,
}) => {
  await openVisit(page, "watch");
  const clip = page.getByRole("region", { name: "Clip" });
  await clip.getByRole("button", { name: "Record" }).click();
  await expect(clip.getByLabel("What the camera sees")).toBeVisible();
  await clip.getByRole("button", { name: "Stop, 2 s" }).click();
  await expect(clip).toContainText("the clip stays on this page until you leave it");
  await expect(clip.locator(".clip-time")).toContainText(/of [2-9]\.\d/);
  await clip.getByRole("button", { name: "First clip: one frame on" }).click();
  await expect(clip.locator(".clip-time")).toContainText("frame 2");
  await expect(clip.getByLabel("What the camera sees")).toHaveCount(0);
  await page.reload();
  await expect(clip.locator("video")).toHaveCount(0);
});
