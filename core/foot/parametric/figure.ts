import { radians } from "../../math/angle";
import { offsetPolyline } from "../../geometry/polyline";
import { plus, type RearPoint, type SidePoint, type SolarPoint } from "../../geometry/vector";
import type { Side } from "../limb";
import type { SolarMarks } from "../survey/frame";
import { filledMarks, presentOutline } from "./surveyedOutline";
import { rearLandmarks, sideLandmarks } from "./landmarks";
import {
  corHeightOf,
  corYOf,
  eachSide,
  meanHeelY,
  signOf,
  sizeFactor,
  toeYOf,
  wallThickness,
  type FootParameters,
} from "./parameters";

/** What a side view draws, `[y, z]` in mm. Polylines are open unless called closed. */
export interface SideFigure {
  /** Closed: heel, hairline at the heel, hairline at the toe, middle of the wall, toe. */
  hoof: SidePoint[];
  hairline: readonly [SidePoint, SidePoint];
  /** Closed: pastern and bulbs above the hairline. */
  limb: SidePoint[];
  /** The pastern's front line carried down to the ground. */
  pasternLine: readonly [SidePoint, SidePoint];
  cor: SidePoint;
  toeY: number;
  heelY: number;
}

/** Length of pastern drawn above the hairline, and its thickness, on a foot of size factor 1. Drawing only. */
const LIMB = { length: 64, thickness: 62, bulbOut: 10, bulbUp: 14 };

export function sideFigure(foot: FootParameters, side: Side | "mean" = "mean"): SideFigure {
  const marks = sideLandmarks(foot, side);
  const k = sizeFactor(foot);
  const pastern = radians(foot.pasternAngleDeg);
  const up: SidePoint = [-Math.cos(pastern) * LIMB.length * k, Math.sin(pastern) * LIMB.length * k];
  const back: SidePoint = [-Math.sin(pastern) * LIMB.thickness * k, -Math.cos(pastern) * LIMB.thickness * k];
  const top = plus(marks.hairlineToe, up);
  const topBack = plus(top, back);
  const bulb = plus(marks.hairlineHeel, [-LIMB.bulbOut * k, LIMB.bulbUp * k]);
  const hollow: SidePoint = [(bulb[0] + topBack[0]) / 2 + 5 * k, (bulb[1] + topBack[1]) / 2];
  const meets = marks.pasternLow[1] / Math.tan(pastern);
  return {
    hoof: [marks.heel, marks.hairlineHeel, marks.hairlineToe, marks.wallMid, marks.toe],
    hairline: [marks.hairlineHeel, marks.hairlineToe],
    limb: [marks.hairlineToe, top, topBack, hollow, bulb, marks.hairlineHeel],
    pasternLine: [[marks.pasternLow[0] + meets, 0], top],
    cor: [corYOf(foot), corHeightOf(foot)],
    toeY: toeYOf(foot),
    heelY: side === "mean" ? meanHeelY(foot) : marks.heel[0],
  };
}

/** What a sole view draws, `[x, y]` in mm, lateral to +x. */
export interface SoleFigure {
  /** Open, medial heel round the toe to the lateral heel. */
  outline: SolarPoint[];
  liveSole: SolarPoint[];
  /** Closed. */
  frog: SolarPoint[];
  sulcus: readonly [SolarPoint, SolarPoint];
  bars: Record<Side, SolarPoint[]>;
  /** Closed: the bulbs behind the heels. */
  bulbs: SolarPoint[];
  corY: number;
  toeY: number;
  heelY: number;
  halfWidth: number;
}

/**
 * The figure of a sole. With `marks` of a survey it is drawn through them; what was not measured stays as the
 * parametric foot guesses it, and the centre of rotation is the survey's where it has one.
 */
