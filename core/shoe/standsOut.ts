import { lengthsAlong } from "../geometry/polyline";
import type { Side } from "../foot/limb";
import type { SolarPoint } from "../geometry/vector";
import { interpolate } from "../geometry/polyline";
import type { OutlineKnots } from "./outline";
import { bySide, FRONT_FULLNESS_MM, type Specification } from "./specification";

/** What a shoe stands out beyond its foot at one place is made of, mm: one sum. */
export interface StandsOut {
  fullness: number;
  /** Room for a pad. */
  pad: number;
  /** Wanted by the specification on this side, and by the hand on the bench. */
  out: number;
  hand: number;
  total: number;
}

/** More behind the widest part under a pad, mm. Source: trade practice. */
export const PAD_FULLNESS_MM = 3;
/** A heel stands out no more than this, all in one sum, mm. Assumption, because beyond it the shoe is trodden off. */
export const HEEL_OUT_MOST_MM = 8;
/** Room for the pad is there a third of the way from the widest part to the heel. Assumption. */
const PAD_FROM_PART = 3;
/** What begins at the widest part is all there after this part of the way to the heel. Assumption. */
const FROM_WIDEST_PART = 0.4;

/** Where toe quarter, widest part and heel lie along a side's line, mm from the middle of the toe. */
export interface SideStations {
  quarter: number;
  wide: number;
  whole: number;
}

/** Stations of a side's line by the heights of its marks. */
export function stationsOf(
  line: readonly SolarPoint[],
  knots: Pick<OutlineKnots, "toeQuarter" | "wide">,
  side: Side,
): SideStations & { at: number[] } {
  const at = lengthsAlong(line);
  const whole = at.at(-1) || 1;
  const down = (y: number, otherwise: number) => {
    const index = line.findIndex((point) => point[1] <= y);
    return index === -1 ? otherwise : (at[index] ?? otherwise);
  };
  return { at, whole, quarter: down(knots.toeQuarter[side][1], 0), wide: down(knots.wide[side][1], whole) };
}

/** How much of a side's own change there is at `s`, 0 to 1: it grows from where it begins and stays. */
export function changeAt(
  spec: Pick<Specification, "changeFrom">,
  { quarter, wide, whole }: SideStations,
  s: number,
): number {
  const [from, to] =
    spec.changeFrom === "toe quarter" ? [quarter, wide] : [wide, wide + (whole - wide) * FROM_WIDEST_PART];
  return to > from ? Math.max(0, Math.min(1, (s - from) / (to - from))) : s >= from ? 1 : 0;
}

/**
 * What a shoe stands out at `s` of a side: next to nothing ahead of the widest part, its own at the toe quarter, then
 * growing to the heel; room for a pad behind the widest part; what this side stands out on purpose. mm.
 */
export function standsOutAt(
  spec: Specification,
  hand: number,
  side: Side,
  stations: SideStations,
  s: number,
): StandsOut {
  const { quarter, wide, whole } = stations;
  const behind = whole > wide ? Math.max(0, Math.min(1, (s - wide) / (whole - wide))) : 0;
  const fullness = interpolate(
    [
      [0, FRONT_FULLNESS_MM],
      [quarter, bySide(spec, "fullToe", side)],
      [Math.max(quarter, wide), FRONT_FULLNESS_MM],
      [whole, bySide(spec, "full", side)],
    ],
    s,
  );
  const pad = spec.pad === "none" ? 0 : PAD_FULLNESS_MM * Math.min(1, PAD_FROM_PART * behind);
  const change = changeAt(spec, stations, s);
  const out = bySide(spec, "out", side) * change;
  // The hand's own fullness runs from the toe quarter back, whatever the specification says.
  const byHand = hand * changeAt({ changeFrom: "toe quarter" }, stations, s);
  return { fullness, pad, out, hand: byHand, total: fullness + pad + out + byHand };
}
