import { describe, expect, test } from "@jest/globals";
import { shoeMass } from "./mass";

describe("shoeMass, against hand arithmetic", () => {
  test("300 mm of 22 by 10 steel: 66 cm3 at 7.85 g, 518.1 g", () => {
    expect(
      shoeMass({ centreLine: 300, section: { width: 22, thickness: 10 }, material: "steel" }),
    ).toBeCloseTo(518.1, 9);
  });

  test("the same in aluminium: 66 cm3 at 2.70 g, 178.2 g", () => {
    expect(
      shoeMass({ centreLine: 300, section: { width: 22, thickness: 10 }, material: "aluminium" }),
    ).toBeCloseTo(178.2, 9);
  });

  test("less a crease of 7 by 6 by 160 (6.72 cm3) and six holes of 30 mm2 (1.8 cm3): 57.48 cm3, 451.218 g", () => {
    expect(
      shoeMass({
        centreLine: 300,
        section: { width: 22, thickness: 10 },
        material: "steel",
        crease: { width: 7, depth: 6, length: 160 },
        holes: { count: 6, area: 30 },
      }),
    ).toBeCloseTo(451.218, 9);
  });

  test("holes that take more than there is leave nothing, not less than nothing", () => {
    expect(
      shoeMass({
        centreLine: 1,
        section: { width: 5, thickness: 5 },
        material: "steel",
        holes: { count: 9, area: 90 },
      }),
    ).toBe(0);
  });
});
