import { describe, expect, test } from "@jest/globals";
import { WEAR_SECTORS } from "../foot/wear";
import {
  batchForTwo,
  bearsMinutes,
  compoundVolume,
  dayForCompound,
  PACKING_ROADS,
  PACKING_STEP_NAMES,
  raiseAtHeel,
  secondsLeft,
  toMix,
  workingMinutes,
} from "./packing";
import { hotFitsInWords, isFullPrint, printInWords, SET_STEP_NAMES, type PlatePrint } from "./setSteps";

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

  const square = [
    [0, 0],
    [100, 0],
    [100, 80],
    [0, 80],
  ] as const;
  const space = { outline: square, k: 1, frogArea: 2000, under: 0 };

  test("by this foot's own depths: the mean vault over the sole, and over the frog what it stands short of the plane", () => {
    // (8000 - 2000) x 6 mm of vault, and 2000 x 2 mm over the frog
    expect(compoundVolume({ ...space, sulcusDepthMm: 12, frogProudMm: -2 })).toBeCloseTo(40, 9);
    // A frog at the plane takes none; one past it takes no less than none.
    expect(compoundVolume({ ...space, sulcusDepthMm: 12, frogProudMm: 4 })).toBeCloseTo(36, 9);
    // Without a pad it fills the shoe's own height as well.
    expect(compoundVolume({ ...space, sulcusDepthMm: 12, frogProudMm: -2, under: 10 })).toBeCloseTo(120, 9);
    expect(compoundVolume({ ...space, sulcusDepthMm: 20, frogProudMm: -2 })).toBeGreaterThan(
      compoundVolume({ ...space, sulcusDepthMm: 8, frogProudMm: -2 }),
    );
    expect(compoundVolume({ ...space, outline: [...square].reverse() })).toBe(compoundVolume(space));
  });

  test("what is mixed is rounded up, never down", () => {
    expect([0, 0.1, 96, 100, 100.8].map(toMix)).toEqual([0, 10, 100, 100, 110]);
  });

  test("it bears after twice its working time unless the label says otherwise, later on a cold day", () => {
    expect(bearsMinutes({ minutesAt20: 4 }, 20)).toBe(8);
    expect(bearsMinutes({ minutesAt20: 4, bearsAt20: 6 }, 10)).toBe(12);
    expect(dayForCompound(3)).toContain("cold day");
    expect(dayForCompound(31)).toContain("warm day");
    expect(dayForCompound(15)).toBe("");
  });

  test("one batch serves two feet only while there is time to fill both", () => {
    expect([batchForTwo(4), batchForTwo(2.9)]).toEqual([true, false]);
  });

  test("each road has its own steps, and both begin with a clean frog", () => {
    expect(PACKING_ROADS.bedded).not.toContain("nozzle");
    expect(PACKING_ROADS.injected).not.toContain("rest");
    for (const road of Object.values(PACKING_ROADS)) expect(road[0]).toBe("clean");
    expect([...new Set(Object.values(PACKING_ROADS).flat())].sort()).toEqual([...PACKING_STEP_NAMES].sort());
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
    expect(said[0]).toMatch(/^Gap at lateral quarter: level the shoe/);
    expect(said[1]).toMatch(/^Sole touched at medial heel: relieve/);
    expect(printInWords({ toe: "clip" })[0]).toContain("let it in");
    expect(printInWords({ heelLateral: "frog" })[0]).toContain("open the heels");
  });

  test("a place that is to bear nothing is to show a gap: it is no fault, and bearing there is one", () => {
    const round = Object.fromEntries(WEAR_SECTORS.map((sector) => [sector, "wall"])) as Record<
      string,
      "wall"
    >;
    const gap = { ...round, quarterMedial: "gap" as const };
    const spared = { gaps: ["quarterMedial"] as const };
    expect(printInWords(gap, spared)).toEqual([]);
    expect(isFullPrint(gap, spared)).toBe(true);
    expect(printInWords(round, spared)[0]).toMatch(/^It bears at medial quarter, which is to bear nothing/);
    expect(isFullPrint(round, spared)).toBe(false);
  });

  test("a plate is to meet the frog: standing off and pressing are both said, and frog is no fault then", () => {
    const wall = Object.fromEntries(WEAR_SECTORS.map((sector) => [sector, "wall"]));
    const plate = (met: PlatePrint | undefined) => ({ plate: true, met });
    expect(isFullPrint(wall, plate("meets"))).toBe(true);
    expect(isFullPrint(wall, plate(undefined))).toBe(false);
    expect(printInWords(wall, plate("stands off"))[0]).toMatch(/^The plate stands off the frog/);
    expect(printInWords(wall, plate("presses"))[0]).toMatch(/^The plate presses on the frog/);
    expect(printInWords({ heelLateral: "frog" }, plate("meets"))).toEqual([]);
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
