import { THIN_SOLE_MARGIN_MM, THIN_SOLE_SULCUS_MM, TRIM_MARGIN_MM } from "../constants/trim";
import type { SolarPoint } from "../geometry/vector";
import { radians } from "../math/angle";
import { toeDressing, type Dressing, type DressQuestion } from "./dressing";
import { heelYOf, type Cuts, type TrimFoot } from "../foot/parametric/predict";

/** A point of the wall between toe and heels at which the height above the live sole was measured. */
export interface QuarterWall {
  name: string;
  at: SolarPoint;
  above: number;
}

/** What was measured of a foot as far as it limits the cut. Lengths mm. */
export interface LimitQuestion extends DressQuestion {
  foot: TrimFoot;
  finish: "shod" | "barefoot";
  /** Wall standing above the live sole. */
  above: { toe: number; heelMedial: number; heelLateral: number };
  quarters?: readonly QuarterWall[];
  /** Own margins; the trade's where there are none. */
  margins?: { shod: number; barefoot: number };
  /** No more than this comes off either heel, mm, whatever stands above its sole: as the frog's plane allows. */
  heelMax?: number;
  minToeLength?: number;
  sulcusDepth?: number;
  /** What this one visit takes at the most. */
  atOnce?: VisitBounds;
  /** The cuts of which this is to be a part: nothing more comes off anywhere. */
  upTo?: Cuts;
}

/** What one visit takes at the most: off one heel, more off one than off the other, mm, and turn of the dorsal angle, deg. */
export interface VisitBounds {
  heelMm: number;
  unevenMm: number;
  turnDeg: number;
}

/** By this name a plan says that it was held back by what one visit takes. */
export const AT_ONCE_LIMIT = "atOnce";

/** The bounds of one visit as limits of the plane. */
function visitPlanes(foot: TrimFoot, { heelMm, unevenMm, turnDeg }: VisitBounds): PlaneLimit[] {
  const turn = (foot.toeY - heelYOf(foot)) * Math.tan(radians(turnDeg));
  const plane = (toe: number, heelMedial: number, heelLateral: number, most: number): PlaneLimit => ({
    name: AT_ONCE_LIMIT,
    weights: { toe, heelMedial, heelLateral },
    most,
  });
  return [
    plane(0, 1, 0, heelMm),
    plane(0, 0, 1, heelMm),
    plane(0, 1, -1, unevenMm),
    plane(0, -1, 1, unevenMm),
    plane(1, -0.5, -0.5, turn),
    plane(-1, 0.5, 0.5, turn),
  ];
}

/** What limits the plane of the cut, a weighted sum of its three heights: a quarter's wall, or what one visit takes. */
export interface PlaneLimit {
  name: string;
  weights: Omit<Cuts, "dress">;
  most: number;
}

export interface TrimLimits {
  /** Wall left above the live sole, mm. */
  marginMm: number;
  /** True where the margin grew because the sole is thin. */
  thinSole: boolean;
  /** The most that may be taken at each place, never under 0. */
  most: Cuts;
  dressing: Dressing;
  /** The toe is not cut shorter than this; a toe that is shorter already is not shortened. 0 without a limit. */
  minToeLength: number;
  planes: readonly PlaneLimit[];
}

/**
 * What may be cut: at each point the wall above the live sole less a margin, never under 0; dressing by
 * {@link toeDressing}. A thin sole (sulcus under 10 mm) costs 2 mm more margin everywhere.
 */
export function trimLimits(question: LimitQuestion): TrimLimits {
  const { finish, above, margins, heelMax = Infinity, sulcusDepth, foot } = question;
  const thinSole = sulcusDepth !== undefined && sulcusDepth < THIN_SOLE_SULCUS_MM.value;
  const usual = margins?.[finish] ?? TRIM_MARGIN_MM[finish].value;
  const marginMm = usual + (thinSole ? THIN_SOLE_MARGIN_MM.value : 0);
  const available = (mm: number) => Math.max(0, mm - marginMm);
  const dressing = toeDressing(question);
  const { upTo } = question;
  const part = (name: keyof Cuts, mm: number) => Math.min(mm, upTo?.[name] ?? Infinity);
  return {
    marginMm,
    thinSole,
    dressing,
    most: {
      toe: part("toe", available(above.toe)),
      heelMedial: part("heelMedial", Math.min(heelMax, available(above.heelMedial))),
      heelLateral: part("heelLateral", Math.min(heelMax, available(above.heelLateral))),
      dress: part("dress", dressing.most),
    },
    minToeLength: Math.min(question.minToeLength ?? 0, foot.toeLength),
    planes: [
      ...(question.quarters ?? []).map(({ name, at, above: mm }) => ({
        name,
        weights: planeWeights(foot, at),
        most: available(mm),
      })),
      ...(question.atOnce ? visitPlanes(foot, question.atOnce) : []),
    ],
  };
}

/** The height of the plane through toe and both heels at a point, as weights of the three heights (they add up to 1). */
export function planeWeights(foot: TrimFoot, [x, y]: SolarPoint): Omit<Cuts, "dress"> {
  const [xm, ym] = foot.heelMedial;
  const [xl, yl] = foot.heelLateral;
  const [xt, yt] = [0, foot.toeY];
  const area = (yl - yt) * (xm - xt) + (xt - xl) * (ym - yt);
  const heelMedial = ((yl - yt) * (x - xt) + (xt - xl) * (y - yt)) / area;
  const heelLateral = ((yt - ym) * (x - xt) + (xm - xt) * (y - yt)) / area;
  return { heelMedial, heelLateral, toe: 1 - heelMedial - heelLateral };
}

/**
 * How far a cut shortens the toe beyond its limit, mm of height, 0 or less where it does not. The height at which the
 * cut meets the dressed wall may be at most what the length leaves.
 */
export function toeOvercut(foot: TrimFoot, limits: Pick<TrimLimits, "minToeLength">, cuts: Cuts): number {
  const dorsal = radians(foot.dorsalAngle);
  const bearing = foot.toeY - heelYOf(foot);
  const most = (foot.toeLength - limits.minToeLength) * Math.sin(dorsal);
  const reach = (bearing - cuts.dress / Math.sin(dorsal) - most / Math.tan(dorsal)) / bearing;
  const heel = (cuts.heelMedial + cuts.heelLateral) / 2;
  return heel + (cuts.toe - heel) * reach - most;
}

/** How far a cut goes past a plane's limit, mm, 0 or less where it does not. */
export const planeOvercut = ({ weights, most }: PlaneLimit, cuts: Cuts): number =>
  weights.toe * cuts.toe +
  weights.heelMedial * cuts.heelMedial +
  weights.heelLateral * cuts.heelLateral -
  most;
