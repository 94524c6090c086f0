import { expect, test } from "@jest/globals";
import { attack, entries } from "./mutants.fixture";

test("a sound file of every kind is taken", () => {
  for (const { name, sound, read } of entries())
    expect([name, read(sound).ok]).toEqual([name, name !== "picture"]);
});

test("900 mutated files of all kinds: none breaks anything, each that is refused says why", () => {
  const { tried, taken, refused, broken } = attack(900, 1, () => performance.now());
  expect(broken).toEqual([]);
  expect(taken + refused).toBe(tried);
  // Most of them are wrong, and are seen to be.
  expect(refused).toBeGreaterThan(tried / 3);
});
