import type { Limb, Side } from "../limb";
import { isFore, SIDES } from "../limb";
import { SIZE_ONE_WIDTH_MM } from "../sizeOne";
import type { SolarPoint } from "../../geometry/vector";
import { COR_HEIGHT_PART, type TrimFoot } from "./predict";

/**
 * A whole foot in a few numbers: everything that is drawn, made up for the demo round or given to practise on is
 * worked out from these. Lengths mm, angles deg.
 */
export interface FootParameters {
  limb: Limb;
  /** Size: ground width at the widest part. */
  widthMm: number;
  /** The upper dorsal wall; the coffin bone is taken to lie parallel to it. */
  dorsalAngleDeg: number;
  pasternAngleDeg: number;
  heelAngleDeg: number;
  /** Upper wall minus lower wall, 0 for a straight wall. */
  dishDeg: number;
  toeLengthMm: number;
  /** y of the toe beyond twice the centre of rotation: 0 when front and back halves are equal. */
  toeRunMm: number;
  /** y of the heel that lies further back, ahead of the back of the sulcus. */
  heelRunMm: number;
  /** How much further forward each heel lies than `heelRunMm`; one of them is 0. */
  curlMm: Record<Side, number>;
  /** Hairline at the heel straight down to the ground. */
  heelHeightMm: Record<Side, number>;
  /** Wall standing above the live sole: what can be trimmed. */
  wallAboveSoleMm: { toe: number } & Record<Side, number>;
  /** Lean of the limb seen from behind, positive = its upper end leans to lateral. */
  limbDeviationDeg: number;
  /** Half width at the widest part, lateral minus medial: most feet are a little wider outside. */
  lateralWiderMm: number;
  /** Point of the frog beyond the true apex over the true apex, and frog width over sulcus length. */
  frog: { stretch: number; widthRatio: number };
}

/** Bearing length of an ordinary foot of size factor 1, mm. */
export const SIZE_ONE_BEARING_MM = 118;
/** Lengths of a foot of size factor 1, mm. Sulcus 44 puts the centre of rotation half way along a foot of 126. */
const UNIT = { sulcus: 44, corBehindApex: 25, toeWall: 10, quarterWall: 8.5, heelWall: 7 };
/** Heel half width over ground width, and how much of a curl goes inwards. Assumption, from drawn feet. */
const HEEL_HALF_WIDTH_PART = 0.33;
const CURL_INWARDS_PART = 0.35;

export const sizeFactor = (foot: Pick<FootParameters, "limb" | "widthMm">): number =>
  foot.widthMm / (isFore(foot.limb) ? SIZE_ONE_WIDTH_MM.fore : SIZE_ONE_WIDTH_MM.hind);

export const widthOfSize = (limb: Limb, k: number): number =>
  k * (isFore(limb) ? SIZE_ONE_WIDTH_MM.fore : SIZE_ONE_WIDTH_MM.hind);

/** Length of the central sulcus, mm. */
export const sulcusLength = (foot: Pick<FootParameters, "limb" | "widthMm">): number =>
  UNIT.sulcus * sizeFactor(foot);

/** y of the centre of rotation by the apex rule: 2 s - 25 k. */
export const corYOf = (foot: Pick<FootParameters, "limb" | "widthMm">): number =>
  2 * sulcusLength(foot) - UNIT.corBehindApex * sizeFactor(foot);

export const toeYOf = (foot: FootParameters): number => 2 * corYOf(foot) + foot.toeRunMm;

export const heelYOfSide = (foot: FootParameters, side: Side): number => foot.heelRunMm + foot.curlMm[side];

export const meanHeelY = (foot: FootParameters): number =>
  (heelYOfSide(foot, "medial") + heelYOfSide(foot, "lateral")) / 2;

export const bearingLengthOf = (foot: FootParameters): number => toeYOf(foot) - meanHeelY(foot);

export const corHeightOf = (foot: FootParameters): number => COR_HEIGHT_PART * bearingLengthOf(foot);

export const meanHeelHeight = (foot: FootParameters): number =>
  (foot.heelHeightMm.medial + foot.heelHeightMm.lateral) / 2;

/** Sign of a side in the solar and rear frames: lateral is positive x. */
export const signOf = (side: Side): 1 | -1 => (side === "lateral" ? 1 : -1);

/** From the midline to the wall at the widest part. */
export const halfWidthOf = (foot: Pick<FootParameters, "widthMm" | "lateralWiderMm">, side: Side): number =>
  (foot.widthMm + signOf(side) * foot.lateralWiderMm) / 2;

export const heelHalfWidth = (foot: FootParameters, side: Side): number =>
  HEEL_HALF_WIDTH_PART * foot.widthMm - CURL_INWARDS_PART * foot.curlMm[side];

export const heelPoint = (foot: FootParameters, side: Side): SolarPoint => [
  signOf(side) * heelHalfWidth(foot, side),
  heelYOfSide(foot, side),
];

/** Wall thickness outside of live sole to outside of wall, mm. */
export const wallThickness = (foot: FootParameters): { toe: number; quarter: number; heel: number } => {
  const k = sizeFactor(foot);
  return { toe: UNIT.toeWall * k, quarter: UNIT.quarterWall * k, heel: UNIT.heelWall * k };
};

/** The same heels written as heel run and curl: the run is the hindmost, the curl what the other lies ahead. */
export function heelsAt(y: Record<Side, number>): Pick<FootParameters, "heelRunMm" | "curlMm"> {
  const heelRunMm = Math.min(y.medial, y.lateral);
  return { heelRunMm, curlMm: { medial: y.medial - heelRunMm, lateral: y.lateral - heelRunMm } };
}

/** The foot as the trim prediction wants it. */
export const trimFootOf = (foot: FootParameters): TrimFoot => ({
  dorsalAngle: foot.dorsalAngleDeg,
  pasternAngle: foot.pasternAngleDeg,
  heelAngle: foot.heelAngleDeg,
  toeLength: foot.toeLengthMm,
  toeY: toeYOf(foot),
  heelMedial: heelPoint(foot, "medial"),
  heelLateral: heelPoint(foot, "lateral"),
  corY: corYOf(foot),
  corHeight: corHeightOf(foot),
});

/** A record with one value a side. */
export const eachSide = <T>(make: (side: Side) => T): Record<Side, T> =>
  Object.fromEntries(SIDES.map((side) => [side, make(side)])) as Record<Side, T>;
