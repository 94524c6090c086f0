import { fail, ok, type Result } from "../result";

/** The measures of the fast lane, in the order in which a hand takes them. */
export const MEASURES = [
  "dorsalAngle",
  "pasternAngle",
  "toeLength",
  "heelHeightMedial",
  "heelHeightLateral",
  "bearingLength",
  "width",
] as const;
export type Measure = (typeof MEASURES)[number];

/**
 * How a value was come by. An estimate is drawn pale and called one; `drawn` was dragged on the drawing; `simulated`
 * came from a stand-in instrument and says nothing about a real foot.
 */
export const SOURCES = ["gauge", "calliper", "rule", "photo", "drawn", "estimate", "simulated"] as const;
export type Source = (typeof SOURCES)[number];
/** Those that a hand may choose for a number it has typed. */
export const HAND_SOURCES = ["gauge", "calliper", "rule", "photo", "estimate"] as const satisfies Source[];

/** True for what a tool held to the horse gave: it outranks a picture. */
export const isByHand = (measured: { source: Source } | undefined): boolean =>
  measured !== undefined && ["gauge", "calliper", "rule"].includes(measured.source);

export interface Measured {
  value: number;
  source: Source;
}

/** What was taken from one foot: a missing measure is missing, not zero. Lengths mm, angles deg. */
export type FootValues = Partial<Record<Measure, Measured | undefined>>;

/** What only a side view tells, kept beside the measures of the fast lane. */
export const SIDE_MEASURES = [
  "lowerWallAngle",
  "dish",
  "heelAngle",
  "hairlineAngle",
  "heelLength",
  "pasternLineFromToe",
] as const;
export type SideMeasure = (typeof SIDE_MEASURES)[number];
export type SideValues = Partial<Record<SideMeasure, Measured | undefined>>;

/** What only a view from behind tells. */
export const REAR_MEASURES = ["hairlineTilt", "limbDeviation"] as const;
export type RearMeasure = (typeof REAR_MEASURES)[number];
export type RearValues = Partial<Record<RearMeasure, Measured | undefined>>;

/** Heights and lengths of the wall round the front of the foot, by rule. */
export const HEIGHT_MEASURES = [
  "hairlineToeQuarterMedial",
  "hairlineToeQuarterLateral",
  "hairlineQuarterMedial",
  "hairlineQuarterLateral",
  "wallToeQuarterMedial",
  "wallToeQuarterLateral",
] as const;
export type HeightMeasure = (typeof HEIGHT_MEASURES)[number];

interface MeasureFacts {
  kind: "angle" | "length";
  name: string;
  /** Outside this no living foot lies; refused. */
  living: readonly [number, number];
  /** A change since the last visit beyond this is asked about once. */
  oddChange: number;
  usualSource: Source;
  how: string;
}

const angle = (name: string, living: readonly [number, number], how: string): MeasureFacts => ({
  kind: "angle",
  name,
  living,
  oddChange: 8,
  usualSource: "gauge",
  how,
});
const span = (name: string, living: readonly [number, number], how: string): MeasureFacts => ({
  kind: "length",
  name,
  living,
  oddChange: 15,
  usualSource: "calliper",
  how,
});

/** Names, living ranges and how each is taken. Ranges: assumption, wide enough for minis, draught and neglect. */
export const MEASURE_FACTS: Record<Measure, MeasureFacts> = {
  dorsalAngle: angle("Dorsal angle", [20, 80], "Gauge on the upper half of the wall"),
  pasternAngle: angle("Pastern angle", [20, 85], "Front line of the pastern, cannon upright, foot loaded"),
  toeLength: span("Toe length", [30, 250], "Hairline to ground along the middle of the wall"),
  heelHeightMedial: span("Heel height, medial", [2, 150], "Hairline straight down to the ground"),
  heelHeightLateral: span("Heel height, lateral", [2, 150], "Hairline straight down to the ground"),
  bearingLength: span("Bearing length", [40, 260], "Heel to toe along the ground"),
  width: span("Width", [40, 300], "Across the widest part of the foot"),
};

/** Refuses what no living foot can have. Path is the measure's name. */
export function checkMeasure(measure: Measure, value: number): Result<number> {
  const { living, name, kind } = MEASURE_FACTS[measure];
  const [least, most] = living;
  if (value >= least && value <= most) return ok(value);
  const unit = kind === "angle" ? "°" : " mm";
  const shown = `${Number(value.toFixed(1))}${unit}`;
  const range = `${least} to ${most}${unit}`;
  const mend = kind === "angle" ? "Check the gauge." : "Check the unit.";
  return fail(
    "not-living",
    measure,
    `${name} ${shown} is outside what a foot can have (${range}). ${mend}`,
    value,
  );
}
