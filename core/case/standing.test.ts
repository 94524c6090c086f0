import { describe, expect, test } from "@jest/globals";
import { caseOf } from "./case.fixture";
import { caseSchema, prescriptionSchema, stagesWithoutExit, type CaseStage } from "./caseRecord";
import { prescribedFor, prescriptionOn, stageAt } from "./standing";

const stage = (id: string, more: Partial<CaseStage> = {}): CaseStage => ({
  id,
  name: id,
  says: "",
  feet: ["LF", "RF"],
  asks: {},
  exit: [{ kind: "vet agrees" }],
  ...more,
});
const prescription = prescriptionSchema.parse({
  by: "the vet",
  until: "2026-12-01",
  feet: ["LF", "RF"],
  says: "Bar.",
  type: "straight bar",
  raiseDeg: 3,
});

describe("where a foot stands in its plan", () => {
  const plan = caseOf({
    opened: "2026-09-01",
    prescription,
    stages: [
      stage("raised", { asks: { raiseDeg: 3 } }),
      stage("level", { feet: ["LF"], asks: { raiseDeg: 0 } }),
      stage("plain", { asks: { type: "plain" } }),
    ],
    moves: { m: { on: "2026-10-12", limb: "LF", stage: "level", because: "" } },
  });

  test("left and right apart: one is level while the other is still raised, and goes straight to plain", () => {
    expect(stageAt(plan, "LF")).toMatchObject({
      stage: { id: "level" },
      since: "2026-10-12",
      next: { id: "plain" },
    });
    expect(stageAt(plan, "RF")).toMatchObject({
      stage: { id: "raised" },
      since: "2026-09-01",
      next: { id: "plain" },
    });
    expect(stageAt(plan, "LH")).toBeUndefined();
  });

  test("on a day before the move it stood where it stood then; a move to a stage that is gone counts for nothing", () => {
    expect(stageAt(plan, "LF", "2026-10-11")?.stage.id).toBe("raised");
    expect(stageAt({ ...plan, moves: { m: { ...plan.moves["m"]!, stage: "gone" } } }, "LF")?.stage.id).toBe(
      "raised",
    );
  });

  test("what is prescribed is the paper with the foot’s stage over it, until its day, for its feet, while the case is open", () => {
    expect(prescribedFor([plan], "LF", "2026-12-01")).toMatchObject({
      type: "straight bar",
      raiseDeg: 0,
      says: "Stage: level. Bar.",
    });
    expect(prescribedFor([plan], "RF", "2026-11-01")?.raiseDeg).toBe(3);
    expect(prescribedFor([plan], "LF", "2026-12-02")).toBeUndefined();
    expect(prescribedFor([plan], "LH", "2026-11-01")).toBeUndefined();
    expect(prescribedFor([{ ...plan, status: "closed" }], "LF", "2026-11-01")).toBeUndefined();
  });

  test.each([
    ["2026-11-20", "valid", 11],
    ["2026-11-24", "expires", 7],
    ["2026-12-01", "expires", 0],
    ["2026-12-02", "expired", -1],
  ])("on %s a paper until 1 December %s", (day, state, days) => {
    expect(prescriptionOn(plan, day)).toMatchObject({ state, days });
  });
});

describe("a case’s record", () => {
  test("a stage without an exit is asked for one, unless it is the last of all its feet", () => {
    const stages = [
      stage("a", { exit: [] }),
      stage("b", { feet: ["LF"], exit: [] }),
      stage("c", { feet: ["RF"], exit: [] }),
    ];
    expect(stagesWithoutExit(stages).map(({ id }) => id)).toEqual(["a"]);
  });

  test("a prescription names who, until when and for which feet, each at its own place", () => {
    const asked = prescriptionSchema.safeParse({ by: "", until: "soon", feet: [] });
    expect(asked.error?.issues.map(({ path }) => path[0])).toEqual(["by", "until", "feet"]);
  });

  test("a case without a foot is refused; what is not said is empty, not missing", () => {
    expect(caseSchema.safeParse({ ...caseOf(), feet: [] }).error?.issues[0]?.path).toEqual(["feet"]);
    expect(caseOf()).toMatchObject({ stages: [], moves: {}, log: {}, told: { drugs: "" }, reopened: [] });
  });
});
