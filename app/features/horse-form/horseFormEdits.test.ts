import { afterAll, beforeEach, describe, expect, test } from "@jest/globals";
import { saveEdits, undoLast } from "~app/data/edits";
import { goneOf, readRosterRecords, rosterOf } from "~app/data/queries";
import { session } from "~app/data/session";
import type { Horse } from "~core/record/horse";
import { blankVisit } from "~core/record/visit";
import type { Yard } from "~core/record/yard";
import { ok, type Result } from "~core/result";
import { horseFormEdits, NEW_YARD, type HorseFormValues } from "./horseFormEdits";

const form = (
  horse: Partial<Horse> = {},
  yard: HorseFormValues["yard"] = { name: "Home field" },
): HorseFormValues => ({
  horse: { name: "Wren", kind: "horse", massKg: 430, use: "riding", finish: "full set", ...horse },
  yardId: NEW_YARD,
  yard,
});
const TODAY = "2026-11-23";
/** The form kept over what stood there when it was opened: the horse's id, or what is wrong. */
async function saveHorseForm(
  values: HorseFormValues,
  horse: Horse | undefined,
  yard: Yard | undefined,
): Promise<Result<string> & { saved?: string }> {
  const ids = { horse: crypto.randomUUID(), yard: crypto.randomUUID() };
  const planned = await session.db.visits.filter(({ status }) => status === "planned").toArray();
  const edits = horseFormEdits(values, { horse, yard, planned, ids }, TODAY);
  if (!edits.ok) return edits;
  const saved = await saveEdits(edits.value);
  return { ...ok(horse?.id ?? ids.horse), saved: saved.kind };
}
const paths = async (values: HorseFormValues) => {
  const saved = await saveHorseForm(values, undefined, undefined);
  return saved.ok ? [] : saved.issues.map(({ path }) => path);
};

beforeEach(async () => {
  const { horses, yards, visits, journal } = session.db;
  await Promise.all([horses.clear(), yards.clear(), visits.clear(), journal.clear()]);
});
afterAll(() => session.close());

