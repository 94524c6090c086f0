import { describe, expect, test } from "@jest/globals";
import { caseOf } from "../case/case.fixture";
import { type Reading } from "../foot/records/reading";
import type { Photo } from "../photo/photoRecord";
import { alertsByHorse, caseRows } from "./caseBoard";
import { caseProgress } from "./caseProgress";
import { caseAlerts, caseStanding, standingInWords } from "./caseStanding";
import { pictureChecklist } from "./checklist";
import { wording, DAYS, visitOn, readingOn, records, stage, plan } from "./casework.fixture";

describe("where a case stands", () => {
  const standing = caseStanding(plan, records, "2026-11-10", wording);
  const [left, right] = standing.feet;

  test("shoeings are counted from the day the stage began, each foot for itself", () => {
    expect([left?.shoeings, left?.since]).toEqual([3, DAYS[1]]);
    const moved = caseStanding(
      { ...plan, moves: { m: { on: DAYS[3]!, limb: "LF", stage: "plain", because: "" } } },
      records,
      "2026-11-10",
      wording,
    );
    expect(moved.feet.map(({ stage: at, shoeings }) => [at?.id, shoeings])).toEqual([
      ["plain", 1],
      ["raised", 3],
    ]);
  });

  test("each test is answered at every visit of the stage: not yet, not yet, met on the left; not measured on the right", () => {
    expect(left?.tested.map(({ date, answers }) => [date, answers[0]?.answer.state])).toEqual([
      [DAYS[1], "not yet"],
      [DAYS[2], "not yet"],
      [DAYS[3], "met"],
    ]);
    expect(right?.tested.at(-1)?.answers[0]?.answer.state).toBe("not measured");
  });

  test("ready where all are met; overdue where its shoeings are worn through and they are not", () => {
    expect([left?.ready, left?.overdue, right?.ready, right?.overdue]).toEqual([true, false, false, true]);
    expect(standingInWords(left!)).toBe("Raised: 3 of 2 shoeings, 1 of 1 tests met");
  });

  test("what cannot wait is said: overdue first, then ready; a paper that ran out; a stage without an exit", () => {
    expect(caseAlerts(standing, wording).map(({ kind, level }) => [kind, level])).toEqual([
      ["overdue", "act"],
      ["ready", "know"],
    ]);
    const paper = { by: "the vet", until: "2026-11-08", feet: ["LF" as const], says: "" };
    const bad = caseStanding(
      { ...plan, prescription: paper, stages: [stage("a", { exit: [] }), stage("b")] },
      records,
      "2026-11-10",
      wording,
    );
    const said = caseAlerts(bad, wording);
    expect(said.map(({ kind }) => kind)).toEqual(["expired", "no exit"]);
    expect(said[0]?.says).toContain("ran out 2 days ago");
  });

  test("while a visit is under way and has not measured all, the one before it counts; what it did measure counts at once", () => {
    const today = visitOn("2026-12-16", { status: "open" });
    const on = (...more: Reading[]) =>
      caseStanding(
        plan,
        { ...records, visits: [...records.visits, today], readings: [...records.readings, ...more] },
        "2026-12-16",
        wording,
      ).feet[0];
    expect([on()?.ready, on()?.latest?.date, on()?.tested.at(-1)?.date]).toEqual([
      true,
      DAYS[3],
      "2026-12-16",
    ]);
    expect(on(readingOn("2026-12-16", "LF", 50, 44))?.ready).toBe(false);
  });

  test("a closed case says nothing, and nothing is overdue in it", () => {
    const closed = caseStanding({ ...plan, status: "closed" }, records, "2026-11-10", wording);
    expect(caseAlerts(closed, wording)).toEqual([]);
    expect(closed.feet.some(({ overdue }) => overdue)).toBe(false);
  });

  test("on the board what wants somebody comes first, closed ones last; alerts by horse", () => {
    const rows = caseRows(
      {
        ...records,
        cases: [caseOf({ id: "quiet", horseId: "other" }), { ...plan, id: "done", status: "closed" }, plan],
      },
      "2026-11-10",
      wording,
    );
    expect(rows.map(({ one }) => one.id)).toEqual(["case", "quiet", "done"]);
    expect(alertsByHorse(rows)["h"]?.length).toBe(2);
    expect(alertsByHorse(rows)["other"]).toEqual([]);
  });
});

describe("a defect in pictures", () => {
  const photoOn = (date: string, below: number, length: number): Photo => ({
    id: date,
    visitId: date,
    horseId: "h",
    limb: "LF",
    moment: "before",
    view: "defect",
    date,
    takenAt: `${date}T09:00:00Z`,
    pictureId: "p",
    width: 800,
    height: 600,
    simulated: true,
    scale: { kind: "two-point", a: [0, 0], b: [100, 0], mm: 50 },
    points: {
      hairline: [400, 100],
      ground: [400, 300],
      defectUpper: [400, 100 + 2 * below],
      defectLower: [400, 100 + 2 * (below + length)],
      defectFront: [420, 180],
      defectBack: [380, 180],
    },
  });
  const one = caseOf({
    kind: "resected wall",
    feet: ["LF"],
    opened: DAYS[0]!,
    stages: [
      stage("open", { feet: ["LF"], exit: [{ kind: "defect under", under: 30 }] }),
      stage("nailed", { feet: ["LF"] }),
    ],
  });
  const pictured = { ...records, photos: [photoOn(DAYS[0]!, 10, 40), photoOn(DAYS[3]!, 45, 28)] };
  const context = { hemisphere: "north" as const, perDay: 0.28, wallMm: undefined, today: DAYS[3]! };

  test("its length is followed, and what growth alone does stands beside it: down to the ground and gone there", () => {
    const { points, byGrowth } = caseProgress(one, { name: "defect length", limb: "LF" }, pictured, context);
    expect(points.map(({ value }) => Math.round(value))).toEqual([40, 28]);
    expect(byGrowth[0]?.value).toBeCloseTo(40, 5);
    // 100 mm of wall: 10 + 40 + some 35 mm of horn are short of the ground, so none of it is gone yet.
    expect(byGrowth.at(-1)?.value).toBeCloseTo(40, 5);
    const far = caseProgress(one, { name: "defect length", limb: "LF" }, pictured, {
      ...context,
      today: "2027-06-01",
    });
    expect(far.byGrowth.at(-1)!.value).toBeLessThan(12);
  });

  test("its exit test reads the picture of the visit, and says not measured where there is none", () => {
    const { feet } = caseStanding(one, pictured, "2026-11-10", wording);
    expect(feet[0]?.tested.map(({ answers }) => answers[0]?.answer.state)).toEqual([
      "not yet",
      "not measured",
      "not measured",
      "met",
    ]);
  });

  test("the checklist asks the same views at every visit, and the defect where there is one", () => {
    const list = pictureChecklist(one, pictured.photos, DAYS[3]);
    expect(list.map(({ view }) => view)).toEqual(["front", "side", "rear", "sole", "defect"]);
    expect(list.at(-1)).toMatchObject({ last: DAYS[3], taken: true });
    expect(pictureChecklist(caseOf(), [], undefined)).toHaveLength(8);
  });
});
