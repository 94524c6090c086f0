import { describe, expect, test } from "@jest/globals";
import { facts } from "../shoe.fixture";
import { adviseShoe, SHOE_RULES } from "./advise";
import { CONDITIONS, EFFORTS, FOOTINGS, GOES, TURNOUTS, WORKS, type ShoeFacts } from "../facts";

const first = (more: Partial<ShoeFacts> = {}) => adviseShoe(facts(more)).proposals[0];
const order = (more: Partial<ShoeFacts> = {}) => adviseShoe(facts(more)).proposals.map(({ base }) => base);
const spokenIds = (more: Partial<ShoeFacts>) => adviseShoe(facts(more)).spoken.map(({ rule }) => rule.id);

describe("every use, footing, way of going, limb and finding changes the answer somewhere", () => {
  /** Where each of them tells: the facts it is put into, and what of the first proposal has to differ. */
  const fore: Partial<ShoeFacts> = {};
  const hind: Partial<ShoeFacts> = { limb: "LH" };
  const CHANGES: [what: string, base: Partial<ShoeFacts>, more: Partial<ShoeFacts>][] = [
    ["hacking on the road", fore, { work: ["hacking"], footing: ["road"] }],
    ["fast work on turf", { footing: ["wet turf"] }, { footing: ["wet turf"], work: ["fast work on turf"] }],
    ["jumping", fore, { work: ["jumping"] }],
    ["long distances", { footing: ["stony track"] }, { footing: ["stony track"], work: ["long distances"] }],
    ["sliding stops", hind, { ...hind, work: ["sliding stops"] }],
    ["haulage", fore, { work: ["haulage"] }],
    ["driving", { footing: ["stony track"] }, { footing: ["stony track"], work: ["driving"] }],
    ["no work", { thinSole: false }, { thinSole: false, work: ["no work"] }],
    ["road", fore, { footing: ["road"] }],
    ["stony track", { effort: "hard" }, { effort: "hard", footing: ["stony track"] }],
    ["firm turf", fore, { footing: ["firm turf"] }],
    ["wet turf", { work: ["jumping"] }, { work: ["jumping"], footing: ["wet turf"] }],
    ["soft arena", fore, { footing: ["soft arena"] }],
    ["deep ground", fore, { footing: ["deep ground"] }],
    ["herd", fore, { turnout: "in a herd" }],
    ["hard work", { footing: ["stony track"] }, { footing: ["stony track"], effort: "hard" }],
    ["overreaches", hind, { ...hind, goes: ["overreaches"] }],
    ["forges", fore, { goes: ["forges"] }],
    ["brushes", fore, { goes: ["brushes"] }],
    ["treads on itself", fore, { goes: ["treads on itself"] }],
    ["drags a toe", hind, { ...hind, goes: ["drags a toe"] }],
    ["straight stifle", hind, { ...hind, goes: ["straight stifle"] }],
    [
      "spreads in the stop",
      { ...hind, work: ["sliding stops"] },
      { ...hind, work: ["sliding stops"], goes: ["spreads in the stop"] },
    ],
    ["pulls shoes off", fore, { goes: ["pulls shoes off"] }],
    ["sore heels", fore, { conditions: ["sore heels"] }],
    ["laminitis", fore, { conditions: ["laminitis"] }],
    ["white-line disease", fore, { conditions: ["white-line disease"] }],
    ["missing wall", fore, { conditions: ["missing wall"] }],
    ["fracture", fore, { conditions: ["fracture"] }],
    ["lands and wears on one side", fore, { landsOn: "lateral", wornOn: "lateral" }],
    [
      "a limb that leans much",
      { landsOn: "lateral", wornOn: "lateral" },
      { landsOn: "lateral", wornOn: "lateral", limbDeviationDeg: 6 },
    ],
    ["crushed heel on that side", { landsOn: "lateral" }, { landsOn: "lateral", crushed: ["lateral"] }],
    ["low heels", fore, { lowHeels: true }],
    ["low heels with a big frog", { lowHeels: true }, { lowHeels: true, frogProudMm: 9 }],
    [
      "an axis that is broken back over it",
      { lowHeels: true, frogProudMm: 9 },
      { lowHeels: true, frogProudMm: 9, brokenBackDeg: 4 },
    ],
    ["long sloping pasterns", { slopingPastern: true }, { slopingPastern: true, longPasterns: true }],
    ["a thick wall", fore, { hornMm: 12 }],
    ["a turned breakover", fore, { breakoverTurnDeg: -15 }],
    ["wall that holds no clip", fore, { unsoundWall: ["toe"] }],
    ["thin sole turned out with others", { thinSole: true }, { thinSole: true, turnout: "in a herd" }],
    ["turf and arena", { footing: ["soft arena"] }, { footing: ["soft arena", "firm turf"] }],
    ["crack at a quarter", fore, { crackAt: "lateral" }],
    ["thin sole", fore, { thinSole: true }],
    ["poor wall", { massKg: 800 }, { massKg: 800, poorWall: true }],
    ["separated white line", { massKg: 800 }, { massKg: 800, whiteLineSeparated: true }],
    ["heels run forward", fore, { heelsRunForward: true }],
    ["base-narrow", fore, { base: "narrow" }],
    ["base-wide", fore, { base: "wide" }],
    ["toe-in", fore, { toeDirection: "toe-in" }],
    ["toe-out", fore, { toeDirection: "toe-out" }],
    ["breakover behind the toe", fore, { breakoverBack: 9 }],
    ["kept bare", fore, { keptBare: true }],
    ["grows more than it wears", { thinSole: false }, { thinSole: false, growsMoreThanItWears: true }],
  ];

  test.each(CHANGES)("%s", (_what, base, more) => {
    const [was, now] = [first(base), first(more)];
    expect(now?.spec).not.toEqual(was?.spec);
  });

  test("the table above leaves out none that a horse's page can say", () => {
    const told = CHANGES.flatMap(([, , more]) => [
      ...(more.work ?? []),
      ...(more.footing ?? []),
      ...(more.goes ?? []),
      ...(more.conditions ?? []),
      ...(more.turnout ? [more.turnout] : []),
      ...(more.effort ? [more.effort] : []),
    ]);
    // Alone, stabled and light work are the ordinary case that the others differ from.
    const ordinary = ["alone", "stabled", "light"];
    for (const one of [...WORKS, ...FOOTINGS, ...GOES, ...CONDITIONS, ...TURNOUTS, ...EFFORTS])
      expect([one, told.includes(one as never) || ordinary.includes(one)]).toEqual([one, true]);
  });

  test("every rule of the table speaks somewhere above", () => {
    const heard = new Set(
      CHANGES.flatMap(([, base, more]) => [...spokenIds(base), ...spokenIds(more)]).concat(
        spokenIds({ thinSole: true, footing: ["stony track"] }),
        spokenIds({ footing: ["soft arena"], conditions: ["sore heels"] }),
      ),
    );
    expect(SHOE_RULES.map(({ id }) => id).filter((id) => !heard.has(id))).toEqual([]);
  });
});

