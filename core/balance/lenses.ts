import type { FrontLens, SideLens } from "../foot/lens";
import type { Limb } from "../foot/limb";
import { meanHeelY, toeYOf, corYOf, type FootParameters } from "../foot/parametric/parameters";
import type { Wording } from "../foot/wording";
import type { Walls } from "../foot/survey/walls";
import { degrees } from "../math/angle";

/** What a front-to-back lens aims at on this foot; what its numbers do not give is missing. */
export interface FrontAim {
  lens: FrontLens;
  dorsalAngleDeg?: number;
  /** y of the toe at which the halves are even, drawn foot's frame, mm. */
  toeY?: number;
  /** Height of the plane above the present ground at toe and heels, mm. */
  plane?: { toe: number; heel: number };
  /** Present value minus aim, in the lens's own unit, with its words, and a word for millimetres below 0. */
  off?: { value: number; unit: "°" | "mm"; words: string; below?: string };
  /** The sole was not surveyed: by the drawn foot's own estimate. */
  estimated?: true;
  /** What would have to be known. */
  wants?: string;
}

/** The lens held against a foot. `measured` says whether the angles were measured at all, and the sole surveyed. */
export function frontAim(
  lens: FrontLens,
  foot: FootParameters,
  measured: { angles: boolean; walls: Walls; sole: boolean },
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
    const off = {
      value: toeYOf(foot) - toeY,
      unit: "mm",
      words: "front over support",
      below: "under",
    } as const;
    return { lens, toeY, off, ...(!measured.sole && { estimated: true }) };
  }
  if (lens === "heels-back") {
    if (!measured.sole) return { lens, wants: "both heels, on the sole" };
    const words = "heels ahead of the sulcus’s back";
    return { lens, off: { value: meanHeelY(foot), unit: "mm", words, below: "behind it" } };
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
    off: {
      value: Math.max(plane.toe, plane.heel),
      unit: "mm",
      words: "wall above the live sole",
      below: "under",
    },
  };
}

/** "dorsal against pastern −4.0°", "front over support 5 mm under": how far a foot is off the aim. */
export function aimInWords({ off }: FrontAim, wording: Wording): string | undefined {
  if (!off) return undefined;
  if (off.unit === "°") return `${off.words} ${wording.angle(off.value)}`;
  const below = off.value < 0 && off.below !== undefined ? ` ${off.below}` : "";
  return `${off.words} ${wording.length(Math.abs(off.value))}${below}`;
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
    /** What every witness together suggests; undefined where there is none or they contradict one another. */
    verdictDeg?: number | undefined;
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
  if (lens === "every-witness") {
    const words = "the high side by every witness";
    return known.verdictDeg === undefined
      ? { lens, words, wants: "a sign of both heels, or witnesses that agree" }
      : { lens, words, rollDeg: known.verdictDeg };
  }
  const words = "hairline against the ground";
  if (known.hairlineTiltDeg === undefined)
    return { lens, words, wants: "both heel heights, or a view from behind" };
  return { lens, words, rollDeg: known.hairlineTiltDeg };
}
