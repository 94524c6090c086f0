import { directionAlong, lengthDownTo, pointAlong, polylineLength } from "../geometry/polyline";
import type { Side } from "../foot/limb";
import { eachSide } from "../foot/parametric/parameters";
import { radians } from "../math/angle";
import { LEAST_PITCH_MM, nearestPlaces, soundStretches, TRIED_EVERY_MM } from "./nailMoves";
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
  /** Horn of the wall at toe and quarter, mm: its thickness less the white line. */
  wall: { toe: number; quarter: number };
  /** Shoe standing out beyond the wall, mm: everywhere, or at a place. */
  fullness?: number | undefined;
  fullnessAt?: ((side: Side, s: number) => number) | undefined;
  web: number;
  /** Web at a place where it is not the same everywhere. */
  webAt?: ((side: Side, s: number) => number) | undefined;
  skip?: readonly SkippedSector[] | undefined;
  /** True where a nail that falls in a skipped stretch is moved to the nearest sound wall; else it is left out. */
  move?: boolean | undefined;
}

export interface Nail {
  /** Mm along the outer edge from the middle of the toe. */
  s: number;
  /** The middle of the hole. */
  x: number;
  y: number;
  /** Middle of the hole in from the edge of the shoe, mm: 15 or more is coarse on an ordinary web. */
  inset: number;
  /** Moved from where it would stand, mm along the edge: positive = back. */
  moved?: number;
}

