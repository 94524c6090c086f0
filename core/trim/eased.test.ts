import { describe, expect, test } from "@jest/globals";
import { curledHeels, levelOrRocker } from "./eased";
import { BROKEN_BACK } from "./trim.fixture";

const { foot } = BROKEN_BACK;
const RIGHT = { ...foot, heelAngle: 44 };

describe("a curled heel", () => {
  test("cut level by 4 mm at 38 degrees it bears 5.1 mm further back and costs height and a degree", () => {
    const { level } = levelOrRocker(foot, 4, { lengthMm: 16, depthMm: 2 });
    expect(level.backMm).toBeCloseTo(4 / Math.tan((38 * Math.PI) / 180), 12);
    expect(level.heightMm).toBe(4);
    expect(level.angleDeg).toBeCloseTo((Math.atan(2 / 116) * 180) / Math.PI, 12);
  });

  test("eased over 16 mm it bears about 8 mm further back and costs neither", () => {
    expect(levelOrRocker(foot, 4, { lengthMm: 16, depthMm: 2 }).rocker).toEqual({
      backMm: 8,
      heightMm: 0,
      angleDeg: 0,
    });
  });

  test("it is the one further forward, both where the heel is far underrun, none on an even heel", () => {
    expect(curledHeels(RIGHT)).toEqual(["lateral"]);
    expect(curledHeels({ ...RIGHT, heelMedial: [-42, 12], heelLateral: [42, 8] })).toEqual(["medial"]);
    expect(curledHeels(foot)).toEqual(["medial", "lateral"]);
    expect(curledHeels({ ...RIGHT, heelMedial: [-42, 9] })).toEqual([]);
  });
});
