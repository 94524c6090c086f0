import { MM_PER_INCH } from "~core/constants/exact";
import { lengthInField, sentenceCase, type Wording } from "~core/foot/wording";
import { fail, ok, type Result } from "~core/result";
import { checkCut } from "~core/trim/checkCut";
import type { CutName } from "~core/trim/trimRecord";
import { parseLength } from "~core/units/length";

/** A cut as it stands in a field: without its unit, to the half millimetre or the thirty-second. */
export const cutInField = (mm: number, wording: Wording): string =>
  lengthInField(mm, { ...wording, fraction: 32 }, mm % 1 === 0 ? 0 : 1);

/** One step of a cut, mm: half a millimetre, or the thirty-second of an inch for those who think in inches. */
export const cutStep = ({ unit }: Pick<Wording, "unit">): number => (unit === "mm" ? 0.5 : MM_PER_INCH / 32);

/** Reads what was typed for a cut; an emptied field is no cut. */
export function readCut(cut: CutName, text: string, wording: Wording): Result<number | undefined> {
  if (text.trim() === "") return ok(undefined);
  const read = parseLength(text, wording.unit);
  return read.ok ? checkCut(cut, read.value) : read;
}

/** Reads millimetres taken at a place, up to so many; an emptied field is none. Path is `key`. */
export function readMm(
  key: string,
  name: string,
  most: number,
  text: string,
  wording: Wording,
): Result<number | undefined> {
  if (text.trim() === "") return ok(undefined);
  const read = parseLength(text, wording.unit);
  if (!read.ok || read.value <= most) return read;
  return fail(
    "too-much",
    key,
    `${sentenceCase(wording.inOwnWords(name))}: more than ${wording.cut(most)} is not read. Check the unit.`,
    read.value,
  );
}
