import { describe, expect, test } from "@jest/globals";
import { ordinaryFoot } from "../foot/parametric/fit";
import { aimAt, sceneOf, truthInPicture } from "../simulator/scene";
import { renderScene } from "../simulator/render";
import type { Conditions } from "../simulator/conditions";
import type { Shot } from "../simulator/camera";
import { findCard } from "./findCard";
import { greyOf } from "./grey";
import { FAULT_WORDS, judgeFrame, STILL_FRAMES, stillFrames, type LiveFrame } from "./liveFrame";

const SHOT: Shot = {
  slantDeg: 4,
  azimuthDeg: 20,
  rollDeg: 2,
  distanceMm: 1400,
  focal35: 104,
  width: 800,
  height: 600,
};
const ZOOM = 4;

function frame(shot: Partial<Shot> = {}, conditions: Partial<Conditions> = {}, zoom = ZOOM): LiveFrame {
  const scene = sceneOf(ordinaryFoot("RF", { kind: "horse", massKg: 500 }), "sole");
  const camera = aimAt(scene, { ...SHOT, ...shot });
  const grey = greyOf(renderScene(scene, camera, 4, conditions), camera.width, camera.height);
  return judgeFrame(grey, findCard(grey), zoom);
}

describe("a live frame", () => {
  test("a square, light, still one from far enough has nothing wrong; slant and distance are true", () => {
    const { faults, slantDeg, distanceMm } = frame();
    expect(faults).toEqual([]);
    expect(Math.abs((slantDeg ?? 0) - 4)).toBeLessThan(1);
    expect(Math.abs((distanceMm ?? 0) / 1400 - 1)).toBeLessThan(0.05);
  });

  test("each fault is told, and only it", () => {
    expect(frame({}, { card: false }).faults).toEqual(["no-card"]);
    expect(frame({ slantDeg: 17 }).faults).toEqual(["slanted"]);
    // So near the card lies far off the line of sight, and is slanted too.
    expect(frame({ distanceMm: 350, focal35: 26 }, {}, 1).faults).toEqual(["near", "slanted"]);
    expect(frame({ focal35: 50 }, {}, 50 / 26).faults).toEqual(["small"]);
    expect(frame({}, { light: 0.25 }).faults).toContain("dark");
    expect(frame({}, { blurPx: 6 }).faults).toContain("blurred");
  });

  test("every fault has its words", () => {
    for (const words of Object.values(FAULT_WORDS)) expect(words).toMatch(/^[A-Z].*\.$/);
  });

  test("the shutter waits for good frames in a row that do not move", () => {
    const good = frame();
    let [count, before]: [number, LiveFrame | undefined] = [0, undefined];
    for (let at = 0; at < STILL_FRAMES; at++) [count, before] = [stillFrames(good, before, count), good];
    expect(count).toBe(STILL_FRAMES);
    expect(stillFrames({ ...good, faults: ["dark"] }, good, count)).toBe(0);
    const moved = { ...good, corners: good.corners?.map(([x, y]) => [x + 30, y]) } as unknown as LiveFrame;
    expect(stillFrames(moved, good, count)).toBe(1);
  });
});

test("truth of the frame's corners is kept by the finder that the live view uses", () => {
  const scene = sceneOf(ordinaryFoot("RF", { kind: "horse", massKg: 500 }), "sole");
  const camera = aimAt(scene, SHOT);
  const { scale } = truthInPicture(scene, camera, true);
  const corners = frame().corners;
  for (const [at, corner] of (scale.kind === "card" ? scale.corners : []).entries())
    expect(
      Math.hypot(corner[0] - (corners?.[at]?.[0] ?? 0), corner[1] - (corners?.[at]?.[1] ?? 0)),
    ).toBeLessThan(0.5);
});
