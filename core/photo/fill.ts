import { sideOfMark } from "../foot/survey/marks";
import type { Measured, RearValues, SideValues, Source, FootValues } from "../foot/measures";
import { isByHand, SIDE_MEASURES } from "../foot/measures";
import { recordOfMarks } from "../foot/records/keptSurvey";
import type { Limb } from "../foot/limb";
import type { SolarFrame } from "../foot/survey/frame";
import type { SolarPoint } from "../geometry/vector";
import { radians } from "../math/angle";
import type { SoleRecord } from "../foot/records/reading";
import { readDefectPhoto } from "./defect";
import { ok, type Issue, type Result } from "../result";
import { readRearPhoto, readSidePhoto, readSolePhoto } from "./readPhoto";
import { truePhoto, type Bands, type MarkedPhoto, type TruePhoto } from "./truePhoto";

/** The parts of a reading that a picture can fill. */
export interface Filled {
  values: FootValues;
  sole: SoleRecord;
  side: SideValues;
  rear: RearValues;
  /** Edge of the live sole as traced, solar frame, mm, medial heel round the toe to lateral heel. */
  trace: [number, number][];
}

/** Points of a traced edge are named by this and their number. */
export const TRACE = "trace ";

/** What a picture says: the parts it fills, each number with its band, and what is wrong with its marks. */
export interface PhotoReading {
  photo: TruePhoto;
  filled: Filled;
  /** Number by name with the half width of its 95 % band. */
  numbers: { name: string; value: number; unit: "°" | "mm"; band: number }[];
  bands: Bands;
  issues: Issue[];
  lateralTo?: 1 | -1;
}

/** How exactly a hand places a mark on a picture, mm. Assumption, until the hand's own repeatability is known. */
export const HAND_SD_MM = 1;

const tidy = (value: number): number => Math.round(value * 100) / 100 + 0;

/**
 * Reads a marked picture and fills a reading with it. What was taken by gauge or calliper stays; everything else that
 * the picture tells is replaced, so that a mark moved later is followed everywhere. Errors: those of the scale.
 */
export function fillFromPhoto(
  photo: MarkedPhoto,
  limb: Limb,
  now: Filled,
  knownK: number | undefined,
  source: Extract<Source, "photo" | "simulated">,
): Result<PhotoReading> {
  const put = <Values extends Partial<Record<string, Measured | undefined>>>(
    into: Values,
    name: keyof Values & string,
    value: number,
  ): Values => (isByHand(into[name]) ? into : { ...into, [name]: { value: tidy(value), source } });
  if (photo.view === "sole") {
    const found = readSolePhoto(photo, limb, HAND_SD_MM, knownK);
    if (!found.ok) return found;
    const { marks, survey, bands, issues, frame } = found.value;
    const sole: SoleRecord = { ...now.sole };
    for (const [mark, read] of Object.entries(recordOfMarks(marks, source)) as [
      keyof SoleRecord,
      SoleRecord[keyof SoleRecord],
    ][]) {
      const kept = sole[mark];
      sole[mark] = {
        ...read,
        ...(isByHand(kept?.x) && { x: kept?.x }),
        ...(isByHand(kept?.y) && { y: kept?.y }),
      };
    }
    const values = survey.width === undefined ? now.values : put(now.values, "width", survey.width);
    const trace = frame ? tracedEdge(photo, found.value.photo, frame) : [];
    return ok({
      photo: found.value.photo,
      filled: { ...now, sole, values, trace: trace.length > 0 ? trace : now.trace },
      numbers: numbersOf(bands, [
        ["Width", survey.width, "mm", "width"],
        ["Sulcus", survey.sulcus, "mm", "sulcus"],
        ["COR ahead of sulcus", survey.cor?.median, "mm", "cor"],
        ["Front half", survey.front, "mm", "front"],
        ["Support", survey.support, "mm", "support"],
        ["Heel ahead, medial", survey.heelForward.medial, "mm", "heelForwardMedial"],
        ["Heel ahead, lateral", survey.heelForward.lateral, "mm", "heelForwardLateral"],
      ]),
      bands,
      issues,
      ...(frame && { lateralTo: frame.lateralTo }),
    });
  }
  if (photo.view === "side") {
    const found = readSidePhoto(photo, HAND_SD_MM, knownK);
    if (!found.ok) return found;
    const { reading, bands, issues } = found.value;
    if (!reading) return ok({ photo: found.value.photo, filled: now, numbers: [], bands, issues });
    let values = now.values;
    values = put(values, "dorsalAngle", reading.dorsalAngle);
    values = put(values, "pasternAngle", reading.pasternAngle);
    values = put(values, "toeLength", reading.toeLength);
    values = put(values, "bearingLength", reading.bearingLength);
    values = put(values, "heelHeightLateral", reading.heelLength * Math.sin(radians(reading.heelAngle)));
    let side = now.side;
    const told = { ...reading, lowerWallAngle: reading.dorsalAngle - reading.dish };
    for (const measure of SIDE_MEASURES) side = put(side, measure, told[measure]);
    return ok({
      photo: found.value.photo,
      filled: { ...now, values, side },
      numbers: numbersOf(bands, [
        ["Dorsal angle", reading.dorsalAngle, "°", "dorsalAngle"],
        ["Pastern angle", reading.pasternAngle, "°", "pasternAngle"],
        ["Axis", reading.axis, "°", "axis"],
        ["Heel angle", reading.heelAngle, "°", "heelAngle"],
        ["Hairline angle", reading.hairlineAngle, "°", "hairlineAngle"],
        ["Dish", reading.dish, "°", "dish"],
        ["Toe length", reading.toeLength, "mm", "toeLength"],
        ["Bearing length", reading.bearingLength, "mm", "bearingLength"],
      ]),
      bands,
      issues,
    });
  }
  if (photo.view === "defect") return defectIn(photo, now);
  if (photo.view === "front") {
    const found = truePhoto(photo, knownK ?? 1);
    return found.ok ? ok({ photo: found.value, filled: now, numbers: [], bands: {}, issues: [] }) : found;
  }
  const found = readRearPhoto(photo, HAND_SD_MM, knownK);
  if (!found.ok) return found;
  const { reading, bands, issues } = found.value;
  if (!reading) return ok({ photo: found.value.photo, filled: now, numbers: [], bands, issues });
  let values = put(now.values, "heelHeightMedial", reading.heelHeightMedial);
  values = put(values, "heelHeightLateral", reading.heelHeightLateral);
  let rear = put(now.rear, "hairlineTilt", reading.hairlineTilt);
  if (reading.limbDeviation !== undefined) rear = put(rear, "limbDeviation", reading.limbDeviation);
  return ok({
    photo: found.value.photo,
    filled: { ...now, values, rear },
    numbers: numbersOf(bands, [
      ["Heel height, medial", reading.heelHeightMedial, "mm", "heelHeightMedial"],
      ["Heel height, lateral", reading.heelHeightLateral, "mm", "heelHeightLateral"],
      ["Hairline tilt", reading.hairlineTilt, "°", "hairlineTilt"],
      ["Limb’s lean", reading.limbDeviation, "°", "limbDeviation"],
    ]),
    bands,
    issues,
  });
}

