import type { Side } from "../foot/limb";
import type { SkippedSector } from "./nails";
import type { OutlineKnots, SidedLine } from "./outline";
import type { Specification } from "./specification";

/** How a shoe is set under a foot by hand: nothing of it is needed, all of it is on purpose. */
export interface Setting {
  /** The whole shoe back, mm. */
  back: number;
  /** The whole shoe turned about the centre of rotation, deg, its toe towards lateral. */
  turn: number;
  /** Fuller on one side from the toe quarter back, mm. */
  fuller: Record<Side, number>;
}
export const NO_SETTING: Setting = { back: 0, turn: 0, fuller: { medial: 0, lateral: 0 } };

/** A foot to be shod, solar frame, mm: trimmed, its own shape where that is known. */
export interface ShodFoot {
  outline: SidedLine;
  knots: OutlineKnots;
  /** True where it is the undistorted outline, false where it is the trimmed foot's measured points. */
  undistorted: boolean;
  corY: number;
  /** Size: 1 for a fore foot 127 mm wide. */
  k: number;
  trueApex: number;
  /** Half width of the frog at its widest, and where that is. */
  frogHalf: number;
  frogWideY: number;
  /** Horn that takes a nail: the wall less its white line. */
  horn: { toe: number; quarter: number };
  /** True for a fore foot: fore and hind taper each in their own way. */
  fore: boolean;
}

export interface FitQuestion {
  foot: ShodFoot;
  spec: Specification;
  setting: Setting;
  /** Breakover back from the toe of the trimmed foot, mm, and its direction, deg to lateral. */
  breakover: { fromToe: number; direction: number };
  skip: readonly SkippedSector[];
}
