import { fail, ok, type Result } from "../result";
import type { HeightMeasure, RearMeasure, SideMeasure, Source } from "./measures";

/** One measure that a gauge, a rule or a level gives beyond the fast lane, and where in a reading it is kept. */
export interface HandMeasure {
  id: SideMeasure | RearMeasure | HeightMeasure;
  group: "side" | "rear" | "heights";
  kind: "angle" | "length";
  /** With the words medial and lateral in it. */
  name: string;
  how: string;
  /** Outside this no living foot lies; refused. Assumption, wide enough for minis, draught and neglect. */
  living: readonly [least: number, most: number];
  source: Source;
}
/** True for those that can lie on either side of nothing. */
export const isSigned = ({ living }: HandMeasure): boolean => living[0] < 0;

const side = (id: SideMeasure, more: Omit<HandMeasure, "id" | "group">): HandMeasure => ({
  id,
  group: "side",
  ...more,
});
const level = (id: RearMeasure, name: string, how: string): HandMeasure => ({
  id,
  group: "rear",
  kind: "angle",
  name,
  how,
  living: [-30, 30],
  source: "gauge",
});
const height = (id: HeightMeasure, name: string, how: string): HandMeasure => ({
  id,
  group: "heights",
  kind: "length",
  name,
  how,
  living: [5, 200],
  source: "rule",
});
const DOWN = "Rule upright on the ground, up to the hairline";

/** In the order of the hand: the wall from the side, the pastern, the limb from the front, then round the hairline. */
export const HAND_MEASURES: readonly HandMeasure[] = [
  side("lowerWallAngle", {
    kind: "angle",
    name: "Wall angle, lower third",
    how: "Gauge on the lower third of the front wall; upper minus lower is the dish",
    living: [10, 85],
    source: "gauge",
  }),
  side("heelAngle", {
    kind: "angle",
    name: "Heel angle",
    how: "Gauge along the horn of the heel",
    living: [5, 85],
    source: "gauge",
  }),
  side("heelLength", {
    kind: "length",
    name: "Heel length",
    how: "Along the horn, hairline to ground",
    living: [5, 200],
    source: "calliper",
  }),
  side("hairlineAngle", {
    kind: "angle",
    name: "Hairline, slope",
    how: "From the side, hairline at the toe against the ground",
    living: [0, 60],
    source: "gauge",
  }),
  side("pasternLineFromToe", {
    kind: "length",
    name: "Pastern line from the toe",
    how: "Straightedge down the front of the loaded pastern; rule from where it meets the ground to the toe. − is behind the toe",
    living: [-150, 150],
    source: "rule",
  }),
  level("limbDeviation", "Lean of the limb", "Level, from the front; + leans to lateral, − to medial"),
  level(
    "hairlineTilt",
    "Hairline, tilt",
    "Level, from the front; + higher on the lateral side, − on the medial",
  ),
  height("hairlineToeQuarterMedial", "Hairline at the toe quarter, medial", DOWN),
  height("hairlineToeQuarterLateral", "Hairline at the toe quarter, lateral", DOWN),
  height("hairlineQuarterMedial", "Hairline at the quarter, medial", DOWN),
  height("hairlineQuarterLateral", "Hairline at the quarter, lateral", DOWN),
  height("wallToeQuarterMedial", "Wall at the toe quarter, medial", "Along the wall, hairline to ground"),
  height("wallToeQuarterLateral", "Wall at the toe quarter, lateral", "Along the wall, hairline to ground"),
];

/** Refuses what no living foot can have. Path is the measure's id. */
export function checkHandMeasure({ id, name, kind, living }: HandMeasure, value: number): Result<number> {
  const [least, most] = living;
  if (value >= least && value <= most) return ok(value);
  const unit = kind === "angle" ? "°" : " mm";
  return fail(
    "not-living",
    id,
    `${name} ${Number(value.toFixed(1))}${unit} is outside what a foot can have (${least} to ${most}${unit}). Check the ${kind === "angle" ? "gauge" : "unit"}.`,
    value,
  );
}
