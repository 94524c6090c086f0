import { SIDES, type Side } from "../foot/limb";
import { eachSide } from "../foot/parametric/parameters";
import type { Wording } from "../foot/wording";
import { alterationInWords, inAnvilOrder, type Alteration } from "./alterations";
import type { Fit } from "./fit";
import {
  bySide,
  endOf,
  isBar,
  type BranchEnd,
  type ClipPlaceName,
  type HeadPattern,
  type Specification,
} from "./specification";

/** A ready-made shoe of the user's own table. Lengths mm. What the table does not say is an ordinary shoe's. */
export interface ShoeSize {
  name: string;
  feet: "fore" | "hind" | "either";
  /** Across the widest part, and from toe to the ends of the branches. */
  width: number;
  length: number;
  /** Of the bar before it was turned: how much steel there is. */
  straight: number;
  sectionWidth: number;
  sectionThickness: number;
  pattern: HeadPattern;
  /** Web of each branch where it is not the section's. */
  webMedial?: number | undefined;
  webLateral?: number | undefined;
  toe?: Specification["toe"] | undefined;
  toeEdge?: Specification["toeEdge"] | undefined;
  clips?: ClipPlaceName[] | undefined;
  crease?: Specification["crease"] | undefined;
  material?: Specification["material"] | undefined;
  profile?: Specification["profile"] | undefined;
  /** How far in from the edge its holes are punched. */
  holes?: "coarse" | "fine" | undefined;
  grams?: number | undefined;
}

/** What is wanted of a ready-made shoe. */
export interface SizeWanted {
  fore: boolean;
  width: number;
  /** Each branch from the toe back, mm. */
  medial: number;
  lateral: number;
  /** Steel in the shoe as it is drawn, mm. */
  straight: number;
  roll: number;
  section: { width: number; thickness: number };
  pattern: HeadPattern;
  toe: Specification["toe"];
  toeEdge: Specification["toeEdge"];
  clips: readonly ClipPlaceName[];
  web: Record<Side, number>;
  end: Record<Side, BranchEnd>;
  type: Specification["type"];
  crease: Specification["crease"];
  material: Specification["material"];
  profile: Specification["profile"];
  /** Undefined without nails. */
  holes: "coarse" | "fine" | undefined;
}

/** A hole this far in from the edge is a coarse one, as a part of the web. Assumption. */
export const COARSE_PART = 0.45;

export function wantedOf(fit: Fit, fore: boolean): SizeWanted {
  const { spec } = fit.question;
  const holes = SIDES.flatMap((side) => fit.nails[side].map(({ inset }) => inset));
  return {
    fore,
    width: fit.width,
    medial: fit.toeY - fit.endY.medial,
    lateral: fit.toeY - fit.endY.lateral,
    straight: fit.centreLine,
    roll: fit.roll,
    section: { width: spec.width, thickness: spec.thickness },
    pattern: spec.pattern,
    toe: spec.toe,
    toeEdge: spec.toeEdge,
    clips: spec.clips,
    web: eachSide((side) => spec.width + bySide(spec, "wider", side)),
    end: eachSide((side) => endOf(spec, side)),
    type: spec.type,
    crease: spec.crease,
    material: spec.material,
    profile: spec.profile,
    holes: holes.length === 0 ? undefined : Math.max(...holes) > COARSE_PART * spec.width ? "coarse" : "fine",
  };
}

export interface SizeChoice {
  size: ShoeSize;
  /** What is to be done to it, in the order of the anvil. */
  alterations: Alteration[];
  /** Steel that is missing at the longer branch, mm: it cannot be added. */
  short: number;
  /** What no hammer changes: thickness, metal, section, holes. */
  differs: ("thickness" | "metal" | "section" | "nail holes" | "heads" | "holes" | "web")[];
  /** Millimetres of reshaping, weighed: what the list is ordered by. */
  cost: number;
}

/** Less than this is no change, mm. */
const LEAST_MM = 0.5;
/** A web is spread by creasing or drawing no further than this, mm. Assumption. */
const MOST_WIDER_MM = 4;

/**
 * How dear a change is, against a millimetre of opening: that bends the whole shoe, cutting a heel is quick, short is no
 * shoe, metal is not changed. Assumptions: they order the list.
 */
const COST = {
  bend: 1,
  cut: 0.4,
  short: 12,
  thickness: 1.5,
  widen: 2,
  setDown: 1,
  notWidened: 4,
  square: 6,
  edgeOut: 4,
  edge: 3,
  heel: 2,
  clip: 5,
  clipOff: 1,
  bar: 14,
  plate: 30,
  metal: 40,
  section: 6,
  crease: 5,
  holes: 2,
  pattern: 4,
};
/** Differences that nobody would tell at the anvil, mm. */
const sameMm = (a: number, b: number): boolean => Math.abs(a - b) < LEAST_MM;

/** The shoes of a table that want least reshaping, the best first; feet of the other end are left out. */
export function chooseSizes(table: readonly ShoeSize[], wanted: SizeWanted, most = 3): SizeChoice[] {
  const best: SizeChoice[] = [];
  for (const size of table) {
    if (size.feet !== "either" && (size.feet === "fore") !== wanted.fore) continue;
    const choice = reshape(size, wanted);
    if (best.length === most && choice.cost >= (best[most - 1]?.cost ?? 0)) continue;
    const place = best.findIndex(({ cost }) => choice.cost < cost);
    best.splice(place === -1 ? best.length : place, 0, choice);
    best.length = Math.min(best.length, most);
  }
  return best.map((choice) => ({ ...choice, alterations: inAnvilOrder(choice.alterations) }));
}

