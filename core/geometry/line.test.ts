import { describe, expect, test } from "@jest/globals";
import { bestLine, crossing } from "./line";
import { distance, dot, minus, type Vector } from "./vector";

describe("the line nearest to points", () => {
  test("goes through points that lie on one, whichever way it runs, and leaves nothing over", () => {
    for (const turn of [0, 0.4, Math.PI / 2, 2.5]) {
      const along: Vector = [Math.cos(turn), Math.sin(turn)];
      const points = [-3, 0, 1, 5].map((t): Vector => [7 + t * along[0], -2 + t * along[1]]);
      const line = bestLine(points);
      expect(Math.abs(dot(line.along, along))).toBeCloseTo(1, 9);
      expect(line.squares).toBeCloseTo(0, 9);
      const [x, y] = minus(line.at, [7, -2]);
      expect(x * along[1] - y * along[0]).toBeCloseTo(0, 9);
    }
  });

  test("its squares are those of the distances across it, not along an axis", () => {
    const { squares, along } = bestLine([
      [0, 1],
      [10, -1],
      [20, 1],
      [30, -1],
    ]);
    expect(Math.abs(along[1])).toBeLessThan(0.1);
    expect(squares).toBeLessThan(4);
    expect(squares).toBeGreaterThan(3);
  });
});

test("two lines cross where both are; nearly parallel ones do not", () => {
  const across = crossing({ at: [0, 2], along: [1, 0] }, { at: [5, 0], along: [0.6, 0.8] });
  expect(across && distance(across, [6.5, 2])).toBeCloseTo(0, 9);
  expect(crossing({ at: [0, 0], along: [1, 0] }, { at: [0, 1], along: [1, 0.01] })).toBeUndefined();
});
