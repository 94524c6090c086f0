import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import highsLoader from "highs";
import { highsSolver, type Solver } from "../../math/programme";
import { cutList, type CutList, type CutListQuestion } from "./cutList";
import { bestPattern, fitsOn, offcutOf } from "./pattern";

let solve: Solver;
beforeAll(async () => {
  solve = highsSolver(await highsLoader());
});

const list = (question: CutListQuestion): CutList => {
  const found = cutList(question, solve);
  if (!found.ok) throw new Error(found.issues[0]?.message);
  return found.value;
};

/** Fewest new bars by trying every place for every piece, longest first. */
function fewestByTrying({ barLength, kerf, pieces, offcuts = [] }: CutListQuestion): number {
  const all = pieces
    .flatMap(({ length, count }) => Array.from({ length: count }, () => length))
    .sort((a, b) => b - a);
  let best = all.length;
  const place = (
    at: number,
    bins: { stock: number; sum: number; count: number; isNew: boolean }[],
    used: number,
  ) => {
    if (used >= best) return;
    const piece = all[at];
    if (piece === undefined) {
      best = used;
      return;
    }
    const tried = new Set<string>();
    for (const bin of bins) {
      const key = `${bin.stock}|${bin.sum.toFixed(6)}|${bin.count}`;
      if (tried.has(key) || !fitsOn(bin.stock, kerf, bin.sum + piece, bin.count + 1)) continue;
      tried.add(key);
      bin.sum += piece;
      bin.count += 1;
      place(at + 1, bins, used);
      bin.sum -= piece;
      bin.count -= 1;
    }
    if (piece <= barLength)
      place(at + 1, [...bins, { stock: barLength, sum: piece, count: 1, isNew: true }], used + 1);
  };
  place(
    0,
    offcuts.map((stock) => ({ stock, sum: 0, count: 0, isNew: false })),
    0,
  );
  return best;
}

const cutOf = ({ bars }: CutList): number[] => bars.flatMap(({ pieces }) => pieces).sort((a, b) => a - b);

describe("kerfs", () => {
  test("n pieces want n - 1 kerfs when they use the bar up, else n", () => {
    expect(fitsOn(1000, 3, 994, 3)).toBe(true);
    expect(fitsOn(1000, 3, 994.1, 3)).toBe(false);
    expect(offcutOf(1000, 3, 994, 3)).toBe(0);
    expect(offcutOf(1000, 3, 900, 3)).toBe(91);
  });

  test("a rest narrower than the blade goes with the last cut", () => {
    expect(fitsOn(1000, 3, 993, 3)).toBe(true);
    expect(offcutOf(1000, 3, 993, 3)).toBe(0);
  });
});

describe("bestPattern", () => {
  test("takes what is worth most for its room, no more often than it is wanted", () => {
    expect(bestPattern(1000, 0, [500, 400, 300], [0.5, 0.45, 0.3], [9, 9, 9]).pattern).toEqual([0, 1, 2]);
    expect(bestPattern(1000, 0, [500], [1], [1]).pattern).toEqual([1]);
  });
});

describe("cutList", () => {
  test("six shoes of 300 from bars of a metre: three to a bar, two bars, 91 left of each", () => {
    const found = list({ barLength: 1000, kerf: 3, pieces: [{ length: 300, count: 6 }] });
    expect(found).toEqual({
      bars: [
        { stock: 1000, pieces: [300, 300, 300], offcut: 91 },
        { stock: 1000, pieces: [300, 300, 300], offcut: 91 },
      ],
      count: 2,
      lowerBound: 2,
      optimal: true,
    });
  });

  test("an offcut is used before a new bar and not counted", () => {
    const found = list({ barLength: 1000, kerf: 2, pieces: [{ length: 300, count: 4 }], offcuts: [310] });
    expect([found.count, found.bars[0]]).toEqual([1, { stock: 310, pieces: [300], offcut: 8 }]);
    expect(
      list({ barLength: 1000, kerf: 2, pieces: [{ length: 300, count: 1 }], offcuts: [310] }).count,
    ).toBe(0);
  });

  test("a mix whose bound is not reached by whole bars is still proven", () => {
    // Three thirds of a bar and a bit: 2 bars hold 4 pieces of 334, never 5.
    const found = list({ barLength: 1000, kerf: 0, pieces: [{ length: 334, count: 5 }] });
    expect([found.count, found.lowerBound, found.optimal]).toEqual([3, 3, true]);
  });

  test("never more bars than trying every way, every piece cut once, no bar overfull (property)", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ length: fc.integer({ min: 200, max: 700 }), count: fc.integer({ min: 1, max: 2 }) }),
          {
            minLength: 1,
            maxLength: 5,
          },
        ),
        fc.integer({ min: 0, max: 5 }),
        fc.array(fc.integer({ min: 150, max: 900 }), { maxLength: 2 }),
        (pieces, kerf, offcuts) => {
          const question = { barLength: 1000, kerf, pieces, offcuts };
          const found = list(question);
          expect(found.count).toBe(fewestByTrying(question));
          expect([found.lowerBound, found.optimal]).toEqual([found.count, true]);
          expect(cutOf(found)).toEqual(
            pieces
              .flatMap(({ length, count }) => Array.from({ length: count }, () => length))
              .sort((a, b) => a - b),
          );
          for (const { stock, pieces: cut } of found.bars)
            expect(
              fitsOn(
                stock,
                kerf,
                cut.reduce((sum, one) => sum + one, 0),
                cut.length,
              ),
            ).toBe(true);
        },
      ),
      { numRuns: 60, seed: 6 },
    );
  });

  test("60 pieces in 12 lengths are proven", () => {
    const found = list({
      barLength: 3000,
      kerf: 2,
      pieces: Array.from({ length: 12 }, (_, index) => ({ length: 287 + index * 11.5, count: 5 })),
      offcuts: [640, 410],
    });
    expect(found.optimal).toBe(true);
    expect(cutOf(found)).toHaveLength(60);
  });

  test.each([
    [{ barLength: 1000, kerf: 2, pieces: [{ length: 1200, count: 1 }] }, "pieces.0.length", "too-long"],
    [{ barLength: 0, kerf: 2, pieces: [] }, "barLength", "not-positive"],
    [{ barLength: 1000, kerf: -1, pieces: [] }, "kerf", "not-positive"],
    [{ barLength: 1000, kerf: 2, pieces: [{ length: 100, count: 1.5 }] }, "pieces.0.count", "not-positive"],
  ])("what cannot be cut is said at its place", (question, path, code) => {
    const found = cutList(question, solve);
    expect(found.ok ? undefined : [found.issues[0]?.path, found.issues[0]?.code]).toEqual([path, code]);
  });

  test("nothing wanted, nothing cut", () => {
    expect(list({ barLength: 1000, kerf: 2, pieces: [] })).toEqual({
      bars: [],
      count: 0,
      lowerBound: 0,
      optimal: true,
    });
  });
});
