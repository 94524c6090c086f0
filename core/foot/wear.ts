import { landingOf, leavingSide, type Watching } from "../gait/watching";
import type { Side } from "./limb";

/** Sectors of the old shoe, from the medial heel round the toe to the lateral heel. */
export const WEAR_SECTORS = [
  "heelMedial",
  "quarterMedial",
  "toeQuarterMedial",
  "toe",
  "toeQuarterLateral",
  "quarterLateral",
  "heelLateral",
] as const;
export type WearSector = (typeof WEAR_SECTORS)[number];

export const WEAR_SECTOR_NAMES: Record<WearSector, string> = {
  heelMedial: "Heel, medial",
  quarterMedial: "Quarter, medial",
  toeQuarterMedial: "Toe quarter, medial",
  toe: "Toe",
  toeQuarterLateral: "Toe quarter, lateral",
  quarterLateral: "Quarter, lateral",
  heelLateral: "Heel, lateral",
};

/** From the metal as it was to worn away. */
export const WEAR_STATES = ["untouched", "worn", "thin", "through"] as const;
export type WearState = (typeof WEAR_STATES)[number];
export type Wear = Partial<Record<WearSector, WearState | undefined>>;

const amount = (state: WearState | undefined): number => WEAR_STATES.indexOf(state ?? "untouched");

/** Where the shoe is thinnest; undefined with no wear painted or with wear that is the same all round. */
export function thinnestWear(wear: Wear): { sectors: WearSector[]; state: WearState } | undefined {
  const painted = WEAR_SECTORS.filter((sector) => wear[sector] !== undefined);
  const most = Math.max(0, ...painted.map((sector) => amount(wear[sector])));
  const sectors = painted.filter((sector) => amount(wear[sector]) === most);
  if (most === 0 || (painted.length === WEAR_SECTORS.length && sectors.length === painted.length))
    return undefined;
  return { sectors, state: WEAR_STATES[most] ?? "worn" };
}

/** Mean wear of the sides closer together than this is no difference: less than one place by one step. Assumption. */
const WORN_APART = 0.3;

/** Side of the foot that wears more, unpainted places taken as untouched. */
export function wornSide(wear: Wear): Side | undefined {
  const meanOf = (side: "Medial" | "Lateral") => {
    const sectors = WEAR_SECTORS.filter((sector) => sector.endsWith(side));
    return sectors.reduce((sum, sector) => sum + amount(wear[sector]), 0) / sectors.length;
  };
  const [medial, lateral] = [meanOf("Medial"), meanOf("Lateral")];
  if (Math.abs(lateral - medial) < WORN_APART) return undefined;
  return lateral > medial ? "lateral" : "medial";
}

/** Do landing, wear and breakover tell one story? */
export interface WearAgreement {
  agrees: boolean;
  /** What does not fit, in words with medial and lateral in them. */
  disagreements: string[];
}

/**
 * Landing against wear against breakover. The shoe is thinnest where the foot lands and leaves: a landing on one side
 * with the wear on the other, or a breakover over one toe quarter with the other one thinner, does not agree. Undefined
 * where there is no wear or nothing watched to hold it against.
 */
export function wearAgreement(wear: Wear, watching: Watching | undefined): WearAgreement | undefined {
  const thin = thinnestWear(wear);
  if (!thin || !watching || (!watching.lands && watching.leaves === undefined)) return undefined;
  const disagreements: string[] = [];
  const worn = wornSide(wear);
  const landing = watching.lands && landingOf(watching.lands);
  if (landing?.side && worn && landing.side !== worn)
    disagreements.push(
      `it was seen to land ${landing.word} first, yet the ${worn} branch is the thinner one`,
    );
  if (landing && !landing.side && worn)
    disagreements.push(`it was seen to land ${landing.word}, yet the ${worn} branch is the thinner one`);
  const leaves = watching.leaves === undefined ? undefined : leavingSide(watching.leaves);
  const quarters = amount(wear.toeQuarterLateral) - amount(wear.toeQuarterMedial);
  if (leaves && quarters !== 0 && leaves !== (quarters > 0 ? "lateral" : "medial"))
    disagreements.push(
      `it was seen to leave over the ${leaves} toe quarter, yet the ${quarters > 0 ? "lateral" : "medial"} one is thinner`,
    );
  return { agrees: disagreements.length === 0, disagreements };
}

/** What is found on a pulled and cleaned foot. */
export const FIND_KINDS = {
  bruise: "Bruise",
  puncture: "Puncture",
  discharge: "Discharge, or a soft hairline",
  thrush: "Thrush",
  "deep cleft": "Deep sore cleft",
  "white line": "White line separated",
  cavity: "Cavity",
  crack: "Crack",
  "old tract": "Old abscess tract",
  "crushed heel": "Crushed heel",
  "folded bar": "Bar folded over",
  "stretched frog": "Frog stretched",
  "retained sole": "Retained sole",
  other: "Something else",
} as const;
export type FindKind = keyof typeof FIND_KINDS;
export const FIND_KIND_NAMES = Object.keys(FIND_KINDS) as [FindKind, ...FindKind[]];
