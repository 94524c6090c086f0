import { openDemo, test } from "./round";
for (const [size, w, h] of [["wide", 1280, 1300], ["phone", 390, 2200]] as const)
test(`shots ${size}`, async ({ page }) => {
  test.setTimeout(200000);
  await page.setViewportSize({ width: w, height: h });
  await openDemo(page);
  const shots: [string, string, string][] = [["tolliver", "demo-yard-7-horse-8-", "bench"], ["sheet", "demo-yard-7-horse-8-", "sheet"]];
  for (const [name, start, view] of shots) {
      await page.goto(`/horses/${start.replace(/-$/, "")}`);
      const href = await page.locator('.timeline a[href^="/visits/"]').first().getAttribute("href");
    await page.goto(`${href}/trim?foot=LF&view=${view}`);
    await page.locator(".trim-bench, .sheet-work").first().waitFor();
    await page.waitForTimeout(500);
    await page.screenshot({ path: `/tmp/s-${name}-${size}.png` });
  }
});
