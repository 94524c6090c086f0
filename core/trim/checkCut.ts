import { MOST_CUT_MM, CUT_NAMES, type CutName } from "./trimRecord";
import { fail, ok, type Result } from "../result";
import { sentenceCase } from "../foot/wording";

/** Refuses what no hand takes at once. Path is the cut's name; the message is for the place beside the field. */
export function checkCut(cut: CutName, mm: number): Result<number> {
  if (mm <= MOST_CUT_MM) return ok(mm);
  return fail(
    "too-much",
    cut,
    `${sentenceCase(CUT_NAMES[cut])}: ${Math.round(mm)} mm is more than any trim takes (up to ${MOST_CUT_MM} mm). Check the unit.`,
    mm,
  );
}
