import { MM_PER_INCH } from "../constants/exact";
import type { Fit } from "../shoe/fit";
import type { Result } from "../result";
import type { Wording } from "../foot/wording";
import { centreLineOf, stockLength, TRADE_ALLOWANCES, type Allowances, type Stock } from "./stock";

/** Rule and outline further apart than this: a measure is to be checked, mm. Source: trade practice. */
const APART_MM = 15;

/** How a user cuts steel: allowances, and what the own hand takes on top, mm. */
export interface Cutting {
  allowances: Allowances;
  hand: number;
}
/** Two measures that were asked for, and steel on top, mm. */
export interface Asked {
  width: number;
  length: number;
  extras?: number;
}
export const TRADE_CUTTING: Cutting = { allowances: TRADE_ALLOWANCES, hand: 0 };

/**
 * The stock of a shoe as it is drawn on its foot: both branches creased or none, a bar's length on top, the outer branch
 * longer than the inner by what the drawn one is.
 */
export function stockOfFit(
  fit: Fit,
  { allowances, hand }: Cutting = TRADE_CUTTING,
  asked?: Asked,
): Result<Stock> {
  const { spec } = fit.question;
  const line = centreLineOf(fit.outer, spec.width);
  return stockLength(
    {
      width: asked?.width ?? fit.width,
      length: asked?.length ?? fit.toeY - Math.min(fit.endY.medial, fit.endY.lateral),
      section: { width: spec.width, thickness: spec.thickness },
      creased: spec.crease === "creased" ? 2 : 0,
      extras: fit.across + fit.grown + (asked?.extras ?? 0),
      lateralLonger: line.ok ? line.value.length.lateral - line.value.length.medial : 0,
      outline: fit.outer,
      hand,
    },
    allowances,
  );
}

/** What to cut in the user's own unit, mm: the next eighth of an inch, or the next 5 mm. */
export const cutIn = ({ cutInches, cutMm }: Stock, { unit }: Pick<Wording, "unit">): number =>
  unit === "in" ? cutInches * MM_PER_INCH : cutMm;

/** Both ways and why they differ, what to cut, and where the mark goes; with medial and lateral in it. */
export function stockInWords(stock: Stock, wording: Wording): string[] {
  const { rule, outline, fromMark } = stock;
  const apart = outline ? outline.total - rule.total : 0;
  return [
    `By rule ${wording.length(rule.total)}${outline ? `, by outline ${wording.length(outline.total)}` : ""}: cut ${wording.length(cutIn(stock, wording))}.`,
    `From the centre mark ${wording.length(fromMark.medial)} medial, ${wording.length(fromMark.lateral)} lateral.`,
    ...(Math.abs(apart) > APART_MM ? [differenceInWords(stock, wording)] : []),
  ].map(wording.inOwnWords);
}

/** How far the two ways lie apart, why, and what to look at where that is much. */
export function differenceInWords({ rule, outline }: Stock, wording: Wording): string {
  if (!outline) return "";
  const apart = outline.total - rule.total;
  const by = wording.length(Math.abs(apart));
  if (Math.abs(apart) < 1) return "The two ways agree.";
  if (Math.abs(apart) <= APART_MM)
    return apart > 0
      ? `The outline wants ${by} more: the bend of a larger foot takes more than the table allows.`
      : `The rule wants ${by} more: a wide web covers the ground of a small foot sooner than the table allows.`;
  return `The two lie ${by} apart: ${apart > 0 ? "a large foot in a narrow web takes more for its bend than the rule allows, or the length was measured short" : "a small foot in a wide web takes less for its bend than the rule allows, or the width was measured wide"}.`;
}
