import type { Page } from "@playwright/test";
import { RECORD_VERSION } from "../../core/record/migrations";
import type { Backup } from "../../core/record/backupText";
import type { Records } from "../../core/record/tables";
import type { Vector } from "../../core/geometry/vector";
import { photograph } from "../../tests/photoFile";
import { TODAY } from "../../tests/round";
import { bench, measured, VISIT } from "../../tests/trimming";
import { begun, placeOf, type Acts } from "./found";

const ID = VISIT.replace("/visits/", "");
const LIMBS = ["LF", "RF", "LH", "RH"] as const;
/** Not the width: Enter in the lane's last field goes on to the next foot. Of the hinds: the fores' plans stand on theirs. */
const FIELDS = [
  ["Dorsal angle", "dorsalAngle", 45, 55],
  ["Toe length", "toeLength", 80, 110],
  ["Bearing length", "bearingLength", 115, 140],
  ["Pastern angle", "pasternAngle", 45, 58],
] as const;
/** How long an act may take, ms. */
const PATIENCE = { timeout: 5000 };

/** Chance, seeded: below a number, one of a list. */
export interface Chance {
  below: (most: number) => number;
  pick: <T>(list: readonly T[]) => T;
}

/** What the acts want to be there: two fores measured, a cut sheet begun on the right one. */
export async function prepared(page: Page): Promise<void> {
  for (const limb of ["LF", "RF"]) await measured(page, limb);
  await bench(page, "RF");
  await page.getByRole("button", { name: "Start the cut sheet" }).click();
  await page.getByRole("list", { name: /^Cut sheet/ }).waitFor();
}

export async function typeAway(
  page: Page,
  until: number,
  acts: Acts,
  { below, pick }: Chance,
): Promise<void> {
  const limb = pick(["LH", "RH"] as const);
  await page.goto(`${VISIT}/survey?foot=${limb}`);
  while (Date.now() < until) {
    const [name, measure, from, to] = pick(FIELDS);
    const field = page.getByRole("textbox", { name, exact: true });
    await field.waitFor(PATIENCE);
    const text = String(from + below(to - from));
    const typed = begun(acts, placeOf("reading", `${ID}.${limb}.before`, measure), text);
    await field.fill(text, PATIENCE);
    if (below(5) > 0) await field.press("Enter", PATIENCE);
    typed.ended = Date.now();
  }
}

/** Forms that keep nothing before their button, and lines beside one: where each is typed in, and the draft that holds it. */
const [HORSE, CASE] = ["demo-yard-1-horse-1", "demo-yard-5-horse-5-case"];
const CASE_PAGE = `/horses/demo-yard-5-horse-5/cases/${CASE}`;
const FORMS: readonly {
  at: string;
  field: string;
  draft: string;
  what: string;
  /** What opens it, where it is folded. */
  opens?: string;
}[] = [
  { at: `/horses/${HORSE}/edit`, field: "Notes", draft: `forms/horse/${HORSE}`, what: "horse.notes" },
  {
    at: `/horses/${HORSE}/edit`,
    field: "Habits that can hurt",
    draft: `forms/horse/${HORSE}`,
    what: "horse.habits",
  },
  { at: "/horses/new", field: "Name", draft: "forms/horse/new", what: "horse.name" },
  {
    at: `/horses/${HORSE}/cases/new`,
    field: "In your own words",
    draft: `forms/case/${HORSE}/new`,
    what: "title",
  },
  { at: CASE_PAGE, field: "What happened today", draft: `cases/${CASE}/log`, what: "" },
  { at: CASE_PAGE, field: "Who said so", draft: `cases/${CASE}/log-by`, what: "" },
  {
    at: CASE_PAGE,
    field: "In a line",
    draft: `cases/${CASE}/closing`,
    what: "",
    opens: "Close this case",
  },
  { at: "/files", field: "is called", draft: "files/device", what: "" },
];
let words = 0;

/** Words in the fields of a form; the horse's is kept now and then. */
export async function forms(page: Page, until: number, acts: Acts, { below, pick }: Chance): Promise<void> {
  const { at, field, draft, what, opens } = pick(FORMS);
  await page.goto(at);
  const box = page.getByRole("textbox", { name: field, exact: true });
  const opener = opens === undefined ? undefined : page.getByRole("button", { name: opens });
  if (opener) await box.or(opener).first().waitFor(PATIENCE);
  if (opener && (await opener.isVisible())) await opener.click(PATIENCE);
  while (Date.now() < until) {
    await box.waitFor(PATIENCE);
    const text = `typed ${++words}`;
    const typed = begun(acts, placeOf("form", draft, what), text);
    await box.fill(text, PATIENCE);
    typed.ended = Date.now();
    if (what !== "horse.notes" || below(8) > 0) continue;
    await page.getByRole("button", { name: "Keep", exact: true }).click(PATIENCE);
    await page.getByRole("heading", { level: 1, name: "Bramble" }).waitFor(PATIENCE);
    await page.goto(at);
  }
}

