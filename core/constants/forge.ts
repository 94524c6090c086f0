import type { Entry } from "./entry";

const trade = (value: number, unit: string, validFor: string): Entry<number> => ({
  value,
  unit,
  validFor,
  source: "trade practice",
  sure: "common practice",
});

/** Sums of width and length at which the toe's allowance steps up, mm: 9 1/2 and 14 in. */
export const TOE_STEPS_MM = [241.3, 355.6] as const;
/** What the bend of the toe takes below the first step, below the second, and from there on. */
export const TOE_ALLOWANCES_MM = [
  trade(38.1, "mm", "toe allowance, width plus length under 9 1/2 in"),
  trade(44.45, "mm", "toe allowance, width plus length under 14 in"),
  trade(50.8, "mm", "toe allowance, width plus length from 14 in on"),
] as const;

/** From this width on a section covers the ground sooner, and its bend takes less. */
export const WIDE_SECTION_MM = trade(31.75, "mm", "section width from which the toe allowance is less");
export const WIDE_SECTION_LESS_MM = trade(6.35, "mm", "toe allowance, sections of 1 1/4 in and wider");

export const BUMP_MM = trade(12.7, "mm", "length swallowed by upsetting the toe");
export const STRETCH_A_BRANCH_MM = trade(6.35, "mm", "length gained by a branch creased with a fuller");