export function soleFigure(
  foot: FootParameters,
  marks: SolarMarks = {},
  corY: number = corYOf(foot),
): SoleFigure {
  const at = filledMarks(foot, marks);
  const k = sizeFactor(foot);
  const s = at.sulcusFront[1] - at.sulcusBack[1];
  const heel = { medial: at.heelMedial, lateral: at.heelLateral };
  const corn = { medial: at.cornMedial, lateral: at.cornLateral };
  const bend = { medial: at.barMedial, lateral: at.barLateral };
  const barEnd = { medial: at.barEndMedial, lateral: at.barEndLateral };
  const bars = eachSide((side): SolarPoint[] => {
    const [x, y] = heel[side];
    return [[x - signOf(side) * 5 * k, y + 1], corn[side], bend[side], barEnd[side]];
  });
  const [left, right] = [at.frogMedial[0], at.frogLateral[0]];
  const frog: SolarPoint[] = [
    [0, -4 * k],
    [left * 0.55, -9 * k],
    [left, 0],
    at.frogMedial,
    [left * 0.42 + at.frogApex[0] * 0.5, s * 1.1],
    at.frogApex,
    [right * 0.42 + at.frogApex[0] * 0.5, s * 1.1],
    at.frogLateral,
    [right, 0],
    [right * 0.55, -9 * k],
  ];
  const outX = Math.abs(heel.lateral[0]) + 3 * k;
  const bulbs: SolarPoint[] = [
    [-Math.abs(heel.medial[0]) - 3 * k, heel.medial[1] + 14 * k],
    [-outX, -10 * k],
    [-outX * 0.55, -22 * k],
    [0, -14 * k],
    [outX * 0.55, -22 * k],
    [outX, -10 * k],
    [outX, heel.lateral[1] + 14 * k],
  ];
  const outline = presentOutline(foot, marks);
  const wall = wallThickness(foot);
  const thickness = (part: number) => {
    const towardsToe = 1 - Math.abs(2 * part - 1);
    return -(
      wall.heel +
      (wall.quarter - wall.heel) * Math.min(1, 2 * towardsToe) +
      (wall.toe * 1.3 - wall.quarter) * Math.max(0, 2 * towardsToe - 1)
    );
  };
  return {
    outline,
    liveSole: offsetPolyline(outline, thickness) as SolarPoint[],
    frog,
    sulcus: [at.sulcusBack, at.sulcusFront],
    bars,
    bulbs,
    corY,
    toeY: at.toe[1],
    heelY: (heel.medial[1] + heel.lateral[1]) / 2,
    halfWidth: Math.max(Math.abs(at.wideMedial[0]), Math.abs(at.wideLateral[0])),
  };
}

/** What a view from behind draws, `[x, z]` in mm, lateral to +x. */
export interface RearFigure {
  /** Closed: medial ground, medial hairline, bulbs, lateral hairline, lateral ground. */
  hoof: RearPoint[];
  hairline: RearPoint[];
  /** Closed: the frog seen from behind. */
  frog: RearPoint[];
  /** Closed: pastern above the hairline. */
  limb: RearPoint[];
  /** Two points of the limb's axis, from the ground up. */
  axis: readonly [RearPoint, RearPoint];
}

export function rearFigure(foot: FootParameters): RearFigure {
  const marks = rearLandmarks(foot);
  const k = sizeFactor(foot);
  const { hairlineMedial: hm, hairlineLateral: hl, heelMedial: m, heelLateral: l } = marks;
  const top = 86 * k;
  const lean = Math.tan(radians(foot.limbDeviationDeg));
  const half = 31 * k;
  const dip = (hm[1] + hl[1]) / 2;
  return {
    hoof: [m, hm, [hm[0] * 0.45, dip + 7 * k], [0, dip - 3 * k], [hl[0] * 0.45, dip + 7 * k], hl, l],
    hairline: [hm, [hm[0] * 0.45, dip + 7 * k], [0, dip - 3 * k], [hl[0] * 0.45, dip + 7 * k], hl],
    frog: [
      [-20 * k, 0],
      [-15 * k, dip * 0.55],
      [0, dip * 0.72],
      [15 * k, dip * 0.55],
      [20 * k, 0],
    ],
    limb: [
      hm,
      [-half + lean * 56 * k, 56 * k],
      [-half + lean * top, top],
      [half + lean * top, top],
      [half + lean * 56 * k, 56 * k],
      hl,
      [hl[0] * 0.45, dip + 7 * k],
      [0, dip - 3 * k],
      [hm[0] * 0.45, dip + 7 * k],
    ],
    axis: [
      [0, 0],
      [lean * top, top],
    ],
  };
}
