import { describe, expect, test } from "@jest/globals";
import { roster } from "~core/cycle/roster";
import { comingHorses, type PlannedHorse } from "~core/forge/planned";
import { DEFAULT_SETTINGS } from "~core/record/settings";
import { loadList } from "~core/rounds/loadList";
import { wordingFor } from "~core/units/wording";
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
  const list = loadList(coming, DEFAULT_SETTINGS, round.forged, wordingFor(DEFAULT_SETTINGS));

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

  test("nobody shod, nothing to load; a horse whose shoes were never noted is named", () => {
    const empty = { shoes: [], nails: [], pads: [], packings: [], studs: [], unknown: [] };
    expect(loadList([], DEFAULT_SETTINGS, [], wordingFor(DEFAULT_SETTINGS))).toEqual(empty);
    const [first] = coming;
    if (!first) throw new Error("the demo has horses today");
    const bare = { ...first, records: { ...first.records, shoes: [] } };
    expect(loadList([bare], DEFAULT_SETTINGS, [], wordingFor(DEFAULT_SETTINGS)).unknown).toEqual([
      first.horse.name,
    ]);
  });
});
