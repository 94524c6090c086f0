import { expect, test } from "@jest/globals";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { counted, everyWeeks } from "./counted";

test("one of a thing is told as one, none and many as many", () => {
  expect([0, 1, 2, 43].map((count) => counted(count, "horse"))).toEqual([
    "0 horses",
    "1 horse",
    "2 horses",
    "43 horses",
  ]);
  expect([1, 3].map((count) => counted(count, "foot", "feet"))).toEqual(["1 foot", "3 feet"]);
});

test("an interval of one week is every week", () => {
  expect([1, 6].map(everyWeeks)).toEqual(["every week", "every 6 weeks"]);
});

/** Our own sources below a folder, tests left out. */
const sourcesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sourcesIn(path);
    return /\.tsx?$/.test(entry.name) && !/\.(test|fixture)\.tsx?$/.test(entry.name) ? [path] : [];
  });

test("no source makes its own plural of a count", () => {
  // A count that stands before its word; a word without one ("the columns that are missing") is another matter.
  const ownPlural = /\b([\w.]+)\} ?\$?\{\1 === 1 \? "(\w+)" : "\2(s|es)"/;
  const found = ["core", "calc", "app", "demo"]
    .flatMap(sourcesIn)
    .filter((path) => path !== "core/units/counted.ts" && ownPlural.test(readFileSync(path, "utf8")));
  expect(found).toEqual([]);
});
