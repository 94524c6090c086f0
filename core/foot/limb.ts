/** The four limbs, in the order in which they are usually done: left fore, right fore, left hind, right hind. */
export const LIMBS = ["LF", "RF", "LH", "RH"] as const;
export type Limb = (typeof LIMBS)[number];

/** Sides of a foot are told from the horse's midline, never from the picture. */
export const SIDES = ["medial", "lateral"] as const;
export type Side = (typeof SIDES)[number];

export const isFore = (limb: Limb): boolean => limb[1] === "F";
export const isLeft = (limb: Limb): boolean => limb[0] === "L";

/** The other foot of the pair. */
export const pairOf = (limb: Limb): Limb => `${isLeft(limb) ? "R" : "L"}${limb[1] as "F" | "H"}`;

/** How sides are named on screen; records always say left / right and medial / lateral. */
export interface NamingStyle {
  leftRight: "left-right" | "near-off";
  side: "medial-lateral" | "inside-outside";
}

/** "left fore", or "near fore" for those who say so. */
export function limbName(limb: Limb, style: Pick<NamingStyle, "leftRight">): string {
  const words = style.leftRight === "near-off" ? ["near", "off"] : ["left", "right"];
  return `${isLeft(limb) ? words[0] : words[1]} ${isFore(limb) ? "fore" : "hind"}`;
}

/** "medial", or "inside" for those who say so. */
export function sideName(side: Side, style: Pick<NamingStyle, "side">): string {
  if (style.side === "medial-lateral") return side;
  return side === "medial" ? "inside" : "outside";
}

/**
 * Which way lateral lies in a sole view with the toe up: +1 right, -1 left. The foot is seen from below, so a left
 * foot has lateral on the right. Seen from above, head up, it is the other way round.
 */
export const lateralOnScreen = (limb: Limb, seenFrom: "below" | "above"): 1 | -1 =>
  isLeft(limb) === (seenFrom === "below") ? 1 : -1;
