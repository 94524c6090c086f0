import { describe, expect, test } from "@jest/globals";
import type { Limb } from "~core/foot/limb";
import { findingsOf } from "~core/visit/findings";
import { heelYOf } from "~core/foot/parametric/predict";
import { cutSheet } from "~core/trim/sheet";
import { ownBias, plannedAgainstDone } from "~core/trim/done";
import { ownerWords, planReasons } from "~core/trim/planWords";
import { visitPlan } from "~core/visit/visitPlan";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { readingId } from "~core/foot/records/reading";
import { GENERAL_NOISE } from "~core/repeatability/repeatability";
import { lastVisit, round, wording } from "./round.fixture";

/** The plan for a horse's foot as it stood at the horse's last visit. */
function planned(name: string, limb: Limb, side?: "square-limb") {
  const { horse, visit, feet } = lastVisit(name);
  const lenses = { ...DEFAULT_SETTINGS.lenses, ...(side && { side }) };
  const found = visitPlan({ visit, horse, feet, limb }, { ...DEFAULT_SETTINGS, lenses }, wording);
  if (!found.plan.ok) throw new Error(found.plan.issues[0]?.message);
  const plan = found.plan.value;
  const findings = findingsOf({ ...found.facts, plan });
  return {
    plan,
    foot: plan.question.foot,
    cuts: plan.handCuts,
    after: plan.handPredicted,
    findings: findings.map(({ id }) => id),
    reasons: planReasons(findings, plan, plan.handCuts, wording),
    said: ownerWords(plan, plan.handCuts, wording.limb(limb), wording),
    sheet: cutSheet(
      plan,
      plan.handCuts,
      { ...DEFAULT_SETTINGS.sheet, flares: found.flares.planned, nextWeeks: 5, walls: found.facts.walls },
      wording,
    ),
    flares: found.flares.planned,
  };
}

describe("the six feet with known trouble get a plan that reads as sense", () => {
  test("long toe: the toe comes off and back, the front half with it, the axis ends straighter", () => {
    const { foot, cuts, after, said, reasons } = planned("Brigadoon Lad", "LF");
    expect(cuts.toe).toBeGreaterThan(2);
    expect(cuts.dress).toBeGreaterThan(2);
    expect(after.front).toBeLessThan(foot.toeY - foot.corY - 6);
    expect(Math.abs(after.axis)).toBeLessThan(Math.abs(foot.dorsalAngle - foot.pasternAngle));
    expect(reasons.map(({ finding }) => finding.id)).toContain("toe-run");
    expect(said).toMatch(/reaches .* further ahead of its middle/);
  });

  test("underrun: the heels bear further back, the axis is not given away for it, the shoe ends behind the heel", () => {
    const { plan, foot, after, reasons } = planned("Sallow", "LF");
    expect(after.support).toBeGreaterThan(foot.corY - heelYOf(foot) + 3);
    expect(Math.abs(after.axis)).toBeLessThan(1);
    expect(plan.shoe.heelExtension).toBeGreaterThan(8);
    expect(reasons.find(({ finding }) => finding.id === "underrun")?.does).toMatch(/bear .* further back/);
  });

  test("broken forward: the heels come down more than the toe, the foot ends shallower, nothing is raised", () => {
    const { plan, foot, cuts, after } = planned("Portcullis", "RF");
    expect(foot.dorsalAngle).toBeGreaterThan(foot.pasternAngle + 1);
    expect((cuts.heelMedial + cuts.heelLateral) / 2).toBeGreaterThan(cuts.toe + 1);
    expect(after.dorsalAngle).toBeLessThan(foot.dorsalAngle - 1);
    expect(plan.shoe.elevate).toBeLessThan(0.5);
  });

  test("sheared: the outside, which stands higher above its sole, comes down more, and first on the sheet", () => {
    const { cuts, sheet, said } = planned("Bramble", "LH");
    expect(cuts.heelLateral).toBeGreaterThan(cuts.heelMedial + 1);
    expect(sheet.find(({ id }) => id.startsWith("heel"))?.id).toBe("heelLateral");
    expect(said).toContain("higher at the outside heel");
  });

  test("thin sole: 2 mm more stay everywhere, nothing is pared, and the owner hears it", () => {
    const { plan, cuts, findings, sheet, said } = planned("Minnow", "LF");
    expect(plan.limits).toMatchObject({ thinSole: true, marginMm: 2 });
    for (const place of ["toe", "heelMedial", "heelLateral"] as const)
      expect(cuts[place]).toBeLessThanOrEqual(Math.max(0, plan.question.above[place] - 2));
    expect(findings).toContain("thin-sole-margin");
    expect(sheet.find(({ id }) => id === "finish")?.title).toBe("Leave the sole");
    expect(said).toContain("Its sole is thin");
  });

  test("twisted limb: levelled by its sole; squared to the limb it would be rolled further, 4 degrees", () => {
    const even = planned("Gorsewick", "RF");
    const square = planned("Gorsewick", "RF", "square-limb");
    expect(even.plan.targetRoll).toBeLessThan(0);
    expect(even.cuts.heelMedial).toBeGreaterThan(even.cuts.heelLateral);
    expect(square.plan.targetRoll).toBe(-4);
    expect(square.plan.predicted.roll).toBeLessThan(even.plan.predicted.roll - 1);
  });
});

describe("the demo's own hand", () => {
  test("the habit at the inner heel that the round was made with is found, and no other", () => {
    const after = new Map(round.readings.map((reading) => [reading.id, reading]));
    const feet = round.trims.flatMap(({ plan, visitId, limb }) => {
      const reading = after.get(readingId(visitId, limb, "after"));
      return plan && reading ? [plannedAgainstDone(plan, reading.values, GENERAL_NOISE.value)] : [];
    });
    const found = ownBias(feet, GENERAL_NOISE.value);
    expect(found.map(({ measure }) => measure)).toEqual(["heelMedial"]);
    expect(found[0]?.mean).toBeGreaterThan(0.5);
    expect(found[0]?.mean).toBeLessThan(1.3);
  });
});
