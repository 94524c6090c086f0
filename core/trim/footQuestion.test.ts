import { describe, expect, test } from "@jest/globals";
import { visitFoot } from "../visit/visitFoot";
import { footFacts } from "../visit/footFacts";
import type { FootValues } from "../foot/measures";
import { fitFoot, ordinaryFoot } from "../foot/parametric/fit";
import { nothingRead } from "../foot/records/reading";
import { blankVisit } from "../record/visit";
import { GENERAL_NOISE } from "../repeatability/repeatability";
import { sidesInWords } from "./compare";
import { footQuestion, worthMeasuring } from "./footQuestion";
import { HORSE as horse } from "../record/horse.fixture";
import { planTrim } from "./plan";
import { limitInWords } from "./planWords";
import { aheadOfLine } from "./toeOutside";
import { plainWording as wording } from "./trim.fixture";

const noise = GENERAL_NOISE.value;
const LENSES = { frontBack: "straight-axis", side: "even-sole" } as const;
const PLAIN = ordinaryFoot("LF", { kind: "horse", massKg: 500 });

describe("a foot's facts as a question", () => {
  const visit = { id: "v", horseId: "h", date: "2026-11-23", status: "open", ...blankVisit() } as const;
  const values: FootValues = {
    dorsalAngle: { value: 48, source: "gauge" },
    pasternAngle: { value: 52, source: "gauge" },
    toeLength: { value: 95, source: "calliper" },
    heelHeightMedial: { value: 33, source: "calliper" },
    heelHeightLateral: { value: 33, source: "calliper" },
    bearingLength: { value: 124, source: "calliper" },
    width: { value: 128, source: "calliper" },
  };
  const facts = (walls: object, more: object = {}) => {
    const reading = {
      id: "v.LF.before",
      visitId: "v",
      horseId: "h",
      limb: "LF" as const,
      moment: "before" as const,
      date: "2026-11-23",
      ...nothingRead(),
      values: values as never,
      walls,
      ...more,
    };
    const records = { readings: [reading], trims: [], watchings: [], looks: [], photos: [], shoes: [] };
    const foot = visitFoot(visit, "LF", records);
    return footFacts(
      foot,
      visitFoot(visit, "RF", records),
      { visit, moment: "before", horse, noise, wording, bounds: {} },
      foot.values.before,
    );
  };
  const context = { shod: true, lenses: LENSES, margins: { shod: 0, barefoot: 2 } };

  test("chalk and step make an estimate of the wall at the toe, taken less its noise and still called assumed", () => {
    const asked = footQuestion(facts({}, { chalkMm: 4, stepMm: 5 }), context);
    // 9 mm less the noise of two lengths, sd 1.083 mm each.
    expect(asked.question.above.toe).toBeCloseTo(7.468, 2);
    expect(asked.assumed).toContain("aboveToe");
    expect(footQuestion(facts({}, { chalkMm: 0, stepMm: 1 }), context).question.above.toe).toBe(0);
    expect(footQuestion(facts({}, { chalkMm: 4 }), context).question.above.toe).toBe(3);
    expect(
      footQuestion(facts({ toe: { above: 6 } }, { chalkMm: 4, stepMm: 5 }), context).question.above.toe,
    ).toBe(6);
  });

  test("measured walls are taken as they are, with their places; the toe keeps its yardstick less 6 mm", () => {
    const walls = {
      toe: { above: 8, thickness: 12 },
      heelMedial: { above: 3 },
      heelLateral: { above: 4 },
      quarterMedial: { above: 5 },
    };
    const { question, assumed } = footQuestion(facts(walls, { sulcusDepthMm: 12 }), context);
    expect(question).toMatchObject({
      above: { toe: 8, heelMedial: 3, heelLateral: 4 },
      toeWall: 12,
      sulcusDepth: 12,
      quarters: [{ name: "quarterMedial", above: 5 }],
    });
    expect(question.minToeLength).toBeCloseTo(facts(walls).target.toeLengthMm - 6, 12);
    expect(assumed).toEqual(["heelAngle", "soleSurvey"]);
  });

  test("walls that nobody measured count as next to nothing, are named, and the two most telling come first", () => {
    const found = footQuestion(facts({}), context);
    expect(found.question.above).toEqual({ toe: 3, heelMedial: 2, heelLateral: 2 });
    expect(found.assumed).toEqual(expect.arrayContaining(["aboveToe", "aboveHeelMedial", "toeWall"]));
    const worth = worthMeasuring(found);
    expect(worth).toHaveLength(found.assumed.length);
    expect(worth.slice(0, 2).map(({ want }) => want)).toEqual(["aboveToe", "aboveHeelMedial"]);
    for (const [index, { mm }] of worth.slice(1).entries())
      expect(mm).toBeLessThanOrEqual(worth[index]?.mm ?? 0);
  });

  test("a sighted lens without a view from behind rolls nothing and asks for it", () => {
    const { question, assumed } = footQuestion(facts({}), {
      ...context,
      lenses: { ...LENSES, side: "square-limb" },
    });
    expect(question.sideAngle).toBe(0);
    expect(assumed).toContain("sideAngle");
    const seen = facts({}, { rear: { limbDeviation: { value: 3, source: "gauge" } } });
    expect(
      footQuestion(seen, { ...context, lenses: { ...LENSES, side: "square-limb" } }).question.sideAngle,
    ).toBe(-3);
  });

  test("on a visit for the toe alone no heel is cut, whatever stands above its sole", () => {
    const walls = { toe: { above: 8 }, heelMedial: { above: 6 }, heelLateral: { above: 6 } };
    const { question } = footQuestion(facts(walls), { ...context, toeOnly: true });
    const plan = planTrim(question);
    if (!plan.ok) throw new Error("no plan");
    expect(plan.value.cuts).toMatchObject({ heelMedial: 0, heelLateral: 0 });
    expect(plan.value.cuts.toe).toBeGreaterThan(2);
    expect(limitInWords("heelMedial", plan.value, wording)).toBe(
      "The inside heel stays: this visit is for the toe alone.",
    );
  });

  test("a dish that speaks is dressed as far as it stands ahead; over 6 degrees the vet comes first, a vet's plan allows it", () => {
    const walls = { toe: { above: 8, thickness: 16 }, heelMedial: { above: 3 }, heelLateral: { above: 3 } };
    const dished = (dish: number) =>
      facts(walls, { side: { dish: { value: dish, source: "gauge" as const } } });
    expect(footQuestion(dished(1), context).question.outside).toBe(0);
    const at5 = footQuestion(dished(5), context).question;
    expect(at5.outside).toBeCloseTo(aheadOfLine(48, 5, 47.5), 9);
    const at7 = footQuestion(dished(7), context).question;
    expect(at7).toMatchObject({ outside: 0, dressAsksVet: true });
    expect(footQuestion(dished(7), { ...context, vetPlan: true }).question.outside).toBeGreaterThan(5);
  });

  test("further back is the user's own: as far as the horn that has to stay, and only where it was measured", () => {
    const straight = {
      toe: { above: 8, thickness: 16 },
      heelMedial: { above: 3 },
      heelLateral: { above: 3 },
    };
    const own = { ...context, choices: { furtherBack: true } };
    expect(footQuestion(facts(straight), own).question.outside).toBeUndefined();
    expect(footQuestion(facts({ toe: { above: 8 } }), own).question.outside).toBe(0);
  });

  test("the other side lenses speak where they would roll it more than 2 degrees otherwise, and say what they are weak at", () => {
    const walls = { heelMedial: { above: 4 }, heelLateral: { above: 4 }, toe: { above: 6 } };
    const crooked = facts(walls, { rear: { limbDeviation: { value: 4, source: "gauge" } } });
    const plan = planTrim(footQuestion(crooked, context).question);
    if (!plan.ok) throw new Error("no plan");
    expect(sidesInWords(crooked, plan.value, wording)).toEqual([
      "Square to limb would lower the inside heel, a roll of 4.0°. Strong: straight limbs. Weak: crooked limbs: it builds the crookedness into the foot.",
    ]);
    const straight = facts(walls, { rear: { limbDeviation: { value: 1, source: "gauge" } } });
    expect(sidesInWords(straight, plan.value, wording)).toEqual([]);
  });

  test("the drawn foot carries the walls that were measured", () => {
    const foot = fitFoot(values, PLAIN, { walls: { toe: { above: 7 }, heelLateral: { above: 1 } } }).foot;
    expect(foot.wallAboveSoleMm).toEqual({ toe: 7, medial: PLAIN.wallAboveSoleMm.medial, lateral: 1 });
  });
});
