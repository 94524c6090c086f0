import { expect, field, openVisit, test, TODAY } from "./round";

const VISIT = `/visits/demo-yard-1-horse-1-${TODAY}`;

test.describe("by touch", () => {
  test.use({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } });

  test("a sheared foot is read whole by hand at 390 px, without a picture, and gets one sentence for it", async ({
    page,
  }) => {
    await openVisit(page, "survey");
    const put = async (values: readonly (readonly [name: string, value: string])[]) => {
      for (const [name, value] of values) {
        await field(page, name).fill(value);
        await field(page, name).press("Enter");
      }
    };
    await put([
      ["Dorsal angle", "51"],
      ["Pastern angle", "51"],
      ["Toe length", "88"],
      ["Heel height, inside", "28"],
      ["Heel height, outside", "40"],
      ["Bearing length", "127"],
    ]);
    await page.goto(`${VISIT}/survey?foot=LF&way=hand`);
    await put([
      ["Wall angle, lower third", "50.5"],
      ["Heel angle", "48"],
    ]);
    // The sign has a key of its own where a number can lie on either side.
    await field(page, "Lean of the limb").tap();
    const pad = page.getByRole("group", { name: "Number pad" });
    await pad.getByRole("button", { name: "2", exact: true }).tap();
    await pad.getByRole("button", { name: "plus or minus" }).tap();
    await expect(field(page, "Lean of the limb")).toHaveValue("−2");
    await pad.getByRole("button", { name: "Next" }).tap();
    await put([["Hairline, tilt", "5"]]);
    const findings = page.getByRole("list", { name: "Findings" });
    await expect(findings.getByRole("listitem")).toHaveCount(1);
    await expect(findings).toContainText(
      "Sheared heels: the outside heel stands 12 mm taller and the hairline is pushed up 5.0° over it.",
    );
    const verdict = page.getByRole("region", { name: "Which side is high" });
    await expect(verdict).toContainText("The outside stands higher");
    await expect(verdict.getByRole("row", { name: /^Tilt of the hairline/ })).toContainText("outside");
    await expect(verdict).toContainText("Wall above the live sole, both sides, would tell most.");
  });
});

test("what no leg has is refused at its place and stays as it was typed; minus counts only where it can", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await page.goto(`${VISIT}/survey?foot=LF&way=hand`);
  const height = field(page, "Hairline at the quarter, inside");
  await height.fill("400");
  await height.press("Enter");
  await expect(page.getByRole("alert")).toContainText("is outside what a foot can have (5 to 200 mm)");
  await expect(height).toHaveValue("400");
  await page.goto(`${VISIT}/survey?foot=LF&way=walls`);
  const frog = field(page, "Frog against the heels");
  await frog.fill("60");
  await frog.press("Enter");
  await expect(page.getByRole("alert")).toContainText("60 mm is outside what a foot can have (-40 to 40 mm)");
  await frog.fill("-3");
  await frog.press("Enter");
  await expect(page.getByText("A rasp across the heels touches it after 3 mm: stop there.")).toBeVisible();
});

test("tubules, cleft and heel horn are taps that speak", async ({ page }) => {
  await openVisit(page, "read");
  await page
    .getByRole("group", { name: "Horn of the inside heel" })
    .getByRole("button", { name: "crushed" })
    .click();
  await page.getByRole("group", { name: "Cleft leans" }).getByRole("button", { name: "to outside" }).click();
  await page.goto(`${VISIT}/survey?foot=LF`);
  await expect(page.getByRole("list", { name: "Findings" })).toContainText("The inside heel is crushed.");
  await expect(page.getByRole("region", { name: "Which side is high" })).toContainText(
    "leans to outside, away from the loaded side",
  );
});

test("the map of a surveyed sole: its lines by the rule, in words, layers switched", async ({ page }) => {
  await openVisit(page, "survey");
  await page.goto("/visits/demo-yard-1-horse-1-2026-10-16/survey?foot=LF&way=map");
  const list = page.getByRole("list", { name: "The map, by the rule" });
  await expect(list.getByRole("listitem").first()).toContainText("Back of the sulcus0");
  await expect(list).toContainText("at the widest line");
  await expect(list).toContainText("ahead of where it ought to be");
  const heels = page.locator(".map-line.map-heels");
  await expect(heels).toHaveCount(2);
  await page.getByRole("checkbox", { name: "Heels" }).uncheck();
  await expect(heels).toHaveCount(0);
});

test("what is told on arrival moves the window, a caution or a mark, and says so where it counts", async ({
  page,
}) => {
  await openVisit(page, "arrive");
  const tap = (group: string, word: string) =>
    page.getByRole("group", { name: group }).getByRole("button", { name: word, exact: true }).click();
  await tap("Metabolic illness", "known illness");
  await tap("Drugs, as told", "pain relief");
  const said = page.getByRole("list", { name: "From what was told on arrival" });
  await expect(said).toContainText("the interval is a week shorter");
  await expect(said).toContainText("is the vet’s, today");
  await page.goto(`${VISIT}/watch?foot=LF`);
  await expect(said).toContainText("On pain relief, as told");
  await expect(said.getByRole("listitem")).toHaveCount(1);
  await page.goto(`${VISIT}/sign-off`);
  await expect(page.getByText("Cap 4 weeks.")).toContainText("Known metabolic illness");
});
