import { at, kept, spec, takeFirst } from "./shoeing";
import { expect, openDemo, openVisit, test, TODAY } from "./round";

test("a full shoeing: advised with reasons, overruled with a line, the pair alike, fitted, nailed, finished", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  const advice = page.getByRole("region", { name: "What speaks for which shoe" });
  await expect(advice).toContainText("stony track");
  await expect(advice).toContainText("Small road pins, no studs");
  await expect(advice).toContainText("Two clips cut into the wall");
  await expect(advice.getByText(/^Last time,/)).toBeVisible();
  // Beside each reason stands what it did on the user's own feet.
  await expect(advice).toContainText(/Your own\. On \d+ feet over \d+ cycles: axis/);
  await expect(advice).toContainText("Feet are often at their worst when something new is tried");
  await takeFirst(page);

  await spec(page).getByRole("combobox", { name: "Toe’s ground edge", exact: true }).selectOption("rolled");
  await spec(page).getByRole("textbox", { name: "Web" }).fill("3/4 in");
  await spec(page).getByRole("textbox", { name: "Web" }).press("Enter");
  await expect(spec(page)).toContainText("Against last time:");
  await page.getByLabel("Why not as advised?").fill("wears the toe square in three weeks");
  await page.getByLabel("Why not as advised?").press("Enter");
  await at(page, "Set");
  await at(page, "Shoe", "left fore", "Choose");
  await expect(page.getByLabel("Why not as advised?")).toHaveValue("wears the toe square in three weeks");
  await page.reload();
  await expect(spec(page).getByRole("textbox", { name: "Web" })).toHaveValue("19.1");
  await expect(page.getByLabel("Why not as advised?")).toHaveValue("wears the toe square in three weeks");

  await at(page, "Shoe", "right fore", "Choose");
  await expect(spec(page).getByRole("textbox", { name: "Web" })).toHaveValue("19.1");
  await expect(spec(page)).toContainText("The left fore gets the same");

  await at(page, "Shoe", "left fore", "Fit");
  const numbers = page.getByRole("group", { name: "How the shoe is set" });
  const checks = page.getByRole("region", { name: "Checks" });
  await expect(checks).toContainText("Widest on widest");
  for (let step = 0; step < 18; step++)
    await numbers.getByRole("button", { name: "Shoe set back: more" }).click();
  await expect(checks).toContainText(/Widest of the shoe \d+(\.5)? mm from the widest/);
  const why = page.getByLabel("Keep it, because").first();
  await why.fill("stands under himself, on purpose");
  await why.press("Enter");
  await expect(page.getByLabel("Kept, because").first()).toHaveValue("stands under himself, on purpose");
  await numbers.getByRole("button", { name: "Straight under the foot again" }).click();
  await expect(checks.getByText("Both covered", { exact: false })).toBeVisible();

  await at(page, "Set");
  await page.getByRole("button", { name: "First hot fit" }).click();
  await page.getByRole("button", { name: "gap" }).click();
  await page.getByRole("button", { name: /^Quarter, outside/ }).click();
  await expect(page.getByText(/^Gap at outside quarter: level the shoe/)).toBeVisible();
  await page.getByRole("button", { name: "Another hot fit" }).click();
  await expect(page.getByRole("heading", { name: "2 hot fits." })).toBeVisible();
  await page.getByRole("button", { name: "Wall all round" }).click();
  await expect(page.getByText("Wall all round: nail it on.")).toBeVisible();
  await page.getByRole("button", { name: "Nail 2, outside" }).click();
  await page.getByRole("button", { name: "close", exact: true }).click();
  await expect(page.getByRole("alert")).toContainText("Pull the nail.");
  await page.getByRole("button", { name: "close", exact: true }).click();
  await page.getByLabel("Came out above the shoe").selectOption("17");
  await expect(page.getByText(/^✓ Exits 17 to 17/)).toBeVisible();
  for (const name of [
    "Tack with two nails",
    "Foot down: look, adjust",
    "Foot down and level, horse stands on it",
  ]) {
    await page.getByRole("checkbox", { name }).click();
    await expect(page.getByRole("checkbox", { name })).toBeChecked();
  }
  await page.reload();
  await expect(page.getByRole("heading", { name: "2 hot fits." })).toBeVisible();
  await expect(page.getByRole("checkbox", { name: "Tack with two nails" })).toBeChecked();
  await expect(page.getByRole("button", { name: "left fore" })).toContainText("done");
});

