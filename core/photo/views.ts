import { REAR_MARKS } from "../foot/rear";
import { isOptional, MARK_FACTS, SURVEY_MARKS, type SurveyMark } from "../foot/survey/marks";
import type { LateralPoints } from "../foot/lateral";

/** The three pictures by which a foot is measured. */
export const MEASURED_VIEWS = ["sole", "side", "rear"] as const;
export type MeasuredView = (typeof MEASURED_VIEWS)[number];
/** With the two that a case wants besides: they are compared, and a defect is measured, but they read no foot. */
export const PHOTO_VIEWS = [...MEASURED_VIEWS, "front", "defect"] as const;
export type PhotoView = (typeof PHOTO_VIEWS)[number];
export const isMeasured = (view: PhotoView): view is MeasuredView =>
  MEASURED_VIEWS.includes(view as MeasuredView);

export const PHOTO_VIEW_FACTS: Record<PhotoView, { name: string; card: string; take: string }> = {
  sole: {
    name: "Sole",
    card: "Lay the card flat against the bearing surface, beside the foot.",
    take: "Look straight onto the sole, from 1.5 m or more with the zoom, toe up.",
  },
  side: {
    name: "From the outside",
    card: "Stand the card upright in front of the toe, on the foot’s centre plane.",
    take: "Camera low, level with the hairline, square to the foot, from 1.5 m or more with the zoom.",
  },
  rear: {
    name: "From behind",
    card: "Stand the card upright beside the heels, flush with them.",
    take: "Camera low, straight behind the heels, from 1.5 m or more with the zoom.",
  },
  front: {
    name: "From the front",
    card: "Stand the card upright beside the toe, flush with it.",
    take: "Camera low, straight before the foot, from 1.5 m or more with the zoom.",
  },
  defect: {
    name: "The defect",
    card: "Hold the card flat against the wall beside it.",
    take: "Square to the wall where the defect is, with hairline and ground in the picture.",
  },
};

/** The marks of a side view, in the order in which the eye finds them. */
export const SIDE_MARKS = [
  "groundA",
  "groundB",
  "toe",
  "heel",
  "hairlineToe",
  "hairlineHeel",
  "wallHigh",
  "wallMid",
  "pasternLow",
  "pasternHigh",
] as const satisfies (keyof LateralPoints)[];

const SIDE_FACTS: Record<(typeof SIDE_MARKS)[number], { name: string; find: string }> = {
  groundA: { name: "Ground, behind", find: "A point on the ground line behind the heel" },
  groundB: { name: "Ground, ahead", find: "A point on the ground line ahead of the toe" },
  toe: { name: "Toe", find: "Where the toe meets the ground" },
  heel: { name: "Heel", find: "Hindmost ground contact of the wall" },
  hairlineToe: { name: "Hairline at the toe", find: "Where hair meets horn at the front" },
  hairlineHeel: { name: "Hairline at the heel", find: "Where hair meets horn at the back" },
  wallHigh: { name: "Wall, high", find: "On the front wall, just below the hairline" },
  wallMid: { name: "Wall, middle", find: "On the front wall, about half way down" },
  pasternLow: { name: "Pastern, low", find: "On the front line of the pastern, just above the hairline" },
  pasternHigh: { name: "Pastern, high", find: "On the front line of the pastern, near the fetlock" },
};

const REAR_FACTS: Record<(typeof REAR_MARKS)[number], { name: string; find: string }> = {
  heelMedial: { name: "Heel, medial", find: "Ground contact of the medial heel" },
  heelLateral: { name: "Heel, lateral", find: "Ground contact of the lateral heel" },
  hairlineMedial: { name: "Hairline, medial", find: "Where hair meets horn over the medial heel" },
  hairlineLateral: { name: "Hairline, lateral", find: "Where hair meets horn over the lateral heel" },
  limbLow: { name: "Limb, low", find: "Middle of the pastern, low" },
  limbHigh: { name: "Limb, high", find: "Middle of the limb, as high as the picture shows" },
};

