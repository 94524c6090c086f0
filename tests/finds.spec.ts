import { expect, openDemo, openVisit, test } from "./round";

const LARKSPUR = "/horses/demo-yard-2-horse-1";

test("a crack lives on: looked for where growth has taken it, measured again, and said what became of it", async ({
  page,
}) => {
  await openDemo(page, LARKSPUR);
  const still = page.getByRole("region", { name: "Found and still there" });
  await expect(still).toContainText(
    /Right fore Crack, quarter, outside.*Was 12 mm below the hairline, about \d+ mm today/,
  );
  await page.getByRole("button", { name: /^(Start a visit|Go on with the visit)$/ }).click();
  await page.waitForURL(/arrive/);
  await expect(page.getByRole("region", { name: "Found and still there" })).toContainText(
    "Crack, quarter, outside",
  );
  await page.goto(`${new URL(page.url()).pathname.replace(/arrive$/, "read")}?foot=RF`);
  const awaited = page.getByRole("region", { name: "Look for these" });
  const said = await awaited.textContent();
  const expected = /about (\d+) mm today/.exec(said ?? "")?.[1] ?? "";
  await awaited.getByRole("button", { name: "Still there" }).click();
  await expect(awaited).toBeHidden();

  const below = page.getByRole("textbox", { name: "Below the hairline" });
  const length = page
    .getByRole("region", { name: "What was found" })
    .getByRole("textbox", { name: /^Length/ });
  await below.fill(expected);
  await below.press("Enter");
  await expect(page.getByText("As expected: it has grown down with the wall.")).toBeVisible();
  await length.fill("30");
  await length.press("Enter");
  await expect(page.getByText("Worse: longer than it was, by more than measuring.")).toBeVisible();
  await below.fill("1");
  await below.press("Enter");
  await expect(page.getByText("This does not fit the growth")).toBeVisible();
  await length.fill("140");
  await length.press("Enter");
  await expect(page.getByRole("alert")).toContainText("is more than the wall is long there");
  await expect(length).toHaveValue("140");
});

test("what has grown out is looked for no more; a tap off the foot is no find", async ({ page }) => {
  await openDemo(page, LARKSPUR);
  await page.getByRole("button", { name: /^(Start a visit|Go on with the visit)$/ }).click();
  await page.waitForURL(/arrive/);
  await expect(page.getByRole("region", { name: "Found and still there" })).toBeVisible();
  await page.goto(`${new URL(page.url()).pathname.replace(/arrive$/, "read")}?foot=RF`);
  await page.getByRole("button", { name: "Grown out or healed" }).click();
  await expect(page.getByRole("region", { name: "Look for these" })).toBeHidden();
  await page.goto(LARKSPUR);
  await expect(page.getByRole("heading", { name: "Larkspur", level: 1 })).toBeVisible();
  await expect(page.getByRole("region", { name: "Found and still there" })).toBeHidden();

  await openVisit(page, "read");
  const sole = page.locator(".read-sole svg");
  const box = await sole.boundingBox();
  if (!box) throw new Error("no drawing");
  await page.mouse.click(box.x + 6, box.y + 6);
  await expect(page.getByRole("alert")).toContainText("That is off the foot.");
  await expect(page.getByRole("region", { name: "What was found" }).getByRole("listitem")).toHaveCount(0);
});
