import type { Side } from "../foot/limb";
import { heelYOf, type TrimFoot } from "../foot/parametric/predict";
import { degrees, radians } from "../math/angle";

/** A heel eased over the front part of its bearing surface. Lengths mm. */
export interface Rocker {
  lengthMm: number;
  depthMm: number;
}

/** What one way to mend a curled heel does: how far back it then bears, and what that costs in height and angle. */
export interface HeelWay {
  backMm: number;
  heightMm: number;
  /** Degrees that the dorsal angle comes down. */
  angleDeg: number;
}

/**
 * One curled heel cut level by so much, or eased at its front: the level cut moves its bearing back by H / tan t and
 * costs height and angle; the rocker keeps both and moves the middle of the bearing back by about half its length (a
 * first-order estimate, since what is eased bears nothing).
 */
export function levelOrRocker(
  foot: TrimFoot,
  cutMm: number,
  rocker: Rocker,
): { level: HeelWay; rocker: HeelWay } {
  return {
    level: {
      backMm: cutMm / Math.tan(radians(foot.heelAngle)),
      heightMm: cutMm,
      // One heel of two: the plane turns by half of it.
      angleDeg: degrees(Math.atan(cutMm / 2 / (foot.toeY - heelYOf(foot)))),
    },
    rocker: { backMm: rocker.lengthMm / 2, heightMm: 0, angleDeg: 0 },
  };
}

/** One heel so much further forward than the other is curled, mm. Source: trade practice, beyond the noise of two marks. */
const CURLED_FROM_MM = 4;
/** A heel so much shallower than the wall curls on both sides, deg. */
const CURLED_UNDER_DEG = 10;

/** The heels that are curled: the one that lies further forward, or both where the whole heel is far underrun. */
export function curledHeels({ heelMedial, heelLateral, heelAngle, dorsalAngle }: TrimFoot): Side[] {
  const apart = heelLateral[1] - heelMedial[1];
  const under = dorsalAngle - heelAngle >= CURLED_UNDER_DEG;
  return (["medial", "lateral"] as const).filter(
    (side) => under || (side === "lateral" ? apart : -apart) >= CURLED_FROM_MM,
  );
}
