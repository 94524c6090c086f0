import { isFore, type Limb, type Side } from "../foot/limb";
import type { WearSector } from "../foot/wear";

/** Thickness of a pad, mm. Assumption, from ordinary pads. */
export const PAD_MM = 5;

/** What goes on a foot. Enumerations are the trade's words as they are shown. */
export const SHOE_TYPES = ["bare", "plain", "sliding plate", "straight bar", "heart bar", "egg bar"] as const;
export type ShoeType = (typeof SHOE_TYPES)[number];
export const PROFILES = ["flat", "concave"] as const;
export const CREASES = ["stamped", "creased"] as const;
export const MATERIALS = ["steel", "aluminium"] as const;
export type Material = (typeof MATERIALS)[number];
/** The outline of the toe, apart from what is done to its ground edge. */
export const TOES = ["round", "square", "square set under"] as const;
export const TOE_EDGES = ["plain", "eased", "rolled", "rockered"] as const;
export type ToeEdge = (typeof TOE_EDGES)[number];
export const HEEL_SUPPORTS = ["heel", "frog", "long"] as const;
export type HeelSupport = (typeof HEEL_SUPPORTS)[number];
/** How a branch ends; tucked = towards the middle of the heel, open = its inner edge cut back. */
export const BRANCH_ENDS = ["plain", "tapered", "tucked", "open"] as const;
export type BranchEnd = (typeof BRANCH_ENDS)[number];
/** Where a change of one side begins. */
export const CHANGES_FROM = ["toe quarter", "widest"] as const;
/** What is done to an edge of the shoe at a place. */
export const EDGES = ["bevelled", "boxed", "eased", "rolled", "safe inside"] as const;
export type Edge = (typeof EDGES)[number];
export const CLIP_PLACES = [
  "toe",
  "side medial",
  "side lateral",
  "quarter medial",
  "quarter lateral",
] as const;
export type ClipPlaceName = (typeof CLIP_PLACES)[number];
export const TRACTIONS = ["none", "road pins", "stud holes", "heel blocks"] as const;
export const STUDS = ["none", "small", "large"] as const;
export type Stud = (typeof STUDS)[number];
export const PADS = ["none", "flat", "wedge", "frog support", "heart-bar"] as const;
export const PACKINGS = ["none", "soft", "setting compound"] as const;
/** Compound goes in before the nails, under the horse's own weight, or after them under a riveted pad. */
export const PACKING_WAYS = ["bedded", "injected"] as const;
export type PackingWay = (typeof PACKING_WAYS)[number];
export const HEAD_PATTERNS = ["slim", "square", "heavy"] as const;
export type HeadPattern = (typeof HEAD_PATTERNS)[number];
export const NAIL_METALS = ["steel", "coppered", "stainless"] as const;

/** A raise is a stage: how much, for how many cycles, and what ends it. */
export interface Raise {
  degrees: number;
  cycles: number;
  exit: string;
}

/** A whole specification of one shoe. Lengths mm, angles deg. */
export interface Specification {
  type: ShoeType;
  /** Web of the bar it is made of. */
  width: number;
  thickness: number;
  profile: (typeof PROFILES)[number];
  crease: (typeof CREASES)[number];
  material: Material;
  toe: (typeof TOES)[number];
  toeEdge: ToeEdge;
  support: HeelSupport;
  endMedial: BranchEnd;
  endLateral: BranchEnd;
  /** Fullness at each toe quarter, and at the end of each branch, mm. */
  fullToeMedial: number;
  fullToeLateral: number;
  fullMedial: number;
  fullLateral: number;
  /** Each branch beyond its support, mm; negative = short of it. */
  longerMedial: number;
  longerLateral: number;
  /** The shoe turned on the foot, deg, its toe towards lateral. */
  turn: number;
  /** Web of each branch beyond the bar's, mm: it grows inwards; negative = drawn narrower. */
  widerMedial: number;
  widerLateral: number;
  /** Each branch standing out beyond its fullness, mm. */
  outMedial: number;
  outLateral: number;
  /** Where what is wider or stands out begins. */
  changeFrom: (typeof CHANGES_FROM)[number];
  edges: Partial<Record<WearSector, Edge>>;
  /** Places where the shoe does not touch the wall. */
  unloaded: WearSector[];
  clips: ClipPlaceName[];
  nailsMedial: number;
  nailsLateral: number;
  pattern: HeadPattern;
  nailMetal: (typeof NAIL_METALS)[number];
  traction: (typeof TRACTIONS)[number];
  /** Studs for good ground and for wet; none on the road. */
  studsGood: Stud;
  studsWet: Stud;
  /** Sole relief hammered or ground into the foot side. */
  relief: boolean;
  pad: (typeof PADS)[number];
  riveted: boolean;
  packing: (typeof PACKINGS)[number];
  packed: PackingWay;
  raise?: Raise | undefined;
  /** A wedge under one side, deg. */
  sideWedge?: { side: Side; degrees: number } | undefined;
}
export type SpecField = keyof Specification;

/** The field of a side, by the first part of its name: `bySide(spec, "wider", "medial")` is `spec.widerMedial`. */
type SidedField = "full" | "fullToe" | "longer" | "wider" | "out" | "nails";
export const sidedField = <Name extends SidedField | "end">(name: Name, side: Side) =>
  `${name}${side === "medial" ? "Medial" : "Lateral"}` as `${Name}${"Medial" | "Lateral"}`;
