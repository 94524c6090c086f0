import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { expect, field, openVisit, test, TODAY } from "./round";

const VISIT = `/visits/demo-yard-1-horse-1-${TODAY}`;
const CASED = "/horses/demo-yard-5-horse-5";
const CASE = `${CASED}/cases/demo-yard-5-horse-5-case`;
const SCREENS = [
  "/",
  "/horses",
  "/horses/demo-yard-1-horse-1",
  "/horses/demo-yard-1-horse-1/edit",
  "/forge",
  "/forge?view=marks",
  "/forge?view=pattern",
  "/forge?view=heats",
  "/forge?view=heats&sheet=on",
  "/forge?view=hand",
  "/forge?view=list",
  "/forge?view=tables",
  "/files",
  "/cautions",
  "/new",
  "/settings",
  "/settings/reading",
  "/settings/shoeing",
  `${VISIT}/arrive`,
  `${VISIT}/watch`,
  `${VISIT}/read`,
  `${VISIT}/survey`,
  `${VISIT}/survey?way=calliper`,
  `${VISIT}/survey?way=marks`,
  `${VISIT}/survey?way=walls`,
  `${VISIT}/survey?way=photo`,
  "/card",
  `${VISIT}/trim?view=bench`,
  `${VISIT}/trim?view=sheet`,
  `${VISIT}/trim?view=pair`,
  `${VISIT}/trim?view=months`,
  `${VISIT}/shoe?view=choose`,
  `${VISIT}/shoe?view=fit`,
  `${VISIT}/shoe?view=sizes`,
  `${VISIT}/set`,
  `${VISIT}/recheck`,
  `${VISIT}/sign-off`,
  "/cases",
  CASE,
  `${CASE}/edit`,
  `${CASED}/cases/new`,
  `${CASED}/films`,
  `${CASED}/films/demo-film-1`,
  `${CASED}/sheets`,
  "/ground",
  `/ground/demo-yard-1-horse-1-${TODAY}/LF?ground=arena&shoes=on,egg-bar`,
  "/practice",
  "/practice/measure",
  "/practice/read",
  "/practice/cut",
  "/practice/length",
  "/practice/run",
  "/rounds",
  "/rounds?view=board",
  "/rounds?view=calls",
  `/rounds/${TODAY}`,
];

const COLOURS = ["color-contrast"];
/** A button of each kind, which a pointer over it gives other colours. */
const UNDER_A_POINTER = [
  [`${VISIT}/watch`, "+ one more"],
  [`${VISIT}/arrive`, /^On to/],
  ["/horses", "Add a horse"],
  ["/files", "Back up everything"],
] as const;

for (const theme of ["paper", "barn"] as const)
  test(`no serious finding of axe on any screen, ${theme}`, async ({ page }) => {
    test.setTimeout(400_000);
    await openVisit(page, "survey");
    await field(page, "Dorsal angle").fill("44");
    await field(page, "Dorsal angle").press("Enter");
    await field(page, "Pastern angle").fill("52");
    await field(page, "Pastern angle").press("Enter");
    await field(page, "Toe length").fill("98");
    await field(page, "Toe length").press("Enter");
    if (theme === "barn") {
      await page.goto("/settings");
      await page.getByText("Barn: dark, large").click();
      await expect(page.locator("html")).toHaveAttribute("data-theme", "barn");
    }
    for (const address of SCREENS) {
      await goOn(page, address);
      // What another theme can spoil is its colours.
      expect([address, await serious(page, theme === "barn" && COLOURS)]).toEqual([address, []]);
    }
    for (const [address, name] of UNDER_A_POINTER) {
      await goOn(page, address);
      await page.getByRole("button", { name }).first().hover({ timeout: 10_000 });
      expect([name, await serious(page, COLOURS)]).toEqual([name, []]);
    }
  });

/** What axe finds serious, by rule and first place. */
async function serious(page: Page, rules: string[] | false): Promise<string[]> {
  // No page has another inside it: axe needs no tab of its own to look at one.
  const axe = new AxeBuilder({ page }).setLegacyMode(true);
  if (rules) axe.withRules(rules);
  const { violations } = await axe.analyze();
  return violations
    .filter(({ impact }) => impact === "serious" || impact === "critical")
    .map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`);
}

/** Goes on to another address as a link inside the application does; the page that was left is gone afterwards. */
async function goOn(page: Page, address: string) {
  interface Inside {
    __reactRouterDataRouter?: { navigate: (to: string, how: { flushSync: boolean }) => Promise<void> };
  }
  await page.evaluate(
    async (to) => (globalThis as Inside).__reactRouterDataRouter?.navigate(to, { flushSync: true }),
    address,
  );
  await expect(page).toHaveURL(address);
  await expect(page.getByRole("heading").first()).toBeVisible();
}

/** No page is wider than its screen: each opened once, and looked at in every width. */
async function noneIsWider(page: Page, addresses: readonly string[], widths: readonly number[]) {
  for (const address of addresses) {
    await goOn(page, address);
    for (const width of widths) {
      await page.setViewportSize({ width, height: 760 });
      await expect
        .soft(async () => {
          const wide = await page.evaluate(() => document.documentElement.scrollWidth);
          expect([width, address, wide]).toEqual([width, address, width]);
        })
        .toPass({ timeout: 5000 });
    }
  }
}

test("at 360 px and at 200 % nothing runs off the side", async ({ page }) => {
  await openVisit(page, "arrive");
  await noneIsWider(page, SCREENS, [640, 360]);
});

test("words without an end break: no name, note or habit of 200 letters pushes a page wider than its screen", async ({
  page,
}) => {
  test.setTimeout(400_000);
  await openVisit(page, "arrive");
  await page.goto("/mark.svg");
  await page.evaluate(async () => {
    const long = "W".repeat(200);
    const opening = indexedDB.open("plumbline-demo");
    const db = await new Promise<IDBDatabase>((done) => {
      opening.onsuccess = () => done(opening.result);
    });
    const writing = db.transaction(["yards", "horses", "visits"], "readwrite");
    const change = (table: string, to: Record<string, unknown>) => {
      const walking = writing.objectStore(table).openCursor();
      walking.onsuccess = () => {
        const cursor = walking.result;
        if (!cursor) return;
        cursor.update({ ...cursor.value, ...to });
        cursor.continue();
      };
    };
    change("yards", { name: long, access: long, person: long });
    change("horses", { name: long, habits: long, notes: long });
    change("visits", { watch: long, tell: long, notes: { arrive: long, watch: long } });
    await new Promise((done) => {
      writing.oncomplete = done;
    });
    db.close();
  });
  await page.goto("/");
  await noneIsWider(page, SCREENS, [1280, 390]);
});
