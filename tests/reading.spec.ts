import { expect, field, openVisit, test, TODAY } from "./round";

const VISIT = `/visits/demo-yard-1-horse-1-${TODAY}`;

test("watched and read by tapping: what does not fit is asked about, what does is said", async ({ page }) => {
  await openVisit(page, "read", "LH");
  await page.getByRole("button", { name: /^Quarter, outside/ }).click();
  await page.getByRole("button", { name: /^Heel, outside/ }).click();
  await expect(page.getByRole("table", { name: "Wear by place" })).toContainText("Quarter, outsidethin");
  await page.goto(`${VISIT}/watch?foot=LH`);
  const figure = page.getByRole("application", { name: /left hind, as it came/ });
  const box = await figure.boundingBox();
  if (!box) throw new Error("no figure");
  const [right, left] = [box.x + box.width * 0.7, box.x + box.width * 0.3];
  const middle = box.y + box.height * 0.46;
  await page.mouse.click(right, middle);
  await expect(page.getByText("lands inside first")).toBeVisible();
  await expect(
    page.getByText(/It does not fit: it was seen to land inside first, yet the outside branch/),
  ).toBeVisible();
  await page.mouse.click(left, middle);
  await expect(page.getByText("Landing, breakover and the wear of the shoe agree.")).toBeVisible();
  await page.mouse.move(box.x + box.width / 2, middle);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.28, box.y + 16, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText("lands outside first, leaves over the outside toe quarter")).toBeVisible();
  await page.getByRole("group", { name: "Flight" }).getByRole("button", { name: "swings in" }).click();
  await expect(page.getByRole("button", { name: "left hind" })).toContainText("seen");
  await page.goto(`${VISIT}/survey?foot=LH`);
  await expect(page.getByRole("list", { name: "Findings" })).toContainText(
    "Lands outside first, and the wear agrees.",
  );
});

test("as many looks as are taken, each with its ground; compared with one another, with the pair, with the last visit", async ({
  page,
}) => {
  await openVisit(page, "watch", "LF");
  const choose = (group: string, word: string) =>
    page
      .getByRole("group", { name: group, exact: true })
      .getByRole("button", { name: word, exact: true })
      .click();
  const look = (name: string) =>
    page.getByRole("group", { name: "Look", exact: true }).getByRole("button", { name, exact: true });
  await choose("Gait", "trot");
  await choose("Flight", "swings in");
  await expect(page.getByText("Flight: straight, now swings in.")).toBeVisible();
  await page.goto(`${VISIT}/watch?foot=RF`);
  await choose("Flight", "straight");
  await expect(page.getByText("Only the left fore: swings in.")).toBeVisible();
  await page.goto(`${VISIT}/watch?foot=LF`);
  await expect(page.getByText("Only this one of the pair: swings in.")).toBeVisible();
  await look("All done").click();
  await expect(page.getByRole("combobox", { name: "Held against" })).toContainText("as it came");
  await choose("Flight", "straight");
  await expect(page.getByText("Flight: swings in, now straight.")).toBeVisible();
  await page.getByRole("button", { name: "+ one more" }).click();
  await choose("When", "shoes off");
  await choose("Head", "nods");
  await expect(page.getByRole("alert", { name: "For the vet" })).toContainText("Head nods");
  await page.reload();
  await expect(look("Shoes off, again")).toBeVisible();
  await look("As it came").click();
  await expect(
    page.getByRole("group", { name: "Gait", exact: true }).getByRole("button", { name: "trot", exact: true }),
  ).toHaveAttribute("aria-pressed", "true");
});

