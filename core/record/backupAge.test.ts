import { expect, test } from "@jest/globals";
import { backupWanted } from "./backupAge";

test("nothing is asked while nothing was done, or little of it lately", () => {
  expect(backupWanted({ changes: 0, visits: 0, days: 400 })).toBeUndefined();
  expect(backupWanted({ changes: 40, visits: 3, days: 2 })).toBeUndefined();
  // Somebody who only looks round is left alone.
  expect(backupWanted({ changes: 12, visits: 0 })).toBeUndefined();
});

test("by age, by what is at stake, and where there never was one, with what stands in this browser alone", () => {
  expect(backupWanted({ changes: 40, visits: 1 })).toBe(
    "Never backed up: 1 signed visit stands in this browser alone.",
  );
  expect(backupWanted({ changes: 9, visits: 0, days: 7 })).toBe(
    "Last backed up 7 days ago: since then 9 changes stand in this browser alone.",
  );
  expect(backupWanted({ changes: 90, visits: 8, days: 1 })).toBe(
    "Last backed up 1 day ago: since then 8 signed visits stand in this browser alone.",
  );
  expect(backupWanted({ changes: 90, visits: 9, days: 0 })).toMatch(/^Backed up today: since then 9/);
});