export const bySide = (spec: Specification, name: SidedField, side: Side): number =>
  spec[sidedField(name, side)];
export const endOf = (spec: Specification, side: Side): BranchEnd => spec[sidedField("end", side)];

export const BARS: readonly ShoeType[] = ["straight bar", "heart bar", "egg bar"];
export const isBar = ({ type }: Pick<Specification, "type">): boolean => BARS.includes(type);
/** A plate, a pad or a compound that is meant to meet the frog. */
export const meetsFrog = ({ type, pad, packing }: Pick<Specification, "type" | "pad" | "packing">): boolean =>
  type === "heart bar" || pad === "frog support" || pad === "heart-bar" || packing === "setting compound";
/** Holes of nails in one branch and the other. */
export const nailCount = ({ nailsMedial, nailsLateral }: Specification): number => nailsMedial + nailsLateral;

/** Body mass over which a foot is shod as a heavy one, and under which as a light one, kg. Trade practice. */
const HEAVY_KG = 700;
const LIGHT_KG = 400;
const SMALL_KG = 250;

/** Fullness of an ordinary shoe from the toe to the widest part, and at the heel, mm. Source: trade practice. */
export const FRONT_FULLNESS_MM = 0.5;
export const HEEL_FULLNESS_MM = 3;

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
    toe: "round",
    toeEdge: "plain",
    support: "frog",
    endMedial: "plain",
    endLateral: "plain",
    fullToeMedial: FRONT_FULLNESS_MM,
    fullToeLateral: FRONT_FULLNESS_MM,
    fullMedial: HEEL_FULLNESS_MM,
    fullLateral: HEEL_FULLNESS_MM,
    longerMedial: 0,
    longerLateral: 0,
    turn: 0,
    widerMedial: 0,
    widerLateral: 0,
    outMedial: 0,
    outLateral: 0,
    changeFrom: "toe quarter",
    edges: {},
    unloaded: [],
    clips: isFore(limb) ? ["toe"] : ["side medial", "side lateral"],
    nailsMedial: nails,
    nailsLateral: nails,
    pattern: heavy ? "heavy" : "slim",
    nailMetal: "steel",
    traction: "none",
    studsGood: "none",
    studsWet: "none",
    relief: false,
    pad: "none",
    riveted: false,
    packing: "none",
    packed: "bedded",
  };
}

/** A specification as it goes to the other foot of the pair: what is unloaded is a foot's own, and stays its own. */
export const specForPair = (
  spec: Specification,
  own: Pick<Specification, "unloaded"> | undefined,
): Specification => ({
  ...spec,
  unloaded: own?.unloaded ?? [],
});

/** What differs between two specifications, field by field; a bare foot has no other fields. */
export function specDifferences(was: Specification, now: Specification): SpecField[] {
  if (was.type === "bare" && now.type === "bare") return [];
  if (was.type === "bare" || now.type === "bare") return ["type"];
  return SPEC_FIELDS.filter((field) => said(was[field]) !== said(now[field]));
}

/** A value of a field to compare by: the same parts in any order are the same value. */
const said = (value: unknown): string =>
  Array.isArray(value)
    ? JSON.stringify([...(value as unknown[])].sort())
    : typeof value === "object" && value !== null
      ? JSON.stringify(Object.entries(value).sort())
      : JSON.stringify(value ?? null);

/** With the words medial and lateral in them, to be put in the user's own terms. */
export const SPEC_NAMES: Record<SpecField, string> = {
  type: "shoe",
  width: "web",
  thickness: "thickness",
  profile: "section",
  crease: "nail holes",
  material: "metal",
  toe: "toe",
  toeEdge: "toe’s ground edge",
  support: "ends at",
  endMedial: "heel, medial",
  endLateral: "heel, lateral",
  fullToeMedial: "full, medial toe quarter",
  fullToeLateral: "full, lateral toe quarter",
  fullMedial: "full, medial heel",
  fullLateral: "full, lateral heel",
  longerMedial: "longer, medial",
  longerLateral: "longer, lateral",
  turn: "turned on the foot",
  widerMedial: "web more, medial",
  widerLateral: "web more, lateral",
  outMedial: "stands out, medial",
  outLateral: "stands out, lateral",
  changeFrom: "that begins at",
  edges: "edges",
  unloaded: "unloaded",
  clips: "clips",
  nailsMedial: "nails medial",
  nailsLateral: "nails lateral",
  pattern: "nail heads",
  nailMetal: "nails of",
  traction: "grip",
  studsGood: "studs, good ground",
  studsWet: "studs, wet ground",
  relief: "relief for the sole",
  pad: "pad",
  riveted: "pad riveted",
  packing: "packing",
  packed: "compound goes in",
  raise: "raise",
  sideWedge: "wedge under one side",
};
export const SPEC_FIELDS = Object.keys(SPEC_NAMES) as SpecField[];
export const LENGTH_FIELDS = [
  "width",
  "thickness",
  "fullToeMedial",
  "fullToeLateral",
  "fullMedial",
  "fullLateral",
  "longerMedial",
  "longerLateral",
  "widerMedial",
  "widerLateral",
  "outMedial",
  "outLateral",
] as const satisfies SpecField[];
export type LengthField = (typeof LENGTH_FIELDS)[number];
