import { describe, expect, test } from "@jest/globals";
import type { CycleMoment, CycleRun } from "~core/trim/cycles";
import { cyclesModel } from "./model";

const moment = (day: number, change: Partial<CycleMoment> = {}): CycleMoment => ({
  day,
  at: "before",
  dorsalAngle: 50,
  axis: 0,
  frontShare: 0.52,
  toeLength: 86,
  removed: 0,
  ...change,
});
const run = (everyWeeks: number, moments: CycleMoment[]) => ({ everyWeeks, moments }) as unknown as CycleRun;
const RUNS = [
  run(2, [moment(0), moment(0, { toeLength: 80 }), moment(182, { toeLength: 84 })]),
  run(8, [moment(0), moment(0, { toeLength: 80 }), moment(182, { toeLength: 96, removed: 30 })]),
];

describe("cyclesModel", () => {
  test("one line an interval through its moments, the chosen one last and marked", () => {
    const model = cyclesModel(RUNS, "toeLength", 2);
    expect(model.lines.map(({ everyWeeks, chosen }) => [everyWeeks, chosen])).toEqual([
      [8, false],
      [2, true],
    ]);
    expect(model.lines[1]?.points).toEqual([
      [0, 86],
      [0, 80],
      [182, 84],
    ]);
    expect(model.days).toBe(182);
  });

  test("the front half is told in percent; horn taken begins at nought", () => {
    expect(cyclesModel(RUNS, "frontShare", 2).lines[0]?.points[0]?.[1]).toBeCloseTo(52, 12);
    expect(cyclesModel(RUNS, "removed", 2).range[0]).toBe(0);
  });

  test("every point and the aim lie inside the range", () => {
    const { range, lines } = cyclesModel(RUNS, "toeLength", 8, 110);
    const drawn = [110, ...lines.flatMap(({ points }) => points.map(([, value]) => value))];
    expect(Math.min(...drawn)).toBeGreaterThan(range[0]);
    expect(Math.max(...drawn)).toBeLessThan(range[1]);
  });

  test("nothing to draw is an empty chart, not an error", () => {
    expect(cyclesModel([], "dorsalAngle", 4)).toMatchObject({ lines: [], days: 0 });
  });
});
