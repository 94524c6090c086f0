import { directionAlong, lengthDownTo, pointAlong, polylineLength } from "../geometry/polyline";
import type { Side } from "../foot/limb";
import { eachSide } from "../foot/parametric/parameters";
import { radians } from "../math/angle";
import { inwardsOf, type SidedLine } from "./outline";
import type { HeadPattern } from "./specification";

/** A stretch in which no nail is driven: wall that is cracked, missing or thin. Parts of the line from the toe. */
export interface SkippedSector {
  side: Side;
  from: number;
  to: number;
}

export interface NailQuestion {
  /** The shoe's outer edge on each side, from the middle of the toe to the end of the branch. */
  outline: SidedLine;
  /** y of the widest part of the foot: none behind it. */
  widestY: number;
  /** y at which the toe quarters lie: where the first nails stand. */
  toeQuarterY?: number | undefined;
  perSide: number | Record<Side, number>;
  /** Thickness of the wall at toe and quarter, mm. */
  wall: { toe: number; quarter: number };
  /** Shoe standing out beyond the wall, mm. */
  fullness?: number | undefined;
  web: number;
  skip?: readonly SkippedSector[] | undefined;
}

export interface Nail {
  /** Mm along the outer edge from the middle of the toe. */
  s: number;
  /** The middle of the hole. */
  x: number;
  y: number;
  /** Middle of the hole in from the edge of the shoe, mm: 15 or more is coarse on an ordinary web. */
  inset: number;
}

export interface NailWarning {
  code: "past-web" | "little-web" | "skipped" | "few" | "close" | "no-room";
  side: Side;
  /** Number of the nail from the toe, 1 for the first. */
  nail?: number;
  message: string;
}

export interface NailPlan {
  medial: Nail[];
  lateral: Nail[];
  warnings: NailWarning[];
}

/** Web left inside the middle of a hole, mm. Source: trade practice. */
export const WEB_INSIDE_MM = 4;
/** The inner last nail stands this far ahead of the outer one, mm. Source: trade practice. */
export const INNER_AHEAD_MM = 5;
/** Nails nearer to each other than this split the wall, mm. Assumption, from stamped shoes. */
export const LEAST_PITCH_MM = 12;
/** A hole stands square to the edge as it runs over this much either way, so that a corner turns no hole, mm. */
const EVEN_OUT_MM = 5;
/** Toe quarter between the widest part (0) and the toe (1), where it is not measured. From a foot of size 1. */
const TOE_QUARTER_PART = 0.6;

/** Where the toe quarters of an outline lie that nobody marked, y in mm. */
export const toeQuarterYOf = (toeY: number, widestY: number): number =>
  widestY + TOE_QUARTER_PART * (toeY - widestY);

/**
 * Places of the nails on each side: the first at the toe quarter, the last at the widest part, the inner one 5 mm ahead
 * of it, the rest evenly between along the edge. A single nail stands half way. A nail that falls in a skipped sector is
 * left out, not moved: what it held is carried by a clip or a bar. The hole stands over the outer edge of the white
 * line: fullness plus wall thickness in from the edge, and has to leave 4 mm of web inside it.
 *
 * Source: trade practice.
 */
export function placeNails(question: NailQuestion): NailPlan {
  const { outline, widestY, wall, fullness = 0, web, skip = [] } = question;
  const warnings: NailWarning[] = [];
  const nails = eachSide((side): Nail[] => {
    const line = outline[side];
    const count = typeof question.perSide === "number" ? question.perSide : question.perSide[side];
    const whole = polylineLength(line);
    const toeY = line[0]?.[1] ?? 0;
    const quarterY = question.toeQuarterY ?? toeQuarterYOf(toeY, widestY);
    const widest = lengthDownTo(line, widestY);
    const first = lengthDownTo(line, quarterY);
    const last = side === "medial" ? lengthDownTo(line, widestY + INNER_AHEAD_MM) : widest;
    const pitch = count > 1 ? (last - first) / (count - 1) : 0;
    if (count > 1 && pitch <= 0)
      warnings.push({
        code: "no-room",
        side,
        message: `There is no room for nails on the ${side} side between toe quarter and widest part.`,
      });
    else if (count > 1 && pitch < LEAST_PITCH_MM)
      warnings.push({
        code: "close",
        side,
        message: `${count} nails on the ${side} side stand ${pitch.toFixed(1)} mm apart; nearer than ${LEAST_PITCH_MM} mm splits the wall.`,
      });
    const stations = Array.from({ length: pitch < 0 ? 0 : count }, (_, index) =>
      count === 1 ? (first + last) / 2 : first + index * pitch,
    );
    const placed = stations.flatMap((s, index): Nail[] => {
      const part = whole > 0 ? s / whole : 0;
      if (skip.some((one) => one.side === side && part >= one.from && part <= one.to)) {
        warnings.push({
          code: "skipped",
          side,
          nail: index + 1,
          message: `Nail ${index + 1} of the ${side} side is left out: the wall there is marked.`,
        });
        return [];
      }
      const thickness = wall.toe + (wall.quarter - wall.toe) * Math.min(1, widest > 0 ? s / widest : 0);
      const inset = fullness + thickness;
      const edge = pointAlong(line, s);
      const inwards = inwardsOf(directionAlong(line, s, EVEN_OUT_MM), side);
      if (inset >= web)
        warnings.push({
          code: "past-web",
          side,
          nail: index + 1,
          message: `Nail ${index + 1} of the ${side} side would stand ${inset.toFixed(1)} mm in, past the ${web.toFixed(1)} mm web: take a wider web.`,
        });
      else if (web - inset < WEB_INSIDE_MM)
        warnings.push({
          code: "little-web",
          side,
          nail: index + 1,
          message: `Nail ${index + 1} of the ${side} side leaves ${(web - inset).toFixed(1)} mm of web inside it; ${WEB_INSIDE_MM} mm are wanted.`,
        });
      return [{ s, inset, x: edge.at[0] + inwards[0] * inset + 0, y: edge.at[1] + inwards[1] * inset + 0 }];
    });
    if (placed.length < 2)
      warnings.push({
        code: "few",
        side,
        message: `${placed.length === 0 ? "No nail" : "One nail"} on the ${side} side: clips or a bar have to carry the hold.`,
      });
    return placed;
  });
  return { ...nails, warnings };
}