test("the shoe as found: the one of last time in a tap, what it gave, what its state moves; nonsense is refused at its place", async ({
  page,
}) => {
  await openVisit(page, "read", "LF");
  const found = page.getByRole("region", { name: "The shoe as found" });
  await found.getByRole("button", { name: "It is the one put on last time" }).click();
  await expect(found.getByRole("textbox", { name: "Made by" })).toHaveValue("last visit");
  await found.getByRole("textbox", { name: "Length" }).fill("20");
  await found.getByRole("textbox", { name: "Length" }).press("Enter");
  await expect(found.getByRole("alert")).toContainText("no shoe");
  await expect(found.getByRole("textbox", { name: "Length" })).toHaveValue("20");
  await found.getByRole("textbox", { name: "Length" }).fill("130");
  await found.getByRole("textbox", { name: "Length" }).press("Enter");
  await expect(found).toContainText("It gave:");
  await found.getByRole("button", { name: "shifted", exact: true }).click();
  await expect(found).toContainText("landing and wear of today belong to that");
  await page.goto(`${VISIT}/shoe?foot=LF`);
  await expect(page.getByText("As found:")).toBeVisible();
});

test("the keyboard watches too: arrows move the landing, shift and arrows the leaving", async ({ page }) => {
  await openVisit(page, "watch", "RF");
  const figure = page.getByRole("application", { name: /right fore, as it came/ });
  await figure.focus();
  for (let step = 0; step < 6; step++) {
    await page.keyboard.press("ArrowRight");
    await expect(page.getByText(step < 3 ? "lands flat" : "lands outside first")).toBeVisible();
  }
});

test("a puncture raises the one banner; it stands on every stage until it is answered with a reason", async ({
  page,
}) => {
  await openVisit(page, "read", "RF");
  await page.getByRole("combobox", { name: "What was found" }).selectOption({ label: "Puncture" });
  await page.getByRole("button", { name: /Add “puncture”/ }).click();
  const banner = page.getByRole("alert", { name: "For the vet" });
  await expect(banner).toContainText("Leave the object in place");
  await page.goto(`${VISIT}/survey?foot=LF`);
  await expect(banner).toBeVisible();
  await banner.getByRole("button", { name: "Told the vet" }).click();
  await expect(banner).toContainText("Say in a word who was told");
  await banner.getByRole("textbox").fill("Rang the practice at ten");
  await banner.getByRole("button", { name: "Told the vet" }).click();
  await expect(banner).toBeHidden();
  await page.goto(`${VISIT}/read?foot=RF`);
  await expect(page.getByRole("listitem").filter({ hasText: "Puncture" })).toBeVisible();
});

test("the sore foot is done first, with the reason", async ({ page }) => {
  await openVisit(page, "arrive");
  await page.getByRole("group", { name: "A foot that hurts" }).getByRole("button", { name: "LH" }).click();
  await expect(page.getByText("The sore foot first")).toBeVisible();
  await page.goto(`${VISIT}/watch?foot=LH`);
  await expect(
    page.getByRole("group", { name: "Foot", exact: true }).getByRole("button").first(),
  ).toContainText("LH");
});

test("the sole by calliper draws as it goes, and its survey is read at once", async ({ page }) => {
  await openVisit(page, "survey");
  await page.goto(`${VISIT}/survey?foot=LF&way=calliper`);
  const lengths = ["43", "98", "132", "14", "9", "60", "61", "63", "67", "42", "40", "22", "21"];
  await expect(field(page, "Sulcus, back to front")).toBeFocused();
  for (const mm of lengths) {
    await page.keyboard.type(mm);
    await page.keyboard.press("Enter");
  }
  const readings = page.getByRole("region", { name: "Readings" });
  await expect(readings.getByRole("row", { name: /Heels ahead, inside/ })).toContainText("14 mm");
  await expect(readings.getByRole("row", { name: /Front : support/ })).not.toContainText("est.");
  await expect(page.getByRole("list", { name: "Findings" })).toContainText("Heels run forward: 14 mm / 9 mm");
  await page.getByText("The numbers behind the drawings").click();
  await expect(page.getByRole("table", { name: "Survey of the sole" })).toContainText(
    "COR by the diagonalsmissing",
  );
});

