import type { Side } from "../limb";

/** The marks of a sole survey, in the order in which a hand finds them on a cleaned foot. */
export const SURVEY_MARKS = [
  "sulcusBack",
  "sulcusFront",
  "frogApex",
  "frogMedial",
  "frogLateral",
  "heelMedial",
  "heelLateral",
  "wideMedial",
  "wideLateral",
  "toe",
  "toeQuarterMedial",
  "toeQuarterLateral",
  "cornMedial",
  "cornLateral",
  "barMedial",
  "barLateral",
  "barEndMedial",
  "barEndLateral",
] as const;
export type SurveyMark = (typeof SURVEY_MARKS)[number];

/** Marks that a survey can do without. */
export const OPTIONAL_MARKS = [
  "cornMedial",
  "cornLateral",
  "barMedial",
  "barLateral",
  "barEndMedial",
  "barEndLateral",
] as const satisfies SurveyMark[];

export const isOptional = (mark: SurveyMark): boolean => (OPTIONAL_MARKS as readonly string[]).includes(mark);

/** Which side a mark belongs to; marks of the midline belong to none. */
export function sideOfMark(mark: SurveyMark): Side | undefined {
  if (mark.endsWith("Medial")) return "medial";
  return mark.endsWith("Lateral") ? "lateral" : undefined;
}

interface MarkFacts {
  /** With the words medial and lateral in it, to be put in the user's own terms. */
  name: string;
  find: string;
}

export const MARK_FACTS: Record<SurveyMark, MarkFacts> = {
  sulcusBack: { name: "Sulcus, back end", find: "The hindmost end of the central sulcus, between the bulbs" },
  sulcusFront: {
    name: "Sulcus, front end",
    find: "Where the central sulcus ends towards the point of the frog",
  },
  frogApex: { name: "Point of the frog", find: "The tip of the frog, loose horn lifted" },
  frogMedial: { name: "Frog, widest medial", find: "The widest place of the frog, medial edge" },
  frogLateral: { name: "Frog, widest lateral", find: "The widest place of the frog, lateral edge" },
  heelMedial: { name: "Heel, medial", find: "Hindmost bearing of the medial heel buttress" },
  heelLateral: { name: "Heel, lateral", find: "Hindmost bearing of the lateral heel buttress" },
  wideMedial: { name: "Widest part, medial", find: "The medial wall where the foot is widest" },
  wideLateral: { name: "Widest part, lateral", find: "The lateral wall where the foot is widest" },
  toe: { name: "Toe", find: "The foremost bearing of the wall, on the midline" },
  toeQuarterMedial: {
    name: "Toe quarter, medial",
    find: "On the medial edge, half way between the true apex and the front of the live sole",
  },
  toeQuarterLateral: {
    name: "Toe quarter, lateral",
    find: "On the lateral edge, half way between the true apex and the front of the live sole",
  },
  cornMedial: { name: "Seat of corn, medial", find: "The angle between wall and bar, medial" },
  cornLateral: { name: "Seat of corn, lateral", find: "The angle between wall and bar, lateral" },
  barMedial: { name: "Bar's bend, medial", find: "Where the medial bar bends most" },
  barLateral: { name: "Bar's bend, lateral", find: "Where the lateral bar bends most" },
  barEndMedial: { name: "Bar's end, medial", find: "Where the medial bar ends beside the frog" },
  barEndLateral: { name: "Bar's end, lateral", find: "Where the lateral bar ends beside the frog" },
};

/** Marks of one side with the same mark of the other. */
export const MARK_PAIRS = [
  ["frogMedial", "frogLateral"],
  ["heelMedial", "heelLateral"],
  ["wideMedial", "wideLateral"],
  ["toeQuarterMedial", "toeQuarterLateral"],
  ["cornMedial", "cornLateral"],
  ["barMedial", "barLateral"],
  ["barEndMedial", "barEndLateral"],
] as const satisfies (readonly [SurveyMark, SurveyMark])[];
