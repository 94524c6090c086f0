import type { Page } from "@playwright/test";
import { cutTask, PRACTICE_CUTS } from "~core/practice/cutRoom";
import { lengthTask } from "~core/practice/lengthRoom";
import { levelAfterAnswer } from "~core/practice/level";
import { measureTask, twinTask, type MeasureTask } from "~core/practice/measureRoom";
import { pictureTruth } from "~core/practice/picture";
import { HOUSE_PROTOCOL, offeredSteps } from "~core/practice/protocol";
import { readTask } from "~core/practice/readRoom";
import { seededRandom } from "~core/math/random";
import { draftTexts, expect, openDemo, test } from "./round";

/** As the address gives it; seeds of one sitting lie so far apart. */
const SEED = 41;
const seedOf = (index: number) => SEED + 7919 * index;

const levelNow = async (page: Page): Promise<number> => {
  const name = await page.getByRole("img", { name: /^Level \d of 9$/ }).getAttribute("aria-label");
  return Number(/\d/.exec(name ?? "")?.[0]);
};
const scoreOf = (page: Page) => page.locator(".score-line b");
const openRoom = async (page: Page, room: string, search = "") => {
  await openDemo(page, `/practice/${room}?seed=${SEED}${search}`);
};

/** Taps every mark where it truly lies, but for so many pixels of the picture. */
async function placeMarks(page: Page, task: MeasureTask, offPx = 0): Promise<void> {
  const { points } = pictureTruth(task.picture);
  const picture = page.locator(".picture-svg");
  await picture.locator("image").first().waitFor();
  const box = await picture.boundingBox();
  if (!box) throw new Error("no picture");
  const { width, height } = task.picture.shot;
  // The picture lies whole in the middle of its box.
  const scale = Math.min(box.width / width, box.height / height);
  const [left, top] = [box.x + (box.width - width * scale) / 2, box.y + (box.height - height * scale) / 2];
  for (const mark of task.marks) {
    const [x, y] = points[mark] ?? [0, 0];
    await page.mouse.click(left + (x + offPx) * scale, top + y * scale);
  }
}

test("measure: marks near the truth are well done and the next foot is harder; far off they are not and it is easier", async ({
  page,
}) => {
  await openRoom(page, "measure", "&view=rear");
  const level = await levelNow(page);
  await placeMarks(page, measureTask(seedOf(0), level, "rear"));
  await page.getByRole("button", { name: "Hold it against the truth" }).click();
  expect(Number(await scoreOf(page).textContent())).toBeGreaterThan(80);
  await expect(page.getByText(`Level ${level + 1} comes next.`)).toBeVisible();
  await expect(page.getByRole("table", { name: "What your marks say" })).toContainText("Heel height, inside");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Foot 2 of this sitting")).toBeVisible();
  expect(await levelNow(page)).toBe(level + 1);
  await placeMarks(page, measureTask(seedOf(1), level + 1, "rear"), 60);
  await page.keyboard.press("Enter");
  expect(Number(await scoreOf(page).textContent())).toBeLessThan(50);
  await expect(page.getByText(`Level ${level} comes next, easier.`)).toBeVisible();
  await expect(page.getByRole("region", { name: "So far" })).toContainText("Weakest:");
});

test("measure: the fourth foot is the first one again; both readings are kept as pairs when one says so", async ({
  page,
}) => {
  await openRoom(page, "measure", "&view=rear");
  let level = await levelNow(page);
  let first: MeasureTask | undefined;
  for (let index = 0; index < 4; index++) {
    const task =
      first && index === 3 ? twinTask(first, seedOf(3)) : measureTask(seedOf(index), level, "rear");
    first ??= task;
    await placeMarks(page, task);
    await page.getByRole("button", { name: "Hold it against the truth" }).click();
    await expect(scoreOf(page)).toBeVisible();
    if (index === 3) break;
    await page.getByRole("button", { name: "Next foot" }).click();
    await expect(scoreOf(page)).toBeHidden();
    level = await levelNow(page);
  }
  const twice = page.getByRole("region", { name: "The same foot twice" });
  await expect(twice).toContainText("You have measured this foot before, 3 feet ago");
  await twice.getByRole("button", { name: "Count them as my own noise" }).click();
  await expect(twice.getByRole("status")).toContainText("Kept.");
});

