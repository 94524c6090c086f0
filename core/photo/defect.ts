import { distance, dot, minus, times, type Vector } from "../geometry/vector";
import { ok, type Result } from "../result";
import { bandsOf, truePhoto, type Bands, type MarkedPhoto, type TruePhoto } from "./truePhoto";

/** Size of a defect in the wall and where it stands, mm along the wall; what its marks do not give is missing. */
export interface DefectSize {
  length?: number;
  width?: number;
  /** Its upper end from the hairline, and its lower end from the ground. */
  below?: number;
  above?: number;
}

/** A defect's size from its marks in mm. */
export function defectSize(points: Partial<Record<string, Vector>>): DefectSize {
  const { hairline, ground, defectUpper, defectLower, defectFront, defectBack } = points;
  const size: DefectSize = {};
  if (defectUpper && defectLower) size.length = distance(defectUpper, defectLower);
  if (defectFront && defectBack) size.width = distance(defectFront, defectBack);
  const down = hairline && (ground ?? defectLower) && along(hairline, ground ?? defectLower);
  if (down && hairline && defectUpper) size.below = dot(minus(defectUpper, hairline), down);
  if (down && ground && defectLower) size.above = dot(minus(ground, defectLower), down);
  return size;
}

const along = (from: Vector, to: Vector | undefined): Vector | undefined =>
  to && distance(from, to) > 0 ? times(minus(to, from), 1 / distance(from, to)) : undefined;

/** A defect measured in a picture, with the bands of its numbers. Errors: those of the scale. */
export function readDefectPhoto(
  photo: MarkedPhoto,
  handSdMm: number,
): Result<{ photo: TruePhoto; defect: DefectSize; bands: Bands }> {
  const found = truePhoto(photo, 1);
  if (!found.ok) return found;
  const points = Object.fromEntries(
    Object.entries(found.value.marks).flatMap(([name, mark]) => (mark ? [[name, mark.mm]] : [])),
  );
  const bands = bandsOf(found.value.marks, handSdMm, (moved) => ({ ...defectSize(moved) }));
  return ok({ photo: found.value, defect: defectSize(points), bands });
}
