import { polygonArea } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { radians } from "../math/angle";
import type { PackingWay } from "./specification";

/**
 * Working time of a setting compound, minutes: it halves with every 10 degrees more. Range: any temperature at which
 * work is done. Source: trade practice, the chemist's rule of thumb.
 */
export const workingMinutes = (minutesAt20: number, celsius: number): number =>
  minutesAt20 * 2 ** ((20 - celsius) / 10);

/** A compound bears after about this many times its working time, where its label does not say. Assumption. */
const BEARS_AFTER = 2;
export const bearsMinutes = (
  { minutesAt20, bearsAt20 }: { minutesAt20: number; bearsAt20?: number | undefined },
  celsius: number,
): number => workingMinutes(bearsAt20 ?? BEARS_AFTER * minutesAt20, celsius);

/** Under this a day is cold for a compound, and over that warm, degrees C. Assumptions. */
const COLD_C = 10;
const WARM_C = 25;
/** What a cold or a warm day asks for; empty on an ordinary one. */
export const dayForCompound = (celsius: number): string =>
  celsius < COLD_C
    ? "A cold day: it flows badly and bears late. Warm the packs in a pocket, dry and warm the frog, and keep the foot still until it bears."
    : celsius > WARM_C
      ? "A warm day: it sets while it is spread. Everything at hand before it is mixed; one foot at a time."
      : "";

/** Filling and pressing one foot takes this long, minutes. Assumption, from the work. */
const MINUTES_A_FOOT = 1.5;
/** One batch for two feet only while there is time to fill both before it sets. */
export const batchForTwo = (workMinutes: number): boolean => workMinutes >= 2 * MINUTES_A_FOOT;

/** Packs are mixed in steps of this much, ml. */
const STEP_ML = 10;
/** The vault of the sole is this part of its deepest place on the mean. Assumption, from drawn feet. */
const VAULT_PART = 0.5;
/** The vault where nobody measured the sulcus, mm on a foot of size 1. Assumption, an ordinary foot's. */
const USUAL_SULCUS_MM = 12;

/** The mean vault of a sole, mm: by its own depth beside the frog, else an ordinary foot's. Estimate. */
export const meanVault = ({ k, sulcusDepthMm }: { k: number; sulcusDepthMm?: number | undefined }): number =>
  VAULT_PART * (sulcusDepthMm ?? USUAL_SULCUS_MM * k);

/** What compound fills: between the shoe's inner edges, from the sole down to a pad or to the ground side of the shoe. */
export interface CompoundSpace {
  /** Closed, mm. */
  outline: readonly SolarPoint[];
  /** Size of the foot, 1 for a fore foot 127 mm wide. */
  k: number;
  /** Depth of the sulcus beside the frog, mm, where it was measured. */
  sulcusDepthMm?: number | undefined;
  /** The frog past the heels' plane, mm, + = proud, where it was measured. */
  frogProudMm?: number | undefined;
  /** Of the frog as seen from below, mm2. */
  frogArea: number;
  /** Steel that the compound fills as well, mm; 0 under a pad, which lies between foot and shoe. */
  under: number;
}

/**
 * Compound that fills a foot, ml, exact: the mean vault of the sole over its area, and over the frog what it stands short
 * of the plane. An estimate: by this foot's own depths where they were measured, else an ordinary foot's.
 */
export function compoundVolume({
  outline,
  k,
  sulcusDepthMm,
  frogProudMm,
  frogArea,
  under,
}: CompoundSpace): number {
  const vault = meanVault({ k, sulcusDepthMm });
  const area = Math.abs(polygonArea(outline));
  const frog = Math.min(area, Math.max(0, frogArea));
  const overFrog = Math.max(0, under + (frogProudMm === undefined ? vault : -frogProudMm));
  return ((area - frog) * (vault + under) + frog * overFrog) / 1000;
}

/** Rounded up to what is mixed: too little is the usual mistake. ml. */
export const toMix = (ml: number): number => Math.max(0, Math.ceil(ml / STEP_ML - 1e-9) * STEP_ML);

/** Height of a raised pad at the heel, mm, over the length of the shoe. */
export const raiseAtHeel = (degrees: number, lengthMm: number): number =>
  Math.tan(radians(degrees)) * lengthMm;

/** The steps of packing with a setting compound by either road; each is a condition, not a ritual. */
export const PACKING_STEPS = {
  clean: "Frog clean, dry and disinfected",
  steel: "No compound between steel and wall",
  few: "Two nails hold the shoe, no more",
  load: "Foot down, the other one lifted: its own weight presses it",
  edge: "Surplus out, edge sealed and wiped before it sets",
  rest: "The rest of the nails, once it bears",
  rivet: "Pad riveted, clenched on, back edge open",
  nozzle: "Nozzle to the point of the frog, drawn back as it fills",
  seal: "Back edge sealed and wiped",
  still: "Foot down and still until it bears",
} as const;
export type PackingStep = keyof typeof PACKING_STEPS;
export const PACKING_STEP_NAMES = Object.keys(PACKING_STEPS) as [PackingStep, ...PackingStep[]];

/** Bedded before the nails, under the horse's own weight; injected after them, under a riveted pad. */
export const PACKING_ROADS: Record<PackingWay, readonly PackingStep[]> = {
  bedded: ["clean", "steel", "few", "load", "edge", "rest"],
  injected: ["clean", "rivet", "nozzle", "seal", "still"],
};

/** What is left of the working time at `now`, seconds, negative once it is over. Instants in ms. */
export const secondsLeft = (mixedAt: number, minutes: number, now: number): number =>
  minutes * 60 - (now - mixedAt) / 1000;