/** Wall at the quarters to the ground, deg, for which no gauge is used. Assumption. */
const QUARTER_WALL_DEG = 76;

/** The wall's angle where a nail stands, deg: the dorsal angle at the toe, steep at the widest part. Estimate. */
export const wallAngleAt = (partToWidest: number, dorsalAngleDeg: number): number =>
  dorsalAngleDeg + (QUARTER_WALL_DEG - dorsalAngleDeg) * Math.max(0, Math.min(1, partToWidest));

/** How far a nail leans in from upright, deg: with the wall, so most at the toe and least at the last nail. */
export const nailLean = (partToWidest: number, dorsalAngleDeg: number): number =>
  90 - wallAngleAt(partToWidest, dorsalAngleDeg);

/** Nails come out this high above the shoe, mm, and no higher than a third of the wall. Source: trade practice. */
export const EXIT_MM = { from: 15, to: 20 };
export const exitHeight = (wallLengthMm: number): number =>
  Math.max(0, Math.min((EXIT_MM.from + EXIT_MM.to) / 2, wallLengthMm / 3));

/** Steel to take hold of when the point is wrung off, mm. Source: trade practice. */
const WRING_MM = 10;

/**
 * Length of nail that is needed, mm: through shoe and pad, from over the white line up to where it comes out of the
 * wall, and what is wrung off. `exit` is the height of the exit above the shoe, `wall` its thickness, mm.
 */
export function nailLengthNeeded(nail: {
  thickness: number;
  pad: number;
  exit: number;
  wallAngleDeg: number;
  wall: number;
}): number {
  const along = nail.exit / Math.tan(radians(nail.wallAngleDeg)) - nail.wall;
  return nail.thickness + nail.pad + Math.hypot(nail.exit, along) + WRING_MM;
}

/** A nail of the user's own table. */
export interface NailSize {
  name: string;
  pattern: HeadPattern;
  lengthMm: number;
}

/**
 * The shortest nail of the table whose head fits the shoe's holes and that is long enough. Where no head fits, or the
 * longest that fits is too short, it says which.
 */
export function pickNail(
  table: readonly NailSize[],
  pattern: HeadPattern,
  neededMm: number,
): { kind: "found"; nail: NailSize } | { kind: "no-pattern" } | { kind: "too-short"; longest: NailSize } {
  const fitting = table.filter((nail) => nail.pattern === pattern).sort((a, b) => a.lengthMm - b.lengthMm);
  const longest = fitting.at(-1);
  if (!longest) return { kind: "no-pattern" };
  const nail = fitting.find(({ lengthMm }) => lengthMm >= neededMm);
  return nail ? { kind: "found", nail } : { kind: "too-short", longest };
}

/** A neutral table to begin with: heads and lengths, no maker's numbers. */
export const EXAMPLE_NAILS: readonly NailSize[] = (
  [
    ["slim", [42, 46, 50, 54, 58, 62, 66]],
    ["square", [48, 52, 56, 60, 64, 68]],
    ["heavy", [60, 65, 70, 76, 82]],
  ] as const
).flatMap(([pattern, lengths]) =>
  lengths.map((lengthMm): NailSize => ({ name: `${pattern} ${lengthMm}`, pattern, lengthMm })),
);

/** What can be noted of a nail that was driven. */
export const NAIL_NOTES = ["close", "bent", "pulled", "flinch", "warm wall"] as const;
export type NailNote = (typeof NAIL_NOTES)[number];

/** Notes after which the nail has to come out: the usual caution, said at that nail. */
export const NAIL_COMES_OUT: readonly NailNote[] = ["close", "flinch", "warm wall"];

export interface ClenchCheck {
  ok: boolean;
  text: string;
}

/** Exits further apart than this are not even, mm. Assumption. */
const EVEN_WITHIN_MM = 5;

/** What the measured exits say: height within 15 to 20 mm, a third of the wall at most, even. Empty without any. */
export function clenchChecks(exits: readonly number[], wallLengthMm: number): ClenchCheck[] {
  if (exits.length === 0) return [];
  const [low, high] = [Math.min(...exits), Math.max(...exits)];
  const third = wallLengthMm / 3;
  return [
    {
      ok: low >= EXIT_MM.from && high <= EXIT_MM.to,
      text: `Exits ${low} to ${high} mm above the shoe; ${EXIT_MM.from} to ${EXIT_MM.to} are wanted.`,
    },
    {
      ok: high <= third,
      text: `The highest at ${high} mm, a third of the wall is ${Math.round(third)} mm.`,
    },
    { ok: high - low <= EVEN_WITHIN_MM, text: `${high - low} mm between the lowest and the highest.` },
  ];
}
