import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { polygonArea } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { WEAR_SECTORS } from "../foot/wear";
import { fitShoe } from "./fit";
import { sectorFor, sectorRun } from "./sectors";
import { fitQuestion, shodFoot } from "./shoe.fixture";
import { BRANCH_ENDS, CHANGES_FROM, SHOE_TYPES, TOE_EDGES, TOES, type Specification } from "./specification";

/** True where no two sides of a closed line cross. */
function isSimple(points: readonly SolarPoint[]): boolean {
  const side = (a: SolarPoint, b: SolarPoint, c: SolarPoint) =>
    (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  const count = points.length;
  for (let one = 0; one < count; one++)
    for (let other = one + 2; other < count; other++) {
      if (one === 0 && other === count - 1) continue;
      const [a, b] = [points[one], points[(one + 1) % count]] as [SolarPoint, SolarPoint];
      const [c, d] = [points[other], points[(other + 1) % count]] as [SolarPoint, SolarPoint];
      if (side(a, b, c) * side(a, b, d) < -1e-6 && side(c, d, a) * side(c, d, b) < -1e-6) return false;
    }
  return true;
}

describe("a shoe as one solid", () => {
  const holes = (spec: Partial<Specification>) => fitShoe(fitQuestion(spec)).solid.holes.length;

  test("an open shoe encloses nothing, a bar one opening, and a heart bar's plate is one piece with it", () => {
    expect([
      holes({}),
      holes({ type: "straight bar" }),
      holes({ type: "egg bar" }),
      holes({ type: "heart bar" }),
    ]).toEqual([0, 1, 1, 1]);
  });

  test("its area is the web along its middle, and a bar's adds to it", () => {
    const open = fitShoe(fitQuestion());
    expect(open.solid.area / (open.centreLine * 22)).toBeCloseTo(1, 2);
    expect(fitShoe(fitQuestion({ type: "straight bar" })).solid.area).toBeGreaterThan(open.solid.area + 700);
  });

  test("tapered and open ends take metal away at the heels, and nowhere else", () => {
    const plain = fitShoe(fitQuestion());
    for (const end of ["tapered", "open"] as const) {
      const shaped = fitShoe(fitQuestion({ endLateral: end }));
      expect(shaped.solid.area).toBeLessThan(plain.solid.area - 60);
      expect(shaped.inner.medial).toEqual(plain.inner.medial);
      expect(shaped.outer).toEqual(plain.outer);
    }
    // Tucked, the end comes towards the middle of the heel and still covers it.
    const tucked = fitShoe(fitQuestion({ endMedial: "tucked" }));
    const end = (one: typeof plain) => Math.abs(one.outer.medial.at(-1)?.[0] ?? 0);
    expect(end(plain) - end(tucked)).toBeGreaterThan(1);
  });

  test("closed and simple for every specification and every setting (property)", () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const spec = fc.record({
      type: fc.constantFrom(...SHOE_TYPES),
      width: mm(14, 34),
      toe: fc.constantFrom(...TOES),
      toeEdge: fc.constantFrom(...TOE_EDGES),
      support: fc.constantFrom("heel" as const, "frog" as const, "long" as const),
      endMedial: fc.constantFrom(...BRANCH_ENDS),
      endLateral: fc.constantFrom(...BRANCH_ENDS),
      fullToeMedial: mm(0, 4),
      fullMedial: mm(0, 8),
      fullLateral: mm(0, 8),
      longerMedial: mm(-15, 20),
      longerLateral: mm(-15, 20),
      turn: mm(-8, 8),
      widerMedial: mm(-5, 8),
      widerLateral: mm(-5, 8),
      outMedial: mm(0, 6),
      outLateral: mm(0, 6),
      changeFrom: fc.constantFrom(...CHANGES_FROM),
      pad: fc.constantFrom("none" as const, "flat" as const),
    });
    fc.assert(
      fc.property(spec, fc.constantFrom("LF" as const, "LH" as const), mm(-4, 12), (some, limb, back) => {
        const { solid, possible, mass, nails, outer } = fitShoe(
          fitQuestion(some, {
            foot: shodFoot(limb),
            setting: { back, turn: 0, fuller: { medial: 0, lateral: 0 } },
          }),
        );
        expect(solid.outside.length).toBeGreaterThan(20);
        for (const line of [solid.outside, ...solid.holes]) {
          expect(line.flat().every(Number.isFinite)).toBe(true);
          expect(isSimple(line)).toBe(true);
        }
        // The metal is what lies between: never more than the outline, never less than nothing.
        expect(solid.area).toBeLessThanOrEqual(Math.abs(polygonArea(solid.outside)) + 1e-6);
        if (possible && some.type !== "bare") expect(mass).toBeGreaterThan(80);
        for (const side of ["medial", "lateral"] as const)
          for (const { s } of nails[side]) expect(s).toBeLessThanOrEqual(lengthOf(outer[side]) + 1e-6);
      }),
      { numRuns: 150, seed: 5 },
    );
  });
});

const lengthOf = (line: readonly SolarPoint[]): number =>
  line.slice(1).reduce((sum, [x, y], index) => {
    const [px, py] = line[index] ?? [x, y];
    return sum + Math.hypot(x - px, y - py);
  }, 0);

describe("places of the edge", () => {
  const { outer } = fitShoe(fitQuestion());

  test("each place runs on its own side, the toe on both, and together they are the whole edge", () => {
    const whole = WEAR_SECTORS.reduce((sum, sector) => sum + lengthOf(sectorRun(outer, sector)), 0);
    expect(whole / (lengthOf(outer.medial) + lengthOf(outer.lateral))).toBeCloseTo(1, 2);
    expect(sectorRun(outer, "heelMedial").every(([x]) => x < 0)).toBe(true);
    expect(sectorRun(outer, "toe")[0]?.[0]).toBeLessThan(0);
    expect(sectorRun(outer, "toe").at(-1)?.[0]).toBeGreaterThan(0);
  });

  test("a stretch on a side is its place, the toe on either", () => {
    expect(sectorFor("quarter", "medial")).toBe("quarterMedial");
    expect(sectorFor("toe", "medial")).toBe(sectorFor("toe", "lateral"));
  });
});
