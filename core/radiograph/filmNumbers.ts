import { times, plus, type Vector } from "../geometry/vector";
import type { Film } from "./filmRecord";
import { readFilm, type FilmMeasures } from "./readFilm";

/** One number of a film: its value, how far a pixel of hand moves it, and what is usual, to be read with the vet. */
export interface FilmNumber {
  id: string;
  name: string;
  unit: "deg" | "mm" | "";
  value: number;
  /** Half width of the band that holds the true value in 90 of 100, for marks placed to a pixel. */
  band: number;
  usual?: string;
  /** Outside of what is usual, or bone and wall apart: to be read with the vet. */
  outside?: string;
}

const Z_90 = 1.645;
/** Step by which a mark is moved to learn what a number feels, px. */
const STEP_PX = 0.25;

const plainNumbers = ({ lateral, front }: FilmMeasures): Record<string, number | undefined> => ({
  ...(lateral && {
    palmarAngle: lateral.palmarAngle,
    soleTip: lateral.soleDepth?.tip,
    soleWing: lateral.soleDepth?.wing,
    tipToGround: lateral.tipToGround,
    dorsalHigh: lateral.dorsal.high,
    dorsalLow: lateral.dorsal.low,
    capsuleRotation: lateral.capsuleRotation,
    boneRotation: lateral.boneRotation,
    coronetExtensor: lateral.coronetExtensor,
    front: lateral.front,
    support: lateral.support,
    frontShare: lateral.frontShare,
    leverIndex: lateral.leverIndex,
    radius: lateral.cor.radius,
    residual: lateral.cor.residual,
  }),
  ...(front && {
    tilt: front.tilt,
    jointMedial: front.jointSpace.medial,
    jointLateral: front.jointSpace.lateral,
    spaceDifference: front.spaceDifference,
    borderMedial: front.borderHeight.medial,
    borderLateral: front.borderHeight.lateral,
    wallMedial: front.wallHeight.medial,
    wallLateral: front.wallHeight.lateral,
    wallDifference: front.wallDifference,
    soleMedial: front.soleDepth?.medial,
    soleLateral: front.soleDepth?.lateral,
  }),
});

type Marked = Pick<Film, "view" | "scale" | "points" | "taken">;

/**
 * The numbers of a film with their bands: every mark, the marker's ends too, is moved a little both ways along x and y,
 * and what that does adds in quadrature for a hand that is off by `handPx` (one sd along each axis). Linear, so good for
 * small errors. Empty where the film measures nothing yet.
 */
export function filmNumbers(film: Marked, footLengthMm?: number, handPx = 1): FilmNumber[] {
  const read = readFilm(film, footLengthMm);
  if (!read.ok) return [];
  const base = plainNumbers(read.value);
  const variance: Record<string, number> = {};
  for (const [name, at] of Object.entries(film.points))
    for (const way of [
      [1, 0],
      [0, 1],
    ] as Vector[]) {
      const [ahead, behind] = [STEP_PX, -STEP_PX].map((step) => {
        const moved = readFilm(
          { ...film, points: { ...film.points, [name]: plus(at, times(way, step)) as [number, number] } },
          footLengthMm,
        );
        return moved.ok ? plainNumbers(moved.value) : {};
      });
      for (const key of Object.keys(base)) {
        const [a, b] = [ahead?.[key], behind?.[key]];
        if (a !== undefined && b !== undefined)
          variance[key] = (variance[key] ?? 0) + (((a - b) / (2 * STEP_PX)) * handPx) ** 2;
      }
    }
  return NUMBERS.flatMap(({ id, judge, ...rest }): FilmNumber[] => {
    const value = base[id];
    if (value === undefined) return [];
    const band = Z_90 * Math.sqrt(variance[id] ?? 0);
    const outside = judge?.(value, band, base);
    return [{ id, ...rest, value, band, ...(outside !== undefined && { outside }) }];
  });
}

