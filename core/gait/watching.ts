import type { Vector } from "../geometry/vector";
import { degrees } from "../math/angle";
import type { Side } from "../foot/limb";

/** Words of what is watched, each with the value that is kept. */
export const TOE_DIRECTIONS = ["toe-in", "straight", "toe-out"] as const;
export const BASES = ["narrow", "under the limb", "wide"] as const;
export const DEVIATIONS = ["inwards", "straight", "outwards"] as const;
export const JOINTS = ["knee or hock", "fetlock", "pastern"] as const;
export const HAIRLINE_PLACES = [
  "toeQuarterMedial",
  "toeQuarterLateral",
  "quarterMedial",
  "quarterLateral",
] as const;
export const HAIRLINE_STATES = ["low", "level", "pushed up"] as const;
export const SLIDES = ["none", "slides on", "twists inwards", "twists outwards"] as const;
/** How far a foot goes on after it has landed. */
export const SLIDE_REACHES = ["under 1 cm", "1 to 3 cm", "over 3 cm"] as const;
export const TOE_LIFTS = ["lifts it", "drags it"] as const;
/** Where a hind foot comes down against the print of the fore of its side. */
export const TRACKS = ["into the print", "short of it", "past it", "beside it"] as const;
export const FLIGHTS = ["straight", "swings in", "swings out"] as const;
export const SURFACES = ["hard, level", "hard, sloping", "gravel", "grass", "arena", "deep"] as const;
export const GAITS = ["walk", "trot", "walk and trot"] as const;
export const DIRECTIONS = ["away", "coming", "past", "circle left", "circle right"] as const;
/** These two are of the whole horse, and the vet's. */
export const HEADS = ["steady", "nods"] as const;
export const HIPS = ["level", "hikes"] as const;

/** What was seen of one foot, standing and moving. Places are in mm on a foot of size 1, solar frame. */
export interface Watching {
  toeDirection?: (typeof TOE_DIRECTIONS)[number] | undefined;
  base?: (typeof BASES)[number] | undefined;
  deviation?: Partial<Record<(typeof JOINTS)[number], (typeof DEVIATIONS)[number] | undefined>>;
  hairline?: Partial<Record<(typeof HAIRLINE_PLACES)[number], (typeof HAIRLINE_STATES)[number] | undefined>>;
  /** Where the foot lands first. */
  lands?: Vector | undefined;
  /** Which way it leaves the ground, deg from straight ahead: positive = over the lateral side. */
  leaves?: number | undefined;
  slide?: (typeof SLIDES)[number] | undefined;
  slideReach?: (typeof SLIDE_REACHES)[number] | undefined;
  toeLift?: (typeof TOE_LIFTS)[number] | undefined;
  /** Of a hind foot. */
  tracks?: (typeof TRACKS)[number] | undefined;
  flight?: (typeof FLIGHTS)[number] | undefined;
}

/** Where a foot of size 1 has its middle, and how far from it a landing still counts as flat, mm. Assumption. */
const MIDDLE: Vector = [0, 63];
const FLAT_WITHIN_MM = 18;
/** A landing within this of the midline or of the level of the middle belongs to neither side there, deg. */
const SECTOR_DEG = 22.5;
/** A foot that leaves within this of straight ahead leaves over the toe, deg. Assumption. */
const STRAIGHT_AHEAD_DEG = 10;

export interface Landing {
  side?: Side;
  end?: "toe" | "heel";
  word: string;
}

/** "flat", "heel", "lateral", "lateral heel": where the foot lands first, from the place that was tapped. */
export function landingOf([x, y]: Vector): Landing {
  const [dx, dy] = [x - MIDDLE[0], y - MIDDLE[1]];
  if (Math.hypot(dx, dy) <= FLAT_WITHIN_MM) return { word: "flat" };
  const fromAhead = Math.abs(degrees(Math.atan2(dx, dy)));
  const side: Side = dx > 0 ? "lateral" : "medial";
  const end = dy > 0 ? "toe" : "heel";
  if (fromAhead < SECTOR_DEG || fromAhead > 180 - SECTOR_DEG) return { end, word: end };
  if (Math.abs(fromAhead - 90) < SECTOR_DEG) return { side, word: side };
  return { side, end, word: `${side} ${end}` };
}

/** Direction in which a foot leaves, deg from straight ahead, positive to lateral, from the drag's end. -90 to 90. */
export function leavingOf([x, y]: Vector): number {
  const dy = Math.max(y - MIDDLE[1], 0);
  if (dy === 0 && x === 0) return 0;
  return Math.max(-90, Math.min(90, degrees(Math.atan2(x - MIDDLE[0], dy))));
}

/** Side over which a foot leaves, none where it leaves over the toe. */
export const leavingSide = (deg: number): Side | undefined =>
  Math.abs(deg) <= STRAIGHT_AHEAD_DEG ? undefined : deg > 0 ? "lateral" : "medial";

/** "over the toe", "over the lateral toe quarter". */
export const leavingWord = (deg: number): string => {
  const side = leavingSide(deg);
  return side ? `over the ${side} toe quarter` : "over the toe";
};
