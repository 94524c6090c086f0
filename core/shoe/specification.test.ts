import { describe, expect, test } from "@jest/globals";
import { specificationSchema } from "./shoeRecord";
import { wordingFor } from "../foot/wording";
import { differencesInWords, ordinaryShoe, specDifferences, specInWords } from "./specification";

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

  test("differs from the last one field by field", () => {
    const now = { ...shoe, toe: "rolled", width: 20 } as const;
    expect(specDifferences(shoe, now)).toEqual(["width", "toe"]);
    expect(differencesInWords(shoe, now, wording)).toBe("web 22 mm, now 20 mm; toe plain, now rolled");
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
    expect([shoe.clips, ordinaryShoe("LH", 520).clips]).toEqual(["toe", "side"]);
  });

  test("what is no shoe is refused with words", () => {
    const wrong = specificationSchema.safeParse({ ...shoe, width: 4, thickness: 90 });
    expect(wrong.error?.issues.map(({ message }) => message)).toEqual([
      "A web under 8 mm holds no nail.",
      "Thicker than 30 mm is not read.",
    ]);
  });
});
