import { isFore, type Limb } from "../foot/limb";
import type { Wording } from "../foot/wording";

/** What goes on a foot. Enumerations are the trade's words as they are shown. */
export const SHOE_TYPES = ["bare", "plain", "sliding plate", "straight bar", "heart bar", "egg bar"] as const;
export type ShoeType = (typeof SHOE_TYPES)[number];
export const PROFILES = ["flat", "concave"] as const;
export const CREASES = ["stamped", "creased"] as const;
export const MATERIALS = ["steel", "aluminium"] as const;
export type Material = (typeof MATERIALS)[number];
export const TOES = ["plain", "eased", "rolled", "square"] as const;
export const HEEL_SUPPORTS = ["heel", "frog", "long"] as const;
export type HeelSupport = (typeof HEEL_SUPPORTS)[number];
export const HEEL_FINISHES = ["plain", "open", "safe inner edge"] as const;
export const CLIPS = ["none", "toe", "side"] as const;
export const TRACTIONS = ["none", "road pins", "stud holes", "heel blocks"] as const;
export const STUDS = ["none", "small", "large"] as const;
export const PADS = ["none", "flat", "frog support"] as const;
export const PACKINGS = ["none", "soft", "setting compound"] as const;
export const HEAD_PATTERNS = ["slim", "square", "heavy"] as const;
export type HeadPattern = (typeof HEAD_PATTERNS)[number];
export const EXTRA_SIDES = ["none", "medial", "lateral"] as const;

/** A raise is a stage: how much, for how many cycles, and what ends it. */
export interface Raise {
  degrees: number;
  cycles: number;
  exit: string;
}

/** A whole specification of one shoe. Lengths mm, angles deg. */
export interface Specification {
  type: ShoeType;
  width: number;
  thickness: number;
  profile: (typeof PROFILES)[number];
  crease: (typeof CREASES)[number];
  material: Material;
  toe: (typeof TOES)[number];
  support: HeelSupport;
  heels: (typeof HEEL_FINISHES)[number];
  clips: (typeof CLIPS)[number];
  traction: (typeof TRACTIONS)[number];
  studs: (typeof STUDS)[number];
  pad: (typeof PADS)[number];
  packing: (typeof PACKINGS)[number];
  /** Extra web on one side from where its quarter turns in, and how much, mm. */
  extraSide: (typeof EXTRA_SIDES)[number];
  extraWeb: number;
  /** Fullness at the end of each branch, mm. */
  fullMedial: number;
  fullLateral: number;
  /** Each branch beyond its support, mm; negative = short of it. */
  longerMedial: number;
  longerLateral: number;
  nailsMedial: number;
  nailsLateral: number;
  pattern: HeadPattern;
  /** Sole relief hammered or ground into the foot side. */
  relief: boolean;
  raise?: Raise | undefined;
}
export type SpecField = keyof Specification;

/** With the words medial and lateral in them, to be put in the user's own terms. */
export const SPEC_NAMES: Record<SpecField, string> = {
  type: "shoe",
  width: "web",
  thickness: "thickness",
  profile: "section",
  crease: "nail holes",
  material: "metal",
  toe: "toe",
  support: "ends at",
  heels: "heels",
  clips: "clips",
  traction: "grip",
  studs: "studs",
  pad: "pad",
  packing: "packing",
  extraSide: "more web on",
  extraWeb: "how much more",
  fullMedial: "full, medial heel",
  fullLateral: "full, lateral heel",
  longerMedial: "longer, medial",
  longerLateral: "longer, lateral",
  nailsMedial: "nails medial",
  nailsLateral: "nails lateral",
  pattern: "nail heads",
  relief: "relief for the sole",
  raise: "raise",
};
export const SPEC_FIELDS = Object.keys(SPEC_NAMES) as SpecField[];
export const LENGTH_FIELDS = [
  "width",
  "thickness",
  "extraWeb",
  "fullMedial",
  "fullLateral",
  "longerMedial",
  "longerLateral",
] as const satisfies SpecField[];

const LENGTHS: ReadonlySet<string> = new Set(LENGTH_FIELDS);

/** Body mass over which a foot is shod as a heavy one, and under which as a light one, kg. Trade practice. */
const HEAVY_KG = 700;
const LIGHT_KG = 400;
const SMALL_KG = 250;

