import { MM_PER_INCH } from "../constants/exact";
import { fail, ok, type Result } from "../result";

/** The unit that a bare number stands for, and the unit lengths are shown in. */
export type LengthUnit = "mm" | "in";

/** Parts of an inch to which lengths are shown, a whole number from 1 on; the trade marks 8, 16 or 32. */
export type InchFraction = number;

const VULGAR: Record<string, string> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
};

const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const LENGTH = new RegExp(
  String.raw`^(?:(?<whole>\d+)(?:\s+|\s*-\s*))?(?:(?<top>\d+)\s*\/\s*(?<bottom>\d+)|(?<plain>${NUMBER}))\s*(?<unit>mm|cm|in|inch|inches|"|”|″)?$`,
  "i",
);

/**
 * Reads a length as the trade writes it: `5 1/4`, `5-1/4`, `5¼`, `5.25in`, `5.25"`, `133`, `133mm`, `13.3 cm`.
 *
 * A bare number is in `unit`; a fraction without a unit too. A decimal comma is read as a point.
 * Range: zero or more. Errors: `not-a-length` with a sentence that says what was not understood;
 * signs are refused, since no length here can be below zero.
 */
export function parseLength(text: string, unit: LengthUnit): Result<number> {
  const typed = text.trim();
  if (typed === "") return fail("empty", "text", "Nothing was typed. Type a length such as 5 1/4 or 133 mm.");
  if (/^[-−–]/.test(typed))
    return fail("negative", "text", `“${typed}” is below zero. A length starts at 0.`, text);
  const spelled = typed.replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign] ?? ""}`).trim();
  const parts = LENGTH.exec(spelled)?.groups;
  const wrong = () =>
    fail(
      "not-a-length",
      "text",
      `“${typed}” is not a length. Type it like 5 1/4, 5.25in, 133 or 13.3 cm.`,
      text,
    );
  if (!parts || (parts.whole !== undefined && parts.plain !== undefined)) return wrong();
  const bottom = Number(parts.bottom ?? 1);
  if (bottom === 0) return fail("zero-denominator", "text", `“${typed}” divides by nothing.`, text);
  const fraction = parts.top === undefined ? 0 : Number(parts.top) / bottom;
  if (parts.whole !== undefined && fraction >= 1)
    return fail(
      "odd-fraction",
      "text",
      `“${typed}”: the fraction beside a whole number must be less than one.`,
      text,
    );
  const count = Number(parts.whole ?? 0) + fraction + Number((parts.plain ?? "0").replace(",", "."));
  if (!Number.isFinite(count)) return wrong();
  return ok(count * mmPer(parts.unit?.toLowerCase() ?? unit));
}

function mmPer(unit: string): number {
  if (unit === "mm") return 1;
  return unit === "cm" ? 10 : MM_PER_INCH;
}

export const inchesFromMm = (mm: number): number => mm / MM_PER_INCH;

/** A length cut into the pieces in which it is set: big figure, small fraction, unit. */
export interface LengthParts {
  sign: "" | "−";
  whole: string;
  top?: number;
  bottom?: number;
  unit: LengthUnit;
}

/**
 * The nearest whole millimetre (or `decimals` places), or the nearest fraction of an inch; ties go up.
 * Works for differences too: the sign stands apart and the size is rounded.
 */
export function lengthParts(
  mm: number,
  unit: LengthUnit,
  fraction: InchFraction = 16,
  decimals = 0,
): LengthParts {
  const size = Math.abs(mm);
  if (unit === "mm") {
    const scale = 10 ** decimals;
    const whole = (roundTieUp(size * scale) / scale).toFixed(decimals);
    return { sign: mm < 0 && Number(whole) !== 0 ? "−" : "", whole, unit };
  }
  const steps = roundTieUp(inchesFromMm(size) * fraction);
  const sign = mm < 0 && steps !== 0 ? "−" : "";
  const whole = Math.floor(steps / fraction);
  const rest = steps % fraction;
  if (rest === 0) return { sign, whole: String(whole), unit };
  const shared = greatestCommonDivisor(rest, fraction);
  return {
    sign,
    whole: whole === 0 ? "" : String(whole),
    top: rest / shared,
    bottom: fraction / shared,
    unit,
  };
}

/** A length in words: `5 1/4 in`, `133 mm`. See {@link lengthParts} for the rounding. */
export function formatLength(
  mm: number,
  unit: LengthUnit,
  fraction: InchFraction = 16,
  decimals = 0,
): string {
  const parts = lengthParts(mm, unit, fraction, decimals);
  const split = parts.top === undefined ? "" : `${parts.top}/${parts.bottom}`;
  return `${parts.sign}${[parts.whole, split].filter(Boolean).join(" ")} ${unit}`;
}

/** Half goes up; the small allowance keeps 0.5 a half after a division by 25.4. */
const roundTieUp = (value: number): number => Math.floor(value + 0.5 + 1e-9);

const greatestCommonDivisor = (a: number, b: number): number =>
  b === 0 ? a : greatestCommonDivisor(b, a % b);

const VULGAR_SIGN = Object.fromEntries(Object.entries(VULGAR).map(([sign, written]) => [written, sign]));

/** Text with halves, quarters and eighths as one sign: `5 1/4 in` becomes `5¼ in`. Finer fractions stay written out. */
export const typesetFractions = (text: string): string =>
  text.replace(
    /( ?)(\d+\/\d+)(?!\d)/g,
    (written, _space, fraction: string) => VULGAR_SIGN[fraction] ?? written,
  );
