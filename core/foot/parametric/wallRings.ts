import { add3, times3, type Space } from "../../geometry/space";
import { radians } from "../../math/angle";
import { sideLandmarks } from "./landmarks";
import { groundOutline } from "./outline";
import { heelYOfSide, toeYOf, type FootParameters } from "./parameters";

/** The outside of the wall in space as three rings of as many points, medial heel round the toe to lateral heel, mm. */
export interface WallRings {
  ground: Space[];
  middle: Space[];
  hair: Space[];
}

/** Ground, middle and hairline of the wall, foot frame (x lateral, y toe, z up). The hairline's arch: assumption. */
export function wallRings(foot: FootParameters): WallRings {
  const marks = sideLandmarks(foot, "mean");
  const [toeY, hairToe, hairHeel] = [toeYOf(foot), marks.hairlineToe, marks.hairlineHeel];
  const dish: readonly [number, number] = [
    marks.wallMid[0] - (marks.toe[0] + hairToe[0]) / 2,
    marks.wallMid[1] - (marks.toe[1] + hairToe[1]) / 2,
  ];
  const ground = groundOutline(foot).map(([x, y]): Space => [x, y, 0]);
  const hair = ground.map(([x, y]): Space => {
    const side = x < 0 ? "medial" : "lateral";
    const heelY = heelYOfSide(foot, side);
    const back = Math.min(1, Math.max(0, (toeY - y) / (toeY - heelY)));
    const height = foot.heelHeightMm[side];
    const behind = height / Math.tan(radians(foot.heelAngleDeg));
    const heelPoint: readonly [number, number] = [heelY - behind, height];
    const arch = 1 - (1 - back) ** 1.4;
    return [
      x * (0.86 + 0.22 * back),
      hairToe[0] + (heelPoint[0] - hairToe[0]) * back,
      hairToe[1] + (heelPoint[1] - hairToe[1]) * (0.45 * arch + 0.55 * back),
    ];
  });
  const middle = ground.map((low, index): Space => {
    const high = hair[index] as Space;
    const front = Math.max(0, 1 - (toeY - low[1]) / (toeY - hairHeel[0]));
    const half = times3(add3(low, high), 0.5);
    return [half[0], half[1] + dish[0] * front, half[2] + dish[1] * front];
  });
  return { ground, middle, hair };
}
