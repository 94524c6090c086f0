import type { SolarPoint } from "../geometry/vector";
import type { FitQuestion, ShodFoot } from "./fitQuestion";
import type { SidedLine } from "./outline";

/** How far an egg bar reaches behind the heels on a foot of size 1, mm. Source: trade practice, about 30. */
export const EGG_REACH_MM = 30;
/** Depth of a bar across, as a part of the web. Assumption. */
const BAR_PART = 0.95;
/** A plate stays this far inside the frog's edges, mm, and ends where it would be narrower than this. Source: trade practice. */
const INSIDE_FROG_MM = 3;
const LEAST_PLATE_HALF_MM = 4;
const ARC_STEPS = 16;

/** y of the hindmost edge of an egg bar. */
export const eggBackY = ({ knots, k }: Pick<ShodFoot, "knots" | "k">): number =>
  Math.min(knots.heel.medial[1], knots.heel.lateral[1]) - EGG_REACH_MM * k;

/** Half the width of a frog at a height: as it was measured at its widest, running out at its true apex. */
export function frogHalfAt(
  { frogHalf, frogWideY, trueApex }: Pick<ShodFoot, "frogHalf" | "frogWideY" | "trueApex">,
  y: number,
): number {
  if (y <= frogWideY) return frogHalf;
  return Math.max(0, (frogHalf * (trueApex - y)) / Math.max(1, trueApex - frogWideY));
}

/** A plate that stays inside the frog's edges and ends behind its true apex, from `backY` forward. Closed. */
export function frogPlate(
  foot: Pick<ShodFoot, "frogHalf" | "frogWideY" | "trueApex">,
  backY: number,
): SolarPoint[] {
  const halfAt = (y: number) => frogHalfAt(foot, y) - INSIDE_FROG_MM;
  const { frogHalf, frogWideY, trueApex } = foot;
  const whole = Math.max(LEAST_PLATE_HALF_MM, halfAt(frogWideY));
  const least = Math.min(LEAST_PLATE_HALF_MM, whole);
  // Where the frog has narrowed to the plate's least width and its margin.
  const tip =
    trueApex - ((least + INSIDE_FROG_MM) * Math.max(1, trueApex - frogWideY)) / Math.max(1, frogHalf);
  const shoulder = Math.min(frogWideY, tip - 1);
  return [
    [-whole, backY],
    [whole, backY],
    [whole, Math.max(backY, shoulder)],
    [least, Math.max(backY + 1, tip)],
    [-least, Math.max(backY + 1, tip)],
    [-whole, Math.max(backY, shoulder)],
  ];
}

/** What lies across the back, closed pieces that reach into the branches: a straight bar, an egg bar's round, a heart bar's plate. */
export function barsOf(outer: SidedLine, inner: SidedLine, { foot, spec }: FitQuestion): SolarPoint[][] {
  if (spec.type !== "straight bar" && spec.type !== "egg bar" && spec.type !== "heart bar") return [];
  const [m, l] = [outer.medial.at(-1), outer.lateral.at(-1)] as [SolarPoint, SolarPoint];
  const [im, il] = [inner.medial.at(-1), inner.lateral.at(-1)] as [SolarPoint, SolarPoint];
  const deep = spec.width * BAR_PART;
  if (spec.type === "egg bar") {
    const reach = (m[1] + l[1]) / 2 - eggBackY(foot);
    const rounded = (from: SolarPoint, to: SolarPoint, drop: number) =>
      Array.from({ length: ARC_STEPS + 1 }, (_, index): SolarPoint => {
        const t = Math.PI * (index / ARC_STEPS);
        return [
          (from[0] + to[0]) / 2 + ((from[0] - to[0]) / 2) * Math.cos(t),
          from[1] + (to[1] - from[1]) * (index / ARC_STEPS) - drop * Math.sin(t),
        ];
      });
    return [[...rounded(m, l, reach), ...rounded(il, im, reach - deep)]];
  }
  const across: SolarPoint[] = [m, l, [il[0], l[1] + deep], [im[0], m[1] + deep]];
  if (spec.type === "straight bar") return [across];
  return [across, frogPlate(foot, (m[1] + l[1]) / 2 + deep / 2)];
}
