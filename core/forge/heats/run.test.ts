import { describe, expect, test } from "@jest/globals";
import type { HeatPlan } from "./operation";
import { againRun, begunRun, runCounts, steppedRun, type HeatRun } from "./run";

const plan: HeatPlan = [
  { kind: "cold", ops: ["mark"] },
  { kind: "heat", ops: ["upset"] },
  { kind: "heat", ops: ["bend"] },
];
const at = (seconds: number) => new Date(Date.UTC(2026, 10, 23, 8, 0, seconds)).toISOString();
const on = (run: HeatRun | undefined, by: 1 | -1, seconds: number): HeatRun => {
  const next = run && steppedRun(run, plan, by, at(seconds));
  if (!next) throw new Error("no such step");
  return next;
};

describe("the running sheet", () => {
  test("books each step's time, counts each heat once, and stops at the end", () => {
    let run = begunRun(at(0));
    run = on(run, 1, 60);
    run = on(run, 1, 150);
    run = on(run, 1, 250);
    expect(run).toEqual({
      at: 3,
      taken: { "0": 1, "1": 1, "2": 1 },
      seconds: { "0": 60, "1": 90, "2": 100 },
    });
    expect(runCounts(run, plan)).toEqual({ planned: 2, taken: 2, seconds: 250 });
  });

  test("once more in the fire is one heat more of the same step, its time goes on", () => {
    let run = on(begunRun(at(0)), 1, 10);
    run = againRun(run, at(70));
    run = on(run, 1, 100);
    expect([run.taken["1"], run.seconds["1"], runCounts(run, plan).taken]).toEqual([2, 90, 3]);
  });

  test("going back and on again counts no heat, and loses no time", () => {
    let run = on(on(begunRun(at(0)), 1, 10), 1, 20);
    run = on(run, -1, 25);
    run = on(run, 1, 30);
    expect([run.taken, run.seconds]).toEqual([
      { "0": 1, "1": 1, "2": 1 },
      { "0": 10, "1": 15, "2": 5 },
    ]);
    run = on(on(run, 1, 40), -1, 90);
    expect(run.seconds["2"]).toBe(15);
  });

  test("there is nothing before the first step or after the end", () => {
    expect(steppedRun(begunRun(at(0)), plan, -1, at(1))).toBeUndefined();
    const over = on(on(on(begunRun(at(0)), 1, 1), 1, 2), 1, 3);
    expect(steppedRun(over, plan, 1, at(4))).toBeUndefined();
  });

  test("a clock that was put back takes no time away", () => {
    expect(on(begunRun(at(50)), 1, 10).seconds).toEqual({ "0": 0 });
  });
});
