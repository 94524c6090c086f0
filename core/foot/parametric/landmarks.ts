import { radians } from "../../math/angle";
import {
  length,
  minus,
  plus,
  times,
  type RearPoint,
  type SidePoint,
  type SolarPoint,
} from "../../geometry/vector";
import type { LateralPoints } from "../lateral";
import type { Side } from "../limb";
import {
  corYOf,
  eachSide,
  halfWidthOf,
  heelPoint,
  heelYOfSide,
  meanHeelHeight,
  meanHeelY,
  signOf,
  sizeFactor,
  sulcusLength,
  toeYOf,
  type FootParameters,
} from "./parameters";
import { outlineHalfWidth } from "./outline";

/** Part of the upper wall at which `wallHigh` sits, just below the hairline. */
const WALL_HIGH_PART = 0.9;
/** Where the two pastern marks sit above the hairline, mm on a foot of size factor 1. */
const PASTERN_MARKS_MM = [12, 62] as const;

/** A step of `size` mm up and back along a line that stands at `angleDeg` to the ground. */
const upTheLine = (angleDeg: number, size: number): SidePoint => [
  -size * Math.cos(radians(angleDeg)),
  size * Math.sin(radians(angleDeg)),
];

/**
 * The marks of a side view `[y, z]`, mm. Seen from the medial or lateral side it shows that side's heel; "mean"
 * stands half way. Reading them back gives the parameters: dorsal, pastern and heel angle, dish, toe length.
 *
 * The wall bends half way: the chord from hairline to toe is the toe length, whatever the dish.
 */
export function sideLandmarks(
  foot: FootParameters,
  side: Side | "mean",
): Record<keyof LateralPoints, SidePoint> {
  const toe: SidePoint = [toeYOf(foot), 0];
  const half = foot.toeLengthMm / (2 * Math.cos(radians(foot.dishDeg) / 2));
  const wallMid = plus(toe, upTheLine(foot.dorsalAngleDeg - foot.dishDeg, half));
  const hairlineToe = plus(wallMid, upTheLine(foot.dorsalAngleDeg, half));
  const heelY = side === "mean" ? meanHeelY(foot) : heelYOfSide(foot, side);
  const heelHeight = side === "mean" ? meanHeelHeight(foot) : foot.heelHeightMm[side];
  const heel: SidePoint = [heelY, 0];
  const pastern = (mm: number) => plus(hairlineToe, upTheLine(foot.pasternAngleDeg, mm * sizeFactor(foot)));
  return {
    groundA: [heelY, 0],
    groundB: toe,
    toe,
    wallMid,
    wallHigh: plus(wallMid, upTheLine(foot.dorsalAngleDeg, half * WALL_HIGH_PART)),
    hairlineToe,
    hairlineHeel: plus(heel, upTheLine(foot.heelAngleDeg, heelHeight / Math.sin(radians(foot.heelAngleDeg)))),
    heel,
    pasternLow: pastern(PASTERN_MARKS_MM[0]),
    pasternHigh: pastern(PASTERN_MARKS_MM[1]),
  };
}

/** The marks of the sole that every survey has, solar frame, mm. */
export interface SoleLandmarks {
  sulcusBack: SolarPoint;
  sulcusFront: SolarPoint;
  frogApex: SolarPoint;
  frogMedial: SolarPoint;
  frogLateral: SolarPoint;
  heelMedial: SolarPoint;
  heelLateral: SolarPoint;
  wideMedial: SolarPoint;
  wideLateral: SolarPoint;
  toe: SolarPoint;
  toeQuarterMedial: SolarPoint;
  toeQuarterLateral: SolarPoint;
  barEndMedial: SolarPoint;
  barEndLateral: SolarPoint;
  cornMedial: SolarPoint;
  cornLateral: SolarPoint;
  barMedial: SolarPoint;
  barLateral: SolarPoint;
}

