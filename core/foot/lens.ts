/** Front to back: what the foot is aimed at. */
export const FRONT_LENSES = ["straight-axis", "even-halves", "live-sole", "heels-back"] as const;
export type FrontLens = (typeof FRONT_LENSES)[number];

/** Side to side. */
export const SIDE_LENSES = ["even-sole", "square-limb", "level-hairline", "every-witness"] as const;
export type SideLens = (typeof SIDE_LENSES)[number];

export interface LensChoice {
  frontBack: FrontLens;
  side: SideLens;
}

/** A user's own choice: front to back for feet that are shod and for feet that go bare, and side to side. */
export interface OwnLenses extends LensChoice {
  bare: FrontLens;
}

/** Our default: marks that another person finds again, and the lesser cut; bare feet on the plane of the live sole. */
export const DEFAULT_LENSES: OwnLenses = {
  frontBack: "straight-axis",
  bare: "live-sole",
  side: "even-sole",
};

/** The lenses that count for one foot: the horse's own where it has any, else the user's for shod or bare feet. */
export const lensesOf = (
  horse: { lenses?: { frontBack?: FrontLens | undefined; side?: SideLens | undefined } | undefined },
  own: OwnLenses,
  shod: boolean,
): LensChoice => ({
  frontBack: horse.lenses?.frontBack ?? (shod ? own.frontBack : own.bare),
  side: horse.lenses?.side ?? own.side,
});

interface LensFacts {
  name: string;
  aim: string;
  strong: string;
  weak: string;
}

export const LENS_FACTS: Record<FrontLens | SideLens, LensFacts> = {
  "straight-axis": {
    name: "Straight axis",
    aim: "Dorsal wall parallel to the pastern, toe length that suits the mass",
    strong: "Pastern clear, horse stands square",
    weak: "The pastern changes with posture; a flared toe hides the true wall",
  },
  "even-halves": {
    name: "Even halves",
    aim: "As much foot ahead of the centre of rotation as behind it",
    strong: "Long toes, underrun heels; the marks are on the foot itself",
    weak: "Marks misread under overgrown bars and sole: prepare first",
  },
  "live-sole": {
    name: "Live sole",
    aim: "The wall brought to the plane of the live sole, the axis held where it is broken back",
    strong: "Neglected, long feet; barefoot",
    weak: "Very thin sole, or thick retained sole",
  },
  "heels-back": {
    name: "Heels back",
    aim: "The heels back to strong horn at the widest of the frog; the shoe gives the angle back, for counted cycles",
    strong: "Underrun, run-forward heels with a big frog",
    weak: "Thin heels, a foot that goes bare, a raise that nobody ends",
  },
  "even-sole": {
    name: "Even sole",
    aim: "The same wall above the live sole on both sides",
    strong: "Crooked limbs",
    weak: "Sole bruised, eroded or pared unevenly",
  },
  "square-limb": {
    name: "Square to limb",
    aim: "Bearing plane at right angles to the limb",
    strong: "Straight limbs",
    weak: "Crooked limbs: it builds the crookedness into the foot",
  },
  "level-hairline": {
    name: "Level hairline",
    aim: "Hairline level from the front",
    strong: "Tracking change over visits",
    weak: "A hairline that is already distorted lags by weeks",
  },
  "every-witness": {
    name: "Every witness",
    aim: "The side that all that was measured says is high comes down; in doubt, level",
    strong: "Signs that each say a little and agree",
    weak: "Few witnesses, or such as share one fault",
  },
};
