import { describe, expect, test } from "@jest/globals";
import { clipPlaces } from "./clips";
import { fitShoe } from "./fit";
import { NO_SETTING } from "./fitQuestion";
import type { Specification } from "./specification";
import { fitQuestion } from "./shoe.fixture";

const SIDE: Specification["clips"] = ["side medial", "side lateral"];
const places = (clips: Specification["clips"], back = 0) =>
  clipPlaces(fitShoe(fitQuestion({ clips }, { setting: { ...NO_SETTING, back } })));

describe("clips", () => {
  test("none, one in the middle of the toe, or one on each side", () => {
    expect(places([])).toEqual([]);
    expect(places(["toe"]).map(({ side, s }) => [side, s])).toEqual([[undefined, 0]]);
    expect(places(SIDE).map(({ side }) => side)).toEqual(["medial", "lateral"]);
  });

  test("side clips lie on the outer edge 4 mm ahead of the toe quarters, and go back with the shoe", () => {
    const quarter = fitQuestion().foot.knots.toeQuarter.lateral[1];
    const [medial, lateral] = places(SIDE);
    expect(lateral?.at[1]).toBeCloseTo(quarter + 4, 6);
    expect(lateral?.at[0]).toBeCloseTo(-(medial?.at[0] ?? 0), 6);
    expect(places(["quarter lateral"])[0]?.at[1]).toBeLessThan(quarter - 15);
    expect(places(SIDE, 6)[1]?.at[1]).toBeCloseTo(quarter - 2, 6);
  });
});
