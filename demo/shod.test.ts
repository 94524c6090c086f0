import { describe, expect, test } from "@jest/globals";
import { LIMBS, type Limb } from "~core/foot/limb";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { shoeSchema } from "~core/shoe/shoeRecord";
import { adviseShoe } from "~core/shoe/advice/advise";
import { nailTable } from "~core/shoe/nailTable";
import { fitChoice, NO_CHOICE, openChecks, standingSpec, visitShoe } from "~core/visit/visitShoe";
import { lastVisit, round, wording } from "./round.fixture";

/** A foot as it stood at the horse's last visit, ready to be shod. */
function shoeing(name: string, limb: Limb = "LF") {
  const { horse, visit, feet } = lastVisit(name);
  const shoe = visitShoe({ visit, horse, feet, limb }, DEFAULT_SETTINGS, wording);
  const first = shoe.advice.proposals[0];
  if (!first) throw new Error("nothing proposed");
  const bench = fitChoice(shoe, NO_CHOICE, first.spec, wording);
  return { horse, feet, shoe, first, bench };
}

describe("each yard's work gets a specification to nod at, or to argue with", () => {
  test.each([
    [
      "Bramble",
      "trekking on stones and road, in a herd",
      { traction: "road pins", clips: ["side medial", "side lateral"], relief: true },
    ],
    ["Sandpiper", "turf at speed", { profile: "concave", crease: "creased" }],
    ["Goliard", "timber", { traction: "heel blocks", crease: "stamped", nailsLateral: 4, width: 32 }],
    [
      "Heron",
      "long distances over stones and turf",
      { relief: true, clips: ["side medial", "side lateral"] },
    ],
    ["Old Tinker", "refuge, trims only", { type: "bare" }],
    ["Bastion", "asphalt", { traction: "road pins", studsGood: "none", studsWet: "none", material: "steel" }],
    [
      "Clementine",
      "jumping on wet turf",
      {
        toeEdge: expect.stringMatching(/eased|rolled/),
        traction: "stud holes",
        studsGood: "small",
        studsWet: "large",
      },
    ],
    ["Dunlin", "field", { type: "bare" }],
  ])("%s, %s", (name, _work, expected) => {
    expect(shoeing(name).first.spec).toMatchObject(expected);
  });

  test("a hind that overreaches gets a square toe set under", () => {
    expect(shoeing("Velvet Tide", "LH").first.spec.toe).toBe("square set under");
    expect(shoeing("Velvet Tide", "LF").first.spec.toe).toBe("round");
  });

  test("thin soles are relieved and not hot-fitted", () => {
    const { shoe, first } = shoeing("Minnow");
    expect(shoe.shoeFacts.thinSole).toBe(true);
    expect(first.spec.relief).toBe(true);
    expect(first.cautions.join()).toContain("Fit cold");
  });

  test("a quarter crack takes two side clips, and its side is known", () => {
    const { shoe, first } = shoeing("Larkspur", "RF");
    expect(shoe.shoeFacts.crackAt).toBe("lateral");
    expect(first.spec.clips).toEqual(["side medial", "side lateral"]);
  });

  test("the schoolmaster's prescription stands first, with what it asks for; his hind feet go by the rules", () => {
    const { first, bench } = shoeing("Major Oak");
    expect(first.prescribed).toBe(true);
    expect(first.spec).toMatchObject({ type: "straight bar", toeEdge: "rolled", raise: { degrees: 3 } });
    expect(bench.checks.find(({ id }) => id === "prescription")?.ok).toBe(true);
    expect(shoeing("Major Oak", "LH").first.prescribed).toBe(false);
  });

  test("a prescription that ran out no longer speaks", () => {
    const { shoe } = shoeing("Major Oak");
    expect(shoe.shoeFacts.prescription).toBeDefined();
    const { prescription: _gone, ...without } = shoe.shoeFacts;
    expect(adviseShoe(without).proposals[0]?.prescribed).toBe(false);
  });
});

describe("the whole round", () => {
  const feet = round.horses.flatMap(({ name }) => LIMBS.map((limb) => ({ name, limb })));

  test("every foot can be shod as advised: nothing impossible, few checks open, nails long enough and in the web", () => {
    let [open, shod] = [0, 0];
    for (const { name, limb } of feet) {
      const { bench, shoe, first } = shoeing(name, limb);
      const checks = openChecks(bench.checks, {});
      expect([name, limb, checks.filter(({ impossible }) => impossible)]).toEqual([name, limb, []]);
      if (first.spec.type === "bare") continue;
      shod += 1;
      open += checks.length;
      const nails = nailTable(bench.fit, shoe.toShoe.drawn, []);
      expect([name, limb, /too short|match/.test(nails.says(wording))]).toEqual([name, limb, false]);
      expect([name, limb, bench.checks.find(({ id }) => id === "behind")?.ok]).toEqual([name, limb, true]);
      expect(bench.fit.mass).toBeGreaterThan(80);
      expect(bench.fit.mass).toBeLessThan(1600);
    }
    expect(shod).toBeGreaterThan(90);
    expect(open / shod).toBeLessThan(1);
  });

  test("the last shoes are there to be carried on, and read as records", () => {
    for (const row of round.shoes) expect(shoeSchema.parse(row)).toEqual(row);
    const { feet: bramble, shoe } = shoeing("Bramble");
    expect(bramble.LF.lastShoe?.spec).toBeDefined();
    expect(standingSpec(shoe, { ...bramble.LF, shoe: undefined } as never, 520)).toEqual(
      bramble.LF.lastShoe?.spec,
    );
  });

  test("a trimmed foot is fitted as it was cut: shorter toe, shorter shoe", () => {
    const { shoe } = shoeing("Brigadoon Lad");
    const before = shoe.facts.marks.toe?.y ?? 0;
    expect(shoe.toShoe.foot.knots.toe[1]).toBeLessThan(before);
    expect(shoe.toShoe.measured).toBe(true);
    expect(shoe.fittedTo).toBe("as it was cut");
  });

  test("a foot surveyed again after its trim is fitted as it was found, whatever was cut", () => {
    const { horse, feet: known } = shoeing("Brigadoon Lad");
    const visit = round.visits.findLast(
      ({ horseId, status }) => horseId === horse.id && status === "signed",
    )!;
    const before = known.LF.reading.before!;
    const sole = {
      ...before.sole,
      toe: { x: { value: 0, source: "calliper" }, y: { value: 119, source: "calliper" } },
    };
    const again = { ...known.LF.reading.after!, sole };
    const feet = { ...known, LF: { ...known.LF, reading: { before, after: again } } } as typeof known;
    const shoe = visitShoe({ visit, horse, feet, limb: "LF" }, DEFAULT_SETTINGS, wording);
    expect(shoe.fittedTo).toBe("measured after the trim");
    expect(shoe.toShoe.foot.knots.toe[1]).toBe(119);
    const { trim: _none, ...uncut } = known.LF;
    const standing = visitShoe(
      { visit, horse, feet: { ...known, LF: uncut }, limb: "LF" },
      DEFAULT_SETTINGS,
      wording,
    );
    expect(standing.fittedTo).toBe("as it stands");
  });
});
