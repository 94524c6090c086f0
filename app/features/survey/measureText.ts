import { checkMeasure, MEASURE_FACTS, type Measure, type Measured, type Source } from "~core/foot/measures";
import { isInstrumentLine, readInstrumentLine } from "~core/instrument/line";
import { fail, ok, type Result } from "~core/result";
import { parseAngle } from "~core/units/angle";
import { parseLength } from "~core/units/length";
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
  if (isInstrumentLine(text)) {
    const line = readInstrumentLine(text);
    if (!line.ok) return line;
    if (line.value.kind !== kind)
      return fail(
        "wrong-unit",
        measure,
        `This is ${kind === "angle" ? "an angle: use the gauge" : "a length: use the calliper"}.`,
      );
    const taken = checkMeasure(measure, line.value.value);
    return taken.ok ? ok({ value: taken.value, source: usualSource }) : taken;
  }
  const read = kind === "angle" ? parseAngle(text) : parseLength(text, wording.unit);
  if (!read.ok) return read;
  const checked = checkMeasure(measure, read.value);
  return checked.ok ? ok({ value: checked.value, source: source ?? usualSource }) : checked;
}
