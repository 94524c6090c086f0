import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { wordingFor } from "../../foot/wording";
import { WEAR_SECTORS } from "../../foot/wear";
import { CONDITIONS, FOOTINGS, GOES, TURNOUTS, WORKS, type ShoeFacts } from "../facts";
import { facts, shodFoot } from "../shoe.fixture";
import { specificationSchema } from "../shoeRecord";
import { specDifferences } from "../specification";
import { adviseShoe } from "./advise";
import { fittedAdvice, type FittedAdvice } from "./fitted";
import { SITUATIONS } from "./situations.fixture";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });

/** The advice on an ordinary foot of this end and mass. */
function advised(told: ShoeFacts): FittedAdvice {
  const foot = shodFoot(told.limb.endsWith("F") ? "LF" : "LH", told.massKg);
  return fittedAdvice(
    adviseShoe(told),
    {
      foot,
      breakover: { fromToe: told.breakoverBack, direction: told.breakoverTurnDeg ?? 0 },
      skip: [],
    },
    {
      footing: told.footing,
      thinSole: told.thinSole === true,
      prescription: told.prescription,
      unsoundWall: told.unsoundWall,
      wording,
    },
  );
}

/** What every list has to hold, whatever was asked. */
function holds({ proposals }: FittedAdvice): void {
  proposals.forEach((one, index) => {
    // Every number of a proposal is one that a shoe can have.
    expect(specificationSchema.safeParse(one.spec).error?.issues ?? []).toEqual([]);
    // No shoe stands in it twice.
    for (const other of proposals.slice(0, index))
      expect([one.name, other.name, specDifferences(one.spec, other.spec).length > 0]).toEqual([
        one.name,
        other.name,
        true,
      ]);
    // Nothing is proposed that steel cannot be, unless it was prescribed so.
    if (!one.prescribed) expect(one.breaks.filter(({ impossible }) => impossible)).toEqual([]);
    if (one.spec.raise) expect(one.spec.raise.exit).not.toBe("");
  });
  expect(new Set(proposals.map(({ id }) => id)).size).toBe(proposals.length);
  expect(proposals.some(({ base }) => base === "bare")).toBe(true);
  // What is ruled out never stands before what is not.
  const outs = proposals.map(({ ruledOut }) => ruledOut);
  expect(outs).toEqual([...outs].sort((a, b) => Number(a) - Number(b)));
}

describe("whole situations, as they are met", () => {
  test("there are thirty of them at least", () => expect(SITUATIONS.length).toBeGreaterThanOrEqual(30));

  test.each(SITUATIONS.map((one) => [one.says, one] as const))("%s", (_says, situation) => {
    const told = facts(situation.facts);
    const advice = advised(told);
    const [first] = advice.proposals;
    expect(first?.base).toBe(situation.first);
    const { raise, ...spec } = situation.spec ?? {};
    expect(first?.spec).toMatchObject(spec);
    if (situation.spec && "raise" in situation.spec) expect(first?.spec.raise).toEqual(raise);
    for (const base of situation.never ?? [])
      expect(advice.proposals.filter((one) => one.base === base && !one.ruledOut && base !== "bare")).toEqual(
        [],
      );
    if (situation.never?.includes("bare")) expect(first?.base).not.toBe("bare");
    const speaks = first?.reasonsFor.map(({ rule }) => rule.id) ?? [];
    expect(speaks).toEqual(expect.arrayContaining(situation.because ?? []));
    expect(advice.askVet !== undefined).toBe(situation.askVet ?? false);
    // Every proposal passes the fit's own checks, or names the one that it breaks.
    expect(first?.breaks.map(({ id }) => id) ?? []).toEqual(situation.breaks ?? []);
    holds(advice);
  });

  test("a reason stands at a shoe only where it speaks about that shoe", () => {
    for (const { facts: told } of SITUATIONS)
      for (const { base, reasonsFor, reasonsAgainst, spec } of adviseShoe(facts(told)).proposals) {
        for (const { rule } of reasonsFor) {
          const wants = typeof rule.gives === "function" ? rule.gives(facts(told)) : (rule.gives ?? {});
          const about = (rule.bases?.[base] ?? 0) > 0;
          const dresses = spec.type !== "bare" && (!rule.only || rule.only.includes(base));
          expect([rule.id, base, about || (dresses && Object.keys(wants).length > 0)]).toEqual([
            rule.id,
            base,
            true,
          ]);
        }
        for (const { rule, as } of reasonsAgainst) {
          if (as === "against") expect(rule.bases?.[base] ?? 0).toBeLessThan(0);
          // No reason stands on both sides, but for what it costs.
          if (as !== "price") expect(reasonsFor.map((one) => one.rule.id)).not.toContain(rule.id);
        }
      }
  });
});

describe("any horse at all (property)", () => {
  const some = <T>(all: readonly T[]) => fc.subarray([...all], { maxLength: 3 });
  const side = fc.constantFrom("medial" as const, "lateral" as const);
  const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined });
  const anyFacts = fc.record({
    limb: fc.constantFrom("LF" as const, "RF" as const, "LH" as const, "RH" as const),
    massKg: fc.integer({ min: 90, max: 1000 }),
    work: some(WORKS),
    footing: some(FOOTINGS),
    goes: some(GOES),
    conditions: some(CONDITIONS),
    turnout: maybe(fc.constantFrom(...TURNOUTS)),
    effort: maybe(fc.constantFrom("light" as const, "hard" as const)),
    keptBare: fc.boolean(),
    landsOn: maybe(side),
    wornOn: maybe(side),
    crushed: fc.subarray(["medial" as const, "lateral" as const]),
    crackAt: maybe(side),
    lowHeels: fc.boolean(),
    heelsRunForward: fc.boolean(),
    frogProudMm: maybe(fc.integer({ min: -10, max: 15 })),
    brokenBackDeg: maybe(fc.integer({ min: 0, max: 12 })),
    slopingPastern: fc.boolean(),
    longPasterns: maybe(fc.boolean()),
    thinSole: maybe(fc.boolean()),
    poorWall: fc.boolean(),
    whiteLineSeparated: fc.boolean(),
    hornMm: maybe(fc.integer({ min: 2, max: 14 })),
    unsoundWall: fc.subarray([...WEAR_SECTORS], { maxLength: 3 }),
    limbDeviationDeg: maybe(fc.integer({ min: 0, max: 9 })),
    breakoverBack: fc.integer({ min: 0, max: 14 }),
    breakoverTurnDeg: maybe(fc.integer({ min: -25, max: 25 })),
    growsMoreThanItWears: maybe(fc.boolean()),
  });

  test("every list holds together, and a spared side never gets more steel", () => {
    fc.assert(
      fc.property(anyFacts, (some) => {
        const told = facts(some as Partial<ShoeFacts>);
        const advice = advised(told);
        holds(advice);
        for (const { spec } of advice.proposals) {
          if (spec.type === "bare") continue;
          for (const one of [...told.crushed, ...(told.crackAt ? [told.crackAt] : [])]) {
            const [out, full] =
              one === "medial" ? [spec.outMedial, spec.fullMedial] : [spec.outLateral, spec.fullLateral];
            expect(out).toBe(0);
            expect(full).toBeLessThanOrEqual(3);
          }
        }
        // Bare is never argued from a sole that nobody measured.
        const [first] = advice.proposals;
        if (first?.base === "bare") expect(told.keptBare || told.thinSole === false).toBe(true);
      }),
      { numRuns: 150, seed: 17 },
    );
  });
});
