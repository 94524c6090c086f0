/** How a foot is loaded: what the horse does on it. */
export const PACES = ["standing", "walk", "trot"] as const;
export type Pace = (typeof PACES)[number];
export const PACE_NAMES: Record<Pace, string> = {
  standing: "Standing",
  walk: "At a walk",
  trot: "At a trot",
};

/**
 * Vertical force on one foot over the horse's weight: its share standing, its peak at the paces. Rounded; single horses and
 * speeds differ by a fifth. Source: Merkens, Schamhardt and others 1985 and 1993, ground reaction force patterns of
 * Dutch Warmbloods at the walk and the trot.
 */
const OF_WEIGHT: Record<Pace, { fore: number; hind: number }> = {
  standing: { fore: 0.29, hind: 0.21 },
  walk: { fore: 0.6, hind: 0.45 },
  trot: { fore: 1.1, hind: 0.95 },
};
const GRAVITY = 9.81;

/** Newtons on one foot of a horse of so many kg, to 50 N. */
export const paceLoad = (pace: Pace, massKg: number, fore: boolean): number =>
  50 * Math.round((OF_WEIGHT[pace][fore ? "fore" : "hind"] * massKg * GRAVITY) / 50);

/** The loads at which the model was held against what is known of shoes on soft and firm ground, N. */
export const HELD_LOADS = { from: 1400, to: 3600 } as const;