test("measure: by the keyboard alone a mark is placed, taken back, and placed again", async ({ page }) => {
  await openRoom(page, "measure", "&view=rear");
  const next = page.getByRole("region", { name: "Next mark" });
  await expect(next).toContainText("1 of 6");
  const picture = page.locator(".picture-svg");
  await picture.focus();
  await page.keyboard.press("Shift+ArrowDown");
  await page.keyboard.press("ArrowLeft");
  await page.keyboard.press("Enter");
  await expect(next).toContainText("2 of 6");
  await page.keyboard.press("Backspace");
  await expect(next).toContainText("1 of 6");
  for (let mark = 0; mark < 6; mark++) {
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("Enter");
  }
  await expect(next).toContainText("All placed");
  await page.keyboard.press("Enter");
  await expect(scoreOf(page)).toBeVisible();
});

test("read: a minute by keys; right answers make it harder, a wrong one easier, and it is told why", async ({
  page,
}) => {
  await openRoom(page, "read");
  let level = await levelNow(page);
  await page.keyboard.press("Enter");
  const question = page.getByRole("region", { name: "Question" });
  for (let index = 0; index < 3; index++) {
    const task = readTask(seedOf(index), level);
    await expect(page.getByRole("timer")).toContainText(`${index} answered`);
    await page.keyboard.press(String(task.right + 1));
    await expect(question.getByRole("status")).toContainText("Right.");
    level = levelAfterAnswer(level, true);
  }
  expect(await levelNow(page)).toBe(level);
  const task = readTask(seedOf(3), level);
  await page.keyboard.press(String(((task.right + 1) % task.answers.length) + 1));
  await expect(question.getByRole("status")).toContainText("No.");
  expect(await levelNow(page)).toBe(levelAfterAnswer(level, false));
  await page.getByRole("button", { name: "Stop here" }).click();
  await expect(page.getByRole("region", { name: "This minute" })).toContainText("3 of 4 right");
  await page.getByRole("button", { name: "Another minute" }).click();
  await page.getByRole("button", { name: "Stop here" }).click();
  await expect(page.getByText("Nothing was answered, so nothing is kept.")).toBeVisible();
});

test("cut: the plan's own cuts score nearly all; a cut into the live sole ends the round and says how far", async ({
  page,
}) => {
  await openRoom(page, "cut");
  const level = await levelNow(page);
  const task = cutTask(seedOf(0), level);
  const names = { toe: "toe", heelMedial: "heel, inside", heelLateral: "heel, outside" };
  for (const name of PRACTICE_CUTS)
    for (let step = 0; step < Math.round(2 * task.plan.cuts[name]); step++)
      await page.getByRole("button", { name: `More off ${names[name]}` }).click();
  await page.getByRole("button", { name: "Cut", exact: true }).click();
  expect(Number(await scoreOf(page).textContent())).toBeGreaterThan(70);
  await expect(page.getByRole("table", { name: "Numbers of this foot" })).toContainText("the plan");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Foot 2 of this round")).toBeVisible();
  const slider = page.getByRole("slider", { name: "Off heel, inside, mm" });
  await slider.focus();
  await page.keyboard.press("End");
  await page.getByRole("button", { name: "Cut", exact: true }).click();
  await expect(page.getByText("Too much is off. The round ends here.")).toBeVisible();
  await expect(page.getByText(/Heel, inside: .* mm into the live sole/)).toBeVisible();
  await expect(scoreOf(page)).toHaveText("0");
  await page.getByRole("button", { name: "A new round" }).click();
  await expect(page.getByText("Foot 1 of this round")).toBeVisible();
});

test("length: what is no length is said at its place; what is said is held against both ways", async ({
  page,
}) => {
  await openRoom(page, "length");
  const { stock } = lengthTask(seedOf(0), await levelNow(page));
  const field = page.getByRole("textbox", { name: /Stock to cut/ });
  await expect(field).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toContainText("how much steel would you cut?");
  await field.fill("a lot");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toBeVisible();
  await expect(field).toHaveValue("a lot");
  await field.fill(String(stock.cutMm));
  await page.keyboard.press("Enter");
  await expect(scoreOf(page)).toHaveText("100");
  await expect(page.getByText(`${stock.cutMm} mm is right.`)).toBeVisible();
  await expect(page.getByRole("table", { name: "Both ways" })).toContainText("For the bend of the toe");
});

