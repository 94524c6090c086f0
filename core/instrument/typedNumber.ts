import { fail, ok, type Result } from "../result";
import { parseAngle } from "../units/angle";
import { parseLength, type LengthUnit } from "../units/length";
import { isInstrumentLine, readInstrumentLine, type InstrumentReading } from "./line";

/**
 * A number as it was typed, or as an instrument that types by itself wrote it, deg or mm. A bare length is in `unit`. A
 * minus is read where `signed` says that the measure can lie on either side of nothing; else the unit's own error says so.
 * Errors: those of the unit and of the instrument's line, `wrong-unit` where an instrument gave the other kind.
 */
export function typedNumber(
  kind: InstrumentReading["kind"],
  text: string,
  unit: LengthUnit,
  signed = false,
): Result<number> {
  if (isInstrumentLine(text)) {
    const line = readInstrumentLine(text);
    if (!line.ok) return line;
    return line.value.kind === kind
      ? ok(line.value.value)
      : fail(
          "wrong-unit",
          "",
          `This is ${kind === "angle" ? "an angle: use the gauge" : "a length: use the calliper"}.`,
        );
  }
  if (kind === "angle") return parseAngle(text);
  const typed = text.trim();
  if (!signed || !/^[-−–]/.test(typed)) return parseLength(typed, unit);
  const size = parseLength(typed.slice(1), unit);
  return size.ok ? ok(-size.value) : size;
}
