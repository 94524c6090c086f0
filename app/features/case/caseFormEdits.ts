import { caseSchema, stagesWithoutExit, type Case } from "~core/case/caseRecord";
import { EXIT_TESTS, type ExitTest } from "~core/case/exitTests";
import { change, make } from "~core/record/change";
import { sameValue, type Edit } from "~core/record/edit";
import { fail, ok, type Result } from "~core/result";
import { issuesOf } from "~core/schema/issues";

/** What the form asks; what it does not ask, log, moves and outcome, is left alone. */
export const ASKED = [
  "kind",
  "title",
  "feet",
  "lead",
  "vet",
  "opened",
  "onset",
  "surgery",
  "prescription",
  "stages",
  "progress",
] as const satisfies readonly (keyof Case)[];

export type CaseFormValues = Partial<Pick<Case, (typeof ASKED)[number]>>;

/**
 * The edits that make of what was opened what the form says, part by part; a new case as a whole. What is wrong comes
 * back with the path of its field. A stage without an exit is asked for one.
 */
export function caseFormEdits(
  form: CaseFormValues,
  was: Case | undefined,
  ids: { id: string; horseId: string },
  newId: () => string,
): Result<Edit[]> {
  const asked = clean(form) as CaseFormValues;
  const stages = (asked.stages ?? []).map((stage) => ({
    ...stage,
    id: stage.id ?? newId(),
    exit: (stage.exit ?? []).map(exitOf),
  }));
  const { prescription } = asked;
  const read = caseSchema.safeParse({
    ...(was ?? { ...ids, status: "open" }),
    ...Object.fromEntries(ASKED.map((key) => [key, undefined])),
    ...asked,
    title: asked.title ?? "",
    vet: asked.vet ?? "",
    feet: asked.feet ?? [],
    stages,
    progress: asked.progress ?? [],
    prescription: isPrescribed(prescription) ? { by: "", until: "", feet: [], ...prescription } : undefined,
  });
  if (!read.success) return { ok: false, issues: issuesOf(read.error) };
  const [open] = stagesWithoutExit(read.data.stages);
  if (open) {
    const at = read.data.stages.indexOf(open);
    return fail(
      "no-exit",
      `stages.${at}.exit`,
      `How is it seen that “${open.name}” has done its work? Every stage but the last wants an exit.`,
    );
  }
  if (!was) {
    const said = Object.fromEntries(
      Object.entries(read.data).filter(([, value]) => value !== undefined),
    ) as Case;
    return ok([make("cases", said, `case of ${said.kind}`)]);
  }
  return ok(
    ASKED.flatMap((key) =>
      sameValue(was[key], read.data[key])
        ? []
        : [change("cases", was, [key], read.data[key], `case, ${key}`)],
    ),
  );
}

const isPrescribed = (one: CaseFormValues["prescription"]): boolean =>
  one !== undefined && Object.values(one).some((value) => !Array.isArray(value) || value.length > 0);

/** Only the bounds that a kind of test has: a kind that was changed leaves none of another’s behind. */
function exitOf(test: Partial<Record<string, unknown>>): ExitTest {
  const start: object = EXIT_TESTS[test["kind"] as ExitTest["kind"]]?.start ?? { kind: undefined };
  return Object.fromEntries(Object.keys(start).map((key) => [key, test[key]])) as ExitTest;
}

/** Emptied fields are missing fields, at any depth. */
function clean(value: unknown): unknown {
  if (Array.isArray(value)) return value.filter((one) => one !== undefined && one !== null).map(clean);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, inner]) => inner !== "" && inner !== null && inner !== undefined)
      .map(([key, inner]) => [key, clean(inner)]),
  );
}
