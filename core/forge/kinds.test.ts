import { describe, expect, test } from "@jest/globals";
import { ordinaryShoe } from "../shoe/specification";
import { fitShoe } from "../shoe/fit";
import { fitQuestion } from "../shoe/shoe.fixture";
import { stockOfFit } from "./fitStock";
import { DEFAULT_FORGE, forgeSettingsSchema } from "./forgeSettings";
import { allowancesFor, kindOf } from "./kinds";
import { toeAllowance } from "./stock";

const shoe = ordinaryShoe("LF", 520);

describe("a smith's own tables", () => {
  test.each([
    [{}, "creased"],
    [{ crease: "stamped" }, "stamped"],
    [{ profile: "concave" }, "concave"],
    [{ type: "egg bar", profile: "concave" }, "bar"],
    [{ type: "sliding plate" }, "sliding plate"],
    [{ material: "aluminium", type: "straight bar" }, "light metal"],
  ] as const)("%j is worked as %s", (more, kind) => expect(kindOf({ ...shoe, ...more })).toBe(kind));

  test("bump and stretch of a kind stand over the general ones, each by itself", () => {
    const forge = { ...DEFAULT_FORGE, kinds: { creased: { stretch: 9 }, bar: { bump: 0 } } };
    expect(allowancesFor(forge, shoe)).toMatchObject({ bump: 12.7, stretch: 9 });
    expect(allowancesFor(forge, { ...shoe, type: "egg bar" })).toMatchObject({ bump: 0, stretch: 6.35 });
    expect(allowancesFor(DEFAULT_FORGE, shoe)).toEqual(DEFAULT_FORGE.allowances);
  });

  test("own steps move where the toe's allowance changes", () => {
    expect(toeAllowance(250, 22)).toBe(44.45);
    expect(toeAllowance(250, 22, { ...DEFAULT_FORGE.allowances, steps: [260, 360] })).toBe(38.1);
    const wrong = { ...DEFAULT_FORGE, allowances: { ...DEFAULT_FORGE.allowances, steps: [360, 260] } };
    expect(forgeSettingsSchema.safeParse(wrong).error?.issues[0]?.message).toBe(
      "The first step lies below the second.",
    );
  });

  test("a branch that is to be wider asks for the steel it grows by: the area gained over the bar's width", () => {
    const total = (more: object) => {
      const stock = stockOfFit(fitShoe(fitQuestion(more)));
      return stock.ok ? stock.value.total : Number.NaN;
    };
    // 4 mm on a branch of some 130 mm behind its quarter, in a 22 mm bar.
    expect(total({ widerLateral: 4 }) - total({})).toBeGreaterThan(10);
    expect(total({ widerLateral: 4 }) - total({})).toBeLessThan(40);
    expect(total({ widerLateral: -4 })).toBeCloseTo(total({}), 6);
  });
});
