import { describe, expect, test } from "@jest/globals";
import { radians } from "../../math/angle";
import { readLateral } from "../lateral";
import { ordinaryFoot } from "../parametric/fit";
import { sideLandmarks } from "../parametric/landmarks";
import { rearByHand, sideByHand } from "./byHand";

const FOOT = {
  ...ordinaryFoot("LF", { kind: "horse", massKg: 500 }),
  dishDeg: 5,
  dorsalAngleDeg: 48,
  heelAngleDeg: 41,
  pasternAngleDeg: 50,
};
const gauge = (value: number) => ({ value, source: "gauge" as const });

describe("a measure by hand is the same as by picture, on one foot of known truth", () => {
  // A picture has its y downwards.
  const points = Object.fromEntries(
    Object.entries(sideLandmarks(FOOT, "mean")).map(([mark, [y, z]]) => [mark, [y, -z]]),
  ) as unknown as Parameters<typeof readLateral>[0];
  const picture = readLateral(points);
  if (!picture.ok) throw new Error("the foot's own marks are read");

  test("dish: upper gauge minus lower gauge", () => {
    const side = sideByHand(
      { dorsalAngle: gauge(FOOT.dorsalAngleDeg) },
      { lowerWallAngle: gauge(FOOT.dorsalAngleDeg - FOOT.dishDeg) },
    );
    expect(side.dish?.value).toBeCloseTo(picture.value.dish, 9);
  });

  test("pastern line: down the front of the pastern, from the toe on the ground", () => {
    const { pasternLow, toe } = sideLandmarks(FOOT, "mean");
    const meets = pasternLow[0] + pasternLow[1] / Math.tan(radians(FOOT.pasternAngleDeg));
    expect(picture.value.pasternLineFromToe).toBeCloseTo(meets - toe[0], 9);
    expect(picture.value.heelAngle).toBeCloseTo(FOOT.heelAngleDeg, 9);
  });
});

describe("what a hand reads in another way", () => {
  test("a lower wall from a picture leaves the picture's own dish; one without the upper makes none", () => {
    const photo = {
      lowerWallAngle: { value: 40, source: "photo" as const },
      dish: { value: 3, source: "photo" as const },
    };
    expect(sideByHand({ dorsalAngle: gauge(48) }, photo).dish?.value).toBe(3);
    expect(sideByHand({}, { lowerWallAngle: gauge(40) }).dish).toBeUndefined();
  });

  test("tilt by heights: atan of the difference over the distance, the mean of toe quarters and quarters", () => {
    const heights = {
      hairlineToeQuarterMedial: gauge(60),
      hairlineToeQuarterLateral: gauge(64),
      hairlineQuarterMedial: gauge(50),
      hairlineQuarterLateral: gauge(56),
    };
    const tilt = (mm: number, apart: number) => (Math.atan(mm / apart) * 180) / Math.PI;
    const read = rearByHand({ rear: {}, heights }, { halfWidth: {} }, 127).hairlineTilt;
    expect(read?.value).toBeCloseTo((tilt(4, 0.8 * 127) + tilt(6, 127)) / 2, 9);
    expect(read?.source).toBe("rule");
  });

  test("a tilt that was read stands; without any width there is no distance, and none is made up", () => {
    const heights = { hairlineQuarterMedial: gauge(50), hairlineQuarterLateral: gauge(56) };
    const level = { hairlineTilt: gauge(1) };
    expect(rearByHand({ rear: level, heights }, { halfWidth: {} }, 127).hairlineTilt?.value).toBe(1);
    expect(rearByHand({ rear: {}, heights }, { halfWidth: {} }, undefined).hairlineTilt).toBeUndefined();
  });
});
