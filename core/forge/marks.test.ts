import { describe, expect, test } from "@jest/globals";
import { fitShoe } from "../shoe/fit";
import { fitQuestion } from "../shoe/shoe.fixture";
import type { Specification } from "../shoe/specification";
import { SIDES } from "../foot/limb";
import { wordingFor } from "../foot/wording";
import { stockOfFit } from "./fitStock";
import { barMarks, type Bar, type MarkKind } from "./marks";
import { outlineParts, partsInWords } from "./outlineParts";
import { TRADE_ALLOWANCES, type Allowances } from "./stock";

const wording = wordingFor({ unit: "mm", fraction: 16, side: "inside-outside", leftRight: "left-right" });

function bar(
  spec: Partial<Specification> = {},
  allowances: Allowances = TRADE_ALLOWANCES,
  cut?: number,
): Bar {
  const fit = fitShoe(fitQuestion(spec));
  const stock = stockOfFit(fit, { allowances, hand: 0 });
  if (!stock.ok) throw new Error(stock.issues[0]?.message);
  const found = barMarks(fit, stock.value, allowances, cut ?? stock.value.cutMm);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
}
const marksOf = (made: Bar, kind: MarkKind) => made.marks.filter((mark) => mark.kind === kind);

describe("marks on the bar", () => {
  test("an even shoe has its centre mark in the middle and every mark as far inside as outside", () => {
    const made = bar();
    expect(made.centre).toBeCloseTo(made.length / 2, 6);
    expect(made.surplus.medial).toBeCloseTo(made.surplus.lateral, 6);
    for (const kind of ["toe bend", "quarter", "heel"] as const) {
      const [medial, lateral] = marksOf(made, kind);
      // Within a millimetre: the inner crease ends 5 mm earlier, so its stretch lies a little further forward.
      expect(Math.abs((medial?.fromCentre ?? 0) + (lateral?.fromCentre ?? 0))).toBeLessThan(1);
    }
  });

  test("each clip has its own mark, whatever else stands on its side, and no two marks share a name", () => {
    const made = bar({
      clips: ["toe", "side medial", "side lateral", "quarter medial", "quarter lateral"],
      nailsMedial: 4,
    });
    const clips = marksOf(made, "clip");
    expect(clips.map(({ id }) => id)).toEqual([
      "clip-quarter-medial",
      "clip-side-medial",
      "clip",
      "clip-side-lateral",
      "clip-quarter-lateral",
    ]);
    expect(new Set(made.marks.map(({ id }) => id)).size).toBe(made.marks.length);
  });

  test("an outer branch 3 mm longer moves the mark by half of that; its heel falls that much further out", () => {
    const [even, longer] = [bar({}, TRADE_ALLOWANCES, 330), bar({ longerLateral: 3 }, TRADE_ALLOWANCES, 330)];
    // A branch leans a little, so 3 mm straight back are a shade more along it.
    expect(even.centre - longer.centre).toBeGreaterThan(1.49);
    expect(even.centre - longer.centre).toBeLessThan(1.56);
    expect(longer.surplus.medial).toBeCloseTo(longer.surplus.lateral, 6);
  });

  test("from the middle outwards: toe bend, nails between it and the quarter, heel, end of the bar", () => {
    const made = bar();
    for (const side of SIDES) {
      const far = (kind: MarkKind) =>
        marksOf(made, kind)
          .filter((mark) => mark.side === side)
          .map(({ fromCentre }) => Math.abs(fromCentre));
      const [bend = 0, quarter = 0, heel = 0] = [...far("toe bend"), ...far("quarter"), ...far("heel")];
      const nails = marksOf(made, "nail")
        .filter((mark) => mark.side === side)
        .sort((a, b) => (a.nail ?? 0) - (b.nail ?? 0))
        .map(({ fromCentre }) => Math.abs(fromCentre));
      expect(nails).toEqual([...nails].sort((a, b) => a - b));
      expect(nails[0]).toBeGreaterThan(bend - 10);
      expect(nails.at(-1)).toBeLessThanOrEqual(quarter + 1e-6);
      expect(heel).toBeGreaterThan(quarter);
      expect(made.surplus[side]).toBeGreaterThanOrEqual(0);
    }
  });

  test("what the toe swallows and the crease stretches is on the bar and not on the shoe", () => {
    const plain: Allowances = { ...TRADE_ALLOWANCES, bump: 0, stretch: 0 };
    const heel = (made: Bar) => Math.abs(marksOf(made, "heel")[0]?.fromCentre ?? 0);
    const bare = heel(bar({}, plain));
    expect(heel(bar({}, { ...plain, bump: 12 }))).toBeCloseTo(bare + 6, 6);
    expect(heel(bar({}, { ...plain, stretch: 6 }))).toBeCloseTo(bare - 6, 6);
    expect(heel(bar({ crease: "stamped" }, { ...plain, stretch: 6 }))).toBeCloseTo(bare, 6);
    expect(bar({}, plain).upsetGain).toBe(0);
    expect(bar().upsetGain).toBeGreaterThan(1);
  });

  test("a nail's mark and its hole are one place: the inset of the fit, the hole's own coordinates", () => {
    const fit = fitShoe(fitQuestion());
    const nails = marksOf(bar(), "nail");
    expect(nails).toHaveLength(6);
    for (const side of SIDES)
      fit.nails[side].forEach(({ x, y, inset }, index) => {
        const mark = nails.find((one) => one.side === side && one.nail === index + 1);
        expect([mark?.place, mark?.inset]).toEqual([[x, y], inset]);
      });
    expect(bar().crease?.lateral.insetToe).toBeCloseTo(fit.nails.lateral[0]?.inset ?? 0, 9);
    expect(bar({ crease: "stamped" }).crease).toBeUndefined();
  });

  test("turning the quarter brings the heel nearer to the toe: about a centimetre, said with both lengths", () => {
    const { turning } = bar();
    for (const side of SIDES) {
      expect(turning[side].before - turning[side].after).toBeCloseTo(turning[side].takes, 9);
      expect(turning[side].takes).toBeGreaterThan(4);
      expect(turning[side].takes).toBeLessThan(30);
    }
  });

  test("a bar's ends are kept for the bar, and a piece cut too short says so by a negative surplus", () => {
    expect(bar({ type: "straight bar" }).surplus.medial).toBeGreaterThanOrEqual(-1e-6);
    expect(bar({}, TRADE_ALLOWANCES, 280).surplus.medial).toBeLessThan(0);
  });
});

