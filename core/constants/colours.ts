import type { Entry } from "./entry";

/** A colour of hot steel as it looks in shade. */
export interface HeatColour {
  name: string;
  fromC: number;
  toC: number;
  /** About what is seen, for a swatch. */
  swatch: string;
}

/** Mild steel in shade, coldest first; between two of them it is the one on its way to the other. Approximate. */
export const STEEL_COLOURS: Entry<readonly HeatColour[]> = {
  value: [
    { name: "black heat", fromC: 0, toC: 500, swatch: "#2b2625" },
    { name: "dull red", fromC: 600, toC: 700, swatch: "#6d1a12" },
    { name: "cherry", fromC: 750, toC: 850, swatch: "#b3261a" },
    { name: "orange", fromC: 900, toC: 1000, swatch: "#e2641c" },
    { name: "bright orange", fromC: 1000, toC: 1100, swatch: "#f28c28" },
    { name: "yellow", fromC: 1100, toC: 1200, swatch: "#f7c948" },
    { name: "welding heat", fromC: 1250, toC: 1350, swatch: "#fdf3c4" },
  ],
  unit: "degrees C",
  source: "trade practice",
  validFor: "mild steel, looked at in shade; sun hides a colour",
  sure: "common practice",
};

/** Aluminium alloys are worked here; no colour shows, and they collapse near the last number. */
export const ALUMINIUM_WORKS: Entry<{ fromC: number; toC: number; collapsesC: number }> = {
  value: { fromC: 350, toC: 450, collapsesC: 600 },
  unit: "degrees C",
  source: "trade practice",
  validFor: "aluminium shoes; tested with a pine stick or a marker",
  sure: "common practice",
};

/** Heat that steel loses while one operation is done, degrees C. */
export const COOLS_C: Entry<{ heavy: number; light: number }> = {
  value: { heavy: 90, light: 40 },
  unit: "degrees C",
  source: "assumption, from how many blows a heat gives",
  validFor: "an ordinary section; a thin one cools faster",
  sure: "assumption",
};
