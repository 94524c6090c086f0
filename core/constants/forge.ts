import type { Entry } from "./entry";

const trade = (value: number, unit: string, validFor: string): Entry<number> => ({
  value,
  unit,
  validFor,
  source: "trade practice",
  sure: "common practice",
});

/** What the bend of the toe takes by the sum of width and length: the first whose bound is above the sum, else the last. */
export const TOE_ALLOWANCES: readonly { under: number; mm: number }[] = [
  { under: 241.3, mm: 38.1 },
  { under: 355.6, mm: 44.45 },
  { under: Number.POSITIVE_INFINITY, mm: 50.8 },
];

/** From this width on a section covers the ground sooner, and its bend takes less. */
export const WIDE_SECTION_MM = trade(31.75, "mm", "section width from which the toe allowance is less");
export const WIDE_SECTION_LESS_MM = trade(6.35, "mm", "toe allowance, sections of 1 1/4 in and wider");

export const BUMP_MM = trade(12.7, "mm", "length swallowed by upsetting the toe");
export const STRETCH_A_BRANCH_MM = trade(6.35, "mm", "length gained by a branch creased with a fuller");
