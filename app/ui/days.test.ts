import { expect, test } from "@jest/globals";
import { longDay, momentOf, shortDay } from "./days";

test.each(["not a day", "2026-99-99", ""])("%j is told as no day, never as an invalid one", (text) => {
  for (const said of [longDay(text), shortDay(text), momentOf(Date.parse(text))])
    expect(said).toBe("a day that is not told");
});

test("a day is told with its year where it is not this one", () =>
  expect(shortDay("2001-02-03")).toBe("3 Feb 2001"));
