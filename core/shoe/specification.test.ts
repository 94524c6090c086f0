import { describe, expect, test } from "@jest/globals";
import { specificationSchema } from "./shoeRecord";
import { wordingFor } from "../foot/wording";
import { WEAR_SECTORS } from "../foot/wear";
import { ordinaryShoe, specDifferences, specForPair, type Specification } from "./specification";
import { differencesInWords, specInWords, studsForOwner } from "./specWords";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "inside-outside", leftRight: "left-right" });
const inches = wordingFor({ unit: "in", fraction: 16, side: "inside-outside", leftRight: "left-right" });
const shoe = ordinaryShoe("LF", 520);

describe("a specification", () => {
  test("is said in one line, in the user's own unit", () => {
    expect(specInWords(shoe, wording)).toBe(
      "creased shoe, steel, 22 mm × 10 mm, toe clip, ends at the back of the frog, 6 nails",
    );
    expect(specInWords({ ...shoe, width: 19.05 }, inches)).toContain("¾ in × ");
    expect(specInWords({ ...shoe, type: "bare" }, wording)).toMatch(/^Bare/);
  });

  test("says everything that was decided, each once", () => {
    const whole: Specification = {
      ...shoe,
      type: "straight bar",
      toe: "square",
      toeEdge: "rockered",
      fullToeMedial: 1,
      widerLateral: 3,
      outLateral: 3,
      longerMedial: -4,
      turn: -2,
      edges: { heelLateral: "eased", quarterMedial: "safe inside", heelMedial: "safe inside" },
      unloaded: ["quarterLateral"],
      clips: ["side medial", "side lateral"],
      traction: "stud holes",
      studsGood: "small",
      studsWet: "large",
      relief: true,
      pad: "frog support",
      riveted: true,
      packing: "setting compound",
      packed: "injected",
      raise: { degrees: 3, cycles: 2, exit: "heel within 5° of the wall" },
      sideWedge: { side: "medial", degrees: 1.5 },
      nailMetal: "coppered",
    };
    expect(specInWords(whole, wording)).toBe(
      "straight bar, steel, 22 mm × 10 mm, creased, toe square, rockered toe, two side clips, ends at the back of the frog, inside toe quarter 1 mm full, 3 mm more web outside, outside stands out 3 mm, from the toe quarter back, inside branch 4 mm shorter, turned 2.0° to inside, outer edge eased at outside heel, inner edge safe at inside heel and inside quarter, unloaded at outside quarter, stud holes, studs: small on good ground, large on wet, out for the road, relieved for the sole, frog support pad, riveted, setting compound, injected, raised 3.0° for 2 cycles, until heel within 5° of the wall, wedge 1.5° under the inside side, 6 coppered nails",
    );
    expect(specificationSchema.parse(whole)).toEqual(whole);
    // What is rolled everywhere is said once.
    const all = Object.fromEntries(WEAR_SECTORS.map((sector) => [sector, "rolled"]));
    expect(specInWords({ ...shoe, edges: all }, wording)).toContain(", rolled all round,");
  });

  test("goes to the other foot of the pair without what is unloaded: a crack here is none there", () => {
    const cracked = { ...shoe, toeEdge: "eased" as const, unloaded: ["quarterLateral" as const] };
    expect(specForPair(cracked, undefined)).toEqual({ ...cracked, unloaded: [] });
    expect(specForPair(shoe, { unloaded: ["toe"] }).unloaded).toEqual(["toe"]);
  });

  test("studs are told to the owner by ground, front and behind", () => {
    const tapped = {
      ...shoe,
      traction: "stud holes" as const,
      studsGood: "small" as const,
      studsWet: "large" as const,
    };
    expect(
      studsForOwner([
        { fore: true, spec: tapped },
        { fore: false, spec: { ...tapped, studsGood: "none" } },
      ]),
    ).toBe(
      "Studs in front small on good ground, large on wet; behind none on good ground, large on wet. Out for the road and the box, holes plugged.",
    );
    expect(studsForOwner([{ fore: true, spec: shoe }])).toBe("");
  });

  test("differs from the last one field by field", () => {
    const now = { ...shoe, toeEdge: "rolled" as const, width: 20 };
    expect(specDifferences(shoe, now)).toEqual(["width", "toeEdge"]);
    expect(differencesInWords(shoe, now, wording)).toBe(
      "web 22 mm, now 20 mm; toe’s ground edge plain, now rolled",
    );
    expect(specDifferences(shoe, { ...shoe })).toEqual([]);
  });

  test("two bare feet are alike whatever else is written, and bare against shod differs in one thing", () => {
    const bare = { ...shoe, type: "bare" } as const;
    expect(specDifferences(bare, { ...bare, width: 30 })).toEqual([]);
    expect(specDifferences(bare, shoe)).toEqual(["type"]);
  });

  test.each([
    ["donkey", 180, 4],
    ["pony", 330, 6],
    ["horse", 520, 6],
    ["heavy", 860, 8],
  ])("a %s of %i kg wears %i nails and more steel than a lighter one", (_kind, mass, nails) => {
    const made = ordinaryShoe("LF", mass);
    expect(made.nailsMedial + made.nailsLateral).toBe(nails);
    expect(specificationSchema.parse(made)).toEqual(made);
    expect(made.width).toBeGreaterThanOrEqual(ordinaryShoe("LF", mass - 100).width);
  });

  test("fore feet have a toe clip, hind feet two at the sides", () => {
    expect([shoe.clips, ordinaryShoe("LH", 520).clips]).toEqual([["toe"], ["side medial", "side lateral"]]);
  });

  test("what is no shoe is refused with words", () => {
    const wrong = specificationSchema.safeParse({ ...shoe, width: 4, thickness: 90 });
    expect(wrong.error?.issues.map(({ message }) => message)).toEqual([
      "A web under 8 mm holds no nail.",
      "Thicker than 30 mm is not read.",
    ]);
  });
});