describe("horseFormEdits", () => {
  test("keeps a new horse and its new yard together", async () => {
    const saved = await saveHorseForm(form({}, { name: "Home field", person: "Jory" }), undefined, undefined);
    const horse = await session.db.horses.get(saved.ok ? saved.value : "");
    expect(horse).toMatchObject({ name: "Wren", massKg: 430, habits: "", notes: "" });
    expect(await session.db.yards.get(horse?.yardId ?? "")).toMatchObject({
      name: "Home field",
      person: "Jory",
      access: "",
    });
  });

  test("one undo takes both away again: it was one doing", async () => {
    await saveHorseForm(form(), undefined, undefined);
    expect(await session.db.journal.count()).toBe(1);
  });

  test.each([
    [{ name: "" }, "horse.name"],
    [{ massKg: 9 }, "horse.massKg"],
    [{ capWeeks: 40 }, "horse.capWeeks"],
    [{ toeTargetMm: 900 }, "horse.toeTargetMm"],
  ])("%j is refused at %s and nothing is kept", async (change, path) => {
    expect(await paths(form(change))).toEqual([path]);
    expect([await session.db.horses.count(), await session.db.yards.count()]).toEqual([0, 0]);
  });

  test("a new yard needs a name", async () => {
    expect(await paths(form({}, {}))).toEqual(["yard.name"]);
  });

  test("one that is gone: what was planned for it is taken off, what was done stays, one undo brings all back", async () => {
    const made = await saveHorseForm(form(), undefined, undefined);
    const was = (await session.db.horses.get(made.ok ? made.value : ""))!;
    const yard = (await session.db.yards.get(was.yardId))!;
    const visit = (id: string, status: "planned" | "signed") => ({
      id,
      horseId: was.id,
      date: "2026-11-25",
      status,
      ...blankVisit(),
    });
    await session.db.visits.bulkAdd([visit("coming", "planned"), visit("done", "signed")]);
    const values = form(was, yard);
    await saveHorseForm({ ...values, yardId: yard.id, left: "moved away" }, was, yard);
    const gone = (await session.db.horses.get(was.id))!;
    expect(gone.left).toEqual({ on: expect.stringMatching(/^\d{4}-\d\d-\d\d$/), why: "moved away" });
    expect((await session.db.visits.toArray()).map(({ id }) => id)).toEqual(["done"]);
    const records = await readRosterRecords(TODAY);
    expect([rosterOf(records).length, goneOf(records.horses).map(({ id }) => id)]).toEqual([0, [was.id]]);

    await undoLast();
    expect((await session.db.visits.toArray()).map(({ id }) => id).sort()).toEqual(["coming", "done"]);
    expect((await session.db.horses.get(was.id))?.left).toBeUndefined();

    // Kept again for something else, it left when it left.
    const earlier = { ...was, left: { on: "2026-10-01", why: "moved away" as const } };
    await session.db.horses.put(earlier);
    await saveHorseForm({ ...values, yardId: yard.id, left: "moved away" }, earlier, yard);
    expect((await session.db.horses.get(was.id))?.left?.on).toBe("2026-10-01");
  });

  test("an emptied optional field is gone, not zero", async () => {
    const made = await saveHorseForm(form({ capWeeks: 4 }), undefined, undefined);
    const was = (await session.db.horses.get(made.ok ? made.value : ""))!;
    const yard = (await session.db.yards.get(was.yardId))!;
    const { id: _id, yardId: _yardId, capWeeks: _capWeeks, ...rest } = was;
    await saveHorseForm({ horse: { ...rest, name: "Wren II" }, yardId: yard.id, yard }, was, yard);
    expect(await session.db.horses.get(was.id)).toEqual({
      id: was.id,
      yardId: yard.id,
      ...rest,
      name: "Wren II",
    });
  });

  test("what the form does not ask stays: lenses and a show", async () => {
    const made = await saveHorseForm(form(), undefined, undefined);
    const id = made.ok ? made.value : "";
    const beside = { lenses: { frontBack: "even-halves" as const }, showOn: "2026-12-05" };
    await session.db.horses.update(id, beside);
    const was = (await session.db.horses.get(id))!;
    await saveHorseForm({ ...form({ name: "Wren II" }), yardId: was.yardId }, was, undefined);
    expect(await session.db.horses.get(id)).toMatchObject({ name: "Wren II", ...beside });
  });

  test("work and ground are kept as a whole, and are gone where nothing was said", async () => {
    const made = await saveHorseForm(form({ life: { work: ["jumping"] } as never }), undefined, undefined);
    const id = made.ok ? made.value : "";
    const was = (await session.db.horses.get(id))!;
    expect(was.life).toEqual({ work: ["jumping"], footing: [], goes: [], conditions: [] });
    await saveHorseForm(
      { ...form({ life: { work: [], growsMoreThanItWears: false } as never }), yardId: was.yardId },
      was,
      undefined,
    );
    expect((await session.db.horses.get(id))?.life).toBeUndefined();
  });

  test("only what the form changed is changed: another tab’s other field stays, the same field is asked about", async () => {
    const made = await saveHorseForm(form(), undefined, undefined);
    const opened = (await session.db.horses.get(made.ok ? made.value : ""))!;
    await session.db.horses.update(opened.id, { notes: "from the other tab" });
    const other = await saveHorseForm(
      { ...form({ name: "Mine" }), yardId: opened.yardId },
      opened,
      undefined,
    );
    expect(other.saved).toBe("saved");
    expect(await session.db.horses.get(opened.id)).toMatchObject({
      name: "Mine",
      notes: "from the other tab",
    });
    const same = await saveHorseForm(
      { ...form({ name: "Again" }), yardId: opened.yardId },
      opened,
      undefined,
    );
    expect(same.saved).toBe("conflict");
    expect((await session.db.horses.get(opened.id))?.name).toBe("Mine");
  });

  test("a yard’s access note, opened through two horses’ forms, is not undone by the second", async () => {
    const made = await saveHorseForm(form(), undefined, undefined);
    const horse = (await session.db.horses.get(made.ok ? made.value : ""))!;
    const yard = (await session.db.yards.get(horse.yardId))!;
    await session.db.yards.update(yard.id, { access: "Code 4711" });
    await saveHorseForm({ ...form(horse, { ...yard, phone: "0100" }), yardId: yard.id }, horse, yard);
    expect(await session.db.yards.get(yard.id)).toMatchObject({ access: "Code 4711", phone: "0100" });
  });
});
