import { saveEdits } from "~app/data/edits";
import { session } from "~app/data/session";
import { todayHere } from "~app/ui/days";
import { issuesOf } from "~core/schema/issues";
import type { Edit } from "~core/record/edit";
import { horseSchema, type Horse } from "~core/record/horse";
import { yardSchema, type Yard } from "~core/record/yard";
import { fail, ok, type Result } from "~core/result";

/** What the form sends: the horse's fields, and the yard either by id or as a new one. */
export interface HorseFormValues {
  horse: Partial<Horse>;
  yardId: string;
  yard?: Partial<Yard>;
  /** Why it is no longer on the round; "" or nothing while it is. */
  left?: NonNullable<Horse["left"]>["why"] | "";
}

export const NEW_YARD = "new";

/**
 * Checks and keeps a horse and its yard together. Answers the horse's id; what is wrong comes back with the path of
 * its field (`horse.name`, `yard.name`), and the form keeps what was typed.
 */
export async function saveHorseForm(
  form: HorseFormValues,
  was: Horse | undefined,
  wasYard: Yard | undefined,
): Promise<Result<string>> {
  const edits: Edit[] = [];
  const sameYard = wasYard?.id === form.yardId;
  const yardId = form.yardId === NEW_YARD ? crypto.randomUUID() : form.yardId;
  const yard = yardSchema.safeParse({
    ...(sameYard ? wasYard : {}),
    ...clean(form.yard),
    name: form.yard?.name ?? "",
    id: yardId,
  });
  const horse = horseSchema.safeParse({
    ...notOnTheForm(was),
    ...clean(form.horse),
    ...lifeOf(form.horse),
    left: leftOf(form.left, was),
    name: form.horse.name ?? "",
    id: was?.id ?? crypto.randomUUID(),
    yardId,
  });
  const needsYard = form.yardId === NEW_YARD || sameYard;
  const issues = [
    ...(!horse.success ? issuesOf(horse.error, "horse") : []),
    ...(needsYard && !yard.success ? issuesOf(yard.error, "yard") : []),
  ];
  if (issues.length > 0 || !horse.success) return { ok: false, issues };
  if (needsYard && yard.success)
    edits.push({
      table: "yards",
      id: yardId,
      path: [],
      was: sameYard ? wasYard : undefined,
      now: yard.data,
      label: yard.data.name,
    });
  edits.push({ table: "horses", id: horse.data.id, path: [], was, now: horse.data, label: horse.data.name });
  if (horse.data.left) edits.push(...(await plansOf(horse.data)));
  const saved = await saveEdits(edits);
  if (saved.kind === "saved") return ok(horse.data.id);
  if (saved.kind === "conflict")
    return fail(
      "conflict",
      "",
      "This horse was changed in another tab. Open its page again to see what is there now; your text stays here.",
    );
  return fail("failed", "", saved.kind === "failed" ? saved.message : "This could not be kept.");
}

/** Since when it is gone: the day that was kept, while the reason is the same. */
function leftOf(why: HorseFormValues["left"], was: Horse | undefined): Horse["left"] {
  if (!why) return undefined;
  return was?.left?.why === why ? was.left : { on: todayHere(), why };
}

/** The visits that are only planned for a horse, taken off: nobody drives to one that is gone. */
async function plansOf({ id, name }: Horse): Promise<Edit[]> {
  const visits = await session.db.visits.where("horseId").equals(id).toArray();
  return visits
    .filter(({ status }) => status === "planned")
    .map((visit) => ({
      table: "visits",
      id: visit.id,
      path: [],
      was: visit,
      now: undefined,
      label: `${name} taken off`,
    }));
}

/** What a horse's record holds that this form does not ask: it stays. */
const notOnTheForm = (was: Horse | undefined) => ({
  ...(was?.lenses && { lenses: was.lenses }),
  ...(was?.showOn !== undefined && { showOn: was.showOn }),
});

/** Work and prescription without their emptied fields; gone where nothing of them was filled in. */
function lifeOf({ life, prescription }: Partial<Horse>) {
  const said = clean(life);
  const anything = Object.values(said).some((one) => (Array.isArray(one) ? one.length > 0 : one !== false));
  const asked = clean(prescription);
  const prescribed = Object.values(asked).some((one) => !Array.isArray(one) || one.length > 0);
  return {
    life: anything ? { work: [], footing: [], goes: [], conditions: [], ...said } : undefined,
    prescription: prescribed ? { by: "", until: "", feet: [], ...asked } : undefined,
  };
}

/** Emptied fields are missing fields. */
const clean = (values: Record<string, unknown> = {}): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(values).filter(([, value]) => value !== "" && value !== null && value !== undefined),
  );