test("marks are moved on the drawing; one that is impossible is named and the rest still counts", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await page.goto(`${VISIT}/survey?foot=LF&way=marks`);
  for (const name of [
    "Sulcus, back end",
    "Sulcus, front end",
    "Widest part, inside",
    "Widest part, outside",
    "Toe",
  ]) {
    const handle = page.locator("svg").getByRole("button", { name: new RegExp(`^${name}(, a guess)?$`) });
    await handle.focus();
    await page.keyboard.press("ArrowUp");
    await page.keyboard.press("ArrowDown");
    await expect(page.locator("svg").getByRole("button", { name, exact: true })).toBeVisible();
  }
  await expect(page.getByRole("region", { name: "Readings" })).toContainText("Front half");
  const heel = page.locator("svg").getByRole("button", { name: /^Heel, inside/ });
  await heel.focus();
  for (let step = 0; step < 44; step++) await page.keyboard.press("Shift+ArrowRight");
  await expect(page.getByRole("alert")).toContainText("across the midline");
  await expect(page.getByRole("region", { name: "Readings" })).toContainText("Front half");
  await page.getByRole("button", { name: "Take the mark away: Heel, inside" }).click();
  await expect(page.getByRole("alert")).toHaveCount(0);
});

test("walls, depths and rings make their findings; a wall of 90 mm is refused at its place", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await page.goto(`${VISIT}/survey?foot=LF&way=walls`);
  const cell = (name: string) => page.getByRole("textbox", { name, exact: true });
  for (const [name, mm] of [
    ["Toe, wall thickness", "21"],
    ["Quarter, inside, wall thickness", "9"],
    ["Quarter, outside, wall thickness", "9"],
    ["Sulcus depth", "8"],
  ] as const) {
    await cell(name).fill(mm);
    await cell(name).press("Enter");
  }
  const findings = page.getByRole("list", { name: "Findings" });
  await expect(findings).toContainText("Probably a thin sole: the sulcus beside the frog is 8 mm deep.");
  await expect(findings).toContainText("9 mm of horn stands outside the foot's own shape at the toe");
  await expect(page.getByText("green: the foot’s own shape")).toBeVisible();
  await cell("Heel, inside, wall thickness").fill("90");
  await cell("Heel, inside, wall thickness").press("Enter");
  await expect(page.getByRole("alert")).toContainText("90 mm is outside what a foot can have");
  await expect(cell("Heel, inside, wall thickness")).toHaveValue("90");
});

test("instruments: a stand-in fills the field and is called simulated; a line typed by a wedge is understood", async ({
  page,
}) => {
  await openVisit(page, "survey");
  await expect(field(page, "Dorsal angle")).toBeFocused();
  await page.getByRole("button", { name: "Simulated reading" }).click();
  await expect(field(page, "Dorsal angle")).not.toHaveValue("");
  await expect(page.getByRole("button", { name: "Dorsal angle taken by simulated; change" })).toBeVisible();
  await field(page, "Toe length").fill("C 3.5 in");
  await field(page, "Toe length").press("Enter");
  await expect(field(page, "Toe length")).toHaveValue("89");
  await field(page, "Bearing length").fill("G 48.0 deg");
  await field(page, "Bearing length").press("Enter");
  await expect(page.getByRole("alert")).toContainText("This is a length: use the calliper.");
});

test("lenses: chosen for this horse, a second one laid over, and what each lacks is said", async ({
  page,
}) => {
  await openVisit(page, "survey");
  const lenses = page.getByRole("list", { name: "Lenses" });
  await expect(lenses).toContainText("Straight axis needs dorsal and pastern angle");
  await field(page, "Dorsal angle").fill("48");
  await field(page, "Dorsal angle").press("Enter");
  await field(page, "Pastern angle").fill("52");
  await field(page, "Pastern angle").press("Enter");
  await expect(lenses).toContainText("Straight axis dorsal against pastern −4.0°");
  await page
    .getByRole("combobox", { name: "Lay a second lens over it" })
    .selectOption({ label: "Even halves" });
  await expect(lenses).toContainText(/Even halves front over support \d+ mm( under)? est\./);
  await page.getByRole("combobox", { name: "Front to back lens" }).selectOption({ label: "Live sole" });
  await expect(lenses).toContainText("Live sole needs wall above the live sole");
  await page.getByRole("combobox", { name: "Front to back lens" }).selectOption({ label: "Heels back" });
  await expect(lenses).toContainText("Heels back needs both heels, on the sole");
  await page.getByRole("combobox", { name: "Front to back lens" }).selectOption({ label: "Live sole" });
  await page.reload();
  await expect(lenses).toContainText("Live sole needs wall above the live sole");
});

