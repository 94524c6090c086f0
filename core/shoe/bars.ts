import { directionAlong, offsetPolyline, pointAlong, polylineLength } from "../geometry/polyline";
import type { SolarPoint } from "../geometry/vector";
import type { Side } from "../foot/limb";
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

/** How far up both branches an egg bar's round begins, so that it is one piece with them, mm. */
const INTO_BRANCH_MM = 8;

/** The round of an egg bar: on from each branch the way it runs, through the hindmost point; `deep` wide. Closed. */
function eggRound(outer: SidedLine, deep: number, backY: number): SolarPoint[] {
  const half = (side: Side): SolarPoint[] => {
    const line = outer[side];
    const end = line.at(-1) as SolarPoint;
    const from = pointAlong(line, Math.max(0, polylineLength(line) - INTO_BRANCH_MM)).at;
    const [dx, dy] = directionAlong(line, polylineLength(line), INTO_BRANCH_MM);
    const reach = Math.max(1, end[1] - backY);
    const knots: SolarPoint[] = [
      end,
      [end[0] + dx * reach * 0.75, end[1] + dy * reach * 0.75],
      [end[0] * 0.45, backY],
      [0, backY],
    ];
    return [from, ...Array.from({ length: ARC_STEPS + 1 }, (_, index) => bezier(knots, index / ARC_STEPS))];
  };
  // Round from medial to lateral: the way on which the inside of the shoe lies to the left.
  const way = [...half("medial"), ...half("lateral").reverse().slice(1)];
  return [...way, ...(offsetPolyline(way, () => deep) as SolarPoint[]).reverse()];
}

function bezier([a, b, c, d]: readonly SolarPoint[], t: number): SolarPoint {
  const u = 1 - t;
  const at = (axis: 0 | 1) =>
    u ** 3 * (a?.[axis] ?? 0) +
    3 * u * u * t * (b?.[axis] ?? 0) +
    3 * u * t * t * (c?.[axis] ?? 0) +
    t ** 3 * (d?.[axis] ?? 0);
  return [at(0), at(1)];
}

/** What lies across the back, closed pieces that reach into the branches: a straight bar, an egg bar's round, a heart bar's plate. */
export function barsOf(outer: SidedLine, inner: SidedLine, { foot, spec }: FitQuestion): SolarPoint[][] {
  if (spec.type !== "straight bar" && spec.type !== "egg bar" && spec.type !== "heart bar") return [];
  const [m, l] = [outer.medial.at(-1), outer.lateral.at(-1)] as [SolarPoint, SolarPoint];
  const [im, il] = [inner.medial.at(-1), inner.lateral.at(-1)] as [SolarPoint, SolarPoint];
  const deep = spec.width * BAR_PART;
  if (spec.type === "egg bar") return [eggRound(outer, spec.width, eggBackY(foot))];
  const across: SolarPoint[] = [m, l, [il[0], l[1] + deep], [im[0], m[1] + deep]];
  if (spec.type === "straight bar") return [across];
  return [across, frogPlate(foot, (m[1] + l[1]) / 2 + deep / 2)];
}
