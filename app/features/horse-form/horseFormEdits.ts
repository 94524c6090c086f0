import { change, make, remove } from "~core/record/change";
import { sameValue, type Edit } from "~core/record/edit";
import { horseSchema, type Horse } from "~core/record/horse";
import type { Visit } from "~core/record/visit";
import { yardSchema, type Yard } from "~core/record/yard";
import { ok, type Result } from "~core/result";
import { issuesOf } from "~core/schema/issues";

/** What the form asks: the horse's fields, and the yard either by id or as a new one. */
export interface HorseFormValues {
  horse: Partial<Horse>;
  yardId: string;
  yard?: Partial<Yard>;
  /** Why it is no longer on the round; "" or nothing while it is. */
  left?: NonNullable<Horse["left"]>["why"] | "";
}

/** What stood there when the form was opened: every edit starts from it, whatever other tabs have done since. */
export interface Opened {
  horse?: Horse | undefined;
  yard?: Yard | undefined;
  /** The visits that are only planned for it. */
  planned: readonly Visit[];
  /** Ids of what the form may make: one horse and one yard, however often Keep is pressed. */
  ids: { horse: string; yard: string };
}

export const NEW_YARD = "new";

/** The fields that the form asks; any other field of the record is left alone. */
const ASKED = [
  "name",
  "kind",
  "massKg",
  "use",
  "finish",
  "capWeeks",
  "toeTargetMm",
  "habits",
  "notes",
  "companionId",
  "yardId",
  "left",
] as const satisfies readonly (keyof Horse)[];
const ASKED_OF_YARD = ["name", "person", "phone", "access"] as const satisfies readonly (keyof Yard)[];

/**
 * The edits that make of what was opened what the form says, field by field. What is wrong comes back with the path of
 * its field (`horse.name`, `yard.name`).
 */
export function horseFormEdits(form: HorseFormValues, opened: Opened, today: string): Result<Edit[]> {
  const isNewYard = form.yardId === NEW_YARD;
  const yardId = isNewYard ? opened.ids.yard : form.yardId;
  const wasYard = opened.yard?.id === yardId ? opened.yard : undefined;
  const asksYard = isNewYard || wasYard !== undefined;
  const yard = yardSchema.safeParse({
    ...wasYard,
    ...pick(ASKED_OF_YARD, undefined),
    ...clean(pick(ASKED_OF_YARD, form.yard)),
    name: form.yard?.name ?? "",
    id: yardId,
  });
  const horse = horseSchema.safeParse({
    ...opened.horse,
    ...pick(ASKED, undefined),
    ...clean(pick(ASKED, form.horse)),
    ...lifeOf(form.horse),
    left: leftOf(form.left, opened.horse, today),
    name: form.horse.name ?? "",
    id: opened.horse?.id ?? opened.ids.horse,
    yardId,
  });
  const issues = [
    ...(!horse.success ? issuesOf(horse.error, "horse") : []),
    ...(asksYard && !yard.success ? issuesOf(yard.error, "yard") : []),
  ];
  if (issues.length > 0 || !horse.success) return { ok: false, issues };
  return ok([
    ...(asksYard && yard.success ? yardEdits(wasYard, yard.data) : []),
    ...horseEdits(opened.horse, horse.data),
    ...(horse.data.left
      ? opened.planned.map((visit) => remove("visits", visit, `${horse.data.name} taken off`))
      : []),
  ]);
}

function yardEdits(was: Yard | undefined, now: Yard): Edit[] {
  if (!was) return [make("yards", now, now.name)];
  return ASKED_OF_YARD.flatMap((key) =>
    sameValue(was[key], now[key]) ? [] : [change("yards", was, [key], now[key], `${now.name}, ${key}`)],
  );
}

function horseEdits(was: Horse | undefined, now: Horse): Edit[] {
  if (!was) return [make("horses", now, now.name)];
  const label = (part: string) => `${now.name}, ${part}`;
  const fields = ASKED.flatMap((key) =>
    sameValue(was[key], now[key]) ? [] : [change("horses", was, [key], now[key], label(WORDS[key] ?? key))],
  );
  return [...fields, ...lifeEdits(was, now)];
}

/** Words for the fields whose names are not words. */
const WORDS: Partial<Record<(typeof ASKED)[number], string>> = {
  massKg: "body mass",
  capWeeks: "longest interval",
  toeTargetMm: "toe target",
  companionId: "companion",
  yardId: "yard",
  left: "on the round",
};

/** Work and ground have fields of their own: each by itself where they were there and stay. */
function lifeEdits(was: Horse, now: Horse): Edit[] {
  const [before, after] = [was.life, now.life];
  const label = `${now.name}, work and ground`;
  if (sameValue(before, after)) return [];
  if (!before || !after) return [change("horses", was, ["life"], after, label)];
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  const at = (record: object, key: string) => (record as Record<string, unknown>)[key];
  return keys.flatMap((key): Edit[] =>
    sameValue(at(before, key), at(after, key))
      ? []
      : [
          {
            table: "horses",
            id: was.id,
            path: ["life", key],
            was: at(before, key),
            now: at(after, key),
            label,
          },
        ],
  );
}

/** Since when it is gone: the day that was kept, while the reason is the same. */
function leftOf(why: HorseFormValues["left"], was: Horse | undefined, today: string): Horse["left"] {
  if (!why) return undefined;
  return was?.left?.why === why ? was.left : { on: today, why };
}

/** Work and ground without their emptied fields; gone where nothing of them was filled in. */
function lifeOf({ life }: Partial<Horse>) {
  const said = clean(life);
  const anything = Object.values(said).some((one) => (Array.isArray(one) ? one.length > 0 : one !== false));
  return {
    life: anything ? { work: [], footing: [], goes: [], conditions: [], ...said } : undefined,
  };
}

/** These keys of a record, each there even where it is undefined. */
const pick = <Key extends string>(keys: readonly Key[], from: Partial<Record<Key, unknown>> | undefined) =>
  Object.fromEntries(keys.map((key) => [key, from?.[key]]));

/** Emptied fields are missing fields. */
const clean = (values: Record<string, unknown> = {}): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(values).filter(([, value]) => value !== "" && value !== null && value !== undefined),
  );
