import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { frameAt, frameRate, frameTime, stepFrames, USUAL_FPS } from "./frames";

describe("a clip frame by frame", () => {
  test("a step on and a step back is the same frame; each step is one frame", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 240 }),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        (fps, time) => {
          const here = frameAt(time, fps);
          const on = stepFrames(time, 1, fps, 10);
          expect(frameAt(on, fps)).toBe(here + 1);
          expect(frameAt(stepFrames(on, -1, fps, 10), fps)).toBe(here);
        },
      ),
    );
  });

  test("it stops at both ends: the first frame and the last whole one", () => {
    expect(frameAt(stepFrames(0, -1, 30, 2), 30)).toBe(0);
    expect(frameAt(stepFrames(1.99, 5, 30, 2), 30)).toBe(59);
    expect(frameTime(9999, 30, 2)).toBeLessThan(2);
  });

  test("a moment just before the edge of a frame belongs to the frame that begins there", () => {
    expect(frameAt(0.0999999, 30)).toBe(3);
  });

  test("frames a second by the middle of what was shown: dropped frames do not lower it", () => {
    expect(frameRate([0, 1 / 60, 2 / 60, 4 / 60, 5 / 60, 6 / 60])).toBe(60);
    expect(frameRate([0, 0.04])).toBe(USUAL_FPS);
    expect(frameRate([])).toBe(USUAL_FPS);
    expect(frameRate([1, 1, 1, 1, 1.04, 1.08, 1.12])).toBe(25);
  });
});
