import { axisChangeNoise } from "../axis";
import { HAND_MEASURES } from "../handMeasures";
import type { Limb } from "../limb";
import { MEASURE_FACTS, MEASURES, type Measured } from "../measures";
import { WALL_MEASURES, WALL_PLACE_NAMES, WALL_PLACES } from "../survey/walls";
import type { SoleSurvey } from "../survey/survey";
import type { Noise } from "../../repeatability/repeatability";
import { surveyOfRecord } from "./keptSurvey";
import type { Reading } from "./reading";

/** One number of a reading that can be followed over the visits. */
export interface TrendMeasure {
  id: string;
  /** With the words medial and lateral in it. */
  name: string;
  group: string;
  kind: "angle" | "length" | "ratio";
  /** The smallest change of it that is more than measuring, in its own unit; undefined where none is known. */
  noise: (noise: Noise) => number | undefined;
  of: (reading: Reading) => number | undefined;
}

const byKind = (kind: TrendMeasure["kind"]) => (noise: Noise) =>
  kind === "angle" ? noise.angleDeg : kind === "length" ? noise.lengthMm : undefined;
const plain = (
  group: string,
  id: string,
  name: string,
  kind: TrendMeasure["kind"],
  of: TrendMeasure["of"],
): TrendMeasure => ({ id, name, group, kind, of, noise: byKind(kind) });

const minus = (a: number | undefined, b: number | undefined): number | undefined =>
  a === undefined || b === undefined ? undefined : a - b;

/** A survey's numbers with a name of their own; a difference of two marks carries the noise of both. */
const SURVEY_TRENDS: readonly [id: string, name: string, of: (survey: SoleSurvey) => number | undefined][] = [
  ["front", "Front, toe ahead of the centre of rotation", ({ front }) => front],
  ["support", "Support, centre of rotation ahead of the heels", ({ support }) => support],
  ["footLength", "Length of the foot", ({ footLength }) => footLength],
  ["sulcus", "Length of the sulcus", ({ sulcus }) => sulcus],
  ["heelForwardMedial", "Heel ahead of the sulcus, medial", ({ heelForward }) => heelForward.medial],
  ["heelForwardLateral", "Heel ahead of the sulcus, lateral", ({ heelForward }) => heelForward.lateral],
  ["halfMedial", "Half width, medial", ({ halfWidth }) => halfWidth.medial],
  ["halfLateral", "Half width, lateral", ({ halfWidth }) => halfWidth.lateral],
  [
    "heelsApart",
    "Heels apart",
    ({ heelHalfWidth: { medial, lateral } }) =>
      medial === undefined || lateral === undefined ? undefined : medial + lateral,
  ],
  ["barBendMedial", "Bend of the bar, medial", ({ barBend }) => barBend.medial],
  ["barBendLateral", "Bend of the bar, lateral", ({ barBend }) => barBend.lateral],
];

const surveyOf = (reading: Reading): SoleSurvey | undefined =>
  Object.keys(reading.sole).length > 0 ? surveyOfRecord(reading.sole, reading.limb).survey : undefined;

/** Every number that a reading keeps, in the order in which it is taken, and the differences that are judged by. */
export const TREND_MEASURES: readonly TrendMeasure[] = [
  ...MEASURES.map((measure) =>
    plain(
      "Pad",
      measure,
      MEASURE_FACTS[measure].name,
      MEASURE_FACTS[measure].kind,
      ({ values }) => values[measure]?.value,
    ),
  ),
  {
    id: "axis",
    name: "Axis",
    group: "Pad",
    kind: "angle",
    noise: ({ angleDeg }) => axisChangeNoise(angleDeg),
    of: ({ values }) => minus(values.dorsalAngle?.value, values.pasternAngle?.value),
  },
  {
    id: "heelDifference",
    name: "Heel difference, lateral less medial",
    group: "Pad",
    kind: "length",
    noise: ({ lengthMm }) => Math.SQRT2 * lengthMm,
    of: ({ values }) => minus(values.heelHeightLateral?.value, values.heelHeightMedial?.value),
  },
  ...HAND_MEASURES.map(({ id, name, kind, group }) =>
    plain(
      "By hand",
      id,
      name,
      kind,
      (reading) => (reading[group] as Partial<Record<string, Measured>> | undefined)?.[id]?.value,
    ),
  ),
  plain("By hand", "dish", "Dish", "angle", ({ side }) => side.dish?.value),
  ...SURVEY_TRENDS.map(([id, name, of]) =>
    plain("Sole", id, name, "length", (reading) => {
      const survey = surveyOf(reading);
      return survey && of(survey);
    }),
  ),
  plain(
    "Sole",
    "frogWidthRatio",
    "Frog width over sulcus",
    "ratio",
    (reading) => surveyOf(reading)?.frogWidthRatio,
  ),
  plain(
    "Sole",
    "frogStretch",
    "Frog beyond its true apex",
    "ratio",
    (reading) => surveyOf(reading)?.frogStretch,
  ),
  ...WALL_PLACES.flatMap((place) =>
    (["thickness", "above", "whiteLine"] as const).map((column) =>
      plain(
        "Walls",
        `${place}.${column}`,
        `${WALL_MEASURES[column].name}, ${WALL_PLACE_NAMES[place].toLowerCase()}`,
        "length",
        ({ walls }) => walls[place]?.[column],
      ),
    ),
  ),
  plain("Depths", "sulcusDepthMm", "Sulcus depth", "length", ({ sulcusDepthMm }) => sulcusDepthMm),
  plain("Depths", "chalkMm", "Chalk pared", "length", ({ chalkMm }) => chalkMm),
  plain("Depths", "stepMm", "Wall over the sole", "length", ({ stepMm }) => stepMm),
  plain("Depths", "frogProudMm", "Frog against the heels", "length", ({ frogProudMm }) => frogProudMm),
];

/** One visit: a value before and after; each can be missing. */
export interface TrendVisit {
  date: string;
  before?: number;
  after?: number;
}

/** How one measure of one foot has gone, oldest first; visits at which it was not taken are left out. */
export function trendVisits(
  readings: readonly Reading[],
  limb: Limb,
  { of }: Pick<TrendMeasure, "of">,
): TrendVisit[] {
  const visits = new Map<string, TrendVisit>();
  for (const reading of readings) {
    if (reading.limb !== limb) continue;
    const value = of(reading);
    if (value === undefined) continue;
    const visit = visits.get(reading.visitId) ?? { date: reading.date };
    visits.set(reading.visitId, { ...visit, [reading.moment]: value });
  }
  return [...visits.values()].sort((a, b) => a.date.localeCompare(b.date));
}

/** The measures that were ever taken of one foot. */
export const trendsOfFoot = (readings: readonly Reading[], limb: Limb): TrendMeasure[] => {
  const own = readings.filter((one) => one.limb === limb);
  return TREND_MEASURES.filter(({ of }) => own.some((reading) => of(reading) !== undefined));
};
