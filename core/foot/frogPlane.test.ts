import { expect, test } from "@jest/globals";
import { frogHangs, frogPlane } from "./frogPlane";

test("a frog 3 mm in under a 10 mm shoe: 13 mm of air, and a rasp touches it after 3 mm", () => {
  expect(frogPlane({ proud: -3, thickness: 10 })).toEqual({ proudAfter: -3, gap: 13, touchCut: 3 });
});

test("cutting the heels brings the frog nearer by as much; a pad lifts it", () => {
  expect(frogPlane({ proud: -3, thickness: 10, heelCut: 5 })).toEqual({
    proudAfter: 2,
    gap: 8,
    touchCut: 3,
  });
  expect(frogPlane({ proud: 2, thickness: 8, pad: 4 }).gap).toBe(10);
});

test("a frog past the shoe has no gap left, and touches the rasp at once; it hangs by its height", () => {
  expect(frogPlane({ proud: 14, thickness: 8 })).toEqual({ proudAfter: 14, gap: 0, touchCut: 0 });
  expect([frogHangs(9), frogHangs(3), frogHangs(-5)]).toEqual([true, false, false]);
});