export interface NailWarning {
  code: "past-web" | "little-web" | "skipped" | "moved" | "no-wall" | "few" | "close" | "no-room";
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
/** A hole stands square to the edge as it runs over this much either way, so that a corner turns no hole, mm. */
const EVEN_OUT_MM = 5;
/** Toe quarter between the widest part (0) and the toe (1), where it is not measured. From a foot of size 1. */
const TOE_QUARTER_PART = 0.6;

/** Where the toe quarters of an outline lie that nobody marked, y in mm. */
export const toeQuarterYOf = (toeY: number, widestY: number): number =>
  widestY + TOE_QUARTER_PART * (toeY - widestY);

/** Forward of the toe quarter a nail is moved no further than to this part of the way from the toe. Assumption. */
const AHEAD_PART = 0.6;

/**
 * Places of the nails on each side: the first at the toe quarter, the last at the widest part, the inner one 5 mm ahead
 * of it, the rest evenly between along the edge. A single nail stands half way. A nail that falls in a skipped sector is
 * left out, or with `move` put into the nearest sound wall, ahead of the toe quarter at need and never behind the widest
 * part; what finds no sound wall is said, with what has to hold instead. The hole stands over the outer edge of the white
 * line: what the shoe stands out and the horn in from its edge, and has to leave 4 mm of web inside it.
 *
 * Source: trade practice.
 */
export function placeNails(question: NailQuestion): NailPlan {
  const { outline, widestY, wall, fullness = 0, skip = [] } = question;
  const warnings: NailWarning[] = [];
  const nails = eachSide((side): Nail[] => {
    const warn = (code: NailWarning["code"], message: string, nail?: number) =>
      warnings.push({ code, side, message, ...(nail !== undefined && { nail }) });
    const line = outline[side];
    const count = typeof question.perSide === "number" ? question.perSide : question.perSide[side];
    const whole = polylineLength(line);
    const quarterY = question.toeQuarterY ?? toeQuarterYOf(line[0]?.[1] ?? 0, widestY);
    const widest = lengthDownTo(line, widestY);
    const first = lengthDownTo(line, quarterY);
    const last = side === "medial" ? lengthDownTo(line, widestY + INNER_AHEAD_MM) : widest;
    const pitch = count > 1 ? (last - first) / (count - 1) : 0;
    if (count > 1 && pitch <= 0)
      warn("no-room", `There is no room for nails on the ${side} side between toe quarter and widest part.`);
    else if (count > 1 && pitch < LEAST_PITCH_MM)
      warn(
        "close",
        `${count} nails on the ${side} side stand ${pitch.toFixed(1)} mm apart; nearer than ${LEAST_PITCH_MM} mm splits the wall.`,
      );
    const stations = Array.from({ length: pitch < 0 ? 0 : count }, (_, index) =>
      count === 1 ? (first + last) / 2 : first + index * pitch,
    );
    const marked = skip
      .filter((one) => one.side === side)
      .map(({ from, to }): readonly [number, number] => [from * whole, to * whole]);
    const hit = (s: number) => marked.some(([from, to]) => s >= from && s <= to);
    const nailAt = (s: number, number: number, moved?: number): Nail => {
      const horn = wall.toe + (wall.quarter - wall.toe) * Math.min(1, widest > 0 ? s / widest : 0);
      const inset = (question.fullnessAt?.(side, s) ?? fullness) + horn;
      const web = question.webAt?.(side, s) ?? question.web;
      const edge = pointAlong(line, s);
      const inwards = inwardsOf(directionAlong(line, s, EVEN_OUT_MM), side);
      if (inset >= web)
        warn(
          "past-web",
          `Nail ${number} of the ${side} side would stand ${inset.toFixed(1)} mm in, past the ${web.toFixed(1)} mm web: take a wider web.`,
          number,
        );
      else if (web - inset < WEB_INSIDE_MM)
        warn(
          "little-web",
          `Nail ${number} of the ${side} side leaves ${(web - inset).toFixed(1)} mm of web inside it; ${WEB_INSIDE_MM} mm are wanted.`,
          number,
        );
      return {
        s,
        inset,
        x: edge.at[0] + inwards[0] * inset + 0,
        y: edge.at[1] + inwards[1] * inset + 0,
        ...(moved !== undefined && { moved }),
      };
    };
    let placed: Nail[];
    if (!stations.some(hit)) placed = stations.map((s, index) => nailAt(s, index + 1));
    else if (question.move) {
      const usual = soundStretches(first, last, marked);
      const room = usual.reduce((sum, [from, to]) => sum + 1 + Math.floor((to - from) / LEAST_PITCH_MM), 0);
      const free = room >= count ? usual : soundStretches(first * AHEAD_PART, last, marked);
      const found = nearestPlaces(stations, free);
      placed = found.map((s, index) => {
        const by = s - (stations[index] ?? s);
        if (Math.abs(by) < TRIED_EVERY_MM) return nailAt(s, index + 1);
        warn(
          "moved",
          `Nail ${index + 1} of the ${side} side is moved ${Math.abs(by).toFixed(0)} mm ${by < 0 ? "forward" : "back"}, into sound wall${s < first - TRIED_EVERY_MM ? ": ahead of the toe quarter, where the wall turns" : ""}.`,
          index + 1,
        );
        return nailAt(s, index + 1, by);
      });
      if (found.length < count)
        warn(
          "no-wall",
          `${found.length === 0 ? "No nail finds" : `${found.length} of ${count} nails ${found.length === 1 ? "finds" : "find"}`} sound wall on the ${side} side: a clip there, a bar, or glue has to hold the rest.`,
        );
    } else
      placed = stations.flatMap((s, index): Nail[] => {
        if (!hit(s)) return [nailAt(s, index + 1)];
        warn(
          "skipped",
          `Nail ${index + 1} of the ${side} side is left out: the wall there is marked.`,
          index + 1,
        );
        return [];
      });
    if (placed.length < 2)
      warn(
        "few",
        `${placed.length === 0 ? "No nail" : "One nail"} on the ${side} side: clips or a bar have to carry the hold.`,
      );
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
export const EXIT_MM = { from: 13, to: 20 };
/** On a low wall they may come out lower: at this part of its third. Assumption. */
const LOW_WALL_PART = 0.8;
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

/** What the measured exits say: height within 13 to 20 mm, a third of the wall at most, even. Empty without any. */
export function clenchChecks(exits: readonly number[], wallLengthMm: number): ClenchCheck[] {
  if (exits.length === 0) return [];
  const [low, high] = [Math.min(...exits), Math.max(...exits)];
  const third = wallLengthMm / 3;
  const from = Math.min(EXIT_MM.from, Math.round(LOW_WALL_PART * third));
  const to = Math.min(EXIT_MM.to, Math.round(third));
  return [
    {
      ok: low >= from && high <= EXIT_MM.to,
      text: `Exits ${low} to ${high} mm above the shoe; ${from} to ${to} are wanted.`,
    },
    {
      ok: high <= third,
      text: `The highest at ${high} mm, a third of the wall is ${Math.round(third)} mm.`,
    },
    { ok: high - low <= EVEN_WITHIN_MM, text: `${high - low} mm between the lowest and the highest.` },
  ];
}