test("left, right, inside and outside are right on all four limbs in every drawing", async ({ page }) => {
  await openVisit(page, "survey");
  for (const limb of ["LF", "RF", "LH", "RH"]) {
    await page.goto(`${VISIT}/survey?foot=${limb}`);
    const left = limb.startsWith("L");
    const x = async (drawing: string, letter: string) => {
      const box = await page.locator(`.${drawing} .side-letter`, { hasText: letter }).boundingBox();
      return box ? box.x : Number.NaN;
    };
    // From below a left foot has its outside on the right; from behind on the left.
    expect([limb, "sole", (await x("picture-sole", "L")) > (await x("picture-sole", "M"))]).toEqual([
      limb,
      "sole",
      left,
    ]);
    expect([limb, "rear", (await x("picture-rear", "L")) < (await x("picture-rear", "M"))]).toEqual([
      limb,
      "rear",
      left,
    ]);
    // From the outside a left foot looks to the left: its toe's label lies left of its heel.
    const front = await page.locator(".picture-side .halves text").last().boundingBox();
    const support = await page.locator(".picture-side .halves text").first().boundingBox();
    expect([limb, "side", (front?.x ?? 0) < (support?.x ?? 0)]).toEqual([limb, "side", left]);
    await page.goto(`${VISIT}/read?foot=${limb}`);
    const shoe = async (name: RegExp) =>
      (await page.getByRole("button", { name }).first().boundingBox())?.x ?? 0;
    expect([limb, "shoe", (await shoe(/^Heel, outside/)) > (await shoe(/^Heel, inside/))]).toEqual([
      limb,
      "shoe",
      left,
    ]);
  }
});

test("one's own bounds change what is said; an order that makes no sense is refused where it stands", async ({
  page,
}) => {
  await openVisit(page, "survey");
  for (const [name, mm] of [
    ["Heel height, inside", "30"],
    ["Heel height, outside", "36"],
  ] as const) {
    await field(page, name).fill(mm);
    await field(page, name).press("Enter");
  }
  const said = page.getByRole("listitem").filter({ hasText: "outside heel stands 6 mm taller" });
  await expect(said).toContainText("drifting");
  await page.goto("/settings/reading");
  const bounds = page.getByRole("textbox", { name: /heel heights of one foot/ });
  await bounds.fill("5 / 2");
  await bounds.press("Enter");
  await expect(page.getByRole("alert")).toContainText("Drifting must begin before act does.");
  await expect(bounds).toHaveValue("5 / 2");
  await bounds.fill("1 / 3");
  await bounds.press("Enter");
  await expect(page.getByRole("status")).toContainText("Kept");
  await page.goto(`${VISIT}/survey`);
  await expect(said).toContainText("act");
});

test("every rule can be read by a farrier: when, then, and which lens it speaks for", async ({ page }) => {
  await openVisit(page, "arrive");
  await page.goto("/settings/reading");
  const rules = page.getByRole("region", { name: "Rules" });
  await expect(
    rules.getByRole("row", { name: /Heel shallower than the front wall by more than 5°/ }),
  ).toContainText("any lens");
  await page.getByRole("radio", { name: "Even halves", exact: true }).click();
  await expect(page.getByRole("status")).toContainText("Kept");
  await page.goto(`${VISIT}/survey`);
  await expect(page.getByRole("combobox", { name: "Front to back lens" })).toHaveValue("even-halves");
});

test("wet feet are noted on arrival, and said beside every reading of the day", async ({ page }) => {
  await openVisit(page, "arrive");
  await page.getByRole("group", { name: "Feet have stood" }).getByRole("button", { name: "wet" }).click();
  await expect(page.getByText("today’s readings are marked so")).toBeVisible();
  await page.goto(`${VISIT}/survey`);
  await expect(page.getByRole("list", { name: "Steady" })).toContainText("The feet have stood wet");
});

test("what was taken off last time stands on arrival", async ({ page }) => {
  await openVisit(page, "arrive");
  await expect(page.getByText(/^LF toe \d.*heels \d/)).toBeVisible();
});
