import { limbName, sideName, type Limb, type NamingStyle, type Side } from "./limb";
import { MEASURE_FACTS, type Measure } from "./measures";
import { formatAngle } from "../units/angle";
import { formatLength, typesetFractions, type InchFraction, type LengthUnit } from "../units/length";

/** How this user reads numbers and sides; sentences are built through it. */
export interface Wording {
  unit: LengthUnit;
  fraction: InchFraction;
  length: (mm: number) => string;
  /** A cut, as fine as a rasp goes: half a millimetre or the thirty-second of an inch. */
  cut: (mm: number) => string;
  angle: (deg: number) => string;
  limb: (limb: Limb) => string;
  side: (side: Side) => string;
  measure: (measure: Measure) => string;
  /** A text with the words medial and lateral in it, put in this user's own terms. */
  inOwnWords: (text: string) => string;
}

export interface WordingStyle extends NamingStyle {
  unit: LengthUnit;
  fraction: InchFraction;
}

function formatCut(mm: number, { unit, fraction }: WordingStyle): string {
  if (unit === "in") return typesetFractions(formatLength(mm, unit, Math.max(32, fraction)));
  const half = Math.round(2 * mm) / 2;
  return `${half % 1 === 0 ? half : half.toFixed(1)} mm`;
}

/** A length as it stands in a field: without its unit. */
export const lengthInField = (
  mm: number,
  { unit, fraction }: Pick<Wording, "unit" | "fraction">,
  decimals = 0,
): string => formatLength(mm, unit, fraction, decimals).replace(/ (mm|in)$/, "");

/** A text as a sentence or a label begins. */
export const sentenceCase = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

export function wordingFor(style: WordingStyle): Wording {
  const inOwnWords = (text: string) =>
    text.replace(/\b(medial|lateral)\b/g, (side) => sideName(side as Side, style));
  return {
    inOwnWords,
    unit: style.unit,
    fraction: style.fraction,
    length: (mm) => typesetFractions(formatLength(mm, style.unit, style.fraction)),
    cut: (mm) => formatCut(mm, style),
    angle: (deg) => formatAngle(deg),
    limb: (limb) => limbName(limb, style),
    side: (side) => sideName(side, style),
    measure: (measure) => inOwnWords(MEASURE_FACTS[measure].name),
  };
}
