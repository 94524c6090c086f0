import { fail, type Result } from "~core/result";
import { parseLength, type LengthUnit } from "~core/units/length";

/** Reads the known length between the two ends of a scale, mm. Errors: those of a length, and `no-length` for none. */
export function readScaleLength(text: string, unit: LengthUnit): Result<number> {
  const length = parseLength(text, unit);
  return length.ok && length.value <= 0 ? fail("no-length", "scale", "A scale must have a length.") : length;
}
