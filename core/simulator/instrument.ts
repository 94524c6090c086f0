import { GENERAL_NOISE, sdOfSmallestChange } from "../repeatability/repeatability";
import { growFoot } from "../foot/parametric/cut";
import { soleLandmarks } from "../foot/parametric/landmarks";
import { bearingLengthOf, type FootParameters } from "../foot/parametric/parameters";
import type { Measure } from "../foot/measures";
import type { CalliperLength } from "../foot/survey/calliper";
import { writeInstrumentLine } from "../instrument/line";
import { normalDraw, type Random } from "../math/random";

/** The foot that a stand-in instrument is held to: as the last visit left it, grown since. It is no real foot. */
export function standInFoot(left: FootParameters, hornMm: number): FootParameters {
  const grown = growFoot(left, { hornMm, driftDeg: -0.2 * hornMm });
  return grown.ok ? grown.value : left;
}

/** The true value of a measure on the stand-in foot, mm or deg. */
export function trueMeasure(foot: FootParameters, measure: Measure): number {
  const values: Record<Measure, number> = {
    dorsalAngle: foot.dorsalAngleDeg,
    pasternAngle: foot.pasternAngleDeg,
    toeLength: foot.toeLengthMm,
    heelHeightMedial: foot.heelHeightMm.medial,
    heelHeightLateral: foot.heelHeightMm.lateral,
    bearingLength: bearingLengthOf(foot),
    width: foot.widthMm,
  };
  return values[measure];
}

/** The true length of one step of the calliper's list, mm. */
export const trueLength = (foot: FootParameters, length: Pick<CalliperLength, "mark" | "axis">): number =>
  Math.abs(soleLandmarks(foot)[length.mark][length.axis === "x" ? 0 : 1]);

/** What a stand-in instrument sends for a true value: the hand's own noise on it, as a line of the protocol. */
export function standInLine(kind: "angle" | "length", truth: number, random: Random): string {
  const { angleDeg, lengthMm } = GENERAL_NOISE.value;
  const sd = sdOfSmallestChange(kind === "angle" ? angleDeg : lengthMm);
  return writeInstrumentLine({ kind, value: Math.max(0, normalDraw(random, truth, sd)) });
}
