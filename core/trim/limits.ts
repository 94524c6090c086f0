import {
  THIN_SOLE_MARGIN_MM,
  THIN_SOLE_SULCUS_MM,
  TOE_WALL_KEPT_MM,
  TRIM_MARGIN_MM,
} from "../constants/trim";
import type { SolarPoint } from "../geometry/vector";
import { radians } from "../math/angle";
import { heelYOf, type Cuts, type TrimFoot } from "../foot/parametric/predict";

/** A point of the wall between toe and heels at which the height above the live sole was measured. */
export interface QuarterWall {
  name: string;
  at: SolarPoint;
  above: number;
}

/** What was measured of a foot as far as it limits the cut. Lengths mm. */
export interface LimitQuestion {
  foot: TrimFoot;
  finish: "shod" | "barefoot";
  /** Wall standing above the live sole. */
  above: { toe: number; heelMedial: number; heelLateral: number };
  quarters?: readonly QuarterWall[];
  /** Own margins; the trade's where there are none. */
  margins?: { shod: number; barefoot: number };
  toeWall?: number;
  dressMax?: number;
  minToeLength?: number;
  sulcusDepth?: number;
}

/** How a quarter limits the plane of the cut: the cut there is a weighted sum of the three heights. */
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
  /** The toe is not cut shorter than this; a toe that is shorter already is not shortened. 0 without a limit. */
  minToeLength: number;
  quarters: readonly PlaneLimit[];
}

/**
 * What may be cut: at each point the wall above the live sole less a margin, never under 0. Dressing leaves 6 mm of toe
 * wall; with neither wall thickness nor a limit of its own given, nothing is dressed. A thin sole (sulcus under 10 mm)
 * costs 2 mm more margin everywhere.
 */
export function trimLimits(question: LimitQuestion): TrimLimits {
  const { finish, above, margins, toeWall, dressMax, sulcusDepth, foot } = question;
  const thinSole = sulcusDepth !== undefined && sulcusDepth < THIN_SOLE_SULCUS_MM.value;
  const usual = margins?.[finish] ?? TRIM_MARGIN_MM[finish].value;
  const marginMm = usual + (thinSole ? THIN_SOLE_MARGIN_MM.value : 0);
  const available = (mm: number) => Math.max(0, mm - marginMm);
  const dressLimits = [
    ...(toeWall === undefined ? [] : [toeWall - TOE_WALL_KEPT_MM.value]),
    ...(dressMax === undefined ? [] : [dressMax]),
  ];
  return {
    marginMm,
    thinSole,
    most: {
      toe: available(above.toe),
      heelMedial: available(above.heelMedial),
      heelLateral: available(above.heelLateral),
      dress: dressLimits.length === 0 ? 0 : Math.max(0, Math.min(...dressLimits)),
    },
    minToeLength: Math.min(question.minToeLength ?? 0, foot.toeLength),
    quarters: (question.quarters ?? []).map(({ name, at, above: mm }) => ({
      name,
      weights: planeWeights(foot, at),
      most: available(mm),
    })),
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

/** How far a cut goes past a quarter's limit, mm, 0 or less where it does not. */
export const quarterOvercut = ({ weights, most }: PlaneLimit, cuts: Cuts): number =>
  weights.toe * cuts.toe +
  weights.heelMedial * cuts.heelMedial +
  weights.heelLateral * cuts.heelLateral -
  most;
