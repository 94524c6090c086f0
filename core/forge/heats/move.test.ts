import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { movedBy, splitAt } from "./move";
import type { HeatPlan } from "./operation";

const heat = (...ops: string[]) => ({ kind: "heat" as const, ops });
const cold = (...ops: string[]) => ({ kind: "cold" as const, ops });
const plan: HeatPlan = [cold("mark"), heat("upset", "crease"), heat("bend"), cold("file")];

describe("moving an operation", () => {
  test("inside its heat it changes places with its neighbour", () => {
    expect(movedBy(plan, "crease", -1)[1]).toEqual(heat("crease", "upset"));
  });

  test("at the edge it goes over into the next heat; an emptied heat is gone", () => {
    expect(movedBy(plan, "crease", 1)).toEqual([
      cold("mark"),
      heat("upset"),
      heat("crease", "bend"),
      cold("file"),
    ]);
    expect(movedBy(plan, "bend", -1)).toEqual([cold("mark"), heat("upset", "crease", "bend"), cold("file")]);
  });

  test("past cold work it stands in a heat of its own, and cold work past a heat stays cold", () => {
    expect(movedBy(plan, "bend", 1)).toEqual([
      cold("mark"),
      heat("upset", "crease"),
      cold("file"),
      heat("bend"),
    ]);
    expect(movedBy(plan, "mark", 1)).toEqual([
      heat("upset", "crease"),
      cold("mark"),
      heat("bend"),
      cold("file"),
    ]);
  });

  test("at either end of the plan, and for what is in none, nothing moves", () => {
    expect(movedBy(plan, "mark", -1)).toEqual(plan);
    expect(movedBy(plan, "file", 1)).toEqual(plan);
    expect(movedBy(plan, "weld", 1)).toEqual(plan);
  });

  test("a new heat begins at an operation; at the first of a heat it already does", () => {
    expect(splitAt(plan, "crease")).toEqual([
      cold("mark"),
      heat("upset"),
      heat("crease"),
      heat("bend"),
      cold("file"),
    ]);
    expect(splitAt(plan, "upset")).toEqual(plan);
  });

  test("whatever is moved, nothing is lost and nothing doubled (property)", () => {
    const move = fc.tuple(
      fc.constantFrom("mark", "upset", "crease", "bend", "file"),
      fc.constantFrom(-1, 1, 0),
    );
    fc.assert(
      fc.property(fc.array(move, { maxLength: 20 }), (moves) => {
        const moved = moves.reduce<HeatPlan>(
          (now, [id, by]) => (by === 0 ? splitAt(now, id) : movedBy(now, id, by as -1 | 1)),
          plan,
        );
        expect(moved.flatMap(({ ops }) => ops).sort()).toEqual(["bend", "crease", "file", "mark", "upset"]);
        expect(moved.every(({ ops }) => ops.length > 0)).toBe(true);
      }),
    );
  });
});