describe("what is disputed is said from both sides", () => {
  const about = (more: Partial<ShoeFacts>) => first(more)?.disputes.map(({ id }) => id);
  test.each([
    [{ work: ["jumping"] }, ["rolled-all-round"]],
    [{ lowHeels: true, frogProudMm: 9, brokenBackDeg: 4 }, ["rolled-all-round", "wedges", "frog-carries"]],
    [{ thinSole: true }, ["hot-thin"]],
    [{}, []],
  ] as [Partial<ShoeFacts>, string[]][])("%j: %j", (more, ids) => expect(about(more)).toEqual(ids));

  test("a model is called a model", () => {
    for (const rule of SHOE_RULES)
      if (rule.source.startsWith("simulated")) expect(rule.support).toBe("a model, not a measurement");
  });
});

describe("the rules that are held", () => {
  test("turf: creased and concave, a narrower web; soft arena: a broad one", () => {
    const turf = first({ footing: ["firm turf"] });
    expect(turf?.spec).toMatchObject({ crease: "creased", profile: "concave" });
    expect(turf?.spec.width).toBeLessThan(first({ footing: ["soft arena"] })?.spec.width ?? 0);
  });

  test("jumping: eased toe, steel, stud holes; larger studs on wet ground, none for the road", () => {
    const studs = (footing: ShoeFacts["footing"]) => first({ work: ["jumping"], footing })?.spec;
    expect(studs(["wet turf"])).toMatchObject({
      toeEdge: "eased",
      material: "steel",
      traction: "stud holes",
      studsGood: "small",
      studsWet: "large",
    });
    expect(studs(["firm turf"])).toMatchObject({ studsGood: "small", studsWet: "large" });
    expect(studs(["road"])).toMatchObject({ studsGood: "none", studsWet: "none" });
  });

  test("light metal only in front, never on road or stones", () => {
    const fast: Partial<ShoeFacts> = { work: ["fast work on turf"] };
    const metals = (more: Partial<ShoeFacts>) =>
      adviseShoe(facts({ ...fast, ...more })).proposals.map(({ spec }) => spec.material);
    expect(metals({ footing: ["firm turf"] })).toContain("aluminium");
    // Worth its wear only where the work is hard: else it stands behind steel.
    expect(metals({ footing: ["firm turf"] })[0]).toBe("steel");
    expect(metals({ footing: ["firm turf"], effort: "hard" })[0]).toBe("aluminium");
    expect(metals({ limb: "LH", footing: ["firm turf"], effort: "hard" })).not.toContain("aluminium");
    expect(metals({ footing: ["road"], effort: "hard" })).not.toContain("aluminium");
  });

  test("sliding stops: smooth open plate behind; one that spreads has its outer branch shorter, the inner never longer", () => {
    const plate = first({ limb: "LH", work: ["sliding stops"], goes: ["spreads in the stop"] });
    expect(plate?.base).toBe("sliding");
    expect(plate?.spec).toMatchObject({
      type: "sliding plate",
      traction: "none",
      endLateral: "open",
      endMedial: "tucked",
      longerMedial: 0,
      longerLateral: -6,
      clips: [],
    });
    expect(order({ work: ["sliding stops"] })).not.toContain("sliding");
  });

  test("haulage: braking at the heels, four nails a side, no studs", () => {
    expect(first({ work: ["haulage"], massKg: 860 })?.spec).toMatchObject({
      traction: "heel blocks",
      nailsMedial: 4,
      nailsLateral: 4,
    });
  });

  test("an egg bar is ruled out on firm ground, with the reason, and never first on a heel that ran forward", () => {
    const firm = adviseShoe(facts({ footing: ["road"], conditions: ["sore heels"] }));
    expect(firm.proposals.filter(({ base, ruledOut }) => base === "egg bar" && !ruledOut)).toEqual([]);
    const soft = adviseShoe(
      facts({ footing: ["soft arena"], conditions: ["sore heels"], heelsRunForward: true }),
    );
    expect(soft.proposals[0]?.base).not.toBe("egg bar");
  });

  test("low heels with a frog past them: the frog carries, passively, and the toe is eased", () => {
    const proposal = first({ lowHeels: true, frogProudMm: 9 });
    expect(proposal?.spec).toMatchObject({
      pad: "frog support",
      packing: "setting compound",
      toeEdge: "eased",
    });
    expect(proposal?.cautions.join()).toContain("passive");
    expect(proposal?.spec.raise).toBeUndefined();
  });

  test("one side landed on and worn gets a step more; where that heel is crushed it gets none", () => {
    expect(first({ landsOn: "medial", wornOn: "medial" })?.spec).toMatchObject({
      widerMedial: 3,
      outMedial: 3,
      outLateral: 0,
    });
    const spared = { outMedial: 0, widerMedial: 0, outLateral: 0 };
    expect(first({ landsOn: "medial", crushed: ["medial"] })?.spec).toMatchObject(spared);
    // Landing and wear that contradict each other decide nothing.
    expect(first({ landsOn: "medial", wornOn: "lateral" })?.spec).toMatchObject(spared);
  });

  test("laminitis, fracture, missing wall, white-line disease: the vet first, whatever else is said", () => {
    for (const condition of CONDITIONS.filter((one) => one !== "sore heels")) {
      const advice = adviseShoe(facts({ conditions: [condition] }));
      expect([condition, advice.askVet?.includes(condition)]).toEqual([condition, true]);
    }
    expect(adviseShoe(facts({ conditions: ["sore heels"] })).askVet).toBeUndefined();
  });

  test("a prescription outranks every rule, stands first and is shown as such", () => {
    const prescription = {
      by: "the vet",
      until: "2026-12-01",
      says: "",
      type: "heart bar",
      raiseDeg: 3,
    } as const;
    const advice = adviseShoe(facts({ footing: ["firm turf"], conditions: ["laminitis"], prescription }));
    expect(advice.proposals[0]).toMatchObject({
      prescribed: true,
      spec: { type: "heart bar", raise: { degrees: 3 } },
    });
    expect(advice.proposals.filter(({ spec }) => spec.type === "heart bar")).toHaveLength(1);
    expect(advice.askVet).toBeUndefined();
  });

  test("bare is always weighed, and every proposal argues: a short list, never longer than six", () => {
    for (const more of [
      {},
      { footing: ["road"] as const },
      { keptBare: true },
      { work: ["haulage"] as const },
    ]) {
      const { proposals } = adviseShoe(facts(more));
      expect(proposals.some(({ base }) => base === "bare")).toBe(true);
      expect(proposals.length).toBeLessThanOrEqual(6);
    }
    const road = adviseShoe(facts({ footing: ["road"] })).proposals[0];
    expect(road?.reasonsFor.length).toBeGreaterThan(0);
    expect(road?.reasonsAgainst.length).toBeGreaterThan(0);
  });

  test("each rule says when, then, because, against, and where it comes from", () => {
    for (const rule of SHOE_RULES)
      for (const said of [rule.when, rule.then, rule.because, rule.against, rule.source])
        expect([rule.id, said.length > 3]).toEqual([rule.id, true]);
    expect(new Set(SHOE_RULES.map(({ id }) => id)).size).toBe(SHOE_RULES.length);
  });
});
