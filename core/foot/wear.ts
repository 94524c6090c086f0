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

/** 0 for metal as it was to 3 for worn away. */
export const wearAmount = (state: WearState | undefined): number => WEAR_STATES.indexOf(state ?? "untouched");

/** Where the shoe is thinnest; undefined with no wear painted or with wear that is the same all round. */
export function thinnestWear(wear: Wear): { sectors: WearSector[]; state: WearState } | undefined {
  const painted = WEAR_SECTORS.filter((sector) => wear[sector] !== undefined);
  const most = Math.max(0, ...painted.map((sector) => wearAmount(wear[sector])));
  const sectors = painted.filter((sector) => wearAmount(wear[sector]) === most);
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
    return sectors.reduce((sum, sector) => sum + wearAmount(wear[sector]), 0) / sectors.length;
  };
  const [medial, lateral] = [meanOf("Medial"), meanOf("Lateral")];
  if (Math.abs(lateral - medial) < WORN_APART) return undefined;
  return lateral > medial ? "lateral" : "medial";
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
