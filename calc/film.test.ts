import { describe, expect, test } from "@jest/globals";
import { answer } from "./answer";

const points = {
  groundA: [0, 400],
  groundB: [480, 400],
  tip: [360, 280],
  wing: [160, 260],
  faceHigh: [270, 160],
  wallHigh: [320, 140],
  wallLow: [415, 275],
  extensor: [250, 130],
  hairline: [240, 100],
  breakover: [440, 400],
  heel: [20, 400],
  joint: [
    [150, 140],
    [190, 190],
    [240, 180],
  ],
};
const film = (input: object) => answer(["radiograph"], JSON.stringify(input));

describe("calc radiograph", () => {
  test("measures in millimetres by the scale, the centre in the picture's pixels", () => {
    const out = JSON.parse(film({ mmPerPx: 0.25, points, footLength: 120 }).stdout) as Record<string, number>;
    expect(out["tipToGround"]).toBeCloseTo(30, 9);
    expect(out["palmarAngle"]).toBeCloseTo((Math.atan2(20, 200) * 180) / Math.PI, 9);
    expect(out["coronetExtensor"]).toBeCloseTo(7.5, 9);
    expect((out["front"] ?? 0) + (out["support"] ?? 0)).toBeCloseTo(105, 6);
    expect(out["leverIndex"]).toBeCloseTo(((out["front"] ?? 0) * 100) / 120, 9);
    expect(out).not.toHaveProperty("boneRotation");
  });

  test("a film without scale, a tip behind its wing, a joint of two points: each at its place", () => {
    const paths = (input: object) => {
      const { stdout, stderr, exitCode } = film(input);
      expect([stdout, exitCode]).toEqual(["", 2]);
      return (JSON.parse(stderr) as { error: { issues: { path: string }[] } }).error.issues.map(
        ({ path }) => path,
      );
    };
    expect(paths({ mmPerPx: 0, points })).toEqual(["mmPerPx"]);
    expect(paths({ mmPerPx: 0.25, points: { ...points, tip: [100, 280] } })).toEqual(["points.tip"]);
    expect(paths({ mmPerPx: 0.25, points: { ...points, joint: points.joint.slice(1) } })).toEqual([
      "points.joint",
    ]);
  });
});
