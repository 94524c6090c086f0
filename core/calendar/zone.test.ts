import { expect, test } from "@jest/globals";
import { zoneClock } from "./zone";

test.each([
  ["Europe/Berlin", [2026, 11, 24, 9, 0], "2026-11-24T08:00:00.000Z"],
  ["Europe/Berlin", [2026, 7, 24, 9, 0], "2026-07-24T07:00:00.000Z"],
  ["America/New_York", [2026, 3, 8, 12, 0], "2026-03-08T16:00:00.000Z"],
  ["Asia/Kolkata", [2026, 1, 1, 0, 15], "2025-12-31T18:45:00.000Z"],
  ["Pacific/Auckland", [2026, 12, 31, 23, 59], "2026-12-31T10:59:00.000Z"],
] as const)("clocks of %s at %j show it at %s", (zone, wall, instant) =>
  expect(zoneClock(zone)?.(wall).toISOString()).toBe(instant),
);

test("a zone that is not known has no clock", () => expect(zoneClock("Made/Up")).toBeUndefined());