test("the shoe is taken hold of on the drawing: set back, fuller, breakover moved and turned; kept, and undone", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await takeFirst(page);
  await at(page, "Shoe", "left fore", "Fit");
  const drag = async (name: RegExp, dx: number, dy: number) => {
    const box = await page.getByRole("button", { name }).boundingBox();
    if (!box) throw new Error(`no handle ${String(name)}`);
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + dx, y + dy, { steps: 6 });
    await page.mouse.up();
  };
  const front = page
    .getByRole("region", { name: "The shoe on the foot" })
    .getByText("Front", { exact: true })
    .locator("..");
  const before = await front.textContent();
  await drag(/^Shoe set back 0 mm/, 0, 16);
  await expect(page.getByRole("button", { name: /^Shoe set back [1-9]/ })).toBeVisible();
  await expect(front).not.toHaveText(before ?? "");
  await drag(/^Fuller on the outside side 0 mm/, 12, 0);
  await expect(page.getByRole("button", { name: /^Fuller on the outside side [1-9]/ })).toBeVisible();
  const breakover = page.getByRole("region", { name: "Breakover" });
  await drag(/^Breakover \d/, 0, 14);
  await expect(breakover).toContainText("By hand:");
  await page.getByRole("button", { name: /^Breakover turned/ }).focus();
  for (let step = 0; step < 8; step++) await page.keyboard.press("ArrowDown");
  await expect(breakover.getByRole("button", { name: "As watched again" })).toBeVisible();
  await at(page, "Set");
  await at(page, "Shoe", "left fore", "Fit");
  await kept(page);
  await page.reload();
  await expect(page.getByRole("button", { name: /^Shoe set back [1-9]/ })).toBeVisible();
  await expect(breakover).toContainText("By hand:");
  await breakover.getByRole("radio", { name: /^At the toe/ }).click();
  await expect(breakover.getByRole("heading")).toContainText("Breakover 0 mm back");
});

test("wrong input is said at its place: a web that is no web stays typed, steel that cannot be is refused", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await takeFirst(page);
  const web = spec(page).getByRole("textbox", { name: "Web" });
  await web.fill("two fingers");
  await web.press("Enter");
  await expect(spec(page).getByRole("alert")).toContainText("two fingers");
  await expect(web).toHaveValue("two fingers");
  await page.getByRole("link", { name: /^Sign off,/ }).click();
  await expect(page.getByRole("region", { name: "Typed but not finished" })).toContainText(
    "Shoe, left fore “two fingers”",
  );
  await page.reload();
  await page.getByRole("button", { name: "Shoe, left fore" }).click();
  await page.getByText("Choose", { exact: true }).click();
  await expect(web).toHaveValue("two fingers");
  await web.fill("4");
  await web.press("Enter");
  await expect(spec(page).getByRole("alert")).toHaveText("A web under 8 mm holds no nail.");
  await web.fill("8");
  await web.press("Enter");
  await spec(page).getByText("Each branch its own").click();
  await spec(page).getByRole("textbox", { name: "Longer, outside" }).fill("-9");
  await spec(page).getByRole("textbox", { name: "Longer, outside" }).press("Enter");
  await spec(page).getByRole("combobox", { name: "Raise" }).selectOption("3");
  await spec(page).getByRole("combobox", { name: "Shoe" }).selectOption("egg bar");
  // A wedge that no nail of these heads reaches through is no shoe either.
  await spec(page).getByRole("combobox", { name: "Pad", exact: true }).selectOption("flat");
  await spec(page).getByRole("combobox", { name: "Raise" }).selectOption("10");
  await spec(page).getByRole("textbox", { name: "Thickness" }).fill("20");
  await spec(page).getByRole("textbox", { name: "Thickness" }).press("Enter");
  await kept(page);
  await at(page, "Shoe", "left fore", "Fit");
  const checks = page.getByRole("region", { name: "Checks" });
  const check = (name: string) => checks.getByRole("listitem").filter({ hasText: name });
  await expect(check("Holes in the web.")).toContainText("of web inside it; 4 mm are wanted");
  await expect(check("Nails reach through.")).toContainText("no nail with a slim head reaches through");
  await expect(check("Nails reach through.")).toContainText("Steel cannot be made so: change it.");
  await expect(page.getByRole("button", { name: "On to Set" })).toBeDisabled();
  await expect(check("Heels supported.")).toContainText("The outside branch ends 9 mm short of its support.");
  await expect(check("Egg bar and ground.")).toContainText("lever behind the foot");
  await expect(check("The raise has an exit.")).toContainText("becomes the way the horse lives");
  await expect(check("The raise has an exit.").getByLabel("Keep it, because")).toBeVisible();
  await page.getByRole("link", { name: /^Set,/ }).click();
  await expect(page.getByRole("alert")).toContainText("Not to be set: steel cannot be made so.");
});

test("barefoot: it is first on the list, the bevel is drawn, and the finish is looked at without nails", async ({
  page,
}) => {
  await openDemo(page, `/visits/demo-yard-1-horse-2-${TODAY}/arrive`);
  await page.getByRole("button", { name: "Start the visit to Quarry" }).click();
  await expect(page.getByRole("button", { name: "On to Survey" })).toBeVisible();
  const visit = new URL(page.url()).pathname.replace(/\/[^/]+$/, "");
  await page.goto(`${visit}/shoe?view=choose`);
  await expect(
    page.getByRole("region", { name: "What speaks for which shoe" }).getByRole("listitem").first(),
  ).toContainText("Bare");
  await page.getByRole("button", { name: "Take it: Bare" }).click();
  await kept(page);
  await page.goto(`${visit}/shoe?view=fit`);
  await expect(page.getByText("bevel from the edge of the sole outwards")).toBeVisible();
  await expect(page.getByRole("region", { name: "Nails" })).toHaveCount(0);
  await page.goto(`${visit}/set`);
  await expect(page.getByText("Tack with two nails")).toHaveCount(0);
  await page
    .getByRole("checkbox", { name: "Bevelled from the sole outwards, nothing sharp at the ground" })
    .click();
  await kept(page);
});