/** How far forward the frog is widest, over the sulcus. Assumption, from drawn feet. */
const FROG_WIDEST_PART = 0.3;
/** Seat of corn outside and ahead of the heel, where the diagonals of the ordinary foot cross at its centre of rotation; how far a straight bar runs beside the frog and what a curled heel adds. */
const BAR = { cornOutMm: 2, cornAheadMm: 29, alongFrogPart: 0.36, besideFrogMm: 1.2, curlPart: 0.7 };
/** Depth of the toe wall seen from below, over the thickness, at an ordinary angle. */
const TOE_WALL_BELOW_MM = 13;

/**
 * The marks of the sole. The widest part lies at the centre of rotation, the bars end beside it, the frog's apex is
 * the true apex (twice the sulcus). Mirrored feet have mirrored marks only in a picture: here lateral is always +x.
 */
export function soleLandmarks(foot: FootParameters): SoleLandmarks {
  const s = sulcusLength(foot);
  const cor = corYOf(foot);
  const toeY = toeYOf(foot);
  const quarterY = (2 * s + toeY - TOE_WALL_BELOW_MM * sizeFactor(foot)) / 2;
  const at = (side: Side, halfWidth: number, y: number): SolarPoint => [signOf(side) * halfWidth, y];
  const k = sizeFactor(foot);
  const frog = eachSide((side) => at(side, (foot.frog.widthRatio * s) / 2, FROG_WIDEST_PART * s));
  const apex: SolarPoint = [0, 2 * s * (1 + foot.frog.stretch)];
  const wide = eachSide((side) => at(side, halfWidthOf(foot, side), cor));
  const quarter = eachSide((side) => at(side, outlineHalfWidth(foot, side, quarterY), quarterY));
  const barEnd = eachSide((side) => at(side, 0.28 * s, cor));
  const corn = eachSide((side): SolarPoint => {
    const [x, y] = heelPoint(foot, side);
    return [x + signOf(side) * BAR.cornOutMm * k, y + BAR.cornAheadMm * k];
  });
  const bar = eachSide((side): SolarPoint => {
    const along = minus(apex, frog[side]);
    const beside = BAR.besideFrogMm * k + BAR.curlPart * foot.curlMm[side];
    const out = times([signOf(side) * along[1], -signOf(side) * along[0]], beside / length(along));
    return plus(plus(frog[side], times(along, BAR.alongFrogPart)), out);
  });
  return {
    sulcusBack: [0, 0],
    sulcusFront: [0, s],
    frogApex: apex,
    frogMedial: frog.medial,
    frogLateral: frog.lateral,
    heelMedial: heelPoint(foot, "medial"),
    heelLateral: heelPoint(foot, "lateral"),
    wideMedial: wide.medial,
    wideLateral: wide.lateral,
    toe: [0, toeY],
    toeQuarterMedial: quarter.medial,
    toeQuarterLateral: quarter.lateral,
    barEndMedial: barEnd.medial,
    barEndLateral: barEnd.lateral,
    cornMedial: corn.medial,
    cornLateral: corn.lateral,
    barMedial: bar.medial,
    barLateral: bar.lateral,
  };
}

/** The marks of a view from behind `[x, z]`, mm. */
export interface RearLandmarks {
  heelMedial: RearPoint;
  heelLateral: RearPoint;
  hairlineMedial: RearPoint;
  hairlineLateral: RearPoint;
  limbLow: RearPoint;
  limbHigh: RearPoint;
}

/** How far the hairline stands outside the heel's ground contact, and the limb's visible length. Assumption. */
const REAR = { hairlineOut: 1.08, limbLow: 70, limbHigh: 150 };

/** Ground contacts, hairline over both heels, and two points on the limb's axis. */
export function rearLandmarks(foot: FootParameters): RearLandmarks {
  const lean = Math.tan(radians(foot.limbDeviationDeg));
  const x = eachSide((side) => heelPoint(foot, side)[0]);
  const limb = (z: number): RearPoint => [lean * z * sizeFactor(foot), z * sizeFactor(foot)];
  return {
    heelMedial: [x.medial, 0],
    heelLateral: [x.lateral, 0],
    hairlineMedial: [x.medial * REAR.hairlineOut, foot.heelHeightMm.medial],
    hairlineLateral: [x.lateral * REAR.hairlineOut, foot.heelHeightMm.lateral],
    limbLow: limb(REAR.limbLow),
    limbHigh: limb(REAR.limbHigh),
  };
}
