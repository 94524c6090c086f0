import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
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

  test("comes out 17.5 mm up, or at a third of a short wall", () => {
    expect(exitHeight(90)).toBe(17.5);
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
    [[12, 17], 90, [false, true, true]],
    [[15, 20], 54, [true, false, true]],
    [[15, 21.5], 90, [false, true, false]],
  ])(
    "exits %j on a wall of %i mm: height, third of the wall and evenness read %j",
    (exits, wall, expected) => {
      expect(clenchChecks(exits, wall).map(({ ok }) => ok)).toEqual(expected);
    },
  );
});
