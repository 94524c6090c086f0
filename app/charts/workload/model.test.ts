import { describe, expect, test } from "@jest/globals";
import { addDays } from "~core/calendar/date";
import type { WorkWeek } from "~core/cycle/workload";
import { workloadModel } from "./model";

const week = (index: number, more: Partial<WorkWeek>): WorkWeek => ({
  monday: addDays("2026-11-23", 7 * index),
  horses: 1,
  minutes: 60,
  have: 120,
  season: 0.9,
  behind: 0,
  ...more,
});

describe("the half year as bars", () => {
  test("a bar stands as high as its hours, to the scale of the ticks; more than there is time for is marked", () => {
    const { bars, base, ticks } = workloadModel([week(0, {}), week(1, { minutes: 180 })], 400, 170);
    const [one, three] = bars;
    expect((base - (three?.top ?? 0)) / (base - (one?.top ?? 0))).toBeCloseTo(3, 9);
    expect([one?.over, three?.over]).toEqual([false, true]);
    expect(ticks[0]).toEqual({ hours: 0, y: base });
    expect(one?.haveY).toBeCloseTo(base - 2 * (base - (one?.top ?? 0)), 9);
  });

  test("weeks in which horn grows faster are one stretch as long as they hang together", () => {
    const seasons = [0.9, 1.1, 1.2, 0.9, 1.05];
    const { growing, bars } = workloadModel(
      seasons.map((season, index) => week(index, { season })),
      500,
      170,
    );
    expect(growing).toHaveLength(2);
    expect(growing[0]?.from).toBe(bars[1]?.x);
    expect(growing[0]?.to).toBe((bars[2]?.x ?? 0) + (bars[2]?.width ?? 0));
  });

  test("weeks without any work or hours are drawn flat, not broken", () => {
    const { bars, base } = workloadModel([week(0, { minutes: 0, have: 0 })], 300, 170);
    expect(bars[0]).toMatchObject({ top: base, haveY: base, over: false });
    expect(workloadModel([], 300, 170).bars).toEqual([]);
  });
});