test("run: the house's protocol in order by keys; one step out of order is marked, with where it stands", async ({
  page,
}) => {
  await openRoom(page, "run");
  const level = await levelNow(page);
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  const chosen: string[] = [];
  const choose = async (id: string) => {
    const offered = offeredSteps(seededRandom(seedOf(0) + chosen.length), HOUSE_PROTOCOL, chosen, level);
    await page.keyboard.press(String(offered.findIndex((step) => step.id === id) + 1));
    chosen.push(id);
    await expect(page.getByRole("timer")).toContainText(`${chosen.length} of ${HOUSE_PROTOCOL.steps.length}`);
  };
  const [one, two, three] = HOUSE_PROTOCOL.steps.map(({ id }) => id);
  for (const id of [one, three, two]) {
    const offered = offeredSteps(seededRandom(seedOf(0) + chosen.length), HOUSE_PROTOCOL, chosen, level);
    await choose(offered.some((step) => step.id === id) ? (id ?? "") : (offered[0]?.id ?? ""));
  }
  await expect(page.getByRole("region", { name: "So far" })).toContainText("done");
  await page.getByRole("button", { name: "I am done" }).click();
  const how = page.getByRole("region", { name: "How it went" });
  await expect(how.locator('[data-state="missed"]')).toHaveCount(HOUSE_PROTOCOL.steps.length - 3);
  await expect(how.locator('[data-state="out of order"]').first()).toContainText(/stands (before|after) “/);
});

test("a protocol of one's own: without a step it is refused with what would work; written, moved, run and printed", async ({
  page,
}) => {
  await openRoom(page, "run");
  await page.getByRole("button", { name: "Write one of your own" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "My protocol" })).toBeVisible();
  await expect(page.getByRole("alert")).toContainText(
    "A protocol without steps cannot be run. Write the first one",
  );
  await expect(page.getByRole("button", { name: "Print the form" })).toBeDisabled();
  const name = page.getByRole("textbox", { name: "Name" });
  await name.fill("Second year, station 4");
  await name.press("Enter");
  await expect(page.getByRole("heading", { level: 1, name: "Second year, station 4" })).toBeVisible();
  const add = page.getByRole("textbox", { name: "Another step" });
  for (const text of ["Mark the true apex", "Watch it walk"]) {
    await add.fill(text);
    await add.press("Enter");
    await expect(add).toHaveValue("");
  }
  await add.fill("half a st");
  await expect.poll(() => draftTexts(page)).toContain("half a st");
  await page.reload();
  await expect(page.getByRole("textbox", { name: "Another step" })).toHaveValue("half a st");
  await page.getByRole("button", { name: "Down" }).first().click();
  const form = page.getByRole("region", { name: "The form as it is printed" });
  await expect(form.getByRole("row").nth(1)).toContainText("Watch it walk");
  const second = page.getByRole("textbox", { name: "Step 2" });
  await second.fill("  ");
  await second.press("Enter");
  await expect(page.getByRole("alert")).toContainText("Say what is done in this step");
  await second.fill("Watch it walk");
  await second.press("Enter");
  await expect(page.getByRole("alert")).toContainText("This step stands here twice");
  await second.fill("Mark the true apex");
  await second.press("Enter");
  await expect(page.getByRole("button", { name: "Print the form" })).toBeEnabled();

  await page.getByRole("link", { name: "‹ Run" }).click();
  await page.getByRole("combobox", { name: "Protocol" }).selectOption({ label: "Second year, station 4" });
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  await page.getByRole("button", { name: "Watch it walk" }).click();
  await page.getByRole("button", { name: "Mark the true apex" }).click();
  await expect(scoreOf(page)).toHaveText("100");
});

test("practice shows what got better and what is weakest, from every room", async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press("g");
  await page.keyboard.press("p");
  await expect(page.getByRole("heading", { level: 1, name: "Practice" })).toBeVisible();
  const row = page.getByRole("listitem").filter({ has: page.getByRole("heading", { name: "Measure" }) });
  await expect(row).toContainText("Better: All marks");
  await expect(row).toContainText("Weakest: Hairline at the heel");
  await expect(row.getByRole("img", { name: /scores of \d+ tries/ })).toBeVisible();
});

test.describe("by touch", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test("every room fits a phone: nothing wider than the screen, what is tapped is 44 px high", async ({
    page,
  }) => {
    await openDemo(page);
    for (const room of ["", "/measure", "/read", "/cut", "/length", "/run"]) {
      await page.goto(`/practice${room}`);
      await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      const small = await page
        .locator(".page button:visible, .page select:visible, .page input.value-input:visible")
        .evaluateAll((all) =>
          all
            .filter(
              (one) => !one.classList.contains("ant-switch") && one.getBoundingClientRect().height < 43.5,
            )
            .map((one) => one.textContent),
        );
      expect([room, small]).toEqual([room, []]);
    }
    await page.goto(`/practice/length?seed=${SEED}`);
    for (const digit of ["3", "0", "0"]) await page.getByRole("button", { name: digit, exact: true }).tap();
    await page.getByRole("button", { name: "Next", exact: true }).tap();
    await expect(scoreOf(page)).toBeVisible();
  });
});
