import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { growFoot } from "../foot/parametric/cut";
import { trimFootOf, type FootParameters } from "../foot/parametric/parameters";
import type { KeptQuestion } from "./kept";
import { planStaged, visitBounds, visitsFor } from "./stages";
import { questionOf, startOf } from "./kept";
import { stageRow, stageRowThatEnds } from "./stageRow";
import { stagedInWords } from "./choiceWords";
import { plainWording as wording } from "./trim.fixture";

const LENSES = { frontBack: "straight-axis", side: "even-sole" } as const;
const PLAIN = ordinaryFoot("LF", { kind: "horse", massKg: 500 });

/** Neglected: grown for months, its heels far above the live sole. */
const NEGLECTED: FootParameters = (() => {
  const grown = growFoot(PLAIN, { hornMm: 40, driftDeg: 6 });
  if (!grown.ok) throw new Error("no foot");
  return { ...grown.value, wallAboveSoleMm: { toe: 26, medial: 26, lateral: 26 } };
})();
const KEPT: KeptQuestion = {
  foot: NEGLECTED,
  lenses: LENSES,
  finish: "barefoot",
  toeTarget: 86,
  growthPerDay: 0.2,
  driftPerDay: 0,
  from: "2026-03-01",
  hemisphere: "north",
};

const first = (kept: KeptQuestion) => {
  const plan = planStaged(questionOf(kept, startOf(kept)));
  if (!plan.ok) throw new Error("no plan");
  return plan.value;
};
const row = (kept: KeptQuestion, weeks?: number) => {
  const found = stageRow(kept, first(kept).part.handCuts, false, weeks);
  if (!found.ok) throw new Error("no row");
  return found.value;
};

describe("a large trim in stages", () => {
  test("it begins with this visit's part, four weeks apart, until a visit's whole plan fits", () => {
    const { stages, ends, everyWeeks } = row(KEPT);
    expect([ends, everyWeeks]).toEqual([true, 4]);
    expect(stages.length).toBeGreaterThan(1);
    expect(stages.map(({ date }) => date).slice(0, 2)).toEqual(["2026-03-01", "2026-03-29"]);
    expect(stages[0]?.cuts).toEqual(first(KEPT).part.handCuts);
  });

  test("no stage goes past its bounds, and the last is within them whole", () => {
    for (const { cuts, before } of row(KEPT).stages) {
      const foot = trimFootOf(before);
      expect(visitsFor(foot, cuts, visitBounds(foot))).toBe(1);
    }
  });

  test("stages shrink: what is left to take gets less from one to the next", () => {
    const { stages } = row(KEPT);
    const heels = stages.map(({ cuts }) => cuts.heelMedial + cuts.heelLateral);
    for (const [index, taken] of heels.slice(1).entries())
      expect(taken).toBeLessThanOrEqual((heels[index] ?? 0) + 0.5);
    expect(heels.at(-1)).toBeLessThan(heels[0] ?? 0);
  });

  test("growth that outruns the trim is said, with what would end it", () => {
    const fast = { ...KEPT, growthPerDay: 0.9, driftPerDay: 0.28 };
    const usual = row(fast);
    expect(usual.ends).toBe(false);
    const shorter = stageRowThatEnds(fast, first(fast).part.handCuts, false);
    if (!shorter.ok) throw new Error("no row");
    expect(shorter.value.ends ? shorter.value.everyWeeks : 4).toBeLessThanOrEqual(4);
    expect(stagedInWords(first(fast), usual, false, wording)).toContain("Growth outruns it");
  });

  test("the words say why, how often and how far apart; a foot that may be flexural sends to the vet", () => {
    const said = stagedInWords(first(KEPT), row(KEPT), true, wording);
    expect(said).toMatch(/too much for one visit\./);
    expect(said).toContain("Ask the vet before its heels come down");
    expect(said).toMatch(/In \d visits, every 4 weeks/);
  });
});
