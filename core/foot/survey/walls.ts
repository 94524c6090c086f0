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

/**
 * Thickness of a sound wall over that at its toe: quarters about three quarters of it, heels about half. A toe thicker
 * than its quarters is sound. Source: trade practice; Stashak, Adams' Lameness in Horses, on the taper of the wall.
 */
export const WALL_TAPER: Record<WallPlace, number> = {
  toe: 1,
  toeQuarterMedial: 0.9,
  toeQuarterLateral: 0.9,
  quarterMedial: 0.75,
  quarterLateral: 0.75,
  heelMedial: 0.5,
  heelLateral: 0.5,
};

/** The thicknesses as the toe's own would be, by the sound taper: all alike on an even wall. */
const untapered = (walls: Walls): number[] =>
  EVEN_PLACES.flatMap((place) => {
    const mm = walls[place]?.thickness;
    return mm === undefined ? [] : [mm / WALL_TAPER[place]];
  });

/** Range of so many draws over their sd that 99 of 100 stay under. Source: tables of the studentised range, Tukey. */
const RANGE_99: Record<number, number> = { 3: 4.12, 4: 4.4, 5: 4.6 };

/**
 * Evenness of the wall: (max - min) / mean of the thickness at toe, toe quarters and quarters, at least three of them,
 * each over the sound taper (see {@link WALL_TAPER}); 0 is even. Missing with fewer. Heels are left out.
 */
export function wallEvenness(walls: Walls): number | undefined {
  const found = untapered(walls);
  return found.length < 3 ? undefined : (Math.max(...found) - Math.min(...found)) / meanOf(found);
}

/** Sd of one thickness over the mean of them, by the sound taper: the noise of a thin place counts for more. */
function partSd(walls: Walls, sdMm: number): number {
  const sds = EVEN_PLACES.flatMap((place) =>
    walls[place]?.thickness === undefined ? [] : [sdMm / WALL_TAPER[place]],
  );
  return meanOf(sds) / meanOf(untapered(walls));
}

/** Sd of the range of so few draws over their own sd. Source: tables of the studentised range. */
const RANGE_SD = 0.87;

/** Sd of the evenness for thicknesses read with `sdMm`. */
export const evennessSd = (walls: Walls, sdMm: number): number | undefined =>
  wallEvenness(walls) === undefined ? undefined : RANGE_SD * partSd(walls, sdMm);

/** What of an unevenness is more than the hand's own, for thicknesses read with `sdMm`; 0 where it could all be noise. */
export function evennessBeyondNoise(walls: Walls, sdMm: number): number | undefined {
  const evenness = wallEvenness(walls);
  if (evenness === undefined) return undefined;
  const noise = (RANGE_99[untapered(walls).length] ?? 0) * partSd(walls, sdMm);
  return Math.sqrt(Math.max(0, evenness ** 2 - noise ** 2));
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / values.length;

/**
 * The wall at the toe as it would be without flare, mm: the second thinnest, by the sound taper, of at least three
 * places. Not the mean or the median, since a run toe thickens toe and both toe quarters; not the thinnest, since one
 * quarter may be broken out. Elsewhere it is this times {@link WALL_TAPER}.
 */
export function evenWall(walls: Walls): number | undefined {
  const sorted = untapered(walls).sort((a, b) => a - b);
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
