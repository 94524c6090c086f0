import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import { fitShoe } from "../shoe/fit";
import { fitQuestion } from "../shoe/shoe.fixture";
import { clipsOpen, handByPlace, handByPlaceInWords, MADE_PLACES, madeAgainst, madePlaces } from "./madeShoe";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const fit = fitShoe(fitQuestion({ clips: ["side medial", "side lateral"] }));
const { wanted } = madePlaces(fit);

describe("a made shoe against its marks", () => {
  test("is measured from the centre of rotation, straight across, both sides alike on an even foot", () => {
    expect(wanted.toe).toBeCloseTo(fit.toeY - fit.question.foot.corY, 9);
    expect(wanted.quarterMedial).toBeCloseTo(wanted.quarterLateral, 6);
    expect(wanted.heelMedial).toBeCloseTo(wanted.heelLateral, 6);
  });

  test("on its marks nothing is to do; a millimetre is within the hand", () => {
    const made = Object.fromEntries(MADE_PLACES.map((place) => [place, wanted[place] + 1]));
    for (const row of madeAgainst(fit, made, wording)) expect([row.ok, row.mend]).toEqual([true, ""]);
    expect(madeAgainst(fit, {}, wording)).toEqual([]);
  });

  test("what is out is said with where to open or close it and by how much, the furthest out first", () => {
    const made = {
      toe: wanted.toe - 3,
      quarterLateral: wanted.quarterLateral + 5,
      heelMedial: wanted.heelMedial - 2,
    };
    expect(madeAgainst(fit, made, wording).map(({ mend }) => mend)).toEqual([
      "Close the lateral quarter 5 mm.",
      "Bring the toe forward 3 mm: open the bend of the toe.",
      "Open the medial heel 2 mm; where it is short of its mark, the next size of steel.",
    ]);
  });

  test("side clips open it, a toe clip does not: that much narrower first", () => {
    expect(clipsOpen(fit, wording)).toMatch(/^2 clips at the side will open it about 2 mm/);
    expect(clipsOpen(fitShoe(fitQuestion({ clips: ["toe"] })), wording)).toBe("");
  });

  test("what the hand misses by place is drawn towards zero by three, and said before the next shoe", () => {
    const log = [{ made: { quarterLateral: 4, toe: 1 } }, { made: { quarterLateral: 6 } }, {}];
    const misses = handByPlace(log);
    expect(misses).toEqual({ quarterLateral: 10 / 5, toe: 1 / 4 });
    expect(handByPlaceInWords(misses, wording)).toEqual(["Your hand makes the lateral quarter 2 mm wide."]);
    expect(handByPlaceInWords({}, wording)).toEqual([]);
  });
});