test("ready-made: the best three with their changes; a table of one's own, bad rows named and nothing half taken", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await takeFirst(page);
  await at(page, "Shoe", "left fore", "Ready-made");
  const best = page.getByRole("region", { name: "Best of the table" });
  await expect(best.getByRole("listitem")).toHaveCount(3);
  await expect(best).toContainText(/shorten the inside heel \d/);
  await expect(best).toContainText("draw the inside side clip");
  await expect(best).toContainText(/\d heats/);
  const choose = page.getByLabel("Choose a CSV of sizes");
  const file = (text: string) => ({ name: "sizes.csv", mimeType: "text/csv", buffer: Buffer.from(text) });
  const head = "name,feet,width,length,straight,web,thickness,heads\n";
  await choose.setInputFiles(
    file(`${head}good,fore,134,140,360,22,10,slim\nbad,fore,wide,140,360,22,10,slim\n`),
  );
  const wrong = page.getByRole("alert", { name: "What is wrong in the file of sizes" });
  await expect(wrong).toContainText("Nothing was taken in.");
  await expect(wrong).toContainText("Row 3, width: a number of mm, not “wide”.");
  await expect(best).toContainText("the neutral example table");
  await choose.setInputFiles(
    file(`${head}<b>mine</b>,fore,134,140,360,22,10,slim\nother,hind,134,140,360,22,10,slim\n`),
  );
  await expect(best).toContainText("your table, 2 sizes");
  await expect(best.getByRole("listitem")).toHaveCount(1);
  await expect(best.getByText("<b>mine</b>")).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(best).toContainText("the neutral example table");
  await page.getByLabel("Choose a CSV of nails").setInputFiles(file("name,heads,length\nmine 90,slim,90\n"));
  await expect(page.getByRole("button", { name: "Back to the example" })).toBeVisible();
  await page.getByText("Fit", { exact: true }).click();
  await expect(page.getByRole("region", { name: "Nails" })).toContainText("mine 90, 90 mm long");
});

test("the pair differs on purpose; nails go where the wall is sound, and it is said what that costs", async ({
  page,
}) => {
  await openVisit(page, "shoe");
  await takeFirst(page);
  await spec(page).getByRole("switch").click();
  await expect(spec(page)).toContainText("The right fore differs on purpose");
  await spec(page).getByText("Each branch its own").click();
  await spec(page).getByRole("combobox", { name: "Heel, inside" }).selectOption("tucked");
  await expect(spec(page)).toContainText("heel, inside plain, now tucked");
  await spec(page).getByText("Edges by place, and what is unloaded").click();
  await spec(page).getByRole("button", { name: "safe inside" }).click();
  await spec(page)
    .getByRole("button", { name: /^Heel, inside/ })
    .click();
  await expect(spec(page)).toContainText("edges as forged, now inner edge safe at inside heel");
  await at(page, "Shoe", "right fore", "Choose");
  await spec(page).getByText("Each branch its own").click();
  await expect(spec(page).getByRole("combobox", { name: "Heel, inside" })).toHaveValue("plain");

  await at(page, "Shoe", "left fore", "Fit");
  const nails = page.getByRole("region", { name: "Nails" });
  const rows = nails.locator(".nail-table tbody tr");
  await expect(rows).toHaveCount(6);
  await expect(nails).toContainText(/6 nails, punched (coarse|fine); out 17 mm above the shoe/);
  await nails.getByText("Where the wall is sound").click();
  await nails.getByRole("checkbox", { name: "quarter, outside", exact: true }).click();
  await expect(nails).toContainText(/is moved \d+ mm forward, into sound wall/);
  await nails.getByRole("checkbox", { name: "toe quarter, outside", exact: true }).click();
  await expect(nails).toContainText(/nails? finds? sound wall on the outside side/);
  await expect(page.getByRole("region", { name: "Checks" })).toContainText("a clip there, a bar, or glue");
  await page.keyboard.press("Control+z");
  await page.keyboard.press("Control+z");
  await expect(nails).not.toContainText("is moved");
  await page.keyboard.press("u");
  await expect(nails).toContainText("17/16 in needed at most");
});

test.describe("by touch", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  test("beside the horse at 390 px: taken, looked at, tacked, a nail noted with the thumb", async ({
    page,
  }) => {
    await openVisit(page, "shoe");
    await page.getByRole("button", { name: "Take it: Creased shoe" }).tap();
    await expect(page.getByText("taken", { exact: true })).toBeVisible();
    await page.getByRole("button", { name: "Stage after" }).tap();
    await page.getByRole("checkbox", { name: "Tack with two nails" }).click();
    await page.getByRole("button", { name: "Nail 1, inside" }).tap();
    await page.getByRole("button", { name: "bent", exact: true }).tap();
    await expect(page.getByRole("button", { name: "Nail 1, inside: bent" })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  });
});
