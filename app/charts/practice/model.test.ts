import { expect, test } from "@jest/globals";
import { practiceModel } from "./model";

test("tries are numbered from the first one ever, and only the latest sixty are drawn", () => {
  const progress = Array.from({ length: 75 }, (_, index) => ({
    at: "",
    score: index,
    running: index,
    level: 1 + (index % 9),
  }));
  const { points } = practiceModel(progress);
  expect([points.length, points[0]?.number, points.at(-1)?.number]).toEqual([60, 16, 75]);
  expect(points[0]).toEqual({ number: 16, score: 15, running: 15, level: 7 });
  expect(practiceModel([]).points).toEqual([]);
});
