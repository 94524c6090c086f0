import { MM_PER_INCH } from "../constants/exact";
import { formatLength, parseLength } from "./length";

/** What a key of the number pad does to the text that stands in a field. */
export type PadKey =
  | { kind: "digit"; digit: string }
  | { kind: "point" }
  | { kind: "fraction"; eighths: 1 | 2 | 4 | 6 }
  | { kind: "step"; by: number }
  | { kind: "sign" }
  | { kind: "back" };

/**
 * The text after a key. Fractions add up: 3, then 1/4, then 1/8 gives `3 3/8`. Steps go from the text, or from
 * `last` where nothing stands yet, and not below zero. A key that makes no sense leaves the text alone.
 */
export function padText(text: string, key: PadKey, last?: number): string {
  switch (key.kind) {
    case "digit":
      return text.includes("/") ? text : `${text}${key.digit}`;
    case "point":
      return /[./]/.test(text) ? text : `${text === "" ? "0" : text}.`;
    case "sign":
      return text.startsWith("−") ? text.slice(1) : `−${text}`;
    case "back":
      return text.replace(/(\s*\d+\/\d+|.)$/, "");
    case "fraction":
      return withEighths(text, key.eighths);
    case "step":
      return stepped(text, key.by, last);
  }
}

function withEighths(text: string, eighths: number): string {
  const read = text.trim() === "" ? { ok: true as const, value: 0 } : parseLength(text, "in");
  if (!read.ok) return text;
  return formatLength(read.value + (eighths * MM_PER_INCH) / 8, "in", 16).replace(/ in$/, "");
}

function stepped(text: string, by: number, last: number | undefined): string {
  const from = text.trim() === "" ? last : Number(text);
  if (from === undefined || !Number.isFinite(from)) return text;
  return String(Math.max(0, Math.round((from + by) * 10) / 10));
}
