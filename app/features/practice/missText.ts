import type { Wording } from "~core/foot/wording";

/** A miss of a mark or a length, as fine as it can be told: a tenth of a millimetre, or as fine as a cut in inches. */
export const missText = (mm: number, wording: Wording): string =>
  wording.unit === "mm" ? `${mm.toFixed(1)} mm` : wording.cut(mm);
