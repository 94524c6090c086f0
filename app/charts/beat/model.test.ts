import { describe, expect, test } from "@jest/globals";
import { beatModel } from "./model";

describe("a rhythm as bars", () => {
  test("every step is a bar; first and last belong to neither beat; the rest alternate", () => {
    const model = beatModel([0, 0.9, 1.3, 1.8, 2.2, 2.7, 2.9]);
    expect(model?.bars.map(({ half }) => half)).toEqual([
      undefined,
      "one",
      "other",
      "one",
      "other",
      undefined,
    ]);
    expect(model?.means.one).toBeCloseTo(0.4, 9);
    expect(model?.means.other).toBeCloseTo(0.5, 9);
    expect(model?.longest).toBeCloseTo(0.9, 9);
  });

  test("too few footfalls have no chart", () => {
    expect(beatModel([0, 0.4, 0.8])).toBeUndefined();
  });
});
