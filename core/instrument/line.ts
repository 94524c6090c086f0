import { fail, ok, type Result } from "../result";
import { MM_PER_INCH } from "../constants/exact";

/** One reading of a gauge or calliper. */
export interface InstrumentReading {
  kind: "angle" | "length";
  /** deg or mm. */
  value: number;
}

/**
 * One line of the protocol that gauges and callipers speak, over a serial port or typed by a keyboard wedge:
 *
 *     [letter space] number [space] unit [*checksum] end of line
 *
 * `G 48.5 deg`, `C 92.4 mm`, `C 3.637 in`, `48,5 °`. The letter (G gauge, C calliper) may be missing; the number has a
 * decimal point or comma and may carry a sign; the unit is mm, cm, in, " , deg or °; the checksum, when there is one,
 * is the exclusive or of all characters before the star in two hexadecimal digits. The end is CR, LF or both.
 *
 * Errors: `not-a-reading` for a line that does not look so, `checksum` for one that was garbled on the way,
 * `wrong-unit` for a gauge that says millimetres or a calliper that says degrees. Source: our own format.
 */
export function readInstrumentLine(line: string): Result<InstrumentReading> {
  const found = LINE.exec(line.trim());
  if (!found)
    return fail(
      "not-a-reading",
      "line",
      `“${line.trim()}” is not a reading: expected something like “C 92.4 mm”.`,
      line,
    );
  const [, body = "", letter, number = "", unit = "", sum] = found;
  if (sum !== undefined && Number.parseInt(sum, 16) !== checksum(body))
    return fail("checksum", "line", `“${line.trim()}” was garbled on the way. Take it again.`, line);
  const value = Number(number.replace(",", "."));
  const angle = unit === "deg" || unit === "°";
  if ((letter === "G" && !angle) || (letter === "C" && angle))
    return fail(
      "wrong-unit",
      "line",
      `“${line.trim()}”: a ${letter === "G" ? "gauge reads degrees" : "calliper reads lengths"}.`,
      line,
    );
  if (angle) return ok({ kind: "angle", value });
  const perUnit = { mm: 1, cm: 10, in: MM_PER_INCH, '"': MM_PER_INCH }[unit] ?? 1;
  return ok({ kind: "length", value: value * perUnit });
}

const LINE = /^((?:([GC])\s+)?([+-]?\d+(?:[.,]\d+)?)\s*(mm|cm|in|"|deg|°))\s*(?:\*([0-9A-Fa-f]{2}))?$/;

export const checksum = (body: string): number =>
  [...body].reduce((sum, letter) => sum ^ (letter.codePointAt(0) ?? 0), 0) & 0xff;

/** A reading as a line with its checksum, as the stand-ins send it. */
export function writeInstrumentLine({ kind, value }: InstrumentReading): string {
  const body = kind === "angle" ? `G ${value.toFixed(1)} deg` : `C ${value.toFixed(1)} mm`;
  return `${body}*${checksum(body).toString(16).toUpperCase().padStart(2, "0")}`;
}

/** Whole lines out of what has come in so far, and what is left of an unfinished one. */
export function splitLines(received: string): { lines: string[]; rest: string } {
  const parts = received.split(/\r\n|\r|\n/);
  const rest = parts.pop() ?? "";
  return { lines: parts.filter((line) => line.trim() !== ""), rest };
}

/** True for text that can only have come from an instrument: it begins with the instrument's letter. */
export const isInstrumentLine = (text: string): boolean => /^\s*[GC]\s+[+-]?\d/.test(text);
