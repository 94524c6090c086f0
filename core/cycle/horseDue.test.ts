import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import { DEFAULT_SETTINGS } from "../record/settings";
import type { Horse } from "../record/horse";
import { nothingRead, type Reading } from "../foot/records/reading";
import { blankVisit, type Visit } from "../record/visit";
import { cycleState, dueReason } from "./dueWords";
import { minutesInWords } from "./dayPlan";
import { capWeeksOf, footHistory, horseDue, horseOutlook, leftWith } from "./horseDue";
import { stageDone } from "../visit/progress";
import { visitFoot } from "../visit/visitFoot";

const wording = wordingFor(DEFAULT_SETTINGS);
const horse: Horse = {
  id: "h",
  yardId: "y",
  name: "Thistle",
  kind: "horse",
  massKg: 450,
  use: "riding",
  finish: "full set",
  habits: "",
  notes: "",
};
const reading = (
  visitId: string,
  date: string,
  moment: "before" | "after",
  toe: number,
  limb: Reading["limb"] = "LF",
): Reading => ({
  id: `${visitId}.${limb}.${moment}`,
  visitId,
  horseId: "h",
  limb,
  moment,
  date,
  ...nothingRead(),
  values: {
    toeLength: { value: toe, source: "calliper" },
    dorsalAngle: { value: 50, source: "gauge" },
    pasternAngle: { value: 50, source: "gauge" },
  },
});
const NOTHING = { readings: [], trims: [], watchings: [], looks: [], photos: [], shoes: [] };
const visit = (id: string, date: string, status: Visit["status"] = "signed"): Visit => ({
  id,
  horseId: "h",
  date,
  status,
  ...blankVisit(),
});

describe("one horse", () => {
  const readings = [
    reading("b", "2026-02-15", "after", 84),
    reading("a", "2026-01-01", "before", 92),
    reading("b", "2026-02-15", "before", 95),
    reading("a", "2026-01-01", "after", 83),
  ];

  test("a foot's history is by visit, oldest first, whatever order the rows come in", () => {
    expect(
      footHistory(readings, "LF").map(({ date, before, after }) => [
        date,
        before?.toeLength?.value,
        after?.toeLength?.value,
      ]),
    ).toEqual([
      ["2026-01-01", 92, 83],
      ["2026-02-15", 95, 84],
    ]);
  });

  test("what a foot was left with is the value after, else the one before", () => {
    const [first] = footHistory([reading("a", "2026-01-01", "before", 92)], "LF");
    expect(leftWith(first).toeLength?.value).toBe(92);
  });

  test("the horse is due when its first foot is; feet that were not measured leave it to the cap", () => {
    const outlooks = horseOutlook(horse, readings, DEFAULT_SETTINGS);
    expect(outlooks.map(({ due }) => due !== undefined)).toEqual([true, false, false, false]);
    expect(horseDue(horse, "2026-02-15", outlooks, DEFAULT_SETTINGS)).toMatchObject({
      day: 42,
      reason: "cap",
    });
    expect(horseDue(horse, "2026-03-30", outlooks, DEFAULT_SETTINGS)).toEqual({
      due: "2026-05-11",
      windowStart: "2026-05-04",
      reason: "cap",
      day: 42,
    });
  });

  test("two visits on one day count as the later one", () => {
    const twice = [...readings, reading("c", "2026-02-15", "after", 80)];
    expect(horseOutlook(horse, twice, DEFAULT_SETTINGS)[0]?.question?.toeLength).toBe(80);
  });

  test("the cap is the horse's own, else the user's, else the trade's", () => {
    expect(capWeeksOf(horse, { capWeeks: {} })).toBe(6);
    expect(capWeeksOf(horse, { capWeeks: { riding: 7 } })).toBe(7);
    expect(capWeeksOf({ ...horse, capWeeks: 4 }, { capWeeks: { riding: 7 } })).toBe(4);
  });

  test("the foot at a visit knows what the visit before left, and no later one", () => {
    const found = visitFoot(visit("b", "2026-02-15"), "LF", { ...NOTHING, readings });
    expect(found.values.before.toeLength?.value).toBe(95);
    expect(leftWith(found.last).toeLength?.value).toBe(83);
    expect(visitFoot(visit("a", "2026-01-01"), "LF", { ...NOTHING, readings }).last).toBeUndefined();
  });

  test("a stage's dot is filled by what was written there", () => {
    const open = { ...visit("b", "2026-02-15", "open"), notes: { watch: "lands outside first" } };
    const foot = visitFoot(open, "LF", { ...NOTHING, readings });
    expect(
      (["watch", "read", "survey", "trim", "recheck", "sign-off"] as const).map((stage) =>
        stageDone(stage, open, foot),
      ),
    ).toEqual([true, false, true, false, true, false]);
  });
});

describe("words about the cycle", () => {
  const due = { due: "2026-02-12", windowStart: "2026-02-05", reason: "toe", day: 42, limb: "RF" } as const;

  test.each([
    ["2026-02-04", "early", 0],
    ["2026-02-05", "window", 0],
    ["2026-02-12", "window", 0],
    ["2026-02-15", "over", 3],
  ] as const)("on %s the horse is %s, %d days over", (today, state, daysOver) => {
    expect(cycleState("2026-01-01", due, today)).toMatchObject({ state, daysOver });
  });

  test("the reason names the foot and what, or the cap and the work", () => {
    expect(dueReason(due, horse, wording)).toBe("right fore: toe");
    expect(dueReason({ ...due, reason: "cap" }, { use: "roads" }, wording)).toBe("cap: road work");
  });

  test("minutes as one says them", () => {
    expect([45, 60, 370].map(minutesInWords)).toEqual(["45 min", "1 h", "6 h 10"]);
  });
});
