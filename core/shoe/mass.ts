import { nailCount, type Material, type Specification } from "./specification";

/** Density, g/cm3. Source: engineering tables. */
export const DENSITY: Record<Material, number> = { steel: 7.85, aluminium: 2.7 };

export interface MassQuestion {
  /** Length of the bar along its middle, mm. */
  centreLine: number;
  /** mm. */
  section: { width: number; thickness: number };
  material: Material;
  /** Groove taken out, mm. */
  crease?: { width: number; depth: number; length: number };
  /** Nail holes through the whole thickness, area in mm2. */
  holes?: { count: number; area: number };
}

/**
 * Mass of a shoe, grams: section times centre line times density, less crease and holes. Never under 0. Where holes lie
 * in the crease both are taken off whole, which is a little too much: at most the crease's depth of each hole.
 */
export function shoeMass({ centreLine, section, material, crease, holes }: MassQuestion): number {
  const bar = centreLine * section.width * section.thickness;
  const groove = crease ? crease.width * crease.depth * crease.length : 0;
  const punched = holes ? holes.count * holes.area * section.thickness : 0;
  return (Math.max(0, bar - groove - punched) / 1000) * DENSITY[material];
}

/** Share of a flat section that a concave one keeps, groove of a crease, area of a nail hole. Assumptions. */
const CONCAVE_PART = 0.85;
const CREASE_MM = { width: 7, depthPart: 0.6, lengthPart: 0.55 };
const HOLE_MM2 = 30;

/**
 * The mass of a specification, grams, from the area of the shoe as it is seen from below and the length of its centre
 * line; 0 when bare. An estimate: pads and clips are left out.
 */
export function specMass(spec: Specification, areaMm2: number, centreLineMm: number): number {
  if (spec.type === "bare") return 0;
  const grams = shoeMass({
    centreLine: areaMm2 / spec.width,
    section: { width: spec.width, thickness: spec.thickness },
    material: spec.material,
    ...(spec.crease === "creased" && {
      crease: {
        width: CREASE_MM.width,
        depth: CREASE_MM.depthPart * spec.thickness,
        length: CREASE_MM.lengthPart * centreLineMm,
      },
    }),
    holes: { count: nailCount(spec), area: HOLE_MM2 },
  });
  return spec.profile === "concave" ? grams * CONCAVE_PART : grams;
}
