import { expect, test } from "@jest/globals";
import { wordingFor } from "../foot/wording";
import { records } from "../record/records.fixture";
import { DEFAULT_SETTINGS } from "../record/settings";
import { TABLE_NAMES } from "../record/tables";
import type { Clash } from "./row";
import { placeName, rowName, sayClash, TABLE_WORDS } from "./words";

const wording = wordingFor(DEFAULT_SETTINGS);
const inches = wordingFor({ ...DEFAULT_SETTINGS, unit: "in" });
const named = records();

test("a row is named by horse, foot, moment and day; what has none of them by its kind", () => {
  expect(rowName("readings", named.readings[0], named, wording)).toBe(
    "Dunlin, left fore, before the trim, 2 Nov 2026",
  );
  expect(rowName("horses", named.horses[0], named, wording)).toBe("Dunlin");
  expect(rowName("settings", { id: "settings" }, named, wording)).toBe("Settings");
  expect(rowName("visits", undefined, named, wording)).toBe("Visit");
  for (const table of TABLE_NAMES) expect(TABLE_WORDS[table][0].length).toBeGreaterThan(2);
});

test("a place is named as the user reads it", () => {
  expect(placeName("readings", "values.heelHeightMedial", wording)).toBe("heel height, inside");
  expect(placeName("shoes", "spec.fullToeMedial", wording)).toBe("full toe inside");
  expect(placeName("visits", "notes.watch", wording)).toBe("notes: watch");
  expect(placeName("horses", "massKg", wording)).toBe("mass kg");
  expect(placeName("looks", "finds.0c5b1f0e-9a41-4d2c-8f5e-1d2c3b4a5f6e", wording)).toBe("finds");
});

test("a clash is told in the user's own unit, with the device and its clock", () => {
  const clash: Clash = {
    key: "k",
    table: "readings",
    id: "v.LF.before",
    place: "values.toeLength",
    here: { value: { value: 96, source: "rule" }, stamp: ["a", 3, 1000] },
    there: { value: { value: 98, source: "rule" }, stamp: undefined },
    usual: "here",
  };
  const say = (own: typeof wording) =>
    sayClash(clash, { named, devices: { a: "Laptop" }, wording: own }, () => named.readings[0]);
  expect(say(wording)).toEqual({
    key: "k",
    of: "Dunlin, left fore, before the trim, 2 Nov 2026",
    what: "toe length",
    here: { value: "96 mm", device: "Laptop", at: 1000 },
    there: { value: "98 mm", device: undefined, at: undefined },
    usual: "here",
  });
  expect(say(inches).here.value).toMatch(/in$/);
  const whole = sayClash(
    { ...clash, place: undefined as never, there: { value: undefined, stamp: ["b", 1, 5] } },
    { named, devices: {}, wording },
    () => undefined,
  );
  expect([whole.what, whole.there.value, whole.there.device]).toEqual([
    "the whole reading",
    "taken away",
    "b",
  ]);
});
