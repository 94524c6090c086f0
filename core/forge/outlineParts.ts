import { lengthDownTo, pointAlong, directionAlong, polylineLength } from "../geometry/polyline";
import { distance, type SolarPoint, type Vector } from "../geometry/vector";
import { SIDES, type Side } from "../foot/limb";
import { eachSide } from "../foot/parametric/parameters";
import { roundTheToe, type SidedLine } from "../shoe/outline";
import type { Wording } from "../foot/wording";

/** One bend of an outline: its length, how far it turns, and the radius of an even bend that does the same. mm, deg. */
export interface Bend {
  length: number;
  turnDeg: number;
  /** Undefined where it hardly turns: it is straight. */
  radius?: number;
}

/** A branch as a smith reads it, from the end of the toe's bend to the heel. */
export interface BranchParts {
  /** From the middle of the toe to where its bend ends, along the outer edge. */
  toeHalf: number;
  /** The bend of the quarter, from there to where the heel begins. */
  quarter: Bend;
  /** The heel behind it: its length, and whether it is straight. */
  heel: { length: number; straight: boolean };
  /** Along the outer edge, from the middle of the toe: end of the toe's bend, end of the quarter's turn, heel's end. */
  s: { toeBend: number; quarterEnd: number; heel: number };
}

export interface OutlineParts {
  toe: Bend;
  branches: Record<Side, BranchParts>;
  /** What is unequal, in words with medial and lateral in them, the greatest first. */
  unequal: string[];
}

/** A heel that strays less than this from a straight line is straight, mm. Assumption: less than a hand sees. */
const STRAIGHT_MM = 1.2;
/** A stretch shorter than this is no straight heel, mm. Assumption. */
const LEAST_HEEL_MM = 18;
/** Less than this is straight, deg. */
const HARDLY_DEG = 4;
/** How far about a place its direction is taken, mm. */
const REACH_MM = 4;
/** Sides that differ by less than this are called equal, mm. */
const EQUAL_MM = 1.5;

function bendOf(line: readonly Vector[], from: number, to: number): Bend {
  const [a, b] = [directionAlong(line, from, REACH_MM), directionAlong(line, to, REACH_MM)];
  const turnDeg =
    (Math.abs(Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1])) * 180) / Math.PI;
  const length = to - from;
  return {
    length,
    turnDeg,
    ...(turnDeg > HARDLY_DEG && { radius: length / ((turnDeg * Math.PI) / 180) }),
  };
}

/** Where the straight heel of a branch begins, along it; half way behind the widest place where it is curved. */
function heelFrom(line: readonly SolarPoint[], widest: number): { from: number; straight: boolean } {
  const whole = polylineLength(line);
  const end = line.at(-1) ?? [0, 0];
  const strays = (from: number) => {
    const start = pointAlong(line, from).at;
    const size = distance(start, end) || 1;
    return Math.max(
      ...[0.25, 0.5, 0.75].map((part) => {
        const [x, y] = pointAlong(line, from + (whole - from) * part).at;
        return Math.abs((end[0] - start[0]) * (y - start[1]) - (end[1] - start[1]) * (x - start[0])) / size;
      }),
    );
  };
  for (let from = widest; from <= whole - LEAST_HEEL_MM; from += 2)
    if (strays(from) <= STRAIGHT_MM) return { from, straight: true };
  return { from: (widest + whole) / 2, straight: false };
}

/**
 * An outline told as a smith reads it: the toe's arc, each quarter's turn, each heel. `toeQuarterY` are the heights at
 * which the toe's bend ends, `widestY` where each branch is widest.
 */
export function outlineParts(
  outline: SidedLine,
  toeQuarterY: Record<Side, number>,
  widestY: Record<Side, number>,
): OutlineParts {
  const branches = eachSide((side): BranchParts => {
    const line = outline[side];
    const whole = polylineLength(line);
    const toeBend = lengthDownTo(line, toeQuarterY[side]);
    const { from, straight } = heelFrom(line, lengthDownTo(line, widestY[side]));
    return {
      toeHalf: toeBend,
      quarter: bendOf(line, toeBend, from),
      heel: { length: whole - from, straight },
      s: { toeBend, quarterEnd: from, heel: whole },
    };
  });
  const round = roundTheToe(outline);
  const medial = polylineLength(outline.medial);
  return {
    toe: bendOf(round, medial - branches.medial.s.toeBend, medial + branches.lateral.s.toeBend),
    branches,
    unequal: unequalParts(branches),
  };
}

const PARTS: readonly [name: string, of: (branch: BranchParts) => number][] = [
  ["branch", ({ s }) => s.heel],
  ["toe quarter", ({ toeHalf }) => toeHalf],
  ["quarter’s turn", ({ quarter }) => quarter.length],
  ["heel", ({ heel }) => heel.length],
];

function unequalParts({ medial, lateral }: Record<Side, BranchParts>): string[] {
  const lines = PARTS.map(([name, of]) => ({ name, by: of(lateral) - of(medial) }))
    .filter(({ by }) => Math.abs(by) >= EQUAL_MM)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
    .map(({ name, by }) => `${by > 0 ? "lateral" : "medial"} ${name} ${Math.abs(by).toFixed(0)} mm longer`);
  if (medial.heel.straight !== lateral.heel.straight)
    lines.push(`${medial.heel.straight ? "lateral" : "medial"} heel curved, the other straight`);
  return lines;
}

/** The parts in words for the anvil, with medial and lateral in them: what is unequal first. */
export function partsInWords({ toe, branches, unequal }: OutlineParts, wording: Wording): string[] {
  const radius = (bend: Bend) =>
    bend.radius === undefined ? "straight" : `radius ${wording.length(bend.radius)}`;
  return [
    unequal.length > 0 ? `Unequal: ${unequal.join("; ")}.` : "Both halves alike.",
    `Toe arc ${wording.length(toe.length)}, ${radius(toe)}.`,
    ...SIDES.map((side) => {
      const { quarter, heel } = branches[side];
      return `Quarter ${side} ${wording.length(quarter.length)}, ${radius(quarter)}, turned ${Math.round(quarter.turnDeg)}°; heel ${heel.straight ? "straight" : "curved"}, ${wording.length(heel.length)}.`;
    }),
  ].map(wording.inOwnWords);
}
