import { describe, expect, test } from "@jest/globals";
import { clipPlaces } from "./clips";
import { fitShoe, NO_SETTING } from "./fit";
import { fitQuestion } from "./shoe.fixture";

const places = (clips: "none" | "toe" | "side", back = 0) =>
  clipPlaces(fitShoe(fitQuestion({ clips }, { setting: { ...NO_SETTING, back } })));

describe("clips", () => {
  test("none, one in the middle of the toe, or one on each side", () => {
    expect(places("none")).toEqual([]);
    expect(places("toe").map(({ side, s }) => [side, s])).toEqual([[undefined, 0]]);
    expect(places("side").map(({ side }) => side)).toEqual(["medial", "lateral"]);
  });

  test("side clips lie on the outer edge 4 mm ahead of the toe quarters, and go back with the shoe", () => {
    const quarter = fitQuestion().foot.knots.toeQuarter.lateral[1];
    const [medial, lateral] = places("side");
    expect(lateral?.at[1]).toBeCloseTo(quarter + 4, 6);
    expect(lateral?.at[0]).toBeCloseTo(-(medial?.at[0] ?? 0), 6);
    expect(places("side", 6)[1]?.at[1]).toBeCloseTo(quarter - 2, 6);
  });
});
