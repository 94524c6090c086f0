import { describe, expect, test } from "@jest/globals";
import { DEFAULT_LENSES, FRONT_LENSES, LENS_FACTS, lensesOf, SIDE_LENSES } from "../foot/lens";

describe("lensesOf", () => {
  test("shod feet by the straight axis, bare ones by the live sole, unless the user says otherwise", () => {
    expect(lensesOf({}, DEFAULT_LENSES, true)).toEqual({ frontBack: "straight-axis", side: "even-sole" });
    expect(lensesOf({}, DEFAULT_LENSES, false)).toEqual({ frontBack: "live-sole", side: "even-sole" });
    expect(lensesOf({}, { ...DEFAULT_LENSES, bare: "even-halves" }, false).frontBack).toBe("even-halves");
  });

  test("what was chosen for the horse counts for all its feet, each lens by itself", () => {
    const horse = { lenses: { frontBack: "even-halves" } } as const;
    expect(lensesOf(horse, DEFAULT_LENSES, false)).toEqual({ frontBack: "even-halves", side: "even-sole" });
    expect(lensesOf({ lenses: { side: "square-limb" } }, DEFAULT_LENSES, true)).toEqual({
      frontBack: "straight-axis",
      side: "square-limb",
    });
  });
});

test("every lens says its aim, when it is strong and when it is weak", () => {
  for (const lens of [...FRONT_LENSES, ...SIDE_LENSES]) {
    const { name, aim, strong, weak } = LENS_FACTS[lens];
    for (const words of [name, aim, strong, weak]) expect(words).toMatch(/^[A-Z]/);
  }
});
