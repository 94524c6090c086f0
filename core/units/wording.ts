import { limbName, sideName, type Limb, type NamingStyle, type Side } from "../foot/limb";
import { MEASURE_FACTS, type Measure } from "../foot/measures";
import { formatAngle } from "./angle";
import { formatLength, typesetFractions, type InchFraction, type LengthUnit } from "./length";

/** How this user reads numbers and sides; sentences are built through it. */
export interface Wording {
  unit: LengthUnit;
  fraction: InchFraction;
  length: (mm: number) => string;
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

export function wordingFor(style: WordingStyle): Wording {
  const inOwnWords = (text: string) =>
    text.replace(/\b(medial|lateral)\b/g, (side) => sideName(side as Side, style));
  return {
    inOwnWords,
    unit: style.unit,
    fraction: style.fraction,
    length: (mm) => typesetFractions(formatLength(mm, style.unit, style.fraction)),
    angle: (deg) => formatAngle(deg),
    limb: (limb) => limbName(limb, style),
    side: (side) => sideName(side, style),
    measure: (measure) => inOwnWords(MEASURE_FACTS[measure].name),
  };
}