/** The shoe that nothing speaks for or against: what an ordinary foot of this size wears. Source: trade practice. */
export function ordinaryShoe(limb: Limb, massKg: number): Specification {
  const heavy = massKg >= HEAVY_KG;
  const light = massKg < LIGHT_KG;
  const small = massKg < SMALL_KG;
  const nails = heavy ? 4 : small ? 2 : 3;
  return {
    type: "plain",
    width: heavy ? 32 : small ? 15 : light ? 19 : 22,
    thickness: heavy ? 13 : small ? 6 : light ? 8 : 10,
    profile: "flat",
    crease: "creased",
    material: "steel",
    toe: "plain",
    support: "frog",
    heels: "plain",
    clips: isFore(limb) ? "toe" : "side",
    traction: "none",
    studs: "none",
    pad: "none",
    packing: "none",
    extraSide: "none",
    extraWeb: 0,
    fullMedial: 3,
    fullLateral: 3,
    longerMedial: 0,
    longerLateral: 0,
    nailsMedial: nails,
    nailsLateral: nails,
    pattern: heavy ? "heavy" : "slim",
    relief: false,
  };
}

const plain = (value: unknown): string =>
  typeof value === "boolean" ? (value ? "yes" : "no") : String(value);

/** One field as it is read: a length with its unit, a raise in words. */
export function fieldInWords(spec: Specification, field: SpecField, wording: Wording): string {
  if (field === "raise")
    return spec.raise ? `${wording.angle(spec.raise.degrees)} for ${spec.raise.cycles} cycles` : "none";
  if (LENGTHS.has(field)) {
    const mm = spec[field] as number;
    return mm < 0 ? `−${wording.cut(-mm)}` : wording.cut(mm);
  }
  return wording.inOwnWords(plain(spec[field]));
}

/** A specification in one line, as it would be said across the yard. */
export function specInWords(spec: Specification, wording: Wording): string {
  if (spec.type === "bare") return "Bare, margin of wall left, edge bevelled from the sole outwards";
  const parts = [
    `${spec.type === "plain" ? `${spec.crease} ${spec.profile === "concave" ? "concave " : ""}shoe` : spec.type}, ${spec.material}`,
    `${wording.cut(spec.width)} × ${wording.cut(spec.thickness)}`,
    spec.toe === "plain" ? "" : `${spec.toe} toe`,
    spec.clips === "none" ? "no clips" : spec.clips === "toe" ? "toe clip" : "two side clips",
    SUPPORT_WORDS[spec.support],
    spec.heels === "plain" ? "" : spec.heels === "open" ? "heels open" : "safe inner edge",
    spec.traction === "none" ? "" : spec.traction,
    spec.studs === "none" ? "" : `${spec.studs} studs`,
    spec.extraSide === "none" ? "" : `${wording.cut(spec.extraWeb)} more web ${wording.side(spec.extraSide)}`,
    spec.relief ? "relieved for the sole" : "",
    spec.pad === "none" ? "" : `${spec.pad} pad`,
    spec.packing === "none" ? "" : spec.packing === "soft" ? "soft packing" : "setting compound",
    spec.raise
      ? `raised ${wording.angle(spec.raise.degrees)} for ${spec.raise.cycles} ${spec.raise.cycles === 1 ? "cycle" : "cycles"}`
      : "",
    `${spec.nailsMedial + spec.nailsLateral} nails`,
  ];
  return parts.filter((part) => part !== "").join(", ");
}

export const SUPPORT_WORDS: Record<HeelSupport, string> = {
  heel: "ends at the heel",
  frog: "ends at the back of the frog",
  long: "ends beyond, up to the bulbs",
};

/** What differs between two specifications, field by field; a bare foot has no other fields. */
export function specDifferences(was: Specification, now: Specification): SpecField[] {
  if (was.type === "bare" && now.type === "bare") return [];
  if (was.type === "bare" || now.type === "bare") return ["type"];
  return SPEC_FIELDS.filter((field) => JSON.stringify(was[field]) !== JSON.stringify(now[field]));
}

/** The differences as a sentence: `toe plain, now rolled; web 22 mm, now 20 mm`. Empty where there are none. */
export const differencesInWords = (was: Specification, now: Specification, wording: Wording): string =>
  specDifferences(was, now)
    .map(
      (field) =>
        `${wording.inOwnWords(SPEC_NAMES[field])} ${fieldInWords(was, field, wording)}, now ${fieldInWords(now, field, wording)}`,
    )
    .join("; ");