type Judge = (value: number, band: number, all: Record<string, number | undefined>) => string | undefined;
interface NumberFacts extends Pick<FilmNumber, "id" | "name" | "unit" | "usual"> {
  judge?: Judge;
}

/** A value counts as outside only when its whole band is. */
const between =
  (low: number, high: number): Judge =>
  (value, band) =>
    value + band < low || value - band > high ? "Outside what is usual: read it with the vet." : undefined;
const least =
  (low: number): Judge =>
  (value, band) =>
    value + band < low ? "Less than is usual: read it with the vet." : undefined;
const nearNought =
  (bound: number): Judge =>
  (value, band) =>
    Math.abs(value) - band > bound ? "Not parallel: read it with the vet." : undefined;
/** The low dorsal distance past the high one by so much is marked, mm. Source: veterinary convention. */
const LOW_PAST_HIGH_MM = 2;

/** Every number of both views in the order in which they are read. Usual values: veterinary convention, for a horse. */
const NUMBERS: readonly NumberFacts[] = [
  { id: "palmarAngle", name: "Palmar angle", unit: "deg", usual: "about 3 to 8°", judge: between(3, 8) },
  { id: "soleTip", name: "Sole under the tip", unit: "mm", usual: "about 15 mm or more", judge: least(15) },
  { id: "soleWing", name: "Sole under the wing", unit: "mm" },
  { id: "tipToGround", name: "Tip to the ground", unit: "mm" },
  { id: "dorsalHigh", name: "Bone to wall, high", unit: "mm", usual: "about 15 to 18 mm" },
  {
    id: "dorsalLow",
    name: "Bone to wall, low",
    unit: "mm",
    usual: "like the high one",
    judge: (value, band, { dorsalHigh }) =>
      dorsalHigh !== undefined && value - dorsalHigh - band > LOW_PAST_HIGH_MM
        ? "More than 2 mm past the high one: ask the vet."
        : undefined,
  },
  { id: "capsuleRotation", name: "Bone against wall", unit: "deg", usual: "0", judge: nearNought(2) },
  { id: "boneRotation", name: "Bone against pastern", unit: "deg", usual: "0", judge: nearNought(4) },
  { id: "coronetExtensor", name: "Hairline to extensor process", unit: "mm", usual: "compare with itself" },
  { id: "front", name: "Front, breakover to centre of rotation", unit: "mm" },
  { id: "support", name: "Support, centre of rotation to heel", unit: "mm" },
  { id: "frontShare", name: "Front’s share", unit: "" },
  { id: "leverIndex", name: "Lever index", unit: "", usual: "compare with itself" },
  { id: "radius", name: "Joint’s radius", unit: "mm" },
  { id: "residual", name: "Left over by the joint’s points", unit: "mm" },
  {
    id: "tilt",
    name: "Lower border against the ground, + = higher lateral",
    unit: "deg",
    usual: "0",
    judge: nearNought(2),
  },
  { id: "jointMedial", name: "Joint space, medial", unit: "mm" },
  { id: "jointLateral", name: "Joint space, lateral", unit: "mm" },
  {
    id: "spaceDifference",
    name: "Joint space, lateral less medial",
    unit: "mm",
    usual: "0",
    judge: (value, band) => (Math.abs(value) - band > 1 ? "One side is narrower: ask the vet." : undefined),
  },
  { id: "borderMedial", name: "Border to the ground, medial", unit: "mm" },
  { id: "borderLateral", name: "Border to the ground, lateral", unit: "mm" },
  { id: "wallMedial", name: "Wall height, medial", unit: "mm" },
  { id: "wallLateral", name: "Wall height, lateral", unit: "mm" },
  { id: "wallDifference", name: "Wall height, lateral less medial", unit: "mm" },
  { id: "soleMedial", name: "Sole under the border, medial", unit: "mm" },
  { id: "soleLateral", name: "Sole under the border, lateral", unit: "mm" },
];
