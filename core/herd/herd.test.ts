import { readFileSync } from "node:fs";
import { describe, expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import { herdRates } from "./herd";
import { soundRows, troubledRows } from "./herdTable";

const wording = wordingFor({ unit: "mm", fraction: 16, leftRight: "left-right", side: "inside-outside" });
const docs = readFileSync("docs/findings.md", "utf8").replace(/ {2,}/g, " ");

describe("sound feet", () => {
  test.each([1, 2, 3])(
    "seed %i: fresh from the trim each finding speaks on 5 in 100 at most, half have none",
    (seed) => {
      const { spoke, withoutAny, feet } = herdRates({ kind: "sound", n: 400, seed, when: "fresh" }, wording);
      const loud = Object.entries(spoke).filter(([, n]) => n > 0.05 * feet);
      expect(loud).toEqual([]);
      expect(withoutAny).toBeGreaterThan(feet / 2);
    },
  );

  test("six weeks of plain growth are called long, not run", () => {
    const { spoke, feet } = herdRates({ kind: "sound", n: 400, seed: 4, when: "due" }, wording);
    expect(spoke["toe-long"]).toBeGreaterThan(feet / 2);
    const loud = Object.entries(spoke).filter(([id, n]) => id !== "toe-long" && n > 0.05 * feet);
    expect(loud).toEqual([]);
  });

  test("the same seed gives the same herd, another one another", () => {
    const rates = (seed: number) => herdRates({ kind: "sound", n: 60, seed, when: "fresh" }, wording).spoke;
    expect(rates(5)).toEqual(rates(5));
    expect(rates(5)).not.toEqual(rates(6));
  });
});

test("troubled feet: each trouble is found on 90 in 100 at least, at its right level", () => {
  const { troubles } = herdRates({ kind: "troubled", n: 60, seed: 8, when: "fresh" }, wording);
  const missed = Object.entries(troubles).filter(([, { feet, atLevel }]) => atLevel < 0.9 * feet);
  expect(missed).toEqual([]);
});

test("the tables in docs/findings.md are what is computed", () => {
  for (const row of [...soundRows(wording), ...troubledRows(wording)]) expect(docs).toContain(row);
});
