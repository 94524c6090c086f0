import { fail, ok, type Result } from "../../result";
import type { SurveyMark } from "./marks";

/** One length of the sole as a calliper takes it: one coordinate of one mark. */
export interface CalliperLength {
  id: string;
  /** With the words medial and lateral in it. */
  name: string;
  how: string;
  mark: SurveyMark;
  axis: "x" | "y";
  /** Kept with this sign: medial lies at negative x. */
  sign: 1 | -1;
}

const length = (mark: SurveyMark, axis: "x" | "y", name: string, how: string): CalliperLength => ({
  id: `${mark}.${axis}`,
  name,
  how,
  mark,
  axis,
  sign: axis === "x" && mark.endsWith("Medial") ? -1 : 1,
});

/** In the order in which one measures: along the midline from the back, then each level out to both sides. */
export const CALLIPER_LENGTHS: readonly CalliperLength[] = [
  length(
    "sulcusFront",
    "y",
    "Sulcus, back to front",
    "From the hindmost end of the central sulcus to its front end",
  ),
  length("frogApex", "y", "Back of sulcus to point of frog", "Along the midline, loose horn lifted"),
  length("toe", "y", "Back of sulcus to toe", "Along the midline to the foremost bearing of the wall"),
  length(
    "heelMedial",
    "y",
    "Heel ahead of sulcus, medial",
    "How far the medial heel bears ahead of the back of the sulcus",
  ),
  length(
    "heelLateral",
    "y",
    "Heel ahead of sulcus, lateral",
    "How far the lateral heel bears ahead of the back of the sulcus",
  ),
  length(
    "wideMedial",
    "y",
    "Back of sulcus to widest, medial",
    "Along the midline to the level of the widest place",
  ),
  length(
    "wideLateral",
    "y",
    "Back of sulcus to widest, lateral",
    "Along the midline to the level of the widest place",
  ),
  length("wideMedial", "x", "Midline to widest, medial", "Across, to the outside of the wall"),
  length("wideLateral", "x", "Midline to widest, lateral", "Across, to the outside of the wall"),
  length("heelMedial", "x", "Midline to heel, medial", "Across, to the middle of the buttress"),
  length("heelLateral", "x", "Midline to heel, lateral", "Across, to the middle of the buttress"),
  length("frogMedial", "x", "Midline to frog’s edge, medial", "At the widest of the frog"),
  length("frogLateral", "x", "Midline to frog’s edge, lateral", "At the widest of the frog"),
  length(
    "barEndMedial",
    "y",
    "Back of sulcus to bar’s end, medial",
    "Along the midline to where the bar ends",
  ),
  length(
    "barEndLateral",
    "y",
    "Back of sulcus to bar’s end, lateral",
    "Along the midline to where the bar ends",
  ),
];

/** No foot measures more than this from the back of its sulcus, mm. Assumption, wide enough for draught and neglect. */
const MOST_MM = 260;

/** Refuses what no living sole can have. Path is the length's id. */
export function checkCalliper({ id, name }: Pick<CalliperLength, "id" | "name">, mm: number): Result<number> {
  if (mm >= 0 && mm <= MOST_MM) return ok(mm);
  return fail(
    "not-living",
    id,
    `${name}: ${Math.round(mm)} mm is outside what a foot can have (0 to ${MOST_MM} mm). Check the unit.`,
    mm,
  );
}
