import { radians } from "../../math/angle";
import { plus, type SidePoint, type SolarPoint } from "../../geometry/vector";
import type { Side } from "../limb";
import { soleLandmarks, sideLandmarks } from "./landmarks";
import { groundOutline, liveSoleOutline } from "./outline";
import {
  corHeightOf,
  corYOf,
  eachSide,
  meanHeelY,
  signOf,
  sizeFactor,
  sulcusLength,
  toeYOf,
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
const LIMB = { length: 84, thickness: 62, bulbOut: 10, bulbUp: 14 };

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

export function soleFigure(foot: FootParameters): SoleFigure {
  const marks = soleLandmarks(foot);
  const s = sulcusLength(foot);
  const k = sizeFactor(foot);
  const heel = { medial: marks.heelMedial, lateral: marks.heelLateral };
  const corn = { medial: marks.cornMedial, lateral: marks.cornLateral };
  const bend = { medial: marks.barMedial, lateral: marks.barLateral };
  const barEnd = { medial: marks.barEndMedial, lateral: marks.barEndLateral };
  const bars = eachSide((side): SolarPoint[] => {
    const [x, y] = heel[side];
    return [[x - signOf(side) * 5 * k, y + 1], corn[side], bend[side], barEnd[side]];
  });
  const wideX = Math.abs(marks.frogLateral[0]);
  const frog: SolarPoint[] = [
    [0, -4 * k],
    [-wideX * 0.55, -9 * k],
    [-wideX, 0],
    marks.frogMedial,
    [-wideX * 0.42, s * 1.1],
    marks.frogApex,
    [wideX * 0.42, s * 1.1],
    marks.frogLateral,
    [wideX, 0],
    [wideX * 0.55, -9 * k],
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
  return {
    outline: groundOutline(foot),
    liveSole: liveSoleOutline(foot),
    frog,
    sulcus: [marks.sulcusBack, marks.sulcusFront],
    bars,
    bulbs,
    corY: corYOf(foot),
    toeY: toeYOf(foot),
    heelY: meanHeelY(foot),
    halfWidth: foot.widthMm / 2,
  };
}
