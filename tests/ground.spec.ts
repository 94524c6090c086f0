import type { Page } from "@playwright/test";
import { expect, openDemo, openVisit, test, TODAY } from "./round";
import { kept } from "./shoeing";

/** Bramble works on the road; Brigadoon Lad in the arena. */
const BRAMBLE = `/ground/demo-yard-1-horse-1-${TODAY}/LF`;
const settled = (page: Page) => expect(page.locator(".ground-columns")).toHaveAttribute("data-grid", "2");
const column = (page: Page, letter: string) => page.getByRole("region", { name: new RegExp(`^${letter}: `) });
const number = (page: Page, name: string) => page.getByRole("textbox", { name });
const ground = (page: Page) => page.getByRole("slider", { name: "Ground, hard to soft" });

test("should this horse wear an egg bar here? On its road no, and why; in an arena yes and who pays", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await page.getByRole("link", { name: "On the ground" }).click();
  await settled(page);
  await expect(page.getByText("goes on road, packed track")).toBeVisible();
  const egg = column(page, "B");
  await expect(egg.getByRole("heading", { name: /Egg bar/ })).toBeVisible();
  await expect(egg).toContainText("Does not change how the foot stands on the road. Its support reaches");
  await expect(egg).toContainText("Landing");
  await expect(page.getByText("Pressures and shares are not shown on ground this firm.")).toBeVisible();
  await expect(page.getByRole("region", { name: "Numbers" })).not.toContainText("Sole carries");

  // By the keyboard: two grounds before the softest is wet turf.
  await ground(page).focus();
  await page.keyboard.press("End");
  await settled(page);
  await expect(page.getByText("Deep sand soft")).toBeVisible();
  await expect(egg).toContainText(/Stands \d\.\d° steeper in deep sand \(\d\.\d° to \d\.\d°/);
  await expect(egg).toContainText("Suspensory, superficial flexor");
  await expect(egg).toContainText("measured on horses");
  await expect(page.getByRole("list", { name: "Pressure on the ground, kPa" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Numbers" })).toContainText("Sole carries");
  await expect(page.getByRole("img", { name: "Steeper against A over seven grounds" })).toBeVisible();
});

test("four shoes compared, one of them taken into the visit", async ({ page }) => {
  await openVisit(page, "shoe");
  await page.goto(`${BRAMBLE}?ground=arena&shoes=on,egg-bar,heart-bar,broad`);
  await settled(page);
  for (const [letter, name] of [
    ["A", "Creased shoe"],
    ["B", "Egg bar"],
    ["C", "Heart bar"],
    ["D", "A broader web"],
  ] as const)
    await expect(column(page, letter).getByRole("heading")).toContainText([`${letter} ${name}`]);
  await column(page, "C").getByRole("button", { name: "Take it: Heart bar" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /^Bramble/ })).toBeVisible();
  await kept(page);
  await page.getByText("Choose", { exact: true }).click();
  await expect(page.getByRole("combobox", { name: "Shoe", exact: true })).toHaveValue("heart bar");
  await page.getByRole("link", { name: "On the ground" }).click();
  await settled(page);
  await expect(column(page, "B")).toContainText("chosen today");
});

test("another foot, another shoe beside it, a pace: each redraws, and the address says it whole", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await page.goto(`${BRAMBLE}?ground=arena`);
  await settled(page);
  await page.getByText("At a trot").click();
  await expect(page.getByText("beyond the 1400 to 3600 N that the model was held to")).toBeVisible();
  await expect(page).toHaveURL(/newtons=5600/);
  await page.getByRole("combobox", { name: "Foot" }).selectOption({ label: "left hind" });
  await expect(page).toHaveURL(/\/LH\?.*ground=arena/);
  await settled(page);
  await page.reload();
  await settled(page);
  await expect(page.getByText("5600 N")).toBeVisible();
  await expect(page.getByText("Arena soft")).toBeVisible();
});

test("nonsense is said at its place and stays as it was typed; nothing is drawn from it", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await page.goto(`${BRAMBLE}?ground=arena`);
  await settled(page);
  await page.getByText("By number, and what nobody measured").click();
  const load = number(page, "Load on this foot");
  await load.fill("0");
  await load.press("Enter");
  await expect(page.getByRole("alert")).toContainText("Without a load nothing sinks");
  await expect(load).toHaveValue("0");
  await load.fill("2000");
  await load.press("Enter");
  await expect(page.getByRole("alert")).toBeHidden();
  await expect(page.getByText("2000 N", { exact: true })).toBeVisible();
  const stiffness = number(page, "Ground’s stiffness");
  await stiffness.fill("5000");
  await stiffness.press("Enter");
  await expect(page.getByRole("alert")).toContainText("between 0.001 and 1000");

  await page.goto("/ground");
  await page.getByText("Two measures", { exact: true }).click();
  await settled(page);
  const width = number(page, "Width of the foot");
  await width.fill("20");
  await width.press("Enter");
  await expect(page.getByRole("alert")).toContainText("between 50 and 260 mm");
  await width.fill("70");
  await width.press("Enter");
  await expect(page.getByRole("alert")).toContainText("do not make one foot");
  await width.fill("120");
  await width.press("Enter");
  await expect(page.getByRole("alert")).toBeHidden();
  await settled(page);
});

test("a horse that nobody measured says so, with what does instead", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Try a first day: one horse, nothing measured" }).click();
  await expect(page.getByText("First day, made up.")).toBeVisible();
  await page.goto("/ground");
  await page.getByRole("combobox", { name: "Horse" }).selectOption({ index: 1 });
  await expect(page.getByRole("alert")).toContainText(/Nothing was measured on .* yet/);
  await page.getByText("Two measures", { exact: true }).click();
  await settled(page);
});

