import { addDays, type IsoDate } from "../../calendar/date";

/** Where wall, white line and what stands above the live sole are measured. */
export const WALL_PLACES = [
  "toe",
  "toeQuarterMedial",
  "toeQuarterLateral",
  "quarterMedial",
  "quarterLateral",
  "heelMedial",
  "heelLateral",
] as const;
export type WallPlace = (typeof WALL_PLACES)[number];

/** With the words medial and lateral in it, to be put in the user's own terms. */
export const WALL_PLACE_NAMES: Record<WallPlace, string> = {
  toe: "Toe",
  toeQuarterMedial: "Toe quarter, medial",
  toeQuarterLateral: "Toe quarter, lateral",
  quarterMedial: "Quarter, medial",
  quarterLateral: "Quarter, lateral",
  heelMedial: "Heel, medial",
  heelLateral: "Heel, lateral",
};

/** What is measured at one place, mm; what was not is missing. */
export interface WallMeasures {
  /** Outside of live sole to outside of wall. */
  thickness?: number | undefined;
  /** Wall standing above the live sole: what can be trimmed. */
  above?: number | undefined;
  whiteLine?: number | undefined;
}
export type Walls = Partial<Record<WallPlace, WallMeasures>>;

export const WALL_MEASURES = {
  thickness: { name: "Wall thickness", how: "Outside of live sole to outside of wall", living: [2, 40] },
  above: {
    name: "Wall above sole",
    how: "Wall standing above the live sole: what can be trimmed",
    living: [0, 60],
  },
  whiteLine: {
    name: "White line",
    how: "Its width; a wide one is stretched or separated",
    living: [0.5, 25],
  },
} as const;
export type WallMeasure = keyof typeof WALL_MEASURES;

/** The central sulcus as it looks. */
export const SULCUS_STATES = ["open", "closed", "deep"] as const;

/** Places whose thickness ought to be alike; a heel's wall is thinner by nature. */
const EVEN_PLACES = [
  "toe",
  "toeQuarterMedial",
  "toeQuarterLateral",
  "quarterMedial",
  "quarterLateral",
] as const;

const thicknesses = (walls: Walls): number[] => EVEN_PLACES.flatMap((place) => walls[place]?.thickness ?? []);

/**
 * Evenness of the wall: (max - min) / mean of the thickness at toe, toe quarters and quarters, at least three of them;
 * 0 is even. Missing with fewer. Heels are left out: their wall is thinner in a sound foot.
 */
export function wallEvenness(walls: Walls): number | undefined {
  const found = thicknesses(walls);
  if (found.length < 3) return undefined;
  const mean = found.reduce((sum, one) => sum + one, 0) / found.length;
  return (Math.max(...found) - Math.min(...found)) / mean;
}

/**
 * The wall as it would be without flare, mm: the second thinnest of at least three places. Not the mean or the median,
 * since a run toe thickens toe and both toe quarters; not the thinnest, since one quarter may be broken out.
 */
export function evenWall(walls: Walls): number | undefined {
  const sorted = thicknesses(walls).sort((a, b) => a - b);
  return sorted.length < 3 ? undefined : sorted[1];
}

/** The widest white line and where it is. */
export function widestWhiteLine(walls: Walls): { place: WallPlace; mm: number } | undefined {
  return WALL_PLACES.flatMap((place) => {
    const mm = walls[place]?.whiteLine;
    return mm === undefined ? [] : [{ place, mm }];
  }).reduce<{ place: WallPlace; mm: number } | undefined>((a, b) => (a && a.mm >= b.mm ? a : b), undefined);
}

/** A ring or crack on the wall: how far below the hairline it lies at the toe, and at the heel when it runs round. */
export interface Ring {
  toeMm: number;
  heelMm?: number | undefined;
}

/** The day on which the event behind a ring happened: its distance below the hairline over the growth. Estimate. */
export const ringDate = (ring: Ring, growthPerDay: number, today: IsoDate): IsoDate | undefined =>
  growthPerDay > 0 && ring.toeMm > 0 ? addDays(today, -Math.round(ring.toeMm / growthPerDay)) : undefined;

/** Heel distance minus toe distance over the toe's: positive = the rings are wider apart at the heel. */
export const ringDivergence = ({ toeMm, heelMm }: Ring): number | undefined =>
  heelMm === undefined || toeMm <= 0 ? undefined : (heelMm - toeMm) / toeMm;
