import { describe, expect, test } from "@jest/globals";
import { roster } from "~core/cycle/roster";
import { comingHorses, type PlannedHorse } from "~core/visit/comingShoes";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { EXAMPLE_NAILS } from "~core/shoe/nails";
import { loadList } from "~core/rounds/loadList";
import { wordingFor } from "~core/foot/wording";
import { round } from "./round.fixture";

const TODAY = "2026-11-23";
const coming = comingHorses(roster(round.horses, round.yards, round.visits), TODAY)
  .filter(({ date }) => date === TODAY)
  .map((one): PlannedHorse => {
    const own = <T extends { horseId: string }>(rows: readonly T[]) =>
      rows.filter(({ horseId }) => horseId === one.horse.id);
    return {
      ...one,
      records: {
        readings: own(round.readings),
        trims: own(round.trims),
        watchings: own(round.watchings),
        looks: own(round.looks),
        photos: [],
        shoes: own(round.shoes),
      },
    };
  });

describe("what to load for the demo’s day", () => {
  const list = loadList(coming, DEFAULT_SETTINGS, round.forged, [], wordingFor(DEFAULT_SETTINGS));

  test("a shoe for every foot that is shod, each with its steel, by its horses", () => {
    const feet = coming.reduce((sum, { horse }) => sum + (horse.finish === "full set" ? 4 : 2), 0);
    expect(list.shoes.reduce((sum, { lengths }) => sum + lengths.length, 0)).toBe(feet);
    for (const { lengths, horses } of list.shoes) {
      expect(horses.length).toBeGreaterThan(0);
      for (const length of lengths) expect(length).toBeGreaterThan(200);
    }
  });

  test("nails as many as the shoes take, and one in eight to spare", () => {
    for (const { count, withSpares } of list.nails) expect(withSpares).toBe(count + Math.ceil(count / 8));
    expect(list.nails.reduce((sum, { count }) => sum + count, 0)).toBe(
      list.shoes.reduce(
        (sum, { words, lengths }) => sum + lengths.length * Number(/(\d+) nails/.exec(words)?.[1] ?? 0),
        0,
      ),
    );
  });

  test("each nail is of a size of the table that has its head; with another table, of that one; no size where none fits", () => {
    for (const { pattern, size } of list.nails) {
      const row = EXAMPLE_NAILS.find(({ name }) => name === size?.name);
      expect([row?.pattern, row?.lengthMm]).toEqual([pattern, size?.lengthMm]);
    }
    const [first] = list.nails;
    if (!first) throw new Error("the demo is shod today");
    const own = Array.from({ length: 400 }, (_, step) => ({
      name: `own ${step}`,
      pattern: first.pattern,
      lengthMm: 20 + step / 10,
    }));
    const mine = loadList(coming, DEFAULT_SETTINGS, round.forged, own, wordingFor(DEFAULT_SETTINGS)).nails;
    const sizes = mine.flatMap(({ pattern, size }) =>
      pattern === first.pattern ? [size?.lengthMm ?? 0] : [],
    );
    expect(sizes).toEqual([...sizes].sort((a, b) => a - b));
    expect(Math.min(...sizes)).toBeGreaterThan(20);
    // A thicker shoe takes a longer nail.
    const thicker = coming.map((one) => ({
      ...one,
      records: {
        ...one.records,
        shoes: one.records.shoes.map((shoe) =>
          shoe.spec ? { ...shoe, spec: { ...shoe.spec, thickness: shoe.spec.thickness + 4 } } : shoe,
        ),
      },
    }));
    const longer = loadList(thicker, DEFAULT_SETTINGS, round.forged, own, wordingFor(DEFAULT_SETTINGS)).nails;
    expect(longer.find(({ pattern }) => pattern === first.pattern)?.size?.lengthMm).toBeCloseTo(
      (sizes[0] ?? 0) + 4,
      6,
    );
    expect(
      mine.filter(({ pattern }) => pattern !== first.pattern).every(({ size }) => size === undefined),
    ).toBe(true);
  });

  test("nobody shod, nothing to load; a horse whose shoes were never noted is named", () => {
    const empty = { shoes: [], nails: [], pads: [], packings: [], studs: [], unknown: [] };
    expect(loadList([], DEFAULT_SETTINGS, [], [], wordingFor(DEFAULT_SETTINGS))).toEqual(empty);
    const [first] = coming;
    if (!first) throw new Error("the demo has horses today");
    const bare = { ...first, records: { ...first.records, shoes: [] } };
    expect(loadList([bare], DEFAULT_SETTINGS, [], [], wordingFor(DEFAULT_SETTINGS)).unknown).toEqual([
      first.horse.name,
    ]);
  });
});
