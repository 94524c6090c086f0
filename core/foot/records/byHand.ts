import { degrees } from "../../math/angle";
import { isByHand, type FootValues, type Measured, type RearValues, type SideValues } from "../measures";
import type { SoleSurvey } from "../survey/survey";
import type { Reading } from "./reading";

/** Toe quarters stand apart by this part of the foot's width. Assumption, from drawn feet. */
const TOE_QUARTERS_APART_PART = 0.8;

/**
 * The side view with what a hand gives in another way: a gauge on the lower third of the wall makes the dish, the upper
 * angle minus the lower. A dish from a picture stands where the lower wall was not gauged.
 */
export function sideByHand(values: FootValues, side: SideValues = {}): SideValues {
  const { lowerWallAngle: lower } = side;
  const upper = values.dorsalAngle;
  if (!lower || !upper || !isByHand(lower)) return side;
  return { ...side, dish: { value: upper.value - lower.value, source: lower.source } };
}

/**
 * The view from behind with what a hand gives in another way: the hairline's tilt from its heights at both toe quarters
 * and both quarters, atan of the difference over the distance, the mean of the two where both are there. A tilt that was
 * read stands before it. Heel heights are left out: they are a witness of their own.
 */
export function rearByHand(
  reading: Pick<Reading, "rear" | "heights"> | undefined,
  { halfWidth }: Pick<SoleSurvey, "halfWidth">,
  width: number | undefined,
): RearValues {
  const { rear = {}, heights = {} } = reading ?? {};
  if (rear.hairlineTilt) return rear;
  const { medial, lateral } = halfWidth;
  const across = medial !== undefined && lateral !== undefined ? medial + lateral : width;
  if (across === undefined) return rear;
  const tilt = (low: Measured | undefined, high: Measured | undefined, apart: number): number[] =>
    low && high ? [degrees(Math.atan((high.value - low.value) / apart))] : [];
  const found = [
    ...tilt(
      heights.hairlineToeQuarterMedial,
      heights.hairlineToeQuarterLateral,
      TOE_QUARTERS_APART_PART * across,
    ),
    ...tilt(heights.hairlineQuarterMedial, heights.hairlineQuarterLateral, across),
  ];
  if (found.length === 0) return rear;
  const mean = found.reduce((sum, one) => sum + one, 0) / found.length;
  return { ...rear, hairlineTilt: { value: mean, source: "rule" } };
}
