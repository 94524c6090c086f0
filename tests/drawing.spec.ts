import type { Page } from "@playwright/test";
import { expect, field, openVisit, test, TODAY } from "./round";

const drawing = (page: Page, name: string) => page.getByRole("img", { name });

/** Pixels that one millimetre takes in a drawing. */
const pixelsPerMm = (page: Page, name: string) =>
  drawing(page, name).evaluate((svg) => {
    const box = (svg as SVGSVGElement).viewBox.baseVal;
    return svg.getBoundingClientRect().width / box.width;
  });

const measure = async (page: Page, values: Record<string, string>) => {
  for (const [name, value] of Object.entries(values)) {
    await field(page, name).fill(value);
    await field(page, name).press("Enter");
  }
};

test("sole and side stand at one scale", async ({ page }) => {
  await openVisit(page, "survey");
  const sole = await pixelsPerMm(page, "Sole of the left fore from below");
  const side = await pixelsPerMm(page, "Side view of the left fore");
  expect(Math.abs(sole / side - 1)).toBeLessThan(0.01);
});

test("the drawn foot has the width, angle and plumb line of the numbers", async ({ page }) => {
  await openVisit(page, "survey");
  await measure(page, {
    "Dorsal angle": "45",
    "Pastern angle": "50",
    "Toe length": "95",
    "Bearing length": "120",
  });
  await field(page, "Width").fill("140");
  const outline = drawing(page, "Sole of the left fore from below").locator(".horn");
  await expect
    .poll(() => outline.evaluate((path) => (path as SVGPathElement).getBBox().width))
    .toBeCloseTo(140, 0);
  const hoof = await drawing(page, "Side view of the left fore").locator(".horn").getAttribute("d");
  const points = [...(hoof ?? "").matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(
    ([, x, y]) => [Number(x), Number(y)] as const,
  );
  const [toe, mid] = [points.at(-1), points.at(-2)];
  const angle = (Math.atan2(Math.abs(mid![1] - toe![1]), Math.abs(mid![0] - toe![0])) * 180) / Math.PI;
  expect(angle).toBeCloseTo(45, 6);
  const heel = points[0];
  expect(Math.abs(toe![0] - heel![0])).toBeCloseTo(120, 6);
});

test("a left foot looks left, a right foot right, and the letters of the sole change sides", async ({
  page,
}) => {
  await openVisit(page, "survey");
  const facts = async (limb: string) => {
    const side = drawing(page, `Side view of the ${limb}`);
    await expect(side).toBeVisible();
    const ground = await side.locator(".mark").nth(1).getAttribute("cx");
    const heel = await side.locator(".mark").nth(2).getAttribute("cx");
    const lateral = await drawing(page, `Sole of the ${limb} from below`)
      .locator(".side-letter")
      .filter({ hasText: "L" })
      .getAttribute("x");
    return [Math.sign(Number(ground) - Number(heel)), Math.sign(Number(lateral))];
  };
  expect(await facts("left fore")).toEqual([-1, 1]);
  await page.getByRole("button", { name: "right fore" }).click();
  expect(await facts("right fore")).toEqual([1, -1]);
});

test("before is dashed: at the survey as last left, at the recheck as it was before the trim", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await measure(page, { "Toe length": "99" });
  const region = page.getByRole("region", { name: "The foot, drawn to scale" });
  await expect(region).toContainText("dashed: as left 16 Oct");
  await expect(drawing(page, "Side view of the left fore").locator(".before")).toHaveCount(1);
  await expect(page.getByRole("status")).toContainText("Kept");
  await page.goto(`/visits/demo-yard-1-horse-1-${TODAY}/recheck`);
  await expect(region).toContainText("dashed: before the trim");
  await page.goto(`/visits/demo-yard-1-horse-1-${TODAY}/trim`);
  await expect(page.getByRole("heading", { name: "Nothing to plan from yet" })).toBeVisible();
});
