import { afterAll, beforeEach, describe, expect, test } from "@jest/globals";
import { undoLast } from "~app/data/edits";
import { readGone, readRoster } from "~app/data/queries";
import { session } from "~app/data/session";
import type { Horse } from "~core/record/horse";
import { blankVisit } from "~core/record/visit";
import { NEW_YARD, saveHorseForm, type HorseFormValues } from "./saveHorseForm";

const form = (
  horse: Partial<Horse> = {},
  yard: HorseFormValues["yard"] = { name: "Home field" },
): HorseFormValues => ({
  horse: { name: "Wren", kind: "horse", massKg: 430, use: "riding", finish: "full set", ...horse },
  yardId: NEW_YARD,
  yard,
});
const paths = async (values: HorseFormValues) => {
  const saved = await saveHorseForm(values, undefined, undefined);
  return saved.ok ? [] : saved.issues.map(({ path }) => path);
};

beforeEach(async () => {
  const { horses, yards, visits, journal } = session.db;
  await Promise.all([horses.clear(), yards.clear(), visits.clear(), journal.clear()]);
});
afterAll(() => session.close());

describe("saveHorseForm", () => {
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
    expect([(await readRoster()).rows.length, (await readGone()).map(({ id }) => id)]).toEqual([0, [was.id]]);

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

  test("a prescription wants somebody, a day and a foot, each said at its field", async () => {
    expect(await paths(form({ prescription: { says: "raised" } as never }))).toEqual([
      "horse.prescription.by",
      "horse.prescription.until",
      "horse.prescription.feet",
    ]);
    const made = await saveHorseForm(
      form({
        prescription: { by: "the vet", until: "2026-12-24", feet: ["LF"], type: "heart bar" } as never,
      }),
      undefined,
      undefined,
    );
    expect((await session.db.horses.get(made.ok ? made.value : ""))?.prescription).toEqual({
      by: "the vet",
      until: "2026-12-24",
      feet: ["LF"],
      says: "",
      type: "heart bar",
    });
  });

  test("a horse that another tab has changed meanwhile is not run over", async () => {
    const made = await saveHorseForm(form(), undefined, undefined);
    const was = (await session.db.horses.get(made.ok ? made.value : ""))!;
    await session.db.horses.update(was.id, { notes: "from the other tab" });
    const saved = await saveHorseForm({ ...form({ name: "Mine" }), yardId: was.yardId }, was, undefined);
    expect(!saved.ok && saved.issues[0]?.code).toBe("conflict");
    expect((await session.db.horses.get(was.id))?.notes).toBe("from the other tab");
  });
});
