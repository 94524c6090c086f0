import { describe, expect, test } from "@jest/globals";
import { visitFoot, type VisitFoot } from "./visitFoot";
import { LIMBS, type Limb } from "../foot/limb";
import type { FootValues } from "../foot/measures";
import type { Horse } from "../record/horse";
import { nothingRead, readingId, type Reading } from "../foot/records/reading";
import { DEFAULT_SETTINGS } from "../record/settings";
import { blankVisit, type Visit } from "../record/visit";
import { plainWording as wording } from "../trim/trim.fixture";
import { cutFoot } from "../foot/parametric/cut";
import { NO_CUT, type Cuts } from "../foot/parametric/predict";
import { trimBench, VET_FIRST } from "./trimBench";
import { visitPlan } from "./visitPlan";

const visit: Visit = { id: "v", horseId: "h", date: "2026-11-23", status: "open", ...blankVisit() };
const horse: Horse = {
  id: "h",
  yardId: "y",
  name: "Hob",
  kind: "horse",
  massKg: 500,
  use: "riding",
  finish: "fronts",
  habits: "",
  notes: "",
};
const lane = (change: FootValues = {}): FootValues => ({
  dorsalAngle: { value: 48, source: "gauge" },
  pasternAngle: { value: 52, source: "gauge" },
  toeLength: { value: 95, source: "calliper" },
  ...change,
});

function plan(limb: Limb, values: FootValues, more: Partial<Horse> = {}, lens?: "even-halves") {
  const reading: Reading = {
    id: readingId("v", limb, "before"),
    visitId: "v",
    horseId: "h",
    limb,
    moment: "before",
    date: visit.date,
    ...nothingRead(),
    values: values as Reading["values"],
    walls: { toe: { above: 8, thickness: 12 }, heelMedial: { above: 3 }, heelLateral: { above: 3 } },
  };
  const records = { readings: [reading], trims: [], watchings: [], looks: [], photos: [], shoes: [] };
  const feet = Object.fromEntries(LIMBS.map((one) => [one, visitFoot(visit, one, records)])) as Record<
    Limb,
    VisitFoot
  >;
  return visitPlan(
    { visit, horse: { ...horse, ...more }, feet, limb },
    DEFAULT_SETTINGS,
    wording,
    lens ? { frontBack: lens } : {},
  );
}

describe("visitPlan", () => {
  test("a shod fore is planned to the live sole by the straight axis, a bare hind 2 mm short of it by the live sole", () => {
    const fore = plan("LF", lane());
    expect(fore.lenses.frontBack).toBe("straight-axis");
    expect(fore.asked.question.finish).toBe("shod");
    const hind = plan("LH", lane());
    expect(hind.lenses.frontBack).toBe("live-sole");
    expect(hind.plan).toMatchObject({ ok: true, value: { cuts: { toe: 6, heelMedial: 1, heelLateral: 1 } } });
  });

  test("another front-to-back lens is planned with the same side lens", () => {
    const other = plan("LF", lane(), { lenses: { side: "level-hairline" } }, "even-halves");
    expect(other.lenses).toEqual({ frontBack: "even-halves", side: "level-hairline" });
  });

  test("without angles or toe length there is nothing to plan from; the live sole needs no pastern", () => {
    expect(plan("LF", {}).missing).toEqual(["dorsalAngle", "pasternAngle", "toeLength"]);
    expect(plan("LF", lane({ pasternAngle: undefined })).missing).toEqual(["pasternAngle"]);
    expect(plan("LH", lane({ pasternAngle: undefined })).missing).toEqual([]);
    expect(plan("LF", lane()).missing).toEqual([]);
  });
});

describe("trimBench", () => {
  test("a foot that may be flexural asks for the vet before its heels come down, and only then", () => {
    const own = plan("LF", lane());
    if (!own.plan.ok) throw new Error("no plan");
    const shown = (heel: number, flexural: boolean) => {
      const cuts = { ...NO_CUT, heelMedial: heel };
      return trimBench(
        {
          facts: own.facts,
          plan: own.plan.ok ? own.plan.value : (undefined as never),
          lenses: own.lenses,
          cuts,
          flares: {},
          flexural,
          done: cutFoot(own.facts.drawn, cuts),
        },
        wording,
      ).vetFirst;
    };
    expect(shown(3, true)).toBe(VET_FIRST);
    expect([shown(0, true), shown(3, false)]).toEqual([undefined, undefined]);
  });

  const bench = (cuts?: Partial<Cuts>, second?: "even-halves") => {
    const own = plan("LF", lane());
    if (!own.plan.ok) throw new Error("no plan");
    const now = { ...own.plan.value.handCuts, ...cuts };
    return {
      plan: own.plan.value,
      shown: trimBench(
        {
          facts: own.facts,
          plan: own.plan.value,
          lenses: own.lenses,
          cuts: now,
          flares: {},
          done: cutFoot(own.facts.drawn, now),
          second: second && { lens: second, planned: plan("LF", lane(), {}, second) },
        },
        wording,
      ),
    };
  };

  test("within its limits nothing is past, and the foot after the cut is the planned one", () => {
    const { plan: planned, shown } = bench();
    expect(shown.past).toEqual([]);
    expect(shown.after?.predicted.dorsalAngle).toBeCloseTo(planned.predicted.dorsalAngle, 0);
    expect(shown.compared).toBeUndefined();
  });

  test("a cut beyond the live sole is past its limit, by name and by how much", () => {
    const { plan: planned, shown } = bench({ heelMedial: 6 });
    expect(planned.limits.most.heelMedial).toBeLessThan(6);
    expect(shown.past).toHaveLength(1);
  });

  test("a foot that the cuts would leave impossible has no after, and the shoe’s task is the plan’s own", () => {
    const { plan: planned, shown } = bench({ toe: 400 });
    expect([shown.after, shown.shoe]).toEqual([undefined, planned.shoe]);
  });

  test("another lens beside it: its cuts drawn, and how it differs in words", () => {
    const { shown } = bench({}, "even-halves");
    expect(shown.otherPlan).toBeDefined();
    expect(shown.compared?.how).not.toBe("");
  });
});
