import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { polylineLength } from "../geometry/polyline";
import { distance, type SolarPoint } from "../geometry/vector";
import { outlineThrough } from "./outline";
import {
  clenchChecks,
  EXAMPLE_NAILS,
  exitHeight,
  nailLean,
  nailLengthNeeded,
  pickNail,
  placeNails,
  type NailQuestion,
  toeQuarterYOf,
  WEB_INSIDE_MM,
} from "./nails";
import { knotsOf } from "./shoe.fixture";

const knots = knotsOf();
const question = {
  outline: outlineThrough(knots),
  widestY: knots.wide.lateral[1],
  perSide: 3,
  wall: { toe: 10, quarter: 8.5 },
  web: 22,
};
const near = (line: readonly SolarPoint[], at: SolarPoint) =>
  line.slice(1).reduce((least, b, index) => {
    const a = line[index] as SolarPoint;
    const size = distance(a, b);
    const t = Math.max(
      0,
      Math.min(1, ((at[0] - a[0]) * (b[0] - a[0]) + (at[1] - a[1]) * (b[1] - a[1])) / size ** 2),
    );
    return Math.min(least, distance(at, [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]));
  }, Number.POSITIVE_INFINITY);

describe("placeNails", () => {
  test("the first stands at the toe quarter, the outer last at the widest part, the inner one 5 mm ahead of it", () => {
    const plan = placeNails(question);
    expect(plan.warnings).toEqual([]);
    expect(plan.lateral.at(-1)?.y).toBeCloseTo(question.widestY, 0);
    expect(plan.medial.at(-1)?.y).toBeCloseTo(question.widestY + 5, 0);
    const quarter = toeQuarterYOf(knots.toe[1], question.widestY);
    const first = plan.lateral[0];
    expect(first && first.y < quarter && first.y > quarter - 12).toBe(true);
  });

  test("the rest stand evenly between along the edge", () => {
    const { lateral } = placeNails({ ...question, perSide: 4 });
    const gaps = lateral.slice(1).map(({ s }, index) => s - (lateral[index]?.s ?? 0));
    for (const gap of gaps) expect(gap).toBeCloseTo(gaps[0] ?? 0, 9);
  });

  test("a wall of 9.5 mm on a web of 19 puts the holes in the middle of the web", () => {
    const plan = placeNails({ ...question, wall: { toe: 9.5, quarter: 9.5 }, web: 19 });
    for (const nail of [...plan.medial, ...plan.lateral]) expect(nail.inset).toBe(9.5);
    expect(plan.warnings).toEqual([]);
  });

  test.each([
    [13, "little-web"],
    [9, "past-web"],
  ])("a web of %i mm under a 10 mm wall is named as %s", (web, code) => {
    const { warnings } = placeNails({ ...question, web });
    expect(warnings.every((one) => one.code === code || one.code === "little-web")).toBe(true);
    expect(warnings.some((one) => one.code === code)).toBe(true);
  });

  test("a nail in marked wall is left out and said, the others keep their places", () => {
    const all = placeNails(question);
    const plan = placeNails({ ...question, skip: [{ side: "lateral", from: 0.4, to: 0.6 }] });
    expect(plan.medial).toEqual(all.medial);
    expect(plan.lateral.length).toBeLessThan(3);
    expect(plan.lateral.every((nail) => all.lateral.some(({ s }) => s === nail.s))).toBe(true);
    expect(plan.warnings.some(({ code, side }) => code === "skipped" && side === "lateral")).toBe(true);
  });

  describe("where the wall is sound", () => {
    const marked = (from: number, to: number) => [{ side: "lateral" as const, from, to }];
    const moved = (skip: NailQuestion["skip"], perSide = 3) =>
      placeNails({ ...question, skip, perSide, move: true });

    test("a nail in marked wall goes to the nearest sound place, and it says how far and what that costs", () => {
      const all = placeNails(question);
      const { medial, lateral, warnings } = moved(marked(0.56, 0.7));
      expect(medial).toEqual(all.medial);
      expect(lateral).toHaveLength(3);
      expect(lateral.some(({ moved: by }) => by !== undefined && by < 0)).toBe(true);
      const said = warnings.filter(({ code }) => code === "moved").map(({ message }) => message);
      expect(said[0]).toMatch(/^Nail \d of the lateral side is moved \d+ mm forward, into sound wall/);
    });

    test("ahead of the toe quarter only where nothing else is left, and then it is said", () => {
      const { lateral, warnings } = moved(marked(0.4, 1));
      expect(lateral.length).toBeGreaterThanOrEqual(2);
      expect(warnings.some(({ message }) => message.includes("ahead of the toe quarter"))).toBe(true);
    });

    test("what finds no sound wall is said with what has to hold instead", () => {
      const { lateral, warnings } = moved(marked(0, 1));
      expect(lateral).toEqual([]);
      expect(warnings.find(({ code }) => code === "no-wall")?.message).toBe(
        "No nail finds sound wall on the lateral side: a clip there, a bar, or glue has to hold the rest.",
      );
    });

    test("never in marked wall, never nearer than a nail may stand, never behind the widest part (property)", () => {
      const part = fc.double({ min: 0, max: 1, noNaN: true });
      const stretch = fc
        .tuple(fc.constantFrom("medial" as const, "lateral" as const), part, part)
        .map(([side, a, b]) => ({ side, from: Math.min(a, b), to: Math.max(a, b) }));
      fc.assert(
        fc.property(fc.array(stretch, { maxLength: 4 }), fc.integer({ min: 1, max: 5 }), (skip, perSide) => {
          const plan = moved(skip, perSide);
          for (const side of ["medial", "lateral"] as const) {
            const whole = polylineLength(question.outline[side]);
            const usual = placeNails({ ...question, perSide })[side];
            plan[side].forEach(({ s, y }, index) => {
              for (const one of skip)
                if (one.side === side) expect(s / whole >= one.from && s / whole <= one.to).toBe(false);
              expect(y).toBeGreaterThan(question.widestY - 2);
              const before = plan[side][index - 1];
              const pitch = (usual[1]?.s ?? 99) - (usual[0]?.s ?? 0);
              if (before) expect(s - before.s).toBeGreaterThanOrEqual(Math.min(12, pitch) - 1e-6);
            });
            expect(plan[side].length).toBeLessThanOrEqual(perSide);
            // Fewer than were asked for is always said.
            if (plan[side].length < perSide)
              expect(plan.warnings.some(({ code, side: at }) => at === side && code === "no-wall")).toBe(
                true,
              );
          }
        }),
        { numRuns: 200, seed: 3 },
      );
    });
  });

  test("on any outline a hole lies its inset inside the edge, and none behind the widest part", () => {
    fc.assert(
      fc.property(
        fc.record({
          toe: fc.double({ min: 100, max: 160, noNaN: true }),
          wide: fc.double({ min: 48, max: 80, noNaN: true }),
          wideY: fc.double({ min: 45, max: 65, noNaN: true }),
          heel: fc.double({ min: 0.6, max: 0.9, noNaN: true }),
          wall: fc.double({ min: 5, max: 11, noNaN: true }),
          perSide: fc.integer({ min: 2, max: 5 }),
        }),
        ({ toe, wide, wideY, heel, wall, perSide }) => {
          const sides = (x: number, y: number) => ({
            medial: [-x, y] as SolarPoint,
            lateral: [x, y] as SolarPoint,
          });
          const outline = outlineThrough({
            toe: [0, toe],
            toeQuarter: sides(wide * 0.84, toeQuarterYOf(toe, wideY)),
            wide: sides(wide, wideY),
            heel: sides(wide * heel, 0),
          });
          const plan = placeNails({
            outline,
            widestY: wideY,
            perSide,
            wall: { toe: wall, quarter: wall },
            web: 24,
          });
          for (const side of ["medial", "lateral"] as const) {
            expect(plan[side]).toHaveLength(perSide);
            plan[side].forEach(({ x, y, inset, s }, index) => {
              expect(near(outline[side], [x, y])).toBeCloseTo(inset, 0);
              expect(y).toBeGreaterThan(wideY - 1);
              expect(Math.sign(x)).toBe(side === "medial" ? -1 : 1);
              if (index > 0) expect(s).toBeGreaterThan(plan[side][index - 1]?.s ?? s);
            });
          }
          expect(plan.warnings.some(({ code }) => code === "little-web" || code === "past-web")).toBe(
            24 - wall < WEB_INSIDE_MM,
          );
        },
      ),
    );
  });
});

