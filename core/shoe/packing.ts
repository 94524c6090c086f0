import { polygonArea } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import { radians } from "../math/angle";

/**
 * Working time of a setting compound, minutes: it halves with every 10 degrees more. Range: any temperature at which
 * work is done. Source: trade practice, the chemist's rule of thumb.
 */
export const workingMinutes = (minutesAt20: number, celsius: number): number =>
  minutesAt20 * 2 ** ((20 - celsius) / 10);

/** Packs are mixed in steps of this much, ml. */
const STEP_ML = 10;

/** Compound for the space between pad and sole, ml, rounded up: too little is the usual mistake. Estimate. */
export function compoundMl(outline: readonly SolarPoint[], depthMm: number): number {
  const exact = (Math.abs(polygonArea(outline)) * Math.max(0, depthMm)) / 1000;
  return Math.max(0, Math.ceil(exact / STEP_ML - 1e-9) * STEP_ML);
}

/** Height of a raised pad at the heel, mm, over the length of the shoe. */
export const raiseAtHeel = (degrees: number, lengthMm: number): number =>
  Math.tan(radians(degrees)) * lengthMm;

/** The steps of packing with a setting compound, in the order of the work; each is a condition, not a ritual. */
export const PACKING_STEPS = {
  clean: "Frog clean, dry and disinfected",
  steel: "No compound between steel and wall",
  few: "Only as many nails as hold the shoe",
  load: "Foot down and loaded by the horse while it is soft",
  edge: "Surplus out, edge sealed before it sets",
  rest: "The rest of the nails, once it is set",
} as const;
export type PackingStep = keyof typeof PACKING_STEPS;
export const PACKING_STEP_NAMES = Object.keys(PACKING_STEPS) as [PackingStep, ...PackingStep[]];

/** What is left of the working time at `now`, seconds, negative once it is over. Instants in ms. */
export const secondsLeft = (mixedAt: number, minutes: number, now: number): number =>
  minutes * 60 - (now - mixedAt) / 1000;
