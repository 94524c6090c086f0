import { describe, expect, test } from "@jest/globals";
import { fitShoe } from "../shoe/fit";
import { fitQuestion } from "../shoe/shoe.fixture";
import { wordingFor } from "../foot/wording";
import { stockInWords, stockOfFit } from "./fitStock";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "inside-outside", leftRight: "left-right" });
const inches = wordingFor({ unit: "in", fraction: 16, side: "inside-outside", leftRight: "left-right" });
const stock = (spec: Parameters<typeof fitQuestion>[0] = {}) => {
  const found = stockOfFit(fitShoe(fitQuestion(spec)));
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};

describe("the steel of a fitted shoe", () => {
  test("rule and outline agree within what the trade's table can be out by, on an ordinary foot", () => {
    const { rule, outline } = stock();
    expect(Math.abs((outline?.total ?? 0) - rule.total)).toBeLessThan(25);
  });

  test("a longer outer branch, a bar and a plain stamped shoe tell in the length", () => {
    const { lateral, medial } = stock({ longerLateral: 6 }).fromMark;
    // Along the branch, which leans a little: as much as it is longer straight back, or a shade more.
    expect(lateral - medial).toBeGreaterThanOrEqual(6);
    expect(lateral - medial).toBeLessThan(6.3);
    expect(stock({ type: "straight bar" }).rule.total).toBeGreaterThan(stock().rule.total + 20);
    expect(stock({ crease: "stamped" }).rule.total - stock().rule.total).toBeCloseTo(12.7, 9);
  });

  test("is said both ways with what to cut and where the mark goes, in the user's own unit", () => {
    const [both, mark] = stockInWords(stock(), wording);
    expect(both).toMatch(/^By rule \d+ mm, by outline \d+ mm: cut \d+[05] mm\.$/);
    expect(mark).toMatch(/^From the centre mark \d+ mm inside, \d+ mm outside\.$/);
    expect(stockInWords(stock(), inches)[0]).toMatch(/cut \d+.* in\.$/);
  });

  test("more than 15 mm apart names which measure to look at again", () => {
    const told = (apart: number) =>
      stockInWords(
        { ...stock(), rule: { sum: 0, toeAllowance: 0, total: (stock().outline?.total ?? 0) - apart } },
        wording,
      );
    expect(told(20)[2]).toContain("measured short");
    expect(told(-20)[2]).toContain("measured wide");
    expect(told(10)).toHaveLength(2);
  });
});
