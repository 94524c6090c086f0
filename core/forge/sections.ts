import { shoeMass } from "../shoe/mass";
import type { Material } from "../shoe/specification";

/** A bar as it is bought. Mm. */
export interface Section {
  width: number;
  thickness: number;
  /** What it is mostly used for. */
  use: string;
}

/** Sections of the trade, narrow to wide. Source: trade practice. */
export const SECTIONS: readonly Section[] = [
  { width: 15, thickness: 6, use: "ponies, small feet" },
  { width: 19, thickness: 8, use: "light riding, narrow webs that bite" },
  { width: 19, thickness: 10, use: "road work, hard wearing" },
  { width: 20, thickness: 10, use: "ordinary riding horses" },
  { width: 22, thickness: 8, use: "broad and light, soft arenas" },
  { width: 22, thickness: 10, use: "ordinary riding horses" },
  { width: 25, thickness: 8, use: "broad webs, bars" },
  { width: 25, thickness: 10, use: "larger feet, bars" },
  { width: 25, thickness: 12, use: "cobs, driving" },
  { width: 32, thickness: 10, use: "sliding plates, heavy feet" },
  { width: 32, thickness: 13, use: "heavy horses" },
];

/** Grams of a metre of bar, a flat section without crease and holes. */
export const gramsPerMetre = ({ width, thickness }: Section, material: Material): number =>
  shoeMass({ centreLine: 1000, section: { width, thickness }, material });

/** Where the first and the last nail stand along a shoe of ordinary shape, as parts of a branch from the toe. */
export interface NailStations {
  nails: number;
  parts: number[];
}

/** Nails evenly between the toe quarter and the widest part; those places as parts of a branch, outer side. Source: drawn feet. */
const FROM_PART = 0.37;
const TO_PART = 0.6;
export const nailStations = (nails: number): NailStations => ({
  nails,
  parts: Array.from({ length: nails }, (_, index) =>
    nails === 1 ? (FROM_PART + TO_PART) / 2 : FROM_PART + ((TO_PART - FROM_PART) * index) / (nails - 1),
  ),
});
