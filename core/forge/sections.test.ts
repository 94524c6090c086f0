import { describe, expect, test } from "@jest/globals";
import { fitShoe } from "../shoe/fit";
import { fitQuestion } from "../shoe/shoe.fixture";
import { polylineLength } from "../geometry/polyline";
import { gramsPerMetre, nailStations, SECTIONS } from "./sections";

describe("the table of sections", () => {
  test("a metre of 22 x 10 mild steel weighs 1.727 kg, of aluminium 594 g", () => {
    expect(gramsPerMetre({ width: 22, thickness: 10, use: "" }, "steel")).toBeCloseTo(1727, 6);
    expect(gramsPerMetre({ width: 22, thickness: 10, use: "" }, "aluminium")).toBeCloseTo(594, 6);
  });

  test("runs from narrow to wide, each section once", () => {
    const widths = SECTIONS.map(({ width }) => width);
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
    expect(new Set(SECTIONS.map(({ width, thickness }) => `${width} ${thickness}`)).size).toBe(
      SECTIONS.length,
    );
  });
});

describe("nail stations", () => {
  test("stand evenly between toe quarter and widest part, a single one half way", () => {
    expect(nailStations(3).parts).toEqual([0.37, 0.485, 0.6].map((part) => expect.closeTo(part, 9)));
    expect(nailStations(1).parts[0]).toBeCloseTo(0.485, 9);
  });

  test("agree within two hundredths of a branch with the nails of a drawn ordinary shoe", () => {
    const fit = fitShoe(fitQuestion());
    const whole = polylineLength(fit.outer.lateral);
    fit.nails.lateral.forEach(({ s }, index) =>
      expect(Math.abs(s / whole - (nailStations(3).parts[index] ?? 0))).toBeLessThan(0.02),
    );
  });
});
