import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { LIMBS } from "../foot/limb";
import { seededRandom } from "../math/random";
import { atLevel, levelAfter, levelAfterAnswer, levelIn, worthOf } from "./level";
import { practiceFoot, WRONG_NAMES } from "./practiceFoot";

const seeds = fc.integer({ min: 1, max: 1e9 });

describe("difficulty", () => {
  test("goes up when a foot was well done, down when it was too hard, and stays between; it never leaves 1 to 9", () => {
    expect([levelAfter(4, 92), levelAfter(4, 65), levelAfter(4, 30)]).toEqual([5, 4, 3]);
    expect([levelAfter(9, 100), levelAfter(1, 0)]).toEqual([9, 1]);
  });

  test("one answer right is a level up, one wrong two down", () => {
    expect([levelAfterAnswer(4, true), levelAfterAnswer(4, false)]).toEqual([5, 2]);
    expect([levelAfterAnswer(9, true), levelAfterAnswer(1, false)]).toEqual([9, 1]);
  });

  test("by answers it settles where two of three are right", () => {
    const random = seededRandom(5);
    let level = 1;
    let right = 0;
    for (let answer = 0; answer < 6000; answer++) {
      // Whoever guesses at level 9 and never misses at level 1.
      const isRight = random() < atLevel(level, [1, 0.34]);
      right += isRight ? 1 : 0;
      level = levelAfterAnswer(level, isRight);
    }
    expect(right / 6000).toBeGreaterThan(0.62);
    expect(right / 6000).toBeLessThan(0.72);
  });

  test("where somebody stands is what the latest try of that room left, whatever the order of the rows", () => {
    const tries = [
      { room: "measure" as const, at: "2026-11-20T10:00:00Z", next: 5 },
      { room: "measure" as const, at: "2026-11-20T09:00:00Z", next: 3 },
      { room: "cut" as const, at: "2026-11-21T09:00:00Z", next: 8 },
    ];
    expect([levelIn(tries, "measure"), levelIn(tries, "cut"), levelIn(tries, "run")]).toEqual([5, 8, 1]);
  });

  test("a miss is worth less the larger it is, half at its half", () => {
    expect([worthOf(0, 4), worthOf(4, 4), worthOf(-4, 4)]).toEqual([1, 0.5, 0.5]);
    expect(worthOf(8, 4)).toBeCloseTo(0.2, 12);
  });
});

describe("practiceFoot", () => {
  test("a seed gives the same foot; as many wrongs as were asked for, never broken back and forward at once", () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 0, max: 5 }), (seed, count) => {
        const made = practiceFoot(seededRandom(seed), { count, size: 1 });
        expect(practiceFoot(seededRandom(seed), { count, size: 1 })).toEqual(made);
        expect(made.wrong).toHaveLength(count);
        expect(new Set(made.wrong).size).toBe(count);
        expect(made.wrong.filter((name) => name.startsWith("broken")).length).toBeLessThan(2);
      }),
      { seed: 3, numRuns: 60 },
    );
  });

  test("every wrong turns up, on every limb", () => {
    const random = seededRandom(9);
    const seen = new Set<string>();
    const limbs = new Set<string>();
    for (let foot = 0; foot < 200; foot++) {
      const made = practiceFoot(random, { count: 2, size: 1 });
      limbs.add(made.foot.limb);
      for (const name of made.wrong) seen.add(name);
    }
    expect([...seen].sort()).toEqual([...WRONG_NAMES].sort());
    expect([...limbs].sort()).toEqual([...LIMBS].sort());
  });
});
