import { openDemo, test } from "./round";
for (const [size, w, h] of [["wide", 1280, 1500], ["phone", 390, 1800]] as const)
test(`shots ${size}`, async ({ page }) => {
  test.setTimeout(200000);
  await page.setViewportSize({ width: w, height: h });
  await openDemo(page);
  const shots: [string, string][] = [["oriel", "demo-yard-2-horse-7-2026-10-31/trim?foot=LF"], ["tolliver", "demo-yard-7-horse-8-"], ["sallow", "demo-yard-1-horse-6-"], ["tinker", "demo-yard-5-horse-1-"]];
  for (const [name, start] of shots) {
    let url = start;
    if (!start.includes("/")) {
      await page.goto(`/horses/${start.replace(/-$/, "")}`);
      const href = await page.locator('.timeline a[href^="/visits/"]').first().getAttribute("href");
      url = `${href?.replace("/visits/", "")}/trim?foot=LF`;
    }
    await page.goto(`/visits/${url}&view=bench`);
    await page.locator(".trim-bench, .trim-empty").first().waitFor();
    await page.waitForTimeout(500);
    await page.screenshot({ path: `/tmp/s-${name}-${size}.png` });
  }
});
