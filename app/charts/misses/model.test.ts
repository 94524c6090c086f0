import { describe, expect, test } from "@jest/globals";
import { missesModel } from "./model";

const step = (miss: number, corrected: number, day: number) => ({
  date: `2026-11-${String(day).padStart(2, "0")}`,
  miss,
  corrected,
  left: miss - corrected,
});

describe("missesModel", () => {
  test("numbers the shoes and keeps zero and every miss inside the range", () => {
    const model = missesModel([step(8, 0, 1), step(-3, 2, 2)]);
    expect(model.shoes.map(({ number, left }) => [number, left])).toEqual([
      [1, 8],
      [2, -5],
    ]);
    expect(model.range).toEqual([-7, 10]);
    expect(missesModel([]).range).toEqual([-2, 2]);
  });

  test("from six shoes on the first third is held against the last", () => {
    const left = [9, 6, 4, 3, 2, 1];
    expect(missesModel(left.slice(1).map((mm, day) => step(mm, 0, day + 1))).smaller).toBeUndefined();
    expect(missesModel(left.map((mm, day) => step(mm, 0, day + 1))).smaller).toEqual({
      first: 7.5,
      last: 1.5,
    });
  });
});
