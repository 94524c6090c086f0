import { describe, expect, test } from "@jest/globals";
import { polygonArea } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { fitShoe, NO_SETTING } from "./fit";
import { nailTable } from "./nailTable";
import { fitQuestion, shodFoot } from "./shoe.fixture";
import { ordinaryFoot } from "../foot/parametric/fit";
import { wordingFor } from "../foot/wording";

const foot = shodFoot();
const wording = wordingFor({ unit: "mm", fraction: 16, side: "medial-lateral", leftRight: "left-right" });
const fit = (spec: Parameters<typeof fitQuestion>[0]) => fitShoe(fitQuestion(spec));
const reach = (points: readonly SolarPoint[], axis: 0 | 1) => ({
  least: Math.min(...points.map((point) => point[axis])),
  most: Math.max(...points.map((point) => point[axis])),
});

describe("what lies across the back", () => {
  test("an open shoe has nothing there, a straight bar one piece from branch to branch", () => {
    expect(fit({}).bars).toEqual([]);
    expect(fit({}).across).toBe(0);
    const straight = fit({ type: "straight bar" });
    const [bar] = straight.bars as [SolarPoint[]];
    expect(reach(bar, 0).least).toBeCloseTo(straight.outer.medial.at(-1)?.[0] ?? 0, 9);
    expect(reach(bar, 0).most).toBeCloseTo(straight.outer.lateral.at(-1)?.[0] ?? 0, 9);
    expect(reach(bar, 1).least).toBeCloseTo(0, 6);
    expect(Math.abs(polygonArea(bar))).toBeGreaterThan(500);
  });

  test("a heart bar's plate stays inside the frog's edges and ends behind its true apex", () => {
    const [, plate] = fit({ type: "heart bar" }).bars as [SolarPoint[], SolarPoint[]];
    expect(reach(plate, 0).most).toBeLessThan(foot.frogHalf);
    expect(reach(plate, 0).least).toBeGreaterThan(-foot.frogHalf);
    expect(reach(plate, 1).most).toBeLessThan(foot.trueApex);
    expect(reach(plate, 1).most).toBeGreaterThan(foot.trueApex / 2);
  });

  test("the same plate on a narrow frog is narrower: it follows the frog, not the shoe", () => {
    const narrow = fitShoe(fitQuestion({ type: "heart bar" }, { foot: { ...foot, frogHalf: 15 } }));
    const [, plate] = narrow.bars as [SolarPoint[], SolarPoint[]];
    expect(reach(plate, 0).most).toBeLessThan(15);
  });

  test("an egg bar reaches behind every other shoe, and that is support in the numbers", () => {
    const egg = fit({ type: "egg bar", support: "long" });
    const plain = fit({});
    expect(reach(egg.bars.flat(), 1).least).toBeLessThan(egg.endY.medial);
    expect(egg.support).toBeGreaterThan(plain.support + 20);
    expect(egg.front).toBeCloseTo(plain.front, 6);
    expect(egg.length).toBeGreaterThan(plain.length + 20);
  });

  test("a bare foot has no shoe: its own support, its own toe, no grams", () => {
    const bare = fit({ type: "bare" });
    expect(bare.support).toBeCloseTo(foot.corY - foot.knots.heel.medial[1], 6);
    expect(bare.front).toBeCloseTo(foot.knots.toe[1] - foot.corY, 6);
    expect([bare.mass, bare.roll]).toEqual([0, 0]);
  });
});

describe("what else a fit draws", () => {
  test("traction only where it is asked for, on both branches, ahead of their ends", () => {
    expect(fit({}).traction).toBeUndefined();
    const { traction, endY } = fit({ traction: "heel blocks" });
    expect(traction?.medial.at[1]).toBeGreaterThan(endY.medial);
    expect(traction?.lateral.at[0]).toBeGreaterThan(0);
    expect(traction?.medial.at[0]).toBeLessThan(0);
  });

  test("a turned breakover sets one piece of traction further back than the other", () => {
    const turned = fitShoe(
      fitQuestion(
        { traction: "road pins" },
        { breakover: { fromToe: 0, direction: 10 }, setting: NO_SETTING },
      ),
    );
    expect((turned.traction?.medial.at[1] ?? 0) - (turned.traction?.lateral.at[1] ?? 0)).toBeGreaterThan(5);
  });

  test("a square toe is flat and set under; a plain one is not", () => {
    const square = fit({ toe: "square" });
    const flat = square.outer.lateral.filter(([, y]) => y > square.toeY - 0.01);
    expect(reach(flat, 0).most).toBeGreaterThan(10);
    expect(fit({}).toeY - square.toeY).toBeCloseTo(7 * foot.k, 1);
  });

  test("more web on one side stands out there and nowhere else", () => {
    const [even, wide] = [fit({}), fit({ extraSide: "medial", extraWeb: 3 })];
    const at = (one: typeof even, side: "medial" | "lateral") => reach(one.outer[side], 0);
    expect(at(even, "medial").least - at(wide, "medial").least).toBeCloseTo(3, 0);
    expect(at(wide, "lateral").most).toBeCloseTo(at(even, "lateral").most, 6);
  });
});

describe("the table of nails", () => {
  const drawn = ordinaryFoot("LF", { kind: "horse", massKg: 520 });

  test("thicker steel and a pad want a longer nail, by as much as they are thick", () => {
    const needed = (spec: Parameters<typeof fitQuestion>[0]) => nailTable(fit(spec), drawn, []).needed;
    expect(needed({ thickness: 13 }) - needed({})).toBeCloseTo(3, 9);
    expect(needed({ pad: "flat" }) - needed({})).toBeGreaterThan(4);
  });

  test("it says coarse or fine, the height of the exits, and which nail of the table that is", () => {
    expect(nailTable(fit({}), drawn, []).says(wording)).toMatch(/^6 nails, punched (coarse|fine); out 18 mm/);
    expect(nailTable(fit({ width: 32 }), drawn, []).says(wording)).toContain("punched fine");
    expect(nailTable(fit({ nailsMedial: 0, nailsLateral: 0 }), drawn, []).says(wording)).toBe("No nails.");
  });

  test("a table of one's own counts instead of the neutral one, and what does not match is said", () => {
    const own = [{ name: "mine", pattern: "square" as const, lengthMm: 60 }];
    expect(nailTable(fit({}), drawn, own).says(wording)).toContain(
      "these holes and those nails do not match",
    );
    expect(nailTable(fit({ pattern: "square" }), drawn, own).says(wording)).toContain("mine, 60 mm long");
  });
});
