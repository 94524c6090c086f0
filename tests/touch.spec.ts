import { expect, field, openDemo, test } from "./round";

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

test("a foot measured by thumb at 390 px, in eighths, with the last value beside", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Start with Bramble" }).tap();
  await page.getByRole("button", { name: "Start the visit to Bramble" }).tap();
  await page.getByRole("button", { name: "On to Survey" }).tap();
  const pad = page.getByRole("group", { name: "Number pad" });
  const press = async (...keys: string[]) => {
    for (const key of keys) await pad.getByRole("button", { name: key, exact: true }).tap();
  };
  await press("4", "8", "Next", "5", "2", "Next");
  await expect(page.getByText("broken back 4.0°", { exact: true })).toBeVisible();
  await press("unit, now mm", "3", "add 6 eighths", "add 1 eighths");
  await expect(field(page, "Toe length")).toHaveValue("3 7/8");
  await press("Next");
  await expect(page.getByText(/over target$/)).toBeVisible();
  await press("Same as last");
  await expect(field(page, "Heel height, inside")).not.toHaveValue("");
  await expect(field(page, "Heel height, outside")).toBeFocused();
  await expect(page.getByRole("button", { name: "left fore" })).toContainText("4 of 7");

  await page.getByRole("button", { name: "right fore" }).tap();
  await expect(field(page, "Dorsal angle")).toHaveValue("");
  await page.getByRole("button", { name: "left fore" }).tap();
  await expect(field(page, "Toe length")).toHaveValue("3 7/8");
});

test("a whole visit by touch: measured, cut, measured again, signed, due", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Start with Bramble" }).tap();
  await page.getByRole("button", { name: "Start the visit to Bramble" }).tap();
  await page.getByRole("button", { name: "On to Survey" }).tap();
  const enter = async (first: string, numbers: string[]) => {
    await expect(field(page, first)).toBeVisible();
    const pad = page.getByRole("group", { name: "Number pad" });
    for (const number of numbers) {
      for (const sign of number)
        await pad.getByRole("button", { name: sign === "." ? "point" : sign, exact: true }).tap();
      await pad.getByRole("button", { name: "Next" }).tap();
    }
  };
  await enter("Dorsal angle", ["48", "52", "98", "30", "35"]);
  await expect(page.getByRole("button", { name: "left fore" })).toContainText("5 of 7");
  await page.getByRole("button", { name: "Stage after" }).tap();
  await page.getByRole("button", { name: "Start the cut sheet" }).tap();
  await page.getByRole("checkbox", { name: /^Toe \d/ }).tap();
  await page.getByRole("button", { name: "More taken at the toe" }).tap();
  await expect(page.getByText("0.5 mm past the limit of 3 mm.")).toBeVisible();
  for (let stage = 0; stage < 3; stage++) await page.getByRole("button", { name: "Stage after" }).tap();
  await enter("Dorsal angle", ["50.5", "52", "89"]);
  await expect(page.getByText("axis straight", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Stage after" }).tap();
  const due = page.getByRole("region", { name: "Next due" });
  await expect(due).toContainText("28 Dec");
  await page.getByRole("button", { name: "Sign off", exact: true }).tap();
  await expect(due).toContainText("Signed off. Due again");
  await page.getByRole("link", { name: "Back to Today", exact: true }).tap();
  await expect(page.getByRole("link", { name: "Bramble, signed" })).toContainText("Signed off");
});

test("everything that is tapped in a visit is at least 44 px high, and nothing is wider than the screen", async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Start with Bramble" }).tap();
  await page.getByRole("button", { name: "Start the visit to Bramble" }).tap();
  for (const stage of ["survey", "trim", "recheck", "sign-off", "watch"]) {
    await page.goto(`/visits/demo-yard-1-horse-1-2026-11-23/${stage}`);
    await expect(page.getByRole("heading", { name: /Bramble/ })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    const low = await page.evaluate(() =>
      [...document.querySelectorAll(".pad-key, .foot-button, .stage-steps button, .visit-back, .ant-btn")]
        .filter((element) => element.getClientRects().length > 0)
        .filter((element) => element.getBoundingClientRect().height < 44)
        .map((element) => element.textContent),
    );
    expect([stage, low]).toEqual([stage, []]);
  }
});

test("a swipe turns the stage", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Start with Bramble" }).tap();
  await page.getByRole("button", { name: "Start the visit to Bramble" }).tap();
  await expect(page.getByRole("button", { name: "On to Survey" })).toBeVisible();
  await page.evaluate(() => {
    const target = document.querySelector(".visit-main h2") as HTMLElement;
    const touch = (clientX: number) => new Touch({ identifier: 1, target, clientX, clientY: 300 });
    target.dispatchEvent(
      new TouchEvent("touchstart", { bubbles: true, touches: [touch(320)], changedTouches: [touch(320)] }),
    );
    target.dispatchEvent(
      new TouchEvent("touchend", { bubbles: true, touches: [], changedTouches: [touch(120)] }),
    );
  });
  await expect(page).toHaveURL(/\/watch/);
});
