import { checkMeasure, MEASURE_FACTS, type Measure, type Measured, type Source } from "~core/foot/measures";
import { isInstrumentLine } from "~core/instrument/line";
import { typedNumber } from "~core/instrument/typedNumber";
import { ok, type Result } from "~core/result";
import { lengthInField, type Wording } from "~core/foot/wording";

/** A measure as it stands in its field: the number alone, in the user's unit. */
export function showMeasured(measure: Measure, value: number, wording: Wording): string {
  if (MEASURE_FACTS[measure].kind === "length") return lengthInField(value, wording);
  return String(Math.round(value * 10) / 10);
}

/** Reads what was typed for a measure; an emptied field takes the value away. */
export function readMeasured(
  measure: Measure,
  text: string,
  wording: Wording,
  source: Source | undefined,
): Result<Measured | undefined> {
  if (text.trim() === "") return ok(undefined);
  const { kind, usualSource } = MEASURE_FACTS[measure];
  const read = typedNumber(kind, text, wording.unit);
  if (!read.ok) return read;
  const checked = checkMeasure(measure, read.value);
  if (!checked.ok) return checked;
  // What an instrument typed is its own, whatever the value before it was taken with.
  return ok({
    value: checked.value,
    source: isInstrumentLine(text) ? usualSource : (source ?? usualSource),
  });
}
