import type { WearSector } from "../foot/wear";
import type { Wording } from "../foot/wording";
import type { Footing } from "./facts";
import type { PrescriptionAsks } from "./prescription";

/** One thing looked at before a shoe is nailed on. */
export interface ShoeCheck {
  id: string;
  /** Where on the bench it belongs. */
  about: "fit" | "nails" | "breakover" | "specification";
  ok: boolean;
  /** True where steel cannot be made so: it is refused, not asked about. */
  impossible: boolean;
  name: string;
  /** With its number. */
  text: string;
  /** What to change. */
  mend?: string;
}

export interface CheckContext {
  footing: readonly Footing[];
  thinSole: boolean;
  /** Places where the wall is to bear nothing. */
  toRelieve?: readonly WearSector[] | undefined;
  /** Wall that takes neither nail nor clip. */
  unsoundWall?: readonly WearSector[] | undefined;
  prescription?: PrescriptionAsks | undefined;
  wording: Wording;
}
