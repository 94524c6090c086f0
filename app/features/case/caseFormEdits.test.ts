import { describe, expect, test } from "@jest/globals";
import { caseOf } from "~core/case/case.fixture";
import { caseFormEdits, type CaseFormValues } from "./caseFormEdits";

const IDS = { id: "new", horseId: "h" };
const ids = () => {
  let at = 0;
  return () => `id${at++}`;
};
const form = (more: CaseFormValues = {}): CaseFormValues => ({
  kind: "crack",
  feet: ["LF"],
  lead: "farrier",
  ...more,
});
const edits = (values: CaseFormValues, was = undefined as ReturnType<typeof caseOf> | undefined) =>
  caseFormEdits(values, was, IDS, ids());
const stage = (more: object = {}) => ({ name: "Open", feet: ["LF"], exit: [], ...more }) as never;

describe("a case’s form", () => {
  test("makes a case with what was filled in; emptied fields are missing", () => {
    const made = edits(
      form({
        title: "",
        vet: undefined as never,
        opened: "2026-11-01",
        prescription: { by: "", feet: [] } as never,
      }),
    );
    expect(made.ok && made.value).toHaveLength(1);
    expect(made.ok && made.value[0]?.now).toMatchObject({
      id: "new",
      horseId: "h",
      status: "open",
      kind: "crack",
      title: "",
    });
    expect(made.ok && (made.value[0]?.now as object)).not.toHaveProperty("prescription");
  });

  test("only what was changed is changed, part by part; log and moves are left alone", () => {
    const was = caseOf({
      kind: "crack",
      feet: ["LF"],
      lead: "farrier",
      log: { a: { on: "2026-10-01", by: "", says: "Dry." } },
    });
    const made = edits(form({ title: "Old crack", stages: [], progress: [] }), was);
    expect(made.ok && made.value.map(({ path, now }) => [path, now])).toEqual([[["title"], "Old crack"]]);
  });

  test("what is wrong comes back at its field: no foot, a prescription without its day, a stage without a name", () => {
    const made = edits(
      form({ feet: [], prescription: { says: "Bar." } as never, stages: [stage({ name: "" })] }),
    );
    expect(!made.ok && made.issues.map(({ path }) => path)).toEqual([
      "feet",
      "prescription.by",
      "prescription.until",
      "prescription.feet",
      "stages.0.name",
    ]);
  });

  test("a stage without an exit is asked for one; the last stage needs none", () => {
    const made = edits(form({ stages: [stage(), stage({ name: "Nailed" })] }));
    expect(!made.ok && made.issues[0]).toMatchObject({ path: "stages.0.exit", code: "no-exit" });
    expect(edits(form({ stages: [stage()] })).ok).toBe(true);
  });

  test("a test whose kind was changed keeps none of the other kind’s bounds", () => {
    const made = edits(
      form({ stages: [stage({ exit: [{ kind: "shoeings", least: 2, within: 5 }] }), stage()] }),
    );
    const now = made.ok ? (made.value[0]?.now as ReturnType<typeof caseOf>) : undefined;
    expect(now?.stages[0]?.exit).toEqual([{ kind: "shoeings", least: 2 }]);
    expect(now?.stages.map(({ id }) => id)).toEqual(["id0", "id1"]);
  });
});
