import { MM_PER_INCH } from "../constants/exact";
import type { Fit } from "../shoe/fit";
import type { Result } from "../result";
import type { Wording } from "../units/wording";
import { centreLineOf, stockLength, TRADE_ALLOWANCES, type Allowances, type Stock } from "./stock";

/** Rule and outline further apart than this: a measure is to be checked, mm. Source: trade practice. */
const APART_MM = 15;

/** How a user cuts steel: allowances, and what the own hand takes on top, mm. */
export interface Cutting {
  allowances: Allowances;
  hand: number;
}
export const TRADE_CUTTING: Cutting = { allowances: TRADE_ALLOWANCES, hand: 0 };

/**
 * The stock of a shoe as it is drawn on its foot: both branches creased or none, a bar's length on top, the outer branch
 * longer than the inner by what the drawn one is.
 */
export function stockOfFit(
  fit: Fit,
  { allowances, hand }: Cutting = TRADE_CUTTING,
  asked?: { width: number; length: number },
): Result<Stock> {
  const { spec } = fit.question;
  const line = centreLineOf(fit.outer, spec.width);
  return stockLength(
    {
      width: asked?.width ?? fit.width,
      length: asked?.length ?? fit.toeY - Math.min(fit.endY.medial, fit.endY.lateral),
      section: { width: spec.width, thickness: spec.thickness },
      creased: spec.crease === "creased" ? 2 : 0,
      extras: fit.across,
      lateralLonger: line.ok ? line.value.length.lateral - line.value.length.medial : 0,
      outline: fit.outer,
      hand,
    },
    allowances,
  );
}

/** Both ways and why they differ, what to cut, and where the mark goes; with medial and lateral in it. */
export function stockInWords(
  { rule, outline, cutInches, cutMm, fromMark }: Stock,
  wording: Wording,
): string[] {
  const lines = [
    `By rule ${wording.length(rule.total)}${outline ? `, by outline ${wording.length(outline.total)}` : ""}: cut ${wording.unit === "in" ? wording.length(cutInches * MM_PER_INCH) : wording.length(cutMm)}.`,
    `From the centre mark ${wording.length(fromMark.medial)} medial, ${wording.length(fromMark.lateral)} lateral.`,
  ];
  const apart = outline ? outline.total - rule.total : 0;
  if (Math.abs(apart) > APART_MM)
    lines.push(
      `The two lie ${wording.length(Math.abs(apart))} apart: ${apart > 0 ? "a large foot in a narrow web takes more for its bend than the rule allows, or the length was measured short" : "a small foot in a wide web takes less for its bend than the rule allows, or the width was measured wide"}.`,
    );
  return lines.map(wording.inOwnWords);
}
