import { expect, test } from "@jest/globals";
import { ARRIVAL_TAP_NAMES, ARRIVAL_TAPS, arrivalEffects, capAfterArrival, type Arrival } from "./arrival";

test("what is as it should be moves nothing; nothing asked moves nothing", () => {
  expect(arrivalEffects()).toEqual([]);
  const usual = Object.fromEntries(ARRIVAL_TAP_NAMES.map((tap) => [tap, ARRIVAL_TAPS[tap][0]])) as Arrival;
  expect(arrivalEffects(usual)).toEqual([]);
});

test("every other tap moves a window, a caution or a mark, and says so", () => {
  for (const tap of ARRIVAL_TAP_NAMES)
    for (const value of ARRIVAL_TAPS[tap].slice(1)) {
      const [effect] = arrivalEffects({ [tap]: value } as Arrival);
      expect([tap, effect?.tap]).toEqual([tap, tap]);
      expect(effect?.says).toMatch(/\.$/);
    }
});

test("horn that stood wet marks the readings, dry horn is a caution, ordinary horn nothing", () => {
  expect(arrivalEffects({}, "wet")).toMatchObject([{ tap: "horn", moves: "mark" }]);
  expect(arrivalEffects({}, "dry")).toMatchObject([{ tap: "horn", moves: "caution" }]);
  expect(arrivalEffects({}, "ordinary")).toEqual([]);
});

test("a known metabolic illness takes a week off the interval, never below two", () => {
  expect(capAfterArrival(6, { metabolic: "known illness" })).toBe(5);
  expect(capAfterArrival(2, { metabolic: "known illness" })).toBe(2);
  expect(capAfterArrival(1, { metabolic: "known illness" })).toBe(1);
  expect(capAfterArrival(6, { metabolic: "none known" })).toBe(6);
});
