import { describe, expect, test } from "@jest/globals";
import { seededRandom } from "../math/random";
import { hash, noise } from "./grain";

const SEED = 41;
const mean = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0) / all.length;

describe("hash", () => {
  test("the same place and seed give the same number, another place or seed another", () => {
    expect(hash(3, -8, 11, SEED)).toBe(hash(3, -8, 11, SEED));
    const others = [hash(4, -8, 11, SEED), hash(3, -7, 11, SEED), hash(3, -8, 12, SEED), hash(3, -8, 11, 42)];
    expect(new Set([hash(3, -8, 11, SEED), ...others]).size).toBe(5);
  });

  test("over many places it is even: from 0 to 1, a tenth of them in each tenth, no neighbour like its neighbour", () => {
    const line = Array.from({ length: 20_000 }, (_, at) => hash(at % 200, Math.floor(at / 200), 7, SEED));
    expect(Math.min(...line)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...line)).toBeLessThan(1);
    for (let tenth = 0; tenth < 10; tenth++)
      expect(line.filter((one) => Math.floor(10 * one) === tenth).length / line.length).toBeCloseTo(0.1, 1);
    const alike = mean(line.slice(1).map((one, at) => (one - 0.5) * ((line[at] ?? 0) - 0.5) * 12));
    expect(Math.abs(alike)).toBeLessThan(0.03);
  });
});

describe("noise", () => {
  test("on the grid it is the grid’s own number", () => {
    for (const [x, y, z] of [
      [0, 0, 0],
      [5, -3, 2],
      [-40, 12, -7],
    ] as const)
      expect(noise(x, y, z, SEED)).toBe(hash(x, y, z, SEED));
  });

  test("half way between two places of the grid it is their mean", () => {
    const between = (hash(5, -3, 2, SEED) + hash(6, -3, 2, SEED)) / 2;
    expect(noise(5.5, -3, 2, SEED)).toBeCloseTo(between, 12);
  });

  test("it never leaves what lies around it, and jumps nowhere", () => {
    const random = seededRandom(8);
    for (let time = 0; time < 500; time++) {
      const [x, y, z] = [60 * random() - 30, 60 * random() - 30, 60 * random() - 30];
      const value = noise(x, y, z, SEED);
      const around = [0, 1].flatMap((dx) =>
        [0, 1].flatMap((dy) =>
          [0, 1].map((dz) => hash(Math.floor(x) + dx, Math.floor(y) + dy, Math.floor(z) + dz, SEED)),
        ),
      );
      expect(value).toBeGreaterThanOrEqual(Math.min(...around));
      expect(value).toBeLessThanOrEqual(Math.max(...around));
      // A smooth step is nowhere steeper than one and a half times straight.
      expect(Math.abs(noise(x + 1e-4, y, z, SEED) - value)).toBeLessThanOrEqual(1.6e-4);
    }
  });
});