/** A fortnight is planned and not taken. */
export async function plan(page: Page, until: number, acts: Acts): Promise<void> {
  while (Date.now() < until) {
    await page.goto("/rounds");
    const press = page.getByRole("button", { name: "Plan the fortnight" });
    const leave = page.getByRole("button", { name: "Leave it as it was" });
    await press.or(leave).first().waitFor(PATIENCE);
    // From here on the plan may be there or not, until the next one is.
    const planned = begun(acts, placeOf("form", "rounds/plan", "plan"));
    if (await leave.isVisible()) await leave.click(PATIENCE);
    await press.click(PATIENCE);
    await page.getByRole("button", { name: "Take this plan" }).waitFor({ timeout: 60_000 });
    planned.text = "planned";
    planned.ended = Date.now();
    await page.waitForTimeout(1200);
  }
}

/** Zones of the sole, on any foot. */
export async function paint(page: Page, until: number, _acts: Acts, { below, pick }: Chance): Promise<void> {
  await page.goto(`${VISIT}/read?foot=${pick(LIMBS)}`);
  while (Date.now() < until)
    await page
      .getByRole("button", { name: /^(Quarter|Heel|Toe)/ })
      .nth(below(4))
      .click(PATIENCE);
}

/** The toe's cut, on the drawing, by the pointer. */
export async function drag(page: Page, until: number, acts: Acts, { below }: Chance): Promise<void> {
  await bench(page, "LF");
  const said = page.getByRole("group", { name: "Cuts" }).getByRole("textbox", { name: "Toe limit" });
  const handle = page.getByRole("button", { name: /^Toe, .* off/ });
  while (Date.now() < until) {
    await handle.waitFor(PATIENCE);
    const box = await handle.boundingBox();
    if (!box) continue;
    const at: Vector = [box.x + box.width / 2, box.y + box.height / 2];
    const dragged = begun(acts, placeOf("cut", `${ID}.LF`, "toe"));
    await page.mouse.move(...at);
    await page.mouse.down();
    // Up and down between nothing and the limit.
    await page.mouse.move(at[0], at[1] + (below(2) > 0 ? 1 : -1) * (3 + below(12)), { steps: 4 });
    await page.mouse.up();
    dragged.text = await said.inputValue(PATIENCE);
    dragged.ended = Date.now();
  }
}

/** Steps of the right fore's cut sheet, on and off. */
export async function tick(page: Page, until: number, acts: Acts, { below }: Chance): Promise<void> {
  await bench(page, "RF");
  const boxes = page.getByRole("list", { name: /^Cut sheet/ }).getByRole("checkbox");
  await boxes.first().waitFor(PATIENCE);
  const of = await boxes.count();
  while (Date.now() < until) {
    const box = boxes.nth(below(of));
    const ticked = await boxes.and(page.locator(":checked")).count();
    const on = await box.isChecked(PATIENCE);
    const act = begun(acts, placeOf("ticks", `${ID}.RF`), String(ticked + (on ? -1 : 1)));
    await box.setChecked(!on, PATIENCE);
    act.ended = Date.now();
  }
}

/** Made once: a picture takes a while to make. */
const made = new Map<string, ReturnType<typeof photograph>["file"]>();

/** Photographs chosen from files, one after the other. */
export async function photographs(page: Page, until: number, acts: Acts, { pick }: Chance): Promise<void> {
  const limb = pick(LIMBS);
  const file = made.get(limb) ?? photograph("sole", limb).file;
  made.set(limb, file);
  const place = placeOf("photos", ID);
  while (Date.now() < until) {
    await page.goto(`${VISIT}/survey?foot=${limb}&way=photo`);
    const before = Number((acts.get(place) ?? []).at(-1)?.text ?? 0);
    const act = begun(acts, place, String(before + 1));
    await page.locator('input[aria-label="Take or choose: sole"]').setInputFiles(file, PATIENCE);
    await page.waitForURL(/photo=/, PATIENCE);
    act.ended = Date.now();
  }
}

export async function bringIn(page: Page, file: string, way: "Restore it" | "Put together"): Promise<void> {
  await page.goto("/files");
  await page.getByLabel("Choose a backup file").setInputFiles({
    name: "b.json",
    mimeType: "application/json",
    buffer: Buffer.from(file),
  });
  if (way === "Put together") await page.getByRole("button", { name: "Compare with what is here" }).click();
  await page.getByRole("button", { name: way }).click();
}

/** The backup of what lies there, as another device would have gone on with it: forty visits more. */
export function fortyMore(records: Records, mark: string): Backup {
  const [first] = records.visits;
  if (!first) throw new Error("there is no visit to start from");
  const visits = Array.from({ length: 40 }, (_, at) => ({ ...first, id: `${mark}-${at}` }));
  return {
    format: "plumbline-backup",
    version: RECORD_VERSION,
    madeAt: `${TODAY}T08:00:00Z`,
    records: { ...records, pictures: [], photos: [], films: [], visits: [...records.visits, ...visits] },
    history: {
      device: { id: mark, name: "Phone" },
      devices: { [mark]: "Phone" },
      seen: { [mark]: 1 },
      stamps: visits.map(({ id }) => ({ key: `visits/${id}`, made: [mark, 1, 1] })),
    },
  };
}
