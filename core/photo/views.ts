import { REAR_MARKS } from "../foot/rear";
import { isOptional, MARK_FACTS, SURVEY_MARKS, type SurveyMark } from "../foot/survey/marks";
import type { LateralPoints } from "../foot/lateral";

/** The three pictures of a foot. */
export const PHOTO_VIEWS = ["sole", "side", "rear"] as const;
export type PhotoView = (typeof PHOTO_VIEWS)[number];

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

/** The marks of a view, in order. */
export const PHOTO_MARKS: Record<PhotoView, readonly string[]> = {
  sole: SURVEY_MARKS,
  side: SIDE_MARKS,
  rear: REAR_MARKS,
};

export function photoMarkFacts(
  view: PhotoView,
  mark: string,
): { name: string; find: string; optional: boolean } {
  if (view === "sole") return { ...MARK_FACTS[mark as SurveyMark], optional: isOptional(mark as SurveyMark) };
  if (view === "side") return { ...SIDE_FACTS[mark as keyof typeof SIDE_FACTS], optional: false };
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
 * half width; from behind the hairline over a heel lies nearer than the heel's contact. Assumption, from drawn feet.
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
  rear: { hairlineMedial: depth(31), hairlineLateral: depth(31), limbLow: depth(5), limbHigh: depth(12) },
};