test("a horse is chosen by name; an unknown foot leaves the frame around it", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Ground", exact: true }).click();
  await page.getByRole("combobox", { name: "Horse" }).selectOption({ label: "Brigadoon Lad" });
  await settled(page);
  await expect(page.getByText("goes on arena")).toBeVisible();
  await expect(column(page, "B")).toContainText(/in the arena/);
  await expect(page.getByText(/as left on/)).toBeVisible();
  // A visit that is signed takes no shoe.
  await expect(page.getByRole("button", { name: /^Take it/ })).toHaveCount(0);
  await page.goto(`/ground/demo-yard-1-horse-1-${TODAY}/XX`);
  await expect(page.getByText("A shoe stands under one foot")).toBeVisible();
  await expect(page.getByRole("link", { name: "Today", exact: true })).toBeVisible();
});

/** A visit to a horse of the arena, whose shoe speaks of ground. */
const startVisit = async (page: Page) => {
  await openDemo(page);
  await page.getByRole("link", { name: "Horses", exact: true }).click();
  await page
    .getByRole("link", { name: /Brigadoon Lad/ })
    .first()
    .click();
  await page.getByRole("button", { name: "Start a visit" }).click();
  await expect(page).toHaveURL(/visits/);
};

test("the argument cites the model on this foot, and leads to it", async ({ page }) => {
  await startVisit(page);
  await page.getByRole("link", { name: /^Shoe,/ }).click();
  const cited = page.getByText("By the model, on this foot, against an ordinary shoe:").first();
  await expect(cited).toBeVisible();
  await expect(page.locator(".reason-ground").first()).toContainText(/sinks .* in the arena/);
  await page.locator(".reason-ground").first().getByRole("link", { name: "On the ground" }).click();
  await settled(page);
  await expect(column(page, "B")).toContainText("in the arena");
});

test("what the model and the own record say takes the place that was kept for it: nothing moves when it comes", async ({
  page,
}) => {
  await page.addInitScript(() => {
    const moved: number[] = [];
    Object.assign(window, { moved });
    new PerformanceObserver((list) => {
      for (const shift of list.getEntries())
        moved.push((shift as PerformanceEntry & { value: number }).value);
    }).observe({ type: "layout-shift", buffered: true });
  });
  await startVisit(page);
  await page.goto(new URL(page.url()).pathname.replace(/[^/]+$/, "shoe?foot=LF"));
  await expect(page.locator(".reason-ground").first()).toBeVisible();
  await expect(page.locator(".reason-outcome").first()).toBeVisible();
  // What moved in a frame is told after it.
  const moved = await page.evaluate(async () => {
    for (let frame = 0; frame < 3; frame++) await new Promise(requestAnimationFrame);
    return (window as unknown as { moved: number[] }).moved;
  });
  expect(moved.reduce((sum, one) => sum + one, 0)).toBeLessThan(0.01);
});

test("an edit of the shoe leaves what the model says of the advised one standing, and the page in its place", async ({
  page,
}) => {
  await startVisit(page);
  await page.getByRole("link", { name: /^Shoe,/ }).click();
  const cited = page.locator(".reason-ground");
  await expect(cited.first()).toBeVisible();
  const argument = page.locator(".argument");
  const handle = await argument.evaluateHandle((whole) => {
    const gone: string[] = [];
    new MutationObserver((changes) => {
      for (const { removedNodes } of changes)
        for (const node of removedNodes) gone.push((node.textContent ?? "").slice(0, 40));
    }).observe(whole, { subtree: true, childList: true });
    return gone;
  });
  const spec = page.getByRole("region", { name: "The specification" });
  await spec.getByRole("textbox", { name: "Web" }).fill("27");
  await spec.getByRole("textbox", { name: "Web" }).press("Enter");
  await spec.getByRole("checkbox", { name: "Relief for the sole" }).click();
  await spec.getByRole("combobox", { name: "Pad", exact: true }).selectOption("flat");
  await expect(page.getByRole("status")).toContainText("Kept");
  await expect(cited.first()).toBeVisible();
  expect(await handle.jsonValue(), "lines that went from the argument").toEqual([]);
});

test.describe("by touch", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test("on a phone one shoe is a page, turned by its letter; nothing is wider than the screen; More leads here", async ({
    page,
  }) => {
    await openDemo(page);
    await page.getByRole("button", { name: "More" }).tap();
    await page.getByRole("navigation", { name: "More" }).getByRole("link", { name: "Ground" }).tap();
    await page.getByRole("combobox", { name: "Horse" }).selectOption({ label: "Brigadoon Lad" });
    await settled(page);
    await expect(column(page, "A").getByRole("heading").first()).toBeInViewport();
    await page.locator(".ground-pages").getByText("B", { exact: true }).tap();
    await expect(column(page, "B").getByRole("heading").first()).toBeInViewport();
    await expect(column(page, "A").getByRole("heading").first()).not.toBeInViewport();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    const low = await page.evaluate(() =>
      [
        ...document.querySelectorAll(
          ".ground-pages .ant-segmented-item, .stands-more summary, .rail-link, .pick-one",
        ),
      ]
        .filter((element) => element.getClientRects().length > 0)
        .filter((element) => element.getBoundingClientRect().height < 36)
        .map((element) => element.textContent),
    );
    expect(low).toEqual([]);
  });
});