describe("the outline in parts", () => {
  /** Half a circle of 60 mm and straight branches of 80. */
  const side = (sign: 1 | -1) => [
    ...Array.from({ length: 91 }, (_, index): [number, number] => {
      const angle = (index / 90) * (Math.PI / 2);
      return [sign * 60 * Math.sin(angle), 60 * Math.cos(angle)];
    }),
    [sign * 60, -40] as [number, number],
    [sign * 60, -80] as [number, number],
  ];
  const y45 = 60 * Math.cos(Math.PI / 4);
  const levels = (y: number) => ({ medial: y, lateral: y });

  test("half a circle of 60: toe arc and quarters of radius 60, straight heels of 80", () => {
    const parts = outlineParts({ medial: side(-1), lateral: side(1) }, levels(y45), levels(0));
    expect(parts.toe.length).toBeCloseTo(60 * (Math.PI / 2), 1);
    expect(parts.toe.radius).toBeCloseTo(60, 0);
    expect(parts.branches.lateral.quarter.turnDeg).toBeCloseTo(45, -1);
    expect(parts.branches.lateral.heel.straight).toBe(true);
    expect(parts.branches.lateral.heel.length).toBeCloseTo(80, 0);
    expect(parts.unequal).toEqual([]);
  });

  test("what is unequal comes first, the greatest first", () => {
    const parts = outlineParts(
      { medial: side(-1), lateral: [...side(1).slice(0, -1), [60, -90]] },
      levels(y45),
      levels(0),
    );
    expect(parts.unequal[0]).toBe("lateral branch 10 mm longer");
    expect(partsInWords(parts, wording)[0]).toContain("outside branch 10 mm longer");
  });
});
