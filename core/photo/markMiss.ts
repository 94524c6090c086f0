import { distance, dot, minus, plus, times, type Vector } from "../geometry/vector";
import type { MeasuredView } from "./views";

/** Parts of lines on which a mark may lie anywhere, from one true mark towards another: 0 is the first, 1 the second. */
const LINES: Partial<
  Record<MeasuredView, Record<string, readonly (readonly [string, string, number, number])[]>>
> = {
  side: {
    groundA: [["groundA", "groundB", -0.4, 0.16]],
    groundB: [["groundB", "groundA", -0.4, 0.16]],
    wallHigh: [["hairlineToe", "wallMid", 0.05, 0.6]],
    wallMid: [
      ["wallMid", "hairlineToe", 0, 0.3],
      ["wallMid", "toe", 0, 0.3],
    ],
    pasternLow: [["pasternLow", "pasternHigh", -0.15, 0.45]],
    pasternHigh: [["pasternLow", "pasternHigh", 0.55, 1.25]],
  },
  rear: {
    limbLow: [["limbLow", "limbHigh", -0.3, 0.45]],
    limbHigh: [["limbLow", "limbHigh", 0.55, 1.25]],
  },
};

/** The point nearest to `at` on the part of a line from a to b. */
function nearestOn(at: Vector, a: Vector, b: Vector, from: number, to: number): Vector {
  const along = minus(b, a);
  const size = dot(along, along);
  const part = size === 0 ? from : dot(minus(at, a), along) / size;
  return plus(a, times(along, Math.min(to, Math.max(from, part))));
}

/**
 * How far a mark lies from where it truly is, in its own unit of length. One that only has to lie on a line (ground, front
 * of the wall, pastern, axis of the limb) misses by its distance from that line.
 */
export function markMiss(
  view: MeasuredView,
  mark: string,
  at: Vector,
  trueAt: (mark: string) => Vector,
): number {
  const lines = LINES[view]?.[mark] ?? [[mark, mark, 0, 0] as const];
  return Math.min(
    ...lines.map(([a, b, from, to]) => distance(at, nearestOn(at, trueAt(a), trueAt(b), from, to))),
  );
}

/** Two marks on whose line a mark only has to lie; none where it has one place. */
export const lineOf = (view: MeasuredView, mark: string): readonly [string, string] | undefined => {
  const line = LINES[view]?.[mark]?.[0];
  return line && [line[0], line[1]];
};
