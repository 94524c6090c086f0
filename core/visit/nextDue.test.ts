import { describe, expect, test } from "@jest/globals";
import { horseOutlook } from "../cycle/horseDue";
import { dueBeside } from "../cycle/dueWords";
import { LIMBS, type Limb } from "../foot/limb";
import type { Look } from "../foot/records/look";
import { nothingRead, readingId, type Moment, type Reading } from "../foot/records/reading";
import type { Horse } from "../record/horse";
import { DEFAULT_SETTINGS } from "../record/settings";
import { blankVisit, type Visit } from "../record/visit";
import { agreedPlan } from "../trim/agreed";
import { trimId, type Trim } from "../trim/trimRecord";
import { plainWording as wording } from "../trim/trim.fixture";
import { ordinaryFoot } from "../foot/parametric/fit";
import { trimFootOf } from "../foot/parametric/parameters";
import { nextDue } from "./nextDue";
import { HORSE } from "../record/horse.fixture";
import { visitFoot } from "./visitFoot";

const BARE: Horse = { ...HORSE, finish: "trim", use: "barefoot" };
const visit: Visit = { id: "v", horseId: "h", date: "2026-11-23", status: "open", ...blankVisit() };
const place = { visitId: "v", horseId: "h", limb: "LF" as Limb, date: visit.date };

const reading = (moment: Moment, dorsalAngle: number): Reading => ({
  ...place,
  id: readingId("v", "LF", moment),
  moment,
  ...nothingRead(),
  values: Object.fromEntries(
    Object.entries({ dorsalAngle, pasternAngle: 52, toeLength: moment === "after" ? 86 : 92 }).map(
      ([name, value]) => [name, { value, source: "gauge" as const }],
    ),
  ),
});

const due = (horse: Horse, left: number, more: { trims?: Trim[]; looks?: Look[] } = {}) => {
  const readings = [reading("before", 48), reading("after", left)];
  const records = { readings, trims: [], watchings: [], looks: [], photos: [], shoes: [], ...more };
  const feet = Object.fromEntries(LIMBS.map((limb) => [limb, visitFoot(visit, limb, records)])) as never;
  const outlooks = horseOutlook(horse, readings, DEFAULT_SETTINGS);
  return nextDue({ visit, horse, feet, outlooks, settings: DEFAULT_SETTINGS }, wording);
};

describe("when a horse is due after a visit", () => {
  test("by the cap: growth's own day stands beside it, later than the cap", () => {
    const next = due(HORSE, 52);
    expect(next).toMatchObject({ reason: "cap", due: "2027-01-04" });
    expect(next.byGrowth && next.byGrowth > next.due).toBe(true);
    expect(dueBeside(next, visit.date, 6)).toEqual({ words: "by growth alone", day: next.byGrowth });
  });

  test("where a foot decides, the cap's day stands beside", () => {
    const next = due(BARE, 49);
    expect(dueBeside(next, visit.date, 5)).toEqual({ words: "by the cap", day: "2026-12-28" });
  });

  test("a staged trim is due at its next stage", () => {
    const foot = ordinaryFoot("LF", { kind: "horse", massKg: 500 });
    const plan = agreedPlan(
      foot,
      { foot: trimFootOf(foot), frontBack: "straight-axis", side: "even-sole", finish: "shod" },
      { toe: 4, heelMedial: 2, heelLateral: 2, dress: 0 },
      "lenses",
      true,
      { stage: { of: 3, next: "2026-12-21" } },
    );
    if (!plan.ok) throw new Error("no plan");
    const trim: Trim = { ...place, id: trimId("v", "LF"), cuts: {}, ticks: {}, past: {}, plan: plan.value };
    expect(due(HORSE, 52, { trims: [trim] })).toMatchObject({
      reason: "stage",
      limb: "LF",
      due: "2026-12-21",
      day: 28,
    });
  });

  test("a bare foot left broken back is seen in two to three weeks; a shod one, or one left straight, is not", () => {
    expect(due(BARE, 49)).toMatchObject({
      reason: "bare",
      due: "2026-12-14",
      windowStart: "2026-12-07",
      limb: "LF",
    });
    expect(due(HORSE, 49).reason).not.toBe("bare");
    expect(due(BARE, 51.5).reason).not.toBe("bare");
  });

  test("a crack under way opens the window a week earlier and leaves the due day", () => {
    const look: Look = {
      ...place,
      id: "v.LF",
      wear: {},
      finds: { c: { kind: "crack", at: [40, 60], note: "" } },
    };
    const [plain, cracked] = [due(HORSE, 52), due(HORSE, 52, { looks: [look] })];
    expect(cracked.due).toBe(plain.due);
    expect(plain.windowStart).toBe("2026-12-28");
    expect(cracked.windowStart).toBe("2026-12-21");
  });

  test("a foot left more than 4 degrees off is due no later than the longest interval that keeps it", () => {
    const next = due(HORSE, 47.5);
    expect(next.due <= "2027-01-04").toBe(true);
    expect(["left", "axis", "cap"]).toContain(next.reason);
  });
});