/** The marks of a view from the front. */
export const FRONT_MARKS = ["groundMedial", "groundLateral"] as const;
const FRONT_FACTS: Record<(typeof FRONT_MARKS)[number], { name: string; find: string }> = {
  groundMedial: { name: "Ground, medial", find: "Where the wall meets the ground, medial side" },
  groundLateral: { name: "Ground, lateral", find: "Where the wall meets the ground, lateral side" },
};

/** The marks of a picture of a defect in the wall: where it stands between hairline and ground, and its four ends. */
export const DEFECT_MARKS = [
  "hairline",
  "ground",
  "defectUpper",
  "defectLower",
  "defectFront",
  "defectBack",
] as const;
const DEFECT_FACTS: Record<(typeof DEFECT_MARKS)[number], { name: string; find: string }> = {
  hairline: {
    name: "Hairline",
    find: "Where hair meets horn, straight above the defect along the horn tubules",
  },
  ground: { name: "Ground", find: "Where the wall meets the ground, straight below the defect" },
  defectUpper: { name: "Defect, upper end", find: "Its highest point" },
  defectLower: { name: "Defect, lower end", find: "Its lowest point" },
  defectFront: { name: "Defect, towards the toe", find: "Its point nearest the toe" },
  defectBack: { name: "Defect, towards the heel", find: "Its point nearest the heel" },
};

/** The marks of a view, in order. */
export const PHOTO_MARKS: Record<PhotoView, readonly string[]> = {
  sole: SURVEY_MARKS,
  side: SIDE_MARKS,
  rear: REAR_MARKS,
  front: FRONT_MARKS,
  defect: DEFECT_MARKS,
};

export function photoMarkFacts(
  view: PhotoView,
  mark: string,
): { name: string; find: string; optional: boolean } {
  if (view === "sole") return { ...MARK_FACTS[mark as SurveyMark], optional: isOptional(mark as SurveyMark) };
  if (view === "side") return { ...SIDE_FACTS[mark as keyof typeof SIDE_FACTS], optional: false };
  if (view === "front") return { ...FRONT_FACTS[mark as keyof typeof FRONT_FACTS], optional: true };
  if (view === "defect")
    return { ...DEFECT_FACTS[mark as keyof typeof DEFECT_FACTS], optional: mark === "ground" };
  return { ...REAR_FACTS[mark as keyof typeof REAR_FACTS], optional: mark.startsWith("limb") };
}

/** How far a mark lies in front of the card's plane on a foot of size 1, and how sure that is. */
interface Depth {
  towardMm: number;
  sdMm: number;
}
const depth = (towardMm: number, sdPart = 0.15): Depth => ({
  towardMm,
  sdMm: sdPart * Math.abs(towardMm) + 0.3,
});

/**
 * Known depths of marks off the card's plane, mm on a foot of size 1, positive = nearer the camera. The sulcus floor,
 * frog and bars lie behind the bearing surface; in a side view the near heel stands out from the centre plane by its
 * half width; from behind the hairline over a heel lies nearer than the heel's contact, and the pastern, which slopes, runs
 * from ahead of the heels to behind them. Assumption, from drawn feet.
 */
export const MARK_DEPTHS: Record<PhotoView, Readonly<Record<string, Depth>>> = {
  sole: {
    sulcusBack: depth(-10),
    sulcusFront: depth(-14),
    frogApex: depth(-6),
    frogMedial: depth(-4),
    frogLateral: depth(-4),
    cornMedial: depth(-3),
    cornLateral: depth(-3),
    barMedial: depth(-4),
    barLateral: depth(-4),
    barEndMedial: depth(-9),
    barEndLateral: depth(-9),
  },
  // The heels' half width goes closely with the size of the foot.
  side: { heel: depth(42, 0.06), hairlineHeel: depth(45, 0.06) },
  rear: { hairlineMedial: depth(31), hairlineLateral: depth(31), limbLow: depth(-25), limbHigh: depth(41) },
  front: {},
  defect: {},
};
