import { describe, expect, test } from "@jest/globals";
import { facts } from "../shoe.fixture";
import { adviseShoe, SHOE_RULES } from "./advise";
import { CONDITIONS, EFFORTS, FOOTINGS, GOES, TURNOUTS, WORKS, type ShoeFacts } from "../facts";

const first = (more: Partial<ShoeFacts> = {}) => adviseShoe(facts(more)).proposals[0];
const order = (more: Partial<ShoeFacts> = {}) =>
  adviseShoe(facts(more)).proposals.map(({ archetype }) => archetype);
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
    ["no work", fore, { work: ["no work"] }],
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
    ["spreads in the stop", hind, { ...hind, goes: ["spreads in the stop"] }],
    ["pulls shoes off", fore, { goes: ["pulls shoes off"] }],
    ["sore heels", fore, { conditions: ["sore heels"] }],
    ["laminitis", fore, { conditions: ["laminitis"] }],
    ["white-line disease", fore, { conditions: ["white-line disease"] }],
    ["missing wall", fore, { conditions: ["missing wall"] }],
    ["fracture", fore, { conditions: ["fracture"] }],
    ["lands and wears on one side", fore, { landsOn: "lateral", wornOn: "lateral" }],
    ["deviates", { landsOn: "lateral" }, { landsOn: "lateral", deviates: true }],
    ["crushed heel on that side", { landsOn: "lateral" }, { landsOn: "lateral", crushed: ["lateral"] }],
    ["low heels", fore, { lowHeels: true }],
    ["low heels with a big frog", { lowHeels: true }, { lowHeels: true, bigFrog: true }],
    ["sloping pastern", fore, { slopingPastern: true }],
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
    ["grows more than it wears", fore, { growsMoreThanItWears: true }],
  ];

  test.each(CHANGES)("%s", (_what, base, more) => {
    const [was, now] = [first(base), first(more)];
    expect({ archetype: now?.archetype, spec: now?.spec }).not.toEqual({
      archetype: was?.archetype,
      spec: was?.spec,
    });
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

describe("the rules that are held", () => {
  test("turf: creased and concave, a narrower web; soft arena: a broad one", () => {
    const turf = first({ footing: ["firm turf"] });
    expect(turf?.spec).toMatchObject({ crease: "creased", profile: "concave" });
    expect(turf?.spec.width).toBeLessThan(first({ footing: ["soft arena"] })?.spec.width ?? 0);
  });

  test("jumping: eased toe, steel, stud holes; larger studs on wet ground, none for the road", () => {
    const studs = (footing: ShoeFacts["footing"]) => first({ work: ["jumping"], footing })?.spec;
    expect(studs(["wet turf"])).toMatchObject({
      toe: "eased",
      material: "steel",
      traction: "stud holes",
      studs: "large",
    });
    expect(studs(["firm turf"])).toMatchObject({ studs: "small" });
    expect(studs(["road"])).toMatchObject({ studs: "none" });
  });

  test("light metal only in front, never on road or stones", () => {
    const fast: Partial<ShoeFacts> = { work: ["fast work on turf"] };
    expect(order({ ...fast, footing: ["firm turf"] })).toContain("light");
    expect(order({ ...fast, limb: "LH", footing: ["firm turf"] })).not.toContain("light");
    expect(order({ ...fast, footing: ["road"] })).not.toContain("light");
  });

  test("sliding stops: smooth open plate behind, and one that spreads has its inner branch longer", () => {
    const plate = first({ limb: "LH", work: ["sliding stops"], goes: ["spreads in the stop"] });
    expect(plate?.archetype).toBe("sliding");
    expect(plate?.spec).toMatchObject({
      type: "sliding plate",
      traction: "none",
      heels: "open",
      longerMedial: 6,
    });
    expect(first({ work: ["sliding stops"] })?.archetype).not.toBe("sliding");
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
    expect(firm.proposals.filter(({ archetype, ruledOut }) => archetype === "egg bar" && !ruledOut)).toEqual(
      [],
    );
    const soft = adviseShoe(
      facts({ footing: ["soft arena"], conditions: ["sore heels"], heelsRunForward: true }),
    );
    expect(soft.proposals[0]?.archetype).not.toBe("egg bar");
  });

  test("low heels with a big frog: the frog carries, passively, and the toe is rolled", () => {
    const proposal = first({ lowHeels: true, bigFrog: true });
    expect(proposal?.spec).toMatchObject({ pad: "frog support", packing: "setting compound", toe: "rolled" });
    expect(proposal?.cautions.join()).toContain("passive");
    expect(proposal?.spec.raise).toBeUndefined();
  });

  test("one side landed on and worn gets a little web; where that heel is crushed it gets none", () => {
    expect(first({ landsOn: "medial", wornOn: "medial" })?.spec).toMatchObject({
      extraSide: "medial",
      extraWeb: 2,
    });
    expect(first({ landsOn: "medial", crushed: ["medial"] })?.spec).toMatchObject({ extraSide: "none" });
    // Landing and wear that contradict each other decide nothing.
    expect(first({ landsOn: "medial", wornOn: "lateral" })?.spec.extraSide).toBe("none");
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
    expect(advice.proposals.filter(({ archetype }) => archetype === "heart bar")).toHaveLength(1);
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
      expect(proposals.some(({ archetype }) => archetype === "bare")).toBe(true);
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
