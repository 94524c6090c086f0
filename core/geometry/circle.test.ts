import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { seededRandom } from "../math/random";
import { fitCircle } from "./circle";
import type { Vector } from "./vector";

const arc = (centre: Vector, radius: number, from: number, to: number, count: number, noise = () => 0) =>
  Array.from({ length: count }, (_, index): Vector => {
    const t = from + ((to - from) * index) / (count - 1);
    const r = radius + noise();
    return [centre[0] + r * Math.cos(t), centre[1] + r * Math.sin(t)];
  });

describe("a circle through points", () => {
  test("exact for three, wherever they lie and however short their arc (property)", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        (x, radius, from, span) => {
          const found = fitCircle(arc([x, 40], radius, from, from + span, 3));
          expect(found.ok && found.value.radius).toBeCloseTo(radius, 4);
          expect(found.ok && found.value.centre[0]).toBeCloseTo(x, 4);
          expect(found.ok && found.value.residual).toBeLessThan(1e-6);
        },
      ),
    );
  });

  test("noise of half a pixel on a third of a circle moves the centre by little, and the residual tells it", () => {
    const random = seededRandom(4);
    const points = arc([100, 100], 80, 3.4, 5.9, 8, () => random() - 0.5);
    const found = fitCircle(points);
    expect(found.ok && Math.hypot(found.value.centre[0] - 100, found.value.centre[1] - 100)).toBeLessThan(
      1.5,
    );
    expect(found.ok && found.value.residual).toBeLessThan(0.5);
  });

  test("two points and points in line are no circle, and it says which", () => {
    expect(
      fitCircle([
        [0, 0],
        [1, 1],
      ]),
    ).toMatchObject({ ok: false, issues: [{ code: "too-few" }] });
    expect(
      fitCircle([
        [0, 0],
        [1, 1],
        [2, 2],
      ]),
    ).toMatchObject({ ok: false, issues: [{ code: "in-line" }] });
    expect(
      fitCircle([
        [3, 3],
        [3, 3],
        [3, 3],
      ]).ok,
    ).toBe(false);
  });
});
