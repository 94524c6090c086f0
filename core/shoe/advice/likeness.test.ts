import { describe, expect, test } from "@jest/globals";
import { facts } from "../shoe.fixture";
import { ordinaryShoe } from "../specification";
import { adviseShoe, SHOE_RULES } from "./advise";
import { baseOf, kindOfRule } from "./likeness";

const shoe = ordinaryShoe("LF", 520);
const rule = (id: string) => {
  const found = SHOE_RULES.find((one) => one.id === id);
  if (!found) throw new Error(`no rule ${id}`);
  return found;
};

describe("shoes of the kind that a reason speaks for", () => {
  test("a reason for a base looks at that base, whatever dresses it", () => {
    const like = kindOfRule(rule("sore-heels"), facts({ conditions: ["sore heels"] }), "straight bar");
    expect(like?.({ ...shoe, type: "straight bar", width: 27 })).toBe(true);
    expect(like?.(shoe)).toBe(false);
  });

  test("a reason for a dressing looks at everything it wishes", () => {
    const like = kindOfRule(rule("brushing"), facts({ goes: ["brushes"] }), "open");
    expect(like?.(shoe)).toBe(false);
    const edges = {
      toeQuarterMedial: "safe inside",
      quarterMedial: "safe inside",
      heelMedial: "safe inside",
    } as const;
    expect(like?.({ ...shoe, fullMedial: 1, edges })).toBe(true);
  });

  test("every proposal is of its own base", () => {
    for (const footing of [["road"], ["soft arena"], ["firm turf"]] as const)
      for (const conditions of [[], ["sore heels"]] as const)
        for (const { base, spec } of adviseShoe(facts({ footing, conditions })).proposals)
          expect(baseOf(spec)).toBe(base);
  });
});
