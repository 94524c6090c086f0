import { expect, test } from "@jest/globals";
import * as bounds from "./bounds";
import * as due from "./due";
import * as forge from "./forge";
import * as growth from "./growth";
import * as trim from "./trim";

const isEntry = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && "value" in value && "unit" in value;

function entries(value: unknown, path: string): [string, Record<string, unknown>][] {
  if (isEntry(value)) return [[path, value]];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => entries(inner, `${path}.${key}`));
}

test("every constant from the trade or the literature says its source, what it is valid for and how sure it is", () => {
  const all = entries({ ...bounds, ...due, ...forge, ...growth, ...trim }, "constants");
  expect(all.length).toBeGreaterThan(20);
  for (const [path, entry] of all) {
    expect([path, String(entry["source"]).length > 8]).toEqual([path, true]);
    expect([path, String(entry["validFor"]).length > 3]).toEqual([path, true]);
    expect(["published", "common practice", "assumption"]).toContain(entry["sure"]);
  }
});
