import { describe, expect, test } from "@jest/globals";
import { heardModel } from "./model";

describe("a sound as columns", () => {
  test("a single loud step of two milliseconds still stands in its column", () => {
    const envelope = new Float32Array(5000);
    envelope[1234] = 0.9;
    const { columns, seconds } = heardModel(envelope, 0.002);
    expect(seconds).toBeCloseTo(10, 9);
    expect(columns).toHaveLength(800);
    expect(Math.max(...columns)).toBeCloseTo(0.9, 6);
    expect(columns.findIndex((one) => one > 0)).toBe(Math.floor((1234 / 5000) * 800));
  });

  test("a sound of a moment has a column", () => {
    expect(heardModel(new Float32Array([0.5]), 0.002).columns).toEqual([0.5]);
  });
});