function reshape(size: ShoeSize, wanted: SizeWanted): SizeChoice {
  const alterations: Alteration[] = [];
  let cost = 0;
  const put = (price: number, one: Alteration) => {
    cost += price;
    alterations.push(one);
  };
  const differs: SizeChoice["differs"] = [];
  const unlike = (price: number, what: SizeChoice["differs"][number]) => {
    cost += price;
    differs.push(what);
  };
  const toe = size.toe ?? "round";
  const toeEdge = size.toeEdge ?? "plain";
  // An edge that is there and not wanted comes out; one that is there as wanted need only be moved.
  if (toeEdge !== "plain" && toeEdge !== wanted.toeEdge)
    put(COST.edgeOut, { kind: "take out the edge", into: toeEdge });
  if (toe !== wanted.toe) put(COST.square, { kind: "square", into: wanted.toe });
  for (const side of SIDES) {
    const has = (side === "medial" ? size.webMedial : size.webLateral) ?? size.sectionWidth;
    const more = wanted.web[side] - has;
    if (more > MOST_WIDER_MM) unlike(COST.notWidened * more, "web");
    else if (more >= LEAST_MM) put(COST.widen * more, { kind: "widen", side, mm: more });
    else if (more <= -LEAST_MM) put(COST.setDown * -more, { kind: "set down", side, mm: -more });
  }
  const wider = wanted.width - size.width;
  if (wider >= LEAST_MM) put(COST.bend * wider, { kind: "open", mm: wider });
  else if (wider <= -LEAST_MM) put(COST.bend * -wider, { kind: "close", mm: -wider });
  else cost += Math.abs(wider);
  // Opening the heels by a millimetre takes half of it off the length.
  const length = size.length - Math.max(0, wider) / 2;
  for (const side of SIDES) {
    const over = length - wanted[side];
    if (over >= LEAST_MM) put(COST.cut * over, { kind: "cut", side, mm: over });
    if (wanted.end[side] !== "plain" && !isBar(wanted))
      put(COST.heel, { kind: "heel", side, into: wanted.end[side] });
  }
  const short = Math.max(0, wanted.medial - length, wanted.lateral - length, wanted.straight - size.straight);
  cost += COST.short * short;
  if (isBar(wanted)) put(COST.bar, { kind: "bar", into: wanted.type });
  else if (wanted.type === "sliding plate" && !sameMm(size.sectionWidth, wanted.section.width))
    cost += COST.plate;
  if (wanted.toeEdge !== "plain" && toeEdge !== wanted.toeEdge)
    put(COST.edge + 0.3 * wanted.roll, { kind: "edge", into: wanted.toeEdge, mm: wanted.roll });
  const clips = size.clips ?? [];
  for (const clip of wanted.clips) if (!clips.includes(clip)) put(COST.clip, { kind: "clip", clip });
  for (const clip of clips) if (!wanted.clips.includes(clip)) put(COST.clipOff, { kind: "clip off", clip });
  const thickness = Math.abs(size.sectionThickness - wanted.section.thickness);
  if (thickness >= LEAST_MM) unlike(COST.thickness * thickness, "thickness");
  if ((size.material ?? "steel") !== wanted.material) unlike(COST.metal, "metal");
  if ((size.profile ?? "flat") !== wanted.profile) unlike(COST.section, "section");
  if ((size.crease ?? wanted.crease) !== wanted.crease) unlike(COST.crease, "nail holes");
  if (size.holes !== undefined && wanted.holes !== undefined && size.holes !== wanted.holes)
    unlike(COST.holes, "holes");
  if (size.pattern !== wanted.pattern) unlike(COST.pattern, "heads");
  return { size, alterations, short, differs, cost };
}

/** What to do to the shoe in the order of the anvil, then what no hammer changes; empty where it goes on as it is. */
export function reshapingInWords(
  { alterations, short, differs, size }: SizeChoice,
  spec: Specification,
  wording: Wording,
): string[] {
  const lines = alterations.map((one) => wording.inOwnWords(alterationInWords(one, wording)));
  if (short >= LEAST_MM) lines.push(`it is ${wording.cut(short)} too short: take the next size`);
  const says: Record<SizeChoice["differs"][number], string> = {
    thickness: `${wording.cut(size.sectionThickness)} thick, ${wording.cut(spec.thickness)} were wanted`,
    metal: `it is ${size.material ?? "steel"}, ${spec.material} was wanted`,
    section: `its section is ${size.profile ?? "flat"}, ${spec.profile} was wanted`,
    "nail holes": `it is ${size.crease ?? "creased"}, ${spec.crease} was wanted`,
    heads: `its holes take ${size.pattern} heads`,
    holes: `its holes are punched ${size.holes ?? "fine"}`,
    web: `web ${wording.cut(size.sectionWidth)}, ${wording.cut(spec.width)} were wanted`,
  };
  return [...lines, ...[...new Set(differs)].map((one) => says[one])];
}

/** A neutral table to begin with: even steps of width, no maker's numbers. */
export const EXAMPLE_SIZES: readonly ShoeSize[] = (["fore", "hind"] as const).flatMap((feet) =>
  Array.from({ length: 15 }, (_, index): ShoeSize => {
    const width = 96 + 6 * index;
    const length = Math.round(width * (feet === "fore" ? 1.05 : 1.1));
    const sectionWidth = width < 116 ? 19 : width < 152 ? 22 : 28;
    return {
      name: `${feet} ${width}`,
      feet,
      width,
      length,
      straight: Math.round(2 * length + 0.62 * width),
      sectionWidth,
      sectionThickness: width < 116 ? 8 : width < 152 ? 10 : 12,
      clips: feet === "fore" ? ["toe"] : ["side medial", "side lateral"],
      crease: "creased",
      pattern: width < 152 ? "slim" : "heavy",
    };
  }),
);