describe("a nail by itself", () => {
  test("leans in most at the toe and least at the last", () => {
    const leans = [0, 0.5, 1].map((part) => nailLean(part, 52));
    expect(leans[0]).toBe(38);
    expect(leans[2]).toBeCloseTo(14, 12);
    expect(leans[1]).toBeCloseTo(26, 12);
  });

  test("needs shoe, pad, the way to its exit and 10 mm to wring: by hand for an upright wall", () => {
    // 10 + 0 + hypot(17.5, 17.5 / tan 90 - 9) + 10
    expect(nailLengthNeeded({ thickness: 10, pad: 0, exit: 17.5, wallAngleDeg: 90, wall: 9 })).toBeCloseTo(
      20 + Math.hypot(17.5, 9),
      9,
    );
    expect(nailLengthNeeded({ thickness: 10, pad: 6, exit: 17.5, wallAngleDeg: 90, wall: 9 })).toBeCloseTo(
      26 + Math.hypot(17.5, 9),
      9,
    );
  });

  test("comes out 16.5 mm up, or at a third of a short wall", () => {
    expect(exitHeight(90)).toBe(16.5);
    expect(exitHeight(45)).toBe(15);
  });

  test("is the shortest of the table that fits the holes; what does not match is said", () => {
    expect(pickNail(EXAMPLE_NAILS, "slim", 48.2)).toEqual({
      kind: "found",
      nail: { name: "slim 50", pattern: "slim", lengthMm: 50 },
    });
    expect(pickNail([{ name: "own", pattern: "square", lengthMm: 60 }], "slim", 40)).toEqual({
      kind: "no-pattern",
    });
    expect(pickNail(EXAMPLE_NAILS, "slim", 80)).toMatchObject({
      kind: "too-short",
      longest: { lengthMm: 66 },
    });
  });

  test.each([
    [[16, 17, 18], 90, [true, true, true]],
    [[13, 17], 90, [true, true, true]],
    [[12, 17], 90, [false, true, true]],
    // A third of a low wall is 12 mm: lower exits are right there.
    [[10, 12], 36, [true, true, true]],
    [[15, 20], 54, [true, false, true]],
    [[15, 21.5], 90, [false, true, false]],
  ])(
    "exits %j on a wall of %i mm: height, third of the wall and evenness read %j",
    (exits, wall, expected) => {
      expect(clenchChecks(exits, wall).map(({ ok }) => ok)).toEqual(expected);
    },
  );
});
