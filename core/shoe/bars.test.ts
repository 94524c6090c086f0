import { describe, expect, test } from "@jest/globals";
import { polygonArea } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { barsOf, frogHalfAt } from "./bars";
import { fitShoe } from "./fit";
import { NO_SETTING } from "./fitQuestion";
import { halfWidthAt, widestOf } from "./outline";
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

const back = (spec: Parameters<typeof fitQuestion>[0], of = foot) => {
  const question = fitQuestion(spec, { foot: of });
  const { outer, inner } = fitShoe(question);
  return barsOf(outer, inner, question);
};

describe("what lies across the back", () => {
  test("an open shoe has nothing there, a straight bar one piece from branch to branch", () => {
    expect(back({})).toEqual([]);
    expect(fit({}).across).toBe(0);
    const straight = fit({ type: "straight bar" });
    const [bar] = back({ type: "straight bar" }) as [SolarPoint[]];
    expect(reach(bar, 0).least).toBeCloseTo(straight.outer.medial.at(-1)?.[0] ?? 0, 9);
    expect(reach(bar, 0).most).toBeCloseTo(straight.outer.lateral.at(-1)?.[0] ?? 0, 9);
    expect(reach(bar, 1).least).toBeCloseTo(0, 6);
    expect(Math.abs(polygonArea(bar))).toBeGreaterThan(500);
  });

  test("a heart bar's plate stays inside the frog's edges all the way and ends behind its true apex", () => {
    for (const frogHalf of [14, 20, 24, 32]) {
      const of = { ...foot, frogHalf };
      const [, plate] = back({ type: "heart bar" }, of) as [SolarPoint[], SolarPoint[]];
      for (const [x, y] of plate) expect(Math.abs(x)).toBeLessThan(frogHalfAt(of, y) - 2.9);
      expect(reach(plate, 1).most).toBeLessThan(foot.trueApex);
      expect(reach(plate, 1).most).toBeGreaterThan(foot.trueApex / 2);
    }
  });

  test("an egg bar reaches behind every other shoe, and that is support in the numbers", () => {
    const egg = fit({ type: "egg bar" });
    const plain = fit({ support: "heel" });
    // About 30 mm behind the heels on a foot of size 1, whatever an open branch would end at.
    for (const support of ["heel", "frog", "long"] as const) {
      const hindmost = reach(fit({ type: "egg bar", support }).solid.outside, 1).least;
      expect(foot.knots.heel.medial[1] - hindmost).toBeCloseTo(30 * foot.k, 1);
    }
    expect(egg.support).toBeCloseTo(plain.support + 30 * foot.k, 1);
    expect(egg.front).toBeCloseTo(plain.front, 6);
    expect(egg.length).toBeCloseTo(plain.length + 30 * foot.k, 1);
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

  test("a square toe is flat, and set under lies further back; a round one is neither", () => {
    const square = fit({ toe: "square set under" });
    expect(fit({ toe: "square" }).toeY - square.toeY).toBeCloseTo(5 * foot.k, 1);
    const flat = square.outer.lateral.filter(([, y]) => y > square.toeY - 0.01);
    expect(reach(flat, 0).most).toBeGreaterThan(10);
    expect(fit({}).toeY - square.toeY).toBeCloseTo(7 * foot.k, 1);
  });

  test("more web on one side stands out there and nowhere else", () => {
    const [even, wide] = [fit({}), fit({ widerMedial: 3, outMedial: 3 })];
    const at = (one: typeof even, side: "medial" | "lateral") => reach(one.outer[side], 0);
    expect(at(even, "medial").least - at(wide, "medial").least).toBeCloseTo(3, 0);
    expect(at(wide, "lateral").most).toBeCloseTo(at(even, "lateral").most, 6);
    // Three millimetres more web are three: the inner edge stays where it is.
    const inner = (one: typeof even) => halfWidthAt(one.inner.medial, foot.knots.wide.medial[1]);
    expect(inner(wide)).toBeCloseTo(inner(even), 0);
  });

  test("a web that is wider without standing out grows inwards", () => {
    const [even, wide] = [fit({}), fit({ widerLateral: 4 })];
    expect(widestOf(wide.outer)).toEqual(widestOf(even.outer));
    const inner = (one: typeof even) => halfWidthAt(one.inner.lateral, foot.knots.wide.lateral[1]);
    expect(inner(even) - inner(wide)).toBeCloseTo(4, 0);
    // More steel than the bar has: that much longer it has to be.
    expect([even.grown, wide.grown > 5]).toEqual([0, true]);
  });
});

describe("the table of nails", () => {
  const drawn = ordinaryFoot("LF", { kind: "horse", massKg: 520 });

  test("thicker steel and a pad want a longer nail, by as much as they are thick", () => {
    const needed = (spec: Parameters<typeof fitQuestion>[0]) => nailTable(fit(spec), drawn, []).needed;
    expect(needed({ thickness: 13 }) - needed({})).toBeCloseTo(3, 9);
    expect(needed({ pad: "flat" }) - needed({})).toBeGreaterThan(4);
    // A wedge under one side lies under the nails of that side: 2 degrees over the width of the shoe.
    const wedged = needed({ sideWedge: { side: "medial", degrees: 2 } }) - needed({});
    expect(wedged).toBeCloseTo(Math.tan((2 * Math.PI) / 180) * fit({}).width, 6);
  });

  test("it says coarse or fine, the height of the exits, and which nail of the table that is", () => {
    expect(nailTable(fit({}), drawn, []).says(wording)).toMatch(/^6 nails, punched (coarse|fine); out 17 mm/);
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
