import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { turned, type SolarPoint } from "../geometry/vector";
import { mirrored, outlineThrough, type SidedLine } from "../shoe/outline";
import { knotsOf } from "../shoe/shoe.fixture";
import { centreLineOf, stockLength, toeAllowance, type StockQuestion } from "./stock";

const IN = 25.4;
const section = { width: 22, thickness: 10 };
const stock = (question: Partial<StockQuestion> = {}) => {
  const found = stockLength({ width: 130, length: 135, section, ...question });
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};

const centreLineLength = (line: SidedLine, web: number) => {
  const found = centreLineOf(line, web);
  return found.ok ? { ok: true as const, value: found.value.total } : found;
};

/** Half a circle of this radius at the toe and straight branches back from it. */
function horseshoe(radius: number, straight: number, points = 400): SidedLine {
  const side = (sign: 1 | -1): SolarPoint[] => [
    ...Array.from({ length: points + 1 }, (_, index): SolarPoint => {
      const angle = (index / points) * (Math.PI / 2);
      return [sign * radius * Math.sin(angle), radius * Math.cos(angle)];
    }),
    [sign * radius, -straight],
  ];
  return { medial: side(-1), lateral: side(1) };
}

describe("stock by rule", () => {
  test("5 by 5 in in ordinary section, upset and creased: 10 + 1 3/4 + 1/2 - 1/2 = 11 3/4 in", () => {
    const found = stock({ width: 5 * IN, length: 5 * IN });
    expect(found.rule.toeAllowance).toBeCloseTo(1.75 * IN, 9);
    expect(found.rule.total).toBeCloseTo(11.75 * IN, 9);
    expect(found.cutInches).toBe(11.75);
    expect(found.cutMm).toBe(300);
  });

  test.each([
    [9.5 * IN - 0.001, 22, 38.1],
    [9.5 * IN, 22, 44.45],
    [14 * IN - 0.001, 22, 44.45],
    [14 * IN, 22, 50.8],
    [12 * IN, 1.25 * IN - 0.001, 44.45],
    [12 * IN, 1.25 * IN, 38.1],
    [9 * IN, 1.25 * IN, 31.75],
  ])("a sum of %d mm in %d mm of section allows %d mm for the toe", (sum, width, allowance) => {
    expect(toeAllowance(sum, width)).toBeCloseTo(allowance, 9);
  });

  test("a plain stamped shoe without bump has neither stretch nor upset; extras are added", () => {
    const plain = stock({ bump: 0, creased: 0 });
    expect(plain.rule.total).toBeCloseTo(130 + 135 + 44.45, 9);
    expect(stock({ bump: 0, creased: 0, extras: 20 }).rule.total).toBeCloseTo(plain.rule.total + 20, 9);
    expect(stock({ bump: 0, creased: 1 }).rule.total).toBeCloseTo(plain.rule.total - 6.35, 9);
  });

  test("is cut up to the next eighth and the next five, and a length that is one already stays", () => {
    expect(stock({ width: 130, length: 170, bump: 0, creased: 0, extras: -44.45 }).cutMm).toBe(300);
    expect(stock({ width: 130, length: 170.1, bump: 0, creased: 0, extras: -44.45 }).cutMm).toBe(305);
    expect(stock({ width: 5 * IN, length: 5.01 * IN }).cutInches).toBe(11.875);
  });

  test("an outer branch 3 mm longer moves the mark by 1.5 mm; both lengths add up to the whole", () => {
    const even = stock();
    const longer = stock({ lateralLonger: 3 });
    expect(longer.fromMark.lateral - even.fromMark.lateral).toBeCloseTo(1.5, 9);
    expect(even.fromMark.medial - longer.fromMark.medial).toBeCloseTo(1.5, 9);
    expect(longer.fromMark.medial + longer.fromMark.lateral).toBeCloseTo(longer.rule.total, 9);
  });
});

describe("stock by outline", () => {
  test("half a circle of 60 with branches of 70: the centre line lies half a web inside", () => {
    const length = centreLineLength(horseshoe(60, 70), 22);
    expect(length.ok && length.value).toBeCloseTo(Math.PI * 49 + 140, 2);
  });

  test("a straight bar's two branches keep their length whatever the web", () => {
    const line: SidedLine = {
      medial: [
        [0, 0],
        [-80, 0],
      ],
      lateral: [
        [0, 0],
        [90, 0],
      ],
    };
    for (const web of [10, 30]) expect(centreLineLength(line, web)).toEqual({ ok: true, value: 170 });
  });

  test("a square corner takes half the web off each of its sides", () => {
    const line: SidedLine = {
      medial: [
        [0, 50],
        [-50, 50],
        [-50, 0],
      ],
      lateral: [
        [0, 50],
        [50, 50],
        [50, 0],
      ],
    };
    const length = centreLineLength(line, 20);
    expect(length.ok && length.value).toBeCloseTo(200 - 4 * 10, 9);
  });

  test("turned or mirrored it is as long as it was", () => {
    const line = outlineThrough(knotsOf());
    const length = centreLineLength(line, 22);
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), (rad) => {
        const turn = (points: readonly SolarPoint[]) => points.map((point): SolarPoint => turned(point, rad));
        const again = centreLineLength({ medial: turn(line.medial), lateral: turn(line.lateral) }, 22);
        expect(again.ok && length.ok && again.value - length.value).toBeCloseTo(0, 6);
      }),
    );
    const other = centreLineLength(mirrored(line), 22);
    expect(other.ok && length.ok && other.value - length.value).toBeCloseTo(0, 9);
  });

  test("the longer of the two is cut, and split from the mark", () => {
    const found = stock({ outline: horseshoe(65, 90) });
    expect(found.outline?.total ?? 0).toBeGreaterThan(found.rule.total);
    expect(found.fromMark.medial + found.fromMark.lateral).toBeCloseTo(found.outline?.total ?? 0, 9);
    const short = stock({ outline: horseshoe(50, 20) });
    expect(short.fromMark.medial + short.fromMark.lateral).toBeCloseTo(short.rule.total, 9);
  });

  test("the wider the web, the shorter the centre line of the same outline", () => {
    const line = outlineThrough(knotsOf());
    const lengths = [18, 22, 26, 30].map((web) => {
      const found = centreLineLength(line, web);
      return found.ok ? found.value : Number.NaN;
    });
    lengths.slice(1).forEach((length, index) => expect(length).toBeLessThan(lengths[index] ?? 0));
  });
});

describe("what makes no shoe is said", () => {
  test("a section too wide for the width, an outline that turns over itself, a branch longer than the steel", () => {
    const wrong = (question: Partial<StockQuestion>) => {
      const found = stockLength({ width: 130, length: 135, section, ...question });
      return found.ok ? undefined : [found.issues[0]?.code, found.issues[0]?.path];
    };
    expect(wrong({ section: { width: 65, thickness: 10 } })).toEqual(["impossible", "section.width"]);
    expect(wrong({ section: { width: 60, thickness: 10 }, outline: horseshoe(20, 5) })).toEqual([
      "crosses-itself",
      "section.width",
    ]);
    expect(wrong({ lateralLonger: 900 })).toEqual(["impossible", "lateralLonger"]);
  });
});
