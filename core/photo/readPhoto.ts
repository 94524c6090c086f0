import { readLateral, type LateralPoints, type LateralReading } from "../foot/lateral";
import type { Limb } from "../foot/limb";
import { SIZE_ONE_BEARING_MM } from "../foot/parametric/parameters";
import { SIZE_ONE_WIDTH_MM } from "../foot/sizeOne";
import { isFore } from "../foot/limb";
import { readRear, type RearPoints, type RearReading } from "../foot/rear";
import { solarFrame, type FreeMarks, type SolarFrame, type SolarMarks } from "../foot/survey/frame";
import { impossibleMarks, surveySole, withoutNamed, type SoleSurvey } from "../foot/survey/survey";
import { surveyNumbers } from "../foot/survey/numbers";
import { distance, type Vector } from "../geometry/vector";
import { ok, type Issue, type Result } from "../result";
import { SIDE_MARKS } from "./views";
import { bandsOf, truePhoto, type Bands, type MarkedPhoto, type TruePhoto } from "./truePhoto";

export interface SolePhotoReading {
  photo: TruePhoto;
  frame?: SolarFrame;
  marks: SolarMarks;
  survey: SoleSurvey;
  bands: Bands;
  issues: Issue[];
}

/** The size factor that a sole picture itself shows: its widest points lie in the card's plane. */
function sizeInPicture(photo: MarkedPhoto, limb: Limb, known: number | undefined): number {
  const flat = truePhoto(photo, 1);
  const [a, b] = flat.ok ? [flat.value.marks["wideMedial"], flat.value.marks["wideLateral"]] : [];
  if (a && b) return distance(a.mm, b.mm) / SIZE_ONE_WIDTH_MM[isFore(limb) ? "fore" : "hind"];
  return known ?? 1;
}

/**
 * A sole surveyed from a picture. Impossible marks are named and left out; the rest still works. `handSdMm` is how
 * exactly the hand places a mark. Errors: those of the scale.
 */
export function readSolePhoto(
  photo: MarkedPhoto,
  limb: Limb,
  handSdMm: number,
  knownK?: number,
): Result<SolePhotoReading> {
  const found = truePhoto(photo, sizeInPicture(photo, limb, knownK));
  if (!found.ok) return found;
  const read = (points: Partial<Record<string, Vector>>) => {
    const frame = solarFrame(points as FreeMarks);
    if (!("marks" in frame))
      return { frame: undefined, marks: {}, survey: surveySole({}, limb), issues: frame.issues };
    const issues = [...frame.issues, ...impossibleMarks(frame.marks)];
    const marks = withoutNamed(frame.marks, issues);
    return { frame, marks, survey: surveySole(marks, limb, knownK), issues };
  };
  const points = Object.fromEntries(
    Object.entries(found.value.marks).flatMap(([name, mark]) => (mark ? [[name, mark.mm]] : [])),
  );
  const { frame, ...rest } = read(points);
  const bands = bandsOf(found.value.marks, handSdMm, (moved) => surveyNumbers(read(moved).survey));
  return ok({ photo: found.value, ...rest, ...(frame && { frame }), bands });
}

export interface SidePhotoReading {
  photo: TruePhoto;
  reading?: LateralReading;
  bands: Bands;
  issues: Issue[];
}

/** A side view read from a picture; complete only when every mark is placed. */
export function readSidePhoto(
  photo: MarkedPhoto,
  handSdMm: number,
  knownK?: number,
): Result<SidePhotoReading> {
  const rough = truePhoto(photo, 1);
  if (!rough.ok) return rough;
  const { heel, toe } = rough.value.marks;
  const k = knownK ?? (heel && toe ? distance(heel.mm, toe.mm) / SIZE_ONE_BEARING_MM : 1);
  const found = truePhoto(photo, k);
  if (!found.ok) return found;
  if (SIDE_MARKS.some((mark) => !found.value.marks[mark]))
    return ok({ photo: found.value, bands: {}, issues: [] });
  const read = (points: Partial<Record<string, Vector>>) => readLateral(points as unknown as LateralPoints);
  const points = Object.fromEntries(SIDE_MARKS.map((mark) => [mark, found.value.marks[mark]?.mm]));
  const reading = read(points as Record<string, Vector>);
  if (!reading.ok) return ok({ photo: found.value, bands: {}, issues: reading.issues });
  const bands = bandsOf(found.value.marks, handSdMm, (moved): Record<string, number> => {
    const again = read(moved);
    if (!again.ok) return {};
    const { underrun, ...numbers } = again.value;
    return underrun ? numbers : numbers;
  });
  return ok({ photo: found.value, reading: reading.value, bands, issues: [] });
}

export interface RearPhotoReading {
  photo: TruePhoto;
  reading?: RearReading;
  bands: Bands;
  issues: Issue[];
}

/** A view from behind read from a picture. */
export function readRearPhoto(photo: MarkedPhoto, handSdMm: number, k = 1): Result<RearPhotoReading> {
  const found = truePhoto(photo, k);
  if (!found.ok) return found;
  const points = Object.fromEntries(
    Object.entries(found.value.marks).flatMap(([name, mark]) => (mark ? [[name, mark.mm]] : [])),
  );
  const wanted = ["heelMedial", "heelLateral", "hairlineMedial", "hairlineLateral"];
  if (wanted.some((mark) => !points[mark])) return ok({ photo: found.value, bands: {}, issues: [] });
  const reading = readRear(points as unknown as RearPoints);
  if (!reading.ok) return ok({ photo: found.value, bands: {}, issues: reading.issues });
  const bands = bandsOf(found.value.marks, handSdMm, (moved): Record<string, number | undefined> => {
    const again = readRear(moved as unknown as RearPoints);
    return again.ok ? { ...again.value } : {};
  });
  return ok({ photo: found.value, reading: reading.value, bands, issues: [] });
}
