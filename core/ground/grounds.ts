import type { Footing } from "../shoe/facts";

/** A ground by name, hard to soft. */
export interface Ground {
  id: GroundId;
  name: string;
  /** With its article, as a sentence says it. */
  on: string;
  /** N/mm³. */
  stiffness: number;
}
export const GROUND_IDS = ["concrete", "track", "rubber", "turf", "wet-turf", "arena", "sand"] as const;
export type GroundId = (typeof GROUND_IDS)[number];

/**
 * Grounds from concrete to deep sand. Stiffness: assumption, of the order of pressure over settlement of such layers under a
 * plate as big as a foot; to be changed by whoever knows their own ground.
 */
export const GROUNDS: readonly Ground[] = [
  { id: "concrete", name: "Road", on: "on the road", stiffness: 50 },
  { id: "track", name: "Packed track", on: "on a packed track", stiffness: 0.5 },
  { id: "rubber", name: "Rubber", on: "on rubber", stiffness: 0.2 },
  { id: "turf", name: "Firm turf", on: "on firm turf", stiffness: 0.1 },
  { id: "wet-turf", name: "Wet turf", on: "on wet turf", stiffness: 0.05 },
  { id: "arena", name: "Arena", on: "in the arena", stiffness: 0.02 },
  { id: "sand", name: "Deep sand", on: "in deep sand", stiffness: 0.008 },
];

export const HARDEST = GROUNDS[0] as Ground;

/** Up to this a ground counts as soft, N/mm³: on a harder one shares hang on tenths of a millimetre of levelness. */
export const SOFT_FROM = 0.05;
export const isSoft = (stiffness: number): boolean => stiffness <= SOFT_FROM;
/** Turf, on which sinking is grip; in an arena or in sand it is what the tendons pay. */
export const isTurf = (stiffness: number): boolean => stiffness <= 0.1 && stiffness > 0.03;

/** The named ground that is nearest to a stiffness, by ratio. */
export const nearestGround = (stiffness: number): Ground =>
  GROUNDS.reduce((best, one) =>
    Math.abs(Math.log(one.stiffness / stiffness)) < Math.abs(Math.log(best.stiffness / stiffness))
      ? one
      : best,
  );

/** A place on the scale of named grounds, 0 the hardest, in between by ratio; held to its ends. */
export function groundPlace(stiffness: number): number {
  const at = GROUNDS.findIndex((one) => one.stiffness <= stiffness);
  if (at === 0) return 0;
  if (at === -1) return GROUNDS.length - 1;
  const [harder, softer] = [GROUNDS[at - 1], GROUNDS[at]].map((one) => Math.log(one?.stiffness ?? 1)) as [
    number,
    number,
  ];
  return at - 1 + (harder - Math.log(stiffness)) / (harder - softer);
}

/** The stiffness at a place of that scale, N/mm³, to two figures between the named ones. */
export function stiffnessAt(place: number): number {
  const held = Math.max(0, Math.min(GROUNDS.length - 1, place));
  const at = Math.floor(held);
  const [harder, softer] = [GROUNDS[at], GROUNDS[at + 1]];
  if (!harder || !softer || held === at) return (harder ?? HARDEST).stiffness;
  return Number((harder.stiffness * (softer.stiffness / harder.stiffness) ** (held - at)).toPrecision(2));
}

/** The ground of what a horse goes on. */
const OF_FOOTING: Record<Footing, GroundId> = {
  road: "concrete",
  "stony track": "track",
  "firm turf": "turf",
  "wet turf": "wet-turf",
  "soft arena": "arena",
  "deep ground": "sand",
};
export const groundById = (id: string | null): Ground | undefined => GROUNDS.find((one) => one.id === id);
/** The grounds a horse goes on, as they stand on its page; the road where nothing is told. */
export const groundsOf = (footing: readonly Footing[]): Ground[] => {
  const told = GROUNDS.filter(({ id }) => footing.some((one) => OF_FOOTING[one] === id));
  return told.length > 0 ? told : GROUNDS.slice(0, 1);
};
