import type { Page } from "@playwright/test";
import { PHOTO_MARKS, photoMarkFacts, SIDE_MARKS, type MeasuredView } from "~core/photo/views";
import { FIRST_TAPS } from "~core/suggest/suggest";
import { markAll, placeMark } from "./markPicture";
import { photograph } from "./photoFile";
import { expect, field, openVisit, test, TODAY } from "./round";

const SURVEY = `/visits/demo-yard-1-horse-1-${TODAY}/survey?foot=LF`;
const NAMES: Record<MeasuredView, string> = {
  sole: "Take or choose: sole",
  side: "Take or choose: from the outside",
  rear: "Take or choose: from behind",
};
const suggested = (page: Page) => page.getByRole("group", { name: "Marks the picture suggests" });

/** A mark's name as the demo's user reads it. */
const nameOf = (view: MeasuredView, mark: string): string =>
  photoMarkFacts(view, mark).name.replace("medial", "inside").replace("lateral", "outside");

/** A picture is taken and its card found; then the first three marks are tapped. */
async function threeTaps(page: Page, view: MeasuredView, tap: boolean, made = photograph(view)) {
  const { file, truth, foot } = made;
  await page.goto(`${SURVEY}&way=photo`);
  await page.locator(`input[aria-label="${NAMES[view]}"]`).setInputFiles(file);
  const take = page.getByRole("button", { name: "Take its corners" });
  await (tap ? take.tap() : take.click());
  // The corners have their places: what is asked now is the first mark.
  await markAll(page, truth, PHOTO_MARKS[view], { from: 4, most: 4 + FIRST_TAPS[view].length, tap });
  await expect(suggested(page)).toBeVisible();
  return { truth, foot };
}

test("three taps on a side view: the rest suggests itself, counts for nothing, is taken at once and reads true", async ({
  page,
}) => {
  await openVisit(page, "survey");
  const { truth, foot } = await threeTaps(page, "side", false);
  await expect(page.getByRole("table", { name: "What the picture says" })).toHaveCount(0);
  await expect(page.getByRole("button", { name: "Wall, high, suggested" })).toBeVisible();
  await suggested(page)
    .getByRole("button", { name: /^Take (all \d|it)/ })
    .click();
  // What is not sure is asked for, and tapped.
  const next = page.getByRole("region", { name: "Next mark" });
  for (let rest = 0; rest < 4; rest++) {
    if (await next.getByText("All marks placed.").isVisible()) break;
    const asked = await next.locator(".marking-next").innerText();
    const mark = SIDE_MARKS.find((one) => photoMarkFacts("side", one).name === asked);
    await placeMark(page, truth, mark ?? "");
    await expect(next.locator(".marking-next")).not.toHaveText(asked);
  }
  await expect(next).toContainText("All marks placed.");
  await page.getByText("Marks", { exact: true }).click();
  await expect(page.getByRole("listitem").filter({ hasText: "suggested, taken" }).first()).toBeVisible();
  await page.goto(SURVEY);
  const angle = Number(await field(page, "Dorsal angle").inputValue());
  expect(Math.abs(angle - foot.dorsalAngleDeg)).toBeLessThan(1.5);
});

test("a sole by touch at phone size: taps, what is sure in one, and no more than six marks by hand", async ({
  another,
}) => {
  const context = await another({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await openVisit(page, "survey");
  const { truth } = await threeTaps(page, "sole", true);
  let taps = FIRST_TAPS.sole.length;
  const all = suggested(page).getByRole("button", { name: /^Take (all \d|it)/ });
  for (const mark of ["sulcusBack", "frogApex"]) {
    await placeMark(page, truth, mark, true);
    taps++;
  }
  await expect(all).toBeVisible();
  await all.tap();
  await expect(page.getByRole("table", { name: "What the picture says" })).toBeVisible();
  expect(taps).toBeLessThan(7);
  await context.close();
});

test("on a phone the picture stays where it is while suggestions come and go", async ({ another }) => {
  const context = await another({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await openVisit(page, "survey");
  const { file, truth } = photograph("sole");
  await page.goto(`${SURVEY}&way=photo`);
  await page.locator(`input[aria-label="${NAMES.sole}"]`).setInputFiles(file);
  await page.getByRole("button", { name: "Take its corners" }).tap();
  await markAll(page, truth, PHOTO_MARKS.sole, { from: 4, most: 6, tap: true });
  const top = async () => (await page.locator(".picture-svg").boundingBox())?.y;
  const before = await top();
  // The third tap brings them, two more bring nearly all.
  for (const mark of ["toe", "sulcusBack", "frogApex"]) {
    await placeMark(page, truth, mark, true);
    await expect(suggested(page)).toBeVisible();
    expect(await top()).toBe(before);
  }
  await context.close();
});

test("a suggestion is dragged to correct it, or moved by the arrow keys, and is by hand from then on", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await threeTaps(page, "side", false);
  const pale = page.getByRole("button", { name: "Wall, middle, suggested" });
  await pale.focus();
  await page.keyboard.press("Shift+ArrowLeft");
  await expect(page.getByRole("button", { name: "Wall, middle", exact: true }).first()).toBeVisible();
  await expect(pale).toHaveCount(0);
});

test("a foot from three pictures by touch at phone size: under thirty touches, and every view reads", async ({
  another,
}) => {
  const context = await another({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await openVisit(page, "survey");
  let touches = 0;
  for (const view of ["sole", "side", "rear"] as const) {
    const { truth } = await threeTaps(page, view, true);
    touches += 1 + FIRST_TAPS[view].length;
    const step = page.getByRole("region", { name: "Next mark" });
    const all = suggested(page).getByRole("button", { name: /^Take (all \d|it)/ });
    for (;;) {
      if (await all.isVisible()) {
        await all.tap();
        touches++;
        await expect(all).toHaveCount(0);
      }
      const asked = await step.locator(".marking-next").innerText();
      const mark = PHOTO_MARKS[view].find((one) => nameOf(view, one) === asked);
      if (!mark || photoMarkFacts(view, mark).optional) break;
      await placeMark(page, truth, mark, true);
      touches++;
      await expect(step.locator(".marking-next")).not.toHaveText(asked);
      await page.waitForLoadState("networkidle");
    }
    await expect(page.getByRole("table", { name: "What the picture says" })).toBeVisible();
  }
  expect(touches).toBeLessThan(30);
  test.info().annotations.push({ type: "touches", description: String(touches) });
  await context.close();
});

test("a sole whose picture does not tell its lens: marks deep in it are left to the hand, and it is said", async ({
  page,
}) => {
  await openVisit(page, "survey");
  const slanted = { slantDeg: 9 };
  const { truth } = await threeTaps(page, "sole", false, photograph("sole", "LF", {}, {}, slanted, false));
  for (const mark of ["sulcusBack", "frogApex"]) await placeMark(page, truth, mark);
  await expect(suggested(page)).toBeVisible();
  await expect(page.getByText("The lens is not known")).toBeVisible();
  await expect(page.getByRole("button", { name: /, suggested$/ }).first()).toBeVisible();
  await expect(page.getByRole("button", { name: "Sulcus, front end, suggested" })).toHaveCount(0);
});
