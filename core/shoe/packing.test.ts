import { describe, expect, test } from "@jest/globals";
import { WEAR_SECTORS } from "../foot/wear";
import { compoundMl, PACKING_STEP_NAMES, raiseAtHeel, secondsLeft, workingMinutes } from "./packing";
import { hotFitsInWords, isFullPrint, printInWords, SET_STEP_NAMES } from "./setSteps";

describe("packing", () => {
  test.each([
    [20, 4],
    [10, 8],
    [0, 16],
    [30, 2],
    [25, 4 / Math.SQRT2],
  ])("4 minutes at 20 degrees are at %i degrees %d", (celsius, minutes) => {
    expect(workingMinutes(4, celsius)).toBeCloseTo(minutes, 9);
  });

  test("100 by 80 mm, 12 mm deep are 96 ml: 100 are mixed; never rounded down", () => {
    const square = [
      [0, 0],
      [100, 0],
      [100, 80],
      [0, 80],
    ] as const;
    expect(compoundMl(square, 12)).toBe(100);
    expect(compoundMl([...square].reverse(), 12)).toBe(100);
    expect(compoundMl(square, 12.5)).toBe(100);
    expect(compoundMl(square, 12.6)).toBe(110);
    expect(compoundMl(square, 0)).toBe(0);
  });

  test("its ticks and those of the setting are kept side by side: no name stands for two", () => {
    const names = [...PACKING_STEP_NAMES, ...SET_STEP_NAMES];
    expect(new Set(names).size).toBe(names.length);
  });

  test("3 degrees over 130 mm are 6.8 mm at the heel", () => {
    expect(raiseAtHeel(3, 130)).toBeCloseTo(6.813, 3);
  });

  test("the time left runs by the clock, whatever the screen did meanwhile", () => {
    const mixed = Date.parse("2026-11-23T09:00:00Z");
    expect(secondsLeft(mixed, 4, mixed)).toBe(240);
    expect(secondsLeft(mixed, 4, mixed + 3 * 60_000)).toBe(60);
    expect(secondsLeft(mixed, 4, mixed + 5 * 60_000)).toBe(-60);
  });
});

describe("the print of a try", () => {
  test("says what to change before the next one, sector by sector", () => {
    const said = printInWords({ toe: "wall", quarterLateral: "gap", heelMedial: "sole" });
    expect(said).toHaveLength(2);
    expect(said[0]).toMatch(/^Gap at quarter, lateral: level the shoe/);
    expect(said[1]).toMatch(/^Sole touched at heel, medial: relieve/);
    expect(printInWords({ toe: "clip" })[0]).toContain("let it in");
    expect(printInWords({ heelLateral: "frog" })[0]).toContain("open the heels");
  });

  test("a floated place is to show a gap: it is no fault, and bearing there is one", () => {
    const round = Object.fromEntries(WEAR_SECTORS.map((sector) => [sector, "wall"])) as Record<
      string,
      "wall"
    >;
    const gap = { ...round, quarterMedial: "gap" as const };
    expect(printInWords(gap, ["quarterMedial"])).toEqual([]);
    expect(isFullPrint(gap, ["quarterMedial"])).toBe(true);
    expect(printInWords(round, ["quarterMedial"])[0]).toMatch(
      /^It bears at quarter, medial, which was floated/,
    );
    expect(isFullPrint(round, ["quarterMedial"])).toBe(false);
  });

  test("wall all round says nothing more; an unlooked place is not wall", () => {
    const wall = Object.fromEntries(WEAR_SECTORS.map((sector) => [sector, "wall"]));
    expect(printInWords(wall)).toEqual([]);
    expect(isFullPrint(wall)).toBe(true);
    expect(isFullPrint({ ...wall, toe: undefined })).toBe(false);
  });

  test("from the third hot fit on it is said what they cost", () => {
    expect(hotFitsInWords(1)).toBe("1 hot fit.");
    expect(hotFitsInWords(2)).toBe("2 hot fits.");
    expect(hotFitsInWords(3)).toContain("burns wall away");
  });
});
