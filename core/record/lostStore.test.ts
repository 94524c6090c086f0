import { describe, expect, test } from "@jest/globals";
import { heldNow, isLost, lostInWords, type Held } from "./lostStore";

const MONDAY = Date.parse("2026-11-23T10:00:00Z");
const held: Held = { device: "old", horses: 43, at: MONDAY };

describe("a store that is gone", () => {
  test("held horses, is empty, and was filled anew: lost", () => {
    expect(isLost(held, { device: "new", horses: 0 })).toBe(true);
  });

  test("no loss: nothing was ever held, its user took the horses out, or a backup was brought in", () => {
    expect(isLost(undefined, { device: "new", horses: 0 })).toBe(false);
    expect(isLost(held, { device: "old", horses: 0 })).toBe(false);
    expect(isLost(held, { device: "new", horses: 2 })).toBe(false);
  });

  test("what it held stays noted while it is lost, and is noted anew once horses are there", () => {
    const found = { device: "new", at: MONDAY + 1 };
    expect(heldNow(held, { ...found, horses: 0 })).toBe(held);
    expect(heldNow(held, { ...found, horses: 5 })).toEqual({ ...found, horses: 5 });
    expect(heldNow(held, { ...found, device: "old", horses: 0 })).toBeUndefined();
    expect(heldNow(undefined, { ...found, horses: 0 })).toBeUndefined();
  });
});

test("it is said what stood here, when, and which backup brings it back", () => {
  const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);
  expect(lostInWords(held, day).lost).toBe(
    "On 2026-11-23 43 horses stood here. A browser throws a store away that it finds damaged, and does not ask.",
  );
  expect(lostInWords({ ...held, horses: 1 }, day).lost).toContain("one horse stood");
  expect(lostInWords(held, day).again).toMatch(/^No backup was made here/);
  const backup = { at: MONDAY, folder: true };
  expect(lostInWords({ ...held, backup }, day).again).toContain(
    "was made on 2026-11-23, into the folder that you chose",
  );
  expect(lostInWords({ ...held, backup: { ...backup, folder: false } }, day).again).toContain(
    "made on 2026-11-23: bring it in",
  );
});