/** A defect's size; it fills no reading. */
function defectIn(photo: MarkedPhoto, now: Filled): Result<PhotoReading> {
  const found = readDefectPhoto(photo, HAND_SD_MM);
  if (!found.ok) return found;
  const { defect, bands } = found.value;
  return ok({
    photo: found.value.photo,
    filled: now,
    numbers: numbersOf(bands, [
      ["Length", defect.length, "mm", "length"],
      ["Width", defect.width, "mm", "width"],
      ["Below the hairline", defect.below, "mm", "below"],
      ["Above the ground", defect.above, "mm", "above"],
    ]),
    bands,
    issues: [],
  });
}

/** The traced points in the solar frame, in order round the toe whatever the order in which they were tapped. */
function tracedEdge(photo: MarkedPhoto, made: TruePhoto, frame: SolarFrame): [number, number][] {
  const points = Object.entries(photo.points).flatMap(([name, at]) =>
    name.startsWith(TRACE) && at ? [frame.toSolar(made.toMm(at))] : [],
  );
  const middle = points.reduce((sum, [, y]) => sum + y / points.length, 0);
  const round = ([x, y]: SolarPoint) => Math.atan2(x, y - middle);
  return points.sort((a, b) => round(a) - round(b)).map(([x, y]) => [tidy(x), tidy(y)]);
}

function numbersOf(
  bands: Bands,
  rows: readonly (readonly [name: string, value: number | undefined, unit: "°" | "mm", key: string])[],
): PhotoReading["numbers"] {
  return rows.flatMap(([name, value, unit, key]) =>
    value === undefined ? [] : [{ name, value, unit, band: bands[key] ?? 0 }],
  );
}

/** The two marks of a pair by the names of their sides, for a picture whose medial and lateral were swapped. */
export const otherSide = (mark: string): string | undefined => {
  const side = sideOfMark(mark as Parameters<typeof sideOfMark>[0]);
  if (!side) return undefined;
  return side === "medial" ? mark.replace(/Medial$/, "Lateral") : mark.replace(/Lateral$/, "Medial");
};

/** The same marks with medial and lateral changed over. */
export const sidesChanged = <T>(points: Partial<Record<string, T>>): Partial<Record<string, T>> =>
  Object.fromEntries(Object.entries(points).map(([mark, at]) => [otherSide(mark) ?? mark, at]));
