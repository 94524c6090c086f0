import { radians } from "../math/angle";
import { combineByPrecision } from "../math/statistics";
import type { Side } from "./limb";

/** The signs with a number by which one heel side is told to stand higher than the other. */
export const WITNESSES = [
  "wallAbove",
  "heelHeight",
  "hairlineTilt",
  "heelForward",
  "barBend",
  "toeQuarterLength",
] as const;
export type WitnessName = (typeof WITNESSES)[number];

/**
 * Sd of each witness, mm at the heels on a foot of size 1. Assumptions: what a hand repeats, widened by how loosely the
 * sign hangs on the height (a hairline lags by weeks, a curl or a bar is a habit of the horn).
 */
export const WITNESS_SD_MM: Record<WitnessName, number> = {
  wallAbove: 1.6,
  heelHeight: 2.5,
  hairlineTilt: 3,
  heelForward: 3,
  barBend: 4,
  toeQuarterLength: 3,
};
/** Height that goes with a heel's place further forward, mm a mm. Assumption, because half of a curl is height. */
const HEIGHT_OF_FORWARD = 0.5;

type Pair = Record<Side, number>;

/** What was measured on both sides; what was not is missing. Lengths mm, angles deg. */
export interface HighSideSigns {
  /** Distance between the places at which heel heights and hairline are read. */
  heelsApart: number;
  /** Size factor, 1 unless given. */
  k?: number | undefined;
  wallAbove?: Pair | undefined;
  heelHeight?: Pair | undefined;
  /** Positive = the hairline stands higher on the lateral side. */
  hairlineTilt?: number | undefined;
  heelForward?: Pair | undefined;
  barBend?: Pair | undefined;
  toeQuarterLength?: (Pair & { wallAngle: number }) | undefined;
}

/** One witness: how much higher the lateral heel side stands by it, mm, and how sure that is. */
export interface Witness {
  name: WitnessName;
  d: number;
  sd: number;
}

/** All of them together: precision-weighted, with the spread that tells whether they agree. */
export interface HighSide {
  witnesses: Witness[];
  /** mm at the heels, + = the lateral side stands higher. */
  mean: number;
  sd: number;
  /** Sum of squared distances from the mean over each sd; about n - 1 where they agree. */
  chi2: number;
  n: number;
}

/** Which heel side stands higher, by every sign that was measured; undefined where none was. */
export function highSide(signs: HighSideSigns): HighSide | undefined {
  const { heelsApart, k = 1, wallAbove, heelHeight, hairlineTilt, heelForward, barBend } = signs;
  const { toeQuarterLength } = signs;
  const apart = ({ medial, lateral }: Pair): number => lateral - medial;
  const found: Partial<Record<WitnessName, number>> = {
    ...(wallAbove && { wallAbove: apart(wallAbove) }),
    ...(heelHeight && { heelHeight: apart(heelHeight) }),
    ...(hairlineTilt !== undefined && { hairlineTilt: heelsApart * Math.tan(radians(hairlineTilt)) }),
    ...(heelForward && { heelForward: HEIGHT_OF_FORWARD * apart(heelForward) }),
    ...(barBend && { barBend: apart(barBend) }),
    ...(toeQuarterLength && {
      toeQuarterLength: apart(toeQuarterLength) * Math.sin(radians(toeQuarterLength.wallAngle)),
    }),
  };
  const witnesses = WITNESSES.flatMap((name): Witness[] => {
    const d = found[name];
    return d === undefined ? [] : [{ name, d, sd: WITNESS_SD_MM[name] * k }];
  });
  if (witnesses.length === 0) return undefined;
  const { mean, sd } = combineByPrecision(witnesses.map(({ d, sd: s }) => ({ mean: d, sd: s })));
  const chi2 = witnesses.reduce((sum, one) => sum + ((one.d - mean) / one.sd) ** 2, 0);
  return { witnesses, mean, sd, chi2, n: witnesses.length };
}

/** 95 of 100 spreads of agreeing witnesses stay under this, by how many there are beyond one. Source: chi-square tables. */
const CHI2_95 = [0, 3.84, 5.99, 7.81, 9.49, 11.07];

/** True where the witnesses spread no more than their own sd explains. */
export const witnessesAgree = ({ chi2, n }: HighSide): boolean =>
  n < 2 || chi2 <= (CHI2_95[n - 1] ?? Infinity);

/** Within this many sd of level nothing is called high: 95 of 100. */
const SURE_SD = 1.96;

/** The side that stands higher beyond its doubt, if one does. */
export const sideThatIsHigh = ({ mean, sd }: HighSide): Side | undefined =>
  Math.abs(mean) <= SURE_SD * sd ? undefined : mean > 0 ? "lateral" : "medial";

/**
 * The measure not taken yet that would sharpen the verdict most: the surest one missing. Undefined where every one is there.
 */
export const wouldSettle = (verdict: HighSide | undefined): WitnessName | undefined =>
  WITNESSES.filter((name) => !verdict?.witnesses.some((one) => one.name === name)).reduce<
    WitnessName | undefined
  >((best, name) => (best && WITNESS_SD_MM[best] <= WITNESS_SD_MM[name] ? best : name), undefined);
