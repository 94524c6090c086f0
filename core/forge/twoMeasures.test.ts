import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { ordinaryShoe, type Specification } from "../shoe/specification";
import { barMarks } from "./marks";
import { stockOfFit } from "./fitStock";
import { TRADE_ALLOWANCES } from "./stock";
import { fitTwoMeasures } from "./twoMeasures";

const spec = (more: Partial<Specification> = {}) => ({ ...ordinaryShoe("LF", 520), ...more });

describe("a shoe by two measures", () => {
  test("is as wide and as long as asked for to a hundredth of a millimetre, front or hind, whatever the size (property)", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("fore" as const, "hind" as const),
        fc.double({ min: 70, max: 220, noNaN: true }),
        fc.double({ min: 0.9, max: 1.25, noNaN: true }),
        (end, width, ratio) => {
          const fit = fitTwoMeasures({ end, width, length: width * ratio, spec: spec({ width: 18 }) });
          expect(fit.width).toBeCloseTo(width, 2);
          expect(fit.toeY - Math.min(fit.endY.medial, fit.endY.lateral)).toBeCloseTo(width * ratio, 2);
        },
      ),
    );
  });

  test("gives stock both ways and marks without a horse in the records", () => {
    const fit = fitTwoMeasures({ end: "fore", width: 130, length: 135, spec: spec() });
    const stock = stockOfFit(fit, undefined, { width: 130, length: 135 });
    expect(stock.ok && stock.value.rule.total).toBeCloseTo(130 + 135 + 44.45, 6);
    expect(stock.ok && Math.abs((stock.value.outline?.total ?? 0) - stock.value.rule.total)).toBeLessThan(25);
    const bar = stock.ok && barMarks(fit, stock.value, TRADE_ALLOWANCES, stock.value.cutMm);
    expect(bar && bar.ok && bar.value.marks.length).toBeGreaterThan(10);
  });

  test("the rule takes the two measures as they were typed: 9 1/2 in stays 9 1/2 in", () => {
    const measures = { width: 4.5 * 25.4, length: 5 * 25.4 };
    const stock = stockOfFit(fitTwoMeasures({ end: "fore", ...measures, spec: spec() }), undefined, measures);
    expect(stock.ok && stock.value.rule.toeAllowance).toBeCloseTo(44.45, 9);
  });

  test("extras are steel on top, both ways; an outer branch that is longer moves the mark", () => {
    const measures = { width: 130, length: 135 };
    const total = (extras: number, longerLateral = 0) => {
      const fit = fitTwoMeasures({ end: "fore", ...measures, spec: spec({ longerLateral }) });
      const stock = stockOfFit(fit, undefined, { ...measures, extras });
      if (!stock.ok) throw new Error(stock.issues[0]?.message);
      return stock.value;
    };
    expect(total(25).rule.total - total(0).rule.total).toBeCloseTo(25, 9);
    expect((total(25).outline?.total ?? 0) - (total(0).outline?.total ?? 0)).toBeCloseTo(25, 9);
    const { medial, lateral } = total(0, 6).fromMark;
    expect(lateral - medial).toBeGreaterThanOrEqual(6);
  });

  test("a section too wide for the shoe is said at the section", () => {
    const stock = stockOfFit(
      fitTwoMeasures({ end: "fore", width: 60, length: 60, spec: spec({ width: 32 }) }),
    );
    expect(stock.ok ? undefined : stock.issues[0]?.path).toBe("section.width");
  });
});
