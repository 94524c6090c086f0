import type { Limb } from "../foot/limb";
import { meanHeelY, toeYOf, corYOf, type FootParameters } from "../foot/parametric/parameters";
import type { Walls } from "../foot/survey/walls";
import { degrees } from "../math/angle";

/** Front to back: what the foot is aimed at. */
export const FRONT_LENSES = ["straight-axis", "even-halves", "live-sole"] as const;
export type FrontLens = (typeof FRONT_LENSES)[number];

/** Side to side. */
export const SIDE_LENSES = ["even-sole", "square-limb", "level-hairline"] as const;
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
    aim: "The wall brought to the plane of the live sole",
    strong: "Neglected, long feet; barefoot",
    weak: "Very thin sole, or thick retained sole",
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
};

/** What a front-to-back lens aims at on this foot; what its numbers do not give is missing. */
export interface FrontAim {
  lens: FrontLens;
  dorsalAngleDeg?: number;
  /** y of the toe at which the halves are even, drawn foot's frame, mm. */
  toeY?: number;
  /** Height of the plane above the present ground at toe and heels, mm. */
  plane?: { toe: number; heel: number };
  /** Present value minus aim, in the lens's own unit, with its words. */
  off?: { value: number; unit: "°" | "mm"; words: string };
  /** What would have to be known. */
  wants?: string;
}

/** The lens held against a foot. `measured` says whether the angles were measured at all. */
export function frontAim(
  lens: FrontLens,
  foot: FootParameters,
  measured: { angles: boolean; walls: Walls },
): FrontAim {
  if (lens === "straight-axis") {
    if (!measured.angles) return { lens, wants: "dorsal and pastern angle" };
    const value = foot.dorsalAngleDeg - foot.pasternAngleDeg;
    return {
      lens,
      dorsalAngleDeg: foot.pasternAngleDeg,
      off: { value, unit: "°", words: "dorsal against pastern" },
    };
  }
  if (lens === "even-halves") {
    const support = corYOf(foot) - meanHeelY(foot);
    const toeY = corYOf(foot) + support;
    return { lens, toeY, off: { value: toeYOf(foot) - toeY, unit: "mm", words: "front over support" } };
  }
  const { toe, heelMedial, heelLateral } = measured.walls;
  const back = [heelMedial?.above, heelLateral?.above].filter((mm) => mm !== undefined);
  if (toe?.above === undefined || back.length === 0)
    return { lens, wants: "wall above the live sole at toe and heels" };
  const plane = { toe: toe.above, heel: back.reduce((sum, mm) => sum + mm, 0) / back.length };
  const turn = degrees(Math.atan((plane.toe - plane.heel) / (toeYOf(foot) - meanHeelY(foot))));
  return {
    lens,
    plane,
    dorsalAngleDeg: foot.dorsalAngleDeg + turn,
    off: { value: Math.max(plane.toe, plane.heel), unit: "mm", words: "wall above the live sole" },
  };
}

/** What a side-to-side lens says: degrees to roll, positive = the lateral side is to be lowered. */
export interface SideAim {
  lens: SideLens;
  rollDeg?: number;
  words: string;
  wants?: string;
}

export function sideAim(
  lens: SideLens,
  known: {
    limb: Limb;
    walls: Walls;
    heelsApartMm: number;
    hairlineTiltDeg?: number | undefined;
    limbDeviationDeg?: number | undefined;
  },
): SideAim {
  if (lens === "even-sole") {
    const [medial, lateral] = [known.walls.heelMedial?.above, known.walls.heelLateral?.above];
    const words = "wall above live sole, lateral against medial";
    if (medial === undefined || lateral === undefined)
      return { lens, words, wants: "wall above the sole at both heels" };
    return { lens, words, rollDeg: degrees(Math.atan((lateral - medial) / known.heelsApartMm)) };
  }
  if (lens === "square-limb") {
    const words = "bearing plane against the limb";
    if (known.limbDeviationDeg === undefined)
      return { lens, words, wants: "the limb’s line, from a view from behind" };
    return { lens, words, rollDeg: -known.limbDeviationDeg };
  }
  const words = "hairline against the ground";
  if (known.hairlineTiltDeg === undefined)
    return { lens, words, wants: "both heel heights, or a view from behind" };
  return { lens, words, rollDeg: known.hairlineTiltDeg };
}
