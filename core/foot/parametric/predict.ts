import { degrees, radians } from "../../math/angle";
import type { SolarPoint } from "../../geometry/vector";
import { fail, ok, type Issue, type Result } from "../../result";

/** What a foot must tell before a cut can be foreseen. Angles deg, lengths and positions mm in the solar frame. */
export interface TrimFoot {
  dorsalAngle: number;
  pasternAngle: number;
  heelAngle: number;
  toeLength: number;
  toeY: number;
  heelMedial: SolarPoint;
  heelLateral: SolarPoint;
  corY: number;
  /** Height of the centre of rotation above the bearing plane; 0.4 x bearing length unless a radiograph gives it. */
  corHeight?: number;
}

/** Heights taken off the bearing surface, mm, and thickness taken from the outside of the dorsal wall. */
export interface Cuts {
  toe: number;
  heelMedial: number;
  heelLateral: number;
  dress: number;
}

/** The foot after the cut; positions in the new ground's frame. */
export interface PredictedFoot {
  dorsalAngle: number;
  axis: number;
  /** Degrees; positive = the lateral side is lowered. */
  roll: number;
  toeY: number;
  heelY: number;
  corY: number;
  front: number;
  support: number;
  toeLength: number;
}

/** Height of the centre of rotation over the bearing length. Source: assumption, because it is unknown without a radiograph. */
export const COR_HEIGHT_PART = 0.4;

export const NO_CUT: Cuts = { toe: 0, heelMedial: 0, heelLateral: 0, dress: 0 };

/** Mean y of both heels. */
export const heelYOf = (foot: Pick<TrimFoot, "heelMedial" | "heelLateral">): number =>
  (foot.heelMedial[1] + foot.heelLateral[1]) / 2;

/**
 * What four cuts do to a foot. Between toe and heels the cut lies on a plane. Negative cuts are growth.
 *
 * Errors: `impossible` where the numbers make no foot (toe not ahead of the heels, an angle outside 0 to 90,
 * heels on top of each other), `too-deep` where the cut would leave no wall. Source: plane geometry.
 */
export function predictTrim(foot: TrimFoot, cuts: Cuts): Result<PredictedFoot> {
  const heelY = heelYOf(foot);
  if (!isPossible(foot, heelY)) return { ok: false, issues: impossible(foot, heelY) };

  const heelCut = (cuts.heelMedial + cuts.heelLateral) / 2;
  const slope = (cuts.toe - heelCut) / (foot.toeY - heelY);
  const tilt = Math.atan(slope);
  const dorsal = radians(foot.dorsalAngle);
  const heel = radians(foot.heelAngle);
  const dressedToeY = foot.toeY - cuts.dress / Math.sin(dorsal);
  const wallZ = (heelCut + slope * (dressedToeY - heelY)) / (1 + slope / Math.tan(dorsal));
  const wallY = dressedToeY - wallZ / Math.tan(dorsal);
  const heelZ = heelCut / (1 + slope / Math.tan(heel));
  const newHeelY = heelY - heelZ / Math.tan(heel);
  const toeLength = foot.toeLength - wallZ / Math.sin(dorsal);
  if (!(toeLength > 0) || wallY <= newHeelY)
    return fail("too-deep", "cuts", "This cut leaves no wall. Check the four numbers.", cuts);

  const corHeight = foot.corHeight ?? COR_HEIGHT_PART * (foot.toeY - heelY);
  const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)];
  const toeAfter = wallY * cos + wallZ * sin;
  const heelAfter = newHeelY * cos + heelZ * sin;
  const corAfter = foot.corY * cos + corHeight * sin;
  const dorsalAngle = foot.dorsalAngle + degrees(tilt);
  return ok({
    dorsalAngle,
    axis: dorsalAngle - foot.pasternAngle,
    roll: degrees(
      Math.atan((cuts.heelLateral - cuts.heelMedial) / (foot.heelLateral[0] - foot.heelMedial[0])),
    ),
    toeY: toeAfter,
    heelY: heelAfter,
    corY: corAfter,
    front: toeAfter - corAfter,
    support: corAfter - heelAfter,
    toeLength,
  });
}

const isAngle = (deg: number): boolean => deg > 0 && deg < 90;

const isPossible = (foot: TrimFoot, heelY: number): boolean =>
  isAngle(foot.dorsalAngle) &&
  isAngle(foot.pasternAngle) &&
  isAngle(foot.heelAngle) &&
  foot.toeY > heelY &&
  foot.toeLength > 0 &&
  foot.heelLateral[0] > foot.heelMedial[0];

function impossible(foot: TrimFoot, heelY: number): Issue[] {
  const issues: Issue[] = [];
  const say = (path: string, message: string, value: unknown) =>
    issues.push({ code: "impossible", path: `foot.${path}`, message, value });
  for (const key of ["dorsalAngle", "pasternAngle", "heelAngle"] as const)
    if (!isAngle(foot[key])) say(key, `An angle of ${foot[key]} degrees makes no foot.`, foot[key]);
  if (!(foot.toeY > heelY)) say("toeY", "The toe must lie ahead of the heels.", foot.toeY);
  if (!(foot.toeLength > 0)) say("toeLength", "The toe must have a length.", foot.toeLength);
  if (!(foot.heelLateral[0] > foot.heelMedial[0]))
    say("heelLateral", "The lateral heel must lie to the lateral side of the medial one.", foot.heelLateral);
  return issues;
}
